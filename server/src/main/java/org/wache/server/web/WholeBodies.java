package org.wache.server.web;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;

/**
 * Reads the body of a request to its end before anything else looks at the request, without a thread that waits for it: somebody
 * who sends slowly, or never, holds up nobody else. Bodies have a size and a pace: 64 kB for strangers, 4 MB for those who are
 * signed in, 48 MB for their files; from 20 s on at least 2 kB a second, and never more than ten minutes.
 */
final class WholeBodies implements Filter {

    private static final String BODY = WholeBodies.class.getName() + ".body";
    private static final String REFUSED = WholeBodies.class.getName() + ".refused";
    private static final long MOST_OF_A_STRANGER = 64L * 1024;
    private static final long MOST = 4L * 1024 * 1024;
    private static final long MOST_OF_A_FILE = 48L * 1024 * 1024; // over 20 MB, whoever takes the file refuses it
    /** What is still listened to after a refusal, so that whoever sends gets to read it. */
    private static final long PATIENCE = 64L * 1024 * 1024;

    private static final long PACE_BYTES_A_S = 2048;
    private static final long LONGEST_MS = TimeUnit.MINUTES.toMillis(10);
    private static final long LISTENING_ON_MS = TimeUnit.SECONDS.toMillis(5);

    private final long graceNs;

    /** With the time after which a body has to keep its pace. */
    WholeBodies(Duration grace) {
        graceNs = grace.toNanos();
    }

    /** Why a body is not read. */
    private record Refused(HttpStatus status, String title, String text) {}

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest asked = (HttpServletRequest) request;
        if (asked.getDispatcherType() == DispatcherType.ASYNC && asked.getAttribute(BODY) instanceof ReadBody body) {
            try (body) {
                goOn(new WithBody(asked, body), (HttpServletResponse) response, chain);
            }
        } else if (asked.getDispatcherType() == DispatcherType.REQUEST && hasBody(asked)) {
            begin(asked, (HttpServletResponse) response);
        } else {
            chain.doFilter(request, response);
        }
    }

    private static void goOn(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        if (request.getAttribute(REFUSED) instanceof Refused refused) {
            refuse(response, refused);
        } else {
            chain.doFilter(request, response);
        }
    }

    private static void refuse(HttpServletResponse response, Refused refused) throws IOException {
        if (refused.text().isEmpty()) {
            response.setStatus(refused.status().value());
        } else {
            PlainProblem.write(response, refused.status(), refused.title(), refused.text());
        }
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    private void begin(HttpServletRequest request, HttpServletResponse response) throws IOException {
        long most = most(request);
        Optional<Refused> refused = refusedAtOnce(request, most);
        AsyncContext later = request.startAsync(request, response);
        Reading reading = new Reading(later, request, refused.isPresent() ? 0 : most, graceNs);
        later.addListener(reading);
        if (refused.isPresent()) {
            later.setTimeout(LISTENING_ON_MS);
            response.setHeader("Connection", "close");
            refuse(response, refused.get());
            response.flushBuffer();
            reading.answered = true;
        } else {
            later.setTimeout(LONGEST_MS);
        }
        reading.input.setReadListener(reading);
    }

    private static long most(HttpServletRequest request) {
        boolean file = Optional.ofNullable(request.getContentType())
                .orElse("")
                .startsWith(MediaType.APPLICATION_OCTET_STREAM_VALUE);
        return file ? MOST_OF_A_FILE : MOST;
    }

    private static Optional<Refused> refusedAtOnce(HttpServletRequest request, long most) {
        String type = Optional.ofNullable(request.getContentType()).orElse("").toLowerCase(Locale.ROOT);
        if (type.startsWith("multipart/") || type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE)) {
            return Optional.of(new Refused(
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "Not in this form",
                    "Forms are not taken here. Send JSON, or a file as application/octet-stream."));
        }
        long said = request.getContentLengthLong();
        if (said > most) {
            return Optional.of(tooLarge(most));
        }
        if ((said < 0 || said > MOST_OF_A_STRANGER) && !isSignedIn(request)) {
            return Optional.of(new Refused(HttpStatus.UNAUTHORIZED, "", ""));
        }
        return Optional.empty();
    }

    private static boolean isSignedIn(HttpServletRequest request) {
        return request.getSession(false) != null
                && request.getSession(false)
                                .getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY)
                        != null;
    }

    private static Refused tooLarge(long most) {
        return most == MOST_OF_A_FILE
                ? new Refused(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "Too large",
                        "The file is larger than 20 MB. Nothing was saved: bring it in in parts.")
                : new Refused(
                        HttpStatus.CONTENT_TOO_LARGE,
                        "Too large",
                        "A request has up to " + most / 1024 / 1024
                                + " MB; this one is larger. Nothing was saved: send it in parts.");
    }

    /** A body that is coming in. */
    private static final class Reading implements ReadListener, AsyncListener {
        private final AsyncContext later;
        private final HttpServletRequest request;
        private final ServletInputStream input;
        private final long most;
        private final long graceNs;
        private final ReadBody body = new ReadBody();
        private final byte[] part = new byte[16 * 1024];
        private final long begun = System.nanoTime();
        private long read;
        private boolean answered;
        private boolean over;

        Reading(AsyncContext later, HttpServletRequest request, long most, long graceNs) throws IOException {
            this.later = later;
            this.request = request;
            this.input = request.getInputStream();
            this.most = most;
            this.graceNs = graceNs;
        }

        @Override
        public void onDataAvailable() throws IOException {
            while (!over && input.isReady()) {
                int count = input.read(part);
                if (count < 0) {
                    return;
                }
                read += count;
                long waited = System.nanoTime() - begun;
                if (read > PATIENCE || waited > graceNs && read < waited / 1_000_000_000.0 * PACE_BYTES_A_S) {
                    hangUp();
                } else if (read > most) {
                    body.close(); // nothing more is kept; the rest is heard out, so that the answer can be read
                } else {
                    body.write(part, count);
                }
            }
        }

        @Override
        public void onAllDataRead() {
            if (over) {
                return;
            }
            over = true;
            if (answered) {
                later.complete();
                return;
            }
            if (read > most) {
                request.setAttribute(REFUSED, tooLarge(most));
            }
            request.setAttribute(BODY, body);
            later.dispatch();
        }

        /** Whoever sends slower than anybody does is not waited for, and is owed no answer. */
        private void hangUp() {
            if (!over) {
                over = true;
                body.close();
                if (request.getAttribute(ContainerHeaders.HANG_UP) instanceof Runnable now) {
                    now.run();
                }
                later.complete();
            }
        }

        @Override
        public void onError(Throwable problem) {
            hangUp();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            hangUp();
        }

        @Override
        public void onError(AsyncEvent event) {
            hangUp();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            // the body goes with whoever read it
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // begun by this very class
        }
    }
}
