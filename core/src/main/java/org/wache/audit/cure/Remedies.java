package org.wache.audit.cure;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * Proves cures. Each is applied to a copy of the entry and audited for everyone who carries the list. It is offered when its
 * finding is gone for those whom it concerns and nobody is worse off; who stays on hold for other reasons is named. Where those
 * whom it concerns have further holds, the first cures of these are added to it, round by round, so that an entry with three
 * faults is offered one press that cures all three; never for the sake of somebody else, and never by falling silent.
 */
public final class Remedies {

    private static final int MOST_ROUNDS = 5;

    private final Audit audit;
    private final int position;
    private final Map<Channel, EntryAudit> tried = new HashMap<>();

    public Remedies(Audit audit, int position) {
        this.audit = audit;
        this.position = position;
    }

    /**
     * The proved cures of one finding, the least intrusive first: those that help alone, then those that needed others
     * added, and listening only last. Cures that end in the same entry are told once.
     */
    public List<ProvedRemedy> of(Finding finding) {
        List<Integer> concerned = concerned(finding);
        Map<Channel, ProvedRemedy> alone = new LinkedHashMap<>();
        Map<Channel, ProvedRemedy> completed = new LinkedHashMap<>();
        Map<Channel, ProvedRemedy> listening = new LinkedHashMap<>();
        for (Change change : finding.cures()) {
            Change whole = completed(change, concerned);
            Channel end = apply(whole);
            if (end.equals(audit.entry(position).channel()) || !cures(trial(end), finding, concerned)) {
                continue;
            }
            Map<Channel, ProvedRemedy> kind =
                    end.transmit().isEmpty() ? listening : whole == change ? alone : completed;
            kind.putIfAbsent(
                    end, new ProvedRemedy(trimmed(whole), verdict(trial(end), concerned), stillHeld(trial(end))));
        }
        completed.forEach(alone::putIfAbsent);
        listening.forEach(alone::putIfAbsent);
        return List.copyOf(alone.values());
    }

    /** The places of the judgements that have the finding; all of them where it is of the entry itself. */
    private List<Integer> concerned(Finding finding) {
        EntryAudit entry = audit.entry(position);
        List<Integer> all =
                IntStream.range(0, entry.judgements().size()).boxed().toList();
        List<Integer> some = all.stream()
                .filter(i -> entry.judgements().get(i).findings().stream().anyMatch(each -> same(each, finding)))
                .toList();
        return some.isEmpty() ? all : some;
    }

    private static boolean same(Finding one, Finding other) {
        return one == other
                || one.slug() == other.slug()
                        && one.service().equals(other.service())
                        && one.radio().equals(other.radio())
                        && one.severity() == other.severity();
    }

    /** Whether nothing of the finding is left for those whom it concerns, no hold took its place, and nobody is worse off. */
    private boolean cures(EntryAudit after, Finding finding, List<Integer> concerned) {
        EntryAudit before = audit.entry(position);
        if (after.own().stream()
                .anyMatch(each -> comesBack(each, finding) || each.holds() && isNew(each, before.own()))) {
            return false;
        }
        boolean falls = before.channel().transmit().isPresent()
                && after.channel().transmit().isEmpty();
        for (int i = 0; i < before.judgements().size(); i++) {
            if (worse(
                    before.judgements().get(i).verdict(),
                    after.judgements().get(i).verdict(),
                    falls && !(concerned.contains(i) && !finding.holds()))) {
                return false;
            }
        }
        boolean ofEntry = finding.radio().isEmpty() && before.own().stream().anyMatch(each -> same(each, finding));
        if (!ofEntry
                && concerned.stream().allMatch(i -> after.judgements().get(i).verdict() == Verdict.HOLD)) {
            return false; // nobody could key it any more than before
        }
        for (int i : concerned) {
            List<Finding> was = before.judgements().get(i).findings();
            if (after.judgements().get(i).findings().stream()
                    .anyMatch(each -> comesBack(each, finding) || each.holds() && isNew(each, was))) {
                return false;
            }
        }
        return true;
    }

    /** A query may take the place of a hold of the same rule. */
    private static boolean comesBack(Finding after, Finding cured) {
        return after.slug() == cured.slug() && (after.holds() || !cured.holds());
    }

    private static boolean isNew(Finding hold, List<Finding> before) {
        return before.stream().noneMatch(each -> each.slug() == hold.slug());
    }

    /**
     * From clear to a query is worse, and from talking to listening where that is the loss of somebody whom the finding does not
     * concern, or of whom it stops; from hold to anything is better.
     */
    private static boolean worse(Verdict before, Verdict after, boolean silenced) {
        return switch (before) {
            case HOLD -> false;
            case CLEAR -> after == Verdict.HOLD || after == Verdict.QUERY || silenced;
            case QUERY -> after == Verdict.HOLD || silenced;
            case LISTEN -> after == Verdict.HOLD;
        };
    }

    private static Verdict verdict(EntryAudit after, List<Integer> concerned) {
        return concerned.stream()
                .map(i -> after.judgements().get(i).verdict())
                .reduce(Verdict::worse)
                .orElse(after.verdict());
    }

    private List<String> stillHeld(EntryAudit after) {
        return IntStream.range(0, after.judgements().size())
                .filter(i -> after.judgements().get(i).verdict() == Verdict.HOLD)
                .boxed()
                .flatMap(i -> audit.auditor().holdersOf(i).stream())
                .toList();
    }

    /** The change with what else it needs to leave those whom it concerns no hold, as far as there is a cure that still talks. */
    private Change completed(Change change, List<Integer> concerned) {
        Change so = change;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Channel now = apply(so);
            if (now.transmit().isEmpty()) {
                return so;
            }
            EntryAudit after = trial(now);
            Change current = so;
            Change next = Stream.concat(
                            after.own().stream(),
                            concerned.stream().flatMap(i -> after.judgements().get(i).findings().stream()))
                    .filter(Finding::holds)
                    .flatMap(left -> left.cures().stream().limit(1))
                    .filter(more -> !overrides(more, change))
                    .map(current::and)
                    .filter(both ->
                            !apply(both).equals(now) && apply(both).transmit().isPresent())
                    .findFirst()
                    .orElse(null);
            if (next == null) {
                return so;
            }
            so = next;
        }
        return so;
    }

    /** Whether the addition would undo what the change set. */
    private static boolean overrides(Change addition, Change change) {
        return addition.fields().entrySet().stream()
                .anyMatch(each -> change.fields().containsKey(each.getKey())
                        && !Objects.equals(change.fields().get(each.getKey()), each.getValue()));
    }

    private Channel apply(Change change) {
        return audit.entry(position).channel().with(change.fields());
    }

    private EntryAudit trial(Channel channel) {
        return tried.computeIfAbsent(channel, each -> audit.tried(position, each));
    }

    /** Without the fields that it leaves as they are. */
    private Change trimmed(Change change) {
        Channel before = audit.entry(position).channel();
        Map<Field, String> changes = new java.util.EnumMap<>(Field.class);
        change.fields().forEach((field, text) -> {
            if (!before.text(field).equals(text)) {
                changes.put(field, text);
            }
        });
        return new Change(change.label(), changes);
    }
}
