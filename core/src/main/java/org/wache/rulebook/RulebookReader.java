package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.wache.place.Box;
import org.wache.place.Place;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;
import org.wache.signal.Tone;

/** Reads rulebooks from the YAML files that ship with the application. */
public final class RulebookReader {

    /** Stands in a source for the section that gives the holder's class its bands. */
    private static final String OF_CLASS = "{class}";

    private static final Map<String, Rulebook> SHIPPED = new ConcurrentHashMap<>();

    private final RulebookFiles files;
    private final Row head;

    private RulebookReader(String id, List<String> additions) {
        this.files = new RulebookFiles(id, additions);
        this.head = files.file("edition");
    }

    /** The identifiers of the rulebooks that ship with the application, the first of them the usual one, and of those in the folder beside. */
    public static List<String> ids() {
        List<String> beside = RulebookFolder.ids();
        return beside.isEmpty()
                ? Index.IDS
                : java.util.stream.Stream.concat(Index.IDS.stream(), beside.stream())
                        .distinct()
                        .toList();
    }

    /** Read when it is first asked for. */
    private static final class Index {
        private static final List<String> IDS =
                List.copyOf(new RulebookFiles("", List.of()).common("index").texts("rulebooks"));
    }

    /**
     * A rulebook that ships with the application.
     *
     * @throws RulebookProblem when there is none of that name, or a file of it cannot be read
     */
    public static Rulebook shipped(String id) {
        Rulebook known = SHIPPED.get(id);
        if (known == null) {
            known = new RulebookReader(checked(id), List.of()).rulebook();
            SHIPPED.put(id, known);
        }
        return known;
    }

    /**
     * A rulebook that ships with the application, with additions in the order in which they were put in force.
     *
     * @throws RulebookProblem when there is none of that name, or an addition cannot be read
     */
    public static Rulebook with(String id, List<String> additions) {
        return additions.isEmpty() ? shipped(id) : new RulebookReader(checked(id), additions).rulebook();
    }

    private static String checked(String id) {
        List<String> ids = ids();
        if (!ids.contains(id)) {
            throw new RulebookProblem("There is no rulebook " + id + "; there is " + String.join(", ", ids));
        }
        return id;
    }

    /** Reads for {@link AdditionCheck}. */
    static RulebookFiles files(String id, List<String> additions) {
        return new RulebookFiles(checked(id), additions);
    }

    static Rulebook rulebook(RulebookFiles files) {
        return new RulebookReader(files).rulebook();
    }

    private RulebookReader(RulebookFiles files) {
        this.files = files;
        this.head = files.file("edition");
    }

    private Rulebook rulebook() {
        List<Edition.EditionDates> editions = new ArrayList<>(head.rows("editions").stream()
                .map(row -> new Edition.EditionDates(
                        row.text("id"), row.date("from"), row.text("title"), row.text("source")))
                .toList());
        files.additions().stream()
                .map(Addition::edition)
                .flatMap(Optional::stream)
                .forEach(editions::add);
        editions.sort(java.util.Comparator.comparing(Edition.EditionDates::from));
        return new Rulebook(
                head.text("id"),
                head.text("title"),
                head.text("sections", head.text("title")),
                Place.at(head.number("centre_latitude"), head.number("centre_longitude")),
                country(),
                visitors(),
                editions,
                this::edition);
    }

    private Country country() {
        List<Box> extent =
                head.texts("extent").stream().map(text -> box(head, text)).toList();
        List<Country.Later> later = head.rows("judged_later").stream()
                .map(row -> new Country.Later(row.date("before"), row.text("say")))
                .toList();
        return new Country(
                head.text("title"), extent, later, head.optional("usual_band"), head.texts("examples"), notes());
    }

    private Map<String, String> notes() {
        Map<String, String> notes = new java.util.TreeMap<>();
        if (head.has("rule_notes")) {
            Row given = head.row("rule_notes");
            given.keys().forEach(rule -> notes.put(rule, given.text(rule)));
        }
        return notes;
    }

    private static Box box(Row row, String text) {
        try {
            double[] four = java.util.Arrays.stream(text.trim().split("\\s+"))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            return new Box(four[0], four[1], four[2], four[3]);
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
            throw row.problem("extent", "boxes of south, west, north and east in degrees, such as \"24 -125 50 -66\"");
        }
    }

    private List<Visitors> visitors() {
        return head.rows("visitors").stream()
                .map(row -> new Visitors(
                        row.text("rulebook"),
                        row.text("service"),
                        row.text("class"),
                        row.optional("counts_as"),
                        row.text("say"),
                        row.text("source")))
                .toList();
    }

