package org.wache.server.web;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Those who change one thing (a list, a person, a radio) line up for it here, before they take a connection to the database. The
 * database lines them up too; but there each who waits holds a connection, and a crowd at one list would shut out everybody else.
 */
@Configuration
class Turns implements HandlerInterceptor, WebMvcConfigurer {

    /** Who waited so long is told to try again. */
    private static final int PATIENCE_S = 30;

    private static final int AFTER_THE_GUARD = 1;
    private static final String ATTRIBUTE = Turns.class.getName();
    private static final Set<String> LOOKING = Set.of("GET", "HEAD", "OPTIONS");
    /** What a change is made to stands first in its address; what is added to a group needs no turn. */
    private static final Pattern ONE_THING = Pattern.compile("/api/(?!groups/)([a-z-]+)/\\{(\\w+)}.*");

    private final Map<String, Line> lines = new ConcurrentHashMap<>();

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(AFTER_THE_GUARD);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() == DispatcherType.REQUEST && !LOOKING.contains(request.getMethod())) {
            thing(request).ifPresent(thing -> request.setAttribute(ATTRIBUTE, take(thing)));
        }
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception problem) {
        if (request.getAttribute(ATTRIBUTE) instanceof String thing) {
            request.removeAttribute(ATTRIBUTE);
            Line line = lines.get(thing);
            line.turn.release();
            leave(thing);
        }
    }

    private static Optional<String> thing(HttpServletRequest request) {
        Matcher pattern =
                ONE_THING.matcher(String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE)));
        if (!pattern.matches()) {
            return Optional.empty();
        }
        Map<?, ?> variables = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        return Optional.of(pattern.group(1) + "/" + variables.get(pattern.group(2)));
    }

    private String take(String thing) {
        Line line = lines.compute(thing, (name, known) -> {
            Line there = known == null ? new Line() : known;
            there.people.incrementAndGet();
            return there;
        });
        try {
            if (line.turn.tryAcquire(PATIENCE_S, TimeUnit.SECONDS)) {
                return thing;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        leave(thing);
        throw new CannotAcquireLockException("Too many change " + thing + " at once");
    }

    private void leave(String thing) {
        lines.computeIfPresent(thing, (name, line) -> line.people.decrementAndGet() == 0 ? null : line);
    }

    /** Who waits for one thing, in the order in which they came. */
    private static final class Line {
        private final Semaphore turn = new Semaphore(1, true);
        private final AtomicInteger people = new AtomicInteger();
    }
}
