package org.wache.server.bench;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.bench.drive.Stage;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.radios.JobState;
import org.wache.server.releases.Hands;
import org.wache.server.releases.Releases;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Runs of the bench: planned, started, watched, begun again. */
@RestController
class BenchController {

    private static final int MOST_RUNS = 50;
    private static final JsonMapper JSON = Json.MAPPER;

    private final BenchService service;
    private final BenchStore store;
    private final SimulatedRadios radios;
    private final AccountStore accounts;
    private final Releases releases;

    BenchController(
            BenchService service, Releases releases, BenchStore store, SimulatedRadios radios, AccountStore accounts) {
        this.service = service;
        this.releases = releases;
        this.store = store;
        this.radios = radios;
        this.accounts = accounts;
    }

    /** What a run would do with a release of a list. */
    record BenchPlan(long list, String name, long release, int number, List<PlannedUnit> units) {}

    /**
     * What a run would do with one radio. For nobody in particular party is null. notTheirs is what they may not key of the part that goes in;
     * choice what is done with it: listen, leave-out, or nothing while that is open. fits are the parts that would fit them. cannotListen is why
     * the radio cannot be kept from talking on single entries. blocked is why it cannot be written. profile is how it shall be set besides, with so
     * many settings, and what the model cannot of it.
     */
    record PlannedUnit(
            long unit,
            String label,
            @Schema(nullable = true) Long party,
            @Schema(nullable = true) String person,
            boolean custody,
            String part,
            String partName,
            int entries,
            int talks,
            int listens,
            List<StaysOut> leftOut,
            List<StaysOut> notTheirs,
            String choice,
            boolean open,
            List<FittingPart> fits,
            @Schema(nullable = true) String cannotListen,
            @Schema(nullable = true) String blocked,
            @Schema(nullable = true) String profile,
            int settings,
            List<String> cannotBeSet) {}

    /** An entry that stays out, or is not theirs, and why. */
    record StaysOut(String number, String name, String reason) {}

    /** A part of the release: an empty key is the list itself. */
    record FittingPart(String part, String name, int talks) {}

    /** What is wanted for a radio: for whom when nobody has it, which part when not what they carry, and listen or leave-out for what they may not key. */
    record UnitOrder(
            long unit,
            @Schema(nullable = true) Long party,
            @Size(max = 200) @Schema(nullable = true) String part,
            @Pattern(regexp = "|listen|leave-out") @Schema(nullable = true) String choice) {

        Order order() {
            return new Order(
                    unit,
                    Optional.ofNullable(party),
                    Optional.ofNullable(part),
                    Optional.ofNullable(choice).flatMap(BenchStore::choice));
        }
    }

    /** The radios of a run to look at. */
    record PlanFor(@NotNull List<@NotNull @Valid UnitOrder> units) {}

    /** The radios of a run, with the release that was looked at; the call sign is spoken when keys are tried. */
    record RunStart(
            long release, @NotNull List<@NotNull @Valid UnitOrder> units, @NotBlank @Size(max = 20) String callSign) {}

    /** A run with the work on each radio. */
    record BenchRun(
            long id,
            long list,
            String name,
            int version,
            @Schema(nullable = true) Integer number,
            String by,
            String callSign,
            OffsetDateTime startedAt,
            List<BenchJob> jobs) {}

    /**
     * The work on a radio: attempts above 1 when it was begun
     * again, brokenOff how often because a server went away in the middle; fault is what was made to go wrong with a simulated radio.
     */
    record BenchJob(
            long id,
            long unit,
            String label,
            String model,
            JobState state,
            @Schema(nullable = true) Stage stage,
            int done,
            int total,
            int entries,
            int leftOut,
            int attempts,
            int brokenOff,
            boolean kept,
            String message,
            String cure,
            @Schema(nullable = true) OffsetDateTime startedAt,
            @Schema(nullable = true) OffsetDateTime endedAt,
            @Schema(nullable = true) String fault) {}

    /** What came of the work on a radio, in full. */
    record JobReport(BenchJob job, List<StaysOut> leftOut, List<Differs> differences, List<Pressed> presses) {}

    /** A difference between what was wanted and what was read back. */
    record Differs(int memory, String name, String what, String wanted, String found) {}

    /** A press of the key: memory 0 is a frequency outside the limits. */
    record Pressed(int memory, String name, String mhz, boolean shouldKey, boolean keyed, String why) {}

    /** How many were taken out of the queue. */
    record TakenOut(int jobs) {}

    /** The key of the run. */
    record Started(long id) {}

    /** What may go into radios: lists of which a release is in use, and the variants in it. */
    @GetMapping("/api/groups/{group}/bench-lists")
    List<Releases.Released> lists(Account asking, @PathVariable long group) {
        long account = asking.id();
        if (!accounts.isMember(account, group)) {
            throw new Missing("The group");
        }
        return releases.inUse(account, group);
    }

