package org.wache.server.database;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import io.micrometer.core.instrument.MeterRegistry;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.util.HexFormat;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayConfigurationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Two roles of the database: the owner makes and changes the tables when the server starts; under the other, which may
 * neither change nor delete what is recorded, the server works.
 */
@Configuration
class DatabaseConfig {

    private static final int CONNECTIONS = 12;
    /** Who asks while the database is away hears so soon. */
    private static final int PATIENCE_MS = 5_000;

    private final String owner;
    private final String ownerPassword;
    private final String givenUser;
    private final String givenPassword;

    DatabaseConfig(
            @Value("${spring.datasource.username}") String owner,
            @Value("${spring.datasource.password}") String ownerPassword,
            @Value("${wache.database.user}") String givenUser,
            @Value("${wache.database.password}") String givenPassword) {
        this.owner = owner;
        this.ownerPassword = ownerPassword;
        this.givenUser = givenUser;
        this.givenPassword = givenPassword;
    }

    @Bean
    HikariDataSource dataSource(@Value("${spring.datasource.url}") String url, MeterRegistry figures) {
        HikariConfig config = new HikariConfig();
        config.setJdbcUrl(url);
        config.setUsername(user());
        config.setPassword(password());
        config.setMaximumPoolSize(CONNECTIONS);
        config.setConnectionTimeout(PATIENCE_MS);
        config.setInitializationFailTimeout(-1); // the role is made by the owner, just after this
        config.addDataSourceProperty("ApplicationName", "wache");
        config.addDataSourceProperty("logServerErrorDetail", "false"); // it quotes what people wrote
        config.setMetricRegistry(figures);
        // Of small tables PostgreSQL guesses high, and compiles for a tenth of a second what it answers in a
        // thousandth.
        config.setConnectionInitSql("set jit = off");
        return new HikariDataSource(config);
    }

    @Bean
    FlywayConfigurationCustomizer roles() {
        return flyway -> flyway.callbacks(new WorkingRole(user(), password(), givenUser.isBlank()));
    }

    private String user() {
        return givenUser.isBlank() ? owner + "_app" : givenUser;
    }

    /** Every server on one database comes to the same password, and nobody without the owner's does. */
    private String password() {
        if (!givenUser.isBlank()) {
            return givenPassword;
        }
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(("wache " + ownerPassword).getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
            return HexFormat.of().formatHex(mac.doFinal(user().getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Every Java has HmacSHA256", e);
        }
    }
}
