package org.wache.server.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.release.Handed;
import org.wache.server.log.Logbook;
import org.wache.server.profiles.Profiles;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.Hands;
import org.wache.server.releases.Releases;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;
import tools.jackson.databind.json.JsonMapper;

/** Plans and starts runs: which entries of a list go into which radios, and which stay out and why. */
@Service
public class BenchService {

    private static final int MOST_UNITS = 200;
    private static final JsonMapper JSON = Json.MAPPER;

    private final BenchStore store;
    private final Releases releases;
    private final Hands hands;
    private final Profiles profiles;
    private final Fleet fleet;
    private final Logbook log;

    BenchService(BenchStore store, Releases releases, Hands hands, Profiles profiles, Fleet fleet, Logbook log) {
        this.profiles = profiles;
        this.log = log;
        this.hands = hands;
        this.store = store;
        this.releases = releases;
        this.fleet = fleet;
    }

    /**
     * What a run would do with one radio.
     *
     * @param custody whether somebody has the radio, so that it is for them and for nobody else
     * @param blocked why it cannot be written; null when it can, or when only a decision is missing
     */
    record UnitPlan(
            long unit, int unitVersion, String label, boolean custody, UnitPlans.Planned planned, String blocked) {

        int entries() {
            return planned.loading().placed().size();
        }
    }

    /** What a run would do: the release, or the variant in it, that goes into the radios. */
    record RunPlan(Releases.Chosen chosen, List<UnitPlan> units) {

        /** What goes into them, for the log. */
        String words() {
            return "release " + chosen.release().number();
        }
    }

    /** Works out a run of the release that is in use; entries on hold for a radio stay out of it, and so does what its holder may not key. */
    RunPlan plan(long account, long list, List<Order> orders) {
        if (orders.isEmpty()) {
            throw new Refused("Choose the radios.");
        }
        if (orders.size() > MOST_UNITS) {
            throw new Refused("Up to " + MOST_UNITS + " radios go in one run.");
        }
        Releases.Chosen chosen = releases.ofList(account, list);
        UnitPlans plans = new UnitPlans(hands, profiles, hands.open(chosen.release()), chosen.variant());
        Map<Long, Fleet.Custody> out = fleet.custody(chosen.release().club());
        List<UnitPlan> planned = new ArrayList<>();
        Map<Long, Order> once = new LinkedHashMap<>();
        orders.forEach(order -> once.putIfAbsent(order.unit(), order));
        for (Order order : once.values()) {
            Fleet.Unit unit = fleet.unit(account, order.unit());
            if (chosen.release().club() != unit.club()) {
                throw new Missing("The radio");
            }
            Optional<Fleet.Custody> holder = Optional.ofNullable(out.get(unit.id()));
            String label = unit.radio().label().orElse("");
            holder.filter(each ->
                            order.party().filter(party -> party != each.party()).isPresent())
                    .ifPresent(each -> {
                        throw new Refused(label + " is in the hands of " + each.name()
                                + ", so it is for nobody else. Take it back first.");
                    });
            Optional<Hands.Person> person =
                    holder.map(Fleet.Custody::party).or(order::party).map(party -> hands.person(unit.club(), party));
            UnitPlans.Planned one = plans.of(unit, person, order);
            planned.add(new UnitPlan(unit.id(), unit.version(), label, holder.isPresent(), one, blocked(unit, one)));
        }
        return new RunPlan(chosen, planned);
    }

    private String blocked(Fleet.Unit unit, UnitPlans.Planned planned) {
        return store.isOpen(unit.id())
                ? "It is on the bench just now."
                : planned.loading().placed().isEmpty() && !planned.isOpen()
                        ? "No entry of the list may go into it."
                        : fleet.held(unit.club(), unit.id())
                                .map(message -> "It is held: " + message)
                                .orElse(null);
    }

