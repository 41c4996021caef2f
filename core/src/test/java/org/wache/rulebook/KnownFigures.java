package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.wache.audit.context.Whereabouts;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;
import org.wache.signal.Tone;

/** What is known beside verdicts: each line of the table asks a rulebook one question, in a few words, and knows the answer. */
final class KnownFigures {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    private KnownFigures() {}

    static void add(String country, List<KnownCase> all) {
        for (Map<String, String> row : KnownCases.rows("known-figures")) {
            if (row.get("country").equals(country)) {
                String question = row.get("question");
                all.add(new KnownCase(
                        country + " " + question + " (" + row.get("source") + ")",
                        hertz(question),
                        Optional.of(row.get("file")),
                        book -> answer(book, question),
                        said -> said.replaceFirst(" \\| .*", "").equals(row.get("answer"))
                                || isNear(question, said, row.get("answer"))));
            }
        }
    }

    /** Limits of exposure are fractions: f/1500 is a figure of so many places. */
    private static boolean isNear(String question, String said, String known) {
        return (question.startsWith("exposure") || question.startsWith("exempt"))
                && Math.abs(Double.parseDouble(said) / Double.parseDouble(known) - 1) < 3e-4;
    }

    /** The frequencies in a question; questions about places and names have none. */
    private static List<Long> hertz(String question) {
        String verb = question.split(" ")[0];
        if (List.of(
                        "edition",
                        "later",
                        "zone",
                        "within",
                        "country",
                        "region",
                        "circle",
                        "measure",
                        "exposure",
                        "exempt",
                        "coax",
                        "line",
                        "behind",
                        "heard",
                        "named",
                        "busy")
                .contains(verb)) {
            return List.of();
        }
        List<Long> all = new ArrayList<>();
        for (String word : question.split(" ")) {
            if (word.matches("\\d+\\.\\d+")) {
                all.add(at(word).hertz());
            }
        }
        return all;
    }

    private static Frequency at(String megahertz) {
        return Frequency.ofMegahertz(
                        megahertz.length() > megahertz.indexOf('.') + 7
                                ? megahertz.substring(0, megahertz.indexOf('.') + 7)
                                : megahertz)
                .orElseThrow();
    }

    private static String yes(boolean is) {
        return is ? "yes" : "no";
    }

    private static String answer(Rulebook book, String question) {
        String[] word = question.split(" ");
        Edition edition = book.on(DAY);
        return switch (word[0]) {
            case "edition", "later", "dated", "centre", "ppm", "plausible", "country", "visit", "renewal" ->
                ofCountry(book, edition, word);
            case "ctcss", "codes", "dcs", "default" -> tones(edition.tones(), word);
            case "near", "duty", "efficiency", "receive", "coax", "region", "compared" ->
                stations(edition, question, word);
            case "exposure", "exempt", "minutes", "measure" -> limits(edition, word);
            case "heard", "named", "busy", "schemes" -> names(edition, word);
            case "zone", "within", "line", "behind", "circle", "closed", "local", "earth", "onlyin" ->
                places(edition, word);
            case "offset", "raster", "lower" -> plan(edition.plan(), word);
            default -> service(book, edition, word);
        };
    }

    private static String ofCountry(Rulebook book, Edition edition, String[] word) {
        return switch (word[0]) {
            case "edition" -> book.on(LocalDate.parse(word[1])).dates().id();
            case "dated" -> book.editions().get(0).from().toString();
            case "later" ->
                String.valueOf(edition.country().later().stream()
                        .filter(each -> LocalDate.parse(word[1]).isBefore(each.before()))
                        .count());
            case "centre" -> book.centre().latitude() + " " + book.centre().longitude();
            case "ppm" -> String.valueOf(edition.frequencyErrorPpm());
            case "plausible" -> yes(edition.plausible().contains(at(word[1])));
            case "country" ->
                yes(edition.country().mayHold(Place.at(Double.parseDouble(word[1]), Double.parseDouble(word[2]))));
            case "visit" ->
                book.visitors().stream()
                        .filter(each -> each.rulebook().equals(word[1])
                                && each.service().equals(word[2])
                                && each.licenceClass().equals(word[3]))
                        .map(each -> each.countsAs().orElse("none"))
                        .findFirst()
                        .orElse("not known");
            default ->
                String.valueOf(
                        edition.service(word[1]).orElseThrow().traits().terms().renewalDays());
        };
    }

