package org.wache.server;

import java.time.Clock;
import java.time.ZoneId;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;

/** The server: HTTP, accounts, storage. The judgement itself is core's. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class WacheServer {

    /** Starts it. */
    public static void main(String[] arguments) {
        SpringApplication.run(WacheServer.class, arguments);
    }

    /** The clock, so that tests can set the day. */
    @Bean
    Clock clock() {
        return Clock.system(ZoneId.systemDefault());
    }
}
