package org.wache.settings;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wache.radio.LockMode;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.settings.SettingsProfile.Wish;

/**
 * What a profile becomes in a model.
 *
 * @param lines what shall be set, in the order of the profile
 * @param left the model's settings that the profile does not speak of
 */
public record SettingPlan(List<SettingPlan.Line> lines, List<OtherSetting> left) {

    /**
     * A wish in a model.
     *
     * @param wish the wish
     * @param setting the model's setting; empty when it has none
     * @param value what it is set to, as the model calls it; empty when it cannot be set so
     * @param problem why not; empty when it can
     */
    public record Line(Wish wish, Optional<OtherSetting> setting, Optional<String> value, String problem) {}

    /** A profile in a model. A wish for one model comes before one for every model. */
    public static SettingPlan of(SettingsProfile profile, RadioModel model) {
        List<Line> lines = new ArrayList<>();
        Map<String, OtherSetting> open = new LinkedHashMap<>();
        all(model).forEach(each -> open.put(each.id(), each));
        for (boolean own : new boolean[] {true, false}) {
            for (Wish wish : profile.wishes()) {
                if (wish.model().isPresent() != own
                        || own && !wish.model().get().equals(model.name())) {
                    continue;
                }
                List<OtherSetting> met =
                        open.values().stream().filter(each -> meets(wish, each)).toList();
                met.forEach(each -> {
                    lines.add(line(wish, each));
                    open.remove(each.id());
                });
                boolean elsewhere = all(model).stream().anyMatch(each -> meets(wish, each));
                if (met.isEmpty() && !elsewhere) {
                    lines.add(new Line(
                            wish,
                            Optional.empty(),
                            Optional.empty(),
                            model.otherSettings().isEmpty()
                                    ? "The file of " + model.name() + " names no settings."
                                    : model.name() + " has no such setting."));
                }
            }
        }
        return new SettingPlan(List.copyOf(lines), List.copyOf(open.values()));
    }

    /** The model's settings; its lock modes are one of them, also where the file does not say so. */
    public static List<OtherSetting> all(RadioModel model) {
        List<OtherSetting> all = new ArrayList<>(model.otherSettings());
        boolean said = all.stream().anyMatch(each -> each.kind() == SettingKind.BAND_LIMITS);
        if (!said && !model.coverage().lockModes().isEmpty()) {
            all.add(new OtherSetting(
                    SettingKind.BAND_LIMITS,
                    "",
                    Optional.empty(),
                    "lock",
                    model.coverage().lockModes().stream().map(LockMode::name).toList(),
                    List.of(),
                    Optional.empty(),
                    0,
                    "",
                    new OtherSetting.Way(
                            java.util.OptionalInt.empty(), List.of(), List.of(), "", "where its lock is set"),
                    List.of(),
                    Optional.empty()));
        }
        return all;
    }

    private static boolean meets(Wish wish, OtherSetting setting) {
        return setting.kind() == wish.kind()
                && (wish.which().isEmpty() || setting.which().equalsIgnoreCase(wish.which()));
    }

    private static Line line(Wish wish, OtherSetting setting) {
        List<String> values = found(wish.value(), setting);
        String problem =
                switch (values.size()) {
                    case 0 -> "It cannot be set to “" + wish.value() + "”: it has " + setting.choices() + ".";
                    case 1 -> "";
                    default ->
                        "It has several kinds of “" + wish.value() + "”: " + String.join(", ", values)
                                + ". Say which for this model.";
                };
        return new Line(
                wish,
                Optional.of(setting),
                values.size() == 1 ? Optional.of(values.get(0)) : Optional.empty(),
                problem);
    }

    /** The values of a setting that are meant by a wish: as the radio calls them, by what they mean, or by their number. */
    private static List<String> found(String wanted, OtherSetting setting) {
        if (setting.length() > 0 || setting.range().isPresent()) {
            return setting.takes(wanted) ? List.of(wanted) : List.of();
        }
        List<String> exact = setting.values().stream()
                .filter(each ->
                        each.equalsIgnoreCase(wanted) || setting.meaning(each).equalsIgnoreCase(wanted))
                .toList();
        if (!exact.isEmpty()) {
            return exact.stream()
                    .filter(each -> each.equalsIgnoreCase(wanted))
                    .findFirst()
                    .map(List::of)
                    .orElse(exact);
        }
        return switch (setting.kind().form()) {
            case SWITCH ->
                wanted.equalsIgnoreCase("on")
                        ? setting.values().stream()
                                .filter(each -> !setting.isOff(each))
                                .toList()
                        : List.of();
            case SECONDS -> longestUnder(wanted, setting);
            case CHOICE, TEXT -> sameNumber(wanted, setting);
        };
    }

    private static List<String> sameNumber(String wanted, OtherSetting setting) {
        Optional<BigDecimal> number = number(wanted);
        return setting.values().stream()
                .filter(each -> number.isPresent()
                        && number(setting.meaning(each))
                                .filter(other -> other.compareTo(number.get()) == 0)
                                .isPresent())
                .toList();
    }

    /** The longest time that is not longer than the one wished for; never off in its place. */
    private static List<String> longestUnder(String wanted, OtherSetting setting) {
        Optional<BigDecimal> number = number(wanted);
        if (number.isEmpty() || number.get().signum() == 0) {
            return setting.values().stream()
                    .filter(setting::isOff)
                    .limit(number.isPresent() ? 1 : 0)
                    .toList();
        }
        return setting.values().stream()
                .filter(each -> !setting.isOff(each))
                .filter(each -> seconds(setting, each)
                        .filter(other -> other.compareTo(number.get()) <= 0)
                        .isPresent())
                .max(java.util.Comparator.comparing(
                        each -> seconds(setting, each).orElseThrow()))
                .map(List::of)
                .orElse(List.of());
    }

    /** Seconds that a value of a time means; empty where it is no number. */
    static Optional<BigDecimal> seconds(OtherSetting setting, String value) {
        BigDecimal each = setting.unit().equals("min") ? BigDecimal.valueOf(60) : BigDecimal.ONE;
        return number(setting.meaning(value)).map(each::multiply);
    }

    private static Optional<BigDecimal> number(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT).replaceAll(" ?s$", "");
        return plain.matches("[0-9]{1,6}(\\.[0-9]{1,6})?") ? Optional.of(new BigDecimal(plain)) : Optional.empty();
    }

    /** What a radio of the model shall hold: values by what tells its settings apart; the lock is not among them. */
    public Map<String, String> wanted() {
        Map<String, String> all = new LinkedHashMap<>();
        lines.stream()
                .filter(line -> line.value().isPresent() && line.wish().kind() != SettingKind.BAND_LIMITS)
                .forEach(line ->
                        all.put(line.setting().orElseThrow().id(), line.value().get()));
        return all;
    }

    /** How a radio of the model is set once it was set by the profile: as wished, else as it comes where that is known. */
    public Map<OtherSetting, String> effective() {
        Map<OtherSetting, String> all = new LinkedHashMap<>();
        lines.forEach(
                line -> line.value().ifPresent(value -> all.put(line.setting().orElseThrow(), value)));
        lines.stream().filter(line -> line.value().isEmpty()).forEach(line -> line.setting()
                .ifPresent(setting -> setting.usual().ifPresent(usual -> all.putIfAbsent(setting, usual))));
        left.forEach(setting -> setting.usual().ifPresent(usual -> all.put(setting, usual)));
        return all;
    }
}
