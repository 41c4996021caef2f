package org.wache.server.intake;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.arrival.Arrival;
import org.wache.channel.Field;
import org.wache.server.accounts.Account;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import org.wache.table.Column;
import org.wache.table.Mapping;
import org.wache.table.Table;
import org.wache.table.TableReading;
import org.wache.typed.Said;
import org.wache.typed.WrittenPower;

/** Files and pasted text on their way to becoming a list. */
@RestController
class IntakeController {

    private static final int LARGEST_FILE = 20 * 1024 * 1024;
    private static final int PAGE = 200;
    private static final int SAMPLES = 3;
    private static final int LONGEST_NAME = 200;
    private static final int MOST_LINES = 500;
    private static final int LONGEST_LINE = 2_000;

    private final IntakeService service;

    IntakeController(IntakeService service) {
        this.service = service;
    }

    /**
     * A file that was brought in.
     *
     * @param list whether it is a list in Wache's own format, which needs no choice of columns
     * @param entries how many entries the list has
     * @param sheets its tables
     * @param kinds what a column may be taken for
     * @param lastTeam the team that carries the group's newest list
     */
    record BroughtIn(
            long id,
            long groupId,
            String name,
            boolean list,
            int entries,
            List<SheetName> sheets,
            List<KindChoice> kinds,
            @Schema(nullable = true) Optional<String> lastTeam) {}

    record SheetName(String name, int rows) {}

    /** What a column may be taken for. */
    record KindChoice(Column.Kind id, String title) {}

    /** How a table is to be read, for whom, and which of its rows are to be shown: all, aside or doubt. */
    record ReadingRequest(
            @NotNull String sheet,
            @Schema(nullable = true) Optional<Mappings.@Valid TableMapping> mapping,
            @NotNull String show,
            int from,
            @Schema(nullable = true) Optional<Long> into,
            @Schema(nullable = true) Optional<@Size(max = LONGEST_NAME) String> team) {

        ReadingRequest {
            into = into == null ? Optional.empty() : into;
            team = team == null ? Optional.empty() : team;
        }
    }

    /**
     * A table as it is read.
     *
     * @param remembered whether the mapping is the one that the group last used
     * @param levels the power levels that are named in it
     * @param matching how many rows there are of the kind asked for
     */
    record ReadTable(
            String sheet,
            Mappings.TableMapping mapping,
            boolean remembered,
            List<ReadColumn> columns,
            List<String> levels,
            int rows,
            int entries,
            int aside,
            int doubts,
            int matching,
            List<ReadRow> shown) {}

    record ReadColumn(String heading, List<String> samples) {}

    /** A row, and what it becomes: the fields of an entry, or why it is kept aside; a remark has no figures that were meant as an entry. */
    record ReadRow(
            int line,
            List<String> cells,
            Map<String, String> entry,
            List<SaidLine> said,
            @Schema(nullable = true) Optional<String> aside,
            boolean remark) {}

    /** What was understood, worked out or taken of a field. */
    record SaidLine(String field, String line, boolean doubt) {}

    /** What to make of it: a list of this name that a team carries or nobody yet, or more entries of a list. */
    record TakeRequest(
            @OneLine @NotBlank @Size(max = LONGEST_NAME) String name,
            @NotNull String sheet,
            @Schema(nullable = true) Optional<Mappings.@Valid TableMapping> mapping,
            @Schema(nullable = true) Optional<Long> into,
            @Schema(nullable = true) Optional<@Size(max = LONGEST_NAME) String> team) {

        TakeRequest {
            team = team == null ? Optional.empty() : team;
        }
    }

    /** A list that was made of a file, or added to. */
    record TakenIn(long id, String name, int entries, int aside) {}

    /** A row that made no entry. */
    record AsideRow(long id, String source, int line, List<String> cells, String reason) {}

    /** Lines as they were written. */
    record Unmade(@NotNull @Size(max = MOST_LINES) List<@NotNull @Size(max = LONGEST_LINE) String> lines) {}

    /** Rows that are done with. */
    record Settled(@NotNull List<@NotNull Long> rows) {}

