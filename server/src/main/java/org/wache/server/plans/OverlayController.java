package org.wache.server.plans;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.PlanUse;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListEffect;
import org.wache.server.lists.ListEffects;
import org.wache.server.rulebooks.OverlayRow;
import org.wache.server.rulebooks.OverlayService;
import org.wache.server.rulebooks.OverlayStore;

/** A group's own band plan: seen, tried on the group's lists, put in force, and brought back. */
@RestController
class OverlayController {

    private final OverlayService service;
    private final ListEffects effects;

    OverlayController(OverlayService service, ListEffects effects) {
        this.service = service;
        this.effects = effects;
    }

    /** The rows in force, their history, and what a part can be kept for. */
    record Overlay(int version, List<OverlayRow> rows, List<OverlayStore.Version> versions, List<Use> uses) {}

    /** What a part can be kept for, and how findings write it. */
    record Use(String id, String words) {}

    record Rows(@NotNull List<@NotNull @Valid OverlayRow> rows) {}

    /** New rows, begun on a version. */
    record Save(int before, @NotNull List<@NotNull @Valid OverlayRow> rows, @NotNull @Size(max = 300) String note) {}

    record OverlaySaved(int version) {}

    @GetMapping("/api/groups/{group}/overlay")
    Overlay overlay(Account asking, @PathVariable long group) {
        long account = asking.id();
        OverlayStore.Current current = service.current(account, group);
        List<Use> uses = Arrays.stream(PlanUse.values())
                .map(use ->
                        new Use(use.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'), use.words()))
                .toList();
        return new Overlay(
                current.version(), OverlayService.rows(current.rows()), service.versions(account, group), uses);
    }

    @GetMapping("/api/groups/{group}/overlay/{version}")
    Rows version(Account asking, @PathVariable long group, @PathVariable int version) {
        return new Rows(OverlayService.rows(service.version(asking.id(), group, version)));
    }

    /** What the rows would do to the group's lists; nothing is saved. */
    @PostMapping("/api/groups/{group}/overlay/trial")
    List<ListEffect> trial(Account asking, @PathVariable long group, @Valid @RequestBody Rows rows) {
        return effects.ofOverlay(asking.id(), group, OverlayService.json(rows.rows()));
    }

    @PutMapping("/api/groups/{group}/overlay")
    OverlaySaved save(Account asking, @PathVariable long group, @Valid @RequestBody Save save) {
        return new OverlaySaved(service.save(asking.id(), group, save.before(), save.rows(), save.note()));
    }
}
