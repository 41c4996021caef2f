package org.wache.exchange;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.wache.audit.Audit;
import org.wache.audit.Authority;
import org.wache.audit.EntryAudit;
import org.wache.audit.Told;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.licence.Holder;
import org.wache.signal.Frequency;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.util.MinimalPrettyPrinter;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The result of an audit as JSON of the format {@code wache-audit/1}. */
public final class AuditReport {

    private AuditReport() {}

    /** So many entries are worked out together, each such part by one of the processor's cores. */
    private static final int PART = 64;
    /** So many parts are worked out ahead of what is written, for each core: a list of any length takes little room. */
    private static final int AHEAD = 4;

    private static final String BETWEEN = ",\n";

    /** The whole result, cures proved. */
    public static String write(Audit audit) {
        ByteArrayOutputStream text = new ByteArrayOutputStream();
        try {
            write(audit, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e); // memory takes everything
        }
        return text.toString(StandardCharsets.UTF_8);
    }

    /**
     * Writes the whole result in UTF-8, cures proved, as it is worked out: one entry to a line.
     *
     * @throws IOException when it cannot be written
     */
    public static void write(Audit audit, OutputStream out) throws IOException {
        String head = JsonText.MAPPER.writeValueAsString(head(audit));
        out.write((head.substring(0, head.length() - 1) + ",\n\"channels\":[\n").getBytes(StandardCharsets.UTF_8));
        int cores = Runtime.getRuntime().availableProcessors();
        ExecutorService workers = Executors.newFixedThreadPool(cores);
        try {
            Deque<Future<byte[]>> ahead = new ArrayDeque<>();
            int count = audit.entries().size();
            boolean first = true;
            for (int from = 0; from < count || !ahead.isEmpty(); from += PART) {
                if (from < count) {
                    int begin = from;
                    ahead.add(workers.submit(() -> part(audit, begin, Math.min(count, begin + PART))));
                }
                if (ahead.size() > AHEAD * cores || from + PART >= count) {
                    if (!first) {
                        out.write(BETWEEN.getBytes(StandardCharsets.UTF_8));
                    }
                    first = false;
                    out.write(done(ahead.remove()));
                }
            }
        } finally {
            workers.shutdownNow();
        }
        out.write("\n]}\n".getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] done(Future<byte[]> part) throws IOException {
        try {
            return part.get();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException problem) {
                throw problem;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException();
        }
    }

    private static byte[] part(Audit audit, int from, int to) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (JsonGenerator json =
                JsonText.MAPPER.writer().with(new MinimalPrettyPrinter(BETWEEN)).createGenerator(bytes)) {
            for (int i = from; i < to; i++) {
                channel(json, audit, i);
            }
        }
        return bytes.toByteArray();
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

    private static void channel(JsonGenerator json, Audit audit, int position) {
        EntryAudit entry = audit.entry(position);
        Channel channel = entry.channel();
        json.writeStartObject();
        json.writeStringProperty("number", channel.number());
        json.writeStringProperty("name", channel.name());
        hertz(json, "rxHz", channel.receive());
        hertz(json, "txHz", channel.transmit());
        text(json, "emission", channel.emission().map(Object::toString));
        if (channel.occupied().isPresent()) {
            json.writeObjectPropertyStart("occupied");
            json.writeNumberProperty("lowHz", channel.occupied().get().low());
            json.writeNumberProperty("highHz", channel.occupied().get().high());
            json.writeEndObject();
        } else {
            json.writeNullProperty("occupied");
        }
        json.writeStringProperty("verdict", entry.verdict().text());
        json.writeArrayPropertyStart("holders");
        List<Holder> holders = audit.auditor().context().holders();
        for (int h = 0; h < holders.size(); h++) {
            json.writeStartObject();
            json.writeStringProperty("name", holders.get(h).name());
            json.writeStringProperty(
                    "verdict", audit.judgement(position, h).verdict().text());
            authority(json, audit.authority(position, h));
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeArrayPropertyStart("findings");
        Remedies remedies = new Remedies(audit, position);
        for (Told told : Told.of(audit.auditor(), entry)) {
            finding(json, told, remedies);
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private static void hertz(JsonGenerator json, String name, Optional<Frequency> frequency) {
        if (frequency.isPresent()) {
            json.writeNumberProperty(name, frequency.get().hertz());
        } else {
            json.writeNullProperty(name);
        }
    }

    private static void text(JsonGenerator json, String name, Optional<String> text) {
        if (text.isPresent()) {
            json.writeStringProperty(name, text.get());
        } else {
            json.writeNullProperty(name);
        }
    }

    private static void texts(JsonGenerator json, String name, List<String> texts) {
        json.writeArrayPropertyStart(name);
        texts.forEach(json::writeString);
        json.writeEndArray();
    }

    private static void authority(JsonGenerator json, Optional<Authority> authority) {
        if (authority.isEmpty()) {
            json.writeNullProperty("authority");
            return;
        }
        Authority by = authority.get();
        json.writeObjectPropertyStart("authority");
        json.writeStringProperty("service", by.service());
        by.licenceClass().ifPresent(name -> json.writeStringProperty("class", name));
        json.writeStringProperty("segment", by.segment());
        by.callSign().ifPresent(call -> json.writeStringProperty("callSign", call));
        json.writeStringProperty("source", by.source());
        json.writeEndObject();
    }

    private static void finding(JsonGenerator json, Told told, Remedies remedies) {
        Finding finding = told.finding();
        json.writeStartObject();
        json.writeStringProperty("rule", finding.slug().text());
        json.writeStringProperty("severity", finding.holds() ? "hold" : "query");
        texts(json, "holders", told.holders());
        text(json, "radio", finding.radio());
        text(json, "service", finding.service());
        json.writeStringProperty("message", finding.message());
        json.writeStringProperty("working", finding.working().text());
        json.writeStringProperty("source", finding.source());
        json.writeArrayPropertyStart("remedies");
        for (ProvedRemedy remedy : remedies.of(finding)) {
            json.writeStartObject();
            json.writeStringProperty("label", remedy.change().label());
            json.writeObjectPropertyStart("changes");
            remedy.change().fields().forEach((field, text) -> json.writeStringProperty(field.key(), text));
            json.writeEndObject();
            json.writeStringProperty("verdictAfter", remedy.verdictAfter().text());
            if (!remedy.stillHeld().isEmpty()) {
                texts(json, "stillHeld", remedy.stillHeld());
            }
            json.writeEndObject();
        }
        json.writeEndArray();
        texts(json, "advice", finding.advice());
        json.writeEndObject();
    }
}
