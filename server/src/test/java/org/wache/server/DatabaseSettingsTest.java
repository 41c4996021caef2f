package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How the server talks to its database. */
@ExtendWith(RunningServer.class)
class DatabaseSettingsTest {

    private final RunningServer server;

    DatabaseSettingsTest(RunningServer server) {
        this.server = server;
    }

    /** PostgreSQL, "When to JIT?": short questions are planned and compiled for longer than they take to answer. */
    @Test
    void noQuestionIsCompiled() {
        assertThat(server.bean(JdbcClient.class)
                        .sql("show jit")
                        .query(String.class)
                        .single())
                .isEqualTo("off");
    }

    /** Forms with a name are taken out and stay: the role under which the server works may delete none, of whatever kind. */
    @Test
    void noFormIsEverDeleted() {
        var forms = server.bean(JdbcClient.class)
                .sql(
                        """
                select table_name || ' ' || has_table_privilege(table_name, 'delete') from information_schema.columns
                where table_schema = 'public' and column_name in ('name', 'body', 'removed', 'changed_by')
                group by table_name having count(*) = 4 order by table_name
                """)
                .query(String.class)
                .list();
        assertThat(forms).containsExactly("area false", "operation false", "station false");
    }
}
