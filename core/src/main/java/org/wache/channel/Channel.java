package org.wache.channel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;
import org.wache.signal.Tone;
import org.wache.signal.Watts;

/**
 * One entry of a list: the text of each field as somebody typed it, and what it was read as. A field that cannot be
 * read is kept as text and reported in {@link #misreads()}; nothing is lost or guessed.
 */
public final class Channel {

    private static final String A_FREQUENCY =
            "a frequency in MHz with a point and at most six decimals, such as 146.520";
    private static final String A_TONE = "a tone such as 100.0 (CTCSS in hertz), D023 or D023I (DCS)";
    private static final int LONGEST_TIMEOUT_DIGITS = 5;

    private final String[] texts;
    private final List<String> extras;
    private final List<Misread> misreads;
    private final Optional<Frequency> receive;
    private final Optional<Frequency> transmit;
    private final Optional<Mode> mode;
    private final Optional<Emission> emission;
    private final Optional<Watts> power;
    private final Optional<Tone> sends;
    private final Optional<Tone> opensOn;
    private final OptionalInt timeout;
    private final Use use;
    private final Digital digital;
    private final Optional<Span> occupied;

    private Channel(String[] texts, List<String> extras) {
        this(texts, extras, null);
    }

    /** What depends on none of the texts that differ from those of an entry in which all was read is taken from there: cures are tried by the thousand. */
    private Channel(String[] texts, List<String> extras, Channel read) {
        this.texts = texts;
        this.extras = extras;
        Reading reading = new Reading();
        Same same = new Same(texts, read);
        this.receive = same.in(Field.RX_MHZ) ? read.receive : reading.receive();
        this.transmit = same.in(Field.TX_MHZ) ? read.transmit : reading.frequency(Field.TX_MHZ);
        boolean sameMode = same.in(Field.MODE) && same.in(Field.EMISSION) && same.in(Field.TX_MHZ);
        this.mode = sameMode ? read.mode : reading.mode();
        this.emission = sameMode ? read.emission : reading.emission(mode);
        this.power = same.in(Field.POWER_W) ? read.power : reading.power();
        this.sends = same.in(Field.TX_TONE) ? read.sends : reading.tone(Field.TX_TONE);
        this.opensOn = same.in(Field.RX_TONE) ? read.opensOn : reading.tone(Field.RX_TONE);
        this.timeout = same.in(Field.TIMEOUT_S) ? read.timeout : reading.timeout();
        this.use = reading.use(receive, transmit);
        this.digital = reading.digital(mode);
        this.misreads = reading.found;
        this.occupied = sameMode
                ? read.occupied
                : transmit.isPresent() && emission.isPresent()
                        ? span(transmit.get(), emission.get(), mode)
                        : Optional.empty();
    }

    /** Which texts are those of an entry in which all was read. */
    private record Same(String[] texts, Channel read) {
        boolean in(Field field) {
            return read != null
                    && read.misreads.isEmpty()
                    && read.texts[field.ordinal()].equals(texts[field.ordinal()]);
        }
    }

    private static Optional<Span> span(Frequency dial, Emission emission, Optional<Mode> mode) {
        Span around = emission.aroundDial(mode.isPresent() && mode.get() == Mode.LSB);
        return around.low() + dial.hertz() < 1 ? Optional.empty() : Optional.of(around.shifted(dial.hertz()));
    }

    /** An entry with these texts and the texts of the list's further columns; a missing field is empty. */
    public static Channel of(Map<Field, String> fields, List<String> extras) {
        String[] texts = new String[Field.values().length];
        Arrays.fill(texts, "");
        fields.forEach((field, text) -> texts[field.ordinal()] = text);
        return new Channel(texts, List.copyOf(extras));
    }

    /** An entry with these texts and no further columns. */
    public static Channel of(Map<Field, String> fields) {
        return of(fields, List.of());
    }

    /**
     * An entry from one text for each of {@link Field#values()}, in that order; the array is taken over.
     *
     * @throws IllegalArgumentException when there are not as many
     */
    public static Channel ofTexts(String[] texts, List<String> extras) {
        if (texts.length != Field.values().length) {
            throw new IllegalArgumentException("One text for each field");
        }
        return new Channel(texts, extras);
    }

    /** A copy in which the given fields have new texts. */
    public Channel with(Map<Field, String> changes) {
        String[] copy = texts.clone();
        changes.forEach((field, text) -> copy[field.ordinal()] = text);
        return new Channel(copy, extras, this);
    }

