package org.wache.rulebook;

import java.util.List;
import java.util.Optional;
import org.wache.signal.Span;

/**
 * A condition of a service that an entry cannot show to be met: it is asked about.
 *
 * @param span where it holds
 * @param contents set of {@link org.wache.signal.Content} bits that it holds for
 * @param uses the uses that it holds for, as lists write them; empty for all
 * @param zone the place that it holds in; everywhere without one
 * @param say the condition, as the end of “MHz: …”
 * @param source section of the law
 */
public record Condition(Span span, int contents, List<String> uses, Optional<String> zone, String say, String source) {

    public Condition {
        uses = List.copyOf(uses);
    }
}
