package org.wache.station;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Reckoned;
import org.wache.audit.RouteOutcome;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Sum;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.distance.PathLoss;
import org.wache.rulebook.Edition;
import org.wache.rulebook.ExposureLimits;
import org.wache.rulebook.PowerLimit;
import org.wache.rulebook.StationData;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;
import org.wache.site.Keying;

/**
 * All figures of a station with the entries that it works.
 *
 * @param general figures that do not go by the entry: current, horizon
 * @param entries the entries, in the list's order
 * @param together the exposure with several of them keyed at one time
 * @param added the entries that are added up there, in the list's order
 */
public record StationSheet(List<Figure> general, List<OnEntry> entries, List<Figure> together, List<Integer> added) {

    /**
     * The figures for one entry.
     *
     * @param position its place in the list
     * @param output what the transmitter puts out there
     * @param figures the figures
     * @param limit the limit of power that counts there and what comes up to it; empty where none is known
     * @param verdict what the entry comes to with this station, for those who carry the list
     * @param findings what is asked or held of it because of the power
     */
    public record OnEntry(
            int position,
            Watts output,
            List<Figure> figures,
            Optional<Held> limit,
            Verdict verdict,
            List<Finding> findings) {}

    /**
     * A power held against its limit.
     *
     * @param measure what is measured: PEP, ERP
     * @param watts what it comes to
     * @param limit the limit
     * @param over whether it is above it
     * @param sum how it comes about
     * @param source section of the law
     */
    public record Held(String measure, Watts watts, Watts limit, boolean over, Sum sum, String source) {}

    /**
     * Works out the sheet.
     *
     * @param station the station
     * @param audit the list under audit; its place and holders count, its antenna gives way to the station's
     * @param positions the entries that the station works; those that do not transmit are left out
     * @param atOnce those of them that may be keyed at one time; empty for a station with one transmitter, whose worst entry counts
     * @throws IllegalArgumentException when the line is not in the table
     */
    public static StationSheet of(Station station, Audit audit, List<Integer> positions, List<Integer> atOnce) {
        AuditContext context = audit.auditor().context();
        Edition edition = context.edition();
        List<OnEntry> entries = new ArrayList<>();
        Map<Integer, ExposureFigures> exposures = new TreeMap<>();
        for (int position : positions) {
            Channel channel = audit.list().channels().get(position);
            if (channel.transmit().isPresent() && channel.emission().isPresent()) {
                Watts output = output(station, channel);
                Radiated radiated = Radiated.of(station, channel.transmit().get(), output, edition.stations());
                ExposureFigures exposure =
                        ExposureFigures.of(radiated, channel.emission().get(), edition);
                exposures.put(position, exposure);
                entries.add(onEntry(position, channel, radiated, exposure, audit));
            }
        }
        List<Integer> added =
                exposures.keySet().stream().filter(atOnce::contains).toList();
        List<Integer> counted = added.isEmpty() ? worst(station, exposures) : added;
        return new StationSheet(
                general(station, edition),
                entries,
                together(station, counted.stream().map(exposures::get).toList()),
                counted);
    }

    private static List<Integer> worst(Station station, Map<Integer, ExposureFigures> exposures) {
        return exposures.entrySet().stream()
                .max(Comparator.comparingDouble(each -> each.getValue()
                        .shareAt(ExposureLimits.Group.GENERAL, station.people())
                        .orElse(0.0)))
                .map(each -> List.of(each.getKey()))
                .orElse(List.of());
    }

    /** The set may be turned down for an entry, never up. */
    /** What line and connectors of a station lose on a frequency, dB. */
    public static double lossDb(Station station, Frequency at, StationData data) {
        return Radiated.of(station, at, new Watts(station.outputW()), data).lossDb();
    }

    private static Watts output(Station station, Channel channel) {
        double most = station.outputW();
        return new Watts(
                channel.power().map(each -> Math.min(each.value(), most)).orElse(most));
    }

