package org.wache.server.lists;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.wache.audit.Audit;
import org.wache.audit.EntryAudit;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.channel.Field;

/** What a variant makes of its parent's entries: what its carriers may not key only listens, and says why. */
final class Silenced {

    private static final int LONGEST_NOTE = 1_500;

    private Silenced() {}

    static List<ListStore.Stored> of(Audit audit, List<ListStore.Stored> stored) {
        List<ListStore.Stored> all = new ArrayList<>(stored.size());
        for (int i = 0; i < stored.size(); i++) {
            all.add(entry(audit.entry(i), stored.get(i)));
        }
        return all;
    }

    /** Only what somebody may not key is silenced: an entry that cannot be read stays as it is, on hold. */
    private static ListStore.Stored entry(EntryAudit entry, ListStore.Stored stored) {
        boolean transmits = entry.channel().transmit().isPresent();
        Finding why = transmits
                ? entry.judgements().stream()
                        .flatMap(each -> each.findings().stream())
                        .filter(Finding::holds)
                        .findFirst()
                        .orElse(null)
                : null;
        if (why == null) {
            return stored;
        }
        Map<Field, String> fields = new HashMap<>(Change.listenOnly().fields());
        String before = entry.channel().text(Field.NOTE);
        String said = "Listen only: " + why.message();
        String note = before.isBlank() ? said : before + " · " + said;
        fields.put(Field.NOTE, note.substring(0, Math.min(LONGEST_NOTE, note.length())));
        return new ListStore.Stored(
                stored.id(), stored.version(), entry.channel().with(fields));
    }
}
