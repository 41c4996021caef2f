package org.wache.server;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The application with the demo's data on a real PostgreSQL, started once for all tests. */
public final class RunningServer implements ParameterResolver {

    private static RunningServer only;

    private final String address;
    private final String database;
    private final ConfigurableApplicationContext context;

    public RunningServer() {
        this("", "", null);
    }

    private RunningServer(String address, String database, ConfigurableApplicationContext context) {
        this.address = address;
        this.database = database;
        this.context = context;
    }

    /** Starts one more server, with or without the demo's data. */
    static ConfigurableApplicationContext start(String database, boolean demo, String... more) {
        List<String> arguments = new ArrayList<>(List.of(
                "--server.port=0",
                "--spring.datasource.url=" + database,
                "--spring.datasource.username=wache",
                "--wache.demo=" + demo,
                "--wache.secure-cookies=false",
                "--logging.level.org.wache.requests=warn",
                "--wache.bench.baud=0",
                "--wache.bench.answer-ms=400"));
        arguments.addAll(List.of(more));
        if (arguments.stream().noneMatch(each -> each.startsWith("--wache.patience-for-verdicts="))) {
            arguments.add("--wache.patience-for-verdicts=60s"); // what is tested is what they are, not when
        }
        if (arguments.stream().noneMatch(each -> each.startsWith("--wache.quota.files="))) {
            arguments.add("--wache.quota.files=5000"); // tests bring in more within the hour than any group
        }
        return new SpringApplicationBuilder(WacheServer.class).run(arguments.toArray(String[]::new));
    }

    static String addressOf(ConfigurableApplicationContext context) {
        return "http://127.0.0.1:"
                + ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    private static synchronized RunningServer running() {
        if (only == null) {
            String database = TestDatabase.newDatabase();
            ConfigurableApplicationContext started = start(database, true);
            only = new RunningServer(addressOf(started), database, started);
        }
        return only;
    }

    /** Where it answers. */
    public String address() {
        return address;
    }

    /** Its database, for a second server on the same one. */
    String database() {
        return database;
    }

    /** A part of the running application, such as a stand-in that is to behave otherwise. */
    <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == RunningServer.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return running();
    }
}
