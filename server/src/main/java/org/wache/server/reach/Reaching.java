package org.wache.server.reach;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
import org.wache.reach.Concern;
import org.wache.reach.Concerns;
import org.wache.reach.Listed;
import org.wache.reach.Person;
import org.wache.reach.Reach;
import org.wache.reach.ReachStudy;
import org.wache.server.lists.Audits;
import org.wache.server.lists.HolderViews;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Source;
import org.wache.server.radios.Fleet;
import org.wache.server.reach.ReachViews.ReachPerson;
import org.wache.server.web.Refused;

/** Brings together what a list, the roster and the radios in people's hands say, and has it worked out who reaches whom. */
@Component
public class Reaching {

    private static final int KEPT = 500;
    private static final int KEPT_TOGETHER = 50;
    private static final int KEPT_STUDIES = 12;
    /** Of so many each with each are some 160,000 ways, which is what a page can take. */
    private static final int MOST_PEOPLE = 400;
    /** Of each with each of them, all entries together. */
    private static final long MOST_TOLD = 4_000_000;

    private final Audits audits;
    private final ListStore store;
    private final Fleet fleet;

    Reaching(Audits audits, ListStore store, Fleet fleet) {
        this.audits = audits;
        this.store = store;
        this.fleet = fleet;
    }

    /** A mark of the radios in the hands of some: another when one of them was changed, written or tried, or is in other hands. */
    private int radiosOf(List<Long> parties) {
        return fleet.hands(parties).hashCode();
    }

    private final Map<Asked, Reached> studies = Caffeine.newBuilder()
            .maximumSize(KEPT_STUDIES)
            .<Asked, Reached>build()
            .asMap();

    /**
     * Who reaches whom of those who carry a list or one that follows it, or of everybody of the roster.
     *
     * @throws Refused for more people than can be drawn
     */
    Reached study(Source source, boolean everyone, LocalDate day) {
        long club = source.head().clubId();
        List<RosterHolder> who = few(
                everyone ? store.roster(club) : carriers(store.family(source.entriesOf())),
                audits.of(source).stored().size());
        Asked asked = new Asked(audits.key(source), parties(who), day, radiosOf(parties(who)));
        Reached known = studies.get(asked);
        if (known == null) {
            People people = people(source, who, day);
            known = reached(
                    day,
                    List.of(source),
                    List.of(people.context()),
                    people,
                    lists -> ReachStudy.of(Register.ALL, lists, people.all(), known(club)));
            studies.put(asked, known);
        }
        return known;
    }

    /** What is told of each with each are the entries on which they do: of many people and long lists more than fits. */
    private static List<RosterHolder> few(List<RosterHolder> who, int entries) {
        if (who.size() > MOST_PEOPLE) {
            throw new Refused("Who reaches whom is worked out for up to " + MOST_PEOPLE + " people; here are "
                    + who.size() + ". Choose fewer.");
        }
        if ((long) who.size() * who.size() * entries > MOST_TOLD) {
            throw new Refused("Who reaches whom of " + who.size() + " people on " + entries
                    + " entries is more than can be drawn. Choose fewer people, or lists with fewer entries: what nobody hears, and who"
                    + " reaches nobody, is told on the page Release all the same.");
        }
        return who;
    }

    private record Together(
            List<Audits.Key> lists,
            List<Set<Long>> carriers,
            List<Long> parties,
            LocalDate day,
            int radios,
            boolean why) {}

    private final Map<Together, Reached> together = Caffeine.newBuilder()
            .maximumSize(KEPT_TOGETHER)
            .<Together, Reached>build()
            .asMap();

    /**
     * Who of some people reaches whom with several lists, each of which those have in their radios who carry it or one that follows it.
     *
     * @param people of the roster; at least one
     * @param sources lists of their group, at least one, none that follows another
     * @param why whether it has to be known why one does not reach another, which takes longer
     * @throws Refused for more people than can be drawn
     */
    public Reached together(List<Source> sources, List<RosterHolder> people, LocalDate day, boolean why) {
        List<Set<Long>> carriers = sources.stream()
                .map(source -> Set.copyOf(parties(carriers(store.family(source.entriesOf())))))
                .toList();
        Together asked = new Together(
                sources.stream().map(audits::key).toList(),
                carriers,
                parties(few(
                        people,
                        sources.stream()
                                .mapToInt(each -> audits.of(each).stored().size())
                                .sum())),
                day,
                radiosOf(parties(people)),
                why);
        Reached known = together.get(asked);
        if (known == null) {
            known = worked(sources, carriers, people, day, why);
            together.put(asked, known);
        }
        return known;
    }

