package org.wache.rulebook;

import java.util.Optional;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/**
 * Whose a stretch of spectrum is.
 *
 * @param span where
 * @param whose who uses it
 * @param say what to tell about it
 * @param licensable whether a club, a family or a firm could be licensed there
 * @param mode what is heard there, where it is not FM
 */
public record Allocation(Span span, String whose, String say, boolean licensable, Optional<Mode> mode) {}
