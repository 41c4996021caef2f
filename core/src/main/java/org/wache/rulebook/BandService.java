package org.wache.rulebook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A service with bands, in which the class decides who may fill which part with what: the amateur service. */
public final class BandService extends Service {

    private static final int CONTENT_SETS = 1 << Content.values().length;

    private final List<Grant> grants;
    private final List<LocalGrant> local;
    private final SpanIndex<Grant> byFrequency;
    private final List<ClassLimit> allPower;
    private final List<ContentLimit> allWidth;
    private final SpanIndex<ClassLimit> power;
    private final SpanIndex<ContentLimit> width;
    private final SpanIndex<Ban> bans;
    private final List<Ban> allBans;
    private final FixedChannels channels;
    private final List<Grant> channelised;
    private final SpanIndex<Grant> channelisedAt;
    private final List<Room[][]> rooms = new ArrayList<>();

    /** A power limit with where it holds and for which classes (bits by class index). */
    record ClassLimit(Span span, int classes, PowerLimit limit) {}

    /** A width limit with where it holds and for which contents. */
    record ContentLimit(Span span, int contents, WidthLimit limit) {}

    /** A grant that holds in a zone only. */
    record LocalGrant(String zone, Grant grant) {}

    BandService(
            ServiceTraits traits,
            List<Grant> grants,
            List<LocalGrant> local,
            List<Grant> channelised,
            FixedChannels channels,
            List<ClassLimit> power,
            List<ContentLimit> width,
            List<Ban> bans) {
        super(traits);
        this.grants = List.copyOf(grants);
        this.byFrequency = SpanIndex.of(grants, Grant::span);
        this.local = List.copyOf(local);
        this.allPower = List.copyOf(power);
        this.allWidth = List.copyOf(width);
        this.channelised = List.copyOf(channelised);
        this.channelisedAt = SpanIndex.of(channelised, Grant::span);
        this.channels = channels;
        this.power = SpanIndex.of(power, ClassLimit::span);
        this.width = SpanIndex.of(width, ContentLimit::span);
        this.bans = SpanIndex.of(bans, Ban::span);
        this.allBans = List.copyOf(bans);
        for (int i = 0; i < Math.max(1, traits.classes().size()); i++) {
            rooms.add(new Room[CONTENT_SETS][]);
        }
    }

    /** The lines of the privileges in the order of the law. */
    public List<Grant> grants() {
        return grants;
    }

    /** The service with the grants that hold in some zones; itself when there are none for these. */
    BandService in(Predicate<String> zones) {
        List<Grant> more = local.stream()
                .filter(each -> zones.test(each.zone()))
                .map(LocalGrant::grant)
                .toList();
        if (more.isEmpty()) {
            return this;
        }
        List<Grant> all = new ArrayList<>(grants);
        all.addAll(more);
        return new BandService(traits(), all, List.of(), channelised, channels, allPower, allWidth, allBans);
    }

    /** The zones in which a class may use such an emission there though it may not elsewhere. */
    public List<String> zonesFor(int licenceClass, Emission emission, Frequency frequency) {
        return local.stream()
                .filter(each -> each.grant().lowestClass() <= licenceClass
                        && (each.grant().allow() & emission.contents()) != 0
                        && each.grant().span().contains(frequency))
                .map(LocalGrant::zone)
                .toList();
    }

    /** The section that allows something there in some zones only. */
    public String localSource(Frequency frequency) {
        return local.stream()
                .map(LocalGrant::grant)
                .filter(each -> each.span().contains(frequency))
                .findFirst()
                .map(Grant::source)
                .orElse(traits().part());
    }

    /** Where repeaters are forbidden. */
    public List<Ban> repeaterBans() {
        return allBans;
    }

    /** The stretches used on fixed channels only. */
    public List<Grant> channelised() {
        return channelised;
    }

    /** The fixed channels. */
    public List<FixedChannel> channels() {
        return channels.all();
    }

    @Override
    public Inclusion includes(Frequency frequency) {
        return byFrequency.at(frequency.hertz()).isEmpty() && !isChannelised(frequency)
                ? Inclusion.OUTSIDE
                : Inclusion.EXACT;
    }

    @Override
    public boolean isChannelised(Frequency frequency) {
        return !channelisedAt.at(frequency.hertz()).isEmpty()
                && byFrequency.at(frequency.hertz()).isEmpty();
    }

    @Override
    public Optional<FixedChannel> channelAt(Frequency transmit, boolean oneSided) {
        return channelisedAt.at(transmit.hertz()).isEmpty() ? Optional.empty() : channels.at(transmit, oneSided);
    }

    @Override
    public Optional<FixedChannel> nearestChannel(Frequency frequency, boolean oneSided) {
        return channels.nearest(frequency, oneSided);
    }

    @Override
    public Optional<Room> room(int licenceClass, Emission emission, Frequency frequency) {
        Room[] sorted = sorted(licenceClass, emission.contents());
        long hertz = frequency.hertz();
        int low = 0;
        int high = sorted.length - 1;
        while (low <= high) {
            int middle = low + high >>> 1;
            Span span = sorted[middle].span();
            if (hertz < span.low()) {
                high = middle - 1;
            } else if (hertz > span.high()) {
                low = middle + 1;
            } else {
                return Optional.of(sorted[middle]);
            }
        }
        return Optional.empty();
    }

    /** All rooms of a class for a set of contents, rising. */
    public List<Room> rooms(int licenceClass, Emission emission) {
        return rooms(licenceClass, emission.contents());
    }