    private static OnEntry onEntry(
            int position, Channel channel, Radiated radiated, ExposureFigures exposure, Audit audit) {
        List<Figure> figures = new ArrayList<>(
                List.of(radiated.loss(), radiated.reaching(), radiated.effective(), radiated.isotropic()));
        figures.addAll(exposure.all());
        figures.addAll(lengths(radiated.at()));
        AuditContext with = audit.auditor()
                .context()
                .with(radiated.antenna())
                .with(HouseRules.NONE.keying(Keying.NONE))
                .forRadios(List.of());
        Channel set =
                channel.with(java.util.Map.of(Field.POWER_W, radiated.output().number()));
        Audit alone = new Auditor(Register.ALL, with)
                .audit(new ChannelList("", audit.list().extraColumns(), List.of(set)));
        Optional<Held> limit = Optional.empty();
        for (int holder = 0; holder < with.holders().size(); holder++) {
            Optional<Held> held = alone.routes(0, holder).stream()
                    .findFirst()
                    .flatMap(route -> held(route, radiated.output(), with.edition()));
            limit = strictest(limit, held);
        }
        List<Finding> findings = alone.findings(0).stream()
                .filter(each -> each.slug().text().startsWith("power")
                        || each.slug().text().startsWith("outside"))
                .toList();
        return new OnEntry(
                position, radiated.output(), figures, limit, alone.entry(0).verdict(), findings);
    }

    private static Optional<Held> strictest(Optional<Held> one, Optional<Held> other) {
        boolean takes = one.isEmpty()
                || other.isPresent()
                        && other.get().limit().value() < one.get().limit().value();
        return takes ? other : one;
    }

    private static Optional<Held> held(RouteOutcome outcome, Watts output, Edition edition) {
        return outcome.route()
                .powerLimit()
                .map(limit -> held(Reckoned.of(outcome.route(), output, limit), limit, edition));
    }

    private static Held held(Reckoned reckoned, PowerLimit limit, Edition edition) {
        return new Held(
                limit.measure().words(),
                reckoned.power(),
                limit.watts(),
                reckoned.over(),
                reckoned.sum()
                        .limit(limit.watts().number(), "W", limit.measure().words() + " limit"),
                edition.cite(limit.source()));
    }

    private static List<Figure> lengths(Frequency at) {
        double mhz = at.hertz() / 1e6;
        String megahertz = at.megahertz();
        return List.of(
                new Figure(
                        "half-wave",
                        "Half-wave dipole",
                        Lengths.metres(Lengths.halfWaveM(mhz)),
                        "m",
                        Sum.of("468", "ft", "common practice, shortened by the end effect")
                                .step("÷", megahertz, "MHz", "transmit frequency")
                                .gives(Lengths.feetAndInches(Lengths.halfWaveFt(mhz)), "", "in all")
                                .gives(Lengths.feetAndInches(Lengths.halfWaveFt(mhz) / 2), "", "each leg")
                                .gives(Lengths.metres(Lengths.halfWaveM(mhz)), "m", "in all (142.65 ÷ f)")
                                .gives(Lengths.metres(Lengths.halfWaveM(mhz) / 2), "m", "each leg"),
                        "common practice: 468 ÷ f feet; cut long and trim"),
                new Figure(
                        "quarter-wave",
                        "Quarter-wave whip",
                        Lengths.metres(Lengths.quarterWaveM(mhz)),
                        "m",
                        Sum.of("234", "ft", "common practice")
                                .step("÷", megahertz, "MHz", "transmit frequency")
                                .gives(Lengths.feetAndInches(Lengths.quarterWaveFt(mhz)), "", "over a ground plane")
                                .gives(Lengths.metres(Lengths.quarterWaveM(mhz)), "m", "(71.3 ÷ f)"),
                        "common practice: 234 ÷ f feet; cut long and trim"));
    }

