package org.wache.server.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.server.accounts.Account;
import org.wache.server.radios.DeclaredHow;
import org.wache.server.releases.Hands;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** What was really done with a radio that is not on a cable of ours. */
@RestController
class DeclareController {

    private static final int LARGEST_FILE = 8 * 1024 * 1024;
    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_NOTE = 500;
    private static final int MOST_MEMORY = 99_999;
    private static final JsonMapper JSON = Json.MAPPER;

    private final DeclareService service;
    private final DeclareStore store;

    DeclareController(DeclareService service, DeclareStore store) {
        this.service = service;
        this.store = store;
    }

    /** The list whose release is in the radio, and how the radio is meant to be loaded. */
    record ShouldFor(long list, @NotNull @Valid BenchController.UnitOrder order) {}

    /**
     * What should be in a radio, by memory; open when somebody has to decide first what happens to what they may not key, blocked
     * why it is not to be loaded at all.
     */
    record HoldPlan(
            long list,
            long release,
            int number,
            String name,
            @Schema(nullable = true) String person,
            boolean open,
            List<BenchController.StaysOut> notTheirs,
            List<BenchController.StaysOut> leftOut,
            @Schema(nullable = true) String blocked,
            List<ShouldEntry> entries,
            @Schema(nullable = true) String profile,
            List<ShouldSet> settings) {}

    /** A setting as it should be in the radio, and what else it could be. */
    record ShouldSet(String id, String label, String title, String value, String unit, List<String> values) {}

    /** An entry as it should be in the radio. */
    record ShouldEntry(
            String memory,
            String name,
            String hears,
            String talks,
            String sends,
            String opensOn,
            String mode,
            String power) {}

    /** An entry that was looked at in the radio. */
    record CheckedEntry(@NotNull @Size(max = 10) String memory, boolean good, @NotNull @Size(max = 500) String note) {}

    /** That it is in the radio: which release, typed by hand or loaded elsewhere, which entries were looked at, and how settings were found. */
    record Declare(
            long list,
            long release,
            @NotNull @Valid BenchController.UnitOrder order,
            @NotNull DeclaredHow how,
            @NotNull @Size(max = LONGEST_NOTE) String note,
            @NotNull @Size(max = 5_000) List<@NotNull @Valid CheckedEntry> checked,
            @Size(max = 100) @Schema(nullable = true) Map<@NotNull String, @NotNull String> settings) {}

    /** The key of what was declared. */
    record DeclaredLoad(long id) {}

    /** What was declared of a radio, with the files that show it. */
    record DeclaredView(
            long id,
            String name,
            @Schema(nullable = true) Integer release,
            DeclaredHow how,
            String note,
            int entries,
            OffsetDateTime at,
            String by,
            List<CheckedEntry> checked,
            List<AttachedFile> files) {}

    /** A photograph, or a file of the radio's own program with what differs in it, when it could be read. */
    record AttachedFile(
            long id,
            String name,
            boolean picture,
            OffsetDateTime at,
            String by,
            @Schema(nullable = true) DeclareService.ExportCompared compared) {}

    /** Something that was tried on a real radio: kind is key, repeater, pair, lock or limits. */
    record TriedByHand(
            @NotNull AirCheckKind kind,
            @Schema(nullable = true) Long other,
            @Min(0) @Max(MOST_MEMORY) int memory,
            @OneLine @NotNull @Size(max = LONGEST_NAME) String name,
            boolean good,
            @NotNull @Size(max = LONGEST_NOTE) String note) {}

    @PostMapping("/api/units/{unit}/should-hold")
    HoldPlan should(Account asking, @PathVariable long unit, @Valid @RequestBody ShouldFor wanted) {
        DeclareService.Should should = service.should(asking.id(), wanted.list(), order(unit, wanted.order()));
        UnitPlans.Planned planned = should.unit().planned();
        return new HoldPlan(
                wanted.list(),
                should.plan().chosen().release().id(),
                should.plan().chosen().release().number(),
                planned.part().isEmpty() ? should.plan().chosen().name() : planned.part(),
                planned.person().map(Hands.Person::name).orElse(null),
                planned.isOpen(),
                BenchController.staysOut(planned.notTheirs()),
                BenchController.staysOut(planned.leftOut()),
                should.unit().blocked(),
                should.channels().stream().map(DeclareController::entry).toList(),
                planned.profile().orElse(null),
                should.model().otherSettings().stream()
                        .filter(each -> planned.settings().containsKey(each.id()))
                        .map(each -> new ShouldSet(
                                each.id(),
                                each.label(),
                                each.title(),
                                planned.settings().get(each.id()),
                                each.unit(),
                                each.values()))
                        .toList());
    }

