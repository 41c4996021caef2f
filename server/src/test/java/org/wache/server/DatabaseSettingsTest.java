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
}
