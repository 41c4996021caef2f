package org.wache.server.lists;

import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.Neighbour;
import org.wache.audit.context.Neighbours;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.exchange.FileProblem;
import org.wache.licence.Holder;
import org.wache.place.Circle;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.background.Background;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Fault;
import org.wache.server.web.Json;
import org.wache.server.web.Unjudgeable;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Audits of the lists' newest versions, kept while they are looked at. A version of a list never changes, so that what
 * is kept can never be stale, also when several servers share the database.
 */
@Component
public class Audits implements DisposableBean {

    private static final JsonMapper JSON = Json.MAPPER;
    /** Entries of all audits that are kept, about 4 kB each. */
    private static final int KEPT_ENTRIES = 160_000;
    /** What an audit weighs beside its entries, as entries. */
    private static final int EACH = 50;

    private static final int KEPT_SUMMARIES = 5_000;

    private final ListStore store;
    private final Clock clock;
    private final Map<Key, Audited> kept = Caffeine.newBuilder()
            .maximumWeight(KEPT_ENTRIES)
            .weigher((Key key, Audited audited) -> EACH + audited.stored().size())
            .<Key, Audited>build()
            .asMap();
    private final Map<Key, Views.ListSummary> summaries = Caffeine.newBuilder()
            .maximumSize(KEPT_SUMMARIES)
            .<Key, Views.ListSummary>build()
            .asMap();
    /** The same by what they depend on. */
    private final Map<String, Views.ListSummary> judged = Caffeine.newBuilder()
            .maximumSize(KEPT_SUMMARIES)
            .<String, Views.ListSummary>build()
            .asMap();

    private final Background<Key> judges;
    private final Rulebooks rulebooks;
    private final NearbyRepeaters repeaters;

    /** What an audit depends on: a later version of any of it makes another key. */
    public record Key(
            long list,
            int version,
            int parentVersion,
            int roster,
            int overlay,
            int radios,
            int rulebooks,
            int neighbours,
            int repeaters,
            LocalDate day) {}