    /** One at a time: the files note what was asked of them. */
    private synchronized Edition edition(Edition.EditionDates dates) {
        LocalDate day = dates.from();
        List<String> added = files.additions().stream()
                .map(Addition::service)
                .flatMap(Optional::stream)
                .map(row -> row.text("id"))
                .toList();
        List<Service> services = java.util.stream.Stream.concat(head.texts("services").stream(), added.stream())
                .map(id -> service(files.file(id).on(day)))
                .toList();
        Row allocations = files.file("allocations").on(day);
        return new Edition(
                head.text("id"),
                dates,
                head.text("code"),
                head.span("plausible_mhz"),
                head.number("frequency_error_ppm"),
                services,
                allocations.rows("rows").stream()
                        .map(RulebookReader::allocation)
                        .toList(),
                allocations.text("source"),
                plan(day),
                tones(),
                ChannelNames.read(files.optional("channel-names").on(day)),
                Listening.read(files.optional("listening").on(day)),
                new GeographyReader(files.optional("places").on(day), files::outlines).geography(),
                RegionSets.read(files.common("region-sets")),
                MeasurementLimits.read(files.optional("measurements").on(day)),
                new Edition.Stations(
                        ExposureLimits.read(files.optional("exposure").on(day)),
                        StationData.read(files.common("station"))),
                country(),
                files.added());
    }

    private Service service(Row row) {
        ServiceTraits traits = new ServiceTraits(
                row.text("id"),
                row.text("title"),
                row.text("part"),
                row.choice("licence", LicenceKind.class),
                row.texts("classes"),
                row.flag("shared_with_public"),
                row.flag("tones_expected"),
                row.has("hidden_meaning") ? row.row("hidden_meaning").text("source") : "",
                row.text("emission_source", ""),
                row.text("channel_source", ""),
                row.text("repeater_source", ""),
                row.text("width_source", row.text("part")),
                row.text("renewal_source", row.text("part")),
                row.has("call_sign") ? Optional.of(callSigns(row.row("call_sign"))) : Optional.empty(),
                row.has("certification") ? Optional.of(certification(row.row("certification"))) : Optional.empty(),
                terms(row));
        List<FixedChannel> channels =
                row.rows("channels").stream().map(each -> channel(each, traits)).toList();
        return switch (row.text("kind")) {
            case "bands" -> bands(row, traits, channels);
            case "channels" -> new ChannelService(traits, row.spans("spans_mhz"), channels);
            case "authorised" ->
                new AuthorisedService(
                        traits,
                        row.rows("bands").stream()
                                .map(b -> new AuthorisedService.Band(b.span("mhz"), b.text("source")))
                                .toList(),
                        widths(row),
                        row.rows("pairs").stream()
                                .map(b -> new AuthorisedService.Pair(
                                        b.span("outputs_mhz"),
                                        Math.round(b.number("offset_mhz") * 1e6),
                                        b.optional("zone"),
                                        b.text("source")))
                                .toList(),
                        row.rows("rasters").stream()
                                .map(b -> new AuthorisedService.Steps(
                                        b.span("mhz"), raster(b, b.text("raster")), b.text("source")))
                                .toList(),
                        row.text("source"));
            default -> throw row.problem("kind", "bands, channels or authorised");
        };
    }

    private static BandService bands(Row row, ServiceTraits traits, List<FixedChannel> channels) {
        List<Row> grantRows = row.rows("grants");
        List<String> sections = sections(row, traits);
        List<Grant> grants = grantRows.stream()
                .filter(each -> !each.has("only_in"))
                .map(each -> grant(each, traits, sections))
                .toList();
        List<BandService.LocalGrant> local = grantRows.stream()
                .filter(each -> each.has("only_in"))
                .map(each -> new BandService.LocalGrant(each.text("only_in"), grant(each, traits, sections)))
                .toList();
        List<Grant> channelised = row.rows("channelised").stream()
                .map(each -> new Grant(each.text("band"), each.span("mhz"), 0, 0, Optional.empty(), "", List.of()))
                .toList();
        List<BandService.ClassLimit> power = row.rows("power").stream()
                .map(each -> new BandService.ClassLimit(each.span("mhz"), classBits(each, traits), limit(each)))
                .toList();
        List<Ban> bans = row.rows("no_repeaters").stream()
                .map(each -> new Ban(
                        each.span("mhz"), each.text("say", each.span("mhz").toString()), each.text("source")))
                .toList();
        return new BandService(
                traits, grants, local, channelised, new FixedChannels(channels), power, widths(row), bans);
    }

    private static CallSignShape callSigns(Row row) {
        try {
            return new CallSignShape(Pattern.compile(row.text("pattern")), row.text("say"));
        } catch (java.util.regex.PatternSyntaxException e) {
            throw row.problem("pattern", "a regular expression");
        }
    }

