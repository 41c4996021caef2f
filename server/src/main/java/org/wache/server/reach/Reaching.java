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
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
import org.wache.reach.Concern;
import org.wache.reach.Concerns;
import org.wache.reach.Person;
import org.wache.reach.Reach;
import org.wache.reach.ReachStudy;
import org.wache.server.lists.Audits;
import org.wache.server.lists.HolderViews;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Source;
import org.wache.server.radios.Fleet;
import org.wache.server.reach.ReachController.ReachPerson;

/** Brings together what a list, the roster and the radios in people's hands say, and has it worked out who reaches whom. */
@Component
public class Reaching {

    private static final int KEPT = 500;

    private final Audits audits;
    private final ListStore store;
    private final Fleet fleet;

    Reaching(Audits audits, ListStore store, Fleet fleet) {
        this.audits = audits;
        this.store = store;
        this.fleet = fleet;
    }

    /** A mark of the radios of a group: another when one of them is, or is in other hands. */
    int radiosOf(Source source) {
        long club = source.head().clubId();
        return Objects.hash(fleet.custody(club), fleet.units(club), fleet.models(club));
    }

    /** Works it out for those who carry a list, or for everybody of the roster. */
    Reached study(Source source, boolean everyone, LocalDate day) {
        long club = source.head().clubId();
        People people = people(source, everyone ? store.roster(club) : carriers(store.family(source.entriesOf())), day);
        List<ListStore.Stored> stored = audits.of(source).stored();
        Reach reach = people.all().isEmpty()
                ? new Reach(List.of(), List.of(), List.of(), List.of())
                : ReachStudy.of(
                        Register.ALL,
                        people.context(),
                        people.all(),
                        List.of(new ChannelList(source.head().name(), List.of(), channels(stored))),
                        known(club));
        return new Reached(day, stored, people.told(), people.names(), reach);
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
        Asked asked = new Asked(audits.key(source), parties(carriers), day, radiosOf(source));
        List<Concern> known = concerns.get(asked);
        if (known == null) {
            People people = people(source, carriers, day);
            List<Channel> channels = channels(audits.of(source).stored());
            known = Concerns.of(
                    ReachStudy.links(
                            Register.ALL,
                            people.context(),
                            people.all(),
                            List.of(new ChannelList(source.head().name(), List.of(), channels))),
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

    /** The keys of those who carry a list, or one that follows it. */
    List<Long> parties(Source source) {
        return parties(carriers(store.family(source.entriesOf())));
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
    private record People(AuditContext context, List<Person> all, List<ReachPerson> told, List<String> names) {}

    private People people(Source source, List<RosterHolder> roster, LocalDate day) {
        AuditContext context = audits.context(source, day);
        List<Holder> holders = roster.isEmpty() ? List.of() : audits.holders(source, day, roster);
        Map<Long, List<Radio>> inHand = inHand(source.head().clubId());
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
        return new People(context, people, told, names);
    }

    /** Whoever has no radio yet gets one of those that the list is for; where none is named, no radio is judged. */
    private static Optional<List<Radio>> radios(AuditContext context, List<Radio> inHand) {
        if (inHand != null) {
            return Optional.of(inHand);
        }
        return context.radios().isEmpty() ? Optional.empty() : Optional.of(context.radios());
    }

    private Map<Long, List<Radio>> inHand(long club) {
        Map<Long, List<Radio>> all = new HashMap<>();
        fleet.custody(club).values().forEach(each -> all.computeIfAbsent(each.party(), any -> new ArrayList<>())
                .add(fleet.asItIs(each.unit())));
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
