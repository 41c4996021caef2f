package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.audit.context.Antenna;
import org.wache.audit.context.HouseRules;
import org.wache.audit.context.Neighbour;
import org.wache.channel.TalkGroup;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.licence.StationClass;
import org.wache.place.Area;
import org.wache.place.Box;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.place.Region;
import org.wache.radio.Radio;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.RulebookProblem;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;
import org.wache.signal.Watts;
import org.wache.site.Keying;
import tools.jackson.databind.JsonNode;

/** Turns the JSON of a context into values; a message names the path of what is wrong. */
final class ContextReader {

    private static final String FORMAT = "wache-context/1";

    private static final double LEAST_GAIN_DBD = -60;
    private static final double MOST_GAIN_DBD = 60;
    private static final double MOST_LOSS_DB = 100;
    private static final double LOWEST_M = -500;
    private static final double HIGHEST_M = 30_000;
    private static final double FARTHEST_KM = 20_000;
    private static final int MOST_UNITS = 1_000_000;
    private static final int MOST_TIMEOUT_S = 3_600;
    private static final int MOST_RASTER_KHZ = 1_000;

    private final Part root;

    ContextReader(JsonNode root) {
        this.root = Part.root(root, FORMAT, "a context");
    }

    ContextFile read() {
        List<Holder> holders = new ArrayList<>();
        root.objects("holders").forEach(each -> holders.add(holder(each, holders.size())));
        List<Radio> radios = new ArrayList<>();
        root.objects("radios").forEach(each -> radios.add(RadioReader.radio(each, radios.size())));
        return new ContextFile(
                root.text("rulebook"),
                root.day("on"),
                holders,
                site(),
                antenna(),
                houseRules(),
                radios.stream().distinct().toList(),
                overlay(),
                root.whole("unitsInUse", 1, MOST_UNITS),
                root.objects("neighbours").stream()
                        .map(ContextReader::neighbour)
                        .toList());
    }

    private static Neighbour neighbour(Part given) {
        Frequency frequency = given.text("mhz")
                .flatMap(Frequency::ofMegahertz)
                .orElseThrow(() -> given.problem("mhz", "a frequency in MHz such as \"146.550\""));
        Optional<Frequency> input = given.text("inputMhz").map(text -> Frequency.ofMegahertz(text)
                .orElseThrow(() -> given.problem("inputMhz", "a frequency in MHz such as \"146.340\"")));
        Optional<Tone> tone = given.text("tone").map(text -> Tone.parse(text)
                .orElseThrow(() -> given.problem("tone", "a tone such as \"100.0\" or \"D023\"")));
        return new Neighbour(given.text("name").orElse("a neighbour"), frequency, input, tone);
    }

    static Holder holder(Part holder, int index) {
        return new Holder(
                holder.text("name").orElse("holder " + (index + 1)),
                holder.objects("licences").stream().map(ContextReader::licence).toList());
    }

    private static Licence licence(Part licence) {
        String service =
                licence.text("service").orElseThrow(() -> licence.problem("service", "a service such as amateur"));
        return new Licence(
                service,
                licence.text("class").map(word -> word.toLowerCase(Locale.ROOT)),
                licence.text("callSign"),
                licence.day("expires"),
                licence.objects("lines").stream().map(ContextReader::line).toList());
    }

    private static AuthorisationLine line(Part line) {
        Frequency frequency = line.text("mhz")
                .flatMap(Frequency::ofMegahertz)
                .orElseThrow(() -> line.problem("mhz", "a frequency in MHz such as \"451.8000\""));
        Emission emission = line.text("emission")
                .flatMap(Emission::parse)
                .orElseThrow(() -> line.problem("emission", "a designator such as \"11K2F3E\""));
        Optional<Area> area = line.has("area") ? Optional.of(area(line.object("area"))) : Optional.empty();
        Optional<StationClass> station = line.text("stationClass").map(text -> StationClass.parse(text)
                .orElseThrow(() -> line.problem(
                        "stationClass",
                        "a class of station that begins with FB (base, repeater), FX (fixed) or MO (mobile)")));
        return new AuthorisationLine(
                frequency,
                emission,
                watts(line, "outputW"),
                watts(line, "erpW"),
                line.whole("units", 1, MOST_UNITS),
                area,
                station);
    }

    private static Optional<Watts> watts(Part line, String key) {
        return line.text(key).map(text -> Watts.parse(text).orElseThrow(() -> line.problem(key, "a power in watts")));
    }

    private List<PlanRow> overlay() {
        try {
            return OverlayReader.rows(root.raw("overlay"));
        } catch (RulebookProblem e) {
            throw new FileProblem(1, 1, e.getMessage());
        }
    }

