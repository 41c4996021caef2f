package org.wache.server.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.wache.server.problems.Forbidden;
import org.wache.server.problems.Missing;

/** Holds every call of the API against the table of who may call what, before anything else looks at it. */
@Component
class AccessGuard implements HandlerInterceptor {

  private final AccessTable table = AccessTable.SHIPPED;
  private final GroupOf groups;

  AccessGuard(GroupOf groups) {
    this.groups = groups;
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (!(handler instanceof HandlerMethod) || !request.getRequestURI().startsWith("/api/")) {
      return true;
    }
    String path = String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
    String method = request.getMethod().equals("HEAD") ? "GET" : request.getMethod();
    Right right = table.of(method, path).orElseThrow(() -> new Missing("The address"));
    if (right == Right.OPEN) {
      return true;
    }
    String login = login(request.getUserPrincipal());
    if (right == Right.ADMINISTER && !groups.isAdministrator(login)) {
      throw new Forbidden("This is for those who look after the installation.");
    }
    if (right.inGroup()) {
      inGroup(request, path, right, login);
    } else if (!groups.isOpen(login)) {
      throw new Missing("The account");
    }
    return true;
  }

  private static String login(Principal principal) {
    if (principal == null) {
      throw new Missing("The account"); // the security chain has asked a stranger to sign in before
    }
    return principal.getName();
  }

  private void inGroup(HttpServletRequest request, String path, Right right, String login) {
    String variable = GroupOf.deciding(path).orElseThrow();
    Map<?, ?> variables = (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    long id;
    try {
      id = Long.parseLong(String.valueOf(variables.get(variable)));
    } catch (NumberFormatException e) {
      throw new Missing("The address");
    }
    GroupOf.Part part = groups.part(login, variable, id).orElseThrow(() -> new Missing("What the address names"));
    if (!right.has(part.role())) {
      throw new Forbidden("This is for " + right.whose() + " of " + part.group() + "; you are a " + part.role() + " there.");
    }
  }

  /** Every endpoint has its line, every line its endpoint, and every line within a group names something of the group. */
  @EventListener
  void complete(ApplicationStartedEvent event) {
    RequestMappingHandlerMapping mappings = event.getApplicationContext().getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    Set<String> endpoints = new TreeSet<>();
    mappings.getHandlerMethods().keySet().forEach(info -> endpoints.addAll(described(info)));
    Set<String> unguarded = endpoints.stream().filter(each -> !table.lines().containsKey(each)).collect(Collectors.toCollection(TreeSet::new));
    Set<String> idle = table.lines().keySet().stream().filter(each -> !endpoints.contains(each)).collect(Collectors.toCollection(TreeSet::new));
    table.lines().forEach((endpoint, right) -> {
      if (right.inGroup() && GroupOf.deciding(endpoint).isEmpty()) {
        idle.add(endpoint + " (names nothing of a group)");
      }
    });
    if (!unguarded.isEmpty() || !idle.isEmpty()) {
      throw new IllegalStateException("access/endpoints.txt: without a line " + unguarded + ", without an endpoint " + idle);
    }
  }

  private static Set<String> described(RequestMappingInfo info) {
    return info.getPatternValues().stream().filter(path -> path.startsWith("/api/"))
        .flatMap(path -> info.getMethodsCondition().getMethods().stream().map(method -> method.name() + " " + path))
        .collect(Collectors.toSet());
  }
}
