package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import org.wache.audit.Reckoned;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.context.Whereabouts.Lies;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Field;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Licence;
import org.wache.licence.StationClass;
import org.wache.place.Area;
import org.wache.place.Circle;
import org.wache.radio.Radio;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.Measure;
import org.wache.rulebook.PowerLimit;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Watts;

/** Land mobile: no line of the licence covers frequency, emission, power, place and the units in use. */
public final class OutsideAuthorisation implements RouteRule {

    /** Narrow FM of ±2.5 kHz is filed as 11K0 or as 11K2: 2·3 + 2·2.5 = 11.0 kHz. */
    private static final long NARROW_ON_PAPER = 11_000;

    private static final double OUTPUT_TOLERANCE = 1e-9;

    /** One way in which a line does not cover the entry. */
    private record Failure(String part, Sum working, List<Change> cures, boolean holds) {
        Failure(String part, Sum working, List<Change> cures) {
            this(part, working, cures, true);
        }
    }

    @Override
    public Slug slug() {
        return Slug.OUTSIDE_AUTHORISATION;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "No line of the licence covers it",
                        "A licence by lines lists frequencies, each with an emission, a power and an area. An entry is legal only where "
                                + "one line covers all of them.",
                        "Use what the line says, or have the licence modified; until then, listen only.",
                        RulePage.entry("land-mobile", "rx_mhz=451.800 tx_mhz=451.800 mode=NFM power_w=25"),
                        RulePage.entry("land-mobile", "rx_mhz=451.800 tx_mhz=451.800 mode=NFM power_w=5"))
                .within(
                        "{\"format\": \"wache-context/1\", \"holders\": [{\"name\": \"The ferry\", \"licences\": [{\"service\": \"land-mobile\", "
                                + "\"callSign\": \"WZZB202\", \"lines\": [{\"mhz\": \"451.800\", \"emission\": \"11K2F3E\", \"outputW\": 5, \"erpW\": 5, \"units\": "
                                + "20}]}]}]}");
    }

    @Override
    public List<Finding> on(Route route) {
        if (!(route.service() instanceof AuthorisedService service)) {
            return List.of();
        }
        Licence licence = route.held().licence().orElseThrow();
        List<AuthorisationLine> there = licence.lines().stream()
                .filter(line -> line.frequency().equals(route.transmit()))
                .toList();
        if (there.isEmpty()) {
            return List.of(route.hold(Slug.OUTSIDE_AUTHORISATION)
                    .message("%s is on no line of the licence%s.", route.transmit(), LicenceExpiring.callSign(licence))
                    .working(() -> working(route, licence))
                    .source(route.cite(service.source()))
                    .cures(() -> Cures.orListen(Cures.otherOffsets(route.entry()))));
        }
        List<Failure> fewest = failures(route, nearest(route, there));
        return fewest.stream()
                .map(failure -> (failure.holds()
                                ? route.hold(Slug.OUTSIDE_AUTHORISATION)
                                : route.query(Slug.OUTSIDE_AUTHORISATION))
                        .message(
                                failure.holds()
                                        ? "The licence%s does not cover %s."
                                        : "Whether the licence%s covers %s, the licensee has to say.",
                                LicenceExpiring.callSign(licence),
                                failure.part())
                        .working(failure::working)
                        .source(route.cite(service.source()))
                        .cures(() -> Cures.orListen(failure.cures())))
                .toList();
    }

    /** The line that fits best: the one whose emission takes in what is sent, then the one that fails in the fewest ways. */
    private static AuthorisationLine nearest(Route route, List<AuthorisationLine> there) {
        return there.stream()
                .min(Comparator.<AuthorisationLine>comparingInt(
                                line -> failures(route, line).size() == 0 ? 0 : 1)
                        .thenComparing(line -> LineCover.of(line.emission(), route.emission()))
                        .thenComparingLong(line -> failures(route, line).stream()
                                .filter(Failure::holds)
                                .count()))
                .orElseThrow();
    }

    /** The output that the licence's line for this frequency allows. */
    static Optional<PowerLimit> outputLimit(Route route) {
        if (!(route.service() instanceof AuthorisedService service)) {
            return Optional.empty();
        }
        List<AuthorisationLine> there = route.held().licence().stream()
                .flatMap(licence -> licence.lines().stream())
                .filter(line -> line.frequency().equals(route.transmit()))
                .toList();
        return there.isEmpty()
                ? Optional.empty()
                : nearest(route, there)
                        .output()
                        .map(output -> new PowerLimit(output, Measure.OUTPUT, service.source()));
    }

    private static Sum working(Route route, Licence licence) {
        Sum sum = Sum.of(route.transmit(), "talks on");
        return licence.lines().stream()
                .min(Comparator.comparingLong(line -> Math.abs(line.frequency().minus(route.transmit()))))
                .map(line -> sum.limit(line.frequency(), "nearest line of the licence"))
                .orElse(sum);
    }

    private static List<Failure> failures(Route route, AuthorisationLine line) {
        List<Failure> failures = new ArrayList<>();
        emission(route, line).ifPresent(failures::add);
        output(route, line).ifPresent(failures::add);
        erp(route, line).ifPresent(failures::add);
        place(route, line).ifPresent(failures::add);
        units(route, line).ifPresent(failures::add);
        station(route, line).ifPresent(failures::add);
        return failures;
    }

    private static Optional<Failure> emission(Route route, AuthorisationLine line) {
        LineCover cover = LineCover.of(line.emission(), route.emission());
        if (cover != LineCover.COVERED) {
            return Optional.of(new Failure(
                    "the emission " + Wording.emission(route.on()) + ": the line says " + line.emission(),
                    Sum.NONE,
                    fitting(line),
                    cover == LineCover.NOT_COVERED));
        }
        boolean narrowByMode =
                route.on().emissionFromMode() && route.on().mode().orElseThrow() == Mode.NFM;
        long width = narrowByMode ? NARROW_ON_PAPER : route.emission().bandwidth();
        if (width <= line.emission().bandwidth()) {
            return Optional.empty();
        }
        Sum sum = Sum.of(Frequency.kilohertz(width), "kHz", "necessary bandwidth of " + route.emission())
                .limit(Frequency.kilohertz(line.emission().bandwidth()), "kHz", "the line's " + line.emission());
        return Optional.of(new Failure(
                "a signal " + Frequency.kilohertz(width) + " kHz wide: the line says " + line.emission(),
                sum,
                Cures.narrower(route.on())));
    }

    /** The modes that the line takes in, and then its designator as it stands. */
    private static List<Change> fitting(AuthorisationLine line) {
        List<Change> cures = new ArrayList<>();
        for (Mode mode : Mode.values()) {
            long width = mode == Mode.NFM ? NARROW_ON_PAPER : mode.emission().bandwidth();
            if (LineCover.of(line.emission(), mode.emission()) == LineCover.COVERED
                    && width <= line.emission().bandwidth()) {
                cures.add(Change.mode("Use " + mode, mode.name()));
            }
        }
        cures.add(Change.of(
                "Use " + line.emission(), Field.EMISSION, line.emission().designator()));
        return cures;
    }

    private static Optional<Failure> output(Route route, AuthorisationLine line) {
        Optional<Watts> power = route.on().power();
        if (power.isEmpty()
                || line.output().isEmpty()
                || power.get().value() <= line.output().get().value() * (1 + OUTPUT_TOLERANCE)) {
            return Optional.empty();
        }
        Sum sum = Sum.of(power.get().number(), "W", "transmitter output")
                .limit(line.output().get().number(), "W", "the line's output");
        return Optional.of(new Failure(
                power.get() + " output: the line " + line.emission() + " says "
                        + line.output().get(),
                sum,
                List.of(Change.of(
                        "Use " + line.output().get(),
                        Field.POWER_W,
                        line.output().get().number()))));
    }

    private static Optional<Failure> erp(Route route, AuthorisationLine line) {
        Optional<Watts> power = route.on().power();
        if (power.isEmpty() || line.erp().isEmpty()) {
            return Optional.empty();
        }
        PowerLimit limit = new PowerLimit(line.erp().get(), Measure.ERP, "");
        Reckoned reckoned = Reckoned.of(route, power.get(), limit);
        if (!reckoned.over()) {
            return Optional.empty();
        }
        Watts most = reckoned.mostOutput();
        return Optional.of(new Failure(
                reckoned.power() + " ERP: the line " + line.emission() + " says "
                        + line.erp().get(),
                reckoned.sum().limit(line.erp().get().number(), "W", "the line's ERP"),
                List.of(Change.of("Use " + most, Field.POWER_W, most.number()))));
    }

    private static Optional<Failure> place(Route route, AuthorisationLine line) {
        Whereabouts where = route.entry().context().where();
        Lies lies = line.area().map(where::to).orElse(Lies.IN);
        if (lies == Lies.IN || lies == Lies.UNKNOWN) {
            return Optional.empty();
        }
        Area used = where.area().orElseThrow();
        if (!(line.area().get() instanceof Circle circle) || !(used instanceof Circle site)) {
            return Optional.of(new Failure(
                    "the place: " + used.words() + (lies == Lies.PARTLY ? " lies only partly" : " lies not") + " in "
                            + line.area().get().words(),
                    Sum.NONE,
                    List.of()));
        }
        String distance = String.format(Locale.ROOT, "%.1f", circle.distanceKm(site.centre()));
        String radius = String.format(Locale.ROOT, "%.1f", circle.radiusKm());
        Sum sum = Sum.of(distance, "km", "from the middle of the area");
        String reach = site.radiusKm() == 0 ? "" : String.format(Locale.ROOT, "%.1f", site.radiusKm());
        Sum all = reach.isEmpty() ? sum : sum.step("+", reach, "km", "radius of where the list is used");
        return Optional.of(new Failure(
                "the place: it is " + distance + " km from the middle of an area of " + radius + " km"
                        + (reach.isEmpty() ? "" : ", and reaches " + reach + " km further"),
                all.limit(radius, "km", "radius of the area"),
                List.of()));
    }

    /** The class of station: what a base has may not go into a hand, and the other way round. Without a radio it is taken for a mobile's. */
    private static Optional<Failure> station(Route route, AuthorisationLine line) {
        if (line.station().isEmpty()) {
            return Optional.empty();
        }
        StationClass station = line.station().get();
        String says =
                ": the line's " + station.code() + " is for " + station.kind().words();
        List<Radio> radios = route.entry().context().radios().stream()
                .filter(radio -> radio.talksOn(route.on()).isPresent())
                .toList();
        List<Radio> others = radios.stream()
                .filter(radio -> takes(station, radio).filter(takes -> !takes).isPresent())
                .toList();
        if (!others.isEmpty()) {
            Radio first = others.get(0);
            return Optional.of(new Failure(
                    "a " + first.model().kind().orElseThrow().words() + " (" + first.name() + ")" + says,
                    Sum.NONE,
                    List.of()));
        }
        boolean told = !radios.isEmpty()
                && radios.stream().allMatch(radio -> takes(station, radio).isPresent());
        return told || station.kind() == StationClass.Kind.MOBILE
                ? Optional.empty()
                : Optional.of(new Failure("the radios that carry it" + says, Sum.NONE, List.of(), false));
    }

    private static Optional<Boolean> takes(StationClass station, Radio radio) {
        return radio.model().kind().flatMap(station.kind()::takes);
    }

    private static Optional<Failure> units(Route route, AuthorisationLine line) {
        OptionalInt inUse = route.entry().context().unitsInUse();
        if (inUse.isEmpty()
                || line.units().isEmpty()
                || inUse.getAsInt() <= line.units().getAsInt()) {
            return Optional.empty();
        }
        int over = inUse.getAsInt() - line.units().getAsInt();
        return Optional.of(new Failure(
                inUse.getAsInt() + " units in use: the line says "
                        + line.units().getAsInt(),
                Sum.of(String.valueOf(inUse.getAsInt()), "units", "in use")
                        .limit(String.valueOf(line.units().getAsInt()), "units", "the line's number of units")
                        .rest(String.valueOf(over), "units", "too many"),
                List.of()));
    }
}
