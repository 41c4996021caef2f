package org.wache.exchange;

import java.io.StringWriter;
import java.io.Writer;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.Authority;
import org.wache.audit.EntryAudit;
import org.wache.audit.Told;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.channel.Channel;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The result of an audit as JSON of the format {@code wache-audit/1}. */
public final class AuditReport {

    private AuditReport() {}

    /** So many entries are worked out at once and written before the next: a list of any length takes little room. */
    private static final int AT_ONCE = 512;
    /** From so many entries on, the processor's cores share the proving of cures. */
    private static final int WORTH_SHARING = 64;

    /** The whole result, cures proved. */
    public static String write(Audit audit) {
        StringWriter text = new StringWriter();
        write(audit, text);
        return text.toString();
    }

    /** Writes the whole result, cures proved, as it is worked out. */
    public static void write(Audit audit, Writer out) {
        try (JsonGenerator json = JsonText.MAPPER
                .writerWithDefaultPrettyPrinter()
                .without(StreamWriteFeature.AUTO_CLOSE_TARGET)
                .createGenerator(out)) {
            json.writeStartObject();
            for (Map.Entry<String, JsonNode> each : head(audit).properties()) {
                json.writeName(each.getKey());
                json.writeTree(each.getValue());
            }
            json.writeName("channels");
            json.writeStartArray();
            int count = audit.entries().size();
            for (int from = 0; from < count; from += AT_ONCE) {
                IntStream positions = IntStream.range(from, Math.min(count, from + AT_ONCE));
                List<ObjectNode> channels = (count < WORTH_SHARING ? positions : positions.parallel())
                        .mapToObj(i -> channel(audit, i))
                        .toList();
                channels.forEach(json::writeTree);
            }
            json.writeEndArray();
            json.writeEndObject();
            json.writeRaw("\n");
        }
    }

    private static ObjectNode head(Audit audit) {
        ObjectNode root = JsonText.MAPPER.createObjectNode();
        AuditContext context = audit.auditor().context();
        root.put("format", "wache-audit/1");
        root.putObject("rulebook")
                .put("id", context.edition().rulebook())
                .put("edition", context.edition().dates().id());
        root.put("on", context.on().toString());
        ArrayNode assumptions = root.putArray("assumptions");
        Assumptions.of(audit).forEach(assumptions::add);
        Map<Verdict, Integer> counts = audit.counts();
        root.putObject("summary")
                .put("channels", audit.entries().size())
                .put("hold", counts.get(Verdict.HOLD))
                .put("query", counts.get(Verdict.QUERY))
                .put("listen", counts.get(Verdict.LISTEN))
                .put("clear", counts.get(Verdict.CLEAR));
        return root;
    }

    private static ObjectNode channel(Audit audit, int position) {
        ObjectNode node = JsonText.MAPPER.createObjectNode();
        EntryAudit entry = audit.entry(position);
        Channel channel = entry.channel();
        node.put("number", channel.number()).put("name", channel.name());
        node.put("rxHz", channel.receive().map(f -> f.hertz()).orElse(null));
        node.put("txHz", channel.transmit().map(f -> f.hertz()).orElse(null));
        node.put("emission", channel.emission().map(Object::toString).orElse(null));
        if (channel.occupied().isPresent()) {
            node.putObject("occupied")
                    .put("lowHz", channel.occupied().get().low())
                    .put("highHz", channel.occupied().get().high());
        } else {
            node.putNull("occupied");
        }
        node.put("verdict", entry.verdict().text());
        ArrayNode holders = node.putArray("holders");
        for (int h = 0; h < audit.auditor().context().holders().size(); h++) {
            ObjectNode holder = holders.addObject()
                    .put("name", audit.auditor().context().holders().get(h).name())
                    .put("verdict", audit.judgement(position, h).verdict().text());
            authority(holder, audit.authority(position, h));
        }
        ArrayNode findings = node.putArray("findings");
        Remedies remedies = new Remedies(audit, position);
        Told.of(audit.auditor(), entry).forEach(told -> finding(findings.addObject(), told, remedies));
        return node;
    }

    private static void authority(ObjectNode holder, Optional<Authority> authority) {
        if (authority.isEmpty()) {
            holder.putNull("authority");
            return;
        }
        Authority by = authority.get();
        ObjectNode node = holder.putObject("authority").put("service", by.service());
        by.licenceClass().ifPresent(name -> node.put("class", name));
        node.put("segment", by.segment());
        by.callSign().ifPresent(call -> node.put("callSign", call));
        node.put("source", by.source());
    }

    private static void finding(ObjectNode node, Told told, Remedies remedies) {
        node.put("rule", told.finding().slug().text());
        node.put("severity", told.finding().holds() ? "hold" : "query");
        ArrayNode holders = node.putArray("holders");
        told.holders().forEach(holders::add);
        node.put("radio", told.finding().radio().orElse(null));
        node.put("service", told.finding().service().orElse(null));
        node.put("message", told.finding().message());
        node.put("working", told.finding().working().text());
        node.put("source", told.finding().source());
        ArrayNode cures = node.putArray("remedies");
        for (ProvedRemedy remedy : remedies.of(told.finding())) {
            ObjectNode cure = cures.addObject().put("label", remedy.change().label());
            ObjectNode changes = cure.putObject("changes");
            remedy.change().fields().forEach((field, text) -> changes.put(field.key(), text));
            cure.put("verdictAfter", remedy.verdictAfter().text());
            if (!remedy.stillHeld().isEmpty()) {
                remedy.stillHeld().forEach(cure.putArray("stillHeld")::add);
            }
        }
        ArrayNode advice = node.putArray("advice");
        told.finding().advice().forEach(advice::add);
    }
}
