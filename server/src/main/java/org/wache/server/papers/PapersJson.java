package org.wache.server.papers;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.exchange.FileProblem;
import org.wache.rulebook.Edition;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Licences between the API and the form of a context file, in which they are stored. */
public final class PapersJson {

    private static final JsonMapper JSON = Json.MAPPER;

    private PapersJson() {}

    /**
     * Writes licences, after trying that the audit can read them.
     *
     * @throws Refused when one cannot be understood
     */
    public static ArrayNode write(List<CarriedLicence> licences) {
        ArrayNode array = JSON.createArrayNode();
        licences.forEach(licence -> licence(array.addObject(), licence));
        return array;
    }

    /**
     * Holds licences against a rulebook.
     *
     * @throws Refused when one cannot be understood, or there is no such licence
     */
    public static void check(List<CarriedLicence> given, Edition edition) {
        ArrayNode licences = write(given);
        ObjectNode context = JSON.createObjectNode();
        context.put("format", "wache-context/1")
                .putArray("holders")
                .addObject()
                .put("name", "someone")
                .set("licences", licences);
        try {
            ContextFile file = ContextFile.read(JSON.writeValueAsString(context).getBytes(StandardCharsets.UTF_8));
            file.holders().get(0).licences().forEach(licence -> {
                if (edition.service(licence.service())
                        .filter(found -> found.traits().needsLicence())
                        .isEmpty()) {
                    throw new Refused("There is no licence for the service “" + licence.service() + "”.");
                }
            });
            new Auditor(Register.ALL, file.under(edition, LocalDate.EPOCH, file.holders()));
        } catch (FileProblem | IllegalArgumentException e) {
            throw new Refused(e.getMessage().replaceFirst("^holders\\[0\\]\\.", "") + ".");
        }
    }

    private static void licence(ObjectNode to, CarriedLicence licence) {
        to.put("service", licence.service());
        licence.licenceClass().ifPresent(text -> to.put("class", text));
        licence.callSign().filter(text -> !text.isBlank()).ifPresent(text -> to.put("callSign", text.trim()));
        licence.granted().ifPresent(day -> to.put("granted", day.toString()));
        licence.expires().ifPresent(day -> to.put("expires", day.toString()));
        if (!licence.lines().isEmpty()) {
            ArrayNode lines = to.putArray("lines");
            licence.lines().forEach(line -> line(lines.addObject(), line));
        }
    }

    private static void line(ObjectNode to, LicenceLine line) {
        to.put("mhz", line.mhz().trim()).put("emission", line.emission().trim());
        line.outputW().ifPresent(watts -> to.put("outputW", watts));
        line.erpW().ifPresent(watts -> to.put("erpW", watts));
        line.units().ifPresent(units -> to.put("units", units));
        line.area().ifPresent(area -> write(to.putObject("area"), area));
        line.stationClass().filter(text -> !text.isBlank()).ifPresent(text -> to.put("stationClass", text.trim()));
    }

    /** Writes an area into an object. */
    public static void write(ObjectNode to, PlaceArea area) {
        put(to, "latitude", area.latitude());
        put(to, "longitude", area.longitude());
        put(to, "radiusKm", area.radiusKm());
        put(to, "south", area.south());
        put(to, "west", area.west());
        put(to, "north", area.north());
        put(to, "east", area.east());
        area.region().filter(text -> !text.isBlank()).ifPresent(text -> to.put("region", text.trim()));
    }

    private static void put(ObjectNode to, String key, Optional<Double> value) {
        value.ifPresent(number -> to.put(key, number));
    }

    /** Reads stored licences. */
    public static List<CarriedLicence> licences(JsonNode array) {
        return stream(array).map(PapersJson::licence).toList();
    }

    private static CarriedLicence licence(JsonNode node) {
        return new CarriedLicence(
                node.path("service").asString(""),
                text(node, "class"),
                text(node, "callSign"),
                text(node, "granted").map(LocalDate::parse),
                text(node, "expires").map(LocalDate::parse),
                stream(node.path("lines")).map(PapersJson::line).toList());
    }

    private static LicenceLine line(JsonNode node) {
        return new LicenceLine(
                node.path("mhz").asString(""),
                node.path("emission").asString(""),
                number(node, "outputW"),
                number(node, "erpW"),
                number(node, "units").map(Double::intValue),
                node.hasNonNull("area") ? Optional.of(area(node.get("area"))) : Optional.empty(),
                text(node, "stationClass"));
    }

    /** Reads a stored area. */
    public static PlaceArea area(JsonNode node) {
        return new PlaceArea(
                number(node, "latitude"),
                number(node, "longitude"),
                number(node, "radiusKm"),
                number(node, "south"),
                number(node, "west"),
                number(node, "north"),
                number(node, "east"),
                text(node, "region"));
    }

    /** The text of a key, when there is one. */
    public static Optional<String> text(JsonNode node, String key) {
        return node.hasNonNull(key) ? Optional.of(node.get(key).asString()) : Optional.empty();
    }

    /** The number of a key, when there is one. */
    public static Optional<Double> number(JsonNode node, String key) {
        return node.hasNonNull(key) ? Optional.of(node.get(key).asDouble()) : Optional.empty();
    }

    private static Stream<JsonNode> stream(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false);
    }
}
