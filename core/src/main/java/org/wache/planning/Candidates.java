package org.wache.planning;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Judgement;
import org.wache.audit.RuleSet;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.DirectChannels;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.radio.PowerLevels;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.reach.Person;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/** Works out which direct channels there are, and who may key each of them: every one is held against the auditor. */
final class Candidates {

    /** So many of each service and band, spread over it. */
    private static final int OF_A_BAND = 16;

    private static final long BAND = 10_000_000;
    /** What is tried where no radio says what it has, in watts. Common practice, no source. */
    private static final List<String> USUAL_WATTS = List.of("5", "2", "1", "0.5");

    /** What is asked because of the other entries of a trial, or of a licence whatever is keyed. */
    private static final Set<Slug> NOT_OF_THE_CHANNEL = EnumSet.of(
            Slug.DUPLICATE_CHANNEL,
            Slug.DUPLICATE_NUMBER,
            Slug.TONE_CLASH,
            Slug.CO_CHANNEL,
            Slug.ADJACENT_OVERLAP,
            Slug.INTERMOD,
            Slug.HARMONIC,
            Slug.TRANSMIT_NEAR_RECEIVE,
            Slug.RADIO_CAPACITY,
            Slug.LICENCE_EXPIRING);

    private final RuleSet rules;
    private final AuditContext context;
    private final List<Person> people;
    private final String timeout;
    private final Map<Frequency, Boolean> known = new HashMap<>();

    private Candidates(RuleSet rules, AuditContext context, List<Person> people, String timeout) {
        this.rules = rules;
        this.context = context;
        this.people = people;
        this.timeout = timeout;
    }

    /**
     * All that somebody may use, those with more power first.
     *
     * @param timeout the time-out that every entry gets, in seconds
     */
    static List<Candidate> of(RuleSet rules, AuditContext context, List<Person> people, String timeout) {
        return new Candidates(rules, context, people, timeout).all();
    }

    /** The repeaters that are asked for, with who may key each and its direct side. */
    static List<Repeaters.Side> repeaters(
            RuleSet rules,
            AuditContext context,
            List<Person> people,
            String timeout,
            List<Demands.Repeater> repeaters) {
        Candidates all = new Candidates(rules, context, people, timeout);
        return Repeaters.of(
                repeaters,
                all.best(repeaters.stream().map(Repeaters::through).toList()),
                all.best(repeaters.stream().map(Repeaters::direct).toList()));
    }

    /** Each with the power with which it is for most, in their order. */
    private List<Candidate> best(List<Channel> bases) {
        List<Candidate> best = new ArrayList<>();
        for (String watts : watts()) {
            List<Candidate> tried = tried(
                    bases.stream()
                            .map(each -> each.with(
                                    Map.of(Field.POWER_W, watts, Field.TIMEOUT_S, timeout, Field.SCAN, "yes")))
                            .toList(),
                    Double.parseDouble(watts));
            for (int i = 0; i < tried.size(); i++) {
                Candidate one = tried.get(i);
                if (i == best.size()) {
                    best.add(one);
                } else {
                    best.set(i, better(best.get(i), one));
                }
            }
        }
        return best;
    }

    private List<Candidate> all() {
        AuditContext everybody =
                context.with(people.stream().map(Person::holder).toList());
        List<Channel> bases = spread(DirectChannels.of(everybody).stream()
                .filter(each ->
                        context.neighbours().on(each.transmit().orElseThrow()).isEmpty())
                .toList());
        Map<Long, Candidate> best = new LinkedHashMap<>();
        for (Mode mode : List.of(Mode.FM, Mode.NFM)) {
            for (String watts : watts()) {
                List<Channel> trial = bases.stream()
                        .filter(each -> mode == Mode.NFM || each.mode().equals(Optional.of(Mode.FM)))
                        .map(each -> each.with(Map.of(
                                Field.MODE,
                                mode.name(),
                                Field.POWER_W,
                                watts,
                                Field.TIMEOUT_S,
                                timeout,
                                Field.SCAN,
                                "yes",
                                Field.USE,
                                "direct")))
                        .toList();
                tried(trial, Double.parseDouble(watts))
                        .forEach(each -> best.merge(each.hertz(), each, Candidates::better));
            }
        }
        return best.values().stream()
                .filter(each -> !each.by().isEmpty() || !each.askedBy().isEmpty())
                .sorted(Comparator.comparingDouble(Candidate::watts).reversed().thenComparingLong(Candidate::hertz))
                .toList();
    }

