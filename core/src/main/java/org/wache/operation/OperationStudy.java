package org.wache.operation;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.reach.Hearing;
import org.wache.reach.Reach;

/** Holds the watches of an operation against who may key and who hears what. */
public final class OperationStudy {

    private static final int MOST_NAMED = 6;

    private final Reach reach;
    private final List<String> names;
    private final List<Channel> channels;
    private final List<String> labels;
    private final List<Watch> watches;
    private final BitSet[] linked;
    private final List<Trouble> troubles = new ArrayList<>();

    private OperationStudy(
            Reach reach, List<String> names, List<Channel> channels, List<String> labels, List<Watch> watches) {
        this.reach = reach;
        this.names = names;
        this.channels = channels;
        this.labels = labels;
        this.watches = watches;
        this.linked =
                IntStream.range(0, names.size()).mapToObj(i -> new BitSet()).toArray(BitSet[]::new);
        Map<String, Integer> places = new HashMap<>();
        IntStream.range(0, names.size()).forEach(i -> places.put(names.get(i), i));
        reach.links().forEach(link -> linked[places.get(link.from())].set(places.get(link.to())));
    }

    /** Two that have to reach each other, by the names of their watches: each of either at least one of the other, both ways. */
    public record Pair(String one, String other) {}

    /**
     * What is wrong with an operation; what cannot work comes first.
     *
     * @param reach what each may key and hears, in the order of the names
     * @param names of all people, all different
     * @param channels the entries of all lists, in their order
     * @param labels how messages name the entries
     * @param mustTalk who has to reach whom
     */
    public static List<Trouble> of(
            Reach reach,
            List<String> names,
            List<Channel> channels,
            List<String> labels,
            List<Watch> watches,
            List<Pair> mustTalk) {
        OperationStudy study = new OperationStudy(reach, names, channels, labels, watches);
        for (int i = 0; i < watches.size(); i++) {
            study.watch(i);
        }
        study.twoPlaces();
        mustTalk.forEach(study::pair);
        study.troubles.sort(
                Comparator.comparing((Trouble each) -> !each.kind().fails()).thenComparing(Trouble::kind));
        return List.copyOf(study.troubles);
    }

    private void add(Trouble.Kind kind, int watch, String message) {
        troubles.add(new Trouble(kind, watch, watches.get(watch).name(), message));
    }

    private String entry(int place) {
        return labels.get(place);
    }

    private String people(List<Integer> some) {
        List<String> named =
                new ArrayList<>(some.stream().limit(MOST_NAMED).map(names::get).toList());
        if (some.size() > MOST_NAMED) {
            named.add(some.size() - MOST_NAMED + " more");
        }
        return Wording.list(named);
    }

    private boolean talks(int person, int entry) {
        return reach.means().get(person).talks().get(entry);
    }

    private boolean hears(int person, int entry) {
        return reach.means().get(person).hears().get(entry);
    }

    private void watch(int at) {
        Watch watch = watches.get(at);
        if (watch.people().isEmpty()) {
            add(Trouble.Kind.NOBODY, at, "Nobody of the roster is on it.");
            return;
        }
        alone(at);
        if (watch.talk().isEmpty()) {
            add(Trouble.Kind.NOTHING_TO_TALK_ON, at, "It has nothing to talk on.");
            return;
        }
        mayTalk(at);
        fallback(at);
        if (watch.talks().stream().anyMatch(entry -> watch.people().stream().anyMatch(one -> talks(one, entry)))
                && !isHeard(at)) {
            add(Trouble.Kind.UNHEARD, at, "Nobody else who is on then hears it on " + entries(watch.talks()) + ".");
        }
    }

    /** Whatever they are on by the plan: with everything that is in their radios they reach nobody else. */
    private void alone(int at) {
        List<Integer> people = watches.get(at).people();
        List<Integer> others = watches.stream()
                .flatMap(each -> each.people().stream())
                .distinct()
                .filter(each -> !people.contains(each))
                .toList();
        if (others.isEmpty() || people.stream().anyMatch(one -> others.stream().anyMatch(linked[one]::get))) {
            return;
        }
        boolean hears = others.stream().anyMatch(other -> people.stream().anyMatch(linked[other]::get));
        troubles.add(new Trouble(
                Trouble.Kind.ALONE,
                at,
                watches.get(at).name(),
                "Nobody of it reaches anybody else of the operation"
                        + (hears ? "; it hears others and cannot answer." : ", and nobody else reaches it."),
                people.get(0),
                others.get(0)));
    }

    private boolean hearsNothing(int person) {
        return reach.means().get(person).hears().isEmpty();
    }

