package org.wache.server.web;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** Says so at once when what follows the question mark of an address cannot be read: a percent sign without its two digits, bytes that are no UTF-8. */
final class ReadableAddresses implements Filter {

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        String query = Optional.ofNullable(((HttpServletRequest) request).getQueryString())
                .orElse("");
        if (isReadable(query)) {
            chain.doFilter(request, response);
        } else {
            PlainProblem.write(
                    (HttpServletResponse) response,
                    HttpStatus.BAD_REQUEST,
                    "The address cannot be read",
                    "What follows the question mark cannot be read: a percent sign stands there without its two digits, or for no letter of UTF-8. Write it as %25, or encode the text anew.");
        }
    }

    static boolean isReadable(String query) {
        try {
            String bytes = URLDecoder.decode(query, StandardCharsets.ISO_8859_1);
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes.getBytes(StandardCharsets.ISO_8859_1)));
            return bytes.indexOf('\0') < 0;
        } catch (IllegalArgumentException | CharacterCodingException e) {
            return false;
        }
    }
}
