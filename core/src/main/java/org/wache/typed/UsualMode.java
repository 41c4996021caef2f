package org.wache.typed;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.rulebook.Allocation;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PlanUse;
import org.wache.rulebook.Service;
import org.wache.rulebook.WidthLimit;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * The mode that people mean when they name none: it follows from the service's widest signal and from the band plan.
 * That FM is meant from 29.5 MHz up is common practice, no source.
 */
final class UsualMode {

    private static final Mode[] VOICE = {Mode.FM, Mode.NFM, Mode.AM, Mode.USB};
    private static final Frequency FM_FROM = new Frequency(29_500_000);

    private UsualMode() {}

    /** A mode and why. */
    record Usual(Mode mode, String why) {}

    /**
     * The usual mode of an entry.
     *
     * @param talks where it talks, or hears when it only listens
     * @param hears where it hears: a pair is what the plan keeps its output for
     * @param transmits whether it talks at all
     * @param hint the service it is meant for, or empty
     */
    static Usual of(Edition edition, Frequency talks, Frequency hears, boolean transmits, String hint) {
        if (transmits) {
            Optional<Service> named = edition.service(hint)
                    .filter(each -> edition.servicesAt(talks).contains(each));
            Optional<Usual> found = named.map(List::of).orElseGet(() -> edition.ashoreAt(talks)).stream()
                    .flatMap(service -> in(edition, service, talks, hears).stream())
                    .min(Comparator.comparingLong(
                            usual -> usual.mode().emission().bandwidth())); // what all of them take
            if (found.isPresent()) {
                return found.get();
            }
        }
        Optional<Mode> heard = edition.allocation(talks).flatMap(Allocation::mode);
        if (heard.isPresent()) {
            return new Usual(heard.get(), edition.allocation(talks).get().whose() + " is heard there");
        }
        return edition.ashoreAt(talks).stream()
                .flatMap(service -> in(edition, service, talks, hears).stream())
                .findFirst()
                .orElse(new Usual(Mode.FM, "none is given"));
    }

    private static Optional<Usual> in(Edition edition, Service service, Frequency talks, Frequency hears) {
        if (service instanceof ChannelService channels) {
            return channels.channelAt(talks, false).map(channel -> widest(channels, channel));
        }
        if (service instanceof AuthorisedService) {
            Optional<WidthLimit> limit = service.widthLimit(Mode.NFM.emission(), talks);
            return Optional.of(
                    limit.isEmpty()
                            ? new Usual(Mode.FM, "no narrower limit there")
                            : new Usual(
                                    Mode.NFM,
                                    "narrow is the rule there, "
                                            + edition.cite(limit.get().source())));
        }
        return Optional.of(amateur(edition, (BandService) service, hears));
    }

    private static Usual widest(ChannelService service, FixedChannel channel) {
        for (Mode mode : VOICE) {
            boolean fits = mode.emission().bandwidth() <= channel.width().hertz()
                    && (mode.emission().contents() & channel.allow()) != 0;
            if (fits) {
                return new Usual(
                        mode,
                        "none is given; " + service.inText() + " " + channel.name() + " takes "
                                + org.wache.audit.finding.Wording.length(
                                        channel.width().hertz()));
            }
        }
        return new Usual(Mode.NFM, "none is given");
    }

    private static Usual amateur(Edition edition, BandService service, Frequency talks) {
        Optional<PlanRow> row =
                edition.plan().service().equals(service.id()) ? edition.plan().rowAt(talks) : Optional.empty();
        Optional<PlanUse> kept = row.flatMap(each -> each.uses().stream().findFirst());
        boolean fm = row.map(each -> each.uses().contains(PlanUse.FM_SIMPLEX)
                        || each.uses().contains(PlanUse.REPEATER_INPUT)
                        || each.uses().contains(PlanUse.REPEATER_OUTPUT))
                .orElse(false);
        Mode side = edition.plan().lowerSidebandAt(talks) ? Mode.LSB : Mode.USB;
        if (fm) {
            return new Usual(Mode.FM, "none is given; the plan has FM there");
        }
        if (kept.isPresent()) {
            switch (kept.get()) {
                case CW -> {
                    return new Usual(Mode.CW, "none is given; the plan has CW there");
                }
                case AM -> {
                    return new Usual(Mode.AM, "none is given; the plan has AM there");
                }
                case WEAK_SIGNAL, PHONE -> {
                    return new Usual(
                            side, "none is given; the plan has " + kept.get().words() + " there");
                }
                default -> {} // data, links and the like leave it open
            }
        }
        if (talks.compareTo(FM_FROM) >= 0) {
            return new Usual(Mode.FM, "none is given");
        }
        return service.lowestClassFor(side.emission(), talks) >= 0
                ? new Usual(side, "none is given; voice by habit")
                : new Usual(Mode.CW, "none is given; no voice is allowed there");
    }
}
