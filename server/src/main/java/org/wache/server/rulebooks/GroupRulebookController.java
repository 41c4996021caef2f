package org.wache.server.rulebooks;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.RulebookReader;
import org.wache.server.accounts.Account;
import org.wache.server.log.Logbook;
import org.wache.server.web.Refused;

/** The rulebook of a group: whose licences its roster knows, and what new lists are held against. */
@RestController
class GroupRulebookController {

    private final Rulebooks rulebooks;
    private final Logbook log;

    GroupRulebookController(Rulebooks rulebooks, Logbook log) {
        this.rulebooks = rulebooks;
        this.log = log;
    }

    record GroupRulebook(@NotNull String id) {}

    @GetMapping("/api/groups/{group}/rulebook")
    GroupRulebook of(@PathVariable long group) {
        return new GroupRulebook(rulebooks.idOfGroup(group));
    }

    /** Lists that are there keep theirs. */
    @PutMapping("/api/groups/{group}/rulebook")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void set(Account asking, @PathVariable long group, @Valid @RequestBody GroupRulebook given) {
        if (!RulebookReader.ids().contains(given.id())) {
            throw new Refused("There is no rulebook “" + given.id() + "”; there is "
                    + String.join(", ", RulebookReader.ids()) + ".");
        }
        String before = rulebooks.idOfGroup(group);
        rulebooks.choose(group, given.id());
        log.add(
                asking.id(),
                group,
                Logbook.Deed.of(Logbook.Kind.RULEBOOK, null, "Rulebook", "from " + before + " to " + given.id()));
    }
}
