package org.wache.release;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Somebody lets a query stand, or leaves an entry out of a model of radio: by name, with a reason, for a finding as it was.
 *
 * @param print of the matter that it settles, {@link Matter#print}
 * @param number of the entry, as it was then
 * @param name of the entry, as it was then
 * @param rule by which it was found, as a slug
 * @param model of radio; empty when about none
 * @param message what was found
 * @param reason why it may stand
 * @param by who says so
 * @param on when they said so
 * @param until the last day on which it counts; empty for good
 */
public record Waiver(
        String print,
        String number,
        String name,
        String rule,
        String model,
        String message,
        String reason,
        String by,
        LocalDate on,
        Optional<LocalDate> until) {

    /** Whether it counts on a day. */
    public boolean stands(LocalDate day) {
        return until.isEmpty() || !day.isAfter(until.get());
    }
}
