package org.wache.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.channel.Difference;

/**
 * What became of a list.
 *
 * @param rows the entries that differ: those of the list after in its order, then those that are gone
 * @param same how many entries say the same
 * @param moved whether entries that both have stand in another order
 */
public record ListDifference(List<Row> rows, int same, boolean moved) {

    /** What became of an entry. */
    public enum Kind {
        ADDED,
        REMOVED,
        CHANGED
    }

    /**
     * An entry that differs.
     *
     * @param before its place in the list before; empty when it is new
     * @param after its place in the list after; empty when it is gone
     * @param words what differs, in radio terms
     */
    public record Row(Kind kind, Optional<Integer> before, Optional<Integer> after, List<String> words) {}

    /** Compares two lists. */
    public static ListDifference of(List<Item> before, List<Item> after) {
        Matching matching = Matching.of(before, after);
        List<Row> rows = new ArrayList<>();
        int same = 0;
        int last = -1;
        boolean moved = false;
        for (int i = 0; i < after.size(); i++) {
            int old = matching.left(i);
            if (old < 0) {
                rows.add(new Row(
                        Kind.ADDED, Optional.empty(), Optional.of(i), List.of("new: " + inShort(after.get(i)))));
                continue;
            }
            moved |= old < last;
            last = Math.max(last, old);
            List<String> words = words(before.get(old), after.get(i));
            if (words.isEmpty()) {
                same++;
            } else {
                rows.add(new Row(Kind.CHANGED, Optional.of(old), Optional.of(i), words));
            }
        }
        for (int i = 0; i < before.size(); i++) {
            if (matching.right(i) < 0) {
                rows.add(new Row(
                        Kind.REMOVED, Optional.of(i), Optional.empty(), List.of("gone: " + inShort(before.get(i)))));
            }
        }
        return new ListDifference(List.copyOf(rows), same, moved);
    }

    /** Texts that differ but mean the same, such as 146.52 and 146.520, are no difference. */
    private static List<String> words(Item before, Item after) {
        return before.channel().texts().equals(after.channel().texts())
                ? List.of()
                : Difference.of(before.channel(), after.channel());
    }

    private static String inShort(Item item) {
        String hears = "hears " + item.channel().receive().map(Object::toString).orElse("nothing that can be read");
        String talks = item.channel()
                .transmit()
                .map(to -> item.channel().isPair() ? ", talks on " + to : ", direct")
                .orElse(", listens only");
        return hears
                + talks
                + item.channel().sends().map(tone -> ", sends " + tone.text()).orElse("");
    }
}
