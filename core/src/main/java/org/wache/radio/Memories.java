package org.wache.radio;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/**
 * Which memory of a radio each entry of a list goes into. In a radio with zones they count within their zone, in the
 * order of the list. In a radio without, an entry goes into the memory of its number where all numbers are whole and
 * different, so that people find it under the number they know; otherwise they are filled in the order of the list.
 *
 * @param slots for each entry its place
 * @param byNumber whether the entries' numbers say where they go
 */
public record Memories(List<Memories.Slot> slots, boolean byNumber) {

    private static final int LONGEST_NUMBER = 6;
    private static final Set<String> SCANNED = Set.of("yes", "y", "true", "1", "on", "x", "scan", "add");

    /**
     * The place of an entry.
     *
     * @param zone the zone, from 1; 0 in a radio without zones
     * @param memory the memory in the zone or the radio, from 1
     * @param scanned how many entries up to this one are scanned, itself included; 0 when it is not scanned
     * @param problem why there is no such place; empty when there is
     */
    public record Slot(int zone, int memory, int scanned, String problem) {

        /** Whether the radio has such a place. */
        public boolean exists() {
            return problem.isEmpty();
        }
    }

    /** The places of a list's entries. */
    public static Memories of(ChannelList list, MemorySize size) {
        boolean byNumber = size.zones().isEmpty() && numbered(list.channels());
        Map<String, Integer> zones = new LinkedHashMap<>();
        Map<String, Integer> filled = new HashMap<>();
        List<Slot> slots = new ArrayList<>();
        int scanned = 0;
        for (int i = 0; i < list.channels().size(); i++) {
            Channel channel = list.channels().get(i);
            scanned += scans(channel) ? 1 : 0;
            int scanPlace = scans(channel) ? scanned : 0;
            if (size.zones().isPresent()) {
                String name = channel.text(Field.ZONE).strip();
                int zone = zones.computeIfAbsent(name.toLowerCase(Locale.ROOT), any -> zones.size() + 1);
                int memory = filled.merge(name.toLowerCase(Locale.ROOT), 1, Integer::sum);
                slots.add(new Slot(zone, memory, scanPlace, zoneProblem(size, zone, memory, name)));
            } else {
                int memory = byNumber ? Integer.parseInt(channel.number().strip()) : i + 1;
                slots.add(new Slot(0, memory, scanPlace, problem(size, memory, byNumber)));
            }
        }
        return new Memories(List.copyOf(slots), byNumber);
    }

    /** Whether an entry is in the scan. */
    public static boolean scans(Channel channel) {
        return SCANNED.contains(channel.text(Field.SCAN).strip().toLowerCase(Locale.ROOT));
    }

    private static boolean numbered(List<Channel> channels) {
        Set<Integer> seen = new HashSet<>();
        for (Channel channel : channels) {
            String number = channel.number().strip();
            boolean whole = !number.isEmpty()
                    && number.length() <= LONGEST_NUMBER
                    && number.chars().allMatch(c -> c >= '0' && c <= '9');
            if (!whole || Integer.parseInt(number) < 1 || !seen.add(Integer.parseInt(number))) {
                return false;
            }
        }
        return true;
    }

    private static String problem(MemorySize size, int memory, boolean byNumber) {
        if (size.channels().isEmpty() || memory <= size.channels().getAsInt()) {
            return "";
        }
        return byNumber
                ? "its number is " + memory + ", and the memories end at "
                        + size.channels().getAsInt()
                : "it is entry " + memory + " of the list, and the radio has "
                        + size.channels().getAsInt() + " memories";
    }

    private static String zoneProblem(MemorySize size, int zone, int memory, String name) {
        if (zone > size.zones().getAsInt()) {
            return "its zone is the list's zone " + zone + ", and the radio has "
                    + size.zones().getAsInt();
        }
        String called = name.isEmpty() ? "the list without zones" : "the zone " + name;
        return size.perZone().isPresent() && memory > size.perZone().getAsInt()
                ? "it is entry " + memory + " of " + called + ", and a zone holds "
                        + size.perZone().getAsInt()
                : "";
    }
}