    private static String tones(ToneTable table, String[] word) {
        return switch (word[0]) {
            case "ctcss" -> table.ctcss().stream().map(Tone::text).collect(Collectors.joining(" "));
            case "codes" ->
                IntStream.rangeClosed(1, 60)
                        .mapToObj(table::consumerCode)
                        .flatMap(Optional::stream)
                        .map(Tone::text)
                        .collect(Collectors.joining(" "));
            case "dcs" ->
                table.dcs().stream().map(code -> code.text().substring(1)).collect(Collectors.joining(" "));
            default -> table.factoryDefault().text();
        };
    }

    private static String stations(Edition edition, String question, String[] word) {
        return switch (word[0]) {
            case "near" ->
                edition.nearness().stream()
                        .filter(row -> row.span().contains(at(word[1])))
                        .findFirst()
                        .map(row -> String.valueOf(row.least() / 1000))
                        .orElse("none");
            case "duty" ->
                edition.stations().duty(Emission.of(word[1]).contents()).share() + " | "
                        + edition.stations()
                                .duty(Emission.of(word[1]).contents())
                                .words();
            case "efficiency" -> String.valueOf(edition.stations().efficiency());
            case "receive" -> String.valueOf(edition.stations().receiveAmperes());
            case "coax" ->
                edition.stations().coax().line(question.substring(5)).orElseThrow().points().stream()
                        .map(point -> plain(point.decibels()))
                        .collect(Collectors.joining(" "));
            case "compared" ->
                edition.regionSets().comparedIn().stream()
                        .map(KnownFigures::whole)
                        .collect(Collectors.joining(" "));
            default ->
                edition.regionSets()
                        .of(Arrays.stream(word).skip(1).map(Span::ofMegahertz).toList())
                        .map(RegionSets.RegionSet::id)
                        .orElse("none");
        };
    }

    private static String whole(Span span) {
        return span.low() / 1_000_000 + "-" + span.high() / 1_000_000;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.format(Locale.ROOT, "%.1f", value) : String.valueOf(value);
    }

    private static String limits(Edition edition, String[] word) {
        ExposureLimits exposure = edition.exposure();
        return switch (word[0]) {
            case "exposure" ->
                exposure.limit(group(word[1]), at(word[2]))
                        .map(limit -> figure(limit.at(at(word[2]))))
                        .orElse("none");
            case "exempt" ->
                exposure.exemption(at(word[1]))
                        .map(row -> figure(row.at(at(word[1]))))
                        .orElse("none");
            case "minutes" -> String.valueOf(exposure.minutes(group(word[1])));
            default ->
                edition.measurementLimits()
                        .of(word[1], word[2], word[3].equals("narrow"), at(word[4]))
                        .map(row -> row.figures().entrySet().stream()
                                        .map(each -> each.getKey() + "=" + each.getValue())
                                        .collect(Collectors.joining(" "))
                                + " | " + row.source())
                        .orElse("none");
        };
    }

    private static ExposureLimits.Group group(String word) {
        return ExposureLimits.Group.valueOf(word.toUpperCase(Locale.ROOT));
    }

    private static String figure(double value) {
        return new java.math.BigDecimal(value)
                .round(new java.math.MathContext(7))
                .stripTrailingZeros()
                .toPlainString();
    }

    private static String names(Edition edition, String[] word) {
        return switch (word[0]) {
            case "schemes" ->
                edition.channelNames().schemes().stream()
                        .map(ChannelNames.Scheme::id)
                        .collect(Collectors.joining(" "));
            case "heard" ->
                Listening.channel(edition.listening().called(word[1]).orElseThrow(), word[2])
                        .map(each -> each.frequency().megahertz())
                        .orElse("none");
            case "named" ->
                edition.channelNames().channels().stream()
                        .filter(each -> String.join(" ", java.util.Arrays.copyOfRange(word, 2, word.length))
                                .equals(each.names().get(word[1])))
                        .findFirst()
                        .map(each -> String.format(
                                Locale.ROOT,
                                "%.5f/%.5f",
                                each.receive().hertz() / 1e6,
                                each.transmit().hertz() / 1e6))
                        .orElse("none");
            default -> yes(edition.channelNames().busy().containsKey(at(word[1])));
        };
    }

