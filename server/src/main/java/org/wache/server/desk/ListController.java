package org.wache.server.desk;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.Assumptions;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;
import org.wache.exchange.ListFiles;
import org.wache.exchange.ListLimits;
import org.wache.licence.Holder;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audited;
import org.wache.server.lists.Audits;
import org.wache.server.lists.ChangeKind;
import org.wache.server.lists.Conflicting;
import org.wache.server.lists.Context;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.HolderViews;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.prints.PaperSize;
import org.wache.server.sheets.ListWorkbook;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLine;
import org.wache.server.web.OneLineText;
import org.wache.server.web.Refused;
import org.wache.server.web.Unjudgeable;

/** Lists under audit. */
@RestController
public class ListController {

    private static final int LARGEST_FILE = 20 * 1024 * 1024;

    private final ListStore store;
    private final ListService service;
    private final Audits audits;

    ListController(ListStore store, ListService service, Audits audits) {
        this.store = store;
        this.service = service;
        this.audits = audits;
    }

    /** The key of a list that was made. */
    public record Made(long id, String name, int entries) {}

    /** A new name, and the one that it replaces; without it, whichever that is. */
    record Name(
            @Schema(nullable = true) Optional<@Size(max = 200) String> before,
            @OneLine @NotBlank @Size(max = 200) String name) {

        Name {
            before = before == null ? Optional.empty() : before;
        }
    }

    /** New carriers, and those that the change was begun on. */
    record Carriers(@NotNull @Valid Views.CarrierChoice before, @NotNull @Valid Views.CarrierChoice after) {}

    /** New settings, and those that the change was begun on. */
    record SettingsChange(@NotNull @Valid Views.Settings before, @NotNull @Valid Views.Settings after) {}

    /** A list that follows another, for these carriers. */
    record NewVariant(@OneLine @NotBlank @Size(max = 200) String name, @NotNull @Valid Views.CarrierChoice carriers) {}

    @GetMapping("/api/groups/{group}/lists")
    List<Views.ListSummary> lists(Account asking, @PathVariable long group) {
        long account = asking.id();
        return audits.summaries(service.sources(account, group));
    }

