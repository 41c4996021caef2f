package org.wache.settings;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.wache.audit.finding.Wording;
import org.wache.radio.OtherSetting;
import org.wache.radio.RadioModel;
import org.wache.radio.SettingKind;
import org.wache.signal.Span;

/**
 * Holds a profile against the rules for settings: what the radios of a model would be like once they were set by it. A setting of
 * which the profile does not speak counts as the radio comes, where that is known.
 */
public final class ProfileCheck {

    private static final String PRACTICE = "common practice, no source";
    private final SettingsProfile profile;
    private final RadioModel model;
    private final SettingPlan plan;
    private final List<SettingFinding> found = new ArrayList<>();

    private ProfileCheck(SettingsProfile profile, RadioModel model) {
        this.profile = profile;
        this.model = model;
        this.plan = SettingPlan.of(profile, model);
    }

    /**
     * What is found.
     *
     * @param holders who has such radios
     * @param mayKey whether one of them may key anything within a span with a radio of the model
     */
    public static List<SettingFinding> of(
            SettingsProfile profile, RadioModel model, List<String> holders, BiFunction<String, Span, Boolean> mayKey) {
        ProfileCheck check = new ProfileCheck(profile, model);
        check.plan.lines().forEach(check::cannot);
        Map<OtherSetting, String> set = check.plan.effective();
        set.forEach((setting, value) -> check.setting(setting, value, set));
        set.forEach((setting, value) -> check.transmitting(setting, value, holders, mayKey));
        return List.copyOf(check.found);
    }

    private void cannot(SettingPlan.Line line) {
        boolean asked = line.wish().model().isPresent() || line.setting().isPresent();
        if (!line.problem().isEmpty() && asked) {
            found.add(new SettingFinding(
                    SettingRule.CANNOT,
                    false,
                    model.name(),
                    line.setting()
                            .map(OtherSetting::id)
                            .orElse(line.wish().kind().text()),
                    line.setting().map(OtherSetting::title).orElse(""),
                    line.wish().value(),
                    true,
                    line.problem(),
                    "the model's data",
                    List.of(),
                    Optional.empty()));
        }
    }

    private void setting(OtherSetting setting, String value, Map<OtherSetting, String> all) {
        SettingsProfile.Habits habits = profile.habits();
        boolean off = setting.isOff(value);
        switch (setting.kind()) {
            case TIME_OUT -> timeOut(setting, value);
            case VOICE_KEYING -> {
                if (!off) {
                    query(
                            SettingRule.VOICE_KEYING,
                            setting,
                            value,
                            "It keys at every noise, and nobody else gets through.");
                }
            }
            case ROGER_TONE -> {
                if (!off && habits.rogerTone() != SettingsProfile.RogerTone.ALLOWED) {
                    boolean forbidden = habits.rogerTone() == SettingsProfile.RogerTone.FORBIDDEN;
                    add(
                            SettingRule.ROGER_TONE,
                            forbidden,
                            setting,
                            value,
                            "A tone at the end of each over is "
                                    + habits.rogerTone().text()
                                    + " here: it covers whoever answers at once, and it is no part of what they have to say.",
                            forbidden ? "what was agreed on in the profile" : PRACTICE,
                            off(setting));
                }
            }
            case BUSY_LOCKOUT -> {
                if (!off && habits.breaksIn()) {
                    query(
                            SettingRule.BUSY_LOCKOUT,
                            setting,
                            value,
                            "It does not key while anything is heard: nobody can break in with an emergency, and interference silences it.");
                }
            }
            case BATTERY_SAVER -> {
                if (!off && habits.missesNothing()) {
                    query(
                            SettingRule.SAVER,
                            setting,
                            value,
                            "It sleeps between looks at the channel: the first syllables of a call are lost, and with them a short one.");
                }
            }
            case SQUELCH -> squelch(setting, value);
            case TALK_LINE -> {
                boolean second = all.entrySet().stream()
                        .filter(each -> each.getKey().kind() == SettingKind.SECOND_WATCH)
                        .anyMatch(each -> !each.getKey().isOff(each.getValue()));
                boolean lastHeard = setting.meaning(value).equalsIgnoreCase("last-heard");
                if (lastHeard && second) {
                    add(
                            SettingRule.TALKS_LAST_HEARD,
                            false,
                            setting,
                            value,
                            "With dual watch it transmits on the line on which something was heard last, not on the one that was chosen.",
                            PRACTICE,
                            setting.values().stream()
                                    .filter(each -> setting.meaning(each).equalsIgnoreCase("chosen"))
                                    .findFirst());
                }
            }
            default -> {
                // nothing is wrong with any of its values
            }
        }
    }

