package org.wache.audit;

import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Set;
import java.util.TreeSet;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.signal.Tone;

/**
 * What a list has as a whole, gathered once: cures that offer what no entry has yet are asked for by every entry, and would
 * otherwise read the whole list each time.
 *
 * @param highestNumber the highest of the entries' numbers, 0 when none has one
 * @param numbers all numbers, as they are written
 * @param tones all tones that are sent or opened on
 * @param zones how many entries each zone has, in the order of the list
 * @param receives all receive frequencies, in hertz
 * @param talkGroups the talk groups that are called, each with its place among them from 1, in the order of the list
 */
public record ListFacts(
        long highestNumber,
        Set<String> numbers,
        Set<Tone> tones,
        Map<String, Integer> zones,
        NavigableSet<Long> receives,
        Map<Integer, Integer> talkGroups) {

    private static final int LONGEST_NUMBER = 9;

    static ListFacts of(List<Channel> channels) {
        long highest = 0;
        Set<String> numbers = new HashSet<>();
        Set<Tone> tones = new HashSet<>();
        Map<String, Integer> zones = new LinkedHashMap<>();
        TreeSet<Long> receives = new TreeSet<>();
        Map<Integer, Integer> talkGroups = new LinkedHashMap<>();
        for (Channel channel : channels) {
            String number = channel.number().strip();
            numbers.add(number);
            highest = Math.max(highest, value(number));
            channel.sends().ifPresent(tones::add);
            channel.opensOn().ifPresent(tones::add);
            channel.receive().ifPresent(receive -> receives.add(receive.hertz()));
            channel.digital().talkGroup().ifPresent(group -> talkGroups.putIfAbsent(group, talkGroups.size() + 1));
            zones.merge(channel.text(Field.ZONE).strip(), 1, Integer::sum);
        }
        return new ListFacts(
                highest,
                Collections.unmodifiableSet(numbers),
                Collections.unmodifiableSet(tones),
                Collections.unmodifiableMap(zones),
                Collections.unmodifiableNavigableSet(receives),
                Collections.unmodifiableMap(talkGroups));
    }

    private static long value(String number) {
        boolean whole = !number.isEmpty()
                && number.length() <= LONGEST_NUMBER
                && number.chars().allMatch(c -> c >= '0' && c <= '9');
        return whole ? Long.parseLong(number) : 0;
    }
}