    @PostMapping("/api/lists/{list}/bench-plan")
    BenchPlan plan(Account asking, @PathVariable long list, @Valid @RequestBody PlanFor wanted) {
        BenchService.RunPlan plan = service.plan(
                asking.id(), list, wanted.units().stream().map(UnitOrder::order).toList());
        Releases.InUse release = plan.chosen().release();
        return new BenchPlan(
                list,
                plan.chosen().name(),
                release.id(),
                release.number(),
                plan.units().stream().map(each -> planned(each, release.name())).toList());
    }

    private static PlannedUnit planned(BenchService.UnitPlan unit, String list) {
        UnitPlans.Planned plan = unit.planned();
        return new PlannedUnit(
                unit.unit(),
                unit.label(),
                plan.person().map(Hands.Person::id).orElse(null),
                plan.person().map(Hands.Person::name).orElse(null),
                unit.custody(),
                plan.part(),
                plan.part().isEmpty() ? list : plan.part(),
                unit.entries(),
                plan.off() ? 0 : plan.talks().size(),
                plan.off() ? unit.entries() : plan.listens().size(),
                staysOut(plan.leftOut()),
                staysOut(plan.notTheirs()),
                plan.choice().map(BenchStore::text).orElse(""),
                plan.isOpen(),
                plan.fits().stream()
                        .map(each -> new FittingPart(each.part(), each.name(), each.talks()))
                        .toList(),
                plan.cannotListen(),
                unit.blocked(),
                plan.profile().orElse(null),
                plan.settings().size(),
                plan.cannotBeSet());
    }

    static List<StaysOut> staysOut(List<UnitPlans.LeftOut> entries) {
        return entries.stream()
                .map(each -> new StaysOut(each.number(), each.name(), each.reason()))
                .toList();
    }

    @PostMapping("/api/lists/{list}/runs")
    @ResponseStatus(HttpStatus.CREATED)
    Started start(Account asking, @PathVariable long list, @Valid @RequestBody RunStart start) {
        return new Started(service.start(
                asking.id(),
                list,
                start.release(),
                start.units().stream().map(UnitOrder::order).toList(),
                start.callSign().strip()));
    }

    @GetMapping("/api/groups/{group}/runs")
    List<BenchRun> runs(Account asking, @PathVariable long group) {
        long account = asking.id();
        if (!accounts.isMember(account, group)) {
            throw new Missing("The group");
        }
        List<BenchStore.Run> runs = store.runs(account, group, MOST_RUNS);
        Map<Long, List<BenchStore.Job>> jobs = store
                .jobs(runs.stream().map(BenchStore.Run::id).toList())
                .stream()
                .collect(Collectors.groupingBy(BenchStore.Job::run));
        return runs.stream()
                .map(run -> view(run, jobs.getOrDefault(run.id(), List.of())))
                .toList();
    }

    @GetMapping("/api/runs/{run}")
    BenchRun run(Account asking, @PathVariable long run) {
        BenchStore.Run found = store.run(asking.id(), run).orElseThrow(() -> new Missing("The run"));
        return view(found, store.jobs(List.of(run)));
    }

    private BenchRun view(BenchStore.Run run, List<BenchStore.Job> jobs) {
        return new BenchRun(
                run.id(),
                run.list(),
                run.listName(),
                run.listVersion(),
                run.number(),
                run.by(),
                run.callSign(),
                run.startedAt(),
                jobs.stream().map(this::view).toList());
    }

    private BenchJob view(BenchStore.Job job) {
        return new BenchJob(
                job.id(),
                job.unit(),
                job.label(),
                job.model(),
                job.state(),
                job.stage().orElse(null),
                job.done(),
                job.total(),
                job.entries(),
                JSON.readTree(job.leftOut()).size(),
                job.attempts(),
                job.brokenOff(),
                job.kept(),
                job.message(),
                job.cure(),
                job.startedAt(),
                job.endedAt(),
                radios.fault(job.unit()).map(fault -> fault.text()).orElse(null));
    }

    @GetMapping("/api/jobs/{job}")
    JobReport job(Account asking, @PathVariable long job) {
        BenchStore.Job found = store.job(asking.id(), job).orElseThrow(() -> new Missing("The work on this radio"));
        JsonNode outcome = found.outcome() == null ? JSON.createObjectNode() : JSON.readTree(found.outcome());
        List<StaysOut> out = new ArrayList<>();
        JSON.readTree(found.leftOut()).forEach(each -> out.add(JSON.treeToValue(each, StaysOut.class)));
        return new JobReport(
                view(found),
                out,
                all(outcome.path("differences"), Differs.class),
                all(outcome.path("trials"), Pressed.class));
    }

    private static <T> List<T> all(JsonNode array, Class<T> type) {
        return StreamSupport.stream(array.spliterator(), false)
                .map(each -> JSON.treeToValue(each, type))
                .toList();
    }

    @PostMapping("/api/jobs/{job}/again")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void again(Account asking, @PathVariable long job) {
        service.again(asking.id(), job);
    }

    @PostMapping("/api/runs/{run}/stop")
    TakenOut stop(Account asking, @PathVariable long run) {
        return new TakenOut(service.stop(asking.id(), run));
    }
}
