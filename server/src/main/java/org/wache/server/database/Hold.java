package org.wache.server.database;

import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Holds rows until the transaction ends. A row is held first, by a statement of its own, and read after that: a statement that
 * does both, over a join, waits for whoever changes the row and then looks for the row's partners among those that it saw
 * before it waited (PostgreSQL, 13.2.1, read committed), so that a row that is there would be told as missing.
 */
public final class Hold {

    private Hold() {}

    /** Holds the row of a table with this key, if there is one. The name of the table is the program's own. */
    public static void row(JdbcClient jdbc, String table, long id) {
        rows(jdbc, table, "id", id);
    }

    /** Holds all rows of a table whose column has this value, in the order of their keys, so that no two wait for each other. */
    public static void rows(JdbcClient jdbc, String table, String column, long value) {
        jdbc.sql("select id from " + table + " where " + column + " = :value order by id for no key update")
                .param("value", value)
                .query(Long.class)
                .list();
    }
}
