package org.wache.server.abroad;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Finding;
import org.wache.propose.Abroad;
import org.wache.rulebook.Edition;
import org.wache.rulebook.LicenceKind;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audited;
import org.wache.server.lists.Audits;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Refused;

/** A list under the rules of another country. */
@RestController
class AbroadController {

    private final ListService service;
    private final Audits audits;
    private final Rulebooks rulebooks;

    AbroadController(ListService service, Audits audits, Rulebooks rulebooks) {
        this.service = service;
        this.audits = audits;
        this.rulebooks = rulebooks;
    }

    /** How a list fares in another country. home is its own rulebook; classes are those that may be chosen there. */
    record AbroadView(
            long list,
            String name,
            String home,
            String rulebook,
            String country,
            String edition,
            String law,
            LocalDate on,
            List<String> classes,
            @Schema(nullable = true) String as,
            List<CountedLicence> counted,
            Views.Counts before,
            Views.Counts after,
            List<AbroadEntry> entries) {}

    /** What a licence counts as there; nothing when it does not count. */
    record CountedLicence(
            String holder, String licence, @Schema(nullable = true) String countsAs, String words, String source) {}

    /** An entry there: fate is dies, asked, same, easier or held. */
    record AbroadEntry(
            long id,
            String number,
            String name,
            @Schema(nullable = true) Long rxHz,
            @Schema(nullable = true) Long txHz,
            Verdict home,
            Verdict there,
            Abroad.Fate fate,
            String reason,
            String source,
            int more) {}

    @GetMapping("/api/lists/{list}/abroad")
    AbroadView abroad(
            Account asking,
            @PathVariable long list,
            @RequestParam String rulebook,
            @RequestParam Optional<String> as,
            @RequestParam Optional<LocalDate> on) {
        Source source = service.seen(asking.id(), list).source();
        LocalDate day = on.orElseGet(audits::today);
        Rulebook there = there(rulebook);
        Edition edition = there.on(day);
        Audited home = audits.of(source);
        Optional<String> wanted = as.filter(text -> !text.isBlank());
        Abroad judged = judged(home.audit(), there, day, wanted);
        List<AbroadEntry> entries = new ArrayList<>();
        for (int i = 0; i < judged.fates().size(); i++) {
            entries.add(entry(home.stored().get(i), home.audit(), judged, i));
        }
        return new AbroadView(
                list,
                source.head().name(),
                audits.rulebook(source),
                there.id(),
                there.title(),
                edition.dates().id(),
                there.law(),
                day,
                classes(edition),
                wanted.orElse(null),
                judged.counted().stream()
                        .map(each -> new CountedLicence(
                                each.holder(),
                                each.licence(),
                                each.countsAs().orElse(null),
                                each.words(),
                                each.source()))
                        .toList(),
                DeskWriter.counts(home.audit()),
                DeskWriter.counts(judged.audit()),
                entries);
    }

    private Rulebook there(String id) {
        try {
            return rulebooks.of(id);
        } catch (RulebookProblem e) {
            throw new Refused(e.getMessage() + ".");
        }
    }

    private static Abroad judged(Audit home, Rulebook there, LocalDate day, Optional<String> as) {
        try {
            return Abroad.of(home, there, day, as);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
    }

    /** As they are chosen: amateur:full, nobody. */
    private static List<String> classes(Edition edition) {
        List<String> classes = new ArrayList<>(List.of("nobody"));
        edition.services().stream()
                .filter(each -> each.traits().licence() == LicenceKind.CLASS)
                .forEach(each -> each.traits().classes().forEach(name -> classes.add(each.id() + ":" + name)));
        return classes;
    }

    private static AbroadEntry entry(ListStore.Stored stored, Audit home, Abroad judged, int position) {
        Optional<Finding> worst =
                Optional.ofNullable(DeskWriter.worst(judged.audit().entry(position)));
        long more = judged.audit().findings(position).stream()
                .map(Finding::message)
                .distinct()
                .count();
        return new AbroadEntry(
                stored.id(),
                stored.channel().number(),
                stored.channel().name(),
                stored.channel().receive().map(f -> f.hertz()).orElse(null),
                stored.channel().transmit().map(f -> f.hertz()).orElse(null),
                home.entry(position).verdict(),
                judged.audit().entry(position).verdict(),
                judged.fates().get(position),
                worst.map(Finding::message).orElse(""),
                worst.map(Finding::source).orElse(""),
                (int) Math.max(0, more - 1));
    }
}
