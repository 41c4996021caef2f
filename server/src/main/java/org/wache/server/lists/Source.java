package org.wache.server.lists;

import java.util.Optional;

/**
 * A list and, for a variant, the list that it follows.
 *
 * @param head the list
 * @param parent whose entries it has; empty for a list of its own
 */
public record Source(ListStore.Head head, Optional<ListStore.Head> parent) {

    /** The key of the list under which the entries are stored. */
    public long entriesOf() {
        return parent.map(ListStore.Head::id).orElse(head.id());
    }
}
