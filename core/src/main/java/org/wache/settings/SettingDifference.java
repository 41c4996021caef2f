package org.wache.settings;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.radio.SettingKind;

/**
 * One setting in which a radio differs from its profile.
 *
 * @param id what tells the setting apart
 * @param label for people
 * @param title what the radio calls it
 * @param wanted as the profile says, in the radio's words
 * @param found as it is; empty when that is not known
 * @param why the profile's reason
 */
public record SettingDifference(String id, String label, String title, String wanted, String found, String why) {

    /**
     * In what a radio differs.
     *
     * @param plan the profile in its model
     * @param found what is known of how it is set, by what tells settings apart
     * @param lock its lock setting; empty when it has none
     * @return also what is not known: with nothing found
     */
    public static List<SettingDifference> of(SettingPlan plan, Map<String, String> found, Optional<String> lock) {
        List<SettingDifference> all = new ArrayList<>();
        for (SettingPlan.Line line : plan.lines()) {
            if (line.value().isEmpty()) {
                continue;
            }
            var setting = line.setting().orElseThrow();
            String now =
                    setting.kind() == SettingKind.BAND_LIMITS ? lock.orElse("") : found.getOrDefault(setting.id(), "");
            if (!now.equals(line.value().get())) {
                all.add(new SettingDifference(
                        setting.id(),
                        setting.label(),
                        setting.title(),
                        line.value().get(),
                        now,
                        line.wish().why()));
            }
        }
        return all;
    }
}