    /** Who on a watch cannot hear its entries, and who may not key them; entries of which the same is true are told together. */
    private void mayTalk(int at) {
        Watch watch = watches.get(at);
        List<Integer> without =
                watch.people().stream().filter(this::hearsNothing).toList();
        if (!without.isEmpty() && !isAlone(List.of(at))) {
            add(Trouble.Kind.DEAF, at, "Nothing of the lists is in a radio of " + people(without) + ".");
        }
        List<Integer> with =
                watch.people().stream().filter(one -> !hearsNothing(one)).toList();
        together(watch, entry -> with.stream().filter(one -> !hears(one, entry)).toList())
                .forEach((deaf, entries) -> add(
                        Trouble.Kind.DEAF,
                        at,
                        entries(entries) + (entries.size() == 1 ? " is" : " are") + " in no radio of " + people(deaf)
                                + ", or no radio of theirs can be set to "
                                + (entries.size() == 1 ? "it." : "them.")));
        List<Integer> onlyListened = watch.talks().stream()
                .filter(entry -> channels.get(entry).transmit().isEmpty())
                .toList();
        if (!onlyListened.isEmpty()) {
            add(
                    Trouble.Kind.MAY_NOT_TALK,
                    at,
                    entries(onlyListened) + (onlyListened.size() == 1 ? " is" : " are")
                            + " only listened to: nobody talks there.");
        }
        together(
                        watch,
                        entry -> channels.get(entry).transmit().isEmpty()
                                ? List.of()
                                : with.stream()
                                        .filter(one -> hears(one, entry) && !talks(one, entry))
                                        .toList())
                .forEach((silent, entries) -> {
                    boolean nobody = watch.people().stream()
                            .noneMatch(one -> entries.stream().anyMatch(entry -> talks(one, entry)));
                    add(
                            nobody ? Trouble.Kind.MAY_NOT_TALK : Trouble.Kind.SOME_LISTEN,
                            at,
                            nobody
                                    ? "Nobody on it may talk on " + entries(entries) + "."
                                    : people(silent) + (silent.size() == 1 ? " only listens on " : " only listen on ")
                                            + entries(entries) + ": they may not key "
                                            + (entries.size() == 1 ? "it." : "them."));
                });
    }

    /** The entries that a watch talks on, by the people of whom something is true there; those of whom it is true nowhere are left out. */
    private static Map<List<Integer>, List<Integer>> together(Watch watch, IntFunction<List<Integer>> of) {
        Map<List<Integer>, List<Integer>> all = new LinkedHashMap<>();
        watch.talks().stream()
                .distinct()
                .filter(entry -> !of.apply(entry).isEmpty())
                .forEach(entry -> all.computeIfAbsent(of.apply(entry), any -> new ArrayList<>())
                        .add(entry));
        return all;
    }

    private String entries(List<Integer> places) {
        return Wording.list(places.stream().map(this::entry).toList());
    }

    private void fallback(int at) {
        Watch watch = watches.get(at);
        if (watch.fallback().isEmpty()) {
            if (!watch.instead()) {
                add(
                        Trouble.Kind.NO_FALLBACK,
                        at,
                        "Nothing is said for when " + entry(watch.talk().get()) + " fails.");
            }
            return;
        }
        int first = watch.talk().get();
        int second = watch.fallback().get();
        if (first == second || same(first, second)) {
            add(Trouble.Kind.FALLS_TOGETHER, at, "It falls back on what it talks on, " + entry(first) + ".");
        } else if (throughOne(channels.get(first), channels.get(second))) {
            add(
                    Trouble.Kind.FALLS_TOGETHER,
                    at,
                    entry(first) + " and " + entry(second) + " go through the same repeater and fail together.");
        }
    }

    private boolean same(int one, int other) {
        Channel first = channels.get(one);
        Channel second = channels.get(other);
        return first.transmit().equals(second.transmit()) && first.receive().equals(second.receive());
    }

    /** The same output, and both talk through it. */
    private static boolean throughOne(Channel one, Channel other) {
        return one.isPair() && other.isPair() && one.receive().equals(other.receive());
    }

    /** Whether anybody else who is on meanwhile hears a watch, on anything that they are on. */
    private boolean isHeard(int at) {
        Watch watch = watches.get(at);
        return IntStream.range(0, watches.size())
                .filter(other -> other != at && watches.get(other).meets(watch))
                .anyMatch(other -> watch.people().stream().anyMatch(one -> watches.get(other).people().stream()
                        .anyMatch(two -> !one.equals(two) && reaches(one, watch, two, watches.get(other)))));
    }

    /** Whether one on a watch reaches one on another, on what both are on. */
    private boolean reaches(int from, Watch there, int to, Watch here) {
        return there.talks().stream().filter(entry -> talks(from, entry)).anyMatch(entry -> here.listens().stream()
                .anyMatch(listens -> hears(to, listens) && Hearing.hears(channels.get(entry), channels.get(listens))));
    }

