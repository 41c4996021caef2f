package org.wache.server.reach;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
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
class Reaching {

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
        List<RosterHolder> roster = everyone
                ? store.roster(club)
                : store.carriers(List.of(source.head().id())).get(source.head().id());
        List<ListStore.Stored> stored = audits.of(source).stored();
        AuditContext context = audits.context(source, day);
        List<Holder> holders = roster.isEmpty() ? List.of() : audits.holders(source, day, roster);
        Map<Long, List<Radio>> inHand = inHand(club);
        List<Person> people = new ArrayList<>();
        List<ReachPerson> told = new ArrayList<>();
        List<String> names = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < roster.size(); i++) {
            String name = free(holders.get(i).name(), taken);
            Optional<List<Radio>> radios = radios(context, inHand.get(roster.get(i).party()));
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
        ChannelList list = new ChannelList(
                source.head().name(),
                List.of(),
                stored.stream().map(ListStore.Stored::channel).toList());
        Reach reach = people.isEmpty()
                ? new Reach(List.of(), List.of(), List.of(), List.of())
                : ReachStudy.of(Register.ALL, context, people, List.of(list), known(club));
        return new Reached(day, stored, told, names, reach);
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
