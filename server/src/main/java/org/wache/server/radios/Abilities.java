package org.wache.server.radios;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.wache.radio.PowerLevels;
import org.wache.radio.RadioModel;
import org.wache.radio.ToneAbility;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/** What a model can do, in words. */
final class Abilities {

    private static final long EVERYWHERE = 9_000_000_000L;

    private Abilities() {}

    /** One of them. */
    record Said(String what, String value) {}

    static List<Said> of(RadioModel model) {
        List<Said> all = new ArrayList<>();
        add(
                all,
                "Certified",
                model.certifiedFor()
                        .map(parts -> parts.isEmpty() ? "for nothing" : "Part " + String.join(", ", parts))
                        .orElse(""));
        add(all, "Talks on", spans(model.coverage().transmit()));
        add(all, "Hears", spans(model.coverage().receive()));
        model.coverage().lockModes().forEach(lock -> add(all, "Set to “" + lock.name() + "”", spans(lock.transmit())));
        add(all, "A change of lock erases", String.join(", ", model.coverage().lockErases()));
        add(
                all,
                "Steps",
                model.tuning().stepsHz().isEmpty()
                        ? ""
                        : model.tuning().stepsHz().stream()
                                        .map(step -> Frequency.kilohertz(step).replaceFirst("\\.0$", ""))
                                        .collect(Collectors.joining(", "))
                                + " kHz");
        add(all, "Modes", model.tuning().modes().stream().map(Mode::name).collect(Collectors.joining(", ")));
        model.power()
                .forEach(levels -> add(
                        all,
                        levels.band().length() > EVERYWHERE ? "Power" : "Power " + spans(List.of(levels.band())),
                        power(levels)));
        model.antennaGainDbd()
                .ifPresent(gain -> add(all, "Antenna", String.format(java.util.Locale.ROOT, "%+.1f dBd", gain)));
        model.tuning().errorPpm().ifPresent(ppm -> add(all, "Frequency error", "up to " + ppm + " ppm"));
        add(all, "Memories", memories(model));
        number(all, "Scans", model.memory().scanned(), " entries");
        number(all, "Band-edge slots", model.memory().edgeSlots(), "");
        number(all, "Talk groups", model.memory().talkGroups(), "");
        model.display()
                .ifPresent(display -> add(
                        all,
                        "Display",
                        display.length() + " characters, " + display.letters().title()));
        add(all, "Tones", tones(model.tones()));
        add(
                all,
                "Frequencies by number",
                model.tuning().table().isEmpty() ? "" : model.tuning().table().size() + " in its table");
        add(
                all,
                "Time-out",
                model.guard().timeoutsS().stream()
                                .map(s -> s == 0 ? "off" : s.toString())
                                .collect(Collectors.joining(", "))
                        + (model.guard().timeoutsS().isEmpty() ? "" : " s"));
        add(all, "Busy lockout", model.guard().busyLockout() ? "yes" : "no");
        add(
                all,
                "Transmit inhibit",
                model.guard().inhibits().stream()
                        .sorted()
                        .map(each -> "by " + each.name().toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining(", ")));
        add(
                all,
                "Front panel programs",
                model.panel()
                        .map(panel -> switch (panel) {
                            case ALL -> "everything";
                            case LISTENING_ONLY -> "listening entries only";
                            case NONE -> "nothing";
                        })
                        .orElse(""));
        model.keypad()
                .ifPresent(keypad -> add(
                        all,
                        "Entry by keypad",
                        switch (keypad.method()) {
                            case TWO_FREQUENCIES -> "receive, store, transmit, store again";
                            case SHIFT -> "one frequency, shift and offset";
                            case FIXED_CHANNELS -> "fixed channels; tone, power and scan are set";
                            case BY_NUMBER -> "frequency and tone by their numbers";
                        }));
        return all;
    }

    private static void add(List<Said> all, String what, String value) {
        if (!value.isBlank()) {
            all.add(new Said(what, value));
        }
    }

    private static void number(List<Said> all, String what, OptionalInt value, String unit) {
        value.ifPresent(number -> add(all, what, number + unit));
    }

    private static String memories(RadioModel model) {
        String all = model.memory().channels().isPresent()
                ? Integer.toString(model.memory().channels().getAsInt())
                : "";
        return model.memory().zones().isPresent()
                ? all + " in " + model.memory().zones().getAsInt() + " zones"
                        + (model.memory().perZone().isPresent()
                                ? " of " + model.memory().perZone().getAsInt()
                                : "")
                : all;
    }

    private static String power(PowerLevels levels) {
        return levels.levels().stream()
                .map(level -> level.name().endsWith(" W") ? level.name() : level.output() + " (" + level.name() + ")")
                .collect(Collectors.joining(", "));
    }

    private static String tones(ToneAbility tones) {
        String kinds =
                tones.kinds().stream().sorted().map(ToneAbility.Kind::words).collect(Collectors.joining(", "));
        return !tones.known()
                ? ""
                : kinds.isEmpty()
                        ? "none"
                        : kinds
                                + (tones.table().isEmpty()
                                        ? ""
                                        : ", only the " + tones.table().size() + " of its table");
    }

    static String spans(List<Span> spans) {
        return spans.isEmpty()
                ? ""
                : spans.stream()
                                .map(span -> plain(span.low()) + "–" + plain(span.high()))
                                .collect(Collectors.joining(", "))
                        + " MHz";
    }

    private static String plain(long hertz) {
        return Frequency.megahertz(hertz).replaceFirst("\\.?0+$", "");
    }
}
