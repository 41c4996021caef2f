package org.wache.planning;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.wache.audit.finding.Wording;

/** Why no list fulfils some demands. */
final class Reasons {

    private static final int MOST_NAMED = 4;

    private final Demands demands;
    private final List<Candidate> candidates;
    private final List<Repeaters.Side> repeaters;
    private final Listeners listeners;

    Reasons(Demands demands, List<Candidate> candidates, List<Repeaters.Side> repeaters, Listeners listeners) {
        this.repeaters = repeaters;
        this.demands = demands;
        this.candidates = candidates;
        this.listeners = listeners;
    }

    List<String> of(List<Demand> wanted) {
        Choosing teams = new Choosing(demands, candidates, repeaters, listeners, wanted, false);
        List<String> all = new ArrayList<>();
        for (Demand each : wanted) {
            switch (each.kind()) {
                case MUST_TALK -> {
                    Demands.Pair pair = each.pair().orElseThrow();
                    oneWay(pair.one(), teams.members(pair.one()), pair.other(), teams.members(pair.other()), all);
                    oneWay(pair.other(), teams.members(pair.other()), pair.one(), teams.members(pair.one()), all);
                }
                case CALLING -> calling(all);
                case COMMAND -> all.add("Nobody may key a channel that is free.");
                case REPEATER ->
                    all.add("Nobody may key the input of "
                            + each.repeater().orElseThrow().name() + ", "
                            + each.repeater().orElseThrow().input() + ", with a radio of theirs.");
                case LISTEN ->
                    all.add("Nobody has a radio that hears " + each.frequency().orElseThrow() + ".");
                case SPARE ->
                    all.add("There are " + candidates.size() + " channels that somebody may key"
                            + Planner.memories(demands)
                                    .map(most -> ", and the smallest radio holds " + most + " entries")
                                    .orElse("")
                            + ".");
                case SERVICES -> {
                    // what is told of the others is told for these services
                }
            }
        }
        if (wanted.stream().anyMatch(each -> each.kind() == Demand.Kind.SERVICES) && wanted.size() > 1) {
            all.add("Other services are left out by what was asked for.");
        }
        return all.stream().distinct().toList();
    }

    private void oneWay(String team, BitSet members, String otherTeam, BitSet others, List<String> into) {
        BitSet reached = new BitSet();
        for (Candidate each : candidates) {
            members.stream()
                    .filter(member -> each.able().get(member) && each.able().intersects(others))
                    .forEach(reached::set);
        }
        BitSet left = (BitSet) members.clone();
        left.andNot(others); // whoever is in both is the link
        left.andNot(reached);
        left.stream()
                .limit(MOST_NAMED)
                .forEach(member -> into.add(demands.people().get(member).name() + " of " + team + " may key "
                        + places(member) + "; those of " + otherTeam + " may key " + places(others) + "."));
    }

    private void calling(List<String> into) {
        for (int i = 0; i < demands.people().size(); i++) {
            int person = i;
            if (candidates.stream().noneMatch(each -> each.able().get(person)) && into.size() < MOST_NAMED) {
                into.add(demands.people().get(i).name() + " may key nothing with a radio of theirs.");
            }
        }
    }

    private String places(int person) {
        BitSet one = new BitSet();
        one.set(person);
        return places(one);
    }

    private String places(BitSet people) {
        Set<String> all = candidates.stream()
                .filter(each -> each.able().intersects(people))
                .map(Candidate::place)
                .collect(Collectors.toCollection(TreeSet::new));
        return all.isEmpty() ? "nothing" : Wording.list(List.copyOf(all));
    }
}
