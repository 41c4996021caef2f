package org.wache.server.web;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;

/**
 * The headers that every answer carries, written before anything else sees the request: those of the container's own error pages
 * too. Strict transport security is said to those who came over HTTPS (RFC 6797, 7.2).
 */
final class ContainerHeaders extends ValveBase {

    /** The attribute under which a request has the way to end its connection at once, for those who stay too long. */
    static final String HANG_UP = ContainerHeaders.class.getName() + ".hangUp";

    private static final String STRICT = "max-age=31536000";
    private static final Map<String, String> ALWAYS = new LinkedHashMap<>();

    static {
        ALWAYS.put(
                "Content-Security-Policy",
                "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'");
        ALWAYS.put("Permissions-Policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
        ALWAYS.put("Cross-Origin-Opener-Policy", "same-origin");
        ALWAYS.put("Cross-Origin-Resource-Policy", "same-origin");
        ALWAYS.put("Referrer-Policy", "same-origin");
        ALWAYS.put("X-Content-Type-Options", "nosniff");
        ALWAYS.put("X-Frame-Options", "DENY");
    }

    ContainerHeaders() {
        super(true);
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        ALWAYS.forEach(response::setHeader);
        if (request.isSecure()) {
            response.setHeader("Strict-Transport-Security", STRICT);
        }
        request.setAttribute(
                HANG_UP, (Runnable) () -> response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, null));
        getNext().invoke(request, response);
    }
}
