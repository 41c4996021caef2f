package org.wache.settings;

import java.util.List;
import java.util.Optional;

/**
 * Something that is dangerous, forbidden or a bad habit in how radios are set.
 *
 * @param rule which rule speaks
 * @param hold whether it must not stay so; otherwise it is a query
 * @param model the model in which it comes out so
 * @param id what tells the setting apart in the model
 * @param title what the radio calls it
 * @param value how it would be set
 * @param fromProfile whether the profile says so; otherwise it is how the radio comes
 * @param message in a sentence or two
 * @param source where the rule comes from
 * @param holders whom it concerns; empty for all
 * @param cure how it would be well, as the model calls it; empty when nothing of the setting would do
 */
public record SettingFinding(
        SettingRule rule,
        boolean hold,
        String model,
        String id,
        String title,
        String value,
        boolean fromProfile,
        String message,
        String source,
        List<String> holders,
        Optional<String> cure) {

    public SettingFinding {
        holders = List.copyOf(holders);
    }
}
