package org.wache.server.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.bench.image.Loading;
import org.wache.radio.Radio;
import org.wache.server.log.Logbook;
import org.wache.server.problems.Missing;
import org.wache.server.problems.Refused;
import org.wache.server.radios.Fleet;
import org.wache.server.releases.Releases;
import tools.jackson.databind.json.JsonMapper;

/** Plans and starts runs: which entries of a list go into which radios, and which stay out and why. */
@Service
public class BenchService {

  private static final int MOST_UNITS = 200;
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final BenchStore store;
  private final Releases releases;
  private final Fleet fleet;
  private final Logbook log;

  BenchService(BenchStore store, Releases releases, Fleet fleet, Logbook log) {
    this.log = log;
    this.store = store;
    this.releases = releases;
    this.fleet = fleet;
  }

  /** An entry that stays out of a radio, and why. */
  record LeftOut(String number, String name, String reason) {}

  /**
   * What a run would do with one radio.
   *
   * @param blocked why it cannot be written; null when it can
   */
  record UnitPlan(long unit, int unitVersion, String label, int entries, List<LeftOut> leftOut, String blocked, Loading loading) {}

  /** What a run would do: the release, or the variant in it, that goes into the radios. */
  record RunPlan(Releases.Chosen chosen, List<UnitPlan> units) {

    /** What goes into them, for the log. */
    String words() {
      return "release " + chosen.release().number();
    }
  }

  /** Works out a run of the release that is in use; entries on hold for a radio stay out of it. */
  RunPlan plan(long account, long list, List<Long> units) {
    if (units.isEmpty()) {
      throw new Refused("Choose the radios.");
    }
    if (units.size() > MOST_UNITS) {
      throw new Refused("Up to " + MOST_UNITS + " radios go in one run.");
    }
    Releases.Chosen chosen = releases.ofList(account, list);
    Map<List<Object>, Releases.ForRadio> judged = new HashMap<>();
    Map<List<Object>, Loading> loadings = new HashMap<>();
    List<UnitPlan> plans = new ArrayList<>();
    for (long id : units.stream().distinct().toList()) {
      Fleet.Unit unit = fleet.unit(account, id);
      Radio setting = new Radio(unit.radio().model(), unit.radio().lock(), Optional.empty(), unit.radio().inhibited());
      List<Object> key = List.of(setting.model().name(), setting.lock().map(lock -> lock.name()).orElse(""), setting.inhibited());
      if (chosen.release().club() != unit.club()) {
        throw new Missing("The radio");
      }
      Releases.ForRadio in = judged.computeIfAbsent(key, none -> Releases.forRadio(chosen, setting));
      Loading loading = loadings.computeIfAbsent(key, none -> Loading.of(in.list(), setting.model(),
          in.held().stream().map(Optional::isEmpty).toList()));
      plans.add(planned(unit, in, loading));
    }
    return new RunPlan(chosen, plans);
  }

  private UnitPlan planned(Fleet.Unit unit, Releases.ForRadio in, Loading loading) {
    List<LeftOut> out = new ArrayList<>();
    for (int i = 0; i < in.held().size(); i++) {
      if (!loading.placed().containsValue(i)) {
        out.add(new LeftOut(in.list().channels().get(i).number(), in.list().channels().get(i).name(),
            in.held().get(i).orElse("There is no memory for it.")));
      }
    }
    String blocked = store.isOpen(unit.id()) ? "It is on the bench just now."
        : loading.placed().isEmpty() ? "No entry of the list may go into it."
        : fleet.held(unit.club(), unit.id()).map(message -> "It is held: " + message).orElse(null);
    return new UnitPlan(unit.id(), unit.version(), unit.radio().label().orElse(""), loading.placed().size(), out, blocked, loading);
  }

  /** Starts a run of the release that was looked at. */
  @Transactional
  public long start(long account, long list, long release, List<Long> units, String callSign) {
    RunPlan plan = plan(account, list, units);
    if (plan.chosen().release().id() != release) {
      throw new Refused("Release " + plan.chosen().release().number() + " of the list came out meanwhile. Look at the plan again.");
    }
    plan.units().stream().filter(each -> each.blocked() != null).findFirst().ifPresent(each -> {
      throw new Refused(each.label() + ": " + each.blocked() + " Leave it out of the run.");
    });
    long run = store.addRun(plan.chosen(), list, account, callSign);
    plan.units().forEach(each -> store.addJob(run, each.unit(), each.unitVersion(), each.loading().image().bytes(), each.entries(),
        JSON.writeValueAsString(each.leftOut())));
    log.add(account, plan.chosen().release().club(), Logbook.Deed.of(Logbook.Kind.BENCH, run, plan.chosen().name(), plan.words() + " on its way into "
        + plan.units().size() + (plan.units().size() == 1 ? " radio" : " radios")));
    return run;
  }

  /** Puts a radio that failed, or differs, back in the queue. */
  @Transactional
  public void again(long account, long job) {
    BenchStore.Job found = store.job(account, job).orElseThrow(() -> new Missing("The work on this radio"));
    if (store.isOpen(found.unit())) {
      throw new Refused(found.label() + " is on the bench just now.");
    }
    fleet.held(fleet.unit(account, found.unit()).club(), found.unit()).ifPresent(message -> {
      throw new Refused(found.label() + " is held: " + message);
    });
    replan(account, found);
    store.note(account, found.unit(), "put on the bench again");
    if (!store.again(job)) {
      throw new Refused(found.label() + " came off the bench well; there is nothing to do again.");
    }
  }

  /** When the radio's data changed since, such as its lock, what goes into it is worked out anew. */
  private void replan(long account, BenchStore.Job job) {
    Fleet.Unit unit = fleet.unit(account, job.unit());
    if (store.unitVersion(job.id()) == unit.version()) {
      return;
    }
    BenchStore.Run run = store.run(account, job.run()).orElseThrow(() -> new Missing("The run"));
    RunPlan plan = plan(account, run.list(), List.of(unit.id()));
    if (!Long.valueOf(plan.chosen().release().id()).equals(run.release())) {
      throw new Refused("The data of " + job.label() + " were changed since, and there is a newer release: put that into it in a new run.");
    }
    UnitPlan now = plan.units().get(0);
    if (now.blocked() != null) {
      throw new Refused(job.label() + ": " + now.blocked());
    }
    store.plan(job.id(), unit.version(), now.loading().image().bytes(), now.entries(), JSON.writeValueAsString(now.leftOut()));
  }

  /** Takes what waits out of a run. */
  @Transactional
  public int stop(long account, long run) {
    BenchStore.Run found = store.run(account, run).orElseThrow(() -> new Missing("The run"));
    int stopped = store.stop(run);
    log.add(account, found.clubId(), Logbook.Deed.of(Logbook.Kind.BENCH, run, found.listName(), "run stopped, " + stopped + " radios left out"));
    return stopped;
  }
}
