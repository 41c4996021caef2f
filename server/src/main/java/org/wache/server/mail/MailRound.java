package org.wache.server.mail;

import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Looks again and again whether somebody is to be told something, and sends it. Of several servers on one database each may: nothing is said twice. */
@Component
class MailRound implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(MailRound.class);

    private static final int PATIENCE_S = 3;

    private final Gathering gathering;
    private final Delivery delivery;
    private final Postman postman;
    private final Duration every;
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "mail");
        thread.setDaemon(true);
        return thread;
    });

    MailRound(Gathering gathering, Delivery delivery, Postman postman, @Value("${wache.mail.every}") Duration every) {
        this.gathering = gathering;
        this.delivery = delivery;
        this.postman = postman;
        this.every = every;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (postman.isOn()) {
            worker.scheduleWithFixedDelay(this::round, every.toMillis(), every.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    /** Gathers and delivers now; how many mails went out. */
    int round() {
        try {
            gathering.gather();
        } catch (RuntimeException e) { // what waits goes out all the same
            LOG.warn("What is to be told by mail could not be gathered", e);
        }
        try {
            return delivery.deliver();
        } catch (RuntimeException e) { // the next round comes
            LOG.warn("What waits could not be sent", e);
            return 0;
        }
    }

    /** What is being sent is finished, for a while: the database goes only after it. */
    @Override
    public void destroy() {
        worker.shutdown();
        try {
            if (!worker.awaitTermination(PATIENCE_S, TimeUnit.SECONDS)) {
                worker.shutdownNow();
            }
        } catch (InterruptedException e) {
            worker.shutdownNow();
            Thread.currentThread().interrupt();
        }
    }
}
