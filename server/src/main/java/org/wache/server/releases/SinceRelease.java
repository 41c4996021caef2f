package org.wache.server.releases;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.compare.Item;
import org.wache.compare.ListDifference;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ReleaseContent.TeamProfile;
import org.wache.exchange.ReleaseFile;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.release.Waiver;
import org.wache.server.lists.Freezing;

/**
 * What would go out otherwise than in an earlier release: what was changed and changed back is no difference.
 *
 * @param entries of the list itself that differ
 * @param moved whether entries that both have stand in another order
 * @param others what else differs, each in a sentence: who carries it, the radios, the place and the house rules
 * @param relicensed who carries it with other licences than then; the release is held against those anyway
 */
record SinceRelease(List<SinceRelease.Entry> entries, boolean moved, List<String> others, List<String> relicensed) {

    /** An entry that differs; words say how, in radio terms. */
    record Entry(ListDifference.Kind kind, String number, String name, List<String> words) {}

    /** Whether a new release would put anything else into radios, or into other hands. */
    boolean isNothing() {
        return entries.isEmpty() && !moved && others.isEmpty();
    }

    /** Compares what would go out now with a release. */
    static SinceRelease of(ReleaseFile release, Freezing.Frozen now, List<Waiver> waivers, List<TeamProfile> profiles) {
        return of(
                release,
                now.parts().stream()
                        .map(part -> new ReleaseFile.Part(
                                part.name(),
                                part.audit().list(),
                                ContextFile.read(part.context().getBytes(java.nio.charset.StandardCharsets.UTF_8))))
                        .toList(),
                now.models().stream().map(Freezing.MeantRadio::name).toList(),
                waivers,
                profiles);
    }

    /** Compares a release with an earlier one. */
    static SinceRelease of(ReleaseFile earlier, ReleaseFile release) {
        return of(
                earlier,
                release.parts(),
                release.models().stream().map(ReleaseFile.Model::name).toList(),
                release.waivers(),
                release.profiles());
    }

    private static SinceRelease of(
            ReleaseFile release,
            List<ReleaseFile.Part> now,
            List<String> models,
            List<Waiver> waivers,
            List<TeamProfile> profiles) {
        List<ReleaseFile.Part> before = release.parts();
        ChannelList old = before.get(0).list();
        ChannelList list = now.get(0).list();
        ListDifference difference = ListDifference.of(items(old), items(list));
        List<Entry> entries = difference.rows().stream()
                .map(row -> {
                    Channel channel = row.after().map(list.channels()::get).orElseGet(() -> old.channels()
                            .get(row.before().orElseThrow()));
                    return new Entry(row.kind(), channel.number(), channel.name(), row.words());
                })
                .toList();
        List<String> others = new ArrayList<>();
        List<String> relicensed = new ArrayList<>();
        parts(before, now, others, relicensed);
        gone("for", release.models().stream().map(ReleaseFile.Model::name).toList(), models, others);
        profiles(release.profiles(), profiles, others);
        Set<String> then = release.waivers().stream().map(Waiver::print).collect(Collectors.toSet());
        if (!then.equals(waivers.stream().map(Waiver::print).collect(Collectors.toSet()))) {
            others.add("Other things are let stand, or left out of radios.");
        }
        return new SinceRelease(
                entries,
                difference.moved(),
                List.copyOf(others),
                relicensed.stream().distinct().toList());
    }

    /** How radios are set besides their channels. */
    private static void profiles(List<TeamProfile> before, List<TeamProfile> now, List<String> others) {
        Map<String, TeamProfile> old = new LinkedHashMap<>();
        before.forEach(each -> old.put(each.team(), each));
        for (TeamProfile each : now) {
            TeamProfile then = old.remove(each.team());
            if (!each.equals(then)) {
                others.add("The settings “" + each.profile().name() + "” are " + (then == null ? "new." : "others."));
            }
        }
        old.values()
                .forEach(each -> others.add("The settings “" + each.profile().name() + "” are gone."));
    }

    private static List<Item> items(ChannelList list) {
        return list.channels().stream()
                .map(channel -> new Item(Optional.empty(), channel))
                .toList();
    }

    private static void parts(
            List<ReleaseFile.Part> before, List<ReleaseFile.Part> now, List<String> others, List<String> relicensed) {
        Map<String, ReleaseFile.Part> old = new LinkedHashMap<>();
        before.forEach(part -> old.put(part.name(), part));
        for (ReleaseFile.Part part : now) {
            ReleaseFile.Part then = old.remove(part.name());
            if (then == null) {
                others.add("The variant " + part.name() + " is new.");
            } else {
                context(part.name(), then.context(), part.context(), others, relicensed);
            }
        }
        old.keySet().forEach(name -> others.add("The variant " + name + " is gone."));
    }

    private static void context(
            String part, ContextFile then, ContextFile now, List<String> others, List<String> relicensed) {
        String of = part.isEmpty() ? "" : part + ": ";
        gone(of + "carried by", names(then), names(now), others);
        Map<String, List<Licence>> licences =
                then.holders().stream().collect(Collectors.toMap(Holder::name, Holder::licences, (one, other) -> one));
        now.holders().stream()
                .filter(holder -> licences.containsKey(holder.name())
                        && !licences.get(holder.name()).equals(holder.licences()))
                .map(Holder::name)
                .forEach(relicensed::add);
        if (part.isEmpty()) {
            differs("place", ContextFile::site, then, now, others);
            differs("antenna", ContextFile::antenna, then, now, others);
            differs("house rules", ContextFile::houseRules, then, now, others);
            differs("neighbours", ContextFile::neighbours, then, now, others);
            differs("rows of the group's own plan", ContextFile::overlay, then, now, others);
            differs("rulebook", ContextFile::rulebook, then, now, others);
        }
    }

    private static void differs(
            String what, Function<ContextFile, Object> of, ContextFile then, ContextFile now, List<String> others) {
        if (!Objects.equals(of.apply(then), of.apply(now))) {
            others.add("Other " + what + ".");
        }
    }

    private static List<String> names(ContextFile context) {
        return context.holders().stream().map(Holder::name).toList();
    }

    private static void gone(String what, List<String> before, List<String> now, List<String> others) {
        List<String> more = now.stream().filter(name -> !before.contains(name)).toList();
        List<String> less = before.stream().filter(name -> !now.contains(name)).toList();
        if (!more.isEmpty()) {
            others.add(capital("now " + what + " " + String.join(", ", more) + " too."));
        }
        if (!less.isEmpty()) {
            others.add(capital("no longer " + what + " " + String.join(", ", less) + "."));
        }
    }

    private static String capital(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
