package org.wache.audit.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.Verdict;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/**
 * The least intrusive set of cures for a whole list: for each entry the proved remedy that changes least of what the
 * entry is for. Weaker and narrower come before tones, tones before other frequencies, and listening only is the last
 * resort; of two exact copies the later one is dropped. Nothing is changed here: the set is a proposal.
 */
public final class CurePlan {

    /** What a change of a field costs; a frequency is what an entry is about. */
    private static final Map<Field, Integer> COST = Map.of(
            Field.POWER_W,
            2,
            Field.NUMBER,
            1,
            Field.TIMEOUT_S,
            1,
            Field.MODE,
            3,
            Field.EMISSION,
            1,
            Field.TX_TONE,
            4,
            Field.RX_TONE,
            4,
            Field.USE,
            1,
            Field.RX_MHZ,
            8,
            Field.TX_MHZ,
            8);

    private static final int LISTEN_ONLY = 60;
    private static final int OTHER_FIELD = 2;
    private static final int STILL_A_QUERY = 1;
    private static final int STILL_HELD = 30;
    private static final int MOST_ROUNDS = 6;

    private final List<Step> steps;
    private final List<Integer> left;
    private final Audit after;

    /** Which entries are cured. */
    public enum Scope {
        HOLDS,
        HOLDS_AND_QUERIES
    }

    /**
     * One entry's cure.
     *
     * @param position the entry in the list as it was, from 0
     * @param changes new texts by field; empty when the entry is dropped
     * @param drop whether the entry leaves the list
     * @param labels what the cures say they do
     * @param before verdict as it was
     * @param after verdict with all the cures of the list applied
     */
    public record Step(
            int position,
            Map<Field, String> changes,
            boolean drop,
            List<String> labels,
            Verdict before,
            Verdict after) {}

    private CurePlan(List<Step> steps, List<Integer> left, Audit after) {
        this.steps = List.copyOf(steps);
        this.left = List.copyOf(left);
        this.after = after;
    }

    /** Works out the set for a list. */
    public static CurePlan of(Audit audit, Scope scope) {
        return of(audit, scope, true);
    }

