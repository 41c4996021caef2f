package org.wache.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.wache.audit.Audit;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.radio.Radio;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.site.SiteStudy;

/** What an audit had to assume, in sentences. */
public final class Assumptions {

    private Assumptions() {}

    /** The assumptions behind an audit. */
    public static List<String> of(Audit audit) {
        AuditContext context = audit.auditor().context();
        List<String> all = new ArrayList<>();
        all.add("The rulebook was written from memory: check against the current rules; this tool does not replace your"
                + " licence terms.");
        if (!context.edition().additions().isEmpty()) {
            all.add(
                    context.edition().additions().size() == 1
                            ? "The rulebook has an addition of this installation's."
                            : "The rulebook has "
                                    + context.edition().additions().size() + " additions of this installation's.");
        }
        context.edition().country().later().stream()
                .filter(each -> context.on().isBefore(each.before()))
                .forEach(each -> all.add(each.say()));
        boolean ownErrors = !context.radios().isEmpty()
                && context.radios().stream()
                        .allMatch(radio -> radio.model().tuning().errorPpm().isPresent());
        if (!ownErrors) {
            all.add(String.format(
                    Locale.ROOT,
                    "A radio's frequency may be %.1f parts in a million off.",
                    context.edition().frequencyErrorPpm()));
        }
        boolean ownAntennas = !context.radios().isEmpty()
                && context.radios().stream()
                        .allMatch(radio -> radio.model().antennaGainDbd().isPresent());
        if (!context.antenna().known() && !ownAntennas) {
            all.add("Nothing is known of the antenna: radiated power is reckoned at 0 dBd without feed loss.");
        }
        if (context.antenna().heightM().isEmpty()) {
            all.add("Stations are hand-held or mobile, not fixed.");
        }
        if (context.houseRules().twoMetreRasterKhz().isEmpty()
                && context.edition().plan().rows().stream().anyMatch(PlanRow::rasterChoice)) {
            PlanRow row = context.edition().plan().rows().stream()
                    .filter(PlanRow::rasterChoice)
                    .findFirst()
                    .orElseThrow();
            all.add("No raster is settled for "
                    + context.edition()
                            .planned()
                            .map(service ->
                                    service.placeName(new Frequency(row.span().low())))
                            .orElse("the band")
                    + ": " + Frequency.kilohertz(row.rasters().get(0).step()).replaceFirst("\\.0$", "")
                    + " kHz is held against the list.");
        }
        if (audit.list().channels().stream().anyMatch(Assumptions::bareDigital)) {
            all.add("Digital voice (DV) without a designator is taken to be as wide as 11K2F1E.");
        }
        if (audit.list().channels().stream().anyMatch(Assumptions::unknownSideband)) {
            all.add("A single-sideband designator without a mode is taken for the upper sideband.");
        }
        if (context.where().area().isEmpty()) {
            all.add("Where the list is used is not known; rules that go by place ask where that matters.");
        }
        if (!context.radios().isEmpty()) {
            all.add("Held against these radios too: "
                    + String.join(
                            ", ",
                            context.radios().stream()
                                    .map(Radio::name)
                                    .distinct()
                                    .toList()) + ".");
        }
        List<String> notJudged = new ArrayList<>();
        if (context.radios().isEmpty()) {
            notJudged.add("certification and fit of radios, because no radio is named");
        }
        if (!context.houseRules().keyedTogether().any()) {
            notJudged.add("interference, because the list is not marked as used at one site");
        } else if (audit.sites().all().stream().anyMatch(site -> !site.study().complete())) {
            notJudged.add("products of more than " + SiteStudy.MOST_EMITTERS + " transmitters keyed together");
        }
        if (context.antenna().heightM().isEmpty()) {
            notJudged.add("exposure, because no antenna height of a fixed or mobile station is named");
        } else {
            all.add(
                    "Exposure is reckoned for a station that is keyed all the time, with 2 m of the antenna's height for people.");
        }
        if (!notJudged.isEmpty()) {
            all.add("Not judged: " + String.join("; ", notJudged) + ".");
        }
        return all;
    }

    private static boolean bareDigital(Channel channel) {
        return channel.emissionFromMode() && channel.mode().orElseThrow() == Mode.DV;
    }

    private static boolean unknownSideband(Channel channel) {
        return channel.mode().isEmpty()
                && channel.emission().map(emission -> emission.oneSided()).orElse(false);
    }
}
