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
        for (Field field : Field.values()) {
            switch (field) {
                case RX_MHZ -> hears(all, before, after);
                case TX_MHZ -> talks(all, before, after);
                case MODE -> mode(all, before, after);
                case EMISSION -> {} // told with the mode
                case TX_TONE, RX_TONE -> tone(all, before, after, field);
                default -> text(all, before, after, field);
            }
        }
        return all;
    }

    private static boolean direct(Channel channel) {
        return channel.transmit().isPresent() && channel.transmit().equals(channel.receive());
    }

    /** Whether a direct channel went elsewhere as a whole; then it is told as one. */
    private static boolean moved(Channel before, Channel after) {
        return direct(before) && direct(after) && !before.transmit().equals(after.transmit());
    }

    private static void hears(List<String> all, Channel before, Channel after) {
        String old = before.text(Field.RX_MHZ);
        String now = after.text(Field.RX_MHZ);
        if (moved(before, after)) {
            all.add("moves to " + after.transmit().get() + " from "
                    + before.transmit().get());
        } else if (!same(before.receive(), after.receive(), old, now)) {
            all.add("hears " + (now.isBlank() ? "nothing" : shown(after.receive(), now)) + " instead of "
                    + (old.isBlank() ? "nothing" : shown(before.receive(), old)));
        }
    }

    private static void talks(List<String> all, Channel before, Channel after) {
        String old = before.text(Field.TX_MHZ);
        String now = after.text(Field.TX_MHZ);
        if (moved(before, after) || same(before.transmit(), after.transmit(), old, now)) {
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

    private static void tone(List<String> all, Channel before, Channel after, Field field) {
        String old = before.text(field);
        String now = after.text(field);
        boolean silent = field == Field.TX_TONE
                && after.text(Field.TX_MHZ).isBlank()
                && !before.text(Field.TX_MHZ).isBlank();
        if (old.equals(now) || silent) { // what no longer talks sends no tone either
            return;
        }
        String none = field == Field.TX_TONE ? "no tone" : "any signal";
        all.add(field.changed() + " " + (now.isBlank() ? none : now) + " instead of " + (old.isBlank() ? none : old));
    }

    private static void text(List<String> all, Channel before, Channel after, Field field) {
        String old = before.text(field);
        String now = after.text(field);
        if (!old.equals(now)) {
            String unit = field.unit().isEmpty() ? "" : " " + field.unit();
            all.add(field.changed() + " " + (now.isBlank() ? "not given" : now + unit)
                    + (old.isBlank() ? "" : " instead of " + old + unit));
        }
    }
}