    static void decided(UnitPlan unit) {
        if (unit.planned().isOpen()) {
            throw new Refused(unit.label() + " is for "
                    + unit.planned().person().map(Hands.Person::name).orElse("somebody") + ", who may not key "
                    + String.join(
                            ", ",
                            unit.planned().notTheirs().stream()
                                    .map(each -> (each.number() + " " + each.name()).strip())
                                    .toList())
                    + ". Decide first: give them a list that fits, let these entries only listen, or leave them out.");
        }
        if (unit.blocked() != null) {
            throw new Refused(unit.label() + ": " + unit.blocked() + " Leave it out of the run.");
        }
    }

    /** Starts a run of the release that was looked at, with what was decided for each radio. */
    @Transactional
    public long start(long account, long list, long release, List<Order> orders, String callSign) {
        fleet.hold(releases.ofList(account, list)
                .release()
                .club()); // nobody gets or gives back one of them meanwhile, and no licence changes
        RunPlan plan = plan(account, list, orders);
        if (plan.chosen().release().id() != release) {
            throw new Stale(
                    "Release " + plan.chosen().release().number()
                            + " of the list came out meanwhile. Look at the plan again.",
                    plan.chosen().release().id());
        }
        plan.units().forEach(BenchService::decided);
        long run = store.addRun(plan.chosen(), list, account, callSign);
        plan.units().forEach(each -> {
            store.addJob(run, work(each));
            store.note(
                    account,
                    each.unit(),
                    each.planned().words(plan.chosen().release().name()));
        });
        log.add(
                account,
                plan.chosen().release().club(),
                Logbook.Deed.of(
                        Logbook.Kind.BENCH,
                        run,
                        plan.chosen().name(),
                        plan.words() + " on its way into " + plan.units().size()
                                + (plan.units().size() == 1 ? " radio" : " radios")));
        return run;
    }

    private static BenchStore.Work work(UnitPlan unit) {
        UnitPlans.Planned planned = unit.planned();
        List<UnitPlans.LeftOut> out = new ArrayList<>(planned.leftOut());
        if (planned.choice().filter(each -> each == Handed.Choice.LEAVE_OUT).isPresent()) {
            out.addAll(planned.notTheirs());
        }
        return new BenchStore.Work(
                unit.unit(),
                unit.unitVersion(),
                planned.loading().image().bytes(),
                unit.entries(),
                JSON.writeValueAsString(out),
                planned.person().map(Hands.Person::id),
                planned.part(),
                planned.choice(),
                planned.talks(),
                planned.listens(),
                JSON.writeValueAsString(planned.settings()));
    }

    /** Puts a radio that failed, or differs, back in the queue. */
    @Transactional
    public void again(long account, long job) {
        BenchStore.Job found = store.job(account, job).orElseThrow(() -> new Missing("The work on this radio"));
        if (store.isOpen(found.unit())) {
            throw new Refused(found.label() + " is on the bench just now.");
        }
        replan(account, found);
        store.note(account, found.unit(), "put on the bench again");
        if (!store.again(job)) {
            throw new Refused(found.label() + " came off the bench well; there is nothing to do again.");
        }
    }

    /** What goes into it is worked out anew: its data may have changed since, who has it, and what they may key. */
    private void replan(long account, BenchStore.Job job) {
        BenchStore.Run run = store.run(account, job.run()).orElseThrow(() -> new Missing("The run"));
        RunPlan plan = plan(
                account,
                run.list(),
                List.of(store.order(job.id(), fleet.custody(run.clubId()).containsKey(job.unit()))));
        if (!Long.valueOf(plan.chosen().release().id()).equals(run.release())) {
            throw new Refused("There is a newer release than the one that " + job.label()
                    + " was to get: put that into it in a new run.");
        }
        UnitPlan now = plan.units().get(0);
        decided(now);
        store.plan(job.id(), work(now));
    }

    /** Takes what waits out of a run. */
    @Transactional
    public int stop(long account, long run) {
        BenchStore.Run found = store.run(account, run).orElseThrow(() -> new Missing("The run"));
        int stopped = store.stop(run);
        log.add(
                account,
                found.clubId(),
                Logbook.Deed.of(
                        Logbook.Kind.BENCH, run, found.listName(), "run stopped, " + stopped + " radios left out"));
        return stopped;
    }
}