    /** A circle, a box between parallels and meridians, or a region. */
    private static Area area(Part area) {
        if (area.has("south")) {
            try {
                return new Box(
                        latitude(area, "south"),
                        longitude(area, "west"),
                        latitude(area, "north"),
                        longitude(area, "east"));
            } catch (IllegalArgumentException e) {
                throw area.problem("a box with south below north and west before east");
            }
        }
        if (area.has("region") && !area.has("latitude")) {
            return region(area);
        }
        double radius = radius(area).orElseThrow(() -> area.problem("radiusKm", "a radius in kilometres"));
        return circle(area, radius);
    }

    private static Region region(Part area) {
        return new Region(area.text("region").orElseThrow().toUpperCase(Locale.ROOT));
    }

    private static OptionalDouble radius(Part area) {
        return area.number("radiusKm", 0, FARTHEST_KM, " km");
    }

    private static Circle circle(Part area, double radius) {
        Place place = new Place(
                latitude(area, "latitude"),
                longitude(area, "longitude"),
                area.text("region").map(code -> code.toUpperCase(Locale.ROOT)));
        return new Circle(place, radius);
    }

    private static double latitude(Part area, String key) {
        return area.number(key, -90, 90, " degrees north").orElseThrow(() -> area.problem(key, "degrees north"));
    }

    private static double longitude(Part area, String key) {
        return area.number(key, -180, 180, " degrees east").orElseThrow(() -> area.problem(key, "degrees east"));
    }

    /** The site, the circle or the region that the list is used in. */
    private Optional<Area> site() {
        Part site = root.object("site");
        if (site.has("latitude") || site.has("longitude")) {
            return Optional.of(circle(site, radius(site).orElse(0)));
        }
        return site.text("region").map(code -> new Region(code.toUpperCase(Locale.ROOT)));
    }

    private Antenna antenna() {
        Part site = root.object("site");
        OptionalDouble height = site.number("antennaHeightM", LOWEST_M, HIGHEST_M, " m");
        OptionalDouble gain = site.number("antennaGainDbd", LEAST_GAIN_DBD, MOST_GAIN_DBD, " dBd");
        OptionalDouble loss = site.number("feedLossDb", 0, MOST_LOSS_DB, " dB");
        return gain.isPresent() || loss.isPresent()
                ? ContextFile.antenna(gain.orElse(0), loss.orElse(0)).at(height)
                : Antenna.ASSUMED.at(height);
    }

    private HouseRules houseRules() {
        Part rules = root.object("houseRules");
        Optional<HouseRules.DirectTones> tones = rules.text("directTones")
                .map(word -> Arrays.stream(HouseRules.DirectTones.values())
                        .filter(each -> each.text().equals(word))
                        .findFirst()
                        .orElseThrow(() -> rules.problem("directTones", "open or same-both-ways")));
        return new HouseRules(
                tones,
                rules.whole("maxTimeoutS", 1, MOST_TIMEOUT_S),
                rules.whole("twoMetreRasterKhz", 1, MOST_RASTER_KHZ),
                keying(rules),
                rules.objects("talkGroups").stream()
                        .map(ContextReader::talkGroup)
                        .toList());
    }

    private static TalkGroup talkGroup(Part given) {
        return new TalkGroup(
                given.whole("number", 1, TalkGroup.HIGHEST)
                        .orElseThrow(() -> given.problem("number", "a talk group from 1 to " + TalkGroup.HIGHEST)),
                given.text("name")
                        .map(String::strip)
                        .filter(name -> !name.isEmpty())
                        .orElseThrow(() -> given.problem("name", "what the talk group is called")),
                given.whole("slot", 1, 2),
                given.text("for").orElse(""));
    }

    /** {@code true} for all entries, {@code "zones"} for those of each zone, or bases with the numbers of their entries. */
    private static Keying keying(Part rules) {
        JsonNode node = rules.raw("keyedTogether");
        if (node.isArray()) {
            return new Keying(
                    Keying.How.BASES,
                    rules.objects("keyedTogether").stream()
                            .map(base -> new Keying.Base(
                                    base.text("name").orElseThrow(() -> base.problem("name", "the name of a base")),
                                    new LinkedHashSet<>(base.texts("numbers"))))
                            .toList());
        }
        if (node.isMissingNode() || node.isNull() || node.isBoolean()) {
            return node.asBoolean(false) ? Keying.ALL : Keying.NONE;
        }
        if (node.isString() && node.asString().equals("zones")) {
            return Keying.TEAMS;
        }
        throw rules.problem(
                "keyedTogether",
                "true, false, \"zones\", or bases such as {\"name\": \"Weir\", \"numbers\": [\"1\", \"5\"]}");
    }
}