    /** The text of a field as typed; empty when it is not given. */
    public String text(Field field) {
        return texts[field.ordinal()];
    }

    /** All texts by field. */
    public Map<Field, String> texts() {
        Map<Field, String> map = new EnumMap<>(Field.class);
        for (Field field : Field.values()) {
            map.put(field, text(field));
        }
        return map;
    }

    /** The texts of the list's further columns, in the list's order; may be fewer than there are columns. */
    public List<String> extras() {
        return extras;
    }

    /** The fields that could not be read. */
    public List<Misread> misreads() {
        return misreads;
    }

    public String number() {
        return text(Field.NUMBER);
    }

    public String name() {
        return text(Field.NAME);
    }

    /** Where it listens. */
    public Optional<Frequency> receive() {
        return receive;
    }

    /** Where it talks; empty for a listening entry. */
    public Optional<Frequency> transmit() {
        return transmit;
    }

    /** The mode named, when one is. */
    public Optional<Mode> mode() {
        return mode;
    }

    /** The designator given, else the one that the mode stands for. */
    public Optional<Emission> emission() {
        return emission;
    }

    /** Whether the emission comes from the mode and not from a designator in the list. */
    public boolean emissionFromMode() {
        return text(Field.EMISSION).isEmpty() && mode.isPresent();
    }

    /** Transmitter output (PEP for single sideband, carrier for AM); empty when unknown. */
    public Optional<Watts> power() {
        return power;
    }

    /** The tone it sends. */
    public Optional<Tone> sends() {
        return sends;
    }

    /** The tone its receiver opens with. */
    public Optional<Tone> opensOn() {
        return opensOn;
    }

    /** Time-out in seconds, 0 when off, empty when unknown. */
    public OptionalInt timeout() {
        return timeout;
    }

    /** What it is for, as named, else as the frequencies tell. */
    public Use use() {
        return use;
    }

    /** What it needs as a digital channel. */
    public Digital digital() {
        return digital;
    }

    /** The service it is meant for: a hint, in lower case, or empty. */
    public String serviceHint() {
        return text(Field.SERVICE).toLowerCase(Locale.ROOT);
    }

    /** Whether it talks and hears on two different frequencies. */
    public boolean isPair() {
        return transmit.isPresent() && receive.isPresent() && !transmit.equals(receive);
    }

    /** What the transmitted signal fills; empty when it does not transmit or the emission is unknown. */
    public Optional<Span> occupied() {
        return occupied;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Channel that && Arrays.equals(texts, that.texts) && extras.equals(that.extras);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(texts);
    }

    @Override
    public String toString() {
        return String.join(",", texts);
    }

    /** Turns texts into values once, and notes what cannot be read. */
    private final class Reading {
        private List<Misread> found = List.of();

        private void misread(Field field, String expected) {
            if (found.isEmpty()) {
                found = new ArrayList<>(2);
            }
            found.add(new Misread(field, text(field), expected));
        }

        private String trimmed(Field field) {
            return text(field).trim();
        }

        Optional<Frequency> receive() {
            if (trimmed(Field.RX_MHZ).isEmpty()) {
                misread(Field.RX_MHZ, A_FREQUENCY);
                return Optional.empty();
            }
            return frequency(Field.RX_MHZ);
        }

        Optional<Frequency> frequency(Field field) {
            String text = trimmed(field);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            Optional<Frequency> read = Frequency.ofMegahertz(text);
            if (read.isEmpty()) {
                misread(field, A_FREQUENCY);
            }
            return read;
        }

        Optional<Mode> mode() {
            String text = trimmed(Field.MODE);
            if (text.isEmpty()) {
                if (trimmed(Field.EMISSION).isEmpty() && !trimmed(Field.TX_MHZ).isEmpty()) {
                    misread(Field.MODE, "a mode (" + modes() + ") or a designator, because the entry transmits");
                }
                return Optional.empty();
            }
            Optional<Mode> read = Mode.parse(text);
            if (read.isEmpty()) {
                misread(Field.MODE, "one of " + modes());
            }
            return read;
        }

        private String modes() {
            return String.join(
                    ", ", Arrays.stream(Mode.values()).map(Mode::name).toList());
        }

