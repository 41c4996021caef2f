package org.wache.reference;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.Allocation;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.Ban;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelNames;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Closure;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.FurtherTerms;
import org.wache.rulebook.Grant;
import org.wache.rulebook.Measure;
import org.wache.rulebook.Partner;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.PowerLimit;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * What is at a frequency: whose it is, who may transmit on what terms, what the plan keeps it for, and its pair.
 *
 * @param frequency asked about
 * @param whose the table of allocations
 * @param services who may transmit, a service at a time
 * @param partners the other ends of its pairs
 * @param plan rows of the band plan, narrowest first
 * @param names what personal radios call it
 */
public record FrequencyFacts(
        Frequency frequency,
        Optional<Whose> whose,
        List<ServiceTerms> services,
        List<Pair> partners,
        List<Kept> plan,
        List<String> names) {

    /** The allocation in words, with its source. */
    public record Whose(String words, String say, String source) {}

    /** A service there: where in it, who may do what, and what else to know. */
    public record ServiceTerms(String id, String title, String place, List<Term> terms, List<Note> notes) {}

    /** Who may send what, with how much power. */
    public record Term(String who, String what, String power, String width, String source) {}

    /** Something else to know. */
    public record Note(String words, String source) {}

    /** The other end of a pair. */
    public record Pair(Frequency frequency, boolean input, String words, String source) {}

    /** A row of the band plan. */
    public record Kept(String where, String words, boolean local, String source) {}

    /** Looks a frequency up. */
    public static FrequencyFacts at(Edition edition, Frequency frequency) {
        // Where a service is open to clubs, the coarse words of a table that is not would contradict it.
        boolean open = !edition.ashoreAt(frequency).isEmpty();
        Optional<Whose> whose = edition.allocation(frequency)
                .filter(row -> row.licensable() || !open)
                .map(row -> whose(edition, row));
        List<Service> there = edition.servicesAt(frequency);
        List<ServiceTerms> services = there.stream()
                .map(service -> terms(edition, service, frequency))
                .toList();
        List<Pair> partners = new ArrayList<>();
        for (Service service : there) {
            service.partners(frequency)
                    .forEach(each -> partners.add(pair(service.inText(), each, edition.cite(each.source()))));
        }
        boolean planned = there.stream()
                .anyMatch(service -> service.id().equals(edition.plan().service()));
        partners.addAll(planned ? byPlan(edition, frequency) : List.of());
        List<Kept> plan = edition.plan().at(frequency).stream()
                .map(row -> new Kept(
                        where(row), row.words(), row.local(), edition.plan().source(row)))
                .toList();
        return new FrequencyFacts(frequency, whose, services, partners, plan, names(edition.channelNames(), frequency));
    }

    private static Whose whose(Edition edition, Allocation row) {
        return new Whose(row.whose(), row.say(), edition.cite(edition.allocationSource()));
    }

    private static Pair pair(String of, Partner partner, String source) {
        String article = of.startsWith("a") ? "an " : "a ";
        String words = partner.input()
                ? of + " repeaters that talk here listen on " + partner.frequency()
                : "the input of " + article + of + " repeater on " + partner.frequency();
        return new Pair(partner.frequency(), partner.input(), words, source);
    }

    /** The pairs that the plan makes: an output by its own offset, an input by the offset of the row it leads to. */
    private static List<Pair> byPlan(Edition edition, Frequency frequency) {
        List<Pair> pairs = new ArrayList<>();
        edition.plan().rowAt(frequency).ifPresent(row -> row.offsets()
                .forEach(offset -> pairs.add(pair(
                        plannedFor(edition),
                        new Partner(frequency.plus(offset), true, ""),
                        edition.plan().source(row)))));
        for (PlanRow row : edition.plan().rows()) {
            for (long offset : row.offsets()) {
                long output = frequency.hertz() - offset;
                boolean known = pairs.stream().anyMatch(each -> each.frequency().hertz() == output);
                if (!known
                        && output > 0
                        && row.span().contains(output)
                        && row.span().length() > 0) {
                    pairs.add(pair(
                            plannedFor(edition),
                            new Partner(new Frequency(output), false, ""),
                            edition.plan().source(row)));
                }
            }
        }
        return pairs;
    }

    private static String plannedFor(Edition edition) {
        return edition.service(edition.plan().service()).map(Service::inText).orElse("");
    }

    private static String where(PlanRow row) {
        return row.span().length() == 0
                ? new Frequency(row.span().low()).toString()
                : row.span().toString();
    }

    private static List<String> names(ChannelNames names, Frequency frequency) {
        return names.channels().stream()
                .filter(each ->
                        each.receive().equals(frequency) && each.transmit().equals(frequency)
                                || !each.receive().equals(each.transmit())
                                        && each.transmit().equals(frequency))
                .flatMap(each -> names.schemes().stream()
                        .filter(scheme -> each.names().containsKey(scheme.id()))
                        .map(scheme -> scheme.title() + " " + each.names().get(scheme.id())))
                .toList();
    }

    private static ServiceTerms terms(Edition edition, Service service, Frequency frequency) {
        List<Note> notes = new ArrayList<>();
        for (Closure closure : edition.geography().closures()) {
            if (closure.service().equals(service.id()) && closure.span().contains(frequency)) {
                notes.add(new Note(
                        "Closed " + (closure.outside() ? "except " : "")
                                + closure.zone().name() + ".",
                        edition.cite(closure.source())));
            }
        }
        edition.geography()
                .limit(service.id(), frequency)
                .ifPresent(limit -> notes.add(new Note(
                        "Not more than " + limit.limit().watts() + " "
                                + limit.limit().measure().words() + " in " + limit.words() + ".",
                        edition.cite(limit.limit().source()))));
        further(edition, service.traits().terms(), frequency, notes);
        List<Term> terms = service instanceof BandService bands
                ? bands(edition, bands, frequency, notes)
                : service instanceof ChannelService channels
                        ? channels(edition, channels, frequency, notes)
                        : lines(edition, (AuthorisedService) service, frequency, notes);
        return new ServiceTerms(service.id(), service.title(), service.placeName(frequency), terms, notes);
    }

    /** Conditions, heights, and the parts for other uses than direct and repeater. */
    private static void further(Edition edition, FurtherTerms terms, Frequency frequency, List<Note> notes) {
        terms.conditions(frequency, -1)
                .forEach(each -> notes.add(new Note(
                        Wording.capital((each.uses().isEmpty() ? "" : Wording.list(each.uses()) + ": ") + each.say())
                                + each.zone()
                                        .flatMap(edition.geography()::zone)
                                        .map(zone -> " (" + zone.name() + ")")
                                        .orElse("")
                                + ".",
                        edition.cite(each.source()))));
        terms.height(frequency)
                .ifPresent(each -> notes.add(new Note(
                        "An antenna stands at most "
                                + Double.toString(each.metres()).replaceFirst("\\.0$", "") + " m above the ground"
                                + (each.say().isEmpty() ? "" : ", " + each.say()) + ".",
                        edition.cite(each.source()))));
        terms.uses()
                .forEach(each -> notes.add(new Note(
                        Wording.capital(each.use())
                                + (each.allowed(frequency)
                                        ? ": allowed here"
                                        : each.elsewhere().isPresent()
                                                ? ": only up to "
                                                        + Frequency.kilohertz(each.elsewhere()
                                                                .get()
                                                                .hertz()) + " kHz and in answer to a call"
                                                : ": not here")
                                + each.power()
                                        .map(limit -> ", at most " + limit.watts() + " "
                                                + limit.measure().words())
                                        .orElse("")
                                + ".",
                        edition.cite(each.source()))));
    }

    private static String who(Service service) {
        return service.traits()
                .terms()
                .aboard()
                .map(where -> "Who is " + where)
                .orElse(service.traits().needsLicence() ? service.title() + " licence" : "Everyone, without a licence");
    }

    private static List<Term> bands(Edition edition, BandService service, Frequency frequency, List<Note> notes) {
        service.repeaterBan(frequency)
                .map(Ban::source)
                .ifPresent(source ->
                        notes.add(new Note("No repeater may receive or transmit here.", edition.cite(source))));
        service.restriction(frequency)
                .ifPresent(
                        kept -> notes.add(new Note("Kept for " + kept.purpose() + ".", edition.cite(kept.source()))));
        Optional<FixedChannel> channel = service.isChannelised(frequency)
                ? service.channelAt(frequency, true).or(() -> service.channelAt(frequency, false))
                : Optional.empty();
        List<Term> terms = new ArrayList<>();
        int before = 0;
        if (service.traits().classes().isEmpty()) {
            int bits =
                    service.grantsAt(frequency).stream().mapToInt(Grant::allow).reduce(0, (a, b) -> a | b);
            String who = who(service);
            terms.add(new Term(
                    who,
                    Wording.contents(bits),
                    power(service.powerLimits(0, Mode.AM.emission(), frequency)),
                    width(service, frequency),
                    edition.cite(service.grantsAt(frequency).get(0).source())));
        }
        for (int held = 0; held < service.traits().classes().size(); held++) {
            int index = held;
            List<Grant> mine = service.grantsAt(frequency).stream()
                    .filter(grant -> grant.lowestClass() <= index)
                    .toList();
            int bits = mine.stream().mapToInt(Grant::allow).reduce(0, (a, b) -> a | b)
                    | channel.filter(each -> each.lowestClass() <= index)
                            .map(FixedChannel::allow)
                            .orElse(0);
            String power = power(service.powerLimits(held, Mode.USB.emission(), frequency));
            boolean same = bits == before
                    && !terms.isEmpty()
                    && terms.get(terms.size() - 1).power().equals(power);
            if (bits != 0 && !same) {
                String source = mine.isEmpty()
                        ? channel.map(FixedChannel::source).orElse("")
                        : mine.get(0).source(held);
                terms.add(new Term(
                        Wording.capital(service.traits().classes().get(held)) + " and above",
                        Wording.contents(bits),
                        power,
                        width(service, frequency),
                        edition.cite(source)));
            }
            before = bits;
        }
        return terms;
    }

    /** Beside a limit of what is radiated, the general one of the transmitter says nothing. */
    private static final double GENERAL_W = 1_000;

    private static String width(Service service, Frequency frequency) {
        return service.widthLimit(Mode.DATA.emission(), frequency)
                .map(limit -> "data " + Frequency.kilohertz(limit.hertz()) + " kHz")
                .orElse("");
    }

    /** Of the limits in one measure the lowest; of several measures each holds. */
    private static String power(List<PowerLimit> limits) {
        Map<Measure, PowerLimit> lowest = new EnumMap<>(Measure.class);
        limits.forEach(each -> lowest.merge(
                each.measure(),
                each,
                (one, other) -> one.watts().value() <= other.watts().value() ? one : other));
        boolean radiated = lowest.containsKey(Measure.ERP) || lowest.containsKey(Measure.EIRP);
        return lowest.values().stream()
                .filter(each -> !radiated
                        || each.measure() != Measure.PEP
                        || each.watts().value() < GENERAL_W)
                .map(each -> each.watts() + " " + each.measure().words())
                .collect(Collectors.joining(" and "));
    }

    private static List<Term> channels(Edition edition, ChannelService service, Frequency frequency, List<Note> notes) {
        Optional<FixedChannel> on = service.channelAt(frequency, false);
        if (on.isEmpty()) {
            service.nearestChannel(frequency, false)
                    .ifPresent(near -> notes.add(new Note(
                            "Between the channels; the nearest is " + near.name() + " on " + near.centre() + ".",
                            edition.cite(service.traits().channelSource()))));
            return List.of();
        }
        FixedChannel channel = on.get();
        channel.restricted()
                .ifPresent(
                        kept -> notes.add(new Note("Kept for " + kept.purpose() + ".", edition.cite(kept.source()))));
        channel.reaches()
                .ifPresent(output -> notes.add(new Note(
                        channel.directToo()
                                ? "To reach a repeater on " + output + "; directly where there is none."
                                : "Only to reach a repeater on " + output + ".",
                        edition.cite(channel.source()))));
        if (channel.handheldOnly()) {
            notes.add(new Note("Hand-held portables only.", edition.cite(channel.source())));
        }
        if (!channel.repeaters()) {
            notes.add(new Note("No repeaters.", edition.cite(service.traits().repeaterSource())));
        }
        String who = who(service);
        String sideband = channel.sidebandPower()
                .map(limit -> "; single sideband " + power(List.of(limit)))
                .orElse("");
        return List.of(new Term(
                who,
                Wording.contents(channel.allow()),
                power(channel.power().stream().toList()) + sideband,
                Frequency.kilohertz(channel.width().hertz()) + " kHz",
                edition.cite(channel.source())));
    }

    private static List<Term> lines(Edition edition, AuthorisedService service, Frequency frequency, List<Note> notes) {
        notes.add(new Note(
                "Nobody may program a frequency that their licence does not list.", edition.cite(service.source())));
        String width = service.widthLimit(Mode.FM.emission(), frequency)
                .map(limit -> Frequency.kilohertz(limit.hertz()) + " kHz")
                .orElse("");
        return List.of(new Term(
                "A licence with a line for it",
                "as the line says",
                "as the line says",
                width,
                edition.cite(service.bandSource(frequency).orElse(service.source()))));
    }
}