    Audits(
            ListStore store,
            Clock clock,
            Rulebooks rulebooks,
            NearbyRepeaters repeaters,
            @Value("${wache.patience-for-verdicts}") Duration patience) {
        this.judges = new Background<>("judge", Math.max(2, Runtime.getRuntime().availableProcessors() - 1), patience);
        this.repeaters = repeaters;
        this.rulebooks = rulebooks;
        this.store = store;
        this.clock = clock;
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    public Audited of(Source source) {
        return of(source, today());
    }

    /** As it is held against the rules of a day. */
    public Audited of(Source source, LocalDate day) {
        Key key = key(source, day);
        return kept.computeIfAbsent(key, any -> audited(source, day));
    }

    /** Keeps the audit of a list's new version when it was worked out from the version before. */
    public void keep(Source source, Audited audited) {
        kept.put(key(source, today()), audited);
    }

    /** The mark of what a list is held against today beside its own entries. */
    public String rules(ListStore.Head head) {
        return RulesMark.of(head, today());
    }

    /** What the audit of a list depends on today. */
    public Key key(Source source) {
        return key(source, today());
    }

    private Key key(Source source, LocalDate day) {
        ListStore.Head head = source.head();
        return new Key(
                head.id(),
                head.version(),
                source.parent().map(ListStore.Head::version).orElse(0),
                head.rosterVersion(),
                head.overlayVersion(),
                head.radiosVersion(),
                head.rulebooksVersion(),
                head.neighboursVersion(),
                repeaters.version(),
                day);
    }

    private Audited audited(Source source, LocalDate day) {
        return audited(source, context(source, day), store.entries(source.entriesOf()));
    }

    /** What a list is held against on a day, with its carriers read from the roster. */
    public AuditContext context(Source source, LocalDate day) {
        return context(
                source,
                day,
                store.carriers(List.of(source.head().id())).get(source.head().id()));
    }

    /** As {@link #context} today, under other rows of the group's plan. */
    AuditContext contextWith(Source source, String overlay) {
        return context(
                source,
                today(),
                store.carriers(List.of(source.head().id())).get(source.head().id()),
                overlay);
    }

    private AuditContext context(Source source, LocalDate day, List<RosterHolder> carriers) {
        return context(source, day, carriers, source.head().overlay());
    }

    /** As {@link #context} today, under the rules of another day. */
    AuditContext contextUnderRulesOf(Source source, LocalDate rules) {
        return readable(() -> beside(
                source,
                placed(source)
                        .at(
                                rules,
                                today(),
                                store.carriers(List.of(source.head().id()))
                                        .get(source.head().id()),
                                source.head().overlay(),
                                source.head().radios(),
                                rulebooks.of(rulebook(source)))));
    }

    /** As {@link #context} today, under another rulebook as it is on a day. */
    AuditContext contextUnder(Source source, Rulebook rulebook, LocalDate rules) {
        return readable(() -> placed(source)
                .at(
                        rules,
                        today(),
                        store.carriers(List.of(source.head().id()))
                                .get(source.head().id()),
                        source.head().overlay(),
                        source.head().radios(),
                        rulebook));
    }

    /** Those of the roster as holders under the rulebook of a list. */
    public List<Holder> holders(Source source, LocalDate day, List<RosterHolder> roster) {
        return placed(source)
                .with(List.of())
                .at(day, roster, "[]", "[]", rulebooks.of(rulebook(source)))
                .holders();
    }

    /** The rulebook that a list is held against. */
    public String rulebook(Source source) {
        return placed(source).rulebook();
    }

    private AuditContext context(Source source, LocalDate day, List<RosterHolder> carriers, String overlay) {
        return readable(() -> beside(
                source,
                placed(source).at(day, carriers, overlay, source.head().radios(), rulebooks.of(rulebook(source)))));
    }

    /** With the neighbours that the group knows and the repeaters near where the list is used. */
    private AuditContext beside(Source source, AuditContext context) {
        List<Neighbour> all = neighbours(source, context);
        return all.isEmpty() ? context : context.beside(new Neighbours(all));
    }

    private List<Neighbour> neighbours(Source source, AuditContext context) {
        List<Neighbour> all = new ArrayList<>();
        for (JsonNode each : JSON.readTree(source.head().neighbours())) {
            Frequency.ofMegahertz(each.path("mhz").asString(""))
                    .ifPresent(at -> all.add(new Neighbour(
                            each.path("who").asString(""),
                            at,
                            Optional.empty(),
                            Tone.parse(each.path("tone").asString("")))));
        }
        context.where()
                .area()
                .filter(Circle.class::isInstance)
                .ifPresent(area -> all.addAll(repeaters.near(((Circle) area).centre())));
        return all;
    }

    /** What a list is held against was checked when it was entered; what was entered before it was checked so far is told, not guessed. */
    private static AuditContext readable(Supplier<AuditContext> context) {
        try {
            return context.get();
        } catch (FileProblem | RulebookProblem | IllegalArgumentException e) {
            throw new Unjudgeable(e.getMessage());
        }
    }

    /** A variant is used where its parent is, under its house rules; with the talk groups of its group. */
    public Context placed(Source source) {
        return ownContext(source).agreedOn(source.head().talkGroups());
    }

    private static Context ownContext(Source source) {
        Context own = Context.of(source.head().context());
        return source.parent()
                .map(parent -> Context.of(parent.context()).with(own.carriers()))
                .orElse(own);
    }

    private static Audited audited(Source source, AuditContext context, List<ListStore.Stored> stored) {
        ListStore.Head head = source.head();
        Auditor auditor = new Auditor(Register.ALL, context);
        ChannelList list = list(head, stored);
        if (source.parent().isEmpty()) {
            return new Audited(auditor.audit(list), stored);
        }
        List<ListStore.Stored> silenced = Silenced.of(auditor.audit(list), stored);
        return new Audited(auditor.audit(list(head, silenced)), silenced);
    }

    /** As it is held against the law and the plan alone, radios aside; never kept. */
    Audited lawOnly(Source source) {
        return audited(source, context(source, today()).forRadios(List.of()), store.entries(source.entriesOf()));
    }

    /**
     * What a list is held against, radios aside, as a file; roster says who of it carries the list. The group's talk groups are in it only
     * when the list calls one: what does not concern it is no change of it.
     */
    String contextFile(Source source, List<RosterHolder> roster, ChannelList list) {
        boolean calls = list.channels().stream()
                .anyMatch(channel -> channel.digital().talkGroup().isPresent());
        Context placed = calls ? placed(source) : ownContext(source);
        List<Neighbour> near = neighbours(
                source, placed.at(today(), roster, source.head().overlay(), "[]", rulebooks.of(rulebook(source))));
        return placed.file(today(), roster, source.head().overlay(), near);
    }

    private static ChannelList list(ListStore.Head head, List<ListStore.Stored> stored) {
        return new ChannelList(
                head.name(),
                head.extraColumns(),
                stored.stream().map(ListStore.Stored::channel).toList());
    }

    /** The list as it would be under another context, its entries as they are. */
    public Audit under(Source source, AuditContext context) {
        return new Auditor(Register.ALL, context).audit(of(source).audit().list());
    }

    /**
     * What many lists come to in short. What a list depends on is looked at before it is judged again: another licence in the roster, or
     * another radio, is nothing to a list that nobody of them carries. What is not known yet is read with one question each for entries
     * and carriers.
     */
    public List<Views.ListSummary> summaries(List<Source> sources) {
        LocalDate day = today();
        // Their keys are made once: what the directory knows may change while they are judged, and an answer has to be
        // found where it was put.
        List<Asked> all =
                sources.stream().map(each -> new Asked(each, key(each, day))).toList();
        List<Asked> unknown =
                all.stream().filter(each -> !summaries.containsKey(each.key())).toList();
        if (!unknown.isEmpty()) {
            Map<Long, List<RosterHolder>> carriers = store.carriers(
                    unknown.stream().map(each -> each.source().head().id()).toList());
            List<Asked> changed = new ArrayList<>();
            for (Asked each : unknown) {
                Views.ListSummary same = judged.get(dependsOn(
                        each.source(), day, carriers.get(each.source().head().id())));
                if (same == null) {
                    changed.add(each);
                } else {
                    summaries.put(each.key(), same);
                }
            }
            judges.await(judge(changed, carriers, day));
        }
        return all.stream()
                .map(each -> Optional.ofNullable(summaries.get(each.key()))
                        .orElseGet(() -> pending(each.source().head())))
                .toList();
    }

    /** A list whose verdicts are asked for, and under what they are kept. */
    private record Asked(Source source, Key key) {}

    /** Lists are judged beside each other, and beside whoever asked: what is under way is not begun once more. */
    private List<CompletableFuture<Void>> judge(
            List<Asked> changed, Map<Long, List<RosterHolder>> carriers, LocalDate day) {
        Map<Long, List<ListStore.Stored>> entries = store.entries(changed.stream()
                .filter(each -> !judges.underWay(each.key()))
                .map(each -> each.source().entriesOf())
                .distinct()
                .toList());
        return changed.stream()
                .map(each -> judges.begin(each.key(), () -> {
                    Source source = each.source();
                    List<ListStore.Stored> stored = entries.containsKey(source.entriesOf())
                            ? entries.get(source.entriesOf())
                            : store.entries(source.entriesOf()); // it was under way a moment ago
                    judge(source, each.key(), day, carriers.get(source.head().id()), stored);
                }))
                .toList();
    }

    private void judge(Source source, Key key, LocalDate day, List<RosterHolder> who, List<ListStore.Stored> entries) {
        Views.ListSummary summary;
        try {
            summary = summarised(source, () -> audited(source, context(source, day, who), entries));
        } catch (RuntimeException problem) { // nobody waits for it who could be told otherwise
            summary = unjudged(source.head(), Fault.of(problem).words());
        }
        summaries.put(key, summary);
        judged.put(dependsOn(source, day, who), summary);
    }

    @Override
    public void destroy() {
        judges.close();
    }

    /** Everything that the verdicts of a list depend on, as a SHA-256; unlike its key another roster or radio of the group is not in it. */
    private String dependsOn(Source source, LocalDate day, List<RosterHolder> carriers) {
        ListStore.Head head = source.head();
        return DigestUtils.sha256Hex(String.join(
                "\u001F",
                Long.toString(head.id()),
                Integer.toString(head.version()),
                Integer.toString(source.parent().map(ListStore.Head::version).orElse(0)),
                head.name(),
                head.overlay(),
                head.radios(),
                Integer.toString(head.rulebooksVersion()),
                head.neighbours(),
                head.talkGroups(),
                Integer.toString(repeaters.version()),
                day.toString(),
                carriers.toString()));
    }

    /** One list that cannot be judged says so in its own row, and is no reason not to show the others. */
    private static Views.ListSummary summarised(Source source, Supplier<Audited> audited) {
        try {
            return summary(source.head(), audited.get());
        } catch (Unjudgeable problem) {
            return unjudged(source.head(), problem.getMessage());
        } catch (IllegalArgumentException
                | IllegalStateException
                | ArithmeticException
                | NullPointerException
                | IndexOutOfBoundsException problem) {
            return unjudged(source.head(), Fault.of(problem).words());
        }
    }

    private static Views.ListSummary pending(ListStore.Head head) {
        return empty(head, null, true);
    }

    private static Views.ListSummary unjudged(ListStore.Head head, String why) {
        return empty(head, why, false);
    }

    private static Views.ListSummary empty(ListStore.Head head, String why, boolean pending) {
        return new Views.ListSummary(
                head.id(),
                head.name(),
                head.version(),
                0,
                new Views.Counts(0, 0, 0, 0),
                head.changedAt(),
                head.changedBy(),
                List.of(),
                head.parent().orElse(null),
                head.shelf(),
                why,
                pending);
    }

    private static Views.ListSummary summary(ListStore.Head head, Audited audited) {
        return new Views.ListSummary(
                head.id(),
                head.name(),
                head.version(),
                audited.stored().size(),
                DeskWriter.counts(audited.audit()),
                head.changedAt(),
                head.changedBy(),
                audited.audit().auditor().context().holders().stream()
                        .map(holder -> holder.name())
                        .toList(),
                head.parent().orElse(null),
                head.shelf(),
                null,
                false);
    }
}
