package org.wache.server.health;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.jvm.ClassLoaderMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmGcMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmMemoryMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmThreadMetrics;
import io.micrometer.core.instrument.binder.system.FileDescriptorMetrics;
import io.micrometer.core.instrument.binder.system.ProcessorMetrics;
import io.micrometer.core.instrument.binder.system.UptimeMetrics;
import io.micrometer.prometheusmetrics.PrometheusConfig;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import io.prometheus.metrics.exporter.httpserver.HTTPServer;
import java.io.IOException;
import java.net.InetAddress;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The figures of the server, in Prometheus' text format (version 0.0.4), on an address of its own that is for the monitor and not
 * for people: counts and times by the patterns of addresses, never by names, keys or what was asked.
 */
@Configuration
class Figures {

    private static final Pattern ADDRESS = Pattern.compile("(\\[[0-9a-fA-F:]+]|[\\w.-]+):(\\d{1,5})");

    @Bean
    PrometheusMeterRegistry figuresRegistry() {
        PrometheusMeterRegistry registry = new PrometheusMeterRegistry(PrometheusConfig.DEFAULT);
        new JvmMemoryMetrics().bindTo(registry);
        new JvmThreadMetrics().bindTo(registry);
        new ClassLoaderMetrics().bindTo(registry);
        new ProcessorMetrics().bindTo(registry);
        new FileDescriptorMetrics().bindTo(registry);
        new UptimeMetrics().bindTo(registry);
        return registry;
    }

    /** Counts pauses of the memory's cleaning; closed with the server. */
    @Bean(destroyMethod = "close")
    JvmGcMetrics pauses(MeterRegistry registry) {
        JvmGcMetrics pauses = new JvmGcMetrics();
        pauses.bindTo(registry);
        return pauses;
    }

    /** Nothing listens when no address is set. */
    @Bean(destroyMethod = "close")
    Served figuresServer(PrometheusMeterRegistry registry, @Value("${wache.figures}") String address)
            throws IOException {
        if (address.isBlank()) {
            return new Served(null);
        }
        Matcher parts = ADDRESS.matcher(address.strip());
        if (!parts.matches() || Integer.parseInt(parts.group(2)) > 65_535) {
            throw new IllegalStateException(
                    "WACHE_FIGURES is an address and a port, such as 127.0.0.1:8751, not “" + address + "”");
        }
        return new Served(HTTPServer.builder()
                .inetAddress(InetAddress.getByName(parts.group(1)))
                .port(Integer.parseInt(parts.group(2)))
                .registry(registry.getPrometheusRegistry())
                .buildAndStart());
    }

    /** The server of the figures, or none. */
    record Served(HTTPServer server) implements AutoCloseable {

        /** Where it answers; 0 where none does. */
        int port() {
            return server == null ? 0 : server.getPort();
        }

        @Override
        public void close() {
            if (server != null) {
                server.close();
            }
        }
    }
}
