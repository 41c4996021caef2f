package org.wache.server.roster;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Verdict;

/** Says what a change of the roster does to lists, releases and radios. */
public interface RosterWatch {

    /**
     * What a change did.
     *
     * @param lists the lists in which something is otherwise for whoever was changed
     * @param releases the releases that stand again, or no longer stand
     * @param radios the radios in their hands of which they may key more, or less
     */
    record RosterEffect(List<ListChanged> lists, List<ReleaseChanged> releases, List<RadioChanged> radios) {}

    /** A list: carries is now or no-longer when that changed, else empty. */
    record ListChanged(long list, String name, String carries, List<EntryChanged> entries) {}

    /** An entry whose verdict for them changed. */
    record EntryChanged(String number, String name, Verdict before, Verdict after) {}

    /** A release that stands again, or no longer. */
    record ReleaseChanged(long release, String name, int number, boolean stands) {}

    /** A radio, and how many of the entries that it talks on are not theirs to key. */
    record RadioChanged(long unit, String label, int before, int after) {}

    /**
     * Looks at how it stands before a change.
     *
     * @param party who is changed; nothing for somebody new
     * @return what is asked after the change, for the party as it is then
     */
    After before(long account, long club, Optional<Party> party);

    /** Asked once the change is made. */
    interface After {
        RosterEffect now(Optional<Party> party);
    }
}
