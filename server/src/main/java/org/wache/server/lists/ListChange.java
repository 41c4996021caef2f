package org.wache.server.lists;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.wache.channel.Channel;
import org.wache.channel.Difference;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;

/**
 * A change of a list, as it is written down.
 *
 * @param record what was asked for
 * @param words what it did, in a line
 * @param before what it replaces, for the log; null when nothing
 * @param after what it puts there, for the log
 * @param back JSON of the whole of what it replaces, where entries do not keep it; null when they do
 * @param undoes the version whose change it undoes; null for none
 */
record ListChange(String record, String words, String before, String after, String back, Integer undoes) {

    private static final JsonMapper JSON = Json.MAPPER;
    private static final int NAMED = 3;

    /** One thing of the list, from what it was to what it is. */
    static ListChange of(String what, String words, Object before, Object after) {
        return new ListChange(
                JSON.writeValueAsString(Map.of(what, after)),
                words,
                JSON.writeValueAsString(Map.of(what, before)),
                JSON.writeValueAsString(Map.of(what, after)),
                JSON.writeValueAsString(before),
                null);
    }

    /** Changes of entries; each names one, with how it was and how it is. */
    static ListChange of(List<Views.Change> changes, List<Of> entries, boolean arranged) {
        Map<String, Map<String, String>> before = new LinkedHashMap<>();
        Map<String, Map<String, String>> after = new LinkedHashMap<>();
        for (int i = 0; i < changes.size(); i++) {
            Views.Change change = changes.get(i);
            String entry = entries.get(i).named();
            if (change.kind() == ChangeKind.REMOVE || change.kind() == ChangeKind.RESTORE) {
                (change.kind() == ChangeKind.REMOVE ? before : after)
                        .computeIfAbsent(entry, any -> new LinkedHashMap<>())
                        .put("in the list", "yes");
            }
            before.computeIfAbsent(entry, any -> new LinkedHashMap<>()).putAll(change.before());
            after.computeIfAbsent(entry, any -> new LinkedHashMap<>()).putAll(change.after());
        }
        return new ListChange(
                JSON.writeValueAsString(changes),
                words(entries, arranged),
                JSON.writeValueAsString(before),
                JSON.writeValueAsString(after),
                null,
                null);
    }

    /** What was done to an entry: */
    record Of(ChangeKind kind, Channel before, Channel after) {

        String named() {
            Channel known = kind == ChangeKind.ADD ? after : before;
            return (known.number() + " " + known.name()).strip();
        }

        private String name() {
            Channel known = kind == ChangeKind.ADD ? after : before;
            return known.name().isBlank() ? "entry " + known.number() : known.name();
        }

        private String words() {
            return switch (kind) {
                case ADD -> name() + " added";
                case REMOVE -> name() + " taken out";
                case RESTORE -> name() + " brought back";
                case EDIT -> {
                    List<String> differs = Difference.of(before, after);
                    yield name() + ": " + (differs.isEmpty() ? "written otherwise" : String.join(", ", differs));
                }
            };
        }
    }

    private static String words(List<Of> entries, boolean arranged) {
        if (entries.isEmpty()) {
            return "another order";
        }
        List<String> all = new ArrayList<>();
        entries.stream().limit(NAMED).map(Of::words).forEach(all::add);
        int more = entries.size() - NAMED;
        return String.join("; ", all)
                + (more > 0 ? "; and " + more + " more" : "")
                + (arranged ? "; another order" : "");
    }

    /** The same, as what undoes the change of a version. */
    ListChange undoing(int version) {
        return new ListChange(record, "Undone: " + words, before, after, back, version);
    }

    /** The same, as what does again the change that a version undid. */
    ListChange again(int version) {
        return new ListChange(record, "Done again: " + words, before, after, back, version);
    }

    /** The same with other texts for the log, where it is not to hold the whole. */
    ListChange logged(Object before, Object after) {
        return new ListChange(
                record, words, JSON.writeValueAsString(before), JSON.writeValueAsString(after), back, undoes);
    }
}
