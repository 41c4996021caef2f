package org.wache.server.additions;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.AdditionCheck;
import org.wache.rulebook.EditionDifference;
import org.wache.rulebook.RulebookProblem;
import org.wache.server.accounts.Account;
import org.wache.server.web.Refused;

/** For those who look after the installation: editions and private services added to the rulebooks. */
@RestController
class AdditionController {

    private final AdditionStore store;
    private final Additions additions;

    AdditionController(AdditionStore store, Additions additions) {
        this.store = store;
        this.additions = additions;
    }

    /** Something that was added; without takenAt it is in force. */
    record AdditionView(
            long id,
            String rulebook,
            AdditionCheck.Kind kind,
            String name,
            String title,
            String body,
            String note,
            String putBy,
            OffsetDateTime putAt,
            @Schema(nullable = true) String takenBy,
            @Schema(nullable = true) OffsetDateTime takenAt,
            String takenNote) {}

    record AdditionText(@NotBlank @Size(max = 200_000) String text) {}

    record AdditionPut(@NotBlank @Size(max = 200_000) String text, @NotNull @Size(max = 300) String note) {}

    record AdditionTaken(@NotNull @Size(max = 300) String note) {}

    /** What a text is; with a problem and its line when it cannot be put in force. */
    record CheckedAddition(
            @Schema(nullable = true) String problem,
            int line,
            @Schema(nullable = true) String rulebook,
            @Schema(nullable = true) AdditionCheck.Kind kind,
            @Schema(nullable = true) String name,
            @Schema(nullable = true) String title,
            @Schema(nullable = true) LocalDate from,
            List<String> notices,
            List<EditionDifference.Line> gone,
            List<EditionDifference.Line> come,
            List<Additions.GroupEffects> effects) {}

    record AdditionMade(long id) {}

    @GetMapping("/api/installation/rulebook-additions")
    List<AdditionView> all() {
        return store.all().stream()
                .map(each -> new AdditionView(
                        each.id(),
                        each.rulebook(),
                        each.kind(),
                        each.name(),
                        each.title(),
                        each.body(),
                        each.note(),
                        each.putBy(),
                        each.putAt(),
                        each.takenBy().orElse(null),
                        each.takenAt().orElse(null),
                        each.takenNote()))
                .toList();
    }

    /** Checks a text and tries it on the lists of the groups that one is in; nothing is saved. */
    @PostMapping("/api/installation/rulebook-additions/trial")
    CheckedAddition trial(Account asking, @Valid @RequestBody AdditionText given) {
        try {
            AdditionCheck check = additions.check(given.text()).check();
            return new CheckedAddition(
                    null,
                    0,
                    check.rulebook(),
                    check.kind(),
                    check.id(),
                    check.title(),
                    check.from().orElse(null),
                    check.notices(),
                    check.changed().gone(),
                    check.changed().come(),
                    additions.trial(asking.id(), given.text()));
        } catch (RulebookProblem e) {
            return new CheckedAddition(
                    e.getMessage(), e.line(), null, null, null, null, null, List.of(), List.of(), List.of(), List.of());
        }
    }

    @PostMapping("/api/installation/rulebook-additions")
    @ResponseStatus(HttpStatus.CREATED)
    AdditionMade put(Account asking, @Valid @RequestBody AdditionPut given) {
        try {
            return new AdditionMade(additions.put(asking.id(), given.text(), given.note()));
        } catch (RulebookProblem e) {
            throw new Refused(e.getMessage());
        }
    }

    /** What taking one back would do to the lists of the groups that one is in. */
    @GetMapping("/api/installation/rulebook-additions/{addition}/without")
    List<Additions.GroupEffects> without(Account asking, @PathVariable long addition) {
        return additions.withoutTrial(asking.id(), addition);
    }

    @PostMapping("/api/installation/rulebook-additions/{addition}/taken-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(Account asking, @PathVariable long addition, @Valid @RequestBody AdditionTaken given) {
        additions.takeBack(asking.id(), addition, given.note());
    }
}
