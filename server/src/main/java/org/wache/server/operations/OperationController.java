package org.wache.server.operations;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.forms.NamedForms;
import org.wache.server.lists.RosterHolder;
import org.wache.server.prints.CardSize;
import org.wache.server.prints.ChannelCards;
import org.wache.server.prints.PaperSize;
import org.wache.server.reach.ReachViews;
import org.wache.server.reach.Reached;
import org.wache.server.releases.PrintedCards;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;
import org.wache.server.web.Unjudgeable;
import tools.jackson.databind.json.JsonMapper;

/** Operations of a group: who is on what, when, and the papers. */
@RestController
class OperationController {

    private static final JsonMapper JSON = Json.MAPPER;

    private final OperationStore store;
    private final Operations operations;
    private final PrintedCards cards;

    OperationController(OperationStore store, Operations operations, PrintedCards cards) {
        this.store = store;
        this.operations = operations;
        this.cards = cards;
    }

    /** What is to be kept, begun on a version. */
    record OperationChange(int version, @NotNull @Valid OperationForm form) {}

    /** The name and the beginning of a copy; its hours move along. */
    record OperationCopy(@OneLine @NotBlank @Size(max = 100) String name, @NotNull LocalDateTime from) {}

    @GetMapping("/api/groups/{group}/operations")
    List<OperationViews.OperationHead> all(Account asking, @PathVariable long group) {
        return store.all(group).stream()
                .map(each -> head(asking.id(), each, form(each)))
                .toList();
    }

    private OperationViews.OperationHead head(long account, NamedForms.Stored stored, OperationForm form) {
        boolean over = operations.isOver(form);
        List<OperationViews.OperationTrouble> troubles = over ? null : troubles(account, stored, form);
        return new OperationViews.OperationHead(
                stored.id(),
                stored.name(),
                form.place(),
                form.from(),
                form.until(),
                over,
                form.watches().stream()
                        .map(each -> each.who().team())
                        .filter(Objects::nonNull)
                        .distinct()
                        .toList(),
                troubles == null ? null : count(troubles, true),
                troubles == null ? null : count(troubles, false));
    }

    private List<OperationViews.OperationTrouble> troubles(long account, NamedForms.Stored stored, OperationForm form) {
        try {
            return operations.sheet(account, stored.club(), form).troubles();
        } catch (Refused | Unjudgeable problem) {
            return null; // its own page says so
        }
    }

    private static int count(List<OperationViews.OperationTrouble> troubles, boolean fails) {
        return (int) troubles.stream().filter(each -> each.fails() == fails).count();
    }

    private static OperationForm form(NamedForms.Stored stored) {
        return JSON.readValue(stored.body(), OperationForm.class);
    }

    private NamedForms.Stored one(long operation) {
        return store.one(operation).orElseThrow(() -> new Missing("The operation"));
    }

    @GetMapping("/api/operations/{operation}")
    OperationViews.OperationKept kept(Account asking, @PathVariable long operation) {
        NamedForms.Stored stored = one(operation);
        OperationForm form = form(stored);
        return new OperationViews.OperationKept(
                stored.id(),
                stored.version(),
                form,
                stored.changedBy(),
                stored.changedAt(),
                operations.sheet(asking.id(), stored.club(), form));
    }

    /** What comes of an operation as it is being filled in; nothing is kept. */
    @PostMapping("/api/groups/{group}/operations/sheet")
    OperationViews.OperationSheet sheet(
            Account asking, @PathVariable long group, @Valid @RequestBody OperationForm form) {
        form.check();
        return operations.sheet(asking.id(), group, form);
    }

    @PostMapping("/api/groups/{group}/operations")
    @ResponseStatus(HttpStatus.CREATED)
    OperationViews.OperationMade add(Account asking, @PathVariable long group, @Valid @RequestBody OperationForm form) {
        operations.check(asking.id(), group, form);
        return new OperationViews.OperationMade(store.add(asking.id(), group, form.name(), body(form)));
    }

    @PutMapping("/api/operations/{operation}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(Account asking, @PathVariable long operation, @Valid @RequestBody OperationChange change) {
        operations.check(asking.id(), one(operation).club(), change.form());
        store.change(asking.id(), operation, change.version(), change.form().name(), body(change.form()));
    }

    @DeleteMapping("/api/operations/{operation}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Account asking, @PathVariable long operation, @RequestParam int version) {
        store.remove(asking.id(), operation, version);
    }

    /** The same again on another day. */
    @PostMapping("/api/operations/{operation}/copy")
    @ResponseStatus(HttpStatus.CREATED)
    OperationViews.OperationMade copy(
            Account asking, @PathVariable long operation, @Valid @RequestBody OperationCopy copy) {
        NamedForms.Stored stored = one(operation);
        OperationForm form = form(stored).copied(copy.name(), copy.from());
        return new OperationViews.OperationMade(store.add(asking.id(), stored.club(), form.name(), body(form)));
    }

    private static String body(OperationForm form) {
        if (form.purpose().indexOf('\0') >= 0) {
            throw new Refused("The purpose holds control characters. Clean it.");
        }
        return JSON.writeValueAsString(form);
    }

    private Reached reached(Account asking, long operation) {
        NamedForms.Stored stored = one(operation);
        return operations
                .open(asking.id(), stored.club(), form(stored), true)
                .reached()
                .orElseThrow(() ->
                        new Refused("The operation has no list or nobody on it yet: who reaches whom is not known."));
    }

    @GetMapping("/api/operations/{operation}/reach")
    ReachViews.ReachTable reach(Account asking, @PathVariable long operation) {
        return reached(asking, operation).table(null, one(operation).name(), null, false);
    }

    @GetMapping("/api/operations/{operation}/reach/gap")
    ReachViews.ReachGap gap(
            Account asking, @PathVariable long operation, @RequestParam int from, @RequestParam int to) {
        return reached(asking, operation).gap(from, to);
    }

    /** The communications plan, with what is not settled and who has which radio. */
    @GetMapping(path = "/api/operations/{operation}/sheet.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> paper(
            Account asking, @PathVariable long operation, @RequestParam(defaultValue = "letter") PaperSize paper) {
        NamedForms.Stored stored = one(operation);
        OperationForm form = form(stored);
        return OperationPaper.answer(
                stored,
                "plan",
                OperationPaper.of(stored, form, operations.sheet(asking.id(), stored.club(), form), paper));
    }

    /** The cards of everybody who is on it, of what has gone out of its lists. */
    @GetMapping(path = "/api/operations/{operation}/cards.pdf", produces = "application/pdf")
    ResponseEntity<byte[]> cards(
            Account asking,
            HttpServletRequest request,
            @PathVariable long operation,
            @RequestParam(defaultValue = "wallet") CardSize size,
            @RequestParam(defaultValue = "letter") PaperSize paper) {
        NamedForms.Stored stored = one(operation);
        Operations.Opened opened = operations.open(asking.id(), stored.club(), form(stored), false);
        Set<Long> people = opened.people().stream().map(RosterHolder::party).collect(Collectors.toSet());
        List<ChannelCards.Card> all = new ArrayList<>();
        opened.sources()
                .forEach(source -> all.addAll(cards.ofList(
                        asking.id(), cards.base(request), source.head().id(), people::contains)));
        if (all.isEmpty()) {
            throw new Refused(
                    "There is no card to print yet: nobody of the operation carries a list of it that has gone out.");
        }
        return OperationPaper.answer(stored, "cards", ChannelCards.write(paper, size, all));
    }
}
