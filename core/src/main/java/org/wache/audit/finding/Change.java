package org.wache.audit.finding;

import java.util.EnumMap;
import java.util.Map;
import org.wache.channel.Field;
import org.wache.signal.Frequency;

/**
 * A change of fields that may cure a finding.
 *
 * @param label what it does, as a button says it
 * @param fields new texts by field
 */
public record Change(String label, Map<Field, String> fields) {

    /** A change of one field. */
    public static Change of(String label, Field field, String text) {
        return new Change(label, Map.of(field, text));
    }

    /** No transmit frequency: the entry only listens. */
    public static Change listenOnly() {
        return new Change("Listen only", Map.of(Field.TX_MHZ, "", Field.TX_TONE, "", Field.USE, ""));
    }

    /** Both frequencies set. */
    public static Change frequencies(String label, Frequency receive, Frequency transmit) {
        return new Change(label, Map.of(Field.RX_MHZ, receive.megahertz(), Field.TX_MHZ, transmit.megahertz()));
    }

    /** Another mode, and no designator that would win over it. */
    public static Change mode(String label, String mode) {
        return new Change(label, Map.of(Field.MODE, mode, Field.EMISSION, ""));
    }

    /** Both changes; where they touch one field, the other's text stands. */
    public Change and(Change other) {
        Map<Field, String> both = new EnumMap<>(Field.class);
        both.putAll(fields);
        both.putAll(other.fields);
        String second =
                other.label.isEmpty() ? "" : Character.toLowerCase(other.label.charAt(0)) + other.label.substring(1);
        return new Change(label + ", " + second, both);
    }
}