    private static String places(Edition edition, String[] word) {
        Geography geography = edition.geography();
        return switch (word[0]) {
            case "zone" ->
                yes(new Whereabouts(
                                        Optional.of(new Circle(
                                                Place.at(Double.parseDouble(word[2]), Double.parseDouble(word[3])), 0)),
                                        geography)
                                .to(geography.zone(word[1]).orElseThrow())
                        == Whereabouts.Lies.IN);
            case "line" ->
                geography.borders().stream()
                        .filter(each -> each.id().equals(word[1]))
                        .findFirst()
                        .orElseThrow()
                        .corners()
                        .stream()
                        .map(KnownFigures::corner)
                        .collect(Collectors.joining(";"));
            case "behind" ->
                geography.borders().stream()
                        .filter(each -> each.id().equals(word[1]))
                        .findFirst()
                        .orElseThrow()
                        .behind()
                        .stream()
                        .map(KnownFigures::corner)
                        .collect(Collectors.joining(";"));
            case "within" ->
                new Whereabouts(Optional.of(new org.wache.place.Region(word[2])), geography)
                        .to(geography.zone(word[1]).orElseThrow())
                        .name();
            case "circle" ->
                geography
                        .zone(word[1])
                        .orElseThrow()
                        .circle()
                        .map(circle -> String.format(
                                Locale.ROOT,
                                "%.5f %.5f %s",
                                circle.centre().latitude(),
                                circle.centre().longitude(),
                                circle.radiusKm()))
                        .orElse("none");
            case "closed" ->
                yes(geography.closures().stream()
                        .anyMatch(each -> each.service().equals(word[1])
                                && each.zone().id().equals(word[2])
                                && each.span().contains(at(word[3]))));
            case "local" ->
                geography
                        .limit(word[1], at(word[2]))
                        .map(limit -> limit.limit().watts().value() + " "
                                + limit.limit().measure().words())
                        .orElse("none");
            case "earth" ->
                geography
                        .limit(word[1], at(word[2]))
                        .flatMap(LocalLimit::earthStations)
                        .map(each -> each.span().low() + "-" + each.span().high() + " "
                                + each.limit().watts().value() + " "
                                + each.limit().measure().words())
                        .orElse("none");
            case "onlyin" ->
                yes(!edition.planned()
                        .orElseThrow()
                        .zonesFor(2, Emission.of("10H0A3E"), at(word[2]))
                        .isEmpty());
            default -> throw new IllegalArgumentException("No such question: " + String.join(" ", word));
        };
    }

    private static String corner(Place place) {
        return String.format(Locale.ROOT, "%.2f %.2f", place.latitude(), place.longitude());
    }

    private static String plan(BandPlan plan, String[] word) {
        List<PlanRow> rows = plan.counting(at(word[1]));
        return switch (word[0]) {
            case "offset" ->
                rows.stream()
                        .flatMap(row -> row.offsets().stream())
                        .distinct()
                        .map(offset -> String.valueOf(offset / 1000))
                        .collect(Collectors.joining(" "));
            case "lower" -> yes(plan.lowerSidebandAt(at(word[1])));
            default -> raster(rows.get(0), at(word[1]).hertz());
        };
    }

    private static String raster(PlanRow row, long hertz) {
        if (!row.rasterChoice()) {
            return row.rasters().stream().anyMatch(raster -> raster.holds(hertz)) ? "on" : "off";
        }
        List<String> steps = row.rasters().stream()
                .filter(raster -> raster.holds(hertz))
                .map(raster -> String.valueOf(raster.step() / 1000))
                .toList();
        return steps.size() > 1 ? "both" : steps.isEmpty() ? "off" : steps.get(0);
    }

