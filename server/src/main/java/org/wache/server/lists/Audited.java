package org.wache.server.lists;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.wache.audit.Audit;
import org.wache.channel.Channel;

/** A version of a list with its audit, its entries as stored in the same order, and its slips once they are asked for. */
public final class Audited {

    private final Audit audit;
    private final List<ListStore.Stored> stored;
    private List<Views.Slip> slips;

    Audited(Audit audit, List<ListStore.Stored> stored) {
        this.audit = audit;
        this.stored = List.copyOf(stored);
    }

    public Audit audit() {
        return audit;
    }

    public List<ListStore.Stored> stored() {
        return stored;
    }

    /** The place of an entry, or -1. */
    public int position(long entry) {
        for (int i = 0; i < stored.size(); i++) {
            if (stored.get(i).id() == entry) {
                return i;
            }
        }
        return -1;
    }

    /** A slip for each entry; the first call proves the cures of the whole list. */
    public synchronized List<Views.Slip> slips() {
        if (slips == null) {
            slips = DeskWriter.slips(audit, stored);
        }
        return slips;
    }

    /** The next version, in which these entries have new texts: only what depends on them is judged again. */
    public Audited edited(Map<Long, Channel> channels, int version) {
        Audit after = audit;
        List<ListStore.Stored> now = new ArrayList<>(stored);
        for (Map.Entry<Long, Channel> each : channels.entrySet()) {
            int position = position(each.getKey());
            after = after.with(position, each.getValue());
            now.set(position, new ListStore.Stored(each.getKey(), version, each.getValue()));
        }
        Audited next = new Audited(after, now);
        List<Views.Slip> slipsNow = new ArrayList<>(slips());
        for (int i = 0; i < now.size(); i++) {
            if (after.entry(i) != audit.entry(i)) {
                slipsNow.set(i, DeskWriter.slip(after, i, now.get(i)));
            }
        }
        next.slips = slipsNow;
        return next;
    }

    /** The first number that is free behind those of all entries. */
    public int nextNumber() {
        return stored.stream()
                        .map(each -> each.channel().number())
                        .filter(number -> number.matches("[0-9]{1,6}"))
                        .mapToInt(Integer::parseInt)
                        .max()
                        .orElse(0)
                + 1;
    }
}