    private void twoPlaces() {
        for (int i = 0; i < watches.size(); i++) {
            for (int k = i + 1; k < watches.size(); k++) {
                Watch one = watches.get(i);
                Watch other = watches.get(k);
                if (!one.meets(other) || onOne(one, other)) {
                    continue;
                }
                List<Integer> both =
                        one.people().stream().filter(other.people()::contains).toList();
                if (!both.isEmpty()) {
                    troubles.add(new Trouble(
                            Trouble.Kind.TWO_PLACES,
                            i,
                            people(both),
                            (both.size() == 1 ? "Is" : "Are") + " on " + one.name() + " and on " + other.name()
                                    + " at once, on different entries."));
                }
            }
        }
    }

    /** Whether both talk on the same, also when it stands in two lists; who talks on nothing can be on another watch as well. */
    private boolean onOne(Watch one, Watch other) {
        return one.talk().isEmpty()
                || other.talk().isEmpty()
                || same(one.talk().get(), other.talk().get());
    }

    private List<Integer> named(String name) {
        return IntStream.range(0, watches.size())
                .filter(i -> watches.get(i).name().equals(name))
                .boxed()
                .toList();
    }

    private List<Integer> of(List<Integer> some) {
        Set<Integer> all = new LinkedHashSet<>();
        some.forEach(watch -> all.addAll(watches.get(watch).people()));
        return List.copyOf(all);
    }

    private void pair(Pair pair) {
        List<Integer> ones = named(pair.one());
        List<Integer> others = named(pair.other());
        if (ones.isEmpty()
                || others.isEmpty()
                || of(ones).isEmpty()
                || of(others).isEmpty()) {
            return; // that there is nobody is told already
        }
        String subject = pair.one() + " and " + pair.other();
        List<Integer> lost = Stream.concat(
                        of(ones).stream().filter(one -> of(others).stream().noneMatch(two -> linked(one, two))),
                        of(others).stream().filter(two -> of(ones).stream().noneMatch(one -> linked(one, two))))
                .distinct()
                .toList();
        if (!lost.isEmpty()) {
            if (isAlone(ones) || isAlone(others) || lost.stream().allMatch(this::hearsNothing)) {
                return; // that nothing reaches them is told already
            }
            boolean all =
                    lost.size() == Set.copyOf(concat(of(ones), of(others))).size();
            int from = lost.get(0);
            int to = (of(ones).contains(from) ? of(others) : of(ones)).get(0);
            troubles.add(new Trouble(
                    Trouble.Kind.UNMET,
                    ones.get(0),
                    subject,
                    all
                            ? "Must talk, and nobody of either reaches anybody of the other both ways."
                            : "Must talk, and " + people(lost) + (lost.size() == 1 ? " reaches" : " reach")
                                    + " nobody of the other both ways.",
                    reached(from, to) ? to : from,
                    reached(from, to) ? from : to));
            return;
        }
        if (ones.stream()
                .noneMatch(i -> others.stream().anyMatch(k -> watches.get(i).meets(watches.get(k))))) {
            troubles.add(new Trouble(
                    Trouble.Kind.NEVER_TOGETHER,
                    ones.get(0),
                    subject,
                    "Must talk, and are never on at the same time."));
            return;
        }
        boolean meet = ones.stream().anyMatch(i -> others.stream()
                .filter(k -> watches.get(i).meets(watches.get(k)))
                .anyMatch(k -> meetOnAir(watches.get(i), watches.get(k))));
        if (!meet) {
            troubles.add(new Trouble(
                    Trouble.Kind.APART,
                    ones.get(0),
                    subject,
                    "Must talk, and by this plan are on entries that do not meet" + common(ones, others) + "."));
        }
    }

    /** Whether all of some watches were told to be alone. */
    private boolean isAlone(List<Integer> some) {
        return some.stream().allMatch(watch -> troubles.stream()
                .anyMatch(each -> each.kind() == Trouble.Kind.ALONE && each.watch() == watch));
    }

    private static List<Integer> concat(List<Integer> one, List<Integer> other) {
        return Stream.concat(one.stream(), other.stream()).toList();
    }

    /** Both ways, or the same person. */
    private boolean linked(int one, int other) {
        return one == other || reached(one, other) && reached(other, one);
    }

    private boolean reached(int from, int to) {
        return linked[from].get(to);
    }

    private boolean meetOnAir(Watch one, Watch other) {
        return one.people().stream().anyMatch(here -> other.people().stream()
                .anyMatch(there ->
                        here.equals(there) || reaches(here, one, there, other) && reaches(there, other, here, one)));
    }

    /** An entry on which all of both may talk and hear, for a message. */
    private String common(List<Integer> ones, List<Integer> others) {
        List<Integer> everyone = concat(of(ones), of(others));
        Optional<Integer> entry = IntStream.range(0, channels.size())
                .boxed()
                .filter(each -> everyone.stream().allMatch(one -> talks(one, each) && hears(one, each)))
                .findFirst();
        return entry.map(each -> "; all of them may use " + entry(each)).orElse("");
    }
}
