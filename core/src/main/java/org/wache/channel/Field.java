package org.wache.channel;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Mode;

/**
 * The columns of a list that Wache knows, in the order it writes them. Everything about a column is said here: its
 * headings, what people call it, its unit, its choices, whether what was settled about an entry holds when it changes.
 * The screens ask for it, so that a new column needs no word elsewhere than here and where it is given a meaning.
 */
public enum Field {
    NUMBER("number", "number", Shape.FIGURE, Weight.BESIDE, "", "Number", "the number", "number", "memory"),
    NAME("name", "name", Shape.WORDS, Weight.BESIDE, "", "Name", "the name", "called", "as the radio shows it"),
    RX_MHZ(
            "rx_mhz",
            "rxMhz",
            Shape.FIGURE,
            Weight.JUDGED,
            "MHz",
            "Hears (RX)",
            "the frequency it hears on",
            "hears",
            "146.940"),
    TX_MHZ(
            "tx_mhz",
            "txMhz",
            Shape.FIGURE,
            Weight.JUDGED,
            "MHz",
            "Talks on (TX)",
            "the frequency it talks on",
            "talks on",
            "never"),
    MODE("mode", "mode", Shape.CHOICE, Weight.JUDGED, "", "Mode", "the mode", "mode", "FM is wide, NFM narrow"),
    EMISSION(
            "emission",
            "emission",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Designator",
            "the designator",
            "designator",
            "from mode"),
    POWER_W("power_w", "powerW", Shape.FIGURE, Weight.JUDGED, "W", "Power", "the power", "power", "output"),
    TX_TONE(
            "tx_tone",
            "txTone",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Sends (TX tone)",
            "the tone it sends",
            "sends",
            "no tone"),
    RX_TONE(
            "rx_tone",
            "rxTone",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Opens with (RX tone)",
            "the tone it opens with",
            "opens with",
            "anything"),
    USE("use", "use", Shape.CHOICE, Weight.JUDGED, "", "For", "what it is for", "use", "what it is for"),
    /** One of the services of the rulebook that the list is held against. */
    SERVICE(
            "service",
            "service",
            Shape.SERVICE,
            Weight.JUDGED,
            "",
            "Meant as",
            "the service it is meant as",
            "meant as",
            "a hint, no permission"),
    SCAN("scan", "scan", Shape.TEXT, Weight.BESIDE, "", "Scan", "scan", "scan", "yes or no"),
    TIMEOUT_S(
            "timeout_s",
            "timeoutS",
            Shape.FIGURE,
            Weight.JUDGED,
            "s",
            "Time-out",
            "the time-out",
            "time-out",
            "unknown"),
    NOTE("note", "note", Shape.WORDS, Weight.BESIDE, "", "Note", "the note", "note", ""),
    /** The zone or bank of a radio that the entry stands in; written only where one is used. */
    ZONE("zone", "zone", Shape.TEXT, Weight.BESIDE, "", "Zone", "the zone", "zone", "none"),
    /** Of DMR, 0 to 15; as all that follow written only where one is used. */
    COLOUR_CODE(
            "colour_code",
            "colourCode",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Colour code",
            "the colour code",
            "colour code",
            "DMR, 0 to 15"),
    /** Of DMR, 1 or 2. */
    TIME_SLOT(
            "time_slot",
            "timeSlot",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Time slot",
            "the time slot",
            "time slot",
            "DMR, 1 or 2"),
    /** The number that DMR calls. */
    TALK_GROUP(
            "talk_group",
            "talkGroup",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Talk group",
            "the talk group",
            "talk group",
            "its number"),
    /** What the talk group is called. */
    CONTACT(
            "contact",
            "contact",
            Shape.WORDS,
            Weight.BESIDE,
            "",
            "Contact",
            "the contact",
            "contact",
            "name of the talk group"),
    /** Network access code of P25, random access number of NXDN, digital squelch. */
    ACCESS_CODE(
            "access_code",
            "accessCode",
            Shape.FIGURE,
            Weight.JUDGED,
            "",
            "Access code",
            "the access code",
            "access code",
            "P25 293, NXDN 0 to 63"),
    /** The list of talk groups, by the name that it has in the radio, for which a DMR radio opens beside the one it calls. */
    RECEIVE_GROUP(
            "receive_group",
            "receiveGroup",
            Shape.WORDS,
            Weight.BESIDE,
            "",
            "Receive group",
            "the receive group",
            "receive group",
            "list of the groups it opens for");