    private static ShouldEntry entry(Channel channel) {
        return new ShouldEntry(
                channel.number(),
                channel.name(),
                channel.text(Field.RX_MHZ),
                channel.text(Field.TX_MHZ),
                channel.text(Field.TX_TONE),
                channel.text(Field.RX_TONE),
                channel.text(Field.MODE),
                channel.text(Field.POWER_W));
    }

    private static Order order(long unit, BenchController.UnitOrder order) {
        if (order.unit() != unit) {
            throw new Refused("The order is for another radio.");
        }
        return order.order();
    }

    @PostMapping("/api/units/{unit}/declarations")
    @ResponseStatus(HttpStatus.CREATED)
    DeclaredLoad declare(Account asking, @PathVariable long unit, @Valid @RequestBody Declare said) {
        return new DeclaredLoad(service.declare(
                asking.id(),
                said.list(),
                said.release(),
                order(unit, said.order()),
                said.how(),
                said.note().strip(),
                said.checked().stream()
                        .map(each -> new DeclareService.Checked(each.memory(), each.good(), each.note()))
                        .toList(),
                Optional.ofNullable(said.settings()).orElse(Map.of())));
    }

    @GetMapping("/api/units/{unit}/declarations")
    List<DeclaredView> declared(@PathVariable long unit) {
        List<DeclareStore.Attached> files = store.filesOf(unit);
        return store.of(unit).stream()
                .map(each -> new DeclaredView(
                        each.id(),
                        each.name(),
                        each.release(),
                        each.how(),
                        each.note(),
                        each.entries(),
                        each.at(),
                        each.by(),
                        checked(each.checked()),
                        files.stream()
                                .filter(file -> file.load() == each.id())
                                .map(DeclareController::file)
                                .toList()))
                .toList();
    }

    private static List<CheckedEntry> checked(String json) {
        return JSON.readTree(json)
                .valueStream()
                .map(each -> new CheckedEntry(
                        each.path("number").asString(""),
                        each.path("good").asBoolean(),
                        each.path("note").asString("")))
                .toList();
    }

    private static AttachedFile file(DeclareStore.Attached file) {
        return new AttachedFile(
                file.id(),
                file.name(),
                file.media().startsWith("image/"),
                file.at(),
                file.by(),
                file.compared() == null ? null : JSON.readValue(file.compared(), DeclareService.ExportCompared.class));
    }

    /** A photograph of the radio, or what its own program gave out. */
    @PostMapping(
            path = "/api/units/{unit}/declarations/{load}/files",
            consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    AttachedFile attach(
            Account asking,
            HttpServletRequest request,
            @PathVariable long unit,
            @PathVariable long load,
            @RequestParam String name,
            InputStream body)
            throws IOException {
        if (request.getContentLengthLong() > LARGEST_FILE) {
            throw new Refused("A file has up to 8 MB. Make the photograph smaller.");
        }
        byte[] bytes = body.readNBytes(LARGEST_FILE + 1);
        if (bytes.length > LARGEST_FILE) {
            throw new Refused("A file has up to 8 MB. Make the photograph smaller.");
        }
        if (bytes.length == 0) {
            throw new Refused("The file is empty.");
        }
        String plain =
                name.replaceAll("[\\p{Cntrl}\\p{Cf}\\p{Zl}\\p{Zp}/\\\\]", " ").strip();
        String kept = plain.isEmpty() ? "file" : plain.substring(0, Math.min(plain.length(), LONGEST_NAME));
        long file = service.attach(asking.id(), unit, load, kept, bytes);
        return store.filesOf(unit).stream()
                .filter(each -> each.id() == file)
                .findFirst()
                .map(DeclareController::file)
                .orElseThrow(() -> new Missing("The file"));
    }

    /** A file as it came; a browser shows only pictures, and takes everything else as a file to keep. */
    @GetMapping("/api/units/{unit}/files/{file}")
    ResponseEntity<byte[]> file(@PathVariable long unit, @PathVariable long file) {
        DeclareStore.Content content = store.content(unit, file).orElseThrow(() -> new Missing("The file"));
        return ResponseEntity.ok()
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(content.name(), java.nio.charset.StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .header("X-Content-Type-Options", "nosniff")
                .contentType(MediaType.parseMediaType(content.media()))
                .body(content.bytes());
    }

    /** A key tried, a repeater answered, a pair heard, a lock held, out of its limits silent. */
    @PostMapping("/api/units/{unit}/ticks")
    @ResponseStatus(HttpStatus.CREATED)
    void tick(Account asking, @PathVariable long unit, @Valid @RequestBody TriedByHand tried) {
        service.tick(
                asking.id(),
                unit,
                new DeclareService.Tick(
                        tried.kind(),
                        Optional.ofNullable(tried.other()),
                        tried.memory(),
                        tried.name(),
                        tried.good(),
                        tried.note().strip()));
    }
}
