package org.wache.planning;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.RuleSet;
import org.wache.audit.context.AuditContext;
import org.wache.channel.ChannelList;
import org.wache.radio.Radio;
import org.wache.reach.Person;
import org.wache.signal.Frequency;
import org.wache.site.Keying;

/**
 * Finds a list for demands. Each channel that somebody could use is held against the auditor for everybody; then the fewest are
 * taken that let everybody talk who must, those first that everybody may key. The list that comes out is audited as a whole, and a
 * channel of which anything is asked there gives way to the next.
 */
public final class Planner {

    /** The time-out of every entry where the group has settled on none, in seconds. Common practice, no source. */
    private static final int USUAL_TIMEOUT_S = 180;
    /** Channels of one list stay so far apart, in hertz, that none disturbs the next. Common practice, no source. */
    private static final long APART = 25_000;

    private static final int MOST_TRIES = 12;

    private final RuleSet rules;
    private final AuditContext context;
    private final Demands demands;
    private final List<Candidate> all;
    private final List<Repeaters.Side> repeaters;
    private final Listeners listeners;
    private final String timeout;

    private Planner(
            RuleSet rules,
            AuditContext context,
            Demands demands,
            String timeout,
            List<Candidate> all,
            List<Repeaters.Side> repeaters) {
        this.repeaters = repeaters;
        this.rules = rules;
        this.context = context;
        this.demands = demands;
        this.timeout = timeout;
        this.all = all;
        this.listeners = Listeners.of(context, demands);
    }

    /**
     * A list for the demands, or what of them contradicts.
     *
     * @param context the day, the place, the house rules, the neighbours; whom and which radios it names does not matter
     */
    public static Plan of(RuleSet rules, AuditContext context, Demands demands) {
        String timeout = timeout(context, demands.people());
        List<Candidate> all = Candidates.of(rules, context, demands.people(), timeout);
        List<Repeaters.Side> repeaters =
                Candidates.repeaters(rules, context, demands.people(), timeout, demands.repeaters());
        Plan strict = new Planner(rules, context, demands, timeout, all, repeaters).plan();
        if (strict instanceof Plan.Proposed) {
            return strict;
        }
        List<Candidate> lenient =
                all.stream().map(Candidate::lenient).toList(); // where something is asked of every list
        Plan other = new Planner(rules, context, demands, timeout, lenient, repeaters).plan();
        return other instanceof Plan.Proposed ? other : strict;
    }

    /** The longest setting of all radios' timers within what the group has settled on. */
    private static String timeout(AuditContext context, List<Person> people) {
        int most = context.houseRules().maxTimeoutS().orElse(USUAL_TIMEOUT_S);
        List<List<Integer>> settings = people.stream()
                .flatMap(person -> person.radios().stream().flatMap(List::stream))
                .map(radio -> radio.model().guard().timeoutsS())
                .filter(each -> !each.isEmpty())
                .distinct()
                .toList();
        return Integer.toString(settings.stream()
                .flatMap(List::stream)
                .filter(each -> each > 0 && each <= most)
                .filter(each -> settings.stream().allMatch(timer -> timer.contains(each)))
                .max(Comparator.naturalOrder())
                .orElse(Math.min(most, USUAL_TIMEOUT_S)));
    }

    private Plan plan() {
        List<Demand> whole = Demand.all(demands);
        Set<Long> banned = new HashSet<>();
        Optional<Plan.Proposed> best = Optional.empty();
        for (int attempt = 0; attempt < MOST_TRIES; attempt++) {
            Optional<List<Chosen>> chosen =
                    new Choosing(demands, usable(whole, banned), sides(whole), listeners, whole, together()).all();
            if (chosen.isEmpty()) {
                break;
            }
            Written written = new Written(demands, chosen.get(), listeners, timeout);
            Plan.Proposed proposed = new Plan.Proposed(written.list(), written.keys());
            best = best.or(() -> Optional.of(proposed));
            Optional<Long> asked = firstAsked(proposed.list(), chosen.get());
            if (asked.isEmpty()) {
                return proposed;
            }
            banned.add(asked.get());
        }
        return best.<Plan>map(each -> each).orElseGet(() -> contradiction(whole));
    }

    private boolean together() {
        return !context.houseRules().keyedTogether().equals(Keying.NONE);
    }