    /** How a column is filled in. */
    public enum Shape {
        /** A word or two. */
        TEXT,
        /** A name or a sentence: it wants room. */
        WORDS,
        /** Figures, to be read digit by digit. */
        FIGURE,
        /** One of a few words, or nothing. */
        CHOICE,
        /** One of the services of the rulebook, or nothing. */
        SERVICE
    }

    /** Whether what was settled about an entry holds on when the column changes. */
    private enum Weight {
        /** The law, the plan or a radio goes by it: with another text it is another matter. */
        JUDGED,
        BESIDE
    }

    private static final Field[] ALL = values();
    /** In the order in which a radio's settings are thought of: what it is, hears, talks on, how, its tones, the rest. */
    private static final List<Field> AS_ASKED = List.of(
            NAME,
            NUMBER,
            RX_MHZ,
            TX_MHZ,
            MODE,
            TX_TONE,
            RX_TONE,
            POWER_W,
            USE,
            EMISSION,
            TIMEOUT_S,
            SERVICE,
            SCAN,
            ZONE,
            NOTE,
            COLOUR_CODE,
            TIME_SLOT,
            TALK_GROUP,
            CONTACT,
            ACCESS_CODE,
            RECEIVE_GROUP);

    private final String column;
    private final String key;
    private final Shape shape;
    private final Weight weight;
    private final String unit;
    private final String label;
    private final String words;
    private final String changed;
    private final String hint;

    Field(
            String column,
            String key,
            Shape shape,
            Weight weight,
            String unit,
            String label,
            String words,
            String changed,
            String hint) {
        this.column = column;
        this.key = key;
        this.shape = shape;
        this.weight = weight;
        this.unit = unit;
        this.label = label;
        this.words = words;
        this.changed = changed;
        this.hint = hint;
    }

    /** The heading in CSV. */
    public String column() {
        return column;
    }

    /** The key in JSON. */
    public String key() {
        return key;
    }

    /** How it is filled in. */
    public Shape shape() {
        return shape;
    }

    /** Whether the law, the plan or a radio goes by it: what was settled about an entry ends when such a text changes. */
    public boolean judged() {
        return weight == Weight.JUDGED;
    }

    /** The unit of its figures, such as MHz; empty where there is none. */
    public String unit() {
        return unit;
    }

    /** What stands above its field on the screen, without the unit. */
    public String label() {
        return label;
    }

    /** What people call it, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** How a difference begins: {@code time-out 60 s instead of 180 s}. */
    public String changed() {
        return changed;
    }

    /** What stands in its field while nothing else does: an example, or what nothing means. */
    public String hint() {
        return hint;
    }

    /** Whether a list is written with the column only where an entry has something in it. */
    public boolean whereUsed() {
        return ordinal() >= ZONE.ordinal();
    }

    /** The modes that alone have such a setting; empty for a column that every entry may have. */
    public List<Mode> modes() {
        return switch (this) {
            case COLOUR_CODE, TIME_SLOT, TALK_GROUP, CONTACT, RECEIVE_GROUP -> List.of(Mode.DMR);
            case ACCESS_CODE -> List.of(Mode.P25, Mode.NXDN, Mode.C4FM, Mode.DSTAR);
            default -> List.of();
        };
    }

    /** The words that may be chosen; empty for a column that is typed or whose choices the rulebook has. */
    public List<String> choices() {
        return switch (this) {
            case MODE -> Arrays.stream(Mode.values()).map(Mode::name).toList();
            case USE -> Use.words();
            default -> List.of();
        };
    }

    /** All, in the order in which they are asked for. */
    public static List<Field> asAsked() {
        return AS_ASKED;
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