    private void timeOut(OtherSetting setting, String value) {
        int longest = profile.habits().longest();
        Optional<String> cure = setting.values().stream()
                .filter(each -> !setting.isOff(each))
                .filter(each -> SettingPlan.seconds(setting, each)
                        .filter(seconds -> seconds.compareTo(BigDecimal.valueOf(longest)) <= 0)
                        .isPresent())
                .max(Comparator.comparing(
                        each -> SettingPlan.seconds(setting, each).orElseThrow()));
        if (setting.isOff(value)) {
            add(
                    SettingRule.TIME_OUT_OFF,
                    false,
                    setting,
                    value,
                    "A radio wedged in a seat keys until its battery is flat.",
                    PRACTICE,
                    cure);
        } else if (SettingPlan.seconds(setting, value)
                .filter(seconds -> seconds.compareTo(BigDecimal.valueOf(longest)) > 0)
                .isPresent()) {
            add(
                    SettingRule.TIME_OUT_LONG,
                    false,
                    setting,
                    value,
                    SettingPlan.seconds(setting, value)
                                    .get()
                                    .stripTrailingZeros()
                                    .toPlainString() + " s is longer than the " + longest
                            + " s that the group has settled on.",
                    PRACTICE,
                    cure);
        }
    }

    /** A squelch above two thirds of its scale cuts weak calls off. Common practice, no source. */
    private void squelch(OtherSetting setting, String value) {
        String meaning = setting.meaning(value);
        boolean number = meaning.matches("[0-9]{1,3}");
        int top = setting.range().map(OtherSetting.Range::most).orElseGet(() -> setting.values().stream()
                .map(setting::meaning)
                .filter(each -> each.matches("[0-9]{1,3}"))
                .mapToInt(Integer::parseInt)
                .max()
                .orElse(0));
        boolean tight = number ? top > 2 && 3 * Integer.parseInt(meaning) > 2 * top : meaning.equalsIgnoreCase("tight");
        if (tight && profile.habits().missesNothing()) {
            query(
                    SettingRule.SQUELCH_TIGHT,
                    setting,
                    value,
                    "It opens only for strong signals" + (number ? " (" + meaning + " of " + top + ")" : "")
                            + ": calls from the edge of the area are not heard.");
        }
    }

    private void transmitting(
            OtherSetting setting, String value, List<String> holders, BiFunction<String, Span, Boolean> mayKey) {
        if (setting.kind() != SettingKind.BAND_TRANSMIT
                || setting.isOff(value)
                || setting.band().isEmpty()) {
            return;
        }
        Span band = setting.band().get();
        List<String> may = model.coverage().transmit().stream().anyMatch(band::overlaps)
                        || model.coverage().transmit().isEmpty()
                ? holders.stream().filter(each -> !mayKey.apply(each, band)).toList()
                : List.of();
        if (!may.isEmpty()) {
            found.add(new SettingFinding(
                    SettingRule.TRANSMIT_OPEN,
                    isWished(setting), // as the radio comes it is only asked: the entries themselves are held already
                    model.name(),
                    setting.id(),
                    setting.title(),
                    value,
                    isWished(setting),
                    "It keys on " + setting.which() + " MHz, where " + Wording.list(may)
                            + " may key nothing with this radio. Switch it off for them.",
                    "the licences of the roster and the rulebook",
                    may,
                    off(setting)));
        }
    }

    private boolean isWished(OtherSetting setting) {
        return plan.lines().stream()
                .anyMatch(line -> line.setting().filter(setting::equals).isPresent()
                        && line.value().isPresent());
    }

    private static Optional<String> off(OtherSetting setting) {
        return setting.values().stream().filter(setting::isOff).findFirst();
    }

    private void query(SettingRule rule, OtherSetting setting, String value, String message) {
        Optional<String> cure = rule == SettingRule.SQUELCH_TIGHT ? Optional.empty() : off(setting);
        add(rule, false, setting, value, message, PRACTICE, cure);
    }

    private void add(
            SettingRule rule,
            boolean hold,
            OtherSetting setting,
            String value,
            String message,
            String source,
            Optional<String> cure) {
        found.add(new SettingFinding(
                rule,
                hold,
                model.name(),
                setting.id(),
                setting.title(),
                value,
                isWished(setting),
                message,
                source,
                List.of(),
                cure));
    }
}
