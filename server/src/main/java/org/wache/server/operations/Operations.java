package org.wache.server.operations;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.wache.channel.Channel;
import org.wache.operation.OperationStudy;
import org.wache.operation.Trouble;
import org.wache.operation.Watch;
import org.wache.radio.Radio;
import org.wache.reach.Reach;
import org.wache.server.lists.Audits;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Source;
import org.wache.server.operations.OperationForm.EntryOf;
import org.wache.server.operations.OperationForm.WatchForm;
import org.wache.server.operations.OperationForm.Who;
import org.wache.server.radios.Fleet;
import org.wache.server.reach.ReachViews;
import org.wache.server.reach.Reached;
import org.wache.server.reach.Reaching;
import org.wache.server.releases.Releases;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** What comes of an operation: who is on it, what is in their radios, and what does not work. */
@Component
class Operations {

    /** Why one does not reach another is worked out for each two: of more people it takes longer than anybody waits. */
    private static final int MOST_ASKED_WHY = 120;

    private final ListService lists;
    private final ListStore store;
    private final Reaching reaching;
    private final Fleet fleet;
    private final Releases releases;
    private final Audits audits;

    Operations(ListService lists, ListStore store, Reaching reaching, Fleet fleet, Releases releases, Audits audits) {
        this.audits = audits;
        this.lists = lists;
        this.store = store;
        this.reaching = reaching;
        this.fleet = fleet;
        this.releases = releases;
    }

    /**
     * An operation with what it refers to.
     *
     * @param sources its lists that are there, in the order of the form
     * @param people everybody who is on a watch
     * @param reached who reaches whom; empty without people or lists
     */
    record Opened(OperationForm form, List<Source> sources, List<RosterHolder> people, Optional<Reached> reached) {

        LocalDate day() {
            return form.until().toLocalDate();
        }
    }

    /** Refuses what names a list that is not one of the group's own. */
    void check(long account, long club, OperationForm form) {
        form.check();
        for (long list : form.lists()) {
            Source source = lists.find(account, list)
                    .filter(each -> each.head().clubId() == club)
                    .orElseThrow(() -> new Missing("A list of the operation"));
            if (source.parent().isPresent()) {
                throw new Refused(source.head().name() + " follows another list: choose the one that it follows.");
            }
        }
        Set<Long> roster = store.roster(club).stream().map(RosterHolder::party).collect(Collectors.toSet());
        form.watches().stream()
                .map(each -> each.who().party())
                .filter(party -> party != null && !roster.contains(party))
                .findFirst()
                .ifPresent(party -> {
                    throw new Missing("Somebody of the roster");
                });
    }