    /** Takes a list file, CSV or JSON, as the body of the request. */
    @PostMapping(path = "/api/groups/{group}/lists", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    Made take(Account asking, @PathVariable long group, @RequestParam String name, InputStream body)
            throws IOException {
        byte[] bytes = body.readNBytes(LARGEST_FILE + 1);
        if (bytes.length > LARGEST_FILE) {
            throw new Refused("A file has up to 20 MB. Split it.");
        }
        String plain = name.isBlank() ? "Untitled" : OneLineText.of(name.substring(0, Math.min(name.length(), 200)));
        ChannelList list = ListFiles.read(bytes, plain, ListLimits.KEPT);
        long id = service.add(asking.id(), group, list, service.initial(group));
        return new Made(id, list.name(), list.channels().size());
    }

    /** The list under audit, today or as of another day. */
    @GetMapping("/api/lists/{list}")
    Views.Desk desk(Account asking, @PathVariable long list, @RequestParam Optional<LocalDate> on) {
        long account = asking.id();
        try {
            return desk(service.seen(account, list, on.orElse(audits.today())));
        } catch (Unjudgeable problem) {
            return unjudged(service.source(account, list), on.orElse(audits.today()), problem.getMessage());
        }
    }

    /** The place and the house rules are there all the same, so that they can be mended. */
    private Views.Desk unjudged(Source source, LocalDate on, String why) {
        ListStore.Head head = source.head();
        Optional<ListStore.Head> parent = source.parent();
        return new Views.Desk(
                head.id(),
                head.clubId(),
                head.name(),
                version(source),
                audits.rules(head),
                on,
                audits.today(),
                audits.rulebook(source),
                "",
                service.choice(head),
                List.of(),
                Context.of(parent.map(ListStore.Head::context).orElse(head.context()))
                        .settings(),
                parent.map(each -> new Views.Parent(each.id(), each.name())).orElse(null),
                head.shelf(),
                new Views.Counts(0, 0, 0, 0),
                List.of(),
                head.extraColumns(),
                List.of(),
                why);
    }

    private Views.Desk desk(ListService.Seen seen) {
        ListStore.Head head = seen.head();
        Audit audit = seen.audited().audit();
        AuditContext context = audit.auditor().context();
        Optional<ListStore.Head> parent = seen.source().parent();
        return new Views.Desk(
                head.id(),
                head.clubId(),
                head.name(),
                version(seen.source()),
                audits.rules(head),
                context.on(),
                audits.today(),
                context.edition().rulebook(),
                context.edition().dates().id(),
                service.choice(head),
                context.holders().stream().map(ListController::carrier).toList(),
                Context.of(parent.map(ListStore.Head::context).orElse(head.context()))
                        .settings(),
                parent.map(each -> new Views.Parent(each.id(), each.name())).orElse(null),
                head.shelf(),
                DeskWriter.counts(audit),
                Assumptions.of(audit),
                head.extraColumns(),
                seen.audited().slips(),
                null);
    }

    /** A variant changes when it or its parent does. */
    private static int version(Source source) {
        return source.head().version()
                + source.parent().map(ListStore.Head::version).orElse(0);
    }

    private static Views.Carrier carrier(Holder holder) {
        return new Views.Carrier(
                holder.name(),
                holder.licences().stream().map(HolderViews::licence).toList());
    }

    @GetMapping("/api/lists/{list}/entries/{entry}")
    Views.Dossier dossier(
            Account asking, @PathVariable long list, @PathVariable long entry, @RequestParam Optional<LocalDate> on) {
        Audited audited =
                service.seen(asking.id(), list, on.orElse(audits.today())).audited();
        int position = position(audited, entry);
        return DeskWriter.dossier(audited.audit(), position, audited.stored().get(position));
    }

    private static int position(Audited audited, long entry) {
        int position = audited.position(entry);
        if (position < 0) {
            throw new Missing("The entry");
        }
        return position;
    }

    /** What an entry would come to with these fields: asked at each keystroke, changes nothing. */
    @PostMapping("/api/lists/{list}/entries/{entry}/trial")
    Views.Tried trial(
            Account asking, @PathVariable long list, @PathVariable long entry, @Valid @RequestBody Views.Trial trial) {
        Audited audited = service.seen(asking.id(), list).audited();
        int position = position(audited, entry);
        ListStore.Stored now = audited.stored().get(position);
        Channel typed = now.channel().with(ListService.fields(trial.fields()));
        Audit after = audited.audit().with(position, typed);
        Views.Dossier dossier =
                DeskWriter.dossier(after, position, new ListStore.Stored(now.id(), now.version(), typed));
        List<Views.Slip> others = IntStream.range(0, audited.stored().size())
                .filter(i -> i != position
                        && after.entry(i) != audited.audit().entry(i)
                        && after.entry(i).verdict() != audited.audit().entry(i).verdict())
                .mapToObj(i -> DeskWriter.slip(after, i, audited.stored().get(i)))
                .toList();
        return new Views.Tried(dossier, others, DeskWriter.counts(after));
    }

    @PostMapping("/api/lists/{list}/changes")
    @ApiResponse(responseCode = "200")
    @ApiResponse(
            responseCode = "409",
            description = "somebody else changed the same field; nothing was saved",
            content = @Content(mediaType = "application/json", schema = @Schema(implementation = Views.Conflict.class)))
    Views.Changed change(Account asking, @PathVariable long list, @Valid @RequestBody Views.Changes changes) {
        long account = asking.id();
        ListService.Seen old = service.seen(account, list);
        ListService.Outcome outcome = service.change(account, list, changes);
        if (!outcome.conflicts().isEmpty()) {
            throw new Conflicting(new Views.Conflict(
                    "Somebody else changed the same field",
                    "Nothing was saved. Choose which text to keep.",
                    HttpStatus.CONFLICT.value(),
                    old.head().version(),
                    outcome.conflicts()));
        }
        foresee(old, changes, account);
        ListService.Seen seen = service.seen(account, list);
        Map<Long, Views.Slip> before =
                old.audited().slips().stream().collect(Collectors.toMap(Views.Slip::id, Function.identity()));
        Audited now = seen.audited();
        List<Views.Slip> differing = now.slips().stream()
                .filter(slip -> !slip.equals(before.get(slip.id())))
                .toList();
        return new Views.Changed(
                seen.head().version(),
                DeskWriter.counts(now.audit()),
                now.stored().stream().map(ListStore.Stored::id).toList(),
                differing,
                outcome.added());
    }

    /** After plain edits the audit of the new version follows from the old one's, if nobody else changed anything. */
    private void foresee(ListService.Seen old, Views.Changes changes, long account) {
        ListStore.Head now = store.head(account, old.head().id()).orElseThrow(() -> new Missing("The list"));
        boolean edits = changes.order().isEmpty()
                && changes.changes().stream().allMatch(change -> change.kind() == ChangeKind.EDIT);
        boolean same = now.rosterVersion() == old.head().rosterVersion()
                && now.overlayVersion() == old.head().overlayVersion()
                && now.rulebooksVersion() == old.head().rulebooksVersion()
                && now.radios().equals(old.head().radios())
                && now.neighboursVersion() == old.head().neighboursVersion()
                && now.context().equals(old.head().context());
        if (!edits || !same || now.version() != old.head().version() + 1) {
            return;
        }
        Map<Long, Channel> channels = new HashMap<>();
        for (Views.Change change : changes.changes()) {
            int position = old.audited().position(change.entry().orElseThrow());
            if (position < 0) {
                return; // an entry that is out of the list was edited
            }
            long entry = old.audited().stored().get(position).id();
            Channel before = channels.getOrDefault(
                    entry, old.audited().stored().get(position).channel());
            channels.put(entry, before.with(ListService.fields(change.after())));
        }
        audits.keep(new Source(now, Optional.empty()), old.audited().edited(channels, now.version()));
    }

    @ExceptionHandler
    ResponseEntity<Views.Conflict> conflicting(Conflicting problem) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(problem.conflict());
    }

