package org.wache.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** What of who reaches whom needs an answer. Of one person alone nothing is said: there is nobody to reach. */
public final class Concerns {

    private final List<String> names;
    private final List<? extends Set<String>> teams;
    private final List<Channel> channels;
    private final List<Reach.Means> means;
    private final List<BitSet> reaches;
    private final BitSet areReached = new BitSet();

    private Concerns(
            ReachStudy.Matrix reach, List<String> names, List<? extends Set<String>> teams, List<Channel> channels) {
        this.means = reach.means();
        this.reaches = reach.reaches();
        this.names = names;
        this.teams = teams;
        this.channels = channels;
        reaches.forEach(areReached::or);
    }

    /**
     * What needs an answer: teams first, then people, then entries.
     *
     * @param names of the people, all different, in their order in what is studied
     * @param teams of each
     * @param channels the entries that were studied, in their order
     */
    public static List<Concern> of(
            ReachStudy.Matrix reach, List<String> names, List<? extends Set<String>> teams, List<Channel> channels) {
        return names.size() < 2 ? List.of() : new Concerns(reach, names, teams, channels).all();
    }

    private List<Concern> all() {
        List<Concern> all = new ArrayList<>();
        BitSet told = new BitSet();
        teamsAlone(all, told);
        people(all, told);
        entries(all);
        return all;
    }

    private void teamsAlone(List<Concern> all, BitSet told) {
        Map<String, BitSet> members = new TreeMap<>();
        for (int i = 0; i < teams.size(); i++) {
            for (String team : teams.get(i)) {
                members.computeIfAbsent(team, any -> new BitSet()).set(i);
            }
        }
        members.forEach((team, of) -> {
            BitSet others = new BitSet();
            others.set(0, names.size());
            others.andNot(of);
            if (others.isEmpty() || of.stream().anyMatch(one -> reaches.get(one).intersects(others))) {
                return;
            }
            boolean hears = others.stream().anyMatch(other -> reaches.get(other).intersects(of));
            all.add(new Concern(
                    Concern.Kind.TEAM_ALONE,
                    team,
                    "Nobody of " + team + " reaches anybody outside it"
                            + (hears ? "; it hears others and cannot answer." : ", and nobody outside reaches it.")));
            if (of.cardinality() == 1) {
                told.or(of); // the same again about its only member
            }
        });
    }

    private void people(List<Concern> all, BitSet told) {
        for (int i = 0; i < names.size(); i++) {
            if (told.get(i) || !reaches.get(i).isEmpty()) {
                continue;
            }
            if (!areReached.get(i)) {
                all.add(new Concern(
                        Concern.Kind.PERSON_ALONE,
                        names.get(i),
                        names.get(i) + " reaches nobody, and nobody reaches " + names.get(i) + "."));
            } else if (!means.get(i).talks().isEmpty()) {
                all.add(new Concern(
                        Concern.Kind.UNHEARD, names.get(i), "Nobody else hears what " + names.get(i) + " may key."));
            }
        }
    }

    private void entries(List<Concern> all) {
        for (int i = 0; i < channels.size(); i++) {
            int entry = i;
            int[] talk = IntStream.range(0, names.size())
                    .filter(one -> means.get(one).talks().get(entry))
                    .toArray();
            if (talk.length == 1) {
                Channel channel = channels.get(i);
                all.add(new Concern(
                        Concern.Kind.ONE_TALKS,
                        (channel.number() + " " + channel.name()).strip(),
                        i,
                        "Only " + names.get(talk[0]) + " may talk on it.",
                        about(channel)));
            }
        }
    }

    private static String about(Channel channel) {
        return Arrays.stream(Field.values())
                .filter(Field::judged)
                .map(field -> field.key() + "=" + channel.text(field))
                .collect(Collectors.joining("\u001F"));
    }
}
