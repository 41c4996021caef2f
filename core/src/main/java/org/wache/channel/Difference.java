package org.wache.channel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;

/** What became of an entry, in radio terms: {@code talks on 146.340 MHz instead of 147.540 MHz}. */
public final class Difference {

    private Difference() {}

    /** One phrase for each thing that differs; empty for equal entries. */
    public static List<String> of(Channel before, Channel after) {
        List<String> all = new ArrayList<>();
        text(all, before, after, Field.NUMBER, "number");
        text(all, before, after, Field.NAME, "called");
        if (direct(before) && direct(after) && !before.transmit().equals(after.transmit())) {
            all.add("moves to " + after.transmit().get() + " from "
                    + before.transmit().get());
        } else {
            frequency(
                    all,
                    before.receive(),
                    after.receive(),
                    before.text(Field.RX_MHZ),
                    after.text(Field.RX_MHZ),
                    "hears");
            talks(all, before, after);
        }
        mode(all, before, after);
        text(all, before, after, Field.POWER_W, "power", " W");
        if (!after.text(Field.TX_MHZ).isBlank() || before.text(Field.TX_MHZ).isBlank()) {
            tone(all, before, after, Field.TX_TONE, "sends"); // what no longer talks sends no tone either
        }
        tone(all, before, after, Field.RX_TONE, "opens on");
        text(all, before, after, Field.USE, "use");
        text(all, before, after, Field.SERVICE, "meant as");
        text(all, before, after, Field.SCAN, "scan");
        text(all, before, after, Field.TIMEOUT_S, "time-out", " s");
        text(all, before, after, Field.NOTE, "note");
        text(all, before, after, Field.ZONE, "zone");
        return all;
    }

    private static boolean direct(Channel channel) {
        return channel.transmit().isPresent() && channel.transmit().equals(channel.receive());
    }

    private static void talks(List<String> all, Channel before, Channel after) {
        String old = before.text(Field.TX_MHZ);
        String now = after.text(Field.TX_MHZ);
        if (same(before.transmit(), after.transmit(), old, now)) {
            return;
        }
        if (now.isBlank()) {
            all.add("listens only, no longer talks on " + shown(before.transmit(), old));
        } else if (old.isBlank()) {
            all.add("talks on " + shown(after.transmit(), now) + ", listened only");
        } else {
            all.add("talks on " + shown(after.transmit(), now) + " instead of " + shown(before.transmit(), old));
        }
    }

    private static void frequency(
            List<String> all,
            Optional<Frequency> old,
            Optional<Frequency> now,
            String oldText,
            String nowText,
            String verb) {
        if (!same(old, now, oldText, nowText)) {
            all.add(verb + " " + (nowText.isBlank() ? "nothing" : shown(now, nowText)) + " instead of "
                    + (oldText.isBlank() ? "nothing" : shown(old, oldText)));
        }
    }

    /** Two ways of writing one frequency are no difference. */
    private static boolean same(Optional<Frequency> old, Optional<Frequency> now, String oldText, String nowText) {
        return old.isPresent() && now.isPresent() ? old.equals(now) : oldText.equals(nowText);
    }

    private static String shown(Optional<Frequency> frequency, String text) {
        return frequency.map(Frequency::toString).orElse("“" + text + "”");
    }

    private static void mode(List<String> all, Channel before, Channel after) {
        String old = signal(before);
        String now = signal(after);
        if (!old.equals(now)) {
            all.add((now.isEmpty() ? "no mode" : now) + (old.isEmpty() ? "" : " instead of " + old));
        }
    }

    private static String signal(Channel channel) {
        String emission = channel.text(Field.EMISSION);
        return emission.isBlank() ? channel.text(Field.MODE) : emission;
    }

    private static void tone(List<String> all, Channel before, Channel after, Field field, String verb) {
        String old = before.text(field);
        String now = after.text(field);
        if (old.equals(now)) {
            return;
        }
        String none = field == Field.TX_TONE ? "no tone" : "any signal";
        all.add(verb + " " + (now.isBlank() ? none : now) + " instead of " + (old.isBlank() ? none : old));
    }

    private static void text(List<String> all, Channel before, Channel after, Field field, String word) {
        text(all, before, after, field, word, "");
    }

    private static void text(List<String> all, Channel before, Channel after, Field field, String word, String unit) {
        String old = before.text(field);
        String now = after.text(field);
        if (!old.equals(now)) {
            all.add(word + " " + (now.isBlank() ? "not given" : now + unit)
                    + (old.isBlank() ? "" : " instead of " + old + unit));
        }
    }
}
