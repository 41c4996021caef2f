package org.wache.reach;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.RuleSet;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
import org.wache.signal.Frequency;

/**
 * Works out who reaches whom with one or several lists. One may talk on an entry when the auditor lets them key it with a radio of
 * theirs on the day; the other hears it when a radio of theirs can be set to an entry on which it is heard.
 */
public final class ReachStudy {

    /** What keeps a radio from being set to an entry, even to listen. */
    private static final Set<Slug> DEAF = EnumSet.of(
            Slug.UNREADABLE,
            Slug.FREQUENCY_IMPLAUSIBLE,
            Slug.RADIO_RANGE,
            Slug.RADIO_STEP,
            Slug.RADIO_MODE,
            Slug.RADIO_TONE);

    private static final int MOST_REASONS = 3;
    private static final int MOST_NAMED = 8;

    private final RuleSet rules;
    private final AuditContext context;
    private final List<Person> people;
    private final List<Channel> channels;
    private final List<String> numbers;
    private final ChannelList heard;
    private final ChannelList keyed;
    private final BitSet[] heardOn;
    private final Map<List<Object>, Audit> audits = new HashMap<>();
    private final Map<List<Object>, BitSet> ears = new HashMap<>();

    private ReachStudy(RuleSet rules, AuditContext context, List<Person> people, List<ChannelList> lists) {
        this.rules = rules;
        this.context = context;
        this.people = people;
        this.channels = lists.stream().flatMap(list -> list.channels().stream()).toList();
        this.numbers = lists.stream()
                .flatMap(list -> list.channels().stream()
                        .map(channel -> lists.size() == 1 ? channel.number() : list.name() + " " + channel.number()))
                .toList();
        this.keyed = new ChannelList("reach", List.of(), numbered(channels));
        this.heard = new ChannelList(
                "reach",
                List.of(),
                keyed.channels().stream()
                        .map(channel -> channel.with(Map.of(Field.TX_MHZ, "", Field.TX_TONE, "", Field.USE, "")))
                        .toList());
        this.heardOn = heardOn(channels);
    }

    /** On which entries each is heard; only those that listen where it, or its repeater, is sent are asked. */
    private static BitSet[] heardOn(List<Channel> channels) {
        Map<Frequency, List<Integer>> listening = new HashMap<>();
        for (int i = 0; i < channels.size(); i++) {
            int entry = i;
            channels.get(i).receive().ifPresent(on -> listening
                    .computeIfAbsent(on, any -> new ArrayList<>())
                    .add(entry));
        }
        BitSet[] heardOn = new BitSet[channels.size()];
        for (int i = 0; i < channels.size(); i++) {
            Channel talks = channels.get(i);
            BitSet on = new BitSet();
            if (talks.transmit().isPresent()) {
                Stream.of(talks.transmit(), talks.receive())
                        .flatMap(Optional::stream)
                        .distinct()
                        .flatMap(sent -> listening.getOrDefault(sent, List.of()).stream())
                        .filter(listens -> Hearing.hears(talks, channels.get(listens)))
                        .forEach(on::set);
            }
            heardOn[i] = on;
        }
        return heardOn;
    }

    /** Entries of several lists may have the same numbers, which is nobody's fault here. */
    private static List<Channel> numbered(List<Channel> channels) {
        return IntStream.range(0, channels.size())
                .mapToObj(i -> channels.get(i).with(Map.of(Field.NUMBER, Integer.toString(i + 1))))
                .toList();
    }

    /**
     * Who reaches whom.
     *
     * @param context the day, the place and the house rules; whom and which radios it names does not matter
     * @param known the radios that could be had, for what would help
     */
    public static Reach of(
            RuleSet rules, AuditContext context, List<Person> people, List<ChannelList> lists, List<Radio> known) {
        return new ReachStudy(rules, context, people, lists).study(known);
    }

    /** As {@link #of}, without asking why anybody does not reach anybody, which takes much longer. */
    public static Reach links(RuleSet rules, AuditContext context, List<Person> people, List<ChannelList> lists) {
        return new ReachStudy(rules, context, people, lists).linked().reach(List.of());
    }

