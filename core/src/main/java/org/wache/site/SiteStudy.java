package org.wache.site;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.wache.channel.Channel;
import org.wache.rulebook.Nearness;
import org.wache.signal.Span;

/**
 * What the transmitters of one site do to its receivers when any of them may be keyed at one time: products of the third
 * order (2A − B, A − 2B, 2A + B, A + B − C and A + B + C) and the fifth (3A − 2B), harmonics, overlap, nearness.
 *
 * <p>The sums of all pairs are sorted once, and products are found by searching in them: n² log n for n transmitters,
 * though there may be n³ products. Those are counted; only the nearest of each kind are kept. A radio does not listen
 * while it is keyed, so that products of an entry's own transmitter do not count against it. Immutable, safe to share.
 */
public final class SiteStudy {

    /** How many hits of a kind are kept for a receiver. */
    public static final int KEPT = 12;
    /** With more transmitters keyed together products are not worked out: nobody keys them. */
    public static final int MOST_EMITTERS = 1_000;
    /** What the audio adds to each side of a product, hertz: the highest frequency of telephony, 47 CFR 2.202(g). */
    public static final long AUDIO = 3_000;

    private static final int MOST_KNOWN = 10_000;

    private final List<Channel> channels;
    private final List<Integer> positions;
    private final List<Nearness> nearness;
    private final BitSet used = new BitSet();
    private final List<Emitter> emitters;
    private final long[] centres;
    private final long[] deviations;
    /** The emitter of each entry that nobody shares. */
    private final Map<Integer, Integer> ownOf = new HashMap<>();

    private final long widest;
    private final long widestDeviation;
    private final List<SumTable> sums;
    private final Map<Heard, Findings> known = new ConcurrentHashMap<>();

    /**
     * @param channels all entries of the list
     * @param positions those that this site uses
     * @param nearness how near a transmitter may be to a receiver
     */
    public SiteStudy(List<Channel> channels, List<Integer> positions, List<Nearness> nearness) {
        this.channels = channels;
        this.positions = List.copyOf(positions);
        this.nearness = List.copyOf(nearness);
        positions.forEach(used::set);
        this.emitters = emitters(channels, positions);
        this.centres = emitters.stream().mapToLong(Emitter::centre).toArray();
        this.deviations = emitters.stream().mapToLong(Emitter::deviation).toArray();
        for (int i = 0; i < emitters.size(); i++) {
            if (emitters.get(i).entries().size() == 1) {
                ownOf.put(emitters.get(i).entries().get(0), i);
            }
        }
        this.widest =
                emitters.stream().mapToLong(each -> each.span().length()).max().orElse(0);
        this.widestDeviation =
                emitters.stream().mapToLong(Emitter::deviation).max().orElse(0);
        this.sums = complete() ? sums(emitters) : List.of();
    }

    private static List<Emitter> emitters(List<Channel> channels, List<Integer> positions) {
        Map<Long, List<Integer>> byCentre = new TreeMap<>();
        for (int position : positions) {
            channels.get(position).occupied().ifPresent(span -> byCentre.computeIfAbsent(
                            middle(span), any -> new ArrayList<>())
                    .add(position));
        }
        List<Emitter> all = new ArrayList<>();
        byCentre.forEach((centre, entries) -> {
            Channel widest = entries.stream()
                    .map(channels::get)
                    .reduce((a, b) -> a.occupied().orElseThrow().length()
                                    >= b.occupied().orElseThrow().length()
                            ? a
                            : b)
                    .orElseThrow();
            long deviation = entries.stream()
                    .mapToLong(i -> Emitter.deviation(channels.get(i).emission().orElseThrow()))
                    .max()
                    .orElse(0);
            all.add(new Emitter(entries, centre, deviation, widest.occupied().orElseThrow()));
        });
        return List.copyOf(all);
    }

    private static long middle(Span span) {
        return (span.low() + span.high()) / 2;
    }

    private static List<SumTable> sums(List<Emitter> emitters) {
        int n = emitters.size();
        Map<Long, int[]> pairs = new LinkedHashMap<>();
        Map<Long, Integer> counts = new HashMap<>();
        for (int a = 0; a < n; a++) {
            for (int b = a + 1; b < n; b++) {
                long deviation = emitters.get(a).deviation() + emitters.get(b).deviation();
                int count = counts.merge(deviation, 1, Integer::sum);
                int[] some = pairs.computeIfAbsent(deviation, any -> new int[64]);
                if (count > some.length) {
                    some = Arrays.copyOf(some, some.length * 2);
                    pairs.put(deviation, some);
                }
                some[count - 1] = a * n + b;
            }
        }
        return pairs.entrySet().stream()
                .map(each -> new SumTable(each.getKey(), emitters, each.getValue(), counts.get(each.getKey())))
                .toList();
    }