    @PutMapping("/api/lists/{list}/carriers")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setCarriers(Account asking, @PathVariable long list, @Valid @RequestBody Carriers carriers) {
        service.setCarriers(asking.id(), list, carriers.before(), carriers.after());
    }

    @PutMapping("/api/lists/{list}/settings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setSettings(Account asking, @PathVariable long list, @Valid @RequestBody SettingsChange change) {
        service.setSettings(asking.id(), list, change.before(), change.after());
    }

    /** Makes a variant: forbidden entries only listen, and it follows every change of this list. */
    @PostMapping("/api/lists/{list}/variants")
    @ResponseStatus(HttpStatus.CREATED)
    Made addVariant(Account asking, @PathVariable long list, @Valid @RequestBody NewVariant variant) {
        long account = asking.id();
        long id = service.addVariant(account, list, variant.name(), variant.carriers());
        return new Made(
                id, variant.name(), service.seen(account, id).audited().stored().size());
    }

    /** Those of a list's carriers who move to a variant of it: variant is one that there is, else a new one is made with the name. */
    record Moving(
            @NotEmpty @Size(max = 2_000) List<@NotNull @Size(max = 200) String> names,
            @Schema(nullable = true) Optional<Long> variant,
            @OneLine @NotBlank @Size(max = 200) String name) {

        Moving {
            variant = variant == null ? Optional.empty() : variant;
        }
    }

    /** Moves some who carry the list to a variant, in which what they may not key only listens. */
    @PostMapping("/api/lists/{list}/moved-carriers")
    @ResponseStatus(HttpStatus.CREATED)
    Made move(Account asking, @PathVariable long list, @Valid @RequestBody Moving moving) {
        long account = asking.id();
        long id = service.move(account, list, moving.names(), moving.variant(), moving.name());
        ListService.Seen made = service.seen(account, id);
        return new Made(id, made.head().name(), made.audited().stored().size());
    }

    /** Somebody has looked at what the edition in force changes in the list. */
    @PutMapping("/api/lists/{list}/edition-seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seenEdition(Account asking, @PathVariable long list) {
        service.seenEdition(asking.id(), list);
    }

    @PutMapping("/api/lists/{list}/name")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void rename(Account asking, @PathVariable long list, @Valid @RequestBody Name name) {
        service.rename(asking.id(), list, name.before(), name.name());
    }

    @GetMapping(path = "/api/lists/{list}/export.csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(Account asking, @PathVariable long list) {
        return file(asking, list, "csv", "text/csv;charset=UTF-8");
    }

    @GetMapping(path = "/api/lists/{list}/export.json", produces = "application/json")
    ResponseEntity<byte[]> json(Account asking, @PathVariable long list) {
        return file(asking, list, "json", "application/json");
    }

    @GetMapping(
            path = "/api/lists/{list}/export.xlsx",
            produces = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")
    ResponseEntity<byte[]> workbook(Account asking, @PathVariable long list) {
        return file(asking, list, "xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
    }

    /** The list on paper, with what the audit says of each entry. */
    @GetMapping(path = "/api/lists/{list}/export.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> paper(
            Account asking, @PathVariable long list, @RequestParam(defaultValue = "letter") PaperSize paper) {
        ListService.Seen seen = service.seen(asking.id(), list);
        return download(
                seen.head().name() + ".pdf",
                "application/pdf",
                PrintedList.write(
                        seen.head().name(), seen.audited().audit(), seen.head().version(), paper));
    }

    private ResponseEntity<byte[]> file(Account asking, long list, String ending, String type) {
        ListService.Seen seen = service.seen(asking.id(), list);
        ChannelList as = seen.audited().audit().list();
        ChannelList channels = new ChannelList(seen.head().name(), as.extraColumns(), as.channels());
        byte[] bytes =
                switch (ending) {
                    case "xlsx" -> ListWorkbook.write(channels);
                    case "csv" -> CsvLists.write(channels).getBytes(StandardCharsets.UTF_8);
                    default -> JsonLists.write(channels).getBytes(StandardCharsets.UTF_8);
                };
        return download(channels.name() + "." + ending, type, bytes);
    }

    private static ResponseEntity<byte[]> download(String name, String type, byte[] bytes) {
        ContentDisposition disposition = ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .contentType(MediaType.parseMediaType(type))
                .body(bytes);
    }
}
