package org.wache.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authorization.AuthorizationDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.wache.server.access.Doorkeeper;
import org.wache.server.web.Forbidden;
import org.wache.server.web.Missing;

/** What the security chain answers to those whom it does not let through, in the words of every other refusal. */
@Component
class Refusals implements AuthenticationEntryPoint, AccessDeniedHandler {

    private final HandlerExceptionResolver problems;

    Refusals(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems) {
        this.problems = problems;
    }

    /** A stranger: asked to sign in for the API, told that there is no such page elsewhere. */
    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException problem)
            throws IOException {
        if (request.getServletPath().startsWith("/api/")) {
            response.setStatus(HttpStatus.UNAUTHORIZED.value());
        } else {
            problems.resolveException(request, response, null, new Missing("The address"));
        }
    }

    /** Somebody who is signed in, or whose request lacks the token that tells it from a forged one. */
    @Override
    public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException problem)
            throws IOException {
        RuntimeException told = problem instanceof AuthorizationDeniedException denied
                        && denied.getAuthorizationResult() instanceof Doorkeeper.Refusal refusal
                ? refusal.problem()
                : new Forbidden(
                        "This page has been open for too long, or was opened elsewhere. Nothing was saved: load it again.");
        problems.resolveException(request, response, null, told);
    }
}
