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
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.audit.Alike;
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
    /** Audits of lists with more entries are not kept. */
    private static final int MOST_KEPT = 1_000;

    private final RuleSet rules;
    private final List<Part> parts;
    private final List<Person> people;
    private final List<Channel> channels;
    private final List<String> numbers;
    private final BitSet[] heardOn;
    private final Map<List<Object>, Audit> audits = new HashMap<>();
    private final Map<List<Object>, BitSet> ears = new HashMap<>();
    /** For each of the people which kind they are of. */
    private final List<Integer> kinds;

    /** By the kinds of two people. */
    private final Map<List<Integer>, List<Help>> changes = new HashMap<>();

    private final Map<List<Integer>, Optional<String>> furtherChannels = new HashMap<>();

    /**
     * One of the lists.
     *
     * @param place which it is, from 0
     * @param first the place of its first entry among those of all lists
     * @param heard its entries as those who only listen have them
     */
    private record Part(int place, int first, AuditContext context, ChannelList keyed, ChannelList heard) {

        int size() {
            return keyed.channels().size();
        }

        boolean has(int entry) {
            return entry >= first && entry < first + size();
        }
    }

    private ReachStudy(RuleSet rules, List<Listed> lists, List<Person> people) {
        this.rules = rules;
        this.people = people;
        this.channels =
                lists.stream().flatMap(each -> each.list().channels().stream()).toList();
        this.numbers = numbers(lists.stream().map(Listed::list).toList());
        this.parts = parts(lists);
        this.heardOn = heardOn(channels);
        Map<Object, Integer> known = new HashMap<>();
        this.kinds = people.stream()
                .map(this::kind)
                .map(kind -> known.computeIfAbsent(kind, any -> known.size()))
                .toList();
    }

    /** Equal for people who may key, and hear, the same: for many people there are few. */
    private Object kind(Person person) {
        return List.of(
                parts.stream()
                        .map(part -> Alike.of(person.holder(), part.context()))
                        .toList(),
                person.radios()
                        .map(radios -> radios.stream().map(Radio::unlabelled).collect(Collectors.toSet())),
                person.carries());
    }

    /** How messages name the entries of lists, in their order: with the list before the number where there are several. */
    public static List<String> numbers(List<ChannelList> lists) {
        return lists.stream()
                .flatMap(list -> list.channels().stream()
                        .map(channel -> lists.size() == 1 ? channel.number() : list.name() + " " + channel.number()))
                .toList();
    }

    private static List<Part> parts(List<Listed> lists) {
        List<Part> parts = new ArrayList<>();
        int first = 0;
        for (Listed each : lists) {
            ChannelList keyed = new ChannelList(
                    each.list().name(), List.of(), numbered(each.list().channels()));
            ChannelList heard = new ChannelList(
                    each.list().name(),
                    List.of(),
                    keyed.channels().stream()
                            .map(channel -> channel.with(Map.of(Field.TX_MHZ, "", Field.TX_TONE, "", Field.USE, "")))
                            .toList());
            parts.add(new Part(parts.size(), first, each.context(), keyed, heard));
            first += keyed.channels().size();
        }
        return parts;
    }

    private Part partOf(int entry) {
        return parts.stream().filter(part -> part.has(entry)).findFirst().orElseThrow();
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

    /** Entries may have the same numbers, or none: the audit of the list says so, and here it is nobody's fault. */
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
        return of(rules, listed(context, lists), people, known);
    }

    /** As {@link #of(RuleSet, AuditContext, List, List, List)}, each list held against what is its own. */
    public static Reach of(RuleSet rules, List<Listed> lists, List<Person> people, List<Radio> known) {
        return new ReachStudy(rules, lists, people).study(known);
    }

    private static List<Listed> listed(AuditContext context, List<ChannelList> lists) {
        return lists.stream().map(list -> new Listed(context, list)).toList();
    }

    /** Who reaches whom, without asking why anybody does not reach anybody, which takes much longer. */
    public static Reach links(RuleSet rules, AuditContext context, List<Person> people, List<ChannelList> lists) {
        return links(rules, listed(context, lists), people);
    }

    /** As {@link #links(RuleSet, AuditContext, List, List)}, each list held against what is its own. */
    public static Reach links(RuleSet rules, List<Listed> lists, List<Person> people) {
        ReachStudy study = new ReachStudy(rules, lists, people);
        return study.reach(study.linked(), List.of());
    }

    /**
     * Who reaches whom, without the entries on which they do, which for many people are more than fit.
     *
     * @param means what each may key and hears, in the order of the people
     * @param reaches for each the places of those whom they reach
     */
    public record Matrix(List<Reach.Means> means, List<BitSet> reaches) {}

    /** Who reaches whom, for any number of people. */
    public static Matrix matrix(RuleSet rules, List<Listed> lists, List<Person> people) {
        Linked linked = new ReachStudy(rules, lists, people).linked();
        return new Matrix(linked.means(), linked.reaches());
    }

    private Reach study(List<Radio> known) {
        Linked linked = linked();
        return reach(linked, missing(linked, known));
    }

    /** What each may key and hears, and whom each reaches, by places. */
    private record Linked(List<BitSet> talks, List<BitSet> hears, List<BitSet> reaches) {

        boolean reach(int from, int to) {
            return reaches.get(from).get(to);
        }

        List<Reach.Means> means() {
            return IntStream.range(0, talks.size())
                    .mapToObj(one -> new Reach.Means(talks.get(one), hears.get(one)))
                    .toList();
        }
    }

    private Linked linked() {
        Map<Integer, BitSet> talksOf = new HashMap<>();
        Map<Integer, BitSet> hearsOf = new HashMap<>();
        for (int one = 0; one < people.size(); one++) {
            Person person = people.get(one);
            talksOf.computeIfAbsent(kinds.get(one), any -> talks(person));
            hearsOf.computeIfAbsent(kinds.get(one), any -> hears(person));
        }
        List<BitSet> talks = kinds.stream().map(talksOf::get).toList();
        List<BitSet> hears = kinds.stream().map(hearsOf::get).toList();
        List<BitSet> reaches = new ArrayList<>();
        for (int from = 0; from < people.size(); from++) {
            BitSet isHeardOn = new BitSet();
            talks.get(from).stream().forEach(entry -> isHeardOn.or(heardOn[entry]));
            BitSet whom = new BitSet();
            for (int to = 0; to < people.size(); to++) {
                whom.set(to, from != to && isHeardOn.intersects(hears.get(to)));
            }
            reaches.add(whom);
        }
        return new Linked(talks, hears, reaches);
    }

    private Reach reach(Linked linked, List<Reach.Missing> missing) {
        List<Reach.Link> links = new ArrayList<>();
        for (int from = 0; from < people.size(); from++) {
            int one = from;
            linked.reaches().get(from).stream()
                    .forEach(to -> links.add(new Reach.Link(
                            people.get(one).name(),
                            people.get(to).name(),
                            reached(linked.talks().get(one), linked.hears().get(to)).stream()
                                    .mapToObj(numbers::get)
                                    .toList())));
        }
        return new Reach(links, missing, alone(linked), linked.means());
    }

    private List<Reach.Missing> missing(Linked all, List<Radio> known) {
        List<Reach.Missing> missing = new ArrayList<>();
        for (int from = 0; from < people.size(); from++) {
            for (int to = 0; to < people.size(); to++) {
                if (from != to && !all.reach(from, to)) {
                    BitSet talks = all.talks().get(from);
                    BitSet hears = all.hears().get(to);
                    missing.add(new Reach.Missing(
                            people.get(from).name(),
                            people.get(to).name(),
                            reasons(people.get(from), people.get(to), talks, hears),
                            least(from, to, all, known)));
                }
            }
        }
        return missing;
    }

    private List<String> alone(Linked linked) {
        BitSet areReached = new BitSet();
        linked.reaches().forEach(areReached::or);
        return IntStream.range(0, people.size())
                .filter(one -> linked.reaches().get(one).isEmpty() || !areReached.get(one))
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

    /** The entries of the lists that somebody carries which they may key with a radio of theirs. */
    private BitSet talks(Person person) {
        BitSet all = new BitSet();
        for (Part part : carried(person)) {
            for (Optional<Radio> radio : means(person)) {
                Audit audit = audit(person.holder(), radio.map(Radio::unlabelled), part);
                boolean silent = radio.filter(Radio::inhibited).isPresent();
                for (int i = 0; i < part.size() && !silent; i++) {
                    Verdict verdict = audit.entry(i).verdict();
                    if ((verdict == Verdict.CLEAR || verdict == Verdict.QUERY)
                            && channels.get(part.first() + i).transmit().isPresent()) {
                        all.set(part.first() + i);
                    }
                }
            }
        }
        return all;
    }

    private List<Part> carried(Person person) {
        return parts.stream().filter(part -> person.carries(part.place())).toList();
    }

    /** Kept for who is alike; of long lists it is looked at once for each kind of people, and would fill the memory. */
    private Audit audit(Holder holder, Optional<Radio> radio, Part part) {
        if (part.size() > MOST_KEPT) {
            return audited(holder, radio, part);
        }
        return audits.computeIfAbsent(
                List.of(Alike.of(holder, part.context()), radio, part.place()), any -> audited(holder, radio, part));
    }

    private Audit audited(Holder holder, Optional<Radio> radio, Part part) {
        return auditor(holder, radio, part).audit(part.keyed());
    }

    private Auditor auditor(Holder holder, Optional<Radio> radio, Part part) {
        return new Auditor(
                rules,
                part.context().with(List.of(holder)).forRadios(radio.stream().toList()));
    }

    /** Of one entry; of a long list it is judged by itself: what others have to do with it holds up nobody. */
    private List<Finding> findings(Holder holder, Optional<Radio> radio, Part part, int entry) {
        if (part.size() > MOST_KEPT) {
            return auditor(holder, radio, part)
                    .audit(new ChannelList(
                            part.keyed().name(),
                            List.of(),
                            List.of(part.keyed().channels().get(entry))))
                    .findings(0);
        }
        return audit(holder, radio, part).findings(entry);
    }

    /** The entries of the lists that somebody carries to which a radio of theirs can be set, to listen. */
    private BitSet hears(Person person) {
        BitSet all = new BitSet();
        carried(person)
                .forEach(part -> means(person).forEach(radio -> all.or(ears(radio.map(Radio::unlabelled), part))));
        return all;
    }

    private BitSet ears(Optional<Radio> radio, Part part) {
        return ears.computeIfAbsent(List.of(radio, part.place()), any -> {
            Audit audit = new Auditor(
                            rules,
                            part.context()
                                    .with(List.of(new Holder("nobody", List.of())))
                                    .forRadios(radio.stream().toList()))
                    .audit(part.heard());
            BitSet all = new BitSet();
            for (int i = 0; i < part.size(); i++) {
                all.set(
                        part.first() + i,
                        channels.get(part.first() + i).receive().isPresent()
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
        for (Person each : List.of(from, to)) {
            if (carried(each).isEmpty()) {
                return List.of(each.name() + " carries none of the lists.");
            }
        }
        if (hears.isEmpty()) {
            return List.of("No radio of " + to.name() + " can be set to an entry of the list.");
        }
        Set<String> all = new LinkedHashSet<>();
        for (int i = 0; i < channels.size() && all.size() < MOST_REASONS; i++) {
            if (heardOn[i].intersects(hears) && !talks.get(i)) {
                Part part = partOf(i);
                if (from.carries(part.place())) {
                    why(from, i).ifPresent(all::add);
                } else {
                    all.add(from.name() + " does not carry " + part.keyed().name() + ".");
                }
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
        Part part = partOf(entry);
        return means(person).stream()
                .map(radio -> findings(person.holder(), radio, part, entry - part.first()).stream()
                        .filter(Finding::holds)
                        .toList())
                .filter(holds -> !holds.isEmpty())
                .min(java.util.Comparator.comparingInt(List::size))
                .map(holds -> numbers.get(entry) + " " + channels.get(entry).name() + ", " + person.name() + ": "
                        + holds.get(0).message());
    }

    /** Something that helps, and for whom; for nobody in particular where it says whom it helps. */
    private record Help(String words, Whose whose) {

        private enum Whose {
            FROM,
            TO,
            NOBODY
        }

        String words(Person from, Person to) {
            return switch (whose) {
                case FROM -> words + " for " + from.name();
                case TO -> words + " for " + to.name();
                case NOBODY -> words;
            };
        }
    }

    /** What would help, the same for all of two kinds of people, but for who relays. */
    private List<String> least(int from, int to, Linked linked, List<Radio> known) {
        Person one = people.get(from);
        Person other = people.get(to);
        List<Integer> both = List.of(kinds.get(from), kinds.get(to));
        List<String> all = new ArrayList<>();
        changes.computeIfAbsent(both, any -> changes(from, to, linked, known))
                .forEach(help -> all.add(help.words(one, other)));
        IntStream.range(0, people.size())
                .filter(relay -> linked.reach(from, relay) && linked.reach(relay, to))
                .mapToObj(relay -> people.get(relay).name() + " relays")
                .findFirst()
                .ifPresent(all::add);
        furtherChannels
                .computeIfAbsent(both, any -> new Helps(parts.get(0).context().edition())
                        .channels()
                        .filter(channel -> mayBoth(one, other, channel))
                        .findFirst()
                        .map(channel -> "an entry on " + channel.name() + " ("
                                + channel.receive().orElseThrow() + "), which both may use"))
                .ifPresent(all::add);
        return all;
    }

    /** Lists, licences and radios that would let one reach the other. */
    private List<Help> changes(int from, int to, Linked linked, List<Radio> known) {
        BitSet talks = linked.talks().get(from);
        BitSet hears = linked.hears().get(to);
        Person one = people.get(from);
        Person other = people.get(to);
        List<Help> all = new ArrayList<>();
        parts.stream()
                .filter(part -> !one.carries(part.place()))
                .filter(part ->
                        !reached(talks(one.carrying(part.place())), hears).isEmpty())
                .findFirst()
                .ifPresent(part -> all.add(new Help(part.keyed().name(), Help.Whose.FROM)));
        parts.stream()
                .filter(part -> !other.carries(part.place()))
                .filter(part ->
                        !reached(talks, hears(other.carrying(part.place()))).isEmpty())
                .findFirst()
                .ifPresent(part -> all.add(new Help(part.keyed().name(), Help.Whose.TO)));
        new Helps(parts.get(0).context().edition())
                .licences(one.holder())
                .filter(licensed ->
                        !reached(talks(one.with(licensed.holder())), hears).isEmpty())
                .findFirst()
                .ifPresent(licensed -> all.add(new Help(licensed.words(), Help.Whose.FROM)));
        known.stream()
                .filter(radio -> !reached(talks, hears(other.with(radio))).isEmpty())
                .findFirst()
                .ifPresent(radio -> all.add(new Help("a radio like " + radio.name(), Help.Whose.TO)));
        known.stream()
                .filter(radio -> !reached(talks(one.with(radio)), hears).isEmpty())
                .findFirst()
                .ifPresent(radio -> all.add(new Help("a radio like " + radio.name(), Help.Whose.FROM)));
        return all;
    }

    /** Whether one may key a further channel, and the other hears it. */
    private boolean mayBoth(Person one, Person other, Channel channel) {
        Reach alone = links(
                rules,
                parts.get(0).context(),
                List.of(one.with(Set.of(0)), other.with(Set.of(0))),
                List.of(new ChannelList("one", List.of(), List.of(channel))));
        return alone.links().size() == 2;
    }
}