    /** Whether products were worked out: not with more than {@link #MOST_EMITTERS} transmitters. */
    public boolean complete() {
        return emitters.size() <= MOST_EMITTERS;
    }

    /** The frequencies that it transmits on, in order. */
    public List<Emitter> emitters() {
        return emitters;
    }

    /** The same site for a list in which entries changed. */
    public SiteStudy of(List<Channel> changed) {
        return new SiteStudy(changed, positions, nearness);
    }

    /** The entries of the site, in the list's order. */
    public List<Integer> positions() {
        return positions;
    }

    /** Whether it uses an entry. */
    public boolean uses(int position) {
        return used.get(position);
    }

    /** Its receivers, in the list's order. */
    public List<Receiver> receivers() {
        return positions.stream()
                .filter(i -> channels.get(i).receive().isPresent())
                .map(i -> Receiver.of(i, channels.get(i)))
                .toList();
    }

    /** What reaches the receiver of an entry. */
    public Findings at(int entry) {
        return at(entry, channels.get(entry));
    }

    /** What would reach an entry if it were this: its own transmitter does not count, so the others' stay as they are. */
    public Findings at(int entry, Channel changed) {
        if (changed.receive().isEmpty()) {
            return Findings.NONE;
        }
        if (known.size() > MOST_KNOWN) {
            known.clear(); // cures are proved entry by entry: what is asked again was asked a moment ago
        }
        return known.computeIfAbsent(
                new Heard(Receiver.of(entry, changed), changed.occupied()), what -> at(what.receiver(), what.sent()));
    }

    /** What decides what reaches an entry: most cures that are tried leave it as it is. */
    private record Heard(Receiver receiver, Optional<Span> sent) {}

    /** What would reach a receiver; one below 0 has no transmitter of its own. */
    public Findings at(Receiver receiver) {
        return at(
                receiver,
                receiver.entry() < 0
                        ? Optional.empty()
                        : channels.get(receiver.entry()).occupied());
    }

    private Findings at(Receiver receiver, Optional<Span> sent) {
        Collector found = new Collector();
        direct(receiver, sent, found);
        Aside aside = new Aside(
                ownOf.getOrDefault(receiver.entry(), -1),
                Math.max(-1, Arrays.binarySearch(centres, receiver.centre())));
        harmonics(receiver, aside, found);
        if (complete()) {
            products(receiver, 2, 1, Hit.Kind.THIRD_ORDER, aside, found);
            products(receiver, 1, 2, Hit.Kind.THIRD_ORDER, aside, found);
            products(receiver, 2, -1, Hit.Kind.THIRD_ORDER, aside, found);
            sumsOfThree(receiver, aside, found);
            products(receiver, 3, 2, Hit.Kind.FIFTH_ORDER, aside, found);
            triples(receiver, aside, found);
        }
        return found.findings();
    }

    /**
     * The transmitters of which products do not count against a receiver.
     *
     * @param own its own: it does not listen while it is keyed; below 0 for none
     * @param heard the one on its frequency: what it is there to hear; below 0 for none
     */
    private record Aside(int own, int heard) {
        boolean has(int emitter) {
            return emitter == own || emitter == heard;
        }
    }

    private void direct(Receiver receiver, Optional<Span> sent, Collector found) {
        Span heard = new Span(receiver.centre() - receiver.half(), receiver.centre() + receiver.half());
        long least = nearness.stream()
                .filter(row -> row.span().contains(receiver.centre()))
                .mapToLong(Nearness::least)
                .findFirst()
                .orElse(0);
        Span own = sent.orElse(heard);
        long reach = Math.max(least, widest + own.length() + receiver.half());
        around(receiver.centre(), reach, i -> direct(receiver, i, heard, sent, least, found));
        if (middle(own) != receiver.centre()) {
            around(middle(own), widest + own.length(), i -> {
                if (Math.abs(centres[i] - receiver.centre()) > reach) {
                    direct(receiver, i, heard, sent, least, found);
                }
            });
        }
    }

    private interface Index {
        void accept(int emitter);
    }

    private void around(long centre, long reach, Index each) {
        for (int i = SumTable.lowest(centres, centre - reach);
                i < centres.length && centres[i] <= centre + reach;
                i++) {
            each.accept(i);
        }
    }

