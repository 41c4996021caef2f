package org.wache.server.database;

import java.util.LinkedHashMap;
import java.util.Map;

/** Keeps what was used last, up to so many. For what never goes stale because its key says on what it depends. */
public final class Newest<K, V> extends LinkedHashMap<K, V> {
    private static final long serialVersionUID = 1;
    private final int most;

    /** Keeps up to this many. */
    public Newest(int most) {
        super(16, 0.75f, true);
        this.most = most;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > most;
    }
}
