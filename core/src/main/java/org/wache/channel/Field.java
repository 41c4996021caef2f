package org.wache.channel;

import java.util.Optional;

/** The columns of a list that Wache knows, in the order it writes them. */
public enum Field {
    NUMBER("number", "number", "the number"),
    NAME("name", "name", "the name"),
    RX_MHZ("rx_mhz", "rxMhz", "the frequency it hears on"),
    TX_MHZ("tx_mhz", "txMhz", "the frequency it talks on"),
    MODE("mode", "mode", "the mode"),
    EMISSION("emission", "emission", "the designator"),
    POWER_W("power_w", "powerW", "the power"),
    TX_TONE("tx_tone", "txTone", "the tone it sends"),
    RX_TONE("rx_tone", "rxTone", "the tone it opens with"),
    USE("use", "use", "what it is for"),
    SERVICE("service", "service", "the service it is meant as"),
    SCAN("scan", "scan", "scan"),
    TIMEOUT_S("timeout_s", "timeoutS", "the time-out"),
    NOTE("note", "note", "the note"),
    /** The zone or bank of a radio that the entry stands in; written only where one is used. */
    ZONE("zone", "zone", "the zone");

    private static final Field[] ALL = values();
    private final String column;
    private final String key;
    private final String words;

    Field(String column, String key, String words) {
        this.column = column;
        this.key = key;
        this.words = words;
    }

    /** The heading in CSV. */
    public String column() {
        return column;
    }

    /** What people call it, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** The key in JSON. */
    public String key() {
        return key;
    }

    /** The field with this CSV heading, in any case and with spaces around it. */
    public static Optional<Field> ofColumn(String heading) {
        String wanted = heading.trim();
        for (Field field : ALL) {
            if (field.column.equalsIgnoreCase(wanted)) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    /** The field with this JSON key. */
    public static Optional<Field> ofKey(String key) {
        for (Field field : ALL) {
            if (field.key.equals(key)) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }
}
