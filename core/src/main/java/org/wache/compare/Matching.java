package org.wache.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * Which entry of one list is which of another: by identity where there is one, else by what they say, from the surest
 * likeness to the weakest. A key that several entries share matches them in their order only if it is all of their texts.
 */
public final class Matching {

    private static final List<Function<Channel, String>> LIKENESS = List.of(
            channel -> String.join("\u001F", channel.texts().values()),
            channel -> both(channel.number(), frequencies(channel)),
            channel -> both(name(channel), frequencies(channel)),
            channel -> both(frequencies(channel), channel.text(Field.TX_TONE) + "/" + channel.text(Field.RX_TONE)),
            channel -> both(channel.number(), name(channel)),
            Matching::frequencies,
            Matching::name,
            channel -> both(channel.number(), channel.text(Field.RX_MHZ)));

    private final int[] toRight;
    private final int[] toLeft;

    private Matching(int left, int right) {
        toRight = new int[left];
        toLeft = new int[right];
        Arrays.fill(toRight, -1);
        Arrays.fill(toLeft, -1);
    }

    private static String name(Channel channel) {
        return channel.name().strip().toLowerCase(Locale.ROOT);
    }

    private static String frequencies(Channel channel) {
        return channel.receive()
                .map(hears -> hears.hertz() + ">"
                        + channel.transmit().map(talks -> talks.hertz()).orElse(0L))
                .orElse("");
    }

    private static String both(String one, String other) {
        return one.isBlank() || other.isBlank() ? "" : one + "\u001F" + other;
    }

    /** Finds the matches; each entry has at most one. */
    public static Matching of(List<Item> left, List<Item> right) {
        Matching found = new Matching(left.size(), right.size());
        Map<Long, Integer> byIdentity = new HashMap<>();
        for (int i = 0; i < right.size(); i++) {
            int at = i;
            right.get(i).identity().ifPresent(identity -> byIdentity.put(identity, at));
        }
        for (int i = 0; i < left.size(); i++) {
            int at = i;
            left.get(i).identity().map(byIdentity::get).ifPresent(other -> found.join(at, other));
        }
        for (int i = 0; i < LIKENESS.size(); i++) {
            found.byKey(left, right, LIKENESS.get(i), i == 0);
        }
        return found;
    }

    private void join(int left, int right) {
        toRight[left] = right;
        toLeft[right] = left;
    }

    private void byKey(List<Item> left, List<Item> right, Function<Channel, String> key, boolean several) {
        Map<String, List<Integer>> there = new HashMap<>();
        for (int i = 0; i < right.size(); i++) {
            String text = toLeft[i] < 0 ? key.apply(right.get(i).channel()) : "";
            if (!text.isEmpty()) {
                there.computeIfAbsent(text, any -> new ArrayList<>()).add(i);
            }
        }
        Map<String, List<Integer>> here = new HashMap<>();
        for (int i = 0; i < left.size(); i++) {
            String text = toRight[i] < 0 ? key.apply(left.get(i).channel()) : "";
            if (there.containsKey(text)) {
                here.computeIfAbsent(text, any -> new ArrayList<>()).add(i);
            }
        }
        here.forEach((text, ours) -> {
            List<Integer> theirs = there.get(text);
            boolean sure = several || ours.size() == 1 && theirs.size() == 1;
            for (int i = 0; sure && i < Math.min(ours.size(), theirs.size()); i++) {
                join(ours.get(i), theirs.get(i));
            }
        });
    }

    /** The place of the entry on the right, or -1. */
    public int right(int left) {
        return toRight[left];
    }

    /** The place of the entry on the left, or -1. */
    public int left(int right) {
        return toLeft[right];
    }
}
