package org.wache.server.log;

import de.siegmar.fastcsv.writer.CsvWriter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.exchange.Formula;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Json;
import org.wache.server.web.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The log, to look through and to take along. */
@RestController
class LogController {

    private static final int PAGE = 100;
    private static final int MOST = 50_000;
    private static final JsonMapper JSON = Json.MAPPER;

    private final LogStore store;

    LogController(LogStore store) {
        this.store = store;
    }

    /** Lines of the log, the newest first; older says where the next page begins. */
    record LogPage(List<LogLine> lines, @Schema(nullable = true) Long older, List<String> people) {}

    /** What was done; changes are the parts that differ. */
    record LogLine(
            long id,
            OffsetDateTime at,
            String who,
            Logbook.Kind kind,
            @Schema(nullable = true) Long subjectId,
            String subject,
            String what,
            List<LogChange> changes) {}

    /** A part of what was done to: its name, and its value before and after. */
    record LogChange(String part, String before, String after) {}

    @GetMapping("/api/groups/{group}/log")
    LogPage log(
            @PathVariable long group,
            @RequestParam Optional<Logbook.Kind> kind,
            @RequestParam Optional<String> who,
            @RequestParam Optional<Long> subject,
            @RequestParam Optional<LocalDate> from,
            @RequestParam Optional<LocalDate> to,
            @RequestParam Optional<String> text,
            @RequestParam Optional<Long> older) {
        return page(
                group, new LogStore.Sought(kind, said(who), subject, from, to, said(text), older), store.people(group));
    }

    /** What concerns the installation. */
    @GetMapping("/api/installation/log")
    LogPage installation(@RequestParam Optional<Long> older) {
        return page(
                null,
                new LogStore.Sought(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        older),
                List.of());
    }

    private LogPage page(Long group, LogStore.Sought sought, List<String> people) {
        List<LogStore.Line> lines = store.lines(group, sought, PAGE + 1);
        boolean more = lines.size() > PAGE;
        List<LogStore.Line> shown = more ? lines.subList(0, PAGE) : lines;
        return new LogPage(
                shown.stream().map(LogController::line).toList(),
                more ? shown.get(PAGE - 1).id() : null,
                people);
    }

    private static Optional<String> said(Optional<String> text) {
        text.filter(given -> given.indexOf('\0') >= 0).ifPresent(given -> {
            throw new Refused("What you look for holds control characters. Clean it.");
        });
        return text.map(String::strip).filter(given -> !given.isEmpty());
    }

    private static LogLine line(LogStore.Line line) {
        return new LogLine(
                line.id(),
                line.at(),
                line.who(),
                line.kind(),
                line.subjectId(),
                line.subject(),
                line.what(),
                changes(line.before(), line.after()));
    }

    private static List<LogChange> changes(String before, String after) {
        Map<String, String[]> parts = new TreeMap<>();
        flat("", before == null ? JSON.nullNode() : JSON.readTree(before), 0, parts);
        flat("", after == null ? JSON.nullNode() : JSON.readTree(after), 1, parts);
        return parts.entrySet().stream()
                .filter(each -> !each.getValue()[0].equals(each.getValue()[1]))
                .map(each -> new LogChange(each.getKey(), each.getValue()[0], each.getValue()[1]))
                .toList();
    }

    /** The values of a document by their paths; side 0 is before, 1 after. */
    private static void flat(String path, JsonNode node, int side, Map<String, String[]> into) {
        if (node.isObject()) {
            node.properties()
                    .forEach(each -> flat(
                            path.isEmpty() ? each.getKey() : path + " · " + each.getKey(),
                            each.getValue(),
                            side,
                            into));
        } else if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                flat(path + " " + (i + 1), node.get(i), side, into);
            }
        } else if (!node.isNull() && !node.asString("").isEmpty()) {
            into.computeIfAbsent(path.strip(), any -> new String[] {"", ""})[side] = node.asString("");
        }
    }

    /** The log as a table. */
    @GetMapping(path = "/api/groups/{group}/log.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@PathVariable long group) {
        StringWriter text = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(text)) {
            csv.writeRecord("when", "who", "kind", "subject", "what", "before", "after");
            List<LogStore.Line> lines = store.lines(
                    group,
                    new LogStore.Sought(
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty()),
                    MOST);
            for (LogStore.Line line : lines) {
                csv.writeRecord(
                        line.at().toString(),
                        Formula.harmless(line.who()),
                        EnumWords.of(line.kind()),
                        Formula.harmless(line.subject()),
                        Formula.harmless(line.what()),
                        line.before() == null ? "" : line.before(),
                        line.after() == null ? "" : line.after());
            }
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return ResponseEntity.ok()
                .header("Content-Disposition", "attachment; filename=\"log.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(text.toString().getBytes(StandardCharsets.UTF_8));
    }
}