    private Reached worked(
            List<Source> sources, List<Set<Long>> carriers, List<RosterHolder> asked, LocalDate day, boolean why) {
        List<AuditContext> contexts =
                sources.stream().map(source -> audits.context(source, day)).toList();
        People told = people(sources.get(0), asked, day);
        List<Person> people = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            long party = asked.get(i).party();
            Set<Integer> carried = new TreeSet<>();
            List<Radio> meant = new ArrayList<>();
            for (int k = 0; k < sources.size(); k++) {
                if (carriers.get(k).contains(party)) {
                    carried.add(k);
                    meant.addAll(contexts.get(k).radios());
                }
            }
            people.add(new Person(
                    told.all().get(i).holder(),
                    told.inHand(party)
                            .or(() -> meant.isEmpty()
                                    ? Optional.empty()
                                    : Optional.of(meant.stream().distinct().toList())),
                    Optional.of(carried)));
        }
        return reached(
                day,
                sources,
                contexts,
                told,
                lists -> why
                        ? ReachStudy.of(
                                Register.ALL,
                                lists,
                                people,
                                known(sources.get(0).head().clubId()))
                        : ReachStudy.links(Register.ALL, lists, people));
    }

    private Reached reached(
            LocalDate day,
            List<Source> sources,
            List<AuditContext> contexts,
            People people,
            Function<List<Listed>, Reach> study) {
        List<Reached.Entry> entries = new ArrayList<>();
        List<Listed> lists = new ArrayList<>();
        for (int i = 0; i < sources.size(); i++) {
            Source source = sources.get(i);
            List<ListStore.Stored> stored = audits.of(source).stored();
            stored.forEach(each -> entries.add(new Reached.Entry(source.head().id(), each)));
            lists.add(new Listed(contexts.get(i), new ChannelList(source.head().name(), List.of(), channels(stored))));
        }
        return new Reached(
                day,
                entries,
                ReachStudy.numbers(lists.stream().map(Listed::list).toList()),
                people.told(),
                people.names(),
                people.all().isEmpty() ? new Reach(List.of(), List.of(), List.of(), List.of()) : study.apply(lists));
    }

    private record Asked(Audits.Key key, List<Long> parties, LocalDate day, int radios) {}

    private final Map<Asked, List<Concern>> concerns = Caffeine.newBuilder()
            .maximumSize(KEPT)
            .<Asked, List<Concern>>build()
            .asMap();

    /**
     * What of who reaches whom with a list and its variants needs an answer, today.
     *
     * @param family keys of the list and of its variants: those who carry a variant have the same entries
     */
    public List<Concern> concerns(Source source, List<Long> family) {
        LocalDate day = audits.today();
        List<RosterHolder> carriers = carriers(family);
        if (carriers.size() < 2) {
            return List.of(); // there is nobody to reach
        }
        Asked asked = new Asked(audits.key(source), parties(carriers), day, radiosOf(parties(carriers)));
        List<Concern> known = concerns.get(asked);
        if (known == null) {
            People people = people(source, carriers, day);
            List<Channel> channels = channels(audits.of(source).stored());
            known = Concerns.of(
                    ReachStudy.matrix(
                            Register.ALL,
                            List.of(new Listed(
                                    people.context(),
                                    new ChannelList(source.head().name(), List.of(), channels))),
                            people.all()),
                    people.names(),
                    people.told().stream().map(each -> Set.copyOf(each.teams())).toList(),
                    channels);
            concerns.put(asked, known);
        }
        return known;
    }

    /**
     * Those who carry a list, or one that follows it.
     *
     * @param context what the list is held against on the day
     * @param people with licences and radios; names are all different
     * @param teams of each
     * @param holds what each is licensed for, in words
     */
    public record Carrying(AuditContext context, List<Person> people, List<List<String>> teams, List<String> holds) {}

    /** Those who carry a list, or one that follows it, on a day. */
    public Carrying carrying(Source source, LocalDate day) {
        People people = people(source, carriers(store.family(source.entriesOf())), day);
        return new Carrying(
                people.context(),
                people.all(),
                people.told().stream().map(ReachPerson::teams).toList(),
                people.told().stream().map(ReachPerson::holds).toList());
    }

    private static List<Channel> channels(List<ListStore.Stored> stored) {
        return stored.stream().map(ListStore.Stored::channel).toList();
    }

    /** As {@link #concerns(Source, List)}, of whichever list of the family. */
    List<Concern> concerns(Source source) {
        return concerns(source, store.family(source.entriesOf()));
    }

    private static List<Long> parties(List<RosterHolder> carriers) {
        return carriers.stream().map(RosterHolder::party).toList();
    }

    private List<RosterHolder> carriers(List<Long> lists) {
        Map<Long, RosterHolder> each = new LinkedHashMap<>();
        store.carriers(lists).values().forEach(of -> of.forEach(one -> each.putIfAbsent(one.party(), one)));
        return each.values().stream()
                .sorted(Comparator.comparing((RosterHolder one) -> one.name().toLowerCase(Locale.ROOT))
                        .thenComparing(RosterHolder::party))
                .toList();
    }

    /** Those who are asked about: as the study takes them, as they are told, and their names, which are all different. */
    private record People(
            AuditContext context,
            List<Person> all,
            List<ReachPerson> told,
            List<String> names,
            Map<Long, List<Radio>> hands) {

        /** The radios that one of them has; nothing when none is in their hands. */
        Optional<List<Radio>> inHand(long party) {
            return Optional.ofNullable(hands.get(party));
        }
    }

    private People people(Source source, List<RosterHolder> roster, LocalDate day) {
        AuditContext context = audits.context(source, day);
        List<Holder> holders = roster.isEmpty() ? List.of() : audits.holders(source, day, roster);
        Map<Long, List<Radio>> inHand = inHand(parties(roster));
        List<Person> people = new ArrayList<>();
        List<ReachPerson> told = new ArrayList<>();
        List<String> names = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < roster.size(); i++) {
            String name = free(holders.get(i).name(), taken);
            Optional<List<Radio>> radios =
                    radios(context, inHand.get(roster.get(i).party()));
            people.add(new Person(new Holder(name, holders.get(i).licences()), radios));
            names.add(name);
            told.add(new ReachPerson(
                    roster.get(i).party(),
                    name,
                    roster.get(i).teams(),
                    HolderViews.holds(context.edition(), holders.get(i)),
                    inHand.getOrDefault(roster.get(i).party(), List.of()).stream()
                            .map(Radio::name)
                            .distinct()
                            .toList(),
                    radios.isPresent()));
        }
        return new People(context, people, told, names, inHand);
    }

    /** Whoever has no radio yet gets one of those that the list is for; where none is named, no radio is judged. */
    private static Optional<List<Radio>> radios(AuditContext context, List<Radio> inHand) {
        if (inHand != null) {
            return Optional.of(inHand);
        }
        return context.radios().isEmpty() ? Optional.empty() : Optional.of(context.radios());
    }

    private Map<Long, List<Radio>> inHand(List<Long> parties) {
        List<Fleet.Hand> hands = fleet.hands(parties);
        Map<Long, Radio> radios =
                fleet.asTheyAre(hands.stream().map(Fleet.Hand::unit).toList());
        Map<Long, List<Radio>> all = new HashMap<>();
        hands.forEach(each ->
                all.computeIfAbsent(each.party(), any -> new ArrayList<>()).add(radios.get(each.unit())));
        return all;
    }

    /** The radios that could be handed out: each model as its units are set. */
    private List<Radio> known(long club) {
        Map<String, Radio> byName = new LinkedHashMap<>();
        fleet.settings(club).forEach(each -> byName.putIfAbsent(each.words(), each.radio()));
        return List.copyOf(byName.values());
    }

    private static String free(String name, Set<String> taken) {
        String free = name;
        for (int i = 2; !taken.add(free); i++) {
            free = name + " (" + i + ")";
        }
        return free;
    }
}