    private void direct(Receiver receiver, int i, Span heard, Optional<Span> sent, long least, Collector found) {
        Emitter there = emitters.get(i);
        if (there.entries().size() == 1 && there.entries().get(0) == receiver.entry()) {
            return;
        }
        boolean sameTransmit = sent.isPresent() && there.centre() == middle(sent.get());
        Hit.Kind kind = there.centre() == receiver.centre() || sameTransmit
                ? Hit.Kind.CO_CHANNEL
                : there.span().overlaps(heard)
                                || sent.isPresent() && there.span().overlaps(sent.get())
                        ? Hit.Kind.OVERLAP
                        : Math.abs(there.centre() - receiver.centre()) < least ? Hit.Kind.NEAR : null;
        if (kind == null) {
            return;
        }
        found.count(kind, 1);
        if (found.wants(kind, Math.abs(there.centre() - receiver.centre()))) {
            found.keep(new Hit(
                    kind,
                    receiver,
                    List.of(new Hit.Term(1, without(there, receiver.entry()))),
                    there.centre(),
                    there.span().length() / 2));
        }
    }

    private static Emitter without(Emitter emitter, int entry) {
        return !emitter.entries().contains(entry)
                ? emitter
                : new Emitter(
                        emitter.entries().stream().filter(each -> each != entry).toList(),
                        emitter.centre(),
                        emitter.deviation(),
                        emitter.span());
    }

    private void harmonics(Receiver receiver, Aside aside, Collector found) {
        for (int factor = 2; factor <= 3; factor++) {
            long reach = receiver.half() + factor * widestDeviation + AUDIO;
            int from = SumTable.lowest(centres, (receiver.centre() - reach) / factor);
            for (int i = from; i < centres.length && factor * centres[i] <= receiver.centre() + reach; i++) {
                Emitter there = emitters.get(i);
                long half = factor * there.deviation() + AUDIO;
                if (Math.abs(factor * there.centre() - receiver.centre()) < half + receiver.half() && !aside.has(i)) {
                    found.add(new Hit(
                            Hit.Kind.HARMONIC,
                            receiver,
                            List.of(new Hit.Term(factor, there)),
                            factor * there.centre(),
                            half));
                }
            }
        }
    }

    /** Products of two: {@code more}·A − {@code less}·B; the sum where {@code less} is below 0. */
    private void products(Receiver receiver, int more, int less, Hit.Kind kind, Aside aside, Collector found) {
        int size = Math.abs(less);
        long reach = receiver.half() + (more + size) * widestDeviation + AUDIO;
        for (int a = 0; a < centres.length; a++) {
            if (aside.has(a)) {
                continue;
            }
            // What less·B has to be near: more·A − receiver for differences, receiver − more·A for sums.
            long rest = less > 0 ? more * centres[a] - receiver.centre() : receiver.centre() - more * centres[a];
            for (int b = SumTable.lowest(centres, Math.floorDiv(rest - reach, size));
                    b < centres.length && size * centres[b] <= rest + reach;
                    b++) {
                long half = more * deviations[a] + size * deviations[b] + AUDIO;
                long off = Math.abs(rest - size * centres[b]);
                if (a == b || aside.has(b) || off >= half + receiver.half()) {
                    continue;
                }
                found.count(kind, 1);
                if (found.wants(kind, off)) {
                    found.keep(new Hit(
                            kind,
                            receiver,
                            List.of(new Hit.Term(more, emitters.get(a)), new Hit.Term(-less, emitters.get(b))),
                            more * centres[a] - less * centres[b],
                            half));
                }
            }
        }
    }

    /** Sums of three, A + B + C: sums of two that lie around receiver − C; each three once. */
    private void sumsOfThree(Receiver receiver, Aside aside, Collector found) {
        for (int c = 0;
                c < centres.length && 3 * centres[c] <= receiver.centre() + 4 * (widestDeviation + AUDIO);
                c++) {
            if (aside.has(c)) {
                continue;
            }
            for (SumTable table : sums) {
                long half = table.deviation + deviations[c] + AUDIO;
                long reach = half + receiver.half();
                long target = receiver.centre() - centres[c];
                for (int at = table.from(target - reach + 1); at < table.from(target + reach); at++) {
                    int a = table.first(at);
                    int b = table.second(at);
                    if (c >= Math.min(a, b) || aside.has(a) || aside.has(b)) {
                        continue; // C is the lowest of the three
                    }
                    found.count(Hit.Kind.THIRD_ORDER, 1);
                    if (found.wants(Hit.Kind.THIRD_ORDER, Math.abs(table.sum(at) - target))) {
                        found.keep(new Hit(
                                Hit.Kind.THIRD_ORDER,
                                receiver,
                                List.of(
                                        new Hit.Term(1, emitters.get(a)),
                                        new Hit.Term(1, emitters.get(b)),
                                        new Hit.Term(1, emitters.get(c))),
                                table.sum(at) + centres[c],
                                half));
                    }
                }
            }
        }
    }

