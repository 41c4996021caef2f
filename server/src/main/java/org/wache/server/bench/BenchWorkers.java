package org.wache.server.bench;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.commons.codec.digest.DigestUtils;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.wache.bench.drive.LinkFault;
import org.wache.bench.drive.Stage;
import org.wache.bench.drive.UnitWork;
import org.wache.bench.image.RadioImage;
import org.wache.bench.wire.Identity;
import org.wache.server.radios.Fleet;
import org.wache.server.radios.JobState;
import org.wache.server.radios.SetOtherwise;
import org.wache.server.web.Json;
import tools.jackson.databind.json.JsonMapper;

/**
 * Does the work on radios, several at a time. Work is claimed in the database with a sign of life, so that what one
 * server broke off is found and finished by the next.
 */
@Component
class BenchWorkers {

    private static final int POLL_MS = 400;
    private static final int SIGN_OF_LIFE_MS = 300;
    private static final int LAST_WORDS_S = 5;
    private static final JsonMapper JSON = Json.MAPPER;
    private static final Logger LOG = LoggerFactory.getLogger(BenchWorkers.class);

    private final BenchStore store;
    private final Fleet fleet;
    private final SimulatedRadios radios;
    private final TransactionTemplate transaction;
    private final int hands;
    private final int answerMs;
    private final ScheduledExecutorService workers;
    private volatile boolean ending;

    BenchWorkers(
            BenchStore store,
            Fleet fleet,
            SimulatedRadios radios,
            TransactionTemplate transaction,
            @Value("${wache.bench.hands}") int hands,
            @Value("${wache.bench.answer-ms}") int answerMs) {
        this.store = store;
        this.fleet = fleet;
        this.radios = radios;
        this.transaction = transaction;
        this.hands = hands;
        this.answerMs = answerMs;
        this.workers = Executors.newScheduledThreadPool(hands, task -> {
            Thread thread = new Thread(task, "bench");
            thread.setDaemon(true);
            return thread;
        });
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        for (int i = 0; i < hands; i++) {
            workers.scheduleWithFixedDelay(this::lookForWork, POLL_MS, POLL_MS, TimeUnit.MILLISECONDS);
        }
    }

    private void lookForWork() {
        try {
            String worker = UUID.randomUUID().toString();
            Optional<BenchStore.Claimed> claimed = store.claim(worker);
            while (claimed.isPresent()) {
                work(claimed.get(), worker);
                claimed = ending ? Optional.empty() : store.claim(worker);
            }
        } catch (RuntimeException e) {
            LOG.warn("The bench could not look for work", e);
        }
    }

    private void work(BenchStore.Claimed job, String worker) {
        try {
            Fleet.Unit unit = fleet.unitOf(job.unit());
            Map<String, String> settings = SetOtherwise.read(job.settings());
            UnitWork.Plan plan = new UnitWork.Plan(
                    unit.radio().without(SetOtherwise.off(settings, unit.radio().model())),
                    unit.serial(),
                    RadioImage.of(job.wanted()),
                    settings,
                    job.callSign());
            UnitWork.Outcome outcome =
                    new UnitWork(radios.freshAddress(unit), answerMs, plan, new Log(job, worker)).run();
            String result =
                    JSON.writeValueAsString(Map.of("differences", outcome.differences(), "trials", outcome.trials()));
            transaction.executeWithoutResult(status -> {
                boolean ended = store.end(
                        job.id(),
                        worker,
                        outcome.good() ? JobState.GOOD : JobState.DIFFERS,
                        said(outcome),
                        outcome.good() ? "" : advice(outcome),
                        result);
                if (ended) {
                    store.found(job.id(), JSON.writeValueAsString(outcome.settings()));
                }
                if (ended && outcome.good()) {
                    store.verified(job.id());
                    if (unit.radio().inhibited()) {
                        store.check(job.unit(), null, AirCheckKind.INHIBIT, job.account(), true, "{}");
                    }
                }
            });
        } catch (LinkFault e) {
            if (ending) {
                store.letGo(job.id(), worker); // the next server takes it up at once
            } else {
                store.end(job.id(), worker, JobState.FAILED, e.getMessage(), e.cure(), null);
            }
        } catch (RuntimeException e) {
            LOG.error("The work on a radio failed", e);
            store.end(
                    job.id(),
                    worker,
                    JobState.FAILED,
                    "The bench itself failed.",
                    "Start this radio again; if it stays, tell the administrator.",
                    null);
        }
    }

    private static String said(UnitWork.Outcome outcome) {
        if (outcome.good()) {
            return "";
        }
        long wrong =
                outcome.trials().stream().filter(each -> !each.asItShould()).count();
        List<String> parts = new java.util.ArrayList<>();
        if (!outcome.differences().isEmpty()) {
            parts.add(outcome.differences().size()
                    + (outcome.differences().size() == 1 ? " difference" : " differences") + " after reading back");
        }
        if (wrong > 0) {
            parts.add(wrong + (wrong == 1 ? " press" : " presses") + " of the key not as it should be");
        }
        return org.wache.audit.finding.Wording.capital(org.wache.audit.finding.Wording.list(parts)) + ".";
    }

    private static String advice(UnitWork.Outcome outcome) {
        return outcome.differences().isEmpty()
                ? "Look at the radio's lock setting, then start it again."
                : "Look at the differences: the model's data may be wrong, or the radio rounds. Then start it again.";
    }

    /** Writes down what happens, and ends the work when it was taken away. */
    private final class Log implements UnitWork.Log {
        private final BenchStore.Claimed job;
        private final String worker;
        private Stage stage;
        private long told;

        private Log(BenchStore.Claimed job, String worker) {
            this.job = job;
            this.worker = worker;
        }

        @Override
        public void at(Stage now, int done, int total) throws LinkFault {
            if (ending) {
                throw new LinkFault("The server ends.", "");
            }
            long time = System.nanoTime();
            boolean due = now != stage || done == total || time - told > SIGN_OF_LIFE_MS * 1_000_000L;
            if (due) {
                stage = now;
                told = time;
                if (!store.progress(job.id(), worker, now, done, total)) {
                    throw new LinkFault("Another server has taken this radio on.", "");
                }
            }
        }

        @Override
        public void saved(Identity identity, RadioImage image) {
            byte[] bytes = image.bytes();
            store.save(job.unit(), job.id(), identity.lock(), DigestUtils.sha256Hex(bytes), bytes);
        }

        @Override
        public void kept() {
            transaction.executeWithoutResult(status -> {
                store.kept(job.id());
                store.load(job, DigestUtils.sha256Hex(job.wanted()));
            });
        }
    }

    @PreDestroy
    void end() {
        ending = true;
        workers.shutdown();
        try {
            workers.awaitTermination(LAST_WORDS_S, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        workers.shutdownNow();
    }
}
