package org.wache.compare;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.Difference;
import org.wache.channel.Field;

/**
 * Three versions of a list brought together: what both began with, mine, and theirs. What only one side changed is
 * taken; a field that both changed to different texts is a conflict, for a person to settle.
 *
 * @param rows what theirs would change of mine, in the order of mine, then what theirs adds
 */
public record Merge(List<Row> rows) {

    /** What is to be done. */
    public enum Kind {
        /** Theirs changed it, mine did not touch those fields. */
        TAKE,
        /** Theirs added it. */
        ADD,
        /** Theirs took it out, mine left it as it was. */
        REMOVE,
        /** Both changed one field to different texts. */
        CONFLICT,
        /** Theirs took out what mine changed. */
        GONE_THERE,
        /** Mine took out what theirs changed. */
        GONE_HERE
    }

    /**
     * An entry that theirs would change.
     *
     * @param mine its place in mine; empty when mine has it not
     * @param theirs its place in theirs; empty when theirs has it not
     * @param merged what it becomes when theirs counts in conflicts; empty when it goes
     * @param conflicts the fields that both changed
     * @param words what changes in mine, in radio terms
     */
    public record Row(
            Kind kind,
            Optional<Integer> mine,
            Optional<Integer> theirs,
            Optional<Channel> merged,
            List<Field> conflicts,
            List<String> words) {}

    /** Merges. */
    public static Merge of(List<Item> base, List<Item> mine, List<Item> theirs) {
        Matching baseMine = Matching.of(base, mine);
        Matching baseTheirs = Matching.of(base, theirs);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < mine.size(); i++) {
            int old = baseMine.left(i);
            if (old >= 0) {
                inMine(base.get(old).channel(), mine.get(i).channel(), i, baseTheirs.right(old), theirs)
                        .ifPresent(rows::add);
            }
        }
        List<Item> added = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        for (int i = 0; i < theirs.size(); i++) {
            int old = baseTheirs.left(i);
            if (old < 0) {
                added.add(theirs.get(i));
                places.add(i);
            } else if (baseMine.right(old) < 0
                    && !same(base.get(old).channel(), theirs.get(i).channel())) {
                rows.add(new Row(
                        Kind.GONE_HERE,
                        Optional.empty(),
                        Optional.of(i),
                        Optional.of(theirs.get(i).channel()),
                        List.of(),
                        Difference.of(base.get(old).channel(), theirs.get(i).channel())));
            }
        }
        addedByBoth(mine, baseMine, added, places, rows);
        return new Merge(List.copyOf(rows));
    }

    private static boolean same(Channel one, Channel other) {
        return one.texts().equals(other.texts());
    }

    private static Optional<Row> inMine(Channel old, Channel mine, int place, int there, List<Item> theirs) {
        if (there < 0) {
            boolean untouched = same(old, mine);
            return Optional.of(new Row(
                    untouched ? Kind.REMOVE : Kind.GONE_THERE,
                    Optional.of(place),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    List.of(untouched ? "taken out there" : "taken out there, changed here")));
        }
        Channel other = theirs.get(there).channel();
        Map<Field, String> changes = new EnumMap<>(Field.class);
        List<Field> conflicts = new ArrayList<>();
        for (Field field : Field.values()) {
            String before = old.text(field);
            String here = mine.text(field);
            String now = other.text(field);
            if (!now.equals(before) && !now.equals(here)) {
                changes.put(field, now);
                if (!here.equals(before)) {
                    conflicts.add(field);
                }
            }
        }
        if (changes.isEmpty()) {
            return Optional.empty();
        }
        Channel merged = mine.with(changes);
        return Optional.of(new Row(
                conflicts.isEmpty() ? Kind.TAKE : Kind.CONFLICT,
                Optional.of(place),
                Optional.of(there),
                Optional.of(merged),
                conflicts,
                Difference.of(mine, merged)));
    }

    /** What both sides added alike is there already. */
    private static void addedByBoth(
            List<Item> mine, Matching baseMine, List<Item> added, List<Integer> places, List<Row> rows) {
        List<Item> ownAdded = new ArrayList<>();
        for (int i = 0; i < mine.size(); i++) {
            if (baseMine.left(i) < 0) {
                ownAdded.add(new Item(Optional.empty(), mine.get(i).channel()));
            }
        }
        Matching both = Matching.of(
                ownAdded,
                added.stream()
                        .map(item -> new Item(Optional.empty(), item.channel()))
                        .toList());
        for (int i = 0; i < added.size(); i++) {
            if (both.left(i) < 0) {
                rows.add(new Row(
                        Kind.ADD,
                        Optional.empty(),
                        Optional.of(places.get(i)),
                        Optional.of(added.get(i).channel()),
                        List.of(),
                        List.of("new there")));
            }
        }
    }
}