    /**
     * Works out the set for a list.
     *
     * @param silencing whether an entry on hold may be made to listen only; not where nobody said yet who carries the list, or
     *     all of it would fall silent
     */
    public static CurePlan of(Audit audit, Scope scope, boolean silencing) {
        List<Channel> before = audit.list().channels();
        Map<Integer, List<String>> labels = new java.util.TreeMap<>();
        List<Integer> dropped = scope == Scope.HOLDS ? List.of() : copies(audit);
        Audit now = dropped.isEmpty() ? audit : without(audit, dropped);
        int[] origin = IntStream.range(0, before.size())
                .filter(i -> !dropped.contains(i))
                .toArray();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Audit cured = round(now, origin, labels, scope, silencing);
            if (cured == now) {
                break;
            }
            now = cured;
        }
        return collected(audit, now, origin, dropped, labels, scope);
    }

    /**
     * Cures each entry once. A new number has to differ from those just given, so it is given at once; all else is applied
     * together and audited in one go, and what disturbs something else is left to the next round.
     */
    private static Audit round(
            Audit before, int[] origin, Map<Integer, List<String>> labels, Scope scope, boolean silencing) {
        Audit now = before;
        Map<Integer, Channel> together = new java.util.TreeMap<>();
        for (int i = 0; i < origin.length; i++) {
            Optional<ProvedRemedy> best =
                    wants(now.entry(i).verdict(), scope) ? best(now, i, silencing) : Optional.empty();
            if (best.isEmpty()) {
                continue;
            }
            Map<Field, String> fields = best.get().change().fields();
            labels.computeIfAbsent(origin[i], any -> new ArrayList<>())
                    .add(best.get().change().label());
            if (fields.containsKey(Field.NUMBER)) {
                now = now.with(i, now.changed(i, fields));
            } else {
                together.put(i, now.changed(i, fields));
            }
        }
        if (together.isEmpty()) {
            return now;
        }
        List<Channel> channels = new ArrayList<>(now.list().channels());
        together.forEach(channels::set);
        return now.auditor().audit(new ChannelList(now.list().name(), now.list().extraColumns(), channels));
    }

    private static CurePlan collected(
            Audit audit,
            Audit now,
            int[] origin,
            List<Integer> dropped,
            Map<Integer, List<String>> labels,
            Scope scope) {
        List<Step> steps = new ArrayList<>();
        List<Integer> left = new ArrayList<>();
        dropped.forEach(i -> steps.add(new Step(
                i, Map.of(), true, List.of("Drop the copy"), audit.entry(i).verdict(), Verdict.CLEAR)));
        for (int i = 0; i < origin.length; i++) {
            Channel was = audit.entry(origin[i]).channel();
            Channel is = now.entry(i).channel();
            Map<Field, String> changes = new java.util.EnumMap<>(Field.class);
            for (Field field : Field.values()) {
                if (!was.text(field).equals(is.text(field))) {
                    changes.put(field, is.text(field));
                }
            }
            if (!changes.isEmpty()) {
                steps.add(new Step(
                        origin[i],
                        changes,
                        false,
                        labels.get(origin[i]),
                        audit.entry(origin[i]).verdict(),
                        now.entry(i).verdict()));
            }
            if (wants(now.entry(i).verdict(), scope)) {
                left.add(origin[i]);
            }
        }
        steps.sort(Comparator.comparingInt(Step::position));
        return new CurePlan(steps, left, now);
    }

    private static boolean wants(Verdict verdict, Scope scope) {
        return verdict == Verdict.HOLD || verdict == Verdict.QUERY && scope == Scope.HOLDS_AND_QUERIES;
    }

    /** Entries that say again what an earlier one said: same frequencies, tones, codes, mode and power. */
    private static List<Integer> copies(Audit audit) {
        List<Integer> copies = new ArrayList<>();
        java.util.Set<List<String>> seen = new java.util.HashSet<>();
        for (int i = 0; i < audit.entries().size(); i++) {
            Channel channel = audit.entry(i).channel();
            boolean duplicate = audit.entry(i).own().stream().anyMatch(each -> each.slug() == Slug.DUPLICATE_CHANNEL);
            List<String> key = List.of(
                    channel.receive().toString(),
                    channel.transmit().toString(),
                    channel.sends().toString(),
                    channel.opensOn().toString(),
                    channel.emission().toString(),
                    channel.power().toString(),
                    channel.digital().toString());
            if (!seen.add(key) && duplicate) {
                copies.add(i);
            }
        }
        return copies;
    }

    private static Audit without(Audit audit, List<Integer> dropped) {
        List<Channel> kept = IntStream.range(0, audit.entries().size())
                .filter(i -> !dropped.contains(i))
                .mapToObj(i -> audit.entry(i).channel())
                .toList();
        return audit.auditor()
                .audit(new ChannelList(audit.list().name(), audit.list().extraColumns(), kept));
    }

    /** The cheapest remedy of an entry that makes it better. */
    private static Optional<ProvedRemedy> best(Audit audit, int position, boolean silencing) {
        EntryAudit entry = audit.entry(position);
        Remedies remedies = new Remedies(audit, position);
        boolean held = entry.verdict() == Verdict.HOLD;
        return Audit.findings(entry).stream()
                .filter(finding -> finding.holds() == held)
                .flatMap(finding -> remedies.of(finding).stream())
                .filter(remedy -> held || remedy.verdictAfter() == Verdict.CLEAR)
                .filter(remedy -> held && silencing || !silences(remedy, entry.channel()))
                .min(Comparator.comparingInt(remedy -> cost(remedy, entry.channel())));
    }

    /** A query is no reason to stop an entry from talking. */
    private static boolean silences(ProvedRemedy remedy, Channel channel) {
        return channel.transmit().isPresent()
                && channel.with(remedy.change().fields()).transmit().isEmpty();
    }

    private static int cost(ProvedRemedy remedy, Channel channel) {
        int cost = (remedy.verdictAfter() == Verdict.QUERY ? STILL_A_QUERY : 0)
                + (remedy.stillHeld().isEmpty() ? 0 : STILL_HELD);
        if (silences(remedy, channel)) {
            return cost + LISTEN_ONLY;
        }
        for (Map.Entry<Field, String> each : remedy.change().fields().entrySet()) {
            cost += channel.text(each.getKey()).equals(each.getValue())
                    ? 0
                    : COST.getOrDefault(each.getKey(), OTHER_FIELD);
        }
        return cost;
    }

    /** The cures by entry, in the list's order. */
    public List<Step> steps() {
        return steps;
    }

    /** The entries that stay as bad as they are: there is no proved cure for them. */
    public List<Integer> left() {
        return left;
    }

    /** The list with all of it applied, audited; dropped entries are missing from it. */
    public Audit after() {
        return after;
    }
}
