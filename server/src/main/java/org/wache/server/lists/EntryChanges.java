package org.wache.server.lists;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** Changes of entries as they are asked for: made by the server to bring something back. */
public final class EntryChanges {

    private EntryChanges() {}

    /** A change of a kind: edit, add, remove or restore. */
    public static Views.Change of(ChangeKind kind, Long entry, Map<String, String> before, Map<String, String> after) {
        return new Views.Change(kind, Optional.ofNullable(entry), Optional.empty(), before, after);
    }

    /** What makes one text of an entry the other: only what differs. */
    public static Views.Change edit(long entry, Channel from, Channel to) {
        Map<String, String> was = new TreeMap<>();
        Map<String, String> becomes = new TreeMap<>();
        for (Field field : Field.values()) {
            if (!from.text(field).equals(to.text(field))) {
                was.put(field.key(), from.text(field));
                becomes.put(field.key(), to.text(field));
            }
        }
        return of(ChangeKind.EDIT, entry, was, becomes);
    }

    /** The texts of an entry, by the keys of their fields. */
    public static Map<String, String> texts(Channel channel) {
        Map<String, String> texts = new TreeMap<>();
        channel.texts().forEach((field, text) -> texts.put(field.key(), text));
        return texts;
    }
}
