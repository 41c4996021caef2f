package org.wache.operation;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Some people on some entries for some time. Entries are told by their places among those of all lists of the operation, people by theirs
 * among all people.
 *
 * @param name as messages name it: a team, or one person
 * @param people who is on it
 * @param from when it begins, by the clock of the place
 * @param until when it ends, after it begins
 * @param talk what they talk on; empty when nothing is said
 * @param fallback what they go to when that fails; empty when nothing is said
 * @param instead whether something else than radio is named to fall back on, such as a runner
 * @param also what they listen to beside
 */
public record Watch(
        String name,
        List<Integer> people,
        LocalDateTime from,
        LocalDateTime until,
        Optional<Integer> talk,
        Optional<Integer> fallback,
        boolean instead,
        List<Integer> also) {

    /** @throws IllegalArgumentException when it ends before it begins */
    public Watch {
        people = List.copyOf(people);
        also = List.copyOf(also);
        if (!from.isBefore(until)) {
            throw new IllegalArgumentException(name + " ends before it begins");
        }
    }

    /** Whether both are on at some time. */
    public boolean meets(Watch other) {
        return from.isBefore(other.until) && other.from.isBefore(until);
    }

    /** What they may talk on by the plan. */
    List<Integer> talks() {
        return Stream.of(talk, fallback).flatMap(Optional::stream).toList();
    }

    /** What their radios are on by the plan. */
    List<Integer> listens() {
        return Stream.concat(talks().stream(), also.stream()).toList();
    }
}
