package org.wache.server.site;

import com.github.benmanes.caffeine.cache.Caffeine;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Sites;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.Clearing;
import org.wache.audit.finding.Change;
import org.wache.audit.rules.Register;
import org.wache.audit.rules.site.HitMessage;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.propose.ClearChannels;
import org.wache.radio.Radio;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.Context;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.radios.Fleet;
import org.wache.server.web.EnumWords;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Watts;
import org.wache.site.Findings;
import org.wache.site.Hit;
import org.wache.site.Keying;
import org.wache.site.SiteStudy;

/** What the entries of a list do to each other when they are used at one site. */
@RestController
class SiteController {

    private static final int SHOWN = 3;
    private static final int PICKS = 12;

    private final ListService service;
    private final Audits audits;
    private final Fleet fleet;
    private final Map<Kept, Audit> kept =
            Caffeine.newBuilder().maximumSize(8).<Kept, Audit>build().asMap();

    private record Kept(Audits.Key key, Keying.How how) {}

    SiteController(ListService service, Audits audits, Fleet fleet) {
        this.fleet = fleet;
        this.service = service;
        this.audits = audits;
    }

    /** The interference of a list. keyed is what it is held against; shown is what is told here. */
    record SiteView(
            long list,
            String name,
            int version,
            @Schema(nullable = true) Long parent,
            Views.Keyed keyed,
            Keying.How shown,
            List<SiteEntry> entries,
            List<SiteOf> sites,
            ClearChoice choice) {}

    /** An entry as the site sees it. */
    record SiteEntry(
            long id,
            String number,
            String name,
            String zone,
            @Schema(nullable = true) Long rxHz,
            @Schema(nullable = true) Long txHz,
            @Schema(nullable = true) Long lowHz,
            @Schema(nullable = true) Long highHz,
            @Schema(nullable = true) String emission) {}

    /** Where clear channels can be looked for, for whom and with what: bands and services, carriers, and models as they are set. */
    record ClearChoice(List<String> places, List<String> who, List<String> radios) {}

    /** A site: whose, how many transmitters, whether products could be worked out, and what reaches whom. */
    record SiteOf(
            int index, String name, int transmitters, int receivers, boolean complete, List<ReachedEntry> reached) {}

    /** An entry that something reaches: how often what does, and the nearest of each. */
    record ReachedEntry(long entry, List<KindCount> counts, List<HitView> hits) {}

    record KindCount(Hit.Kind kind, String words, long count) {}

    /** Something that reaches an entry; at is its place among those of its kind. */
    record HitView(
            Hit.Kind kind,
            int at,
            String equation,
            long landsHz,
            long offHz,
            long halfHz,
            long reachHz,
            List<HitTerm> terms,
            List<Views.SumLine> sum) {}

    /** A transmitter in a product: how often it counts, and the entries that transmit there. */
    record HitTerm(int factor, long hz, List<Long> entries, String name) {}

    /** All that is kept of what reaches an entry. */
    record SiteDetail(long entry, List<KindCount> counts, List<HitView> hits) {}

    /** A change that clears a hit. */
    record LeastChange(
            long entry,
            int version,
            String number,
            String name,
            String label,
            Map<String, String> before,
            Map<String, String> changes,
            Verdict verdictAfter,
            long hitsBefore,
            long hitsAfter) {}

    /** A channel that could be taken; disturbs is what reaches it, when none is clear. */
    record ClearPick(
            Map<String, String> fields,
            long hz,
            String place,
            Verdict verdict,
            List<String> asked,
            long near,
            long apartHz,
            List<String> disturbs) {}

    /** What is keyed together from now on, and what was when the change was begun. */
    record KeyingChange(@NotNull @Valid Views.Keyed before, @NotNull @Valid Views.Keyed after) {}

    @GetMapping("/api/lists/{list}/site")
    SiteView site(Account asking, @PathVariable long list, @RequestParam Optional<Keying.How> how) {
        Source source = source(asking, list);
        Context context = audits.placed(source);
        Audit audit = audit(source, how);
        List<ListStore.Stored> stored = audits.of(source).stored();
        List<SiteOf> sites = new ArrayList<>();
        for (Sites.Site site : audit.sites().all()) {
            List<ReachedEntry> reached = new ArrayList<>();
            site.study().receivers().forEach(receiver -> {
                Findings findings = site.study().at(receiver);
                if (findings.total() > 0) {
                    reached.add(new ReachedEntry(
                            stored.get(receiver.entry()).id(),
                            counts(findings),
                            hits(findings, audit, stored, SHOWN, false)));
                }
            });
            sites.add(new SiteOf(
                    sites.size(),
                    site.name(),
                    site.study().emitters().size(),
                    site.study().receivers().size(),
                    site.study().complete(),
                    reached));
        }
        return new SiteView(
                list,
                source.head().name(),
                source.head().version(),
                source.head().parent().orElse(null),
                context.keyed(),
                shown(audit),
                stored.stream().map(SiteController::entry).toList(),
                sites,
                new ClearChoice(
                        ClearChannels.places(audit.auditor().context()),
                        audit.auditor().context().holders().stream()
                                .map(Holder::name)
                                .toList(),
                        fleet.settings(source.head().clubId()).stream()
                                .map(Fleet.Setting::words)
                                .toList()));
    }

