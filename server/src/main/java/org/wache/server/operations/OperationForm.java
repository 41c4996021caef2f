package org.wache.server.operations;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;

/**
 * An operation as its form gives it; hours by the clock of the place.
 *
 * @param lists keys of the lists that are used
 */
record OperationForm(
        @OneLine @NotBlank @Size(max = 100) String name,
        @NotNull @Size(max = 2_000) String purpose,
        @OneLine @NotNull @Size(max = 200) String place,
        @NotNull LocalDateTime from,
        @NotNull LocalDateTime until,
        @NotNull @Size(max = 20) List<@NotNull Long> lists,
        @NotNull @Size(max = 200) List<@NotNull @Valid WatchForm> watches,
        @NotNull @Size(max = 400) List<@NotNull @Valid PairForm> mustTalk) {

    private static final Duration LONGEST = Duration.ofDays(60);
    private static final int MOST_ALSO = 8;

    /** A team by its name, or one of the roster by their key: one of both. */
    record Who(@Schema(nullable = true) @OneLine @Size(max = 200) String team, @Schema(nullable = true) Long party) {

        boolean isOne() {
            return (team == null || team.isBlank()) != (party == null);
        }
    }

    /** An entry of one of the lists. */
    record EntryOf(long list, long entry) {}

    /**
     * Who is on which entry.
     *
     * @param task what they do, and where
     * @param from null from the beginning
     * @param until null to the end
     * @param instead what they do when nothing gets through, beside the fallback
     * @param also what they listen to beside
     */
    record WatchForm(
            @NotNull @Valid Who who,
            @OneLine @NotNull @Size(max = 200) String task,
            @Schema(nullable = true) LocalDateTime from,
            @Schema(nullable = true) LocalDateTime until,
            @Schema(nullable = true) @Valid EntryOf talk,
            @Schema(nullable = true) @Valid EntryOf fallback,
            @OneLine @NotNull @Size(max = 200) String instead,
            @NotNull @Size(max = MOST_ALSO) List<@NotNull @Valid EntryOf> also) {

        Stream<EntryOf> entries() {
            return Stream.concat(
                    Stream.of(Optional.ofNullable(talk), Optional.ofNullable(fallback))
                            .flatMap(Optional::stream),
                    also.stream());
        }
    }

    /** Two that have to reach each other. */
    record PairForm(@NotNull @Valid Who one, @NotNull @Valid Who other) {}

    LocalDateTime begins(WatchForm watch) {
        return watch.from() == null ? from : watch.from();
    }

    LocalDateTime ends(WatchForm watch) {
        return watch.until() == null ? until : watch.until();
    }

    /** @throws Refused when it contradicts itself; says what and where */
    void check() {
        if (!from.isBefore(until)) {
            throw new Refused("The operation ends before it begins. Set when it ends.");
        }
        if (Duration.between(from, until).compareTo(LONGEST) > 0) {
            throw new Refused("An operation lasts up to 60 days. Make one for each part of it.");
        }
        if (new HashSet<>(lists).size() < lists.size()) {
            throw new Refused("A list is named twice.");
        }
        Set<Who> on = new HashSet<>();
        for (int i = 0; i < watches.size(); i++) {
            WatchForm watch = watches.get(i);
            String row = "Row " + (i + 1) + ": ";
            if (!watch.who().isOne()) {
                throw new Refused(row + "choose a team or a person.");
            }
            on.add(watch.who());
            if (!begins(watch).isBefore(ends(watch))) {
                throw new Refused(row + "it ends before it begins.");
            }
            if (begins(watch).isBefore(from) || ends(watch).isAfter(until)) {
                throw new Refused(row + "its hours are outside those of the operation.");
            }
            watch.entries()
                    .filter(each -> !lists.contains(each.list()))
                    .findFirst()
                    .ifPresent(each -> {
                        throw new Refused(
                                row
                                        + "its entry is in a list that the operation does not use. Add the list, or choose another.");
                    });
        }
        for (PairForm pair : mustTalk) {
            if (!pair.one().isOne() || !pair.other().isOne() || pair.one().equals(pair.other())) {
                throw new Refused("Who must talk to whom: choose two.");
            }
            if (!on.contains(pair.one()) || !on.contains(pair.other())) {
                throw new Refused(
                        "Who must talk to whom names somebody who is on no row. Take that out, or add a row.");
            }
        }
    }

    /** The same under another name, begun at another time, its hours moved along. */
    OperationForm copied(String called, LocalDateTime begins) {
        Duration by = Duration.between(from, begins);
        return new OperationForm(
                called,
                purpose,
                place,
                begins,
                until.plus(by),
                lists,
                watches.stream()
                        .map(each -> new WatchForm(
                                each.who(),
                                each.task(),
                                each.from() == null ? null : each.from().plus(by),
                                each.until() == null ? null : each.until().plus(by),
                                each.talk(),
                                each.fallback(),
                                each.instead(),
                                each.also()))
                        .toList(),
                mustTalk);
    }
}