    private static List<Figure> general(Station station, Edition edition) {
        List<Figure> figures = new ArrayList<>();
        double efficiency = station.efficiency().orElse(edition.stations().efficiency());
        double amperes = station.outputW() / efficiency / station.supplyV();
        String usual = station.efficiency().isPresent()
                ? "efficiency as you gave it"
                : "efficiency, common practice, no source";
        figures.add(new Figure(
                "current",
                "Current while keyed",
                Radiated.number(amperes),
                "A",
                Sum.of(Radiated.number(station.outputW()), "W", "output")
                        .step("÷", Radiated.number(efficiency), "", usual)
                        .step("÷", Radiated.number(station.supplyV()), "V", "supply")
                        .gives(Radiated.number(amperes), "A", "drawn"),
                "I = P ÷ (efficiency × U); the maker's sheet wins"));
        double receiving = edition.stations().receiveAmperes();
        double average = station.keyedShare() * amperes + (1 - station.keyedShare()) * receiving;
        figures.add(new Figure(
                "average-current",
                "Current on average",
                Radiated.number(average),
                "A",
                Sum.of(Radiated.number(station.keyedShare()), "", "share keyed")
                        .step("×", Radiated.number(amperes), "A", "keyed")
                        .step("+", Radiated.number(1 - station.keyedShare()), "", "share listening")
                        .step("×", Radiated.number(receiving), "A", "listening, common practice, no source")
                        .gives(Radiated.number(average), "A", "on average"),
                "common practice, no source"));
        station.batteryAh()
                .ifPresent(ah -> figures.add(new Figure(
                        "battery",
                        "Battery lasts",
                        Radiated.number(ah / average),
                        "h",
                        Sum.of(Radiated.number(ah), "Ah", "battery, new and full")
                                .step("÷", Radiated.number(average), "A", "on average")
                                .gives(Radiated.number(ah / average), "h", "at best; plan with half"),
                        "common practice, no source")));
        double horizon = PathLoss.horizonKm(station.heightM(), station.otherHeightM());
        figures.add(new Figure(
                "horizon",
                "Radio horizon",
                Radiated.number(horizon),
                "km",
                Sum.of("4.12", "", "4/3 of the earth's radius")
                        .step(
                                "×",
                                String.format(
                                        Locale.ROOT,
                                        "(√%s + √%s)",
                                        plain(station.heightM()),
                                        plain(station.otherHeightM())),
                                "m",
                                "heights of the antennas")
                        .gives(Radiated.number(horizon), "km", "over smooth ground; hills and woods take from it"),
                "d = 4.12 · (√h₁ + √h₂), ITU-R P.526 in its common form, from memory"));
        return figures;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    /** Several transmitters: the shares of the limits add up to at most one. */
    private static List<Figure> together(Station station, List<ExposureFigures> exposures) {
        List<Figure> figures = new ArrayList<>();
        for (ExposureLimits.Group group : ExposureLimits.Group.values()) {
            double total = 0;
            Sum sum = Sum.NONE;
            for (ExposureFigures each : exposures) {
                Optional<Double> share = each.shareAt(group, station.people());
                if (share.isPresent()) {
                    total += share.get();
                    sum = sum.step(
                            sum.lines().isEmpty() ? "" : "+",
                            percent(share.get()),
                            "%",
                            each.radiated().at() + " at " + Radiated.number(station.people()) + " m");
                }
            }
            if (!sum.lines().isEmpty()) {
                double metres = station.people() * Math.sqrt(total);
                figures.add(new Figure(
                        group == ExposureLimits.Group.GENERAL ? "together-general" : "together-occupational",
                        (exposures.size() == 1 ? "Where people may come, " : exposures.size() + " keyed at once, ")
                                + group.words(),
                        percent(total),
                        "% of the limit",
                        sum.gives(percent(total), "%", "of the limit")
                                .limit("100", "%", "at most")
                                .rest(Radiated.number(metres), "m", "from here on the sum is kept: distance × √share"),
                        "shares of the limits add up to at most 1: 47 CFR 1.1307(b)(3)(ii), OET Bulletin 65"));
            }
        }
        return figures;
    }

    private static String percent(double share) {
        return share < 1e-5 ? "0" : Radiated.number(share * 100);
    }
}
