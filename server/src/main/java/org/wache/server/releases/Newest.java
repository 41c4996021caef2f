package org.wache.server.releases;

import java.util.LinkedHashMap;
import java.util.Map;

/** Keeps what was used last. */
final class Newest<K, V> extends LinkedHashMap<K, V> {
  private static final long serialVersionUID = 1;
  private final int most;

  Newest(int most) {
    super(16, 0.75f, true);
    this.most = most;
  }

  @Override
  protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
    return size() > most;
  }
}
