package org.wache.audit;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * Proves cures. Each is applied to a copy of the entry and audited for everyone who carries the list. Where a cure
 * leaves other holds, their own first cures are added to it, round by round, so that an entry with three faults is
 * offered one press that cures all three. What still leaves a hold is not offered.
 */
public final class Remedies {

  private static final int MOST_ROUNDS = 5;

  private final Audit audit;
  private final int position;
  private final Map<Channel, EntryAudit> tried = new HashMap<>();

  public Remedies(Audit audit, int position) {
    this.audit = audit;
    this.position = position;
  }

  /**
   * The proved cures of one finding, the least intrusive first: those that help alone, then those that needed others
   * added, and listening only last. Cures that end in the same entry are told once.
   */
  public List<ProvedRemedy> of(Finding finding) {
    Map<Channel, ProvedRemedy> alone = new LinkedHashMap<>();
    Map<Channel, ProvedRemedy> completed = new LinkedHashMap<>();
    Map<Channel, ProvedRemedy> listening = new LinkedHashMap<>();
    for (Change change : finding.cures()) {
      Change whole = completed(change, finding);
      if (whole != null && !apply(whole).equals(audit.entry(position).channel())) {
        Channel end = apply(whole);
        if (whole != change && end.transmit().isEmpty()) {
          continue; // with listening only added, the rest of the change says nothing
        }
        Map<Channel, ProvedRemedy> kind = end.transmit().isEmpty() ? listening
            : whole == change ? alone : completed;
        kind.putIfAbsent(end, new ProvedRemedy(trimmed(whole), trial(end).verdict()));
      }
    }
    completed.forEach(alone::putIfAbsent);
    listening.forEach(alone::putIfAbsent);
    return List.copyOf(alone.values());
  }

  /** The change with what else it needs to leave no hold; null when there is nothing that helps. */
  private Change completed(Change change, Finding cured) {
    Change so = change;
    for (int round = 0; round < MOST_ROUNDS; round++) {
      EntryAudit after = trial(apply(so));
      List<Finding> left = Audit.findings(after);
      Finding worst = left.stream().filter(Finding::holds).findFirst().orElse(null);
      if (worst == null && after.verdict() != Verdict.HOLD) {
        return cured.holds() || left.stream().noneMatch(each -> each.slug() == cured.slug()) ? so : null;
      }
      if (worst == null) {
        return null;
      }
      Change current = so;
      Change next = worst.cures().stream()
          .filter(more -> !overrides(more, change))
          .map(current::and)
          .filter(both -> !apply(both).equals(apply(current)))
          .findFirst().orElse(null);
      if (next == null) {
        return null;
      }
      so = next;
    }
    return null;
  }

  /** Whether the addition would undo what the change set. */
  private static boolean overrides(Change addition, Change change) {
    return addition.fields().entrySet().stream()
        .anyMatch(each -> change.fields().containsKey(each.getKey())
            && !Objects.equals(change.fields().get(each.getKey()), each.getValue()));
  }

  private Channel apply(Change change) {
    return audit.entry(position).channel().with(change.fields());
  }

  private EntryAudit trial(Channel channel) {
    return tried.computeIfAbsent(channel, each -> audit.tried(position, each));
  }

  /** Without the fields that it leaves as they are. */
  private Change trimmed(Change change) {
    Channel before = audit.entry(position).channel();
    Map<Field, String> changes = new java.util.EnumMap<>(Field.class);
    change.fields().forEach((field, text) -> {
      if (!before.text(field).equals(text)) {
        changes.put(field, text);
      }
    });
    return new Change(change.label(), changes);
  }
}
