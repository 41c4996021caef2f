package org.wache.server.lists;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
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
  private static final int KEPT_SUMMARIES = 5_000;

  private final ListStore store;
  private final Clock clock;
  private final Map<Key, Audited> kept = Collections.synchronizedMap(new Newest<>(KEPT));
  private final Map<Key, Views.ListSummary> summaries = Collections.synchronizedMap(new Newest<>(KEPT_SUMMARIES));

  /** Keeps what was used last. */
  private static final class Newest<V> extends LinkedHashMap<Key, V> {
    private static final long serialVersionUID = 1;
    private final int most;

    Newest(int most) {
      super(16, 0.75f, true);
      this.most = most;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<Key, V> eldest) {
      return size() > most;
    }
  }

  private record Key(long list, int version, LocalDate day) {}

  Audits(ListStore store, Clock clock) {
    this.store = store;
    this.clock = clock;
  }

  LocalDate today() {
    return LocalDate.now(clock);
  }

  Audited of(ListStore.Head head) {
    Key key = key(head);
    Audited known = kept.get(key);
    if (known == null) {
      known = audited(head, store.entries(head.id()));
      kept.put(key, known);
    }
    return known;
  }

  /** Keeps the audit of a list's new version when it was worked out from the version before. */
  void keep(ListStore.Head head, Audited audited) {
    kept.put(key(head), audited);
  }

  private Key key(ListStore.Head head) {
    return new Key(head.id(), head.version(), today());
  }

  private Audited audited(ListStore.Head head, List<ListStore.Stored> stored) {
    ChannelList list = new ChannelList(head.name(), head.extraColumns(),
        stored.stream().map(ListStore.Stored::channel).toList());
    Auditor auditor = new Auditor(Register.ALL, Context.of(head.context()).at(today()));
    return new Audited(auditor.audit(list), stored);
  }

  /** What many lists come to in short; those not known yet are read with one question. */
  List<Views.ListSummary> summaries(List<ListStore.Head> heads) {
    List<ListStore.Head> unknown = heads.stream().filter(head -> !summaries.containsKey(key(head))).toList();
    if (!unknown.isEmpty()) {
      Map<Long, List<ListStore.Stored>> entries = store.entries(unknown.stream().map(ListStore.Head::id).toList());
      unknown.forEach(head -> summaries.put(key(head), summary(head, audited(head, entries.get(head.id())))));
    }
    return heads.stream().map(head -> Optional.ofNullable(summaries.get(key(head)))
        .orElseGet(() -> summary(head, of(head)))).toList();
  }

  private static Views.ListSummary summary(ListStore.Head head, Audited audited) {
    return new Views.ListSummary(head.id(), head.name(), head.version(), audited.stored().size(),
        DeskWriter.counts(audited.audit()), head.changedAt(), head.changedBy(),
        audited.audit().auditor().context().holders().stream().map(holder -> holder.name()).toList());
  }
}
