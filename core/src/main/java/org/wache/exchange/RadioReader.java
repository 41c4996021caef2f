package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.wache.radio.Coverage;
import org.wache.radio.Display;
import org.wache.radio.Guard;
import org.wache.radio.LockMode;
import org.wache.radio.MemorySize;
import org.wache.radio.PowerLevels;
import org.wache.radio.Radio;
import org.wache.radio.RadioKind;
import org.wache.radio.RadioModel;
import org.wache.radio.ShortNames;
import org.wache.radio.ToneAbility;
import org.wache.radio.Tuning;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;
import org.wache.signal.Tone;
import org.wache.signal.Watts;
import tools.jackson.databind.JsonNode;

/**
 * Reads a radio as contexts and model files describe it. Every key but the model's name may be absent; what is absent is
 * not judged. A message names the path of what is wrong.
 */
public final class RadioReader {

    private static final int MOST_MEMORIES = 10_000;
    private static final int MOST_TALK_GROUPS = 500_000;
    private static final int LONGEST_DISPLAY = 64;
    private static final int MOST_SECONDS = 3_600;
    private static final Span ANYWHERE = new Span(1, 9_999_999_999L);

    private static final double LEAST_GAIN_DBD = -60;
    private static final double MOST_GAIN_DBD = 60;
    private static final double MOST_ERROR_PPM = 1_000;

    private final Part part;

    private RadioReader(Part part) {
        this.part = part;
    }

    /**
     * Reads a model file, {@code wache-radio/1}.
     *
     * @throws FileProblem when it is not one
     */
    public static RadioModel model(byte[] bytes) {
        Part part = Part.root(JsonText.read(bytes), "wache-radio/1", "a radio model");
        return new RadioReader(part)
                .model(part.text("model")
                        .filter(text -> !text.isBlank())
                        .orElseThrow(() -> part.problem("model", "the model's name")));
    }

    /** Reads a radio of a context: a model with its lock setting, its label and what it is set to ({@code set}, by kind). */
    static Radio radio(Part part, int index) {
        RadioModel model = new RadioReader(part).model(part.text("model").orElse("radio " + (index + 1)));
        Optional<LockMode> lock = part.text("lock").map(name -> model.coverage()
                .lock(name)
                .orElseThrow(() -> part.problem("lock", "one of the model's lock modes")));
        return new Radio(
                model,
                lock,
                part.text("unit"),
                part.flag("inhibited"),
                model.off(part.object("set").texts()));
    }

    private RadioModel model(String name) {
        return new RadioModel(
                name,
                text("kind").map(this::kind),
                part.has("certifiedFor") ? Optional.of(texts("certifiedFor")) : Optional.empty(),
                coverage(),
                tuning(),
                power(),
                part.number("antennaGainDbd", LEAST_GAIN_DBD, MOST_GAIN_DBD, " dBd"),
                new MemorySize(
                        whole("channels", 1, MOST_MEMORIES),
                        whole("zones", 1, MOST_MEMORIES),
                        whole("channelsPerZone", 1, MOST_MEMORIES),
                        whole("scanChannels", 0, MOST_MEMORIES),
                        whole("edgeSlots", 0, MOST_MEMORIES),
                        whole("talkGroups", 0, MOST_TALK_GROUPS)),
                display(),
                tones(),
                guard(),
                text("frontPanel").map(this::panel),
                part.has("keypad") ? Optional.of(KeypadReader.read(part.object("keypad"))) : Optional.empty(),
                SettingsReader.read(part));
    }

    private RadioKind kind(String word) {
        return Arrays.stream(RadioKind.values())
                .filter(each -> each.words().equals(word))
                .findFirst()
                .orElseThrow(() -> problem("kind", "hand-held, mobile, base station or transceiver"));
    }

    private RadioModel.Panel panel(String word) {
        return Arrays.stream(RadioModel.Panel.values())
                .filter(each -> each.text().equals(word))
                .findFirst()
                .orElseThrow(() -> problem("frontPanel", "all, listen-only or none"));
    }

    private Coverage coverage() {
        List<LockMode> locks = part.objects("lockModes").stream()
                .map(RadioReader::new)
                .map(lock -> new LockMode(
                        lock.text("name").orElseThrow(() -> lock.problem("name", "the setting's name")),
                        lock.spans("transmit")))
                .toList();
        return new Coverage(spans("transmit"), spans("receive"), locks, texts("lockErases"));
    }

    private List<Span> spans(String key) {
        List<Span> spans = new ArrayList<>();
        for (JsonNode each : part.array(key)) {
            spans.add(span(each, key + "[" + spans.size() + "]"));
        }
        return spans;
    }

    private Span span(JsonNode pair, String key) {
        if (pair.isArray()
                && pair.size() == 2
                && !pair.get(0).isContainer()
                && !pair.get(1).isContainer()) {
            Optional<Frequency> low = Frequency.ofMegahertz(JsonText.scalar(pair.get(0)));
            Optional<Frequency> high = Frequency.ofMegahertz(JsonText.scalar(pair.get(1)));
            if (low.isPresent() && high.isPresent() && low.get().compareTo(high.get()) <= 0) {
                return new Span(low.get().hertz(), high.get().hertz());
            }
        }
        throw problem(key, "two frequencies in MHz, the lower first, such as [\"144\", \"148\"]");
    }