        Optional<Emission> emission(Optional<Mode> mode) {
            String text = trimmed(Field.EMISSION);
            if (text.isEmpty()) {
                return mode.map(Mode::emission);
            }
            Optional<Emission> read = Emission.parse(text.toUpperCase(Locale.ROOT));
            if (read.isEmpty()) {
                misread(
                        Field.EMISSION,
                        "a designator such as 16K0F3E: three digits with a letter at the point, then three to"
                                + " five symbols");
            }
            return read;
        }

        Optional<Watts> power() {
            String text = trimmed(Field.POWER_W);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            Optional<Watts> read = Watts.parse(text);
            if (read.isEmpty()) {
                misread(Field.POWER_W, "a power in watts above 0, such as 5 or 0.5");
            }
            return read;
        }

        Optional<Tone> tone(Field field) {
            String text = trimmed(field);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            Optional<Tone> read = Tone.parse(text);
            boolean burstHeard = field == Field.RX_TONE && read.isPresent() && read.get() instanceof Tone.Burst;
            if (read.isEmpty() || burstHeard) {
                misread(field, field == Field.RX_TONE ? A_TONE : A_TONE + ", or B1750 (burst)");
                return Optional.empty();
            }
            return read;
        }

        OptionalInt timeout() {
            String text = trimmed(Field.TIMEOUT_S);
            if (text.isEmpty()) {
                return OptionalInt.empty();
            }
            boolean whole =
                    text.length() <= LONGEST_TIMEOUT_DIGITS && text.chars().allMatch(c -> c >= '0' && c <= '9');
            if (!whole) {
                misread(Field.TIMEOUT_S, "whole seconds, 0 for off");
                return OptionalInt.empty();
            }
            return OptionalInt.of(Integer.parseInt(text));
        }

        Digital digital(Optional<Mode> mode) {
            if (texts[Field.COLOUR_CODE.ordinal()].isEmpty()
                    && texts[Field.TIME_SLOT.ordinal()].isEmpty()
                    && texts[Field.TALK_GROUP.ordinal()].isEmpty()
                    && texts[Field.ACCESS_CODE.ordinal()].isEmpty()) {
                return Digital.NONE;
            }
            return new Digital(
                    whole(Field.COLOUR_CODE, 0, Digital.LAST_COLOUR, "a colour code, 0 to 15"),
                    whole(Field.TIME_SLOT, 1, Digital.LAST_SLOT, "a time slot, 1 or 2"),
                    whole(Field.TALK_GROUP, 1, Digital.LAST_TALK_GROUP, "a talk group's number, 1 to 16777215"),
                    accessCode(mode));
        }

        private OptionalInt whole(Field field, int least, int most, String expected) {
            String text = trimmed(field);
            if (text.isEmpty()) {
                return OptionalInt.empty();
            }
            int value = text.matches("[0-9]{1,8}") ? Integer.parseInt(text) : -1;
            if (value < least || value > most) {
                misread(field, expected);
                return OptionalInt.empty();
            }
            return OptionalInt.of(value);
        }

        private Optional<String> accessCode(Optional<Mode> mode) {
            if (mode.isPresent() && mode.get() == Mode.P25) {
                String text = trimmed(Field.ACCESS_CODE).toUpperCase(Locale.ROOT);
                if (!text.isEmpty() && !text.matches("[0-9A-F]{3}")) {
                    misread(Field.ACCESS_CODE, "a network access code of three hexadecimal digits, such as 293");
                    return Optional.empty();
                }
                return Optional.of(text).filter(code -> !code.isEmpty());
            }
            boolean random = mode.isPresent() && mode.get() == Mode.NXDN;
            OptionalInt code = random
                    ? whole(Field.ACCESS_CODE, 0, Digital.LAST_RANDOM_ACCESS, "a random access number, 0 to 63")
                    : whole(Field.ACCESS_CODE, 0, Digital.LAST_SQUELCH, "a digital squelch, 0 to 99");
            return code.isPresent() ? Optional.of(Integer.toString(code.getAsInt())) : Optional.empty();
        }

        Use use(Optional<Frequency> receive, Optional<Frequency> transmit) {
            String text = trimmed(Field.USE);
            Use named = Use.parse(text).orElse(null);
            if (named == null && !text.isEmpty()) {
                misread(Field.USE, "one of " + String.join(", ", Use.words()));
            }
            if (transmit.isEmpty()) {
                return Use.LISTEN;
            }
            if (named == null || named == Use.LISTEN) { // what can transmit is judged as what it would do
                return transmit.equals(receive) ? Use.DIRECT : Use.REPEATER;
            }
            return named;
        }
    }
}
