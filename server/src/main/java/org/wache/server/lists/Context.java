package org.wache.server.lists;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.Neighbour;
import org.wache.exchange.ContextFile;
import org.wache.exchange.FileProblem;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.rulebook.RulebookReader;
import org.wache.server.papers.PapersJson;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import org.wache.server.web.SettingWords;
import org.wache.site.Keying;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a list is held against, kept with it in the form of a context file. */
public final class Context {

    private static final JsonMapper JSON = Json.MAPPER;
    private static final Holder NOBODY = new Holder("nobody", List.of());

    private final ObjectNode node;

    private Context(ObjectNode node) {
        this.node = node;
    }

    public static Context of(String json) {
        return new Context((ObjectNode) JSON.readTree(json));
    }

    /** For a list of which nothing is known yet: nobody in particular carries it. */
    static Context initial(String rulebook) {
        ObjectNode node = JSON.createObjectNode();
        node.put("format", "wache-context/1").put("rulebook", rulebook);
        node.putArray("holders");
        return new Context(node);
    }

    String json() {
        return JSON.writeValueAsString(node);
    }

    /** The carriers that are named with the list itself, and these of the roster; without any, nobody in particular. Radios as a context has them. */
    AuditContext at(LocalDate day, List<RosterHolder> roster, String overlay, String radios, Rulebook rulebook) {
        return at(day, day, roster, overlay, radios, rulebook);
    }

    /** The same with the talk groups that the group has agreed on, as JSON; as it was when there are none. */
    Context agreedOn(String talkGroups) {
        JsonNode groups = JSON.readTree(talkGroups);
        if (groups.isEmpty()) {
            return this;
        }
        ObjectNode copy = node.deepCopy();
        ArrayNode into = copy.withObject("houseRules").putArray("talkGroups");
        for (JsonNode each : groups) {
            ObjectNode one = into.addObject()
                    .put("number", each.path("number").asInt())
                    .put("name", each.path("name").asString(""))
                    .put("for", each.path("forWhom").asString(""));
            if (each.hasNonNull("slot")) {
                one.put("slot", each.path("slot").asInt());
            }
        }
        return new Context(copy);
    }

    /** The rulebook that the list is held against. */
    String rulebook() {
        return node.path("rulebook").asString(Rulebooks.usual());
    }

    /** The whole of it as a context file, radios aside. */
    String file(LocalDate day, List<RosterHolder> roster, String overlay, List<Neighbour> near) {
        ObjectNode whole = whole(roster, overlay).put("on", day.toString());
        ArrayNode neighbours = near.isEmpty() ? null : whole.putArray("neighbours");
        for (Neighbour each : near) {
            ObjectNode one = neighbours
                    .addObject()
                    .put("name", each.name())
                    .put("mhz", each.frequency().megahertz());
            each.input().ifPresent(input -> one.put("inputMhz", input.megahertz()));
            each.tone().ifPresent(tone -> one.put("tone", tone.text()));
        }
        return JSON.writeValueAsString(whole);
    }

    private ObjectNode whole(List<RosterHolder> roster, String overlay) {
        ObjectNode whole = node.deepCopy();
        ArrayNode holders = whole.withArray("holders");
        roster.forEach(
                each -> holders.addObject().put("name", each.name()).set("licences", JSON.readTree(each.licences())));
        if (holders.isEmpty()) {
            holders.addObject().put("name", NOBODY.name()).putArray("licences");
        }
        whole.set("overlay", JSON.readTree(overlay));
        return whole;
    }

    /** As it is on a day, under the rules of another. */
    AuditContext at(
            LocalDate rules,
            LocalDate day,
            List<RosterHolder> roster,
            String overlay,
            String radios,
            Rulebook rulebook) {
        ObjectNode whole = whole(roster, overlay);
        JsonNode models = JSON.readTree(radios);
        if (models.size() > 0) {
            whole.set("radios", models);
        }
        ContextFile file = ContextFile.read(JSON.writeValueAsString(whole).getBytes(StandardCharsets.UTF_8));
        Edition edition = rulebook.on(rules);
        return file.under(
                edition,
                day,
                file.holders().stream().map(holder -> known(holder, edition)).toList());
    }

    /** A licence of a service or class that the rulebook does not know counts for nothing: it is one of another country. */
    private static Holder known(Holder holder, Edition edition) {
        return new Holder(
                holder.name(),
                holder.licences().stream()
                        .filter(licence -> edition.service(licence.service())
                                .filter(service -> licence.licenceClass()
                                        .map(each -> service.traits().classIndex(each) >= 0)
                                        .orElse(true))
                                .isPresent())
                        .toList());
    }