    private Tuning tuning() {
        List<Integer> steps = texts("stepsKhz").stream()
                .map(text -> Frequency.ofMegahertz(text)
                        .filter(f -> f.hertz() % 1000 == 0)
                        .map(f -> (int) (f.hertz() / 1000))
                        .orElseThrow(() -> problem("stepsKhz", "steps in kHz such as \"6.25\"")))
                .toList();
        List<Mode> modes = texts("modes").stream()
                .map(text -> Mode.parse(text).orElseThrow(() -> problem("modes", "modes such as FM and NFM")))
                .toList();
        List<Frequency> table = texts("frequencyTable").stream()
                .map(text -> Frequency.ofMegahertz(text)
                        .orElseThrow(
                                () -> problem("frequencyTable", "frequencies in MHz in the order of their numbers")))
                .toList();
        List<Tuning.FixedMemory> fixed = part.objects("fixedChannels").stream()
                .map(each -> new RadioReader(each).fixed())
                .toList();
        return new Tuning(steps, modes, part.number("frequencyErrorPpm", 0, MOST_ERROR_PPM, " ppm"), table, fixed);
    }

    private Tuning.FixedMemory fixed() {
        Frequency receive = text("rx")
                .flatMap(Frequency::ofMegahertz)
                .orElseThrow(() -> problem("rx", "where the channel hears, in MHz"));
        Optional<Frequency> transmit = text("tx").map(text -> Frequency.ofMegahertz(text)
                .orElseThrow(
                        () -> problem("tx", "where the channel talks, in MHz; leave it out where it only listens")));
        return new Tuning.FixedMemory(
                text("channel").orElseThrow(() -> problem("channel", "the channel's number or name")),
                receive,
                transmit);
    }

    private List<PowerLevels> power() {
        List<PowerLevels> all = new ArrayList<>();
        for (Part each : part.objects("powerBands")) {
            RadioReader band = new RadioReader(each);
            all.add(new PowerLevels(band.span(each.raw("mhz"), "mhz"), band.levels("levelsW")));
        }
        if (!part.array("powerLevelsW").isEmpty()) {
            all.add(new PowerLevels(ANYWHERE, levels("powerLevelsW")));
        }
        return all;
    }

    private List<PowerLevels.Level> levels(String key) {
        List<String> watts = texts(key);
        List<String> names = texts("levelNames");
        if (watts.isEmpty() || !names.isEmpty() && names.size() != watts.size()) {
            throw problem(key, "levels in watts, and as many levelNames or none");
        }
        List<PowerLevels.Level> levels = new ArrayList<>();
        for (int i = 0; i < watts.size(); i++) {
            Watts output = Watts.parse(watts.get(i)).orElseThrow(() -> problem(key, "powers in watts above 0"));
            levels.add(new PowerLevels.Level(names.isEmpty() ? output.toString() : names.get(i), output));
        }
        return levels;
    }

    private Optional<Display> display() {
        OptionalInt length = whole("nameLength", 0, LONGEST_DISPLAY);
        if (length.isEmpty() || length.getAsInt() == 0) {
            return Optional.empty();
        }
        ShortNames.Letters letters = text("nameLetters")
                .map(word -> Arrays.stream(ShortNames.Letters.values())
                        .filter(each -> each.name()
                                .toLowerCase(java.util.Locale.ROOT)
                                .replace('_', '-')
                                .equals(word))
                        .findFirst()
                        .orElseThrow(() -> problem("nameLetters", "capitals, capitals-and-marks or ascii")))
                .orElse(ShortNames.Letters.ASCII);
        return Optional.of(new Display(length.getAsInt(), letters));
    }

    private ToneAbility tones() {
        if (!part.has("tones") && !part.has("toneTable")) {
            return ToneAbility.UNKNOWN;
        }
        Set<ToneAbility.Kind> kinds = EnumSet.noneOf(ToneAbility.Kind.class);
        texts("tones")
                .forEach(word -> kinds.add(Arrays.stream(ToneAbility.Kind.values())
                        .filter(each -> each.text().equals(word))
                        .findFirst()
                        .orElseThrow(() -> problem("tones", "out of ctcss, dcs, dcs-normal and burst"))));
        List<Tone> table = texts("toneTable").stream()
                .map(text -> Tone.parse(text)
                        .orElseThrow(() ->
                                problem("toneTable", "tones such as 100.0 or D023, in the order of their numbers")))
                .toList();
        table.forEach(tone -> kinds.add(tone instanceof Tone.Ctcss ? ToneAbility.Kind.CTCSS : ToneAbility.Kind.DCS));
        return new ToneAbility(true, kinds, table);
    }

    private Guard guard() {
        List<Integer> seconds = texts("timeoutsS").stream()
                .map(text -> {
                    if (!text.matches("[0-9]{1,4}") || Integer.parseInt(text) > MOST_SECONDS) {
                        throw problem("timeoutsS", "whole seconds up to 3600, 0 for off");
                    }
                    return Integer.parseInt(text);
                })
                .toList();
        Set<Guard.Inhibit> inhibits = EnumSet.noneOf(Guard.Inhibit.class);
        texts("transmitInhibit")
                .forEach(word -> inhibits.add(Arrays.stream(Guard.Inhibit.values())
                        .filter(each -> each.name().equalsIgnoreCase(word))
                        .findFirst()
                        .orElseThrow(() -> problem("transmitInhibit", "out of channel, band and radio"))));
        return new Guard(seconds, part.flag("busyLockout"), inhibits);
    }

    private Optional<String> text(String key) {
        return part.text(key);
    }

    private List<String> texts(String key) {
        return part.texts(key);
    }

    private OptionalInt whole(String key, int least, int most) {
        return part.whole(key, least, most);
    }

    private FileProblem problem(String key, String expected) {
        return part.problem(key, expected);
    }
}
