package org.wache.rulebook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.place.Area;
import org.wache.place.Inside;
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
    private final List<Service>[] combinations;
    /** What was asked for last, by frequency: the cures of an entry are tried on the same few over and over. */
    private final Known[] known = new Known[1 << KNOWN_BITS];

    private final List<Allocation> allAllocations;
    private final SpanIndex<Allocation> allocations;
    private final String allocationSource;
    private final BandPlan plan;
    private final ToneTable tones;
    private final ChannelNames channelNames;
    private final Listening listening;
    private final Geography geography;
    private final RegionSets regionSets;
    private final MeasurementLimits measurementLimits;
    private final Stations stations;
    private final Country country;
    private final List<String> additions;

    private static final int KNOWN_BITS = 10;

    private record Known(long hertz, List<Service> services) {}

    /** What holds for stations: the country's limits of exposure, and what is known everywhere. */
    record Stations(ExposureLimits exposure, StationData data) {}

    /** An edition's identifier and the day it comes into force. */
    public record EditionDates(String id, LocalDate from, String title, String source) {}

    Edition(
            String rulebook,
            EditionDates dates,
            String code,
            Span plausible,
            double frequencyErrorPpm,
            List<Service> services,
            List<Allocation> allocations,
            String allocationSource,
            BandPlan plan,
            ToneTable tones,
            ChannelNames channelNames,
            Listening listening,
            Geography geography,
            RegionSets regionSets,
            MeasurementLimits measurementLimits,
            Stations stations,
            Country country,
            List<String> additions) {
        this.rulebook = rulebook;
        this.dates = dates;
        this.code = code;
        this.plausible = plausible;
        this.frequencyErrorPpm = frequencyErrorPpm;
        this.services = List.copyOf(services);
        this.combinations = combinations(services.size());
        this.allAllocations = List.copyOf(allocations);
        this.allocations = SpanIndex.of(allocations, Allocation::span);
        this.allocationSource = allocationSource;
        this.plan = plan;
        this.tones = tones;
        this.channelNames = channelNames;
        this.listening = listening;
        this.geography = geography;
        this.regionSets = regionSets;
        this.measurementLimits = measurementLimits;
        this.stations = stations;
        this.country = country;
        this.additions = List.copyOf(additions);
    }

    /** The same edition with another band plan, such as one with a local overlay. */
    public Edition withPlan(BandPlan other) {
        return new Edition(
                rulebook,
                dates,
                code,
                plausible,
                frequencyErrorPpm,
                services,
                allAllocations,
                allocationSource,
                other,
                tones,
                channelNames,
                listening,
                geography,
                regionSets,
                measurementLimits,
                stations,
                country,
                additions);
    }

    /** The edition with what is allowed in some places only, where all of the area lies in them. */
    public Edition at(Area used) {
        List<Service> there = services.stream()
                .map(service -> service instanceof BandService bands
                        ? bands.in(zone -> geography
                                .zone(zone)
                                .flatMap(each -> each.inside(used, geography.outlines()))
                                .filter(inside -> inside == Inside.ALL)
                                .isPresent())
                        : service)
                .toList();
        return there.equals(services)
                ? this
                : new Edition(
                        rulebook,
                        dates,
                        code,
                        plausible,
                        frequencyErrorPpm,
                        there,
                        allAllocations,
                        allocationSource,
                        plan,
                        tones,
                        channelNames,
                        listening,
                        geography,
                        regionSets,
                        measurementLimits,
                        stations,
                        country,
                        additions);
    }

    @SuppressWarnings({"unchecked", "rawtypes"}) // Java has no arrays of generic lists
    private static List<Service>[] combinations(int services) {
        return new List[1 << services];
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
        int slot = (int) (frequency.hertz() * 0x9E3779B97F4A7C15L >>> Long.SIZE - KNOWN_BITS);
        Known last = known[slot];
        if (last == null || last.hertz() != frequency.hertz()) {
            last = new Known(frequency.hertz(), workedOut(frequency));
            known[slot] = last; // a race works the same out twice
        }
        return last.services();
    }

    private List<Service> workedOut(Frequency frequency) {
        int exact = 0;
        int near = 0;
        boolean onChannel = false;
        for (int i = 0; i < services.size(); i++) {
            Inclusion inclusion = services.get(i).includes(frequency);
            if (inclusion == Inclusion.EXACT) {
                exact |= 1 << i;
                onChannel |= services.get(i) instanceof ChannelService;
            } else if (inclusion == Inclusion.NEAR) {
                near |= 1 << i;
            }
        }
        int found = onChannel ? exact : exact | near;
        List<Service> combined = combinations[found];
        if (combined == null) {
            List<Service> all = new ArrayList<>();
            for (int i = 0; i < services.size(); i++) {
                if ((found >> i & 1) != 0) {
                    all.add(services.get(i));
                }
            }
            combined = List.copyOf(all);
            combinations[found] = combined; // a race makes the same value twice
        }
        return combined;
    }

    /** The service that the band plan is for: the one with bands and classes, where the country has one. */
    public Optional<BandService> planned() {
        return service(plan.service()).filter(BandService.class::isInstance).map(BandService.class::cast);
    }

    /** Of the services to which a frequency belongs those that are open to who is not aboard a vessel or an aircraft. */
    public List<Service> ashoreAt(Frequency frequency) {
        return servicesAt(frequency).stream()
                .filter(service -> !service.traits().terms().aboardOnly())
                .toList();
    }

    /** Whether anybody is known to use the frequency: a service or a row of the table of allocations. */
    public boolean isSomeones(Frequency frequency) {
        if (!allocations.at(frequency.hertz()).isEmpty()) {
            return true;
        }
        for (int i = 0; i < services.size(); i++) {
            if (services.get(i).includes(frequency) != Inclusion.OUTSIDE) {
                return true;
            }
        }
        return false;
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

    /** What personal radios call their channels. */
    public ChannelNames channelNames() {
        return channelNames;
    }

    /** Channels of services that a club only listens to. */
    public Listening listening() {
        return listening;
    }

    /** What radios are held against on the bench. */
    public MeasurementLimits measurementLimits() {
        return measurementLimits;
    }

    /** The band limits that radios are set to for countries. */
    public RegionSets regionSets() {
        return regionSets;
    }

    /** How near a transmitter may be to a receiver of the same site. */
    public List<Nearness> nearness() {
        return stations.data().nearness();
    }

    /** The limits of exposure to radio waves. */
    public ExposureLimits exposure() {
        return stations.exposure();
    }

    /** What is known of stations, whatever the country. */
    public StationData stations() {
        return stations.data();
    }

    /** The country that it holds in. */
    public Country country() {
        return country;
    }

    /** The texts of the additions ({@code wache-rulebook/1}) to the rulebook as it ships. */
    public List<String> additions() {
        return additions;
    }

    /** What it says of places. */
    public Geography geography() {
        return geography;
    }

    /** The tone tables. */
    public ToneTable tones() {
        return tones;
    }
}
