package org.wache.server.lists;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Rulebook;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Unjudgeable;

/** Works out what a change of the rules or of the group's plan does to a group's lists, before it is made. */
@Component
public class ListEffects {

    private final ListService service;
    private final ListStore store;
    private final Audits audits;
    private final Rulebooks rulebooks;

    ListEffects(ListService service, ListStore store, Audits audits, Rulebooks rulebooks) {
        this.store = store;
        this.rulebooks = rulebooks;
        this.service = service;
        this.audits = audits;
    }

    /** The lists that other rows of the group's plan would change. */
    @Transactional(readOnly = true)
    public List<ListEffect> ofOverlay(long account, long club, String overlay) {
        return ofSources(
                account, club, source -> Optional.of(audits.under(source, audits.contextWith(source, overlay))));
    }

    /** The lists that another rulebook of the same country would change, as it is on a day. */
    @Transactional(readOnly = true)
    public List<ListEffect> ofRulebook(long account, long club, Rulebook other, java.time.LocalDate rules) {
        return ofSources(
                account,
                club,
                source -> audits.rulebook(source).equals(other.id())
                        ? Optional.of(audits.under(source, audits.contextUnder(source, other, rules)))
                        : Optional.empty());
    }

    /** The lists that the edition in force today changed, and that nobody has looked at since. */
    @Transactional(readOnly = true)
    public List<ListEffect> ofEdition(long account, long club) {
        return ofSources(account, club, source -> seenUnder(source)
                        .filter(any -> source.head().shelf() == Shelf.IN_USE) // nobody waits for what is in the archive
                        .filter(seen -> !seen.equals(
                                rulebook(source).on(audits.today()).dates().id()))
                        .flatMap(seen -> dates(rulebook(source), seen))
                        .map(seen -> audits.under(source, audits.contextUnderRulesOf(source, seen.from()))))
                .stream()
                .map(ListEffects::reversed)
                .toList();
    }

    /** A variant was last looked at when it was itself, or else when its parent was. */
    private static Optional<String> seenUnder(Source source) {
        return source.head().editionSeen().or(() -> source.parent().flatMap(ListStore.Head::editionSeen));
    }

    private Rulebook rulebook(Source source) {
        return rulebooks.of(audits.rulebook(source));
    }

    private static Optional<Edition.EditionDates> dates(Rulebook rulebook, String id) {
        return rulebook.editions().stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /** The audit under the older edition was taken as what would be; it is what was. */
    private static ListEffect reversed(ListEffect effect) {
        return new ListEffect(
                effect.list(),
                effect.name(),
                effect.after(),
                effect.before(),
                effect.changed().stream()
                        .map(each -> new ListEffect.ChangedEntry(
                                each.entry(), each.number(), each.name(), each.after(), each.before(), each.why()))
                        .toList());
    }

    /** How the entries of a list stand for one of the roster who carries it. */
    public record ForOne(long list, String name, List<EntryFor> entries) {}

    /** An entry and its verdict for them. */
    public record EntryFor(long entry, String number, String name, Verdict verdict) {}

    /** The lists that one of the roster carries, each as it stands for them. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public List<ForOne> forOne(long account, long club, long party) {
        List<Source> sources = service.sources(account, club);
        Map<Long, List<RosterHolder>> carriers =
                store.carriers(sources.stream().map(each -> each.head().id()).toList());
        List<ForOne> all = new ArrayList<>();
        for (Source source : sources) {
            carriers.get(source.head().id()).stream()
                    .filter(each -> each.party() == party)
                    .findFirst()
                    .flatMap(holder -> forOne(source, holder.name()))
                    .ifPresent(all::add);
        }
        return all;
    }

    private Optional<ForOne> forOne(Source source, String name) {
        try {
            Audited audited = audits.of(source);
            List<Holder> holders = audited.audit().auditor().context().holders();
            return IntStream.range(0, holders.size())
                    .filter(i -> holders.get(i).name().equals(name))
                    .boxed()
                    .findFirst()
                    .map(holder -> new ForOne(
                            source.head().id(),
                            source.head().name(),
                            IntStream.range(0, audited.stored().size())
                                    .mapToObj(i -> {
                                        Channel channel =
                                                audited.stored().get(i).channel();
                                        return new EntryFor(
                                                audited.stored().get(i).id(),
                                                channel.number(),
                                                channel.name(),
                                                audited.audit()
                                                        .judgement(i, holder)
                                                        .verdict());
                                    })
                                    .toList()));
        } catch (Unjudgeable problem) {
            return Optional.empty(); // its own row says so
        }
    }

    private interface Other {
        Optional<Audit> of(Source source);
    }

    private List<ListEffect> ofSources(long account, long club, Other other) {
        List<ListEffect> effects = new ArrayList<>();
        for (Source source : service.sources(account, club)) {
            try {
                other.of(source)
                        .map(after -> effect(source, audits.of(source), after))
                        .filter(effect -> !effect.changed().isEmpty())
                        .ifPresent(effects::add);
            } catch (Unjudgeable problem) {
                // its own row says so
            }
        }
        return effects;
    }

    private static ListEffect effect(Source source, Audited before, Audit after) {
        List<ListEffect.ChangedEntry> changed = new ArrayList<>();
        for (int i = 0; i < before.stored().size(); i++) {
            EntryAudit was = before.audit().entry(i);
            EntryAudit is = after.entry(i);
            if (was.verdict() != is.verdict()) {
                String why =
                        first(is).or(() -> first(was)).map(Finding::message).orElse("");
                changed.add(new ListEffect.ChangedEntry(
                        before.stored().get(i).id(),
                        was.channel().number(),
                        was.channel().name(),
                        was.verdict(),
                        is.verdict(),
                        why));
            }
        }
        return new ListEffect(
                source.head().id(),
                source.head().name(),
                DeskWriter.counts(before.audit()),
                DeskWriter.counts(after),
                changed);
    }

    private static Optional<Finding> first(EntryAudit entry) {
        return Optional.ofNullable(DeskWriter.worst(entry));
    }
}
