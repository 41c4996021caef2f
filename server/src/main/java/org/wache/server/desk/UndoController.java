package org.wache.server.desk;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.Valid;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Conflicting;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.ListUndo;
import org.wache.server.lists.Views;

/** Undoes what somebody did to a list, and does it again. */
@RestController
class UndoController {

    private final ListUndo undo;
    private final ListStore store;

    UndoController(ListUndo undo, ListStore store) {
        this.undo = undo;
        this.store = store;
    }

    /** What is undone next, and what is done again next. */
    record WaysBack(@Schema(nullable = true) WayBack undo, @Schema(nullable = true) WayBack redo) {}

    /** A change: its version, and what it was, in words. */
    record WayBack(int version, String words) {}

    /** Undo, or do again what was undone; version is the change that is meant, nothing for whichever is next. */
    record UndoOrder(boolean again, @Schema(nullable = true) Optional<Integer> version) {

        UndoOrder {
            version = version == null ? Optional.empty() : version;
        }
    }

    @GetMapping("/api/lists/{list}/undo")
    WaysBack ways(Account asking, @PathVariable long list) {
        ListUndo.Ways ways = undo.ways(asking.id(), list);
        return new WaysBack(way(ways.undo()), way(ways.redo()));
    }

    private static WayBack way(ListUndo.Way way) {
        return way == null ? null : new WayBack(way.version(), way.words());
    }

    @PostMapping("/api/lists/{list}/undo")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @ApiResponse(responseCode = "204", description = "it is undone")
    @ApiResponse(
            responseCode = "409",
            description = "somebody else changed the same field since; nothing was saved",
            content = @Content(mediaType = "application/json", schema = @Schema(implementation = Views.Conflict.class)))
    void back(Account asking, @PathVariable long list, @Valid @RequestBody UndoOrder order) {
        long account = asking.id();
        ListService.Outcome outcome = undo.undo(account, list, order.again(), order.version());
        if (!outcome.conflicts().isEmpty()) {
            throw new Conflicting(new Views.Conflict(
                    "Somebody else changed the same field",
                    "Somebody else changed the same field since. Nothing was undone: change it by hand if theirs is not meant to stay.",
                    HttpStatus.CONFLICT.value(),
                    store.head(account, list).orElseThrow().version(),
                    outcome.conflicts()));
        }
    }

    @ExceptionHandler
    ResponseEntity<Views.Conflict> conflicting(Conflicting problem) {
        return ResponseEntity.status(HttpStatus.CONFLICT).body(problem.conflict());
    }
}
