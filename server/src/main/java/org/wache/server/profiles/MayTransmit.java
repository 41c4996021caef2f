package org.wache.server.profiles;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.reference.Keyable;
import org.wache.rulebook.Edition;
import org.wache.server.papers.PapersJson;
import org.wache.server.web.Json;
import org.wache.signal.Span;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Whether somebody of a roster may key anything within a band with a radio of a model; worked out once for all who hold the same. */
@Component
class MayTransmit {

    private static final int KEPT = 5_000;
    private static final JsonMapper JSON = Json.MAPPER;

    private final Cache<List<Object>, Boolean> known =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /** @param licences in the form of a context file */
    boolean in(Edition edition, LocalDate on, String licences, RadioModel model, Span band) {
        JsonNode held = JSON.readTree(licences);
        List<Object> key = List.of(
                edition.rulebook(), edition.dates().id(), edition.additions(), on, alike(held, on), model, band);
        return known.get(key, any -> {
            ObjectNode context = JSON.createObjectNode().put("format", "wache-context/1");
            context.putArray("holders")
                    .addObject()
                    .put("name", "one")
                    .set("licences", PapersJson.write(PapersJson.licences(held)));
            ContextFile file = ContextFile.read(JSON.writeValueAsBytes(context));
            AuditContext under = file.under(edition, on, file.holders()).forRadios(List.of(Radio.of(model)));
            return Keyable.in(Register.ALL, under, band);
        });
    }

    /** Two who hold the same may key the same, whatever their call signs are and however long it lasts. */
    private static List<String> alike(JsonNode licences, LocalDate on) {
        return licences.valueStream()
                .map(each -> each.path("service").asString("") + " "
                        + each.path("class").asString("") + " "
                        + (each.hasNonNull("expires")
                                && each.path("expires").asString("").compareTo(on.toString()) < 0)
                        + (each.hasNonNull("granted")
                                && each.path("granted").asString("").compareTo(on.toString()) > 0)
                        + " " + each.path("lines"))
                .sorted()
                .toList();
    }
}
