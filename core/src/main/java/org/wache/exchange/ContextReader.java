package org.wache.exchange;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import org.wache.audit.Antenna;
import org.wache.audit.HouseRules;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
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
import org.wache.signal.Watts;
import org.wache.site.Keying;
import tools.jackson.databind.JsonNode;

/** Turns the JSON of a context into values; a message names the path of what is wrong. */
final class ContextReader {

  private static final String FORMAT = "wache-context/1";

  private final JsonNode root;

  ContextReader(JsonNode root) {
    this.root = root;
  }

  ContextFile read() {
    String format = root.path("format").asString(FORMAT);
    if (!root.isObject() || !FORMAT.equals(format)) {
      throw new FileProblem(1, 1, "not a context: expected an object with \"format\": \"" + FORMAT + "\"");
    }
    List<Holder> holders = new ArrayList<>();
    int index = 0;
    for (JsonNode each : root.path("holders")) {
      holders.add(holder(each, "holders[" + index + "]", index));
      index++;
    }
    List<Radio> radios = new ArrayList<>();
    for (JsonNode radio : root.path("radios")) {
      radios.add(RadioReader.radio(radio, "radios[" + radios.size() + "]", radios.size()));
    }
    return new ContextFile(text(root, "rulebook"), date(root, "on", "on"), holders, site(), antenna(), houseRules(),
        radios, overlay(), whole(root, "unitsInUse", "context"));
  }

  static Holder holder(JsonNode node, String path, int index) {
    List<Licence> licences = new ArrayList<>();
    int i = 0;
    for (JsonNode each : node.path("licences")) {
      licences.add(licence(each, path + ".licences[" + i++ + "]"));
    }
    return new Holder(text(node, "name").orElse("holder " + (index + 1)), licences);
  }

  private static Licence licence(JsonNode node, String path) {
    List<AuthorisationLine> lines = new ArrayList<>();
    int i = 0;
    for (JsonNode each : node.path("lines")) {
      lines.add(line(each, path + ".lines[" + i++ + "]"));
    }
    String service = text(node, "service").orElseThrow(() -> problem(path + ".service", "a service such as amateur"));
    return new Licence(service, text(node, "class").map(word -> word.toLowerCase(Locale.ROOT)), text(node, "callSign"), date(node, "expires", path + ".expires"),
        lines);
  }

  private static AuthorisationLine line(JsonNode node, String path) {
    Frequency frequency = text(node, "mhz").flatMap(Frequency::ofMegahertz)
        .orElseThrow(() -> problem(path + ".mhz", "a frequency in MHz such as \"451.8000\""));
    Emission emission = text(node, "emission").flatMap(Emission::parse)
        .orElseThrow(() -> problem(path + ".emission", "a designator such as \"11K2F3E\""));
    Optional<Area> area = node.hasNonNull("area") ? Optional.of(area(node.get("area"), path + ".area"))
        : Optional.empty();
    return new AuthorisationLine(frequency, emission, watts(node, "outputW", path), watts(node, "erpW", path),
        whole(node, "units", path), area);
  }

  private List<PlanRow> overlay() {
    try {
      return OverlayReader.rows(root.path("overlay"));
    } catch (RulebookProblem e) {
      throw new FileProblem(1, 1, e.getMessage());
    }
  }

  /** A circle, a box between parallels and meridians, or a region. */
  private static Area area(JsonNode node, String path) {
    if (node.hasNonNull("south")) {
      try {
        return new Box(degrees(node, "south", path), degrees(node, "west", path), degrees(node, "north", path),
            degrees(node, "east", path));
      } catch (IllegalArgumentException e) {
        throw problem(path, "a box with south below north and west before east");
      }
    }
    if (node.hasNonNull("region") && !node.hasNonNull("latitude")) {
      return new Region(text(node, "region").orElseThrow().toUpperCase(Locale.ROOT));
    }
    double radius = number(node, "radiusKm", path)
        .orElseThrow(() -> problem(path + ".radiusKm", "a radius in kilometres"));
    return circle(place(node, path), radius, path);
  }

  private static Circle circle(Place place, double radius, String path) {
    try {
      return new Circle(place, radius);
    } catch (IllegalArgumentException e) {
      throw problem(path + ".radiusKm", "a radius of 0 to 20000 km");
    }
  }

  private static double degrees(JsonNode node, String key, String path) {
    return number(node, key, path).orElseThrow(() -> problem(path + "." + key, "degrees"));
  }