    /** For more people; of two that are for as many the one with more power. */
    private static Candidate better(Candidate one, Candidate other) {
        int difference = other.able().cardinality() - one.able().cardinality();
        return difference > 0 || difference == 0 && other.watts() > one.watts() ? other : one;
    }

    /** So many of each service and band, evenly, with what people call on among them. */
    private List<Channel> spread(List<Channel> all) {
        Map<List<Object>, List<Channel>> bands = new LinkedHashMap<>();
        all.forEach(each -> bands.computeIfAbsent(
                        List.of(
                                each.serviceHint(),
                                each.transmit().orElseThrow().hertz() / BAND),
                        any -> new ArrayList<>())
                .add(each));
        List<Channel> some = new ArrayList<>();
        for (List<Channel> band : bands.values()) {
            TreeSet<Integer> places = new TreeSet<>();
            int wanted = Math.min(OF_A_BAND, band.size());
            for (int i = 0; i < wanted; i++) {
                places.add(i * band.size() / wanted);
            }
            IntStream.range(0, band.size())
                    .filter(i -> calls(band.get(i).transmit().orElseThrow()))
                    .forEach(places::add);
            places.forEach(i -> some.add(band.get(i)));
        }
        return some;
    }

    /** The levels of all radios, the highest first. */
    private List<String> watts() {
        TreeSet<BigDecimal> all = new TreeSet<>(Comparator.reverseOrder());
        people.stream()
                .flatMap(person -> person.radios().stream().flatMap(List::stream))
                .map(Radio::model)
                .distinct()
                .map(RadioModel::power)
                .flatMap(List::stream)
                .map(PowerLevels::levels)
                .flatMap(List::stream)
                .forEach(level -> all.add(new BigDecimal(level.output().number())));
        if (all.isEmpty()) {
            return USUAL_WATTS;
        }
        return all.stream()
                .map(each -> each.stripTrailingZeros().toPlainString())
                .toList();
    }

    /** Each is tried under every service that is on its frequency: two people may use one channel under two of them. */
    private List<Candidate> tried(List<Channel> trial, double watts) {
        List<Map<String, BitSet>> able = new ArrayList<>();
        List<Map<String, BitSet>> asked = new ArrayList<>();
        Map<String, List<Integer>> byService = new LinkedHashMap<>();
        for (int i = 0; i < trial.size(); i++) {
            able.add(new TreeMap<>());
            asked.add(new TreeMap<>());
            int place = i;
            context.edition().servicesAt(trial.get(i).transmit().orElseThrow()).forEach(service -> byService
                    .computeIfAbsent(service.id(), any -> new ArrayList<>())
                    .add(place));
        }
        byService.forEach((service, places) -> tried(service, places, trial, able, asked));
        return IntStream.range(0, trial.size())
                .mapToObj(i -> candidate(trial.get(i), able.get(i), asked.get(i), watts))
                .toList();
    }

    private Candidate candidate(Channel channel, Map<String, BitSet> able, Map<String, BitSet> asked, double watts) {
        String service = able.entrySet().stream()
                .max(Comparator.comparingInt(each -> each.getValue().cardinality()))
                .map(Map.Entry::getKey)
                .orElse(channel.serviceHint());
        Channel hinted = channel.with(Map.of(Field.SERVICE, service));
        return new Candidate(
                hinted,
                // Without a service nobody may key it, and nobody is told where it is.
                service.isEmpty() ? "" : DirectChannels.place(context, hinted),
                able,
                asked,
                calls(channel.transmit().orElseThrow()),
                watts);
    }

