package org.wache.server.web;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.web.servlet.HandlerMapping;

/**
 * A line in the log and a figure for each request: its reference, how it was asked, by which pattern of address, with what end and
 * in what time. Neither who asked nor what: no name, no key, nothing behind the question mark.
 */
final class RequestLines implements Filter {

    private static final Logger LOG = LoggerFactory.getLogger("org.wache.requests");
    private static final String REFERENCE = RequestLines.class.getName() + ".reference";
    private static final Set<String> METHODS = Set.of("GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS", "PATCH");
    private static final Duration[] STEPS = {
        Duration.ofMillis(50),
        Duration.ofMillis(100),
        Duration.ofMillis(300),
        Duration.ofSeconds(1),
        Duration.ofSeconds(3)
    };

    private final MeterRegistry figures;

    RequestLines(MeterRegistry figures) {
        this.figures = figures;
    }

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest asked = (HttpServletRequest) request;
        HttpServletResponse answer = (HttpServletResponse) response;
        boolean first = asked.getDispatcherType() == DispatcherType.REQUEST;
        long begun = System.nanoTime();
        String reference = first ? Reference.next() : String.valueOf(asked.getAttribute(REFERENCE));
        MDC.put(Reference.KEY, reference);
        try {
            if (first) {
                asked.setAttribute(REFERENCE, reference);
                answer.setHeader("Wache-Reference", reference);
            }
            chain.doFilter(request, response);
        } finally {
            if (first && asked.isAsyncStarted()) {
                asked.getAsyncContext().addListener(new AtItsEnd(() -> told(asked, answer, reference, begun)));
            } else if (first) {
                told(asked, answer, reference, begun);
            }
            MDC.remove(Reference.KEY);
        }
    }

    private void told(HttpServletRequest asked, HttpServletResponse answer, String reference, long begun) {
        Duration took = Duration.ofNanos(System.nanoTime() - begun);
        String method = METHODS.contains(asked.getMethod()) ? asked.getMethod() : "OTHER";
        // What no endpoint answers has no pattern: what was typed there is not written down.
        String pattern = Optional.ofNullable(asked.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE))
                .map(Object::toString)
                .orElse("none");
        Timer.builder("http.server.requests")
                .description("Requests by method, pattern of address and status")
                .tag("method", method)
                .tag("uri", pattern)
                .tag("status", Integer.toString(answer.getStatus()))
                .serviceLevelObjectives(STEPS)
                .register(figures)
                .record(took);
        if (LOG.isInfoEnabled()) {
            MDC.put(Reference.KEY, reference);
            LOG.info("{} {} {} {} ms", method, pattern, answer.getStatus(), took.toMillis());
            MDC.remove(Reference.KEY);
        }
    }

    /** Does something once a request whose body was waited for has come to its end, whichever. */
    private record AtItsEnd(Runnable then) implements AsyncListener {

        @Override
        public void onComplete(AsyncEvent event) {
            then.run();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            // it is completed afterwards
        }

        @Override
        public void onError(AsyncEvent event) {
            // it is completed afterwards
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            event.getAsyncContext().addListener(this); // begun anew, listeners are forgotten
        }
    }
}