    private Room[] sorted(int licenceClass, int anyContents) {
        int contents = anyContents & CONTENT_SETS - 1;
        Room[][] ofClass = rooms.get(licenceClass);
        Room[] known = ofClass[contents];
        if (known == null) {
            known = joined(licenceClass, contents);
            ofClass[contents] = known; // a race makes the same value twice
        }
        return known;
    }

    private Room[] joined(int licenceClass, int contents) {
        List<Grant> held = grants.stream()
                .filter(grant -> grant.lowestClass() <= licenceClass && (grant.allow() & contents) != 0)
                .sorted(Comparator.comparingLong(grant -> grant.span().low()))
                .toList();
        List<Room> joined = new ArrayList<>();
        for (Grant grant : held) {
            Room last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && grant.span().low() <= last.span().high()) {
                boolean further = grant.span().high() > last.span().high();
                Span span = new Span(
                        last.span().low(),
                        Math.max(last.span().high(), grant.span().high()));
                joined.set(joined.size() - 1, new Room(span, last.low(), further ? grant : last.high()));
            } else {
                joined.add(new Room(grant.span(), grant, grant));
            }
        }
        return joined.toArray(Room[]::new);
    }

    /** The lowest class that may use such an emission with this transmit frequency, or -1. */
    public int lowestClassFor(Emission emission, Frequency frequency) {
        if (isChannelised(frequency)) {
            return channelAt(frequency, emission.oneSided())
                    .filter(channel -> (channel.allow() & emission.contents()) != 0)
                    .map(FixedChannel::lowestClass)
                    .orElse(-1);
        }
        int lowest = -1;
        for (Grant grant : byFrequency.at(frequency.hertz())) {
            if ((grant.allow() & emission.contents()) != 0 && (lowest < 0 || grant.lowestClass() < lowest)) {
                lowest = grant.lowestClass();
            }
        }
        return lowest;
    }

    /** The grants that hold the frequency, narrowest first. */
    public List<Grant> grantsAt(Frequency frequency) {
        return byFrequency.at(frequency.hertz());
    }

    /** What the span is kept for, when not for ordinary stations. */
    public Optional<Restriction> restriction(Frequency frequency) {
        for (Grant grant : byFrequency.at(frequency.hertz())) {
            if (grant.restricted().isPresent()) {
                return Optional.of(new Restriction(grant.restricted().get(), grant.source(), false));
            }
        }
        return Optional.empty();
    }

    /** Where a repeater on this frequency is forbidden. */
    public Optional<Ban> repeaterBan(Frequency frequency) {
        List<Ban> there = bans.at(frequency.hertz());
        return there.isEmpty() ? Optional.empty() : Optional.of(there.get(0));
    }

    @Override
    public List<PowerLimit> powerLimits(int licenceClass, Emission emission, Frequency frequency) {
        return power.at(frequency.hertz()).stream()
                .filter(each -> (each.classes() >> licenceClass & 1) != 0)
                .map(ClassLimit::limit)
                .toList();
    }

    @Override
    public Optional<WidthLimit> widthLimit(Emission emission, Frequency frequency) {
        if (isChannelised(frequency)) {
            return channelAt(frequency, emission.oneSided()).map(FixedChannel::width);
        }
        for (ContentLimit each : width.at(frequency.hertz())) {
            if ((each.contents() & emission.contents()) != 0) {
                return Optional.of(each.limit());
            }
        }
        return Optional.empty();
    }

    @Override
    List<EditionDifference.Term> terms() {
        List<EditionDifference.Term> terms = new ArrayList<>();
        grants.forEach(grant -> terms.add(EditionDifference.Term.grant(traits(), grant)));
        channels().forEach(channel -> terms.add(EditionDifference.Term.channel(channel)));
        allPower.forEach(each -> terms.add(EditionDifference.Term.power(each.span(), each.limit())));
        allWidth.forEach(each -> terms.add(EditionDifference.Term.width(each.span(), each.contents(), each.limit())));
        return terms;
    }

    @Override
    public List<Partner> partners(Frequency frequency) {
        return List.of(); // the band plan pairs them, not the law
    }

    /** All rooms of a class for a set of {@link Content} bits, rising. */
    public List<Room> rooms(int licenceClass, int contents) {
        return List.of(sorted(licenceClass, contents));
    }

    @Override
    public String placeName(Frequency frequency) {
        List<Grant> there = byFrequency.at(frequency.hertz());
        List<Grant> or = there.isEmpty() ? channelisedAt.at(frequency.hertz()) : there;
        return or.isEmpty() ? title() : or.get(0).band();
    }

    @Override
    public Optional<Span> spanAt(Frequency frequency) {
        return isChannelised(frequency)
                ? Optional.of(channelisedAt.at(frequency.hertz()).get(0).span())
                : includes(frequency) == Inclusion.EXACT ? band(placeName(frequency)) : Optional.empty();
    }

    /** The whole of a band by its name: from its lowest grant to its highest. */
    public Optional<Span> band(String name) {
        long[] ends = grants.stream()
                .filter(grant -> grant.band().equals(name))
                .flatMapToLong(grant -> Arrays.stream(
                        new long[] {grant.span().low(), grant.span().high()}))
                .sorted()
                .toArray();
        return ends.length == 0 ? Optional.empty() : Optional.of(new Span(ends[0], ends[ends.length - 1]));
    }
}