    private static Certification certification(Row row) {
        return new Certification(row.texts("parts"), row.text("source"));
    }

    private static Grant grant(Row row, ServiceTraits traits, List<String> sections) {
        int lowest = traits.classes().isEmpty() ? 0 : classIndex(row, traits);
        String source = row.text("source");
        List<String> byClass = source.contains(OF_CLASS)
                ? sections.stream()
                        .map(section -> source.replace(OF_CLASS, section))
                        .toList()
                : List.of();
        return new Grant(
                row.text("band"),
                row.span("mhz"),
                lowest,
                row.contents("allow"),
                row.optional("restricted"),
                byClass.isEmpty() ? source : byClass.get(lowest),
                byClass);
    }

    /** The section that gives each class its bands, for sources with a {@code {class}} in them; a class without one has the next lower's. */
    private static List<String> sections(Row row, ServiceTraits traits) {
        if (!row.has("class_sections")) {
            return List.of();
        }
        Row given = row.row("class_sections");
        List<String> sections = new ArrayList<>();
        for (String name : traits.classes()) {
            sections.add(given.text(name, sections.isEmpty() ? "" : sections.get(sections.size() - 1)));
        }
        return sections;
    }

    private static FurtherTerms terms(Row row) {
        List<Condition> conditions = row.rows("conditions").stream()
                .map(each -> new Condition(
                        each.span("mhz"),
                        each.contents("carries"),
                        each.texts("uses"),
                        each.optional("zone"),
                        each.text("say"),
                        each.text("source")))
                .toList();
        List<HeightLimit> heights = row.rows("heights").stream()
                .map(each -> new HeightLimit(
                        each.span("mhz"), each.number("metres"), each.text("say", ""), each.text("source")))
                .toList();
        List<SpecialUse> uses = row.rows("uses").stream()
                .map(each -> new SpecialUse(
                        each.text("use"),
                        each.spans("only"),
                        each.spans("never"),
                        each.has("elsewhere_khz")
                                ? Optional.of(
                                        new WidthLimit(each.kilohertz("elsewhere_khz"), each.text("elsewhere_source")))
                                : Optional.empty(),
                        each.has("watts") ? Optional.of(limit(each)) : Optional.empty(),
                        each.text("source")))
                .toList();
        Map<Mode, Emission> sets = new java.util.EnumMap<>(Mode.class);
        for (Row each : row.rows("sets")) {
            sets.put(
                    Mode.parse(each.text("mode")).orElseThrow(() -> each.problem("mode", "a mode such as FM")),
                    Emission.parse(each.text("emission"))
                            .orElseThrow(() -> each.problem("emission", "a designator such as 8K00F3E")));
        }
        return new FurtherTerms(
                conditions,
                heights,
                uses,
                sets,
                row.text("mixture_source", ""),
                row.optional("aboard"),
                row.has("identify_in_clear") ? row.row("identify_in_clear").text("source") : "",
                row.has("renewal_days") ? (int) row.number("renewal_days") : 0);
    }

    private static List<BandService.ContentLimit> widths(Row row) {
        return row.rows("width").stream()
                .map(each -> new BandService.ContentLimit(
                        each.span("mhz"),
                        each.contents("carries"),
                        new WidthLimit(each.kilohertz("khz"), each.text("source"))))
                .toList();
    }

    private static int classIndex(Row row, ServiceTraits traits) {
        int index = traits.classIndex(row.text("class"));
        if (index < 0) {
            throw row.problem("class", "one of " + traits.classes());
        }
        return index;
    }

    private static int classBits(Row row, ServiceTraits traits) {
        if (!row.has("classes")) {
            return -1;
        }
        int bits = 0;
        for (String name : row.text("classes").split(" ")) {
            int index = traits.classIndex(name);
            if (index < 0) {
                throw row.problem("classes", "out of " + traits.classes());
            }
            bits |= 1 << index;
        }
        return bits;
    }

    private static PowerLimit limit(Row row) {
        return new PowerLimit(row.watts("watts"), measure(row), row.text("source"));
    }

    private static Measure measure(Row row) {
        return row.choice("measure", Measure.class);
    }

