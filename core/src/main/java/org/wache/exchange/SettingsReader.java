package org.wache.exchange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.wache.radio.OtherSetting;
import org.wache.radio.SettingKind;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** Reads the settings of a model that belong to no channel. */
final class SettingsReader {

    private static final int MOST = 100;
    private static final int MOST_NUMBER = 100_000;
    private static final int LONGEST_TEXT = 64;

    private final Part part;
    private final Map<String, String> keys;

    private SettingsReader(Part part, Map<String, String> keys) {
        this.part = part;
        this.keys = keys;
    }

    /**
     * The settings of a model file.
     *
     * @throws FileProblem when something in them cannot be read, or two cannot be told apart
     */
    static List<OtherSetting> read(Part model) {
        List<Part> parts = model.objects("settings");
        if (parts.size() > MOST) {
            throw model.problem("settings", "up to " + MOST + " settings");
        }
        Map<String, String> keys = KeypadReader.keys(model.object("keypad"));
        List<OtherSetting> all = new ArrayList<>();
        Set<String> known = new HashSet<>();
        for (Part each : parts) {
            OtherSetting setting = new SettingsReader(each, keys).setting();
            if (!known.add(setting.id())) {
                throw each.problem("kind", "another kind than the ones before, or a \"which\" that tells them apart");
            }
            all.add(setting);
        }
        return all;
    }

    private OtherSetting setting() {
        SettingKind kind = kind(part);
        Optional<Span> band = band();
        List<String> values = part.texts("values");
        List<String> means = part.texts("means");
        if (!means.isEmpty() && means.size() != values.size()) {
            throw part.problem("means", "as many as there are values, or none");
        }
        Optional<OtherSetting.Range> range = range();
        int length = part.whole("length", 1, LONGEST_TEXT).orElse(0);
        int ways = (values.isEmpty() ? 0 : 1) + (range.isPresent() ? 1 : 0) + (length > 0 ? 1 : 0);
        if (ways != 1) {
            throw part.problem(
                    "values",
                    "what can be chosen; or in its place \"least\" and \"most\" of a number, or the \"length\" of a text");
        }
        if (values.stream().anyMatch(String::isBlank) || new HashSet<>(values).size() < values.size()) {
            throw part.problem("values", "choices that are not blank and not there twice");
        }
        OtherSetting setting = new OtherSetting(
                kind,
                which(kind, band),
                band,
                part.text("title").filter(text -> !text.isBlank()).orElse(kind.label()),
                values,
                means,
                range,
                length,
                part.text("unit").orElse(""),
                way(),
                part.texts("erasedBy"),
                part.text("usual"));
        if (setting.usual().filter(each -> !setting.takes(each)).isPresent()) {
            throw part.problem("usual", "one of its values: " + setting.choices());
        }
        if (kind == SettingKind.BAND_TRANSMIT && values.stream().noneMatch(setting::isOff)) {
            throw part.problem("values", "one of them off, or one that means it");
        }
        return setting;
    }

    /** What a setting is for. */
    static SettingKind kind(Part part) {
        return part.text("kind")
                .flatMap(SettingKind::of)
                .orElseThrow(() -> part.problem(
                        "kind",
                        "one of "
                                + java.util.Arrays.stream(SettingKind.values())
                                        .map(SettingKind::text)
                                        .collect(Collectors.joining(", "))));
    }

    private Optional<OtherSetting.Range> range() {
        OptionalInt least = part.whole("least", 0, MOST_NUMBER);
        OptionalInt most = part.whole("most", 0, MOST_NUMBER);
        if (least.isEmpty() && most.isEmpty()) {
            return Optional.empty();
        }
        if (least.isEmpty() || most.isEmpty() || least.getAsInt() > most.getAsInt()) {
            throw part.problem("most", "with \"least\", the range of the number");
        }
        return Optional.of(new OtherSetting.Range(least.getAsInt(), most.getAsInt()));
    }

    private Optional<Span> band() {
        List<String> edges = part.texts("mhz");
        if (edges.isEmpty()) {
            return Optional.empty();
        }
        Optional<Frequency> low = edges.size() == 2 ? Frequency.ofMegahertz(edges.get(0)) : Optional.empty();
        Optional<Frequency> high = edges.size() == 2 ? Frequency.ofMegahertz(edges.get(1)) : Optional.empty();
        if (low.isEmpty() || high.isEmpty() || low.get().compareTo(high.get()) > 0) {
            throw part.problem("mhz", "two frequencies in MHz, the lower first, such as [\"144\", \"148\"]");
        }
        return Optional.of(new Span(low.get().hertz(), high.get().hertz()));
    }

    private String which(SettingKind kind, Optional<Span> band) {
        boolean ofBand = kind == SettingKind.BAND_TRANSMIT || kind == SettingKind.BAND_POWER;
        if (ofBand && band.isEmpty()) {
            throw part.problem("mhz", "the band that it is for, such as [\"144\", \"148\"]");
        }
        String which = part.text("which").map(String::strip).orElse("");
        if (kind == SettingKind.SIDE_KEY && which.isEmpty()) {
            throw part.problem("which", "the name of the key");
        }
        return which.isEmpty()
                ? band.filter(any -> ofBand)
                        .map(each -> plain(each.low()) + "\u2013" + plain(each.high()))
                        .orElse("")
                : which;
    }

    private static String plain(long hertz) {
        return java.math.BigDecimal.valueOf(hertz, 6).stripTrailingZeros().toPlainString();
    }

    private OtherSetting.Way way() {
        return new OtherSetting.Way(
                part.whole("number", 0, 99),
                part.texts("path"),
                KeypadReader.presses(part, "press", keys),
                part.text("hiddenBy").orElse(""),
                part.text("place").orElse(""));
    }
}