    private List<Candidate> usable(List<Demand> wanted, Set<Long> banned) {
        boolean restricted = wanted.stream().anyMatch(each -> each.kind() == Demand.Kind.SERVICES);
        return all.stream()
                .filter(each -> !banned.contains(each.hertz()))
                .filter(each -> !demands.without().contains(new Frequency(each.hertz())))
                .map(each -> each.within(restricted ? demands.services() : Set.of()))
                .filter(each -> !each.able().isEmpty())
                .toList();
    }

    private List<Repeaters.Side> sides(List<Demand> wanted) {
        boolean restricted = wanted.stream().anyMatch(each -> each.kind() == Demand.Kind.SERVICES);
        return repeaters.stream()
                .map(each -> each.within(restricted ? demands.services() : Set.of()))
                .map(each -> demands.without().contains(each.repeater().output()) ? each.withoutDirect() : each)
                .toList();
    }

    /** The frequency of the first entry of which something is asked only in the whole list; empty when there is none. */
    private Optional<Long> firstAsked(ChannelList list, List<Chosen> chosen) {
        for (Map.Entry<Optional<Radio>, BitSet> means : radios().entrySet()) {
            Audit audit = new Auditor(
                            rules,
                            context.with(means.getValue().stream()
                                            .mapToObj(
                                                    i -> demands.people().get(i).holder())
                                            .toList())
                                    .forRadios(means.getKey().stream().toList()))
                    .audit(list);
            for (int i = 0; i < chosen.size(); i++) {
                Chosen one = chosen.get(i);
                boolean theirs = one.candidate().isPresent()
                        && means.getValue().intersects(one.candidate().get().able());
                boolean fixed = one.candidate()
                        .filter(each -> new Frequency(each.hertz())
                                .equals(demands.kept().get(one.name())))
                        .isPresent();
                if (theirs
                        && !fixed
                        && one.role() != Chosen.Role.REPEATER // where it is decides who put it there
                        && audit.entry(i).own().stream().anyMatch(each -> Chosen.OF_THE_LIST.contains(each.slug()))) {
                    return Optional.of(one.candidate().get().hertz());
                }
            }
        }
        return Optional.empty();
    }

    private Map<Optional<Radio>, BitSet> radios() {
        Map<Optional<Radio>, BitSet> by = new LinkedHashMap<>();
        for (int i = 0; i < demands.people().size(); i++) {
            int person = i;
            List<Optional<Radio>> means = demands.people()
                    .get(i)
                    .radios()
                    .map(radios -> radios.stream().map(Optional::of).toList())
                    .orElse(List.of(Optional.empty()));
            means.forEach(
                    radio -> by.computeIfAbsent(radio, any -> new BitSet()).set(person));
        }
        return by;
    }

    /** The smallest set of demands of which no list fulfils all: one alone, two, else what is left when none more can be let go. */
    private Plan.Contradiction contradiction(List<Demand> whole) {
        for (int size = 1; size <= 2; size++) {
            Optional<List<Demand>> found =
                    subsets(whole, size).filter(each -> !feasible(each)).findFirst();
            if (found.isPresent()) {
                return said(found.get());
            }
        }
        List<Demand> left = new ArrayList<>(whole);
        for (Demand each : whole) {
            List<Demand> without = left.stream().filter(other -> other != each).toList();
            if (!feasible(without)) {
                left = new ArrayList<>(without);
            }
        }
        return said(left);
    }

    private static java.util.stream.Stream<List<Demand>> subsets(List<Demand> whole, int size) {
        return size == 1
                ? whole.stream().map(List::of)
                : IntStream.range(0, whole.size()).boxed().flatMap(i -> IntStream.range(i + 1, whole.size())
                        .mapToObj(j -> List.of(whole.get(i), whole.get(j))));
    }

    private boolean feasible(List<Demand> wanted) {
        return new Choosing(demands, usable(wanted, Set.of()), sides(wanted), listeners, wanted, false)
                .all()
                .isPresent();
    }

    private Plan.Contradiction said(List<Demand> demands) {
        return new Plan.Contradiction(
                demands.stream().map(each -> each.words()).toList(),
                new Reasons(this.demands, usable(demands, Set.of()), sides(demands), listeners).of(demands));
    }

    static boolean apart(Candidate one, long hertz) {
        return Math.abs(one.hertz() - hertz) >= APART;
    }

    /** What the radios hold, the smallest first; empty where none says. */
    static Optional<Integer> memories(Demands demands) {
        return demands.people().stream()
                .flatMap(person -> person.radios().stream().flatMap(List::stream))
                .flatMap(radio -> radio.model().memory().channels().stream().boxed())
                .min(Comparator.naturalOrder());
    }
}