    private static Keying.How shown(Audit audit) {
        return audit.auditor().context().houseRules().keyedTogether().how();
    }

    private static SiteEntry entry(ListStore.Stored stored) {
        Channel channel = stored.channel();
        return new SiteEntry(
                stored.id(),
                channel.number(),
                channel.name(),
                channel.text(Field.ZONE),
                channel.receive().map(f -> f.hertz()).orElse(null),
                channel.transmit().map(f -> f.hertz()).orElse(null),
                channel.occupied().map(span -> span.low()).orElse(null),
                channel.occupied().map(span -> span.high()).orElse(null),
                channel.emission().map(each -> each.designator()).orElse(null));
    }

    private static List<KindCount> counts(Findings findings) {
        return Arrays.stream(Hit.Kind.values())
                .filter(kind -> findings.count(kind) > 0)
                .map(kind -> new KindCount(kind, HitMessage.kind(kind), findings.count(kind)))
                .toList();
    }

    private static List<HitView> hits(
            Findings findings, Audit audit, List<ListStore.Stored> stored, int most, boolean sums) {
        List<HitView> all = new ArrayList<>();
        for (Hit.Kind kind : Hit.Kind.values()) {
            List<Hit> nearest = findings.nearest(kind);
            for (int i = 0; i < Math.min(most, nearest.size()); i++) {
                Hit hit = nearest.get(i);
                all.add(new HitView(
                        kind,
                        i,
                        HitMessage.equation(hit),
                        hit.lands(),
                        hit.off(),
                        hit.half(),
                        hit.reach(),
                        hit.terms().stream()
                                .map(term -> new HitTerm(
                                        term.factor(),
                                        term.emitter().centre(),
                                        term.emitter().entries().stream()
                                                .map(position ->
                                                        stored.get(position).id())
                                                .toList(),
                                        HitMessage.emitter(term.emitter(), audit.list())))
                                .toList(),
                        sums ? DeskWriter.sum(HitMessage.sum(hit, audit.list())) : List.of()));
            }
        }
        return all;
    }

    private Source source(Account asking, long list) {
        return service.seen(asking.id(), list).source();
    }

    /** The list's audit with what is keyed together; where nothing is, as if all were. */
    private Audit audit(Source source, Optional<Keying.How> how) {
        Audit own = audits.of(source).audit();
        Keying inForce = own.auditor().context().houseRules().keyedTogether();
        Keying wanted =
                switch (how.orElse(Keying.How.NONE)) {
                    case NONE -> inForce.any() ? inForce : Keying.ALL;
                    case ALL -> Keying.ALL;
                    case TEAMS -> Keying.TEAMS;
                    case BASES -> inForce.how() == Keying.How.BASES ? inForce : Keying.ALL;
                };
        if (wanted.equals(inForce)) {
            return own;
        }
        return kept.computeIfAbsent(new Kept(audits.key(source), wanted.how()), any -> {
            AuditContext context = own.auditor().context();
            return audits.under(source, context.with(context.houseRules().keying(wanted)));
        });
    }

    private static Sites.Site siteOf(Audit audit, int index) {
        if (index < 0 || index >= audit.sites().all().size()) {
            throw new Missing("The site");
        }
        return audit.sites().all().get(index);
    }

    @GetMapping("/api/lists/{list}/site/{entry}")
    SiteDetail detail(
            Account asking,
            @PathVariable long list,
            @PathVariable long entry,
            @RequestParam Optional<Keying.How> how,
            @RequestParam(defaultValue = "0") int site) {
        Source source = source(asking, list);
        Audit audit = audit(source, how);
        List<ListStore.Stored> stored = audits.of(source).stored();
        Findings findings = siteOf(audit, site).study().at(position(source, entry));
        return new SiteDetail(entry, counts(findings), hits(findings, audit, stored, SiteStudy.KEPT, true));
    }

    private int position(Source source, long entry) {
        int position = audits.of(source).position(entry);
        if (position < 0) {
            throw new Missing("The entry");
        }
        return position;
    }

