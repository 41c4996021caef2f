package org.wache.server.home;

import java.time.Clock;
import java.time.LocalDate;
import org.springframework.stereotype.Component;
import org.wache.server.lists.RulesMark;
import org.wache.server.rulebooks.Rulebooks;

/** How groups stand, as marks: what is the same under the same mark need not be worked out again. */
@Component
public class Pulses {

    private final PulseStore store;
    private final Rulebooks rulebooks;
    private final Clock clock;

    Pulses(PulseStore store, Rulebooks rulebooks, Clock clock) {
        this.store = store;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /**
     * How a group stands, as marks that are compared and never read.
     *
     * @param mark of everything
     * @param rules of what every list is held against, beside its own entries: the roster, the plan, the radios, tones and talk groups, the rulebook, the day
     */
    public record Pulse(String mark, String rules) {}

    /** The marks of a group. */
    public Pulse of(long group) {
        PulseStore.Marks marks = store.marks(group);
        String rules = RulesMark.of(
                marks.roster(),
                marks.overlay(),
                marks.radios(),
                marks.tones(),
                rulebooks.version(),
                LocalDate.now(clock));
        return new Pulse(marks.mark() + " " + rules, rules);
    }
}