    private void tried(
            String service,
            List<Integer> places,
            List<Channel> trial,
            List<Map<String, BitSet>> able,
            List<Map<String, BitSet>> asked) {
        for (Map.Entry<Optional<Radio>, List<Integer>> means : means().entrySet()) {
            List<Integer> reached = places.stream()
                    .filter(place -> means.getKey()
                            .filter(radio -> !reaches(radio, trial.get(place)))
                            .isEmpty())
                    .toList();
            if (!reached.isEmpty()) {
                tried(service, reached, means.getKey(), means.getValue(), trial, able, asked);
            }
        }
    }

    /** Whether a radio keys there at all, and has this power. */
    private static boolean reaches(Radio radio, Channel channel) {
        Frequency frequency = channel.transmit().orElseThrow();
        return radio.keys(frequency)
                && radio.model()
                        .powerAt(frequency)
                        .filter(levels -> levels.levels().stream()
                                .noneMatch(level -> Optional.of(level.output()).equals(channel.power())))
                        .isEmpty();
    }

    private void tried(
            String service,
            List<Integer> places,
            Optional<Radio> radio,
            List<Integer> who,
            List<Channel> trial,
            List<Map<String, BitSet>> able,
            List<Map<String, BitSet>> asked) {
        ChannelList list = new ChannelList(
                "trial",
                List.of(),
                IntStream.range(0, places.size())
                        .mapToObj(i -> trial.get(places.get(i))
                                .with(Map.of(Field.NUMBER, Integer.toString(i + 1), Field.SERVICE, service)))
                        .toList());
        Map<List<Licence>, List<Integer>> alike = new LinkedHashMap<>();
        who.forEach(person -> alike.computeIfAbsent(people.get(person).holder().licences(), any -> new ArrayList<>())
                .add(person));
        List<List<Integer>> groups = List.copyOf(alike.values());
        List<Holder> holders =
                groups.stream().map(group -> people.get(group.get(0)).holder()).toList();
        Audit audit = new Auditor(
                        rules, context.with(holders).forRadios(radio.stream().toList()))
                .audit(list);
        for (int i = 0; i < places.size(); i++) {
            List<Finding> own = audit.entry(i).own();
            boolean held = own.stream().anyMatch(each -> each.holds() && !NOT_OF_THE_CHANNEL.contains(each.slug()));
            for (int group = 0; group < groups.size() && !held; group++) {
                Judgement judgement = audit.judgement(i, group);
                boolean may = (judgement.verdict() == Verdict.CLEAR || judgement.verdict() == Verdict.QUERY)
                        && audit.authority(i, group)
                                .filter(each -> each.service().equals(service))
                                .isPresent();
                if (may) {
                    (clear(own) && clear(judgement.findings()) ? able : asked)
                            .get(places.get(i))
                            .computeIfAbsent(service, any -> new BitSet())
                            .or(bits(groups.get(group)));
                }
            }
        }
    }

    private static BitSet bits(List<Integer> people) {
        BitSet bits = new BitSet();
        people.forEach(bits::set);
        return bits;
    }

    private static boolean clear(List<Finding> findings) {
        return findings.stream().allMatch(each -> NOT_OF_THE_CHANNEL.contains(each.slug()));
    }

    /** Who has which radio; one that is none for people of whom nobody said. */
    private Map<Optional<Radio>, List<Integer>> means() {
        Map<Optional<Radio>, List<Integer>> all = new LinkedHashMap<>();
        for (int i = 0; i < people.size(); i++) {
            int person = i;
            people.get(i)
                    .radios()
                    .ifPresentOrElse(
                            radios -> radios.stream().distinct().forEach(radio -> all.computeIfAbsent(
                                            Optional.of(radio), any -> new ArrayList<>())
                                    .add(person)),
                            () -> all.computeIfAbsent(Optional.empty(), any -> new ArrayList<>())
                                    .add(person));
        }
        return all;
    }

    private boolean calls(Frequency frequency) {
        return known.computeIfAbsent(frequency, any -> DirectChannels.isCalling(context, frequency));
    }
}