    /** Products of three, A + B − C: sums of two that lie around receiver + C. */
    private void triples(Receiver receiver, Aside aside, Collector found) {
        for (int c = 0; c < centres.length; c++) {
            if (aside.has(c)) {
                continue;
            }
            for (SumTable table : sums) {
                triples(receiver, c, table, aside, found);
            }
        }
    }

    private void triples(Receiver receiver, int c, SumTable table, Aside aside, Collector found) {
        long half = table.deviation + deviations[c] + AUDIO;
        long reach = half + receiver.half();
        long target = receiver.centre() + centres[c];
        int from = table.from(target - reach + 1);
        int to = table.from(target + reach);
        if (from >= to) {
            return;
        }
        long count = to - from - excluded(receiver, c, table, aside, reach);
        if (count <= 0) {
            return;
        }
        found.count(Hit.Kind.THIRD_ORDER, count);
        int up = table.from(target);
        int down = up - 1;
        for (int kept = 0; kept < KEPT && (up < to || down >= from); ) {
            boolean upper = down < from || up < to && table.sum(up) - target <= target - table.sum(down);
            int at = upper ? up++ : down--;
            long off = Math.abs(table.sum(at) - target);
            if (!found.wants(Hit.Kind.THIRD_ORDER, off)) {
                return;
            }
            int a = table.first(at);
            int b = table.second(at);
            if (a != c && b != c && !aside.has(a) && !aside.has(b)) {
                found.keep(new Hit(
                        Hit.Kind.THIRD_ORDER,
                        receiver,
                        List.of(
                                new Hit.Term(1, emitters.get(a)),
                                new Hit.Term(1, emitters.get(b)),
                                new Hit.Term(-1, emitters.get(c))),
                        table.sum(at) - centres[c],
                        half));
                kept++;
            }
        }
    }

    /** How many of the sums in reach hold C, the receiver's own transmitter, or what it is there to hear. */
    private long excluded(Receiver receiver, int c, SumTable table, Aside aside, long reach) {
        long count = 0;
        int[] out = {c, aside.own(), aside.heard()};
        for (int k = 0; k < out.length; k++) {
            int fixed = out[k];
            if (fixed < 0 || k == 2 && aside.heard() == aside.own()) {
                continue;
            }
            long rest = receiver.centre() + centres[c] - centres[fixed];
            for (int x = SumTable.lowest(centres, rest - reach + 1);
                    x < centres.length && centres[x] < rest + reach;
                    x++) {
                boolean counted = x == fixed || k > 0 && x == c || k > 1 && x == aside.own();
                if (!counted && deviations[x] + deviations[fixed] == table.deviation) {
                    count++;
                }
            }
        }
        return count;
    }

    /** Counts the hits of a receiver and keeps the nearest of each kind. */
    private static final class Collector {
        private final Map<Hit.Kind, Long> counts = new EnumMap<>(Hit.Kind.class);
        private final Map<Hit.Kind, List<Hit>> nearest = new EnumMap<>(Hit.Kind.class);

        void add(Hit hit) {
            count(hit.kind(), 1);
            keep(hit);
        }

        void count(Hit.Kind kind, long more) {
            counts.merge(kind, more, Long::sum);
        }

        /** Whether a hit so far off would be among the nearest. */
        boolean wants(Hit.Kind kind, long off) {
            List<Hit> kept = nearest.getOrDefault(kind, List.of());
            return kept.size() < KEPT || off < kept.get(kept.size() - 1).off();
        }

        void keep(Hit hit) {
            if (!wants(hit.kind(), hit.off())) {
                return;
            }
            List<Hit> kept = nearest.computeIfAbsent(hit.kind(), any -> new ArrayList<>(KEPT + 1));
            int at = kept.size();
            while (at > 0 && kept.get(at - 1).off() > hit.off()) {
                at--;
            }
            kept.add(at, hit);
            if (kept.size() > KEPT) {
                kept.remove(KEPT);
            }
        }

        Findings findings() {
            if (counts.isEmpty()) {
                return Findings.NONE;
            }
            Map<Hit.Kind, List<Hit>> copy = new EnumMap<>(Hit.Kind.class);
            nearest.forEach((kind, hits) -> copy.put(kind, List.copyOf(hits)));
            return new Findings(counts, copy);
        }
    }
}
