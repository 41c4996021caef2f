package org.wache.server.database;

import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes away once a day what is kept for a while only; of several servers on one database, one does it. */
@Component
class DailySweep implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(DailySweep.class);
    private static final long TURN = 7_269_812_347L;
    private static final int FIRST_AFTER_S = 60;
    private static final int EVERY_S = 24 * 60 * 60;

    private final List<Perishable> kept;
    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "daily sweep");
        thread.setDaemon(true);
        return thread;
    });

    DailySweep(List<Perishable> kept, JdbcClient jdbc, TransactionTemplate transaction) {
        this.kept = kept;
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        worker.scheduleWithFixedDelay(this::sweep, FIRST_AFTER_S, EVERY_S, TimeUnit.SECONDS);
    }

    /** Sweeps now, unless another server does; how much was taken away. */
    int sweep() {
        try {
            return transaction.execute(status -> jdbc.sql("select pg_try_advisory_xact_lock(:turn)")
                            .param("turn", TURN)
                            .query(Boolean.class)
                            .single()
                    ? kept.stream().mapToInt(Perishable::sweep).sum()
                    : 0);
        } catch (RuntimeException e) { // the next day comes
            LOG.warn("The daily sweep failed", e);
            return 0;
        }
    }

    @Override
    public void destroy() {
        worker.shutdownNow();
    }
}