    private Reach study(List<Radio> known) {
        Linked linked = linked();
        return linked.reach(missing(linked, known));
    }

    /** Who reaches whom: what each may key and hears, the links, and the same by places. */
    private record Linked(
            List<BitSet> talks, List<BitSet> hears, List<Reach.Link> links, boolean[][] linked, List<String> alone) {

        Reach reach(List<Reach.Missing> missing) {
            return new Reach(
                    links,
                    missing,
                    alone,
                    IntStream.range(0, talks.size())
                            .mapToObj(one -> new Reach.Means(talks.get(one), hears.get(one)))
                            .toList());
        }
    }

    private Linked linked() {
        List<BitSet> talks = people.stream().map(this::talks).toList();
        List<BitSet> hears = people.stream().map(this::hears).toList();
        List<Reach.Link> links = new ArrayList<>();
        boolean[][] linked = new boolean[people.size()][people.size()];
        for (int from = 0; from < people.size(); from++) {
            for (int to = 0; to < people.size(); to++) {
                BitSet on = from == to ? new BitSet() : reached(talks.get(from), hears.get(to));
                linked[from][to] = !on.isEmpty();
                if (!on.isEmpty()) {
                    links.add(new Reach.Link(
                            people.get(from).name(),
                            people.get(to).name(),
                            on.stream().mapToObj(numbers::get).toList()));
                }
            }
        }
        return new Linked(talks, hears, links, linked, alone(linked));
    }

    private List<Reach.Missing> missing(Linked all, List<Radio> known) {
        List<Reach.Missing> missing = new ArrayList<>();
        for (int from = 0; from < people.size(); from++) {
            for (int to = 0; to < people.size(); to++) {
                if (from != to && !all.linked()[from][to]) {
                    BitSet talks = all.talks().get(from);
                    BitSet hears = all.hears().get(to);
                    missing.add(new Reach.Missing(
                            people.get(from).name(),
                            people.get(to).name(),
                            reasons(people.get(from), people.get(to), talks, hears),
                            least(from, to, all.linked(), all.talks(), all.hears(), known)));
                }
            }
        }
        return missing;
    }

    private List<String> alone(boolean[][] linked) {
        return IntStream.range(0, people.size())
                .filter(one -> IntStream.range(0, people.size()).noneMatch(other -> linked[one][other])
                        || IntStream.range(0, people.size()).noneMatch(other -> linked[other][one]))
                .mapToObj(one -> people.get(one).name())
                .toList();
    }

    /** The entries that one keys and a radio of the other hears. */
    private BitSet reached(BitSet talks, BitSet hears) {
        BitSet on = new BitSet();
        talks.stream().filter(entry -> heardOn[entry].intersects(hears)).forEach(on::set);
        return on;
    }

    private static List<Optional<Radio>> means(Person person) {
        return person.radios()
                .map(radios -> radios.stream().map(Optional::of).toList())
                .orElse(List.of(Optional.empty()));
    }

    /** The entries that somebody may key with a radio of theirs. */
    private BitSet talks(Person person) {
        BitSet all = new BitSet();
        for (Optional<Radio> radio : means(person)) {
            Audit audit = audit(person.holder(), radio);
            for (int i = 0; i < channels.size(); i++) {
                Verdict verdict = audit.entry(i).verdict();
                boolean silent = radio.filter(Radio::inhibited).isPresent()
                        || channels.get(i).transmit().isEmpty();
                all.set(i, all.get(i) || (verdict == Verdict.CLEAR || verdict == Verdict.QUERY) && !silent);
            }
        }
        return all;
    }

    private Audit audit(Holder holder, Optional<Radio> radio) {
        return audits.computeIfAbsent(List.of(holder.licences(), radio), any -> new Auditor(
                        rules,
                        context.with(List.of(holder)).forRadios(radio.stream().toList()))
                .audit(keyed));
    }

    /** The entries that a radio of somebody can be set to, to listen. */
    private BitSet hears(Person person) {
        BitSet all = new BitSet();
        means(person).forEach(radio -> all.or(ears(radio)));
        return all;
    }

