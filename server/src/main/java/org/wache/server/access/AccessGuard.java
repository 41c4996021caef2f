package org.wache.server.access;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;
import org.wache.server.web.Missing;

/**
 * Holds every call against the table of who may call what, by the method and the pattern to which the dispatcher matched it:
 * however an address was written, this is what will answer it. What has no line is refused.
 */
@Component
class AccessGuard implements HandlerInterceptor {

    private final AccessTable table = AccessTable.SHIPPED;
    private final Set<PathPattern> files = table.with(Right.FILE).stream()
            .map(line -> PathPatternParser.defaultInstance.parse(line.getKey().split(" ")[1]))
            .collect(Collectors.toSet());
    private final Rights rights;

    AccessGuard(Rights rights) {
        this.rights = rights;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getDispatcherType() == DispatcherType.ERROR) {
            return true; // the page that says what went wrong
        }
        String method = request.getMethod().equals("HEAD") ? "GET" : request.getMethod();
        if (handler instanceof HandlerMethod) {
            method(request, method);
        } else if (!method.equals("GET") || files.stream().noneMatch(file -> file.matches(path(request)))) {
            throw new Missing("The address");
        }
        return true;
    }

    private static PathContainer path(HttpServletRequest request) {
        return ServletRequestPathUtils.getParsedRequestPath(request).pathWithinApplication();
    }

    private void method(HttpServletRequest request, String method) {
        String pattern = String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        Right right = table.of(method, pattern).orElseThrow(() -> new Missing("The address"));
        Optional<String> variable = GroupOf.deciding(pattern);
        Map<?, ?> variables = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
        String key = variable.map(name -> String.valueOf(variables.get(name))).orElse("");
        rights.check(right, Optional.ofNullable(request.getUserPrincipal()).map(Principal::getName), variable, key);
    }

    /** Every endpoint has its line, every line its endpoint, and every line within a group names something of the group. */
    @EventListener
    void complete(ApplicationStartedEvent event) {
        RequestMappingHandlerMapping mappings = event.getApplicationContext()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
        Set<String> endpoints = new TreeSet<>();
        mappings.getHandlerMethods().keySet().forEach(info -> endpoints.addAll(described(info)));
        Set<String> unguarded = endpoints.stream()
                .filter(each -> !table.lines().containsKey(each))
                .collect(Collectors.toCollection(TreeSet::new));
        Set<String> idle = table.lines().keySet().stream()
                .filter(each -> each.contains(" /api/") && !endpoints.contains(each))
                .collect(Collectors.toCollection(TreeSet::new));
        table.lines().forEach((endpoint, right) -> {
            if (right.inGroup() && GroupOf.deciding(endpoint).isEmpty()) {
                idle.add(endpoint + " (names nothing of a group)");
            }
        });
        if (!unguarded.isEmpty() || !idle.isEmpty()) {
            throw new IllegalStateException(
                    "access/endpoints.txt: without a line " + unguarded + ", without an endpoint " + idle);
        }
    }

    /** Every method and path of a mapping; one that takes any method is told with “ANY”, which has no line. */
    private static Set<String> described(RequestMappingInfo info) {
        Set<String> methods = info.getMethodsCondition().getMethods().isEmpty()
                ? Set.of("ANY")
                : info.getMethodsCondition().getMethods().stream()
                        .map(Enum::name)
                        .collect(Collectors.toSet());
        return info.getPatternValues().stream()
                .filter(path -> !path.equals("/error"))
                .flatMap(path -> methods.stream().map(method -> method + " " + path))
                .collect(Collectors.toSet());
    }
}
