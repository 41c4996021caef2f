package org.wache.server.web;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLRecoverableException;
import java.sql.SQLTransientException;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/**
 * What nobody foresaw, told without its insides: 503 for what trying again can mend (the database is away, two changes met), 500
 * for everything else, with a reference under which the log of the server has the whole of it.
 */
public record Fault(HttpStatus status, String title, String words) {

    private static final Logger LOG = LoggerFactory.getLogger(Fault.class);
    /** Connection, insufficient resources, operator intervention, transaction rollback (PostgreSQL, appendix A). */
    private static final Set<String> PASSING = Set.of("08", "53", "57", "40");

    /** Writes a fault into the log and says what its sufferer is told. */
    public static Fault of(Throwable problem) {
        String reference = Reference.current();
        if (passes(problem)) {
            LOG.warn("The database did not answer as it should ({})", reference, problem);
            return new Fault(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "The server could not do this now",
                    "Nothing was changed. Try again in a moment; if it stays, tell the administrator the reference "
                            + reference + ".");
        }
        LOG.error("A fault of the program ({})", reference, problem);
        return new Fault(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "This is a fault of the program",
                "Nothing was changed, and trying again will not help. Tell the administrator the reference " + reference
                        + ": the log of the server has it.");
    }

    private static boolean passes(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof TransientDataAccessException
                    || cause instanceof RecoverableDataAccessException
                    || cause instanceof DataAccessResourceFailureException
                    || cause instanceof CannotCreateTransactionException
                    || cause instanceof TransactionSystemException // it could not be ended: the connection went
                    || cause instanceof SQLTransientException
                    || cause instanceof SQLRecoverableException
                    || cause instanceof SQLNonTransientConnectionException
                    || cause instanceof SQLException state
                            && state.getSQLState() != null
                            && PASSING.contains(state.getSQLState().substring(0, 2))) {
                return true;
            }
        }
        return false;
    }
}
