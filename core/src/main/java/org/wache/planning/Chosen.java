package org.wache.planning;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wache.audit.finding.Slug;
import org.wache.signal.Frequency;

/**
 * An entry that was chosen.
 *
 * @param role what it is for
 * @param name what it is called before it is cut to a display
 * @param candidate the channel; empty for one that is listened to
 * @param listens what is listened to; empty for a channel
 * @param teams the teams that use it; empty for all
 * @param why why it was chosen
 */
record Chosen(
        Chosen.Role role,
        String name,
        Optional<Candidate> candidate,
        Optional<Frequency> listens,
        List<String> teams,
        String why) {

    /** What an entry is for. */
    enum Role {
        CALLING,
        COMMAND,
        TACTICAL,
        TEAM,
        REPEATER,
        SPARE,
        LISTEN
    }

    /** What is found of an entry because of the others beside it; that one talks near another is so of every list at one site. */
    static final Set<Slug> OF_THE_LIST = EnumSet.of(
            Slug.DUPLICATE_CHANNEL,
            Slug.TONE_CLASH,
            Slug.CO_CHANNEL,
            Slug.ADJACENT_OVERLAP,
            Slug.INTERMOD,
            Slug.HARMONIC);

    Chosen {
        teams = List.copyOf(teams);
    }
}
