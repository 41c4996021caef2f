package org.wache.server.health;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.locks.ReentrantLock;
import javax.sql.DataSource;
import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.stereotype.Component;

/** Whether the server can do its work now: it has started, is not being stopped, and its database answers. */
@Component
class Readiness {

    /** An answer of the database is good for so long: many who ask do not burden it. */
    private static final long GOOD_FOR_NS = 1_000_000_000L;

    private static final int PATIENCE_S = 2;

    private final DataSource database;
    private final ApplicationAvailability availability;
    private final ReentrantLock asking = new ReentrantLock();
    private volatile boolean answered = true;
    private volatile long at = System.nanoTime() - GOOD_FOR_NS;

    Readiness(DataSource database, ApplicationAvailability availability) {
        this.database = database;
        this.availability = availability;
    }

    /** Why it is not ready; empty when it is. */
    String hindrance() {
        if (availability.getReadinessState() != ReadinessState.ACCEPTING_TRAFFIC) {
            return "The server is starting or being stopped.";
        }
        return answers() ? "" : "The database does not answer.";
    }

    /** One asks the database; whoever comes meanwhile hears what was known before. */
    private boolean answers() {
        if (System.nanoTime() - at >= GOOD_FOR_NS && asking.tryLock()) {
            try {
                answered = isValid();
                at = System.nanoTime();
            } finally {
                asking.unlock();
            }
        }
        return answered;
    }

    private boolean isValid() {
        try (Connection connection = database.getConnection()) {
            return connection.isValid(PATIENCE_S);
        } catch (SQLException e) {
            return false; // it is what was asked
        }
    }
}
