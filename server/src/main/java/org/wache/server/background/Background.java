package org.wache.server.background;

import java.time.Duration;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/**
 * Work that goes on beside whoever asked for it: what is under way is not begun once more, and nobody waits longer than a page may take.
 *
 * @param <K> what a piece of work is known by while it is under way
 */
public final class Background<K> implements AutoCloseable {

    private final Map<K, CompletableFuture<Void>> working = new ConcurrentHashMap<>();
    private final ExecutorService workers;
    private final Duration patience;

    /**
     * Threads that end with the server.
     *
     * @param name of the threads, for whoever looks at a running server
     * @param threads how many pieces of work go on at once, 1 at least
     * @param patience how long somebody waits at most
     */
    public Background(String name, int threads, Duration patience) {
        this.patience = patience;
        this.workers = Executors.newFixedThreadPool(threads, work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /** Whether a piece of work is under way. */
    public boolean underWay(K key) {
        return working.containsKey(key);
    }

    /** Begins a piece of work, unless it is under way; then that one is meant. */
    public CompletableFuture<Void> begin(K key, Runnable work) {
        CompletableFuture<Void> begun = working.computeIfAbsent(key, any -> CompletableFuture.runAsync(work, workers));
        begun.whenComplete((done, problem) -> working.remove(key, begun));
        return begun;
    }

    /**
     * Waits until all is done or patience is at its end.
     *
     * @throws RuntimeException what a piece of work ended with
     */
    public void await(Collection<CompletableFuture<Void>> works) {
        try {
            CompletableFuture.allOf(works.toArray(CompletableFuture[]::new))
                    .get(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            // what is not there yet is told as such
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException problem) {
                throw problem;
            }
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        workers.shutdownNow();
    }
}
