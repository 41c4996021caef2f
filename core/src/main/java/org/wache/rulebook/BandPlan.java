package org.wache.rulebook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A voluntary band plan: what the users of a service agreed to keep each part for. */
public final class BandPlan {

    /** The source of a group's own rows. */
    private static final String LOCAL = "local overlay of the group's band plan";

    private final String source;
    private final String service;
    private final List<PlanRow> rows;
    private final SpanIndex<PlanRow> index;
    private final long[] beacons;
    private final long sidebandBreak;
    private final List<Span> upperBelowBreak;

    BandPlan(String source, String service, List<PlanRow> rows, long sidebandBreak, List<Span> upperBelowBreak) {
        this.source = source;
        this.service = service;
        this.rows = List.copyOf(rows);
        this.index = SpanIndex.of(rows, PlanRow::span);
        this.beacons = rows.stream()
                .filter(row -> row.span().length() == 0 && row.uses().contains(PlanUse.BEACON))
                .mapToLong(row -> row.span().low())
                .sorted()
                .toArray();
        this.sidebandBreak = sidebandBreak;
        this.upperBelowBreak = List.copyOf(upperBelowBreak);
    }

    /** What to name as its source. */
    public String source() {
        return source;
    }

    /** What to name as the source of one of its rows. */
    public String source(PlanRow row) {
        return row.local() ? LOCAL : source;
    }

    /**
     * The plan with a group's own rows. A local range replaces what the plan says between its ends; single frequencies of
     * the plan stay, unless a local row names the same one.
     */
    public BandPlan overlaid(List<PlanRow> local) {
        if (local.isEmpty()) {
            return this;
        }
        List<Span> ranges = local.stream()
                .map(PlanRow::span)
                .filter(span -> span.length() > 0)
                .toList();
        List<PlanRow> all = new ArrayList<>(local);
        for (PlanRow row : rows) {
            if (row.span().length() == 0) {
                if (local.stream().noneMatch(each -> each.span().equals(row.span()))) {
                    all.add(row);
                }
            } else {
                without(row.span(), ranges).forEach(part -> all.add(row.over(part)));
            }
        }
        return new BandPlan(source, service, all, sidebandBreak, upperBelowBreak);
    }

    private static List<Span> without(Span whole, List<Span> taken) {
        List<Span> left = List.of(whole);
        for (Span each : taken) {
            List<Span> next = new ArrayList<>();
            for (Span part : left) {
                if (!part.overlaps(each)) {
                    next.add(part);
                    continue;
                }
                if (part.low() < each.low()) {
                    next.add(new Span(part.low(), each.low()));
                }
                if (part.high() > each.high()) {
                    next.add(new Span(each.high(), part.high()));
                }
            }
            left = next;
        }
        return left;
    }

    /** The service it is for. */
    public String service() {
        return service;
    }

    /** Its rows in the order of the file. */
    public List<PlanRow> rows() {
        return rows;
    }

    /** The rows that hold a frequency: the narrowest first; at a shared end both. */
    public List<PlanRow> at(Frequency frequency) {
        return index.at(frequency.hertz());
    }

    /** The row that counts for a frequency: the narrowest. */
    public Optional<PlanRow> rowAt(Frequency frequency) {
        List<PlanRow> there = at(frequency);
        return there.isEmpty() ? Optional.empty() : Optional.of(there.get(0));
    }

    /**
     * The rows that count for a frequency: the narrowest, and where it is an end that a range shares with others, these too.
     */
    public List<PlanRow> counting(Frequency frequency) {
        List<PlanRow> there = at(frequency);
        if (there.size() < 2 || there.get(0).span().length() == 0) {
            return there.isEmpty() ? there : there.subList(0, 1);
        }
        long hertz = frequency.hertz();
        boolean atEnd =
                there.get(0).span().low() == hertz || there.get(0).span().high() == hertz;
        return atEnd
                ? there.stream()
                        .filter(row -> row.span().low() == hertz || row.span().high() == hertz)
                        .toList()
                : there.subList(0, 1);
    }

    /** The nearest range under a frequency that lies in none, and the nearest above it. */
    public List<PlanRow> around(Frequency frequency) {
        PlanRow below = null;
        PlanRow above = null;
        for (PlanRow row : rows) {
            if (row.span().length() == 0) {
                continue;
            }
            if (row.span().high() < frequency.hertz()
                    && (below == null || row.span().high() > below.span().high())) {
                below = row;
            } else if (row.span().low() > frequency.hertz()
                    && (above == null || row.span().low() < above.span().low())) {
                above = row;
            }
        }
        return java.util.stream.Stream.of(below, above)
                .filter(java.util.Objects::nonNull)
                .toList();
    }

    /** Whether an upper sideband with this dial is by habit the carrier of sound-card data. */
    public boolean dataDial(Frequency dial) {
        return at(dial).stream().anyMatch(row -> row.uses().contains(PlanUse.DATA_DIAL));
    }

    /** The single frequencies kept for beacons that lie inside a signal; nearly always none. */
    public Optional<PlanRow> beaconWithin(Span signal) {
        int from = Arrays.binarySearch(beacons, signal.low());
        int first = from < 0 ? -from - 1 : from;
        return first < beacons.length && beacons[first] <= signal.high()
                ? rowAt(new Frequency(beacons[first]))
                : Optional.empty();
    }

    /** Whether voice there is on the lower sideband by habit. */
    public boolean lowerSidebandAt(Frequency frequency) {
        if (frequency.hertz() >= sidebandBreak) {
            return false;
        }
        for (Span span : upperBelowBreak) {
            if (span.contains(frequency)) {
                return false;
            }
        }
        return true;
    }
}
