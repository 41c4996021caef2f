package org.wache.server.web;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.apache.coyote.AbstractProcessor;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioChannel;
import org.apache.tomcat.util.net.SocketEvent;
import org.apache.tomcat.util.net.SocketWrapperBase;

/**
 * Tomcat's connections with two limits that it has not: the time in which a request has to be told to the end of its headers
 * (its own time-out begins anew with every byte), and how many connections one address may hold. A connection that only waits
 * costs no thread; these limits keep it from costing all connections.
 */
public final class WatchedProtocol extends Http11NioProtocol {

    private static final int LOOK_EVERY_S = 1;

    private volatile long headersNs = TimeUnit.SECONDS.toNanos(20);
    private volatile int mostOfAnAddress = Integer.MAX_VALUE;
    private volatile Set<String> proxies = Set.of();
    private ScheduledExecutorService watch;

    /** How long headers may take, and how many connections one address may hold; those of proxies, which speak for many, are not counted. */
    void limit(Duration headers, int most, Set<String> trustedProxies) {
        headersNs = headers.toNanos();
        mostOfAnAddress = most;
        proxies = trustedProxies;
    }

    @Override
    public void start() throws Exception {
        super.start();
        watch = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "connections");
            thread.setDaemon(true);
            return thread;
        });
        watch.scheduleWithFixedDelay(this::look, LOOK_EVERY_S, LOOK_EVERY_S, TimeUnit.SECONDS);
    }

    @Override
    public void stop() throws Exception {
        if (watch != null) {
            watch.shutdownNow();
        }
        super.stop();
    }

    private void look() {
        try {
            Map<String, List<SocketWrapperBase<NioChannel>>> waiting = new HashMap<>();
            Map<String, Integer> held = new HashMap<>();
            for (SocketWrapperBase<NioChannel> connection : getEndpoint().getConnections()) {
                String address = String.valueOf(connection.getRemoteAddr());
                held.merge(address, 1, Integer::sum);
                long begun = begun(connection);
                if (begun > 0 && System.nanoTime() - begun > headersNs) {
                    end(connection);
                } else if (begun != 0) {
                    waiting.computeIfAbsent(address, any -> new ArrayList<>()).add(connection);
                }
            }
            held.forEach((address, count) -> {
                if (count > mostOfAnAddress && !proxies.contains(address)) {
                    List<SocketWrapperBase<NioChannel>> idle = waiting.getOrDefault(address, List.of());
                    idle.stream().limit(count - mostOfAnAddress).forEach(this::end);
                }
            });
        } catch (RuntimeException e) {
            getLog().warn("A look at the connections failed; the next one follows", e);
        }
    }

    /** When the request that is being told began, in the time of {@link System#nanoTime}; -1 before its first byte, 0 when it is told. */
    private static long begun(SocketWrapperBase<NioChannel> connection) {
        if (!(connection.getCurrentProcessor() instanceof AbstractProcessor processor)) {
            return -1;
        }
        // A processor stays with a connection while its request is told, and while its body comes in: then it is
        // asynchronous.
        long began = processor.getRequest().getStartTimeNanos();
        return processor.isAsync() ? 0 : began < 0 ? -1 : began;
    }

    private void end(SocketWrapperBase<NioChannel> connection) {
        connection.setError((IOException) new SocketTimeoutException());
        if (!getEndpoint().processSocket(connection, SocketEvent.ERROR, true)) {
            connection.close();
        }
    }
}
