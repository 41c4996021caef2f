package org.wache.planning;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.signal.Frequency;

/**
 * Takes the channels for some demands: for calling, for those who must talk, for each team by itself, to listen to, and to spare. Of
 * what serves as many, what everybody may key comes first, then what has more power.
 */
final class Choosing {

    private final Demands demands;
    private final List<Candidate> candidates;
    private final List<Repeaters.Side> repeaters;
    private final Listeners listeners;
    private final List<Demand> wanted;
    private final Map<String, BitSet> teams = new HashMap<>();
    private final BitSet everybody = new BitSet();
    private final List<Chosen> chosen = new ArrayList<>();
    private final Map<Long, Integer> disturbance = new HashMap<>();
    private final boolean together;

    /** @param together whether all of it is keyed at one site */
    Choosing(
            Demands demands,
            List<Candidate> candidates,
            List<Repeaters.Side> repeaters,
            Listeners listeners,
            List<Demand> wanted,
            boolean together) {
        this.repeaters = repeaters;
        this.together = together;
        this.demands = demands;
        this.candidates = candidates;
        this.listeners = listeners;
        this.wanted = wanted;
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < demands.people().size(); i++) {
            places.put(demands.people().get(i).name(), i);
        }
        demands.teams().forEach(team -> {
            BitSet members = new BitSet();
            team.members().forEach(member -> members.set(places.get(member)));
            teams.put(team.name(), members);
            everybody.or(members);
        });
    }

    BitSet members(String team) {
        return teams.get(team);
    }

    /** The channels; empty when there are none that do all of it. */
    Optional<List<Chosen>> all() {
        boolean can = calling() && command() && pairs() && repeaters() && listening();
        if (!can) {
            return Optional.empty();
        }
        int spare = wants(Demand.Kind.SPARE) ? demands.spare() : 0;
        int most = Planner.memories(demands).orElse(Integer.MAX_VALUE);
        teams(most - spare);
        return spare(spare) && chosen.size() <= most ? Optional.of(ordered()) : Optional.empty();
    }

    private List<Chosen> ordered() {
        return chosen.stream().sorted(Comparator.comparing(Chosen::role)).toList();
    }

    private boolean wants(Demand.Kind kind) {
        return wanted.stream().anyMatch(each -> each.kind() == kind);
    }

    private boolean calling() {
        if (!wants(Demand.Kind.CALLING)) {
            return true;
        }
        BitSet left = (BitSet) everybody.clone();
        while (!left.isEmpty()) {
            String name = chosen.isEmpty() ? "CALL" : "CALL " + (chosen.size() + 1);
            Comparator<Candidate> order = Comparator.<Candidate>comparingInt(each -> -each.of(left))
                    .thenComparing(each -> !each.calls())
                    .thenComparing(usual());
            List<Candidate> best = best(name, each -> each.of(left) > 0, order);
            if (best.isEmpty()) {
                return false;
            }
            Candidate taken = best.get(0);
            List<String> served = served(taken, left);
            take(
                    Chosen.Role.CALLING,
                    name,
                    taken,
                    served,
                    taken.isFor(everybody)
                            ? "Calling: everybody may key it."
                            : "Calling for " + String.join(", ", served)
                                    + ": there is no channel that everybody may key.",
                    best);
            left.andNot(taken.able());
        }
        return true;
    }

    /** For those who lead: what most may key, away from where people call. */
    private boolean command() {
        if (!wants(Demand.Kind.COMMAND)) {
            return true;
        }
        List<Candidate> best = best(
                "COMMAND",
                each -> each.of(everybody) > 0,
                Comparator.<Candidate>comparingInt(each -> -whole(each).size()).thenComparing(usual()));
        if (best.isEmpty()) {
            return false;
        }
        List<String> who = served(best.get(0), everybody);
        take(
                Chosen.Role.COMMAND,
                "COMMAND",
                best.get(0),
                who,
                who.isEmpty()
                        ? "For those who lead: everybody may key it."
                        : "For those who lead of " + String.join(", ", who) + ": no channel is for everybody.",
                best);
        return true;
    }

    /** The repeaters that were asked for, and their direct sides behind them. */
    private boolean repeaters() {
        for (Demand each : wanted) {
            if (each.repeater().isEmpty()) {
                continue;
            }
            Optional<Repeaters.Side> side = repeaters.stream()
                    .filter(one -> one.repeater().equals(each.repeater().get()))
                    .findFirst();
            Optional<Candidate> through = side.flatMap(Repeaters.Side::through);
            if (through.isEmpty()) {
                return false;
            }
            String name = each.repeater().get().name();
            repeater(name, through.get(), "The repeater " + name + ", as it was asked for.");
            directSide(name, through.get(), side.flatMap(Repeaters.Side::direct));
        }
        return true;
    }

    /** Its output where that may be talked on with nothing to ask, else a channel of its own: for when the repeater fails. */
    private void directSide(String repeater, Candidate through, Optional<Candidate> output) {
        String name = repeater + " D";
        if (output.isPresent()) {
            repeater(name, output.get(), "The output of " + repeater + " direct, for when the repeater fails.");
            return;
        }
        List<Candidate> best = best(
                name,
                each -> each.of(through.able()) > 0,
                Comparator.<Candidate>comparingInt(each -> -each.of(through.able()))
                        .thenComparing(each -> !each.place().equals(through.place()))
                        .thenComparing(usual()));
        if (!best.isEmpty()) {
            take(
                    Chosen.Role.REPEATER,
                    name,
                    best.get(0),
                    served(best.get(0), through.able()),
                    "For when " + repeater
                            + " fails: its output is kept for repeaters or is not everybody's to talk on.",
                    best);
        }
    }

    private void repeater(String name, Candidate taken, String why) {
        List<String> who = served(taken, everybody);
        disturbance.clear();
        chosen.add(new Chosen(
                Chosen.Role.REPEATER,
                name,
                Optional.of(taken),
                Optional.empty(),
                who,
                why + " " + taken.place() + ", " + taken.channel().text(org.wache.channel.Field.POWER_W) + " W."));
    }

    /** A member of a pair who does not reach anybody of the other team yet. */
    private record Need(Demands.Pair pair, int member, BitSet others) {

        boolean isMetBy(Candidate candidate) {
            return candidate.able().get(member) && candidate.able().intersects(others);
        }
    }

    private boolean pairs() {
        List<Need> left = new ArrayList<>();
        wanted.stream().flatMap(each -> each.pair().stream()).forEach(pair -> {
            BitSet one = teams.get(pair.one());
            BitSet other = teams.get(pair.other());
            // Whoever is in both is the link, and has nobody to reach.
            apart(one, other).forEach(member -> left.add(new Need(pair, member, other)));
            apart(other, one).forEach(member -> left.add(new Need(pair, member, one)));
        });
        int number = 0;
        while (!left.isEmpty()) {
            Comparator<Candidate> order = Comparator.<Candidate>comparingLong(each ->
                            -left.stream().filter(need -> need.isMetBy(each)).count())
                    .thenComparing(usual());
            String name = "TAC " + ++number;
            List<Candidate> best = best(name, each -> left.stream().anyMatch(need -> need.isMetBy(each)), order);
            if (best.isEmpty()) {
                return false;
            }
            Candidate taken = best.get(0);
            Set<Demands.Pair> met = left.stream()
                    .filter(need -> need.isMetBy(taken))
                    .map(Need::pair)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            List<String> who = demands.teams().stream()
                    .map(Demands.Team::name)
                    .filter(team -> met.stream()
                            .anyMatch(pair ->
                                    pair.one().equals(team) || pair.other().equals(team)))
                    .toList();
            take(
                    Chosen.Role.TACTICAL,
                    name,
                    taken,
                    who.size() == demands.teams().size() ? List.of() : who,
                    met.stream().map(Demands.Pair::words).collect(Collectors.joining("; ")) + ".",
                    best);
            left.removeIf(need -> need.isMetBy(taken));
        }
        return true;
    }

    private static IntStream apart(BitSet team, BitSet other) {
        BitSet members = (BitSet) team.clone();
        members.andNot(other);
        return members.stream();
    }

    private boolean listening() {
        for (Demand each : wanted) {
            if (each.frequency().isEmpty()) {
                continue;
            }
            BitSet ears = listeners.ears(each.frequency().get());
            BitSet hear = (BitSet) ears.clone();
            hear.and(everybody);
            if (hear.isEmpty()) {
                return false;
            }
            List<String> whole = demands.teams().stream()
                    .map(Demands.Team::name)
                    .filter(team -> covers(ears, teams.get(team)))
                    .toList();
            List<String> some = whole.isEmpty()
                    ? demands.teams().stream()
                            .map(Demands.Team::name)
                            .filter(team -> ears.intersects(teams.get(team)))
                            .toList()
                    : whole;
            String name = listeners.entry(each.frequency().get()).name();
            chosen.add(new Chosen(
                    Chosen.Role.LISTEN,
                    name.isEmpty() ? "LISTEN" : name,
                    Optional.empty(),
                    each.frequency(),
                    some.size() == demands.teams().size() ? List.of() : some,
                    "To listen to, as it was asked for."
                            + (whole.isEmpty()
                                            || whole.size() == demands.teams().size()
                                    ? ""
                                    : " The radios of the others do not hear it.")));
        }
        return true;
    }

    private void teams(int most) {
        for (Demands.Team team : demands.teams()) {
            BitSet members = teams.get(team.name());
            if (members.cardinality() < 2 || chosen.size() >= most) {
                continue;
            }
            List<Candidate> best = best(team.name(), each -> each.isFor(members), usual());
            if (!best.isEmpty()) {
                take(
                        Chosen.Role.TEAM,
                        team.name(),
                        best.get(0),
                        List.of(team.name()),
                        team.name() + " among themselves: all " + members.cardinality() + " may key it.",
                        best);
            }
        }
    }

    private boolean spare(int many) {
        for (int i = 1; i <= many; i++) {
            String name = many == 1 ? "SPARE" : "SPARE " + i;
            List<Candidate> best = best(
                    name,
                    each -> !whole(each).isEmpty(),
                    Comparator.<Candidate>comparingInt(each -> -each.of(everybody))
                            .thenComparing(usual()));
            if (best.isEmpty()) {
                return false;
            }
            List<String> who = whole(best.get(0));
            take(
                    Chosen.Role.SPARE,
                    name,
                    best.get(0),
                    who.size() == demands.teams().size() ? List.of() : who,
                    "To spare, when another is busy.",
                    best);
        }
        return true;
    }

    /** The teams of which all may use it. */
    private List<String> whole(Candidate candidate) {
        return demands.teams().stream()
                .map(Demands.Team::name)
                .filter(team -> candidate.isFor(teams.get(team)))
                .toList();
    }

    /** The teams of which somebody is served who was not before; none for all of them. */
    private List<String> served(Candidate candidate, BitSet left) {
        if (candidate.isFor(everybody)) {
            return List.of();
        }
        BitSet now = (BitSet) left.clone();
        now.and(candidate.able());
        return demands.teams().stream()
                .map(Demands.Team::name)
                .filter(team -> now.intersects(teams.get(team)))
                .toList();
    }

    private static boolean covers(BitSet able, BitSet people) {
        BitSet missing = (BitSet) people.clone();
        missing.andNot(able);
        return missing.isEmpty();
    }

    private Comparator<Candidate> usual() {
        return Comparator.<Candidate>comparingInt(each -> -each.of(everybody))
                .thenComparing(Candidate::calls)
                .thenComparingInt(this::disturbs)
                .thenComparing(Comparator.comparingDouble(Candidate::watts).reversed())
                .thenComparingLong(Candidate::hertz);
    }

    /** How much it and what was taken disturb each other, where all of it is keyed at one site. */
    private int disturbs(Candidate candidate) {
        return together ? disturbance.computeIfAbsent(candidate.hertz(), hertz -> Disturbance.of(hertz, taken())) : 0;
    }

    private List<Long> taken() {
        return chosen.stream()
                .flatMap(each -> each.candidate().stream())
                .map(Candidate::hertz)
                .toList();
    }

    /** What serves best and what comes second; what was fixed by hand for this entry first, where it serves at all. */
    private List<Candidate> best(String name, Predicate<Candidate> fits, Comparator<Candidate> order) {
        Stream<Candidate> fixed = kept(name).stream()
                .flatMap(hertz -> candidates.stream().filter(each -> each.hertz() == hertz))
                .filter(fits)
                .filter(each -> !taken().contains(each.hertz()));
        return Stream.concat(
                        fixed,
                        free(fits).filter(each -> !isKeptForAnother(each, name)).sorted(order))
                .distinct()
                .limit(2)
                .toList();
    }

    private Optional<Long> kept(String name) {
        return Optional.ofNullable(demands.kept().get(name)).map(Frequency::hertz);
    }

    private boolean isKeptForAnother(Candidate candidate, String name) {
        return demands.kept().entrySet().stream()
                .anyMatch(each -> each.getValue().hertz() == candidate.hertz()
                        && !each.getKey().equals(name));
    }

    /** What is still free, far enough from what was taken where there is such. */
    private Stream<Candidate> free(Predicate<Candidate> fits) {
        List<Long> taken = taken();
        boolean mayCall = wants(Demand.Kind.CALLING) && chosen.isEmpty();
        List<Candidate> left = candidates.stream()
                .filter(fits)
                .filter(each -> !taken.contains(each.hertz()))
                .toList();
        List<Candidate> quiet =
                left.stream().filter(each -> mayCall || !each.calls()).toList();
        List<Candidate> apart = quiet.stream()
                .filter(each -> taken.stream().allMatch(hertz -> Planner.apart(each, hertz)))
                .toList();
        return (apart.isEmpty() ? quiet.isEmpty() ? left : quiet : apart).stream();
    }

    private void take(
            Chosen.Role role, String name, Candidate taken, List<String> who, String why, List<Candidate> best) {
        boolean fixed = kept(name).filter(hertz -> hertz == taken.hertz()).isPresent();
        String second = best.size() < 2
                ? " There is no other that would do."
                : " Next would have been " + best.get(1).channel().transmit().orElseThrow() + ", "
                        + best.get(1).place() + ".";
        String byHand = fixed
                ? " It was fixed by hand."
                : kept(name)
                        .map(hertz -> " " + new Frequency(hertz) + ", which was fixed by hand, does not do it.")
                        .orElse("");
        disturbance.clear();
        chosen.add(new Chosen(
                role,
                name,
                Optional.of(taken),
                Optional.empty(),
                who,
                why + " " + taken.place() + ", " + taken.channel().text(org.wache.channel.Field.POWER_W) + " W."
                        + byHand + second));
    }
}
