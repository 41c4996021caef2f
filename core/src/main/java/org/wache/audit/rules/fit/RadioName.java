package org.wache.audit.rules.fit;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.radio.Display;

/** The name does not stand on the radio's display. */
public final class RadioName implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_NAME;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "The name does not fit the display",
                        "A longer name is cut off, and letters that the display lacks become blanks, so that two entries may look alike.",
                        "Shorten the name yourself, so that people still know it; a shortened one is offered.",
                        RulePage.entry(
                                "amateur:technician",
                                "name=TERN_RIDGE_REPEATER rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                        RulePage.entry(
                                "amateur:technician", "name=TERNRDG rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"nameLength\": 7, \"nameLetters\": "
                                + "\"capitals\"}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        Optional<Display> display = fit.model().display();
        String name = fit.channel().name();
        if (display.isEmpty() || display.get().shows(name)) {
            return List.of();
        }
        boolean tooLong = name.length() > display.get().length();
        return List.of(fit.query(Slug.RADIO_NAME)
                .message(() -> "“" + name + "” does not fit the display of " + fit.name() + ", which has "
                        + display.get().length() + " characters, "
                        + display.get().letters().title() + ".")
                .working(() -> tooLong
                        ? Sum.of(Integer.toString(name.length()), "", "characters of the name")
                                .limit(Integer.toString(display.get().length()), "", "characters of the display")
                        : Sum.NONE)
                .source("the model's data")
                .cures(() -> List.of(shortened(fit, display.get()))));
    }

    private static Change shortened(Fit fit, Display display) {
        String name = fit.entry().shortName(display);
        return Change.of("Call it " + name, Field.NAME, name);
    }
}
