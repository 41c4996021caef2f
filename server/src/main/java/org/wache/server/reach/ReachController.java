package org.wache.server.reach;

import com.github.benmanes.caffeine.cache.Caffeine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.reach.Concern;
import org.wache.reach.Reach;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Source;
import org.wache.server.web.Missing;

/** Who reaches whom with a list: those who carry it, or everybody of the roster. */
@RestController
class ReachController {

    private static final int KEPT = 12;

    private final ListService service;
    private final Audits audits;
    private final Reaching reaching;
    private final Map<Asked, Reached> kept =
            Caffeine.newBuilder().maximumSize(KEPT).<Asked, Reached>build().asMap();

    private record Asked(Audits.Key key, List<Long> parties, boolean everyone, LocalDate day, int radios) {}

    ReachController(ListService service, Audits audits, Reaching reaching) {
        this.service = service;
        this.audits = audits;
        this.reaching = reaching;
    }

    /**
     * Who reaches whom.
     *
     * @param on the day it is for: licences that have ended by then do not count
     * @param links who reaches whom, one way each; people and entries by their places
     * @param alone the places of those who can talk to nobody, or whom nobody can reach
     */
    record ReachTable(
            long list,
            String name,
            @Schema(nullable = true) Long parent,
            LocalDate on,
            boolean everyone,
            List<ReachEntry> entries,
            List<ReachPerson> people,
            List<ReachLink> links,
            List<Integer> alone) {}

    /** An entry: where it talks, and the places of those who may key it and of those whose radios hear it. */
    record ReachEntry(long id, String number, String name, List<Integer> talk, List<Integer> hear) {}

    /**
     * Somebody.
     *
     * @param holds what they are licensed for, in words
     * @param radios their radios; empty when none is in their hands
     * @param judged whether their radios count: without one, no radio is judged
     */
    record ReachPerson(
            long party, String name, List<String> teams, String holds, List<String> radios, boolean judged) {}

    /** One reaches another on these entries. */
    record ReachLink(int from, int to, List<Integer> entries) {}

    /** Why one does not reach another, and what would change it, each by itself. */
    record ReachGap(List<String> reasons, List<String> least) {}

    @GetMapping("/api/lists/{list}/reach")
    ReachTable reach(
            Account asking,
            @PathVariable long list,
            @RequestParam(defaultValue = "false") boolean everyone,
            @RequestParam Optional<LocalDate> on) {
        Source source = service.seen(asking.id(), list).source();
        Reached reached = reached(source, everyone, on);
        List<Channel> channels = reached.channels();
        List<Long> ids = reached.entries();
        return new ReachTable(
                source.head().id(),
                source.head().name(),
                source.head().parent().orElse(null),
                reached.day(),
                everyone,
                java.util.stream.IntStream.range(0, channels.size())
                        .mapToObj(i -> new ReachEntry(
                                ids.get(i),
                                channels.get(i).number(),
                                channels.get(i).name(),
                                reached.talk(i),
                                reached.hear(i)))
                        .toList(),
                reached.people(),
                reached.links(),
                reached.alone());
    }

    @GetMapping("/api/lists/{list}/reach/gap")
    ReachGap gap(
            Account asking,
            @PathVariable long list,
            @RequestParam(defaultValue = "false") boolean everyone,
            @RequestParam Optional<LocalDate> on,
            @RequestParam int from,
            @RequestParam int to) {
        Source source = service.seen(asking.id(), list).source();
        Reach.Missing missing = reached(source, everyone, on)
                .missing(from, to)
                .orElseThrow(() -> new Missing("What is missing between these two"));
        return new ReachGap(missing.reasons(), missing.least());
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
        LocalDate day = on.orElseGet(audits::today);
        Asked key = new Asked(audits.key(source), reaching.parties(source), everyone, day, reaching.radiosOf(source));
        Reached known = kept.get(key);
        if (known == null) {
            known = reaching.study(source, everyone, day);
            kept.put(key, known);
        }
        return known;
    }
}
