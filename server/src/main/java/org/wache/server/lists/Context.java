package org.wache.server.lists;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.wache.audit.AuditContext;
import org.wache.exchange.ContextFile;
import org.wache.exchange.FileProblem;
import org.wache.licence.Holder;
import org.wache.rulebook.RulebookReader;
import org.wache.server.problems.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a list is held against, kept with it in the form of a context file. */
final class Context {

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Holder NOBODY = new Holder("nobody", List.of());

  private final ObjectNode node;

  private Context(ObjectNode node) {
    this.node = node;
  }

  static Context of(String json) {
    return new Context((ObjectNode) JSON.readTree(json));
  }

  /** For a list of which nothing is known yet: nobody in particular carries it. */
  static Context initial() {
    ObjectNode node = JSON.createObjectNode();
    node.put("format", "wache-context/1").put("rulebook", "us");
    node.putArray("holders");
    return new Context(node);
  }

  String json() {
    return JSON.writeValueAsString(node);
  }

  /** The carriers; who is not named is nobody in particular. */
  AuditContext at(LocalDate day) {
    ContextFile file = ContextFile.read(json().getBytes(StandardCharsets.UTF_8));
    List<Holder> holders = file.holders().isEmpty() ? List.of(NOBODY) : file.holders();
    return file.under(RulebookReader.shipped(file.rulebook().orElse("us")).on(day), day, holders);
  }

  /**
   * The same context with other carriers.
   *
   * @throws Refused when a licence cannot be understood
   */
  Context with(List<Views.Carrier> carriers) {
    ObjectNode copy = node.deepCopy();
    ArrayNode holders = copy.putArray("holders");
    for (Views.Carrier carrier : carriers) {
      ObjectNode holder = holders.addObject().put("name", carrier.name());
      ArrayNode licences = holder.putArray("licences");
      carrier.licences().forEach(licence -> licence(licences.addObject(), licence));
    }
    Context changed = new Context(copy);
    try {
      new org.wache.audit.Auditor(org.wache.audit.register.Register.ALL, changed.at(LocalDate.EPOCH));
    } catch (FileProblem | IllegalArgumentException e) {
      throw new Refused(e.getMessage() + ".");
    }
    return changed;
  }

  private static void licence(ObjectNode to, Views.CarriedLicence licence) {
    to.put("service", licence.service());
    licence.licenceClass().ifPresent(text -> to.put("class", text));
    licence.callSign().ifPresent(text -> to.put("callSign", text));
    licence.expires().ifPresent(day -> to.put("expires", day.toString()));
    if (!licence.lines().isEmpty()) {
      ArrayNode lines = to.putArray("lines");
      licence.lines().forEach(line -> line(lines.addObject(), line));
    }
  }

  private static void line(ObjectNode to, Views.LicenceLine line) {
    to.put("mhz", line.mhz()).put("emission", line.emission());
    line.outputW().ifPresent(watts -> to.put("outputW", watts));
    line.erpW().ifPresent(watts -> to.put("erpW", watts));
    line.units().ifPresent(units -> to.put("units", units));
    line.area().ifPresent(area -> to.putObject("area").put("latitude", area.latitude())
        .put("longitude", area.longitude()).put("radiusKm", area.radiusKm()));
  }

  List<Views.Carrier> carriers() {
    return stream(node.path("holders"))
        .map(holder -> new Views.Carrier(holder.path("name").asString(""),
            stream(holder.path("licences")).map(Context::licence).toList()))
        .toList();
  }

  private static Views.CarriedLicence licence(JsonNode node) {
    return new Views.CarriedLicence(node.path("service").asString(""), text(node, "class"), text(node, "callSign"),
        text(node, "expires").map(LocalDate::parse), stream(node.path("lines")).map(Context::line).toList());
  }

  private static Views.LicenceLine line(JsonNode node) {
    Optional<Views.LicenceArea> area = node.hasNonNull("area")
        ? Optional.of(new Views.LicenceArea(node.path("area").path("latitude").asDouble(),
            node.path("area").path("longitude").asDouble(), node.path("area").path("radiusKm").asDouble()))
        : Optional.empty();
    return new Views.LicenceLine(node.path("mhz").asString(""), node.path("emission").asString(""),
        number(node, "outputW"), number(node, "erpW"), number(node, "units").map(Double::intValue), area);
  }

  private static Optional<String> text(JsonNode node, String key) {
    return node.hasNonNull(key) ? Optional.of(node.get(key).asString()) : Optional.empty();
  }

  private static Optional<Double> number(JsonNode node, String key) {
    return node.hasNonNull(key) ? Optional.of(node.get(key).asDouble()) : Optional.empty();
  }

  private static java.util.stream.Stream<JsonNode> stream(JsonNode array) {
    return java.util.stream.StreamSupport.stream(array.spliterator(), false);
  }
}
