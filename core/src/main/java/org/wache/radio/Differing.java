package org.wache.radio;

import java.util.List;
import java.util.stream.Collectors;

/** Names of several words that begin or end alike, cut so that the words in which they differ can still be told. */
final class Differing {

    private final List<List<String>> names;
    private final int length;
    private final int first;
    private final int last;

    private Differing(List<List<String>> names, int length) {
        this.names = names;
        this.length = length;
        int shortest = names.stream().mapToInt(List::size).min().orElse(0);
        int alike = 0;
        while (alike < shortest && same(alike, true)) {
            alike++;
        }
        int behind = 0;
        while (behind < shortest - alike && same(behind, false)) {
            behind++;
        }
        this.first = alike;
        this.last = behind;
    }

    /** Each name in as many characters: what is common in front of what is its own, the common part cut first. */
    static List<String> of(List<List<String>> names, int length) {
        Differing differing = new Differing(names, length);
        return names.stream().map(differing::cut).toList();
    }

    private boolean same(int at, boolean fromFront) {
        return names.stream()
                        .map(words -> words.get(fromFront ? at : words.size() - 1 - at))
                        .distinct()
                        .count()
                == 1;
    }

    private String cut(List<String> words) {
        List<String> own = words.subList(first, words.size() - last);
        String tail = joined(own);
        if (tail.length() > length) {
            tail = bare(tail);
        }
        if (tail.length() > length) {
            String digits = tail.replaceFirst("^.*?([0-9]*)$", "$1");
            int keep = Math.min(digits.length(), length);
            tail = tail.substring(0, length - keep) + digits.substring(digits.length() - keep);
        }
        String head = joined(words.subList(0, first));
        int room = length - tail.length();
        String shortened = head.length() > room ? bare(head) : head;
        return shortened.substring(0, Math.min(room, shortened.length())) + tail;
    }

    private static String joined(List<String> words) {
        return words.stream()
                .filter(word -> !word.isEmpty())
                .map(word -> Character.toUpperCase(word.charAt(0)) + word.substring(1))
                .collect(Collectors.joining());
    }

    private static String bare(String text) {
        return text.replaceAll("(?<=[A-Za-z])[aeiou]", "");
    }
}
