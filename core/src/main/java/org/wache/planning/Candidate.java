package org.wache.planning;

import java.util.BitSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.wache.channel.Channel;

/**
 * A direct channel that could go into a list.
 *
 * @param channel with mode, power and service, without a name
 * @param place the band or the service it is in, for people
 * @param by by service, the people, by their places, who may key it under that and hear it with one radio of theirs, with nothing to ask
 * @param askedBy by service, those for whom something is asked of it; they may key it too
 * @param able all who may key it with nothing to ask
 * @param calls whether people in general call there
 * @param watts its output in watts, the radios' own
 */
record Candidate(
        Channel channel,
        String place,
        Map<String, BitSet> by,
        Map<String, BitSet> askedBy,
        BitSet able,
        boolean calls,
        double watts) {

    Candidate(
            Channel channel,
            String place,
            Map<String, BitSet> by,
            Map<String, BitSet> askedBy,
            boolean calls,
            double watts) {
        this(channel, place, by, askedBy, all(by), calls, watts);
    }

    private static BitSet all(Map<String, BitSet> by) {
        BitSet all = new BitSet();
        by.values().forEach(all::or);
        return all;
    }

    long hertz() {
        return channel.transmit().orElseThrow().hertz();
    }

    /** The same under these services alone; all of them when none is named. */
    Candidate within(Set<String> services) {
        if (services.isEmpty()) {
            return this;
        }
        Map<String, BitSet> some = new TreeMap<>(by);
        some.keySet().retainAll(services);
        Map<String, BitSet> someAsked = new TreeMap<>(askedBy);
        someAsked.keySet().retainAll(services);
        return new Candidate(channel, place, some, someAsked, calls, watts);
    }

    /** The same where a question is no hindrance. */
    Candidate lenient() {
        Map<String, BitSet> all = new TreeMap<>();
        by.forEach((service, people) -> all.put(service, (BitSet) people.clone()));
        askedBy.forEach((service, people) ->
                all.computeIfAbsent(service, any -> new BitSet()).or(people));
        return new Candidate(channel, place, all, askedBy, calls, watts);
    }

    /** Whether all of these may use it. */
    boolean isFor(BitSet people) {
        BitSet missing = (BitSet) people.clone();
        missing.andNot(able);
        return missing.isEmpty();
    }

    /** How many of these may use it. */
    int of(BitSet people) {
        BitSet shared = (BitSet) people.clone();
        shared.and(able);
        return shared.cardinality();
    }
}
