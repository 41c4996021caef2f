package org.wache.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * What of a list is keyed together at one site.
 *
 * @param how whether all of it, a team's entries each, or those of each base
 * @param bases the bases, for {@link How#BASES}
 */
public record Keying(How how, List<Base> bases) {

    /** The ways. */
    public enum How {
        /** Nothing: the entries are used at different places or times. */
        NONE,
        /** All entries. */
        ALL,
        /** The entries of one zone, which are those of a team; teams stand apart. */
        TEAMS,
        /** The entries that a base works; bases stand apart. */
        BASES
    }

    /**
     * A base and what it works.
     *
     * @param name what it is called
     * @param numbers the numbers of its entries
     */
    public record Base(String name, Set<String> numbers) {
        public Base {
            numbers = Set.copyOf(numbers);
        }
    }

    /**
     * Entries that are keyed together.
     *
     * @param name whose they are; empty for all of a list
     * @param positions their positions, from 0
     */
    public record Part(String name, List<Integer> positions) {}

    /** Nothing is keyed together. */
    public static final Keying NONE = new Keying(How.NONE, List.of());
    /** All entries are. */
    public static final Keying ALL = new Keying(How.ALL, List.of());
    /** The entries of each zone are. */
    public static final Keying TEAMS = new Keying(How.TEAMS, List.of());

    public Keying {
        bases = List.copyOf(bases);
    }

    /** Whether anything is keyed together. */
    public boolean any() {
        return how != How.NONE;
    }

    /** The parts of a list, each of which is one site's. */
    public List<Part> parts(List<Channel> channels) {
        return switch (how) {
            case NONE -> List.of();
            case ALL ->
                List.of(new Part("", IntStream.range(0, channels.size()).boxed().toList()));
            case TEAMS -> teams(channels);
            case BASES ->
                bases.stream()
                        .map(base -> new Part(
                                base.name(),
                                IntStream.range(0, channels.size())
                                        .filter(i -> base.numbers()
                                                .contains(channels.get(i).number()))
                                        .boxed()
                                        .toList()))
                        .toList();
        };
    }

    private static List<Part> teams(List<Channel> channels) {
        Map<String, List<Integer>> byZone = new LinkedHashMap<>();
        for (int i = 0; i < channels.size(); i++) {
            byZone.computeIfAbsent(channels.get(i).text(Field.ZONE).trim(), any -> new ArrayList<>())
                    .add(i);
        }
        return byZone.entrySet().stream()
                .map(each -> new Part(each.getKey().isEmpty() ? "without a zone" : each.getKey(), each.getValue()))
                .toList();
    }
}