    private static FixedChannel channel(Row row, ServiceTraits traits) {
        String source = row.text("source");
        Frequency centre = row.frequency("mhz");
        Optional<PowerLimit> power = row.has("watts") ? Optional.of(limit(row)) : Optional.empty();
        Optional<PowerLimit> sideband = row.has("ssb_watts")
                ? Optional.of(new PowerLimit(row.watts("ssb_watts"), Measure.PEP, source))
                : Optional.empty();
        Optional<WidthLimit> sidebandWidth = row.has("ssb_width_khz")
                ? Optional.of(new WidthLimit(row.kilohertz("ssb_width_khz"), source))
                : Optional.empty();
        Optional<WidthLimit> doubleSidebandWidth = row.has("am_width_khz")
                ? Optional.of(new WidthLimit(row.kilohertz("am_width_khz"), row.text("am_width_source", source)))
                : Optional.empty();
        Optional<Restriction> restricted = row.optional("restricted")
                .map(purpose -> new Restriction(purpose, row.text("restricted_source"), row.flag("in_emergency")));
        Optional<Span> room = row.has("room_khz")
                ? Optional.of(
                        new Span(-row.kilohertz("room_khz") / 2, row.kilohertz("room_khz") / 2).shifted(centre.hertz()))
                : Optional.empty();
        return new FixedChannel(
                row.text("name"),
                centre,
                row.has("dial_below_khz") ? row.kilohertz("dial_below_khz") : 0,
                row.has("class") ? classIndex(row, traits) : 0,
                row.contents("allow"),
                new WidthLimit(row.kilohertz("width_khz"), source),
                sidebandWidth,
                doubleSidebandWidth,
                power,
                sideband,
                row.flag("repeaters"),
                row.has("reaches_mhz") ? Optional.of(row.frequency("reaches_mhz")) : Optional.empty(),
                row.flag("direct_too"),
                restricted,
                row.flag("handheld_only"),
                room,
                source);
    }

    /** Whether somebody could be licensed there. */
    private enum Openness {
        LICENCE,
        NONE
    }

    private static Allocation allocation(Row row) {
        return new Allocation(
                row.span("mhz"),
                row.text("whose"),
                row.text("say"),
                row.choice("open", Openness.class) == Openness.LICENCE,
                row.optional("mode")
                        .map(mode -> Mode.parse(mode).orElseThrow(() -> row.problem("mode", "a mode such as AM"))));
    }

    private BandPlan plan(LocalDate day) {
        Row row = files.file("band-plan").on(day);
        List<PlanRow> rows =
                row.rows("rows").stream().map(RulebookReader::planRow).toList();
        return new BandPlan(
                row.text("source"),
                row.text("service"),
                rows,
                Math.round(row.number("sideband_break_mhz") * 1e6),
                row.spans("upper_below_break"));
    }

    private static PlanRow planRow(Row row) {
        List<PlanUse> uses = new ArrayList<>();
        for (String word : row.text("uses").split(" ")) {
            try {
                uses.add(PlanUse.of(word));
            } catch (IllegalArgumentException e) {
                throw row.problem(
                        "uses",
                        "out of "
                                + String.join(
                                        ", ",
                                        java.util.Arrays.stream(PlanUse.values())
                                                .map(use -> use.name()
                                                        .toLowerCase(java.util.Locale.ROOT)
                                                        .replace('_', '-'))
                                                .toList()));
            }
        }
        return new PlanRow(
                row.span("mhz"),
                new TreeSet<>(uses),
                row.optional("calling"),
                row.texts("offsets_mhz").stream().map(text -> offset(row, text)).toList(),
                row.texts("rasters").stream().map(text -> raster(row, text)).toList(),
                row.flag("raster_choice"),
                row.optional("note"),
                row.optional("warning"),
                false);
    }

    private static Raster raster(Row row, String text) {
        int plus = text.indexOf('+');
        Optional<Frequency> start = Frequency.ofMegahertz(text.substring(0, Math.max(plus, 0)));
        if (start.isEmpty()) {
            throw row.problem("rasters", "start and step such as 146.610+15");
        }
        return new Raster(
                start.get().hertz(),
                Math.round(
                        decimal(row, "rasters", text.substring(plus + 1), "start and step such as 146.610+15") * 1000));
    }

    private static long offset(Row row, String text) {
        return Math.round(decimal(row, "offsets_mhz", text, "input minus output in MHz such as -0.6") * 1e6);
    }

    private static double decimal(Row row, String key, String text, String expected) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw row.problem(key, expected);
        }
    }

    private ToneTable tones() {
        Row row = files.common("tones");
        return new ToneTable(
                row.texts("ctcss_hz").stream().map(RulebookReader::ctcss).toList(),
                row.texts("consumer_codes_hz").stream()
                        .map(RulebookReader::ctcss)
                        .toList(),
                ctcss(row.text("factory_default_hz")),
                row.texts("dcs").stream()
                        .map(text -> new Tone.Dcs(Integer.parseInt(text, 8), false))
                        .toList());
    }

    private static Tone.Ctcss ctcss(String text) {
        return Tone.parse(text)
                .map(Tone.Ctcss.class::cast)
                .orElseThrow(() -> new RulebookProblem("tones.yaml: not a CTCSS tone: " + text));
    }
}
