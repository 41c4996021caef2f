package org.wache.server.reach;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.reach.Concern;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Source;

/** Who reaches whom with a list: those who carry it, or everybody of the roster. */
@RestController
class ReachController {

    private final ListService service;
    private final Audits audits;
    private final Reaching reaching;

    ReachController(ListService service, Audits audits, Reaching reaching) {
        this.service = service;
        this.audits = audits;
        this.reaching = reaching;
    }

    @GetMapping("/api/lists/{list}/reach")
    ReachViews.ReachTable reach(
            Account asking,
            @PathVariable long list,
            @RequestParam(defaultValue = "false") boolean everyone,
            @RequestParam Optional<LocalDate> on) {
        Source source = service.seen(asking.id(), list).source();
        return reached(source, everyone, on)
                .table(
                        source.head().id(),
                        source.head().name(),
                        source.head().parent().orElse(null),
                        everyone);
    }

    @GetMapping("/api/lists/{list}/reach/gap")
    ReachViews.ReachGap gap(
            Account asking,
            @PathVariable long list,
            @RequestParam(defaultValue = "false") boolean everyone,
            @RequestParam Optional<LocalDate> on,
            @RequestParam int from,
            @RequestParam int to) {
        Source source = service.seen(asking.id(), list).source();
        return reached(source, everyone, on).gap(from, to);
    }

    /** Something about who reaches whom that needs an answer; entry is null where it is about a team or a person. */
    record ReachConcern(Concern.Kind kind, String subject, @Schema(nullable = true) Long entry, String message) {}

    /** What needs an answer before the list goes out, for those who carry it or one that follows it. */
    @GetMapping("/api/lists/{list}/reach/concerns")
    List<ReachConcern> concerns(Account asking, @PathVariable long list) {
        Source source = service.source(asking.id(), list);
        List<ListStore.Stored> stored = audits.of(source).stored();
        return reaching.concerns(source).stream()
                .map(each -> new ReachConcern(
                        each.kind(),
                        each.subject(),
                        each.entry() < 0 ? null : stored.get(each.entry()).id(),
                        each.message()))
                .toList();
    }

    private Reached reached(Source source, boolean everyone, Optional<LocalDate> on) {
        return reaching.study(source, everyone, on.orElseGet(audits::today));
    }
}
