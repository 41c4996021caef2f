package org.wache.server.lists;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.register.Register;
import org.wache.channel.ChannelList;

/**
 * Audits of the lists' newest versions, kept while they are looked at. A version of a list never changes, so that what
 * is kept can never be stale, also when several servers share the database.
 */
@Component
class Audits {

  private static final int KEPT = 40;

  private final ListStore store;
  private final Clock clock;
  private final Map<Key, Audited> kept = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
    private static final long serialVersionUID = 1;

    @Override
    protected boolean removeEldestEntry(Map.Entry<Key, Audited> eldest) {
      return size() > KEPT;
    }
  });

  private record Key(long list, int version, LocalDate day) {}

  /** A list's audit and its entries as stored, in the same order. */
  record Audited(Audit audit, List<ListStore.Stored> stored) {
    int position(long entry) {
      for (int i = 0; i < stored.size(); i++) {
        if (stored.get(i).id() == entry) {
          return i;
        }
      }
      return -1;
    }
  }

  Audits(ListStore store, Clock clock) {
    this.store = store;
    this.clock = clock;
  }

  LocalDate today() {
    return LocalDate.now(clock);
  }

  Audited of(ListStore.Head head) {
    Key key = new Key(head.id(), head.version(), today());
    Audited known = kept.get(key);
    if (known == null) {
      List<ListStore.Stored> stored = store.entries(head.id());
      ChannelList list = new ChannelList(head.name(), head.extraColumns(),
          stored.stream().map(ListStore.Stored::channel).toList());
      Auditor auditor = new Auditor(Register.ALL, Context.of(head.context()).at(key.day()));
      known = new Audited(auditor.audit(list), stored);
      kept.put(key, known);
    }
    return known;
  }
}
