package org.wache.server.web;

import io.micrometer.core.instrument.MeterRegistry;
import jakarta.servlet.DispatcherType;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.session.autoconfigure.DefaultCookieSerializerCustomizer;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** The container: whom it believes, how patient it is, and what every answer of it carries. */
@Configuration
class WebServerConfig {

    /** Behind the filter that finds the session, which tells strangers from others. */
    private static final int AFTER_SESSIONS = Ordered.HIGHEST_PRECEDENCE + 60;

    /** Proxies are believed by their addresses and no others: what else says it came for somebody speaks for itself. */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> container(
            @Value("${wache.trusted-proxies}") String proxies,
            @Value("${wache.connections-of-an-address}") int connections,
            @Value("${wache.patience}") Duration patience) {
        Set<String> trusted = Arrays.stream(proxies.split("[,\\s]+"))
                .filter(each -> !each.isBlank())
                .collect(Collectors.toSet());
        return factory -> {
            if (!trusted.isEmpty()) {
                RemoteIpValve forwarded = new RemoteIpValve();
                forwarded.setInternalProxies(
                        trusted.stream().map(Pattern::quote).collect(Collectors.joining("|")));
                forwarded.setRemoteIpHeader("X-Forwarded-For");
                forwarded.setProtocolHeader("X-Forwarded-Proto");
                factory.addEngineValves(forwarded);
            }
            factory.addEngineValves(new ContainerHeaders());
            factory.setProtocol(WatchedProtocol.class.getName());
            factory.addConnectorCustomizers(connector ->
                    ((WatchedProtocol) connector.getProtocolHandler()).limit(patience, connections, trusted));
        };
    }

    /** Cookies always go over HTTPS only where that is wanted, and over HTTPS only whenever somebody came that way. */
    @Bean
    DefaultCookieSerializerCustomizer sessionCookie(@Value("${wache.secure-cookies}") boolean always) {
        return (DefaultCookieSerializer cookie) -> {
            if (always) {
                cookie.setUseSecureCookie(true);
            }
        };
    }

    @Bean
    FilterRegistrationBean<WholeBodies> wholeBodies(@Value("${wache.patience}") Duration patience) {
        return first(new WholeBodies(patience), AFTER_SESSIONS, DispatcherType.REQUEST, DispatcherType.ASYNC);
    }

    @Bean
    FilterRegistrationBean<RequestLines> requestLines(MeterRegistry figures) {
        return first(
                new RequestLines(figures),
                Ordered.HIGHEST_PRECEDENCE,
                DispatcherType.REQUEST,
                DispatcherType.ASYNC,
                DispatcherType.ERROR);
    }

    @Bean
    FilterRegistrationBean<ReadableAddresses> readableAddresses() {
        return first(new ReadableAddresses(), Ordered.HIGHEST_PRECEDENCE + 1, DispatcherType.REQUEST);
    }

    private static <T extends jakarta.servlet.Filter> FilterRegistrationBean<T> first(
            T filter, int order, DispatcherType first, DispatcherType... more) {
        FilterRegistrationBean<T> registered = new FilterRegistrationBean<>(filter);
        registered.setOrder(order);
        registered.setDispatcherTypes(EnumSet.of(first, more));
        registered.setAsyncSupported(true);
        return registered;
    }
}
