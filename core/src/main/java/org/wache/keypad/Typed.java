package org.wache.keypad;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.wache.radio.Keypad.Purpose;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/**
 * What a display of a radio is set to, or what a memory holds.
 *
 * @param receive where it hears
 * @param transmit where it talks
 * @param step the step it is tuned in, in hertz
 * @param shift 0, 1 or −1
 * @param offset the offset in hertz, 0 or more
 * @param set what else is set, in Wache's words: the width, the level of power, the tones, the name
 */
record Typed(Frequency receive, Frequency transmit, int step, int shift, long offset, Map<Purpose, String> set) {

    Typed {
        set = Map.copyOf(set);
    }

    Typed at(Frequency frequency) {
        return new Typed(frequency, frequency, step, shift, offset, set);
    }

    Typed talkingOn(Frequency frequency) {
        return new Typed(receive, frequency, step, shift, offset, set);
    }

    Typed stepped(int hertz) {
        return new Typed(receive, transmit, hertz, shift, offset, set);
    }

    Typed shifted(int sign) {
        return new Typed(receive, transmit, step, sign, offset, set);
    }

    Typed offset(long hertz) {
        return new Typed(receive, transmit, step, shift, hertz, set);
    }

    /** With a setting of any other kind: {@code off} for a tone takes the tone of its kind away. */
    Typed with(Purpose purpose, String meaning) {
        Map<Purpose, String> now = new EnumMap<>(Purpose.class);
        now.putAll(set);
        switch (purpose) {
            case CTCSS_SENT, DCS_SENT -> tone(now, Purpose.TONE_SENT, purpose == Purpose.DCS_SENT, meaning);
            case CTCSS_RECEIVED, DCS_RECEIVED ->
                tone(now, Purpose.TONE_RECEIVED, purpose == Purpose.DCS_RECEIVED, meaning);
            default -> now.put(purpose, meaning);
        }
        return new Typed(receive, transmit, step, shift, offset, now);
    }

    /** Of four settings the one that was set last counts; switching one off leaves a tone of the other kind. */
    private static void tone(Map<Purpose, String> now, Purpose side, boolean digital, String meaning) {
        boolean otherKind = now.getOrDefault(side, "off").startsWith("D") != digital;
        if (!meaning.equals("off") || !otherKind) {
            now.put(side, meaning);
        }
    }

    /** What a setting stands on, in Wache's words. */
    String on(Purpose purpose, String otherwise) {
        return switch (purpose) {
            case CTCSS_SENT -> ofKind(Purpose.TONE_SENT, false);
            case DCS_SENT -> ofKind(Purpose.TONE_SENT, true);
            case CTCSS_RECEIVED -> ofKind(Purpose.TONE_RECEIVED, false);
            case DCS_RECEIVED -> ofKind(Purpose.TONE_RECEIVED, true);
            default -> set.getOrDefault(purpose, otherwise);
        };
    }

    private String ofKind(Purpose side, boolean digital) {
        String tone = set.getOrDefault(side, "off");
        return tone.startsWith("D") == digital ? tone : "off";
    }

    /** The tone it sends. */
    Optional<Tone> sends() {
        return side(Purpose.TONE_SENT, set.getOrDefault(Purpose.TONE_KIND, ""));
    }

    /** The tone it opens with. */
    Optional<Tone> opensOn() {
        String kind = set.getOrDefault(Purpose.TONE_KIND, "");
        return kind.equals("sent") ? Optional.empty() : side(Purpose.TONE_RECEIVED, kind);
    }

    private Optional<Tone> side(Purpose own, String kind) {
        String tone =
                switch (kind) {
                    case "none" -> "off";
                    case "sent", "both" -> set.getOrDefault(Purpose.TONE, "off");
                    case "code" -> set.getOrDefault(Purpose.CODE, "off");
                    default -> set.getOrDefault(own, set.getOrDefault(Purpose.TONE, "off"));
                };
        return tone.equals("off") ? Optional.empty() : Tone.parse(tone);
    }

    /** With the transmit frequency that shift and offset make. */
    Typed withShiftApplied() {
        long hertz = receive.hertz() + shift * offset;
        return talkingOn(new Frequency(Math.max(1, hertz)));
    }
}
