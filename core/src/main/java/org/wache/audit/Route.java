package org.wache.audit;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.audit.context.Antenna;
import org.wache.audit.context.Whereabouts;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Severity;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.channel.Use;
import org.wache.radio.Radio;
import org.wache.rulebook.BandService;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.LocalLimit;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
import org.wache.rulebook.PowerLimit;
import org.wache.rulebook.Room;
import org.wache.rulebook.Service;
import org.wache.rulebook.WidthLimit;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/**
 * One way in which a holder could use an entry: a service, the licence for it, and the radio where one is named. Only made for entries that transmit
 * with a known emission.
 */
public final class Route {

    private final Entry entry;
    private final Service service;
    private final Held held;
    private final Optional<Radio> radio;
    private final Frequency transmit;
    private final Emission emission;
    private final Span occupied;
    private final boolean channelised;
    private final Optional<FixedChannel> channel;
    private final Optional<Room> room;
    private final Optional<PlanRow> planRow;

    Route(Entry entry, Service service, Held held, Optional<Radio> radio) {
        this.entry = entry;
        this.service = service;
        this.held = held;
        this.radio = radio;
        this.transmit = entry.channel().transmit().orElseThrow();
        Emission listed = entry.channel().emission().orElseThrow();
        this.emission = entry.channel().emissionFromMode()
                ? service.traits()
                        .terms()
                        .sets()
                        .getOrDefault(entry.channel().mode().orElseThrow(), listed)
                : listed;
        this.occupied = emission == listed
                ? entry.channel().occupied().orElseThrow()
                : emission.aroundDial(entry.channel().mode().orElseThrow() == Mode.LSB)
                        .shifted(transmit.hertz());
        this.channelised = service.isChannelised(transmit);
        this.channel = channelised ? service.channelAt(transmit, emission.oneSided()) : Optional.empty();
        this.room = service.room(held.classIndex(), emission, transmit);
        this.planRow =
                service.id().equals(entry.plan().service()) ? entry.plan().rowAt(transmit) : Optional.empty();
    }

    public Entry entry() {
        return entry;
    }

    /** The entry's channel. */
    public Channel on() {
        return entry.channel();
    }

    public Service service() {
        return service;
    }

    /** A hold on this route. */
    public Finding hold(Slug rule) {
        return Finding.under(Optional.of(service.id()), rule, Severity.HOLD);
    }

    /** A query on this route. */
    public Finding query(Slug rule) {
        return Finding.under(Optional.of(service.id()), rule, Severity.QUERY);
    }

    /** The licence used. */
    public Held held() {
        return held;
    }

    /** The radio used, where the audit names radios. */
    public Optional<Radio> radio() {
        return radio;
    }

    /** What stands between the transmitter and the air: what is said of the place, else of the radio, else assumed. */
    public Antenna antenna() {
        Antenna there = entry.context().antenna();
        return there.known()
                        || radio.isEmpty()
                        || radio.get().model().antennaGainDbd().isEmpty()
                ? there
                : Antenna.of(radio.get().model().antennaGainDbd().getAsDouble());
    }

    /** The name of the class used, in a service with classes. */
    public Optional<String> licenceClass() {
        return service.traits().classes().isEmpty()
                ? Optional.empty()
                : Optional.of(service.traits().classes().get(held.classIndex()));
    }

    public Frequency transmit() {
        return transmit;
    }

    public Emission emission() {
        return emission;
    }

    /** Whether the emission is what sets of the service send in the mode, other than what the mode stands for elsewhere. */
    public boolean bySet() {
        return emission != entry.channel().emission().orElseThrow();
    }

    /** What the signal fills. */
    public Span occupied() {
        return occupied;
    }

    /** Whether only fixed channels may be used there. */
    public boolean channelised() {
        return channelised;
    }

    /** The fixed channel it stands on. */
    public Optional<FixedChannel> channel() {
        return channel;
    }

    /** The contiguous span this holder may fill with this emission, when the transmit frequency is in one. */
    public Optional<Room> room() {
        return room;
    }

    /** Whether it stands on a channel, where one is needed, so that channel's terms can be held against it. */
    public boolean placed() {
        return !channelised || channel.isPresent();
    }

    /** Of the limits of power that apply there the one that lets the least output through. */
    public Optional<PowerLimit> powerLimit() {
        return powerLimits().stream()
                .min(Comparator.comparingDouble(limit ->
                        Reckoned.of(this, limit.watts(), limit).mostOutput().value()));
    }

