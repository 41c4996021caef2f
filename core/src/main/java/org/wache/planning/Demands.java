package org.wache.planning;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wache.reach.Person;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * What a list has to do.
 *
 * @param people everybody who is in a team, with licences and radios
 * @param teams who belongs together
 * @param mustTalk which teams have to reach each other: each member of either at least one of the other, both ways
 * @param services only these services, by their identifiers; empty for any
 * @param calling whether there has to be a channel on which everybody calls
 * @param spare how many channels are wanted beside, 0 or more
 * @param listen what everybody who can shall listen to
 * @param command whether there has to be a quiet channel for those who lead
 * @param repeaters those that shall be used, each with its direct side where that may be keyed
 * @param kept what was fixed by hand: the channels of entries by their keys, {@link Plan.Proposed#keys}
 * @param without what is not wanted
 */
public record Demands(
        List<Person> people,
        List<Demands.Team> teams,
        List<Demands.Pair> mustTalk,
        Set<String> services,
        boolean calling,
        int spare,
        List<Frequency> listen,
        boolean command,
        List<Demands.Repeater> repeaters,
        Map<String, Frequency> kept,
        Set<Frequency> without) {

    /** With nothing fixed by hand, neither command nor repeaters. */
    public Demands(
            List<Person> people,
            List<Demands.Team> teams,
            List<Demands.Pair> mustTalk,
            Set<String> services,
            boolean calling,
            int spare,
            List<Frequency> listen) {
        this(people, teams, mustTalk, services, calling, spare, listen, false, List.of(), Map.of(), Set.of());
    }

    /** People who belong together, by their names. */
    public record Team(String name, List<String> members) {

        public Team {
            members = List.copyOf(members);
        }
    }

    /** Two teams that have to reach each other. */
    public record Pair(String one, String other) {

        /** For people. */
        public String words() {
            return one + " and " + other + " must talk";
        }
    }

    /**
     * A repeater as it is known.
     *
     * @param name as people call it
     * @param output where it is heard
     * @param input where one talks to reach it
     * @param access the tone that opens it; empty for none
     */
    public record Repeater(String name, Frequency output, Frequency input, Optional<Tone> access) {}

    public Demands {
        repeaters = List.copyOf(repeaters);
        people = List.copyOf(people);
        teams = List.copyOf(teams);
        mustTalk = List.copyOf(mustTalk);
        services = Set.copyOf(services);
        listen = List.copyOf(listen);
        kept = Map.copyOf(kept);
        without = Set.copyOf(without);
    }

    /** A team by its name. */
    public Optional<Team> team(String name) {
        return teams.stream().filter(each -> each.name().equals(name)).findFirst();
    }
}
