package org.wache.rulebook;

import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;
import org.wache.signal.Tone;
import tools.jackson.core.JacksonException;
import tools.jackson.dataformat.yaml.YAMLMapper;

/** Reads rulebooks from the YAML files that ship with the application. */
public final class RulebookReader {

  private static final Map<String, Rulebook> SHIPPED = new ConcurrentHashMap<>();
  private static final Set<String> IDS = Set.of("us");
  private static final YAMLMapper YAML = new YAMLMapper();

  private final String folder;
  private final Row head;

  private RulebookReader(String id) {
    this.folder = "/rulebooks/" + id + "/";
    this.head = file(folder + "edition.yaml");
  }

  /**
   * A rulebook that ships with the application.
   *
   * @throws RulebookProblem when there is none of that name, or a file of it cannot be read
   */
  public static Rulebook shipped(String id) {
    if (!IDS.contains(id)) {
      throw new RulebookProblem("There is no rulebook " + id + "; there is " + String.join(", ", new TreeSet<>(IDS)));
    }
    return SHIPPED.computeIfAbsent(id, name -> new RulebookReader(name).rulebook());
  }

  private Rulebook rulebook() {
    List<Edition.EditionDates> editions = head.rows("editions").stream()
        .map(row -> new Edition.EditionDates(row.text("id"), LocalDate.parse(row.text("from")), row.text("title"),
            row.text("source")))
        .toList();
    return new Rulebook(head.text("id"), head.text("title"), editions, this::edition);
  }

  private static Row file(String path) {
    try (InputStream in = RulebookReader.class.getResourceAsStream(path)) {
      if (in == null) {
        throw new RulebookProblem(path + " is missing");
      }
      return new Row(path, YAML.readTree(in));
    } catch (JacksonException | IOException e) {
      throw new RulebookProblem(path + ": " + e.getMessage(), e);
    }
  }

  private Edition edition(Edition.EditionDates dates) {
    LocalDate day = dates.from();
    List<Service> services = head.texts("services").stream().map(id -> service(id, day)).toList();
    Row allocations = file(folder + "allocations.yaml");
    return new Edition(head.text("id"), dates, head.text("code"), head.span("plausible_mhz"),
        head.number("frequency_error_ppm"), services,
        allocations.rows("rows").stream().filter(row -> row.inForce(day)).map(RulebookReader::allocation).toList(),
        allocations.text("source"), plan(day), tones(),
        ChannelNames.read(file(folder + "channel-names.yaml")), Listening.read(file(folder + "listening.yaml")),
        new GeographyReader(file(folder + "places.yaml"), () -> file(folder + "regions.json").node()).on(day),
        RegionSets.read(file("/rulebooks/region-sets.yaml")), MeasurementLimits.read(file(folder + "measurements.yaml")));
  }

  private Service service(String id, LocalDate day) {
    Row row = file(folder + id + ".yaml");
    ServiceTraits traits = new ServiceTraits(row.text("id"), row.text("title"), row.text("part"),
        LicenceKind.valueOf(row.text("licence").toUpperCase(java.util.Locale.ROOT)), row.texts("classes"),
        row.flag("shared_with_public"), row.flag("tones_expected"),
        row.node().path("hidden_meaning").path("source").asString(""), row.text("emission_source", ""),
        row.text("channel_source", ""), row.text("repeater_source", ""),
        row.has("call_sign") ? Optional.of(callSigns(new Row(folder + id + ".yaml", row.node().get("call_sign"))))
            : Optional.empty(),
        row.has("certification") ? Optional.of(certification(new Row(folder + id + ".yaml", row.node().get("certification"))))
            : Optional.empty());
    List<Row> channelRows = row.rows("channels").stream().filter(each -> each.inForce(day)).toList();
    List<FixedChannel> channels = channelRows.stream().map(each -> channel(each, traits)).toList();
    return switch (row.text("kind")) {
      case "bands" -> bands(row, traits, channels, day);
      case "channels" -> new ChannelService(traits, row.texts("spans_mhz").stream().map(Span::ofMegahertz).toList(),
          channels);
      case "authorised" -> new AuthorisedService(traits,
          row.rows("bands").stream().map(b -> new AuthorisedService.Band(b.span("mhz"), b.text("source"))).toList(),
          widths(row, day), row.rows("pairs").stream().map(b -> new AuthorisedService.Pair(b.span("outputs_mhz"),
              Math.round(b.number("offset_mhz") * 1e6), b.text("source"))).toList(), row.text("source"));
      default -> throw row.problem("kind", "bands, channels or authorised");
    };
  }

  private static BandService bands(Row row, ServiceTraits traits, List<FixedChannel> channels, LocalDate day) {
    List<Row> grantRows = row.rows("grants").stream().filter(each -> each.inForce(day)).toList();
    List<Grant> grants = grantRows.stream().filter(each -> !each.has("only_in")).map(each -> grant(each, traits))
        .toList();
    List<BandService.LocalGrant> local = grantRows.stream().filter(each -> each.has("only_in"))
        .map(each -> new BandService.LocalGrant(each.text("only_in"), grant(each, traits))).toList();
    List<Grant> channelised = row.rows("channelised").stream()
        .map(each -> new Grant(each.text("band"), each.span("mhz"), 0, 0, Optional.empty(), ""))
        .toList();
    List<BandService.ClassLimit> power = row.rows("power").stream().filter(each -> each.inForce(day))
        .map(each -> new BandService.ClassLimit(each.span("mhz"), classBits(each, traits), limit(each)))
        .toList();
    List<Ban> bans = row.rows("no_repeaters").stream()
        .map(each -> new Ban(each.span("mhz"), each.text("say", each.span("mhz").toString()), each.text("source")))
        .toList();
    return new BandService(traits, grants, local, channelised, new FixedChannels(channels), power, widths(row, day), bans);
  }