    /** Every limit of power that applies there: each holds, of the band, of the class, of a part of the band. */
    public List<PowerLimit> powerLimits() {
        return placed() ? service.powerLimits(held.classIndex(), emission, transmit) : List.of();
    }

    /** The lower limit of power that holds in some zones, when the list's place lies so to one of them. */
    public Optional<LocalLimit> localLimit(Whereabouts.Lies lies) {
        Optional<LocalLimit> limit = entry.edition().geography().limit(service.id(), transmit);
        if (limit.isEmpty()) {
            return limit;
        }
        Whereabouts where = entry.context().where();
        return limit.filter(each -> each.zones().stream().anyMatch(zone -> where.to(zone) == lies));
    }

    /** The limit of width. */
    public Optional<WidthLimit> widthLimit() {
        return placed() ? service.widthLimit(emission, transmit) : Optional.empty();
    }

    /** The band plan's row for the transmit frequency, in the service the plan is for. */
    public Optional<PlanRow> planRow() {
        return planRow;
    }

    /** Whether the band plan speaks of this service. */
    public boolean planned() {
        return service.id().equals(entry.plan().service());
    }

    /** The band plan's rows for the receive frequency, in the service the plan is for. */
    public List<PlanRow> receiveRows() {
        return planned() && on().receive().isPresent()
                ? entry.plan().at(on().receive().get())
                : List.of();
    }

    /**
     * Whether the other station is in orbit, no repeater: both directions lie in satellite parts of the plan and in two bands, and
     * the entry does not say itself that it is a repeater. Within one band a pair is a repeater, which 97.205(b) closes there.
     */
    public boolean viaSatellite() {
        boolean saysRepeater = on().text(Field.USE).strip().equalsIgnoreCase(Use.REPEATER.name());
        return !saysRepeater
                && planRow.isPresent()
                && planRow.get().uses().contains(PlanUse.SATELLITE)
                && on().receive()
                        .filter(receive -> !service.placeName(receive).equals(place()))
                        .isPresent()
                && receiveRows().stream().anyMatch(row -> row.uses().contains(PlanUse.SATELLITE));
    }

    /** Whether it hears a satellite segment and talks in another band where none is: in no repeater's way, and for no satellite. */
    public boolean uplinkAstray() {
        boolean saysRepeater = on().text(Field.USE).strip().equalsIgnoreCase(Use.REPEATER.name());
        return !saysRepeater
                && !viaSatellite()
                && planned()
                && on().isPair()
                && !service.placeName(on().receive().orElseThrow()).equals(place())
                && receiveRows().stream().anyMatch(row -> row.uses().contains(PlanUse.SATELLITE));
    }

    /** Whether it talks through a repeater. */
    public boolean throughRepeater() {
        return on().use() == Use.REPEATER && !viaSatellite() && !uplinkAstray() && !split();
    }

    /**
     * Whether it hears one station and answers beside it, as split working does: two frequencies of one band in a mode that
     * repeaters do not carry, without a tone, without a pair of the plan, and the entry does not say itself that it is a repeater.
     */
    public boolean split() {
        boolean repeatersCarry = emission.is(Content.FM) || emission.is(Content.DIGITAL_VOICE);
        boolean named = !on().text(Field.USE).isBlank() && on().use() != Use.DIRECT;
        return on().isPair()
                && !named
                && on().sends().isEmpty()
                && !repeatersCarry
                && planned()
                && on().receive()
                        .filter(receive -> service.placeName(receive).equals(place()))
                        .isPresent()
                && receiveRows().stream().noneMatch(row -> row.offsets()
                        .contains(transmit.minus(on().receive().get())));
    }

    /** The rows of the band plan that count for what it hears. */
    public List<PlanRow> heardRows() {
        return planned() && on().receive().isPresent()
                ? entry.plan().counting(on().receive().get())
                : List.of();
    }

    /** How far the transmitter may be off, hertz: the radio's own figure, or the usual one. */
    public long frequencyError() {
        double ppm = radio.flatMap(each -> each.model().tuning().errorPpm().isPresent()
                        ? Optional.of(each.model().tuning().errorPpm().getAsDouble())
                        : Optional.empty())
                .orElse(entry.edition().frequencyErrorPpm());
        return Math.round(transmit.hertz() * ppm / 1e6);
    }

    /** This service as one with bands. */
    public Optional<BandService> bands() {
        return service instanceof BandService bands ? Optional.of(bands) : Optional.empty();
    }

    /** A section with the name of the law before it. */
    public String cite(String section) {
        return entry.edition().cite(section);
    }

    /** The name of the band or channel for messages. */
    public String place() {
        return service.placeName(transmit);
    }
}