    private BitSet ears(Optional<Radio> radio) {
        return ears.computeIfAbsent(List.of(radio), any -> {
            Audit audit = new Auditor(
                            rules,
                            context.with(List.of(new Holder("nobody", List.of())))
                                    .forRadios(radio.stream().toList()))
                    .audit(heard);
            BitSet all = new BitSet();
            for (int i = 0; i < channels.size(); i++) {
                all.set(
                        i,
                        channels.get(i).receive().isPresent()
                                && audit.findings(i).stream()
                                        .noneMatch(each -> each.holds() && DEAF.contains(each.slug())));
            }
            return all;
        });
    }

    private List<String> reasons(Person from, Person to, BitSet talks, BitSet hears) {
        if (from.radios().filter(List::isEmpty).isPresent()) {
            return List.of(from.name() + " has no radio.");
        }
        if (to.radios().filter(List::isEmpty).isPresent()) {
            return List.of(to.name() + " has no radio.");
        }
        if (hears.isEmpty()) {
            return List.of("No radio of " + to.name() + " can be set to an entry of the list.");
        }
        Set<String> all = new LinkedHashSet<>();
        for (int i = 0; i < channels.size() && all.size() < MOST_REASONS; i++) {
            if (heardOn[i].intersects(hears) && !talks.get(i)) {
                why(from, i).ifPresent(all::add);
            }
        }
        if (!talks.isEmpty()) {
            all.add("What " + from.name() + " may key (" + some(talks) + ") no radio of " + to.name() + " hears.");
        }
        return all.isEmpty() ? List.of("No entry of the list talks.") : List.copyOf(all);
    }

    private String some(BitSet entries) {
        List<String> first = new ArrayList<>(
                entries.stream().limit(MOST_NAMED).mapToObj(numbers::get).toList());
        if (entries.cardinality() > MOST_NAMED) {
            first.add(entries.cardinality() - MOST_NAMED + " more");
        }
        return Wording.list(first);
    }

    /** Why somebody may not key an entry, with the radio that comes nearest to it. */
    private Optional<String> why(Person person, int entry) {
        return means(person).stream()
                .map(radio -> audit(person.holder(), radio).findings(entry).stream()
                        .filter(Finding::holds)
                        .toList())
                .filter(holds -> !holds.isEmpty())
                .min(java.util.Comparator.comparingInt(List::size))
                .map(holds -> numbers.get(entry) + " " + channels.get(entry).name() + ", " + person.name() + ": "
                        + holds.get(0).message());
    }

    private List<String> least(
            int from, int to, boolean[][] linked, List<BitSet> talks, List<BitSet> hears, List<Radio> known) {
        Person one = people.get(from);
        Person other = people.get(to);
        List<String> all = new ArrayList<>();
        Helps helps = new Helps(context.edition());
        helps.licences(one.holder())
                .filter(licensed -> !reached(talks(one.with(licensed.holder())), hears.get(to))
                        .isEmpty())
                .findFirst()
                .ifPresent(licensed -> all.add(licensed.words() + " for " + one.name()));
        known.stream()
                .filter(radio ->
                        !reached(talks.get(from), ears(Optional.of(radio))).isEmpty())
                .findFirst()
                .ifPresent(radio -> all.add("a radio like " + radio.name() + " for " + other.name()));
        known.stream()
                .filter(radio -> !reached(talks(one.with(radio)), hears.get(to)).isEmpty())
                .findFirst()
                .ifPresent(radio -> all.add("a radio like " + radio.name() + " for " + one.name()));
        IntStream.range(0, people.size())
                .filter(relay -> linked[from][relay] && linked[relay][to])
                .mapToObj(relay -> people.get(relay).name() + " relays")
                .findFirst()
                .ifPresent(all::add);
        helps.channels()
                .filter(channel -> mayBoth(one, other, channel))
                .findFirst()
                .ifPresent(channel -> all.add("an entry on " + channel.name() + " ("
                        + channel.receive().orElseThrow() + "), which both may use"));
        return all;
    }

    /** Whether one may key a further channel, and the other hears it. */
    private boolean mayBoth(Person one, Person other, Channel channel) {
        Reach alone = links(
                rules, context, List.of(one, other), List.of(new ChannelList("one", List.of(), List.of(channel))));
        return alone.links().size() == 2;
    }
}