    private static String service(Rulebook book, Edition edition, String[] word) {
        return switch (word[0]) {
            case "lines", "band" ->
                yes(edition.service("land-mobile").orElseThrow().includes(at(word[1])) == Inclusion.EXACT);
            case "partner", "mate" -> {
                List<Partner> partners = edition.service(word[1]).orElseThrow().partners(at(word[2])).stream()
                        .filter(Partner::input)
                        .toList();
                yield word[0].equals("partner")
                        ? partners.stream()
                                .map(each -> String.format(
                                        Locale.ROOT, "%.5f", each.frequency().hertz() / 1e6))
                                .findFirst()
                                .orElse("none")
                        : partners.stream()
                                .map(each -> String.valueOf(
                                        (each.frequency().hertz() - at(word[2]).hertz()) / 1_000_000))
                                .findFirst()
                                .orElse("none");
            }
            case "width" -> width(edition, word[1], "16K0F3E", word[2]);
            case "widest" -> width(edition, word[1], word[2], word[3]);
            case "beside" -> width(edition, word[1], word[2], word[3]).equals(word[4]) ? "same" : "other";
            case "widthon" ->
                book.on(LocalDate.parse(word[3])).dates().from().isAfter(LocalDate.parse(word[3])) ? "later" : "there";
            case "widthson" -> width(book.on(LocalDate.parse(word[4])), word[1], word[2], word[3]);
            case "steps" ->
                ((AuthorisedService) edition.service(word[1]).orElseThrow())
                        .raster(at(word[2]))
                        .map(each -> yes(each.raster().holds(at(word[2]).hertz())))
                        .orElse("none");
            case "height" ->
                edition.service(word[1])
                        .orElseThrow()
                        .traits()
                        .terms()
                        .height(at(word[2]))
                        .map(each -> String.valueOf(each.metres()))
                        .orElse("none");
            case "conditions" ->
                String.valueOf(edition.service(word[1])
                        .orElseThrow()
                        .traits()
                        .terms()
                        .conditions(at(word[2]), -1)
                        .size());
            case "use" -> yes(use(edition, word[1]).allowed(at(word[2])));
            case "useof" ->
                yes(edition.service(word[1])
                        .orElseThrow()
                        .traits()
                        .terms()
                        .use(word[2])
                        .orElseThrow()
                        .allowed(at(word[3])));
            case "usepower" ->
                edition.service(word[1])
                        .orElseThrow()
                        .traits()
                        .terms()
                        .use(word[2])
                        .orElseThrow()
                        .power()
                        .map(limit -> String.valueOf(limit.watts().value()))
                        .orElse("none");
            case "useterms" ->
                use(edition, word[1])
                                .power()
                                .map(limit -> String.valueOf(limit.watts().value()))
                                .orElse("none") + " "
                        + use(edition, word[1])
                                .elsewhere()
                                .map(limit -> String.valueOf(limit.hertz()))
                                .orElse("none");
            case "ban" ->
                yes(edition.planned().orElseThrow().repeaterBan(at(word[1])).isPresent());
            case "limit" -> yes(limits(edition, word[1], word[2], word[3], word[4]));
            case "limiton" -> yes(limits(book.on(LocalDate.parse(word[5])), word[1], word[2], word[3], word[4]));
            case "limitof" ->
                edition.service(word[1]).orElseThrow().powerLimits(0, Mode.AM.emission(), at(word[2])).stream()
                        .map(each -> String.valueOf(each.watts().value()))
                        .collect(Collectors.joining(" "));
            case "includes" ->
                edition.service(word[1]).orElseThrow().includes(at(word[2])).name();
            case "channelised" -> yes(edition.planned().orElseThrow().isChannelised(at(word[1])));
            case "dial" ->
                edition.planned()
                        .orElseThrow()
                        .channelAt(at(word[1]), false)
                        .map(each -> each.dialBelow() + " " + each.width().hertz() + " "
                                + each.room()
                                        .map(room -> room.low() - each.centre().hertz() + ".."
                                                + (room.high() - each.centre().hertz()))
                                        .orElse("none"))
                        .orElse("none");
            case "sets" ->
                Optional.ofNullable(book.on(LocalDate.parse(word[3]))
                                .service(word[1])
                                .orElseThrow()
                                .traits()
                                .terms()
                                .sets()
                                .get(Mode.valueOf(word[2])))
                        .map(Emission::designator)
                        .orElse("none");
            default -> throw new IllegalArgumentException("No such question: " + String.join(" ", word));
        };
    }

    private static SpecialUse use(Edition edition, String name) {
        return edition.planned().orElseThrow().traits().terms().use(name).orElseThrow();
    }

    private static String width(Edition edition, String service, String emission, String megahertz) {
        return edition.service(service)
                .orElseThrow()
                .widthLimit(Emission.of(emission), at(megahertz))
                .map(limit -> String.valueOf(limit.hertz()))
                .orElse("none");
    }

    private static boolean limits(
            Edition edition, String licenceClass, String megahertz, String measure, String watts) {
        BandService planned = edition.planned().orElseThrow();
        return planned
                .powerLimits(planned.traits().classIndex(licenceClass), Emission.of("10H0A1A"), at(megahertz))
                .stream()
                .anyMatch(each ->
                        each.measure().words().equals(measure) && each.watts().value() == Double.parseDouble(watts));
    }
}