    /** Opens one; what is not there any more is left out. */
    Opened open(long account, long club, OperationForm form, boolean why) {
        List<Source> sources = form.lists().stream()
                .flatMap(
                        list -> lists
                                .find(account, list)
                                .filter(each -> each.head().clubId() == club
                                        && each.parent().isEmpty())
                                .stream())
                .toList();
        List<RosterHolder> people = store.roster(club).stream()
                .filter(one -> form.watches().stream().anyMatch(watch -> isOn(one, watch.who())))
                .toList();
        return new Opened(
                form,
                sources,
                people,
                people.isEmpty() || sources.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                reaching.together(sources, people, form.until().toLocalDate(), why)));
    }

    private static boolean isOn(RosterHolder one, Who who) {
        return who.party() == null ? one.teams().contains(who.team()) : one.party() == who.party();
    }

    private static String name(Who who, Map<Long, String> names) {
        return who.party() == null ? who.team() : names.getOrDefault(who.party(), "Somebody who left the roster");
    }

    /** Whether it is over. */
    boolean isOver(OperationForm form) {
        return form.until().toLocalDate().isBefore(audits.today());
    }

    /** What comes of it. */
    OperationViews.OperationSheet sheet(long account, long club, OperationForm form) {
        Opened opened = open(account, club, form, false);
        Map<Long, String> names = new HashMap<>();
        opened.people().forEach(one -> names.put(one.party(), one.name()));
        List<OperationViews.OperationList> used = form.lists().stream()
                .map(list -> list(account, list, opened.sources()))
                .toList();
        return new OperationViews.OperationSheet(
                opened.day(),
                used,
                form.watches().stream()
                        .map(watch -> new OperationViews.OperationWatch(
                                name(watch.who(), names),
                                opened.people().stream()
                                        .filter(one -> isOn(one, watch.who()))
                                        .map(RosterHolder::name)
                                        .toList()))
                        .toList(),
                told(account, club, opened, troubles(opened, names, used)),
                people(club, opened));
    }

    /** In the words of the API, with the reasons where somebody does not reach another. */
    private List<OperationViews.OperationTrouble> told(long account, long club, Opened opened, List<Trouble> troubles) {
        Optional<Reached> why = troubles.stream().anyMatch(each -> each.from() >= 0)
                        && opened.people().size() <= MOST_ASKED_WHY
                ? open(account, club, opened.form(), true).reached()
                : Optional.empty();
        return troubles.stream()
                .map(each -> {
                    Optional<ReachViews.ReachGap> gap = why.filter(any -> each.from() >= 0)
                            .flatMap(reached -> reached.missing(each.from(), each.to()));
                    return new OperationViews.OperationTrouble(
                            each.kind(),
                            each.kind().fails(),
                            each.watch() < 0 ? null : each.watch(),
                            each.subject(),
                            each.message(),
                            gap.map(ReachViews.ReachGap::reasons).orElse(List.of()),
                            gap.map(ReachViews.ReachGap::least).orElse(List.of()));
                })
                .toList();
    }

    private OperationViews.OperationList list(long account, long list, List<Source> sources) {
        Optional<Source> found =
                sources.stream().filter(each -> each.head().id() == list).findFirst();
        if (found.isEmpty()) {
            return new OperationViews.OperationList(list, "A list that was deleted", false, null, false, List.of());
        }
        Optional<Integer> last = releases.lastOf(list);
        return new OperationViews.OperationList(
                list,
                found.get().head().name(),
                true,
                last.orElse(null),
                last.isPresent() && releases.numberOf(account, list).isEmpty(),
                audits.of(found.get()).stored().stream().map(Operations::entry).toList());
    }

    private static OperationViews.OperationEntry entry(ListStore.Stored stored) {
        Channel channel = stored.channel();
        return new OperationViews.OperationEntry(
                stored.id(),
                channel.number(),
                channel.name(),
                words(channel),
                channel.transmit().isPresent());
    }

    /** An entry as one says it: 146.940, talks on 146.340, 100.0. */
    static String words(Channel channel) {
        return Stream.of(
                        channel.receive().map(Frequency::megahertz),
                        channel.transmit()
                                .filter(talks -> !channel.receive().equals(Optional.of(talks)))
                                .map(talks -> "talks on " + talks.megahertz()),
                        channel.transmit().isEmpty() ? Optional.of("listening only") : Optional.<String>empty(),
                        channel.sends().map(Tone::text))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
    }

    private static List<Trouble> troubles(
            Opened opened, Map<Long, String> names, List<OperationViews.OperationList> lists) {
        OperationForm form = opened.form();
        List<Trouble> all = new ArrayList<>();
        for (int i = 0; i < form.watches().size(); i++) {
            WatchForm watch = form.watches().get(i);
            long gone = watch.entries()
                    .filter(each -> place(opened, each).isEmpty() && !isThere(lists, each))
                    .count();
            if (gone > 0) {
                all.add(new Trouble(
                        Trouble.Kind.GONE,
                        i,
                        name(watch.who(), names),
                        gone == 1
                                ? "An entry that it uses is not in its list any more. Choose another."
                                : gone + " entries that it uses are not in their lists any more. Choose others."));
            }
        }
        if (opened.sources().isEmpty() && !form.watches().isEmpty()) {
            all.add(new Trouble(
                    Trouble.Kind.NOTHING_TO_TALK_ON,
                    -1,
                    "The operation",
                    "uses no list yet: choose which are in the radios."));
        } else {
            all.addAll(study(opened, names));
        }
        lists.stream()
                .filter(each -> each.there() && (each.release() == null || each.changed()))
                .forEach(each -> all.add(new Trouble(
                        Trouble.Kind.NOT_OUT,
                        -1,
                        each.name(),
                        each.release() == null
                                ? "Has not gone out: no radio can be loaded with it yet."
                                : "Was changed since release " + each.release() + " went out.")));
        all.sort(Comparator.comparing((Trouble each) -> !each.kind().fails()));
        return all;
    }

    private static List<Trouble> study(Opened opened, Map<Long, String> names) {
        OperationForm form = opened.form();
        return OperationStudy.of(
                opened.reached()
                        .map(Reached::reach)
                        .orElseGet(() -> nothing(opened.people().size())),
                opened.reached().map(Reached::names).orElseGet(() -> opened.people().stream()
                        .map(one -> one.name() + " " + one.party())
                        .toList()),
                opened.reached().map(Reached::channels).orElse(List.of()),
                labels(opened),
                form.watches().stream().map(each -> watch(opened, each, names)).toList(),
                form.mustTalk().stream()
                        .map(pair -> new OperationStudy.Pair(name(pair.one(), names), name(pair.other(), names)))
                        .toList());
    }

    /** How messages name the entries: with their list where another has one that is called the same. */
    private static List<String> labels(Opened opened) {
        List<Reached.Entry> entries = opened.reached().map(Reached::stored).orElse(List.of());
        Map<String, Long> alike =
                entries.stream().collect(Collectors.groupingBy(Operations::label, Collectors.counting()));
        Map<Long, String> names = opened.sources().stream()
                .collect(Collectors.toMap(
                        source -> source.head().id(), source -> source.head().name()));
        return entries.stream()
                .map(each ->
                        alike.get(label(each)) > 1 ? label(each) + " (" + names.get(each.list()) + ")" : label(each))
                .toList();
    }

    private static String label(Reached.Entry entry) {
        Channel channel = entry.stored().channel();
        return (channel.number() + " " + channel.name()).strip();
    }

    private static boolean isThere(List<OperationViews.OperationList> lists, EntryOf entry) {
        return lists.stream().filter(each -> each.id() == entry.list()).anyMatch(each -> each.entries().stream()
                .anyMatch(one -> one.id() == entry.entry()));
    }

    private static Reach nothing(int people) {
        return new Reach(
                List.of(),
                List.of(),
                List.of(),
                Stream.generate(() -> new Reach.Means(new java.util.BitSet(), new java.util.BitSet()))
                        .limit(people)
                        .toList());
    }

    private static Optional<Integer> place(Opened opened, EntryOf entry) {
        return entry == null
                ? Optional.empty()
                : opened.reached().flatMap(reached -> reached.place(entry.list(), entry.entry()));
    }

    private static Watch watch(Opened opened, WatchForm watch, Map<Long, String> names) {
        List<Integer> people = new ArrayList<>();
        for (int i = 0; i < opened.people().size(); i++) {
            if (isOn(opened.people().get(i), watch.who())) {
                people.add(i);
            }
        }
        return new Watch(
                name(watch.who(), names),
                people,
                opened.form().begins(watch),
                opened.form().ends(watch),
                place(opened, watch.talk()),
                place(opened, watch.fallback()),
                !watch.instead().isBlank(),
                watch.also().stream()
                        .flatMap(each -> place(opened, each).stream())
                        .toList());
    }

    private List<OperationViews.OperationPerson> people(long club, Opened opened) {
        Map<Long, List<OperationViews.OperationRadio>> radios =
                radios(club, opened.people().stream().map(RosterHolder::party).collect(Collectors.toSet()));
        List<Set<Long>> carriers = opened.sources().stream()
                .map(source -> store.carriers(store.family(source.head().id())).values().stream()
                        .flatMap(List::stream)
                        .map(RosterHolder::party)
                        .collect(Collectors.toSet()))
                .toList();
        return opened.people().stream()
                .map(one -> {
                    Set<String> carries = new LinkedHashSet<>();
                    for (int i = 0; i < carriers.size(); i++) {
                        if (carriers.get(i).contains(one.party())) {
                            carries.add(opened.sources().get(i).head().name());
                        }
                    }
                    return new OperationViews.OperationPerson(
                            one.party(), one.name(), List.copyOf(carries), radios.getOrDefault(one.party(), List.of()));
                })
                .toList();
    }

    private Map<Long, List<OperationViews.OperationRadio>> radios(long club, Set<Long> parties) {
        Map<Long, Fleet.Unit> units =
                fleet.units(club).stream().collect(Collectors.toMap(Fleet.Unit::id, Function.identity()));
        Map<Long, List<OperationViews.OperationRadio>> all = new HashMap<>();
        Map<Long, String> inside = releases.inside(club);
        fleet.custody(club).values().stream()
                .filter(each -> parties.contains(each.party()) && units.containsKey(each.unit()))
                .forEach(each -> {
                    Radio radio = units.get(each.unit()).radio();
                    all.computeIfAbsent(each.party(), any -> new ArrayList<>())
                            .add(new OperationViews.OperationRadio(
                                    each.unit(),
                                    radio.label().orElse(""),
                                    radio.model().name(),
                                    inside.getOrDefault(each.unit(), "")));
                });
        return all;
    }
}
