package org.wache.rulebook;

import java.util.Optional;

/**
 * What a licence of another country counts as for a visitor.
 *
 * @param rulebook the other country's rulebook
 * @param service the service there
 * @param licenceClass the class there
 * @param countsAs the class here; empty when it does not count
 * @param words on what terms
 * @param source where that stands
 */
public record Visitors(
        String rulebook, String service, String licenceClass, Optional<String> countsAs, String words, String source) {}
