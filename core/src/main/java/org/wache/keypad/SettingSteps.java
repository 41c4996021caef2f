package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.radio.Keypad;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.settings.SettingPlan;

/**
 * How the settings that belong to no channel are set by hand, in the order of the profile. What erases all of them, a change of
 * lock, comes first.
 */
public final class SettingSteps {

    private SettingSteps() {}

    /**
     * The steps; where a setting is not reached by keys, where it is instead.
     *
     * @param plan a profile in the model
     */
    public static List<Step> of(RadioModel model, SettingPlan plan) {
        List<Step> steps = new ArrayList<>();
        List<String> alike = alike(plan);
        for (boolean lock : new boolean[] {true, false}) {
            for (SettingPlan.Line line : plan.lines()) {
                boolean isLock = line.wish().kind() == SettingKind.BAND_LIMITS;
                if (isLock == lock && line.value().isPresent()) {
                    steps.add(step(model, line, alike.isEmpty()));
                } else if (isLock == lock && !line.problem().isEmpty()) {
                    steps.add(new Step(
                            line.wish().label() + ": not " + line.wish().value() + " here",
                            List.of(),
                            "",
                            line.problem()));
                }
            }
        }
        if (!alike.isEmpty()) {
            steps.add(new Step(
                    "After " + String.join(" or ", alike) + ", set all of these again",
                    List.of(),
                    "",
                    "It sets them back to how the radio comes."));
        }
        return List.copyOf(steps);
    }

    /** What sets back every one of several settings, so that it is said once; empty where they differ. */
    private static List<String> alike(SettingPlan plan) {
        List<List<String>> all = plan.lines().stream()
                .filter(line -> line.value().isPresent() && line.wish().kind() != SettingKind.BAND_LIMITS)
                .map(line -> line.setting().orElseThrow().erasedBy())
                .distinct()
                .toList();
        return all.size() == 1 && plan.lines().size() > 2
                ? all.get(0).stream().map(SettingSteps::change).toList()
                : List.of();
    }

    private static String change(String what) {
        return what.equals("lock") ? "a change of its lock" : what;
    }

    private static Step step(RadioModel model, SettingPlan.Line line, boolean sayWhatErases) {
        OtherSetting setting = line.setting().orElseThrow();
        String value = line.value().orElseThrow();
        List<String> why = new ArrayList<>();
        if (!line.wish().why().isBlank()) {
            why.add(line.wish().why().strip().replaceAll("[.]$", "") + ".");
        }
        if (sayWhatErases && !setting.erasedBy().isEmpty()) {
            why.add("Set back by "
                    + String.join(
                            " or ",
                            setting.erasedBy().stream()
                                    .map(SettingSteps::change)
                                    .toList())
                    + ".");
        }
        if (setting.kind() == SettingKind.BAND_LIMITS
                && !model.coverage().lockErases().isEmpty()) {
            why.add("It erases its " + String.join(" and ", model.coverage().lockErases())
                    + ": set it before all else.");
        }
        String unit = setting.unit().isEmpty() ? "" : " " + setting.unit();
        return new Step(
                setting.label() + ": " + value + (value.matches("[0-9.]+") ? unit : ""),
                keys(model, setting, value),
                keys(model, setting, value).isEmpty() ? place(setting) : setting.title() + " " + value,
                String.join(" ", why));
    }

    private static String place(OtherSetting setting) {
        return setting.way().place().isEmpty()
                ? "“" + setting.title() + "”"
                : setting.way().place();
    }

    private static List<String> keys(RadioModel model, OtherSetting setting, String value) {
        Optional<Keypad> keypad = model.keypad().filter(each -> setting.way().byKeys());
        if (keypad.isEmpty()) {
            return List.of();
        }
        KeyWords words = new KeyWords(model);
        Keypad.Setting there = new Keypad.Setting(
                setting.length() > 0 ? Keypad.Purpose.NAME : Keypad.Purpose.OPTION,
                setting.way().number().orElse(0),
                setting.way().path(),
                setting.way().press(),
                setting.title(),
                setting.values(),
                List.of(),
                setting.way().hiddenBy(),
                "",
                false);
        List<String> keys = new ArrayList<>();
        if (!setting.way().hiddenBy().isEmpty()) {
            keypad.get()
                    .option(setting.way().hiddenBy())
                    .ifPresent(option -> keys.addAll(words.setting(option, words.value(option, "on"))));
        }
        keys.addAll(
                words.setting(there, setting.range().isPresent() ? KeyWords.digits(value) : words.value(there, value)));
        return List.copyOf(keys);
    }
}