    /** The least changes that clear one hit, each tried on the whole site. */
    @GetMapping("/api/lists/{list}/site/{entry}/least")
    List<LeastChange> least(
            Account asking,
            @PathVariable long list,
            @PathVariable long entry,
            @RequestParam Optional<Keying.How> how,
            @RequestParam(defaultValue = "0") int site,
            @RequestParam String kind,
            @RequestParam(defaultValue = "0") int at) {
        Source source = source(asking, list);
        Audit audit = audit(source, how);
        List<ListStore.Stored> stored = audits.of(source).stored();
        Sites.Site there = siteOf(audit, site);
        List<Hit> hits = Arrays.stream(Hit.Kind.values())
                .filter(each -> EnumWords.of(each).equals(kind))
                .findFirst()
                .map(each -> there.study().at(position(source, entry)).nearest(each))
                .orElseThrow(() -> new Refused("“" + kind + "” is no kind of interference."));
        if (at < 0 || at >= hits.size()) {
            throw new Missing("The product");
        }
        return Clearing.least(audit, there, hits.get(at)).stream()
                .map(each -> {
                    ListStore.Stored entryOf = stored.get(each.position());
                    Map<String, String> changes = changes(each.change());
                    Map<String, String> before = new java.util.LinkedHashMap<>();
                    Map<String, String> now = DeskWriter.fields(entryOf.channel());
                    changes.keySet().forEach(key -> before.put(key, now.getOrDefault(key, "")));
                    return new LeastChange(
                            entryOf.id(),
                            entryOf.version(),
                            entryOf.channel().number(),
                            entryOf.channel().name(),
                            each.change().label(),
                            before,
                            changes,
                            each.verdictAfter(),
                            each.hitsBefore(),
                            each.hitsAfter());
                })
                .toList();
    }

    private static Map<String, String> changes(Change change) {
        Map<String, String> changes = new java.util.LinkedHashMap<>();
        change.fields().forEach((field, text) -> changes.put(field.key(), text));
        return changes;
    }

    /**
     * Direct channels that those who are to use them may use, with their radios, and that the site leaves clear; else those that are disturbed least.
     *
     * @param places bands and services; none for any
     * @param carriers their names; none for everyone who carries the list
     * @param radios models as they are set, by their words; none for those that the list is for
     */
    @GetMapping("/api/lists/{list}/clear-channels")
    List<ClearPick> clear(
            Account asking,
            @PathVariable long list,
            @RequestParam Optional<Keying.How> how,
            @RequestParam(defaultValue = "0") int site,
            @RequestParam(defaultValue = "") List<String> places,
            @RequestParam(defaultValue = "") List<String> carriers,
            @RequestParam(defaultValue = "") List<String> radios,
            @RequestParam(defaultValue = "") String power) {
        if (!power.isEmpty() && Watts.parse(power).isEmpty()) {
            throw new Refused("“" + power + "” is no power in watts.");
        }
        Source source = source(asking, list);
        Audit audit = audit(source, how);
        AuditContext context = audit.auditor().context();
        if (!carriers.isEmpty()) {
            List<Holder> chosen = context.holders().stream()
                    .filter(each -> carriers.contains(each.name()))
                    .toList();
            if (chosen.isEmpty()) {
                throw new Refused("None of those carries the list any longer. Choose again who is to use the channel.");
            }
            context = context.with(chosen);
        }
        if (!radios.isEmpty()) {
            List<Radio> chosen = fleet.settings(source.head().clubId()).stream()
                    .filter(each -> radios.contains(each.words()))
                    .map(Fleet.Setting::radio)
                    .toList();
            if (chosen.isEmpty()) {
                throw new Refused(
                        "None of those radios is set so any longer. Choose again with which the channel is to be used.");
            }
            context = context.forRadios(chosen);
        }
        return ClearChannels.of(
                        audit,
                        siteOf(audit, site),
                        new ClearChannels.Wanted(new Auditor(Register.ALL, context), Set.copyOf(places), power, PICKS))
                .stream()
                .map(pick -> pick(audit, pick))
                .toList();
    }

    private static ClearPick pick(Audit audit, ClearChannels.Pick pick) {
        return new ClearPick(
                DeskWriter.fields(pick.entry()),
                pick.entry().transmit().orElseThrow().hertz(),
                pick.place(),
                pick.verdict(),
                pick.findings().stream()
                        .map(finding -> finding.message())
                        .distinct()
                        .toList(),
                pick.near(),
                pick.apart(),
                pick.disturbs().stream()
                        .map(hit -> disturbs(audit, hit))
                        .distinct()
                        .toList());
    }

    /** What reaches a channel: from which entries, and as what. */
    private static String disturbs(Audit audit, Hit hit) {
        String from = hit.terms().stream()
                .map(term ->
                        audit.list().channels().get(term.emitter().entries().get(0)))
                .map(channel -> channel.name().isBlank() ? channel.number() : channel.name())
                .distinct()
                .collect(Collectors.joining(" and "));
        return switch (hit.kind()) {
            case CO_CHANNEL -> from + " transmits on it";
            case OVERLAP -> from + " reaches into it";
            case THIRD_ORDER -> "a third-order product of " + from;
            case FIFTH_ORDER -> "a fifth-order product of " + from;
            case HARMONIC -> "a harmonic of " + from;
            case NEAR -> from + " is near";
        };
    }

    /** Says what of the list is keyed together at one site; the Desk asks about interference from then on. */
    @PutMapping("/api/lists/{list}/keying")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keying(Account asking, @PathVariable long list, @Valid @RequestBody KeyingChange change) {
        service.setKeying(asking.id(), list, change.before(), change.after());
    }
}
