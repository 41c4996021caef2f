package org.wache.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListStore;
import org.wache.server.web.Missing;

/** Who is on a list just now: a page says so every few seconds, and hears who else is, through the database. */
@RestController
class PresenceController {

    private final PresenceStore presence;
    private final ListStore store;

    PresenceController(PresenceStore presence, ListStore store) {
        this.presence = presence;
        this.store = store;
    }

    /** A page that shows a list: a key of its own, and the entry that is looked at. */
    record PageHere(@NotBlank @Size(max = 40) String page, @Schema(nullable = true) Long entry) {}

    /** How the list stands, and who else is on it. */
    record OthersHere(int version, String changedBy, List<OtherHere> others) {}

    /** Someone on the list; entry is the number and name of what they look at, empty for nothing; self in another window of one's own. */
    record OtherHere(String name, String entry, boolean self) {}

    @PutMapping("/api/lists/{list}/presence")
    @Transactional
    public OthersHere here(Account asking, @PathVariable long list, @Valid @RequestBody PageHere page) {
        ListStore.Head head = store.head(asking.id(), list).orElseThrow(() -> new Missing("The list"));
        presence.say(list, asking.id(), page.page(), page.entry());
        return new OthersHere(
                head.version(), head.changedBy(), presence.others(list, head.parent(), asking.id(), page.page()));
    }
}
