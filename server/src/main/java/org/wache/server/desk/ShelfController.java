package org.wache.server.desk;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListFrequencies;
import org.wache.server.lists.ListShelves;
import org.wache.server.lists.Shelf;

/** Archives lists, deletes them, and brings them back; and tells what those in use are on. */
@RestController
class ShelfController {

    private final ListShelves shelves;
    private final ListFrequencies frequencies;

    ShelfController(ListShelves shelves, ListFrequencies frequencies) {
        this.shelves = shelves;
        this.frequencies = frequencies;
    }

    /** From where a list is kept to where it shall be. */
    record ShelfChange(@NotNull Shelf before, @NotNull Shelf after) {}

    @PutMapping("/api/lists/{list}/shelf")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void put(Account asking, @PathVariable long list, @Valid @RequestBody ShelfChange change) {
        shelves.put(asking.id(), list, change.before(), change.after());
    }

    /** The frequencies that the lists in use have, each once. */
    @GetMapping("/api/groups/{group}/frequencies")
    List<ListFrequencies.Used> frequencies(Account asking, @PathVariable long group) {
        return frequencies.of(asking.id(), group);
    }

    /** The lists that can be brought back, the last first. */
    @GetMapping("/api/groups/{group}/deleted-lists")
    List<ListShelves.Deleted> deleted(Account asking, @PathVariable long group) {
        return shelves.deleted(asking.id(), group);
    }
}
