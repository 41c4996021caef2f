package org.wache.server.database;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.flywaydb.core.api.callback.Callback;
import org.flywaydb.core.api.callback.Context;
import org.flywaydb.core.api.callback.Event;

/**
 * The role under which the server works: made by the owner, with what it may do given anew after every migration. What is
 * only ever added to it may not change. It hangs on the migrations rather than being one: its name and its password are
 * the installation's, and a table that a later migration adds must not be forgotten by a file that has run.
 */
final class WorkingRole implements Callback {

    /** Tables of the record: the server adds to them and reads them. */
    static final List<String> RECORD = List.of(
            "log",
            "list_change",
            "roster_change",
            "radio_change",
            "overlay",
            "entry_past",
            "entry_order",
            "saved_image",
            "measurement",
            "air_check",
            "release_carrier",
            "load_file");
    /** Tables of which nothing is deleted. */
    static final List<String> KEPT = List.of(
            "release",
            "waiver",
            "sign_off",
            "unit_load",
            "custody",
            "bench_run",
            "bench_job",
            "invitation",
            "account",
            "rulebook_addition",
            "station",
            "area",
            "operation");
    /** One at a time: two servers that start together would get in each other's way. */
    private static final long TURN = 7_269_812_345L;

    private final String user;
    private final String password;
    private final boolean made;

    /** For a role that is made here, or that somebody else has made. */
    WorkingRole(String user, String password, boolean made) {
        this.user = user;
        this.password = password;
        this.made = made;
    }

    @Override
    public String getCallbackName() {
        return "working role";
    }

    @Override
    public boolean supports(Event event, Context context) {
        return event == Event.AFTER_MIGRATE;
    }

    @Override
    public boolean canHandleInTransaction(Event event, Context context) {
        return true;
    }

    @Override
    public void handle(Event event, Context context) {
        try {
            Connection connection = context.getConnection();
            boolean before = connection.getAutoCommit();
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                statement.execute("select pg_advisory_xact_lock(" + TURN + ")");
                if (made) {
                    make(statement);
                }
                grant(statement);
                connection.commit();
            } finally {
                connection.setAutoCommit(before);
            }
        } catch (SQLException e) {
            throw new IllegalStateException(
                    "The role " + user + " could not be given what the server needs: " + e.getMessage()
                            + ". Let WACHE_DB_USER make"
                            + " roles, or make one with “create role … login password …” and name it in WACHE_DB_APP_USER and WACHE_DB_APP_PASSWORD.",
                    e);
        }
    }

    private void make(Statement statement) throws SQLException {
        boolean there;
        try (ResultSet found =
                statement.executeQuery("select 1 from pg_roles where rolname = '" + user.replace("'", "''") + "'")) {
            there = found.next();
        }
        statement.execute(
                (there ? "alter role " : "create role ") + quoted(user) + " login password '" + password + "'");
    }

    private void grant(Statement statement) throws SQLException {
        String role = quoted(user);
        statement.execute("grant usage on schema public to " + role);
        statement.execute("grant select, insert, update, delete on all tables in schema public to " + role);
        statement.execute("grant usage on all sequences in schema public to " + role);
        statement.execute("revoke update, delete on " + String.join(", ", RECORD) + " from " + role);
        statement.execute("revoke delete on " + String.join(", ", KEPT) + " from " + role);
        statement.execute("revoke update on release from " + role);
        statement.execute("grant update (recalled_by, recalled_at, recall_reason) on release to " + role);
        statement.execute("revoke update on rulebook_addition from " + role);
        statement.execute("grant update (taken_by, taken_at, taken_note) on rulebook_addition to " + role);
        statement.execute("revoke insert, update, delete on flyway_schema_history from " + role);
    }

    private static String quoted(String name) {
        return "\"" + name.replace("\"", "\"\"") + "\"";
    }
}
