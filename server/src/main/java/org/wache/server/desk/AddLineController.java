package org.wache.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.Views;
import org.wache.server.web.Refused;
import org.wache.typed.AddLine;
import org.wache.typed.Said;
import org.wache.typed.Understood;

/** What somebody types or pastes to add entries: what it is taken for, and what it would come to, before it is added. */
@RestController
class AddLineController {

    private static final int MOST_LINES = 500;

    private final ListService service;

    AddLineController(ListService service) {
        this.service = service;
    }

    /** Lines as people write them. */
    record Lines(@NotNull @Size(max = MOST_LINES) List<@NotNull String> lines) {}

    /**
     * What a line is taken for.
     *
     * @param fields the fields of the entry; empty when it is none
     * @param problem why it is none
     * @param verdict what the entry would come to in the list
     * @param reason why, when it is not clear
     * @param others what else the line could mean
     */
    record UnderstoodLine(
            String line,
            Map<String, String> fields,
            List<UnderstoodWord> said,
            @Schema(nullable = true) Optional<String> problem,
            @Schema(nullable = true) Optional<Verdict> verdict,
            String reason,
            List<OtherMeaning> others) {}

    /** Something that was understood, worked out, or taken because nothing was said of it. */
    record UnderstoodWord(String field, String words, String why, List<Views.SumLine> sum, boolean doubt) {}

    /** Another thing that the line could mean. */
    record OtherMeaning(String title, Map<String, String> fields) {}

    /**
     * Reads lines; blank ones are passed over, and several entries on one line are told one by one. Nothing is changed.
     *
     * @throws Refused when they are more entries than are read at once: none of them is passed over in silence
     */
    @PostMapping("/api/lists/{list}/understood")
    List<UnderstoodLine> understood(Account asking, @PathVariable long list, @Valid @RequestBody Lines lines) {
        Audit audit = service.seen(asking.id(), list).audited().audit();
        AuditContext context = audit.auditor().context();
        List<UnderstoodLine> all = new ArrayList<>();
        for (String line : entries(lines.lines(), context.edition())) {
            AddLine.Meaning meaning = AddLine.read(line, context.edition(), context.houseRules());
            Optional<Channel> channel = meaning.best().channel();
            if (channel.isPresent()) {
                audit = audit.plus(channel.get()); // so that a line that says the same as one above it is seen
            }
            Optional<EntryAudit> judged = channel.isPresent()
                    ? Optional.of(audit.entry(audit.list().channels().size() - 1))
                    : Optional.empty();
            Finding worst = judged.map(DeskWriter::worst).orElse(null);
            all.add(new UnderstoodLine(
                    line,
                    fields(meaning.best()),
                    meaning.best().said().stream().map(AddLineController::word).toList(),
                    meaning.best().problem(),
                    judged.map(each -> each.verdict()),
                    worst == null ? "" : worst.message(),
                    meaning.others().stream()
                            .map(other -> new OtherMeaning(other.fields().get(Field.NAME), fields(other)))
                            .toList()));
        }
        return all;
    }

    private static List<String> entries(List<String> lines, Edition edition) {
        List<String> parts = lines.stream()
                .flatMap(line -> AddLine.parts(line, edition).stream())
                .limit(MOST_LINES + 1)
                .toList();
        if (parts.size() > MOST_LINES) {
            throw new Refused(
                    "Up to " + MOST_LINES + " entries are read at once. Write fewer, or bring them in as a table.");
        }
        return parts.isEmpty() ? lines.stream().limit(1).toList() : parts;
    }

    private static UnderstoodWord word(Said said) {
        return new UnderstoodWord(
                said.field().key(), said.words(), said.why(), DeskWriter.sum(said.sum()), said.doubt());
    }

    private static Map<String, String> fields(Understood understood) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Field field : Field.values()) {
            String text = understood.fields().getOrDefault(field, "");
            if (!text.isEmpty()) {
                fields.put(field.key(), text);
            }
        }
        return fields;
    }
}