    @PostMapping(path = "/api/groups/{group}/intakes", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    BroughtIn bring(
            Account asking,
            HttpServletRequest request,
            @PathVariable long group,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String encoding,
            InputStream body)
            throws IOException {
        long account = asking.id();
        if (request.getContentLengthLong() > LARGEST_FILE) {
            throw new Refused("The file has " + request.getContentLengthLong() / 1024 / 1024
                    + " MB; up to 20 MB are taken. Split it.");
        }
        byte[] bytes = body.readNBytes(LARGEST_FILE + 1);
        if (bytes.length > LARGEST_FILE) {
            throw new Refused("A file has up to 20 MB. Split it.");
        }
        String plain = plain(name);
        IntakeStore.Kept kept = service.keep(account, group, plain, Arrival.read(bytes, plain, encoding));
        return broughtIn(kept);
    }

    /** What was brought in and is not yet a list. */
    @GetMapping("/api/intakes/{intake}")
    BroughtIn broughtIn(Account asking, @PathVariable long intake) {
        return broughtIn(service.kept(asking.id(), intake));
    }

    private BroughtIn broughtIn(IntakeStore.Kept kept) {
        return new BroughtIn(
                kept.id(),
                kept.club(),
                kept.arrival().list().map(list -> list.name()).orElse(kept.name()),
                kept.arrival().list().isPresent(),
                kept.arrival().list().map(list -> list.channels().size()).orElse(0),
                kept.arrival().sheets().stream()
                        .map(sheet ->
                                new SheetName(sheet.name(), sheet.table().rows().size()))
                        .toList(),
                Arrays.stream(Column.Kind.values())
                        .map(kind -> new KindChoice(kind, kind.title()))
                        .toList(),
                service.lastTeam(kept.club()));
    }

    private static String plain(String name) {
        String bare = name.replaceFirst("(?i)\\.(csv|tsv|txt|xlsx?|ods|html?|json)$", "")
                .replaceAll("[\\p{Cntrl}\\p{Cf}\\p{Zl}\\p{Zp}]", " ")
                .strip();
        return bare.isEmpty() ? "Untitled" : bare.substring(0, Math.min(bare.length(), LONGEST_NAME));
    }

    @PostMapping("/api/intakes/{intake}/reading")
    ReadTable read(Account asking, @PathVariable long intake, @Valid @RequestBody ReadingRequest request) {
        long account = asking.id();
        IntakeService.Looked looked = service.lookFor(
                account,
                service.kept(account, intake),
                request.sheet(),
                request.mapping(),
                new IntakeService.Destination(request.into(), request.team()));
        List<TableReading.RowReading> rows = looked.reading().rows();
        List<TableReading.RowReading> matching = rows.stream()
                .filter(row -> switch (request.show()) {
                    case "aside" -> row.aside().isPresent();
                    case "doubt" ->
                        row.entry().isPresent() && row.said().stream().anyMatch(Said::doubt);
                    default -> true;
                })
                .toList();
        int from = Math.min(Math.max(request.from(), 0), matching.size());
        return new ReadTable(
                looked.sheet().name(),
                Mappings.view(looked.mapping()),
                looked.remembered(),
                columns(looked),
                levels(looked),
                rows.size(),
                (int) looked.reading().entries(),
                looked.reading().aside().size(),
                (int) rows.stream()
                        .filter(row ->
                                row.entry().isPresent() && row.said().stream().anyMatch(Said::doubt))
                        .count(),
                matching.size(),
                matching.subList(from, Math.min(from + PAGE, matching.size())).stream()
                        .map(IntakeController::row)
                        .toList());
    }

    private static List<ReadColumn> columns(IntakeService.Looked looked) {
        Table table = looked.sheet().table();
        Mapping mapping = looked.mapping();
        List<ReadColumn> columns = new ArrayList<>();
        for (int i = 0; i < table.width(); i++) {
            int column = i;
            columns.add(new ReadColumn(
                    mapping.heading()
                            .map(row -> table.rows().get(row).cell(column))
                            .orElse(""),
                    table.rows().stream()
                            .skip(mapping.first())
                            .map(row -> row.cell(column))
                            .filter(cell -> !cell.isEmpty())
                            .distinct()
                            .limit(SAMPLES)
                            .toList()));
        }
        return columns;
    }

    private static List<String> levels(IntakeService.Looked looked) {
        TreeSet<WrittenPower.Level> levels = new TreeSet<>();
        List<Column> columns = looked.mapping().columns();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).kind() == Column.Kind.POWER) {
                int column = i;
                looked.sheet().table().rows().stream()
                        .skip(looked.mapping().first())
                        .map(row -> row.cell(column))
                        .distinct()
                        .forEach(cell -> WrittenPower.read(cell)
                                .flatMap(WrittenPower::level)
                                .ifPresent(levels::add));
            }
        }
        return levels.stream().map(Mappings::word).toList();
    }

    private static ReadRow row(TableReading.RowReading row) {
        Map<String, String> fields = new TreeMap<>();
        row.entry().ifPresent(entry -> {
            for (Field field : Field.values()) {
                if (!entry.text(field).isEmpty()) {
                    fields.put(field.key(), entry.text(field));
                }
            }
        });
        return new ReadRow(
                row.line(),
                row.cells(),
                fields,
                row.said().stream()
                        .map(said -> new SaidLine(said.field().key(), said.line(), said.doubt()))
                        .toList(),
                row.aside(),
                row.isRemark());
    }

    /** Makes a list of it. */
    @PostMapping("/api/intakes/{intake}/list")
    @ResponseStatus(HttpStatus.CREATED)
    TakenIn take(Account asking, @PathVariable long intake, @Valid @RequestBody TakeRequest request) {
        IntakeService.Taken taken = service.take(
                asking.id(),
                intake,
                request.name().strip(),
                request.sheet(),
                request.mapping(),
                new IntakeService.Destination(request.into(), request.team()));
        return new TakenIn(taken.list(), taken.name(), taken.entries(), taken.aside());
    }

    /** The rows that made no entry. */
    @GetMapping("/api/lists/{list}/aside")
    List<AsideRow> aside(Account asking, @PathVariable long list) {
        return service.aside(asking.id(), list).stream()
                .map(row -> new AsideRow(row.id(), row.source(), row.line(), row.cells(), row.reason()))
                .toList();
    }

    /** Lines of which no entry could be made are kept beside the list. */
    @PostMapping("/api/lists/{list}/aside")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepAside(Account asking, @PathVariable long list, @Valid @RequestBody Unmade unmade) {
        service.keepLines(asking.id(), list, unmade.lines());
    }

    /** Rows of which somebody made entries, or that nobody needs. */
    @PostMapping("/api/lists/{list}/aside/settled")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void settle(Account asking, @PathVariable long list, @Valid @RequestBody Settled settled) {
        service.settle(asking.id(), list, settled.rows());
    }
}
