package org.wache.server.home;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.wache.audit.Verdict;
import org.wache.server.lists.ListEffects;
import org.wache.server.radios.Contents;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.ReleaseOverview;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterWatch;

/** Compares how lists, releases and radios stand before and after a change of the roster. */
@Component
class RosterEffects implements RosterWatch {

    private final ListEffects lists;
    private final ReleaseOverview releases;
    private final Contents contents;
    private final Fleet fleet;

    RosterEffects(ListEffects lists, ReleaseOverview releases, Contents contents, Fleet fleet) {
        this.lists = lists;
        this.releases = releases;
        this.contents = contents;
        this.fleet = fleet;
    }

    private record Standing(
            List<ListEffects.ForOne> lists, List<ReleaseOverview.Stands> releases, Map<Long, Integer> notTheirs) {}

    @Override
    public After before(long account, long club, Optional<Party> party) {
        Standing then = standing(account, club, party);
        return after -> effect(then, standing(account, club, after));
    }

    private Standing standing(long account, long club, Optional<Party> party) {
        Map<Long, Integer> notTheirs = new HashMap<>();
        Map<Long, Contents.InHand> hands = contents.inHands(club);
        fleet.custody(club).values().stream()
                .filter(each ->
                        party.filter(who -> who.id() == each.party()).isPresent() && hands.containsKey(each.unit()))
                .forEach(each -> notTheirs.put(
                        each.unit(), hands.get(each.unit()).notTheirs().size()));
        return new Standing(
                party.map(each -> lists.forOne(account, club, each.id())).orElse(List.of()),
                releases.standing(club),
                notTheirs);
    }

    private RosterEffect effect(Standing before, Standing after) {
        List<RadioChanged> radios = after.notTheirs().entrySet().stream()
                .filter(each -> !each.getValue().equals(before.notTheirs().get(each.getKey())))
                .map(each -> new RadioChanged(
                        each.getKey(),
                        fleet.unitOf(each.getKey()).radio().label().orElse(""),
                        before.notTheirs().getOrDefault(each.getKey(), 0),
                        each.getValue()))
                .toList();
        Map<Long, Boolean> stood = before.releases().stream()
                .collect(Collectors.toMap(ReleaseOverview.Stands::release, ReleaseOverview.Stands::stands));
        List<ReleaseChanged> releasesChanged = after.releases().stream()
                .filter(each -> stood.containsKey(each.release()) && stood.get(each.release()) != each.stands())
                .map(each -> new ReleaseChanged(each.release(), each.name(), each.number(), each.stands()))
                .toList();
        return new RosterEffect(lists(before.lists(), after.lists()), releasesChanged, radios);
    }

    private static List<ListChanged> lists(List<ListEffects.ForOne> before, List<ListEffects.ForOne> after) {
        Map<Long, ListEffects.ForOne> then =
                before.stream().collect(Collectors.toMap(ListEffects.ForOne::list, Function.identity()));
        List<ListChanged> changed = new ArrayList<>();
        for (ListEffects.ForOne now : after) {
            ListEffects.ForOne old = then.remove(now.list());
            List<EntryChanged> entries = old == null ? List.of() : entries(old, now);
            if (old == null || !entries.isEmpty()) {
                changed.add(new ListChanged(now.list(), now.name(), old == null ? "now" : "", entries));
            }
        }
        then.values().forEach(gone -> changed.add(new ListChanged(gone.list(), gone.name(), "no-longer", List.of())));
        return changed;
    }

    private static List<EntryChanged> entries(ListEffects.ForOne before, ListEffects.ForOne after) {
        Map<Long, Verdict> verdicts = before.entries().stream()
                .collect(Collectors.toMap(ListEffects.EntryFor::entry, ListEffects.EntryFor::verdict));
        return after.entries().stream()
                .filter(each -> verdicts.containsKey(each.entry())
                        && !verdicts.get(each.entry()).equals(each.verdict()))
                .map(each -> new EntryChanged(each.number(), each.name(), verdicts.get(each.entry()), each.verdict()))
                .toList();
    }
}