    /** The same context for other carriers. */
    Context with(List<Views.Carrier> carriers) {
        ObjectNode copy = node.deepCopy();
        ArrayNode holders = copy.putArray("holders");
        for (Views.Carrier carrier : carriers) {
            holders.addObject().put("name", carrier.name()).set("licences", PapersJson.write(carrier.licences()));
        }
        return new Context(copy);
    }

    /**
     * The same context with other settings.
     *
     * @throws Refused when they cannot be understood
     */
    Context with(Views.Settings settings) {
        ObjectNode copy = node.deepCopy();
        ObjectNode site = copy.putObject("site");
        settings.place().ifPresent(place -> PapersJson.write(site, place));
        settings.antennaGainDbd().ifPresent(gain -> site.put("antennaGainDbd", gain));
        settings.feedLossDb().ifPresent(loss -> site.put("feedLossDb", loss));
        settings.antennaHeightM().ifPresent(height -> site.put("antennaHeightM", height));
        settings.rulebook().ifPresent(id -> copy.put("rulebook", id));
        ObjectNode house = copy.withObject("/houseRules");
        put(house, "directTones", settings.directTones());
        put(house, "maxTimeoutS", settings.maxTimeoutS());
        put(house, "twoMetreRasterKhz", settings.twoMetreRasterKhz());
        put(copy, "unitsInUse", settings.unitsInUse());
        Context changed = new Context(copy);
        try {
            changed.at(LocalDate.EPOCH, List.of(), "[]", "[]", RulebookReader.shipped(changed.rulebook()));
        } catch (FileProblem | RulebookProblem e) {
            throw new Refused(SettingWords.sentence(e.getMessage()));
        }
        return changed;
    }

    /** What of the list is keyed together at one site. */
    public Views.Keyed keyed() {
        JsonNode keyed = node.path("houseRules").path("keyedTogether");
        if (keyed.isArray()) {
            return new Views.Keyed(
                    Keying.How.BASES,
                    java.util.stream.StreamSupport.stream(keyed.spliterator(), false)
                            .map(base -> new Views.KeyedBase(
                                    base.path("name").asString(""),
                                    java.util.stream.StreamSupport.stream(
                                                    base.path("numbers").spliterator(), false)
                                            .map(each -> each.asString(""))
                                            .toList()))
                            .toList());
        }
        return new Views.Keyed(
                keyed.isString() ? Keying.How.TEAMS : keyed.asBoolean(false) ? Keying.How.ALL : Keying.How.NONE,
                List.of());
    }

    /** The same context with something else keyed together. */
    Context with(Views.Keyed keyed) {
        ObjectNode copy = node.deepCopy();
        ObjectNode house = copy.withObject("/houseRules");
        switch (keyed.how()) {
            case NONE -> house.remove("keyedTogether");
            case ALL -> house.put("keyedTogether", true);
            case TEAMS -> house.put("keyedTogether", "zones");
            case BASES -> {
                ArrayNode bases = house.putArray("keyedTogether");
                keyed.bases().forEach(base -> {
                    ArrayNode numbers =
                            bases.addObject().put("name", base.name().strip()).putArray("numbers");
                    base.numbers().forEach(numbers::add);
                });
            }
        }
        return new Context(copy);
    }

    private static void put(ObjectNode to, String key, Optional<?> value) {
        if (value.isEmpty()) {
            to.remove(key);
        } else if (value.get() instanceof Integer number) {
            to.put(key, number);
        } else {
            to.put(key, value.get().toString());
        }
    }

    /** Where it is used, its antenna, its house rules. */
    public Views.Settings settings() {
        JsonNode site = node.path("site");
        JsonNode house = node.path("houseRules");
        boolean placed = site.hasNonNull("latitude") || site.hasNonNull("region");
        return new Views.Settings(
                placed ? Optional.of(PapersJson.area(site)) : Optional.empty(),
                PapersJson.number(site, "antennaGainDbd"),
                PapersJson.number(site, "feedLossDb"),
                PapersJson.text(house, "directTones"),
                whole(house, "maxTimeoutS"),
                whole(house, "twoMetreRasterKhz"),
                whole(node, "unitsInUse"),
                PapersJson.number(site, "antennaHeightM"),
                Optional.of(rulebook()));
    }

    private static Optional<Integer> whole(JsonNode node, String key) {
        return PapersJson.number(node, key).map(Double::intValue);
    }

    /** The carriers named with the list itself. */
    List<Views.Carrier> carriers() {
        return java.util.stream.StreamSupport.stream(node.path("holders").spliterator(), false)
                .map(holder -> new Views.Carrier(
                        holder.path("name").asString(""), PapersJson.licences(holder.path("licences"))))
                .toList();
    }
}
