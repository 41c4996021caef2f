package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** The rulebook as it stands on a day, indexed for questions. Immutable and safe to share. */
public final class Edition {

  private final String rulebook;
  private final EditionDates dates;
  private final String code;
  private final Span plausible;
  private final double frequencyErrorPpm;
  private final List<Service> services;
  private final List<Allocation> allAllocations;
  private final SpanIndex<Allocation> allocations;
  private final String allocationSource;
  private final BandPlan plan;
  private final ToneTable tones;

  /** An edition's identifier and the day it comes into force. */
  public record EditionDates(String id, LocalDate from, String title, String source) {}

  Edition(String rulebook, EditionDates dates, String code, Span plausible, double frequencyErrorPpm,
      List<Service> services, List<Allocation> allocations, String allocationSource, BandPlan plan, ToneTable tones) {
    this.rulebook = rulebook;
    this.dates = dates;
    this.code = code;
    this.plausible = plausible;
    this.frequencyErrorPpm = frequencyErrorPpm;
    this.services = List.copyOf(services);
    this.allAllocations = List.copyOf(allocations);
    this.allocations = SpanIndex.of(allocations, Allocation::span);
    this.allocationSource = allocationSource;
    this.plan = plan;
    this.tones = tones;
  }

  /** The rulebook's identifier. */
  public String rulebook() {
    return rulebook;
  }

  /** Which edition this is. */
  public EditionDates dates() {
    return dates;
  }

  /** A section with the name of the law before it. */
  public String cite(String section) {
    return code + " " + section;
  }

  /** Outside this, a frequency is a slip of the unit. */
  public Span plausible() {
    return plausible;
  }

  /** What a radio's frequency is assumed to be off by, parts per million. */
  public double frequencyErrorPpm() {
    return frequencyErrorPpm;
  }

  /** The services in the rulebook's order. */
  public List<Service> services() {
    return services;
  }

  /** The service with this identifier. */
  public Optional<Service> service(String id) {
    for (Service service : services) {
      if (service.id().equals(id)) {
        return Optional.of(service);
      }
    }
    return Optional.empty();
  }

  /**
   * The services to which a frequency belongs. Where it is a channel of one, those of which it only lies between the
   * channels do not count.
   */
  public List<Service> servicesAt(Frequency frequency) {
    Inclusion[] inclusions = new Inclusion[services.size()];
    boolean onChannel = false;
    int found = 0;
    Service last = null;
    for (int i = 0; i < inclusions.length; i++) {
      Service service = services.get(i);
      inclusions[i] = service.includes(frequency);
      onChannel |= inclusions[i] == Inclusion.EXACT && service instanceof ChannelService;
      if (inclusions[i] != Inclusion.OUTSIDE) {
        found++;
        last = service;
      }
    }
    if (found < 2) {
      return found == 0 ? List.of() : List.of(last);
    }
    List<Service> all = new ArrayList<>(found);
    for (int i = 0; i < inclusions.length; i++) {
      if (inclusions[i] == Inclusion.EXACT || inclusions[i] == Inclusion.NEAR && !onChannel) {
        all.add(services.get(i));
      }
    }
    return all;
  }

  /** Whose frequency it is, by the narrowest row. */
  public Optional<Allocation> allocation(Frequency frequency) {
    List<Allocation> there = allocations.at(frequency.hertz());
    return there.isEmpty() ? Optional.empty() : Optional.of(there.get(0));
  }

  /** All rows of the table of allocations. */
  public List<Allocation> allocations() {
    return allAllocations;
  }

  /** The section of the table of allocations. */
  public String allocationSource() {
    return allocationSource;
  }

  /** The band plan. */
  public BandPlan plan() {
    return plan;
  }

  /** The tone tables. */
  public ToneTable tones() {
    return tones;
  }
}
