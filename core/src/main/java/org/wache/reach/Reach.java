package org.wache.reach;

import java.util.BitSet;
import java.util.List;

/**
 * Who can talk to whom.
 *
 * @param links who reaches whom, one way
 * @param missing who does not reach whom
 * @param alone those who can talk to nobody, or whom nobody can reach
 * @param means what each may key and hears, in the order of the people
 */
public record Reach(List<Link> links, List<Missing> missing, List<String> alone, List<Means> means) {

    /**
     * One way: the first may key an entry with a radio of theirs, and a radio of the other hears it.
     *
     * @param entries the entries, by their numbers
     */
    public record Link(String from, String to, List<String> entries) {}

    /**
     * Nothing leads from one to the other.
     *
     * @param reasons why
     * @param least the least that would change it, each by itself
     */
    public record Missing(String from, String to, List<String> reasons, List<String> least) {}

    /**
     * What one may key, and what their radios can be set to, to listen: places of entries among those of all lists.
     */
    public record Means(BitSet talks, BitSet hears) {}

    public Reach {
        links = List.copyOf(links);
        missing = List.copyOf(missing);
        alone = List.copyOf(alone);
        means = List.copyOf(means);
    }
}
