package org.wache.server.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import org.wache.server.web.Forbidden;
import org.wache.server.web.Missing;

/**
 * The same table once more, in the security chain before the dispatcher. It reads the address as the container has decoded it,
 * with expressions of its own and not with the dispatcher's patterns: what one of the two misreads, the other still refuses.
 * An address that fits several lines has to meet what each of them asks; one that fits none is refused.
 */
@Component
public class Doorkeeper implements AuthorizationManager<RequestAuthorizationContext> {

    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");

    private final List<Line> lines = AccessTable.SHIPPED.lines().entrySet().stream()
            .map(each -> Line.of(each.getKey(), each.getValue()))
            .toList();
    private final Rights rights;

    Doorkeeper(Rights rights) {
        this.rights = rights;
    }

    /** A line of the table as an expression; the group named "key" is what tells of which group it is. */
    private record Line(String method, Pattern path, Right right, Optional<String> variable) {

        static Line of(String endpoint, Right right) {
            String method = endpoint.substring(0, endpoint.indexOf(' '));
            String path = endpoint.substring(endpoint.indexOf(' ') + 1);
            Optional<String> variable = GroupOf.deciding(path);
            boolean below = path.endsWith("/**");
            StringBuilder expression = new StringBuilder();
            Matcher variables = VARIABLE.matcher(below ? path.substring(0, path.length() - 3) : path);
            int end = 0;
            while (variables.find()) {
                expression.append(Pattern.quote(path.substring(end, variables.start())));
                boolean deciding = variable.filter(variables.group(1)::equals).isPresent();
                expression.append(deciding ? "(?<key>[^/]+)" : "[^/]+");
                end = variables.end();
            }
            expression
                    .append(Pattern.quote(path.substring(end, below ? path.length() - 3 : path.length())))
                    .append(below ? "(/.*)?" : "");
            return new Line(method, Pattern.compile(expression.toString()), right, variable);
        }
    }

    /** Why somebody may not; the problem is told as the endpoint would have told it. */
    public static final class Refusal extends AuthorizationDecision {
        private final transient RuntimeException problem;

        private Refusal(RuntimeException problem) {
            super(false);
            this.problem = problem;
        }

        /** What is told: {@link Missing} or {@link Forbidden}. */
        public RuntimeException problem() {
            return problem;
        }
    }

    @Override
    public AuthorizationResult authorize(Supplier<? extends Authentication> who, RequestAuthorizationContext context) {
        HttpServletRequest request = context.getRequest();
        String path = request.getServletPath()
                + Optional.ofNullable(request.getPathInfo()).orElse("");
        String method = request.getMethod().equals("HEAD") ? "GET" : request.getMethod();
        Optional<String> login = Optional.ofNullable(who.get())
                .filter(each -> each.isAuthenticated() && !(each instanceof AnonymousAuthenticationToken))
                .map(Authentication::getName);
        boolean known = false;
        try {
            for (Line line : lines) {
                Matcher matcher = line.path().matcher(path);
                if (line.method().equals(method) && matcher.matches()) {
                    known = true;
                    rights.check(
                            line.right(),
                            login,
                            line.variable(),
                            line.variable().isPresent() ? matcher.group("key") : "");
                }
            }
        } catch (Missing | Forbidden problem) {
            return new Refusal(problem);
        }
        return known ? new AuthorizationDecision(true) : new Refusal(new Missing("The address"));
    }
}