  private static Place place(JsonNode node, String path) {
    double latitude = number(node, "latitude", path).orElseThrow(() -> problem(path + ".latitude", "degrees north"));
    double longitude = number(node, "longitude", path).orElseThrow(() -> problem(path + ".longitude", "degrees east"));
    try {
      return new Place(latitude, longitude, text(node, "region").map(code -> code.toUpperCase(Locale.ROOT)));
    } catch (IllegalArgumentException e) {
      throw problem(path, "a latitude of -90 to 90 and a longitude of -180 to 180");
    }
  }

  /** The site, the circle or the region that the list is used in. */
  private Optional<Area> site() {
    JsonNode site = root.path("site");
    if (site.hasNonNull("latitude") || site.hasNonNull("longitude")) {
      return Optional.of(circle(place(site, "site"), number(site, "radiusKm", "site").orElse(0.0), "site"));
    }
    return text(site, "region").map(code -> new Region(code.toUpperCase(Locale.ROOT)));
  }

  private Antenna antenna() {
    JsonNode site = root.path("site");
    OptionalDouble height = number(site, "antennaHeightM", "site").stream().mapToDouble(Double::doubleValue).findFirst();
    if (site.hasNonNull("antennaGainDbd") || site.hasNonNull("feedLossDb")) {
      return ContextFile.antenna(number(site, "antennaGainDbd", "site").orElse(0.0),
          number(site, "feedLossDb", "site").orElse(0.0)).at(height);
    }
    return Antenna.ASSUMED.at(height);
  }

  private HouseRules houseRules() {
    JsonNode node = root.path("houseRules");
    Optional<HouseRules.DirectTones> tones = text(node, "directTones").map(word -> Arrays
        .stream(HouseRules.DirectTones.values()).filter(each -> each.text().equals(word)).findFirst()
        .orElseThrow(() -> problem("houseRules.directTones", "open or same-both-ways")));
    return new HouseRules(tones, whole(node, "maxTimeoutS", "houseRules"),
        whole(node, "twoMetreRasterKhz", "houseRules"), keying(node.path("keyedTogether")));
  }

  /** {@code true} for all entries, {@code "zones"} for those of each zone, or bases with the numbers of their entries. */
  private static Keying keying(JsonNode node) {
    if (node.isArray()) {
      List<Keying.Base> bases = new ArrayList<>();
      for (JsonNode base : node) {
        String path = "houseRules.keyedTogether[" + bases.size() + "]";
        Set<String> numbers = new LinkedHashSet<>();
        base.path("numbers").forEach(number -> numbers.add(JsonText.scalar(number)));
        bases.add(new Keying.Base(text(base, "name").orElseThrow(() -> problem(path + ".name", "the name of a base")), numbers));
      }
      return new Keying(Keying.How.BASES, bases);
    }
    if (node.isMissingNode() || node.isNull() || node.isBoolean()) {
      return node.asBoolean(false) ? Keying.ALL : Keying.NONE;
    }
    if (node.isString() && node.asString().equals("zones")) {
      return Keying.TEAMS;
    }
    throw problem("houseRules.keyedTogether", "true, false, \"zones\", or bases such as {\"name\": \"Weir\", \"numbers\": [\"1\", \"5\"]}");
  }

  private static Optional<String> text(JsonNode node, String key) {
    return node.hasNonNull(key) ? Optional.of(JsonText.scalar(node.get(key))) : Optional.empty();
  }

  private static Optional<LocalDate> date(JsonNode node, String key, String path) {
    return text(node, key).map(text -> {
      try {
        return LocalDate.parse(text);
      } catch (DateTimeException e) {
        throw problem(path, "a day such as 2026-11-25");
      }
    });
  }

  private static Optional<Watts> watts(JsonNode node, String key, String path) {
    return parsed(node, key, path, Watts::parse, "a power in watts");
  }

  private static Optional<Double> number(JsonNode node, String key, String path) {
    return parsed(node, key, path, text -> {
      try {
        return Optional.of(Double.parseDouble(text));
      } catch (NumberFormatException e) {
        return Optional.<Double>empty();
      }
    }, "a number");
  }

  private static OptionalInt whole(JsonNode node, String key, String path) {
    Optional<Integer> value = parsed(node, key, path, text -> {
      try {
        return Optional.of(Integer.parseInt(text));
      } catch (NumberFormatException e) {
        return Optional.<Integer>empty();
      }
    }, "a whole number");
    return value.isPresent() ? OptionalInt.of(value.get()) : OptionalInt.empty();
  }

  private static <T> Optional<T> parsed(JsonNode node, String key, String path, Function<String, Optional<T>> read,
      String expected) {
    Optional<String> text = text(node, key);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(read.apply(text.get()).orElseThrow(() -> problem(path + "." + key, expected)));
  }

  private static FileProblem problem(String path, String expected) {
    return new FileProblem(1, 1, path + " should be " + expected);
  }
}
