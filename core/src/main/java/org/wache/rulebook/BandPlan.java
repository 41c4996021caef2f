package org.wache.rulebook;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A voluntary band plan: what the users of a service agreed to keep each part for. */
public final class BandPlan {

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
        .mapToLong(row -> row.span().low()).sorted().toArray();
    this.sidebandBreak = sidebandBreak;
    this.upperBelowBreak = List.copyOf(upperBelowBreak);
  }

  /** What to name as its source. */
  public String source() {
    return source;
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

  /** The single frequencies kept for beacons that lie inside a signal; nearly always none. */
  public Optional<PlanRow> beaconWithin(Span signal) {
    int from = Arrays.binarySearch(beacons, signal.low());
    int first = from < 0 ? -from - 1 : from;
    return first < beacons.length && beacons[first] <= signal.high()
        ? rowAt(new Frequency(beacons[first])) : Optional.empty();
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