  private static CallSignShape callSigns(Row row) {
    return new CallSignShape(Pattern.compile(row.text("pattern")), row.text("say"));
  }

  private static Certification certification(Row row) {
    return new Certification(row.texts("parts"), row.text("source"));
  }

  private static Grant grant(Row row, ServiceTraits traits) {
    return new Grant(row.text("band"), row.span("mhz"), classIndex(row, traits),
        org.wache.signal.Content.bits(row.text("allow")), row.optional("restricted"), row.text("source"));
  }

  private static List<BandService.ContentLimit> widths(Row row, LocalDate day) {
    return row.rows("width").stream().filter(each -> each.inForce(day))
        .map(each -> new BandService.ContentLimit(each.span("mhz"),
            org.wache.signal.Content.bits(each.text("carries")),
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
    return Measure.valueOf(row.text("measure").toUpperCase(java.util.Locale.ROOT));
  }

  private static FixedChannel channel(Row row, ServiceTraits traits) {
    String source = row.text("source");
    Frequency centre = row.frequency("mhz");
    Optional<PowerLimit> power = row.has("watts") ? Optional.of(limit(row)) : Optional.empty();
    Optional<PowerLimit> sideband = row.has("ssb_watts")
        ? Optional.of(new PowerLimit(row.watts("ssb_watts"), Measure.PEP, source)) : Optional.empty();
    Optional<WidthLimit> sidebandWidth = row.has("ssb_width_khz")
        ? Optional.of(new WidthLimit(row.kilohertz("ssb_width_khz"), source)) : Optional.empty();
    Optional<Restriction> restricted = row.optional("restricted")
        .map(purpose -> new Restriction(purpose, row.text("restricted_source")));
    Optional<Span> room = row.has("room_khz")
        ? Optional.of(new Span(-row.kilohertz("room_khz") / 2, row.kilohertz("room_khz") / 2).shifted(centre.hertz()))
        : Optional.empty();
    return new FixedChannel(row.text("name"), centre, row.has("dial_below_khz") ? row.kilohertz("dial_below_khz") : 0,
        row.has("class") ? classIndex(row, traits) : 0, org.wache.signal.Content.bits(row.text("allow")),
        new WidthLimit(row.kilohertz("width_khz"), source), sidebandWidth, power, sideband, row.flag("repeaters"),
        row.has("reaches_mhz") ? Optional.of(row.frequency("reaches_mhz")) : Optional.empty(), restricted,
        row.flag("handheld_only"), room, source);
  }

  private static Allocation allocation(Row row) {
    return new Allocation(row.span("mhz"), row.text("whose"), row.text("say"), row.text("open").equals("licence"),
        row.optional("mode").map(mode -> Mode.parse(mode).orElseThrow(() -> row.problem("mode", "a mode such as AM"))));
  }

  private BandPlan plan(LocalDate day) {
    Row row = file(folder + "band-plan.yaml");
    List<PlanRow> rows = row.rows("rows").stream().filter(each -> each.inForce(day)).map(RulebookReader::planRow)
        .toList();
    return new BandPlan(row.text("source"), row.text("service"), rows,
        Math.round(row.number("sideband_break_mhz") * 1e6),
        row.texts("upper_below_break").stream().map(Span::ofMegahertz).toList());
  }

  private static PlanRow planRow(Row row) {
    List<PlanUse> uses = new ArrayList<>();
    for (String word : row.text("uses").split(" ")) {
      uses.add(PlanUse.of(word));
    }
    return new PlanRow(row.span("mhz"), new TreeSet<>(uses), row.optional("calling"),
        row.texts("offsets_mhz").stream().map(text -> Math.round(Double.parseDouble(text) * 1e6)).toList(),
        row.texts("rasters").stream().map(text -> raster(row, text)).toList(), row.flag("raster_choice"),
        row.optional("note"), row.optional("warning"), false);
  }

  private static Raster raster(Row row, String text) {
    int plus = text.indexOf('+');
    Optional<Frequency> start = Frequency.ofMegahertz(text.substring(0, Math.max(plus, 0)));
    if (start.isEmpty()) {
      throw row.problem("rasters", "start and step such as 146.610+15");
    }
    return new Raster(start.get().hertz(), Math.round(Double.parseDouble(text.substring(plus + 1)) * 1000));
  }

  private static ToneTable tones() {
    Row row = file("/rulebooks/tones.yaml");
    return new ToneTable(row.texts("ctcss_hz").stream().map(RulebookReader::ctcss).toList(),
        row.texts("consumer_codes_hz").stream().map(RulebookReader::ctcss).toList(),
        ctcss(row.text("factory_default_hz")),
        row.texts("dcs").stream().map(text -> new Tone.Dcs(Integer.parseInt(text, 8), false)).toList());
  }

  private static Tone.Ctcss ctcss(String text) {
    return Tone.parse(text).map(Tone.Ctcss.class::cast)
        .orElseThrow(() -> new RulebookProblem("tones.yaml: not a CTCSS tone: " + text));
  }
}
