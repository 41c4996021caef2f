package org.wache.server.stations;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.forms.NamedForms;
import org.wache.server.web.Json;

/** Where the teams of a group work: what a map shows, and from where they have to be heard. */
@RestController
class AreaController {

    private final AreaStore store;

    AreaController(AreaStore store) {
        this.store = store;
    }

    record AreaView(long id, int version, AreaForm form, String changedBy) {}

    /** A new area, begun on a version. */
    record AreaChange(int version, @NotNull @Valid AreaForm form) {}

    record AreaMade(long id) {}

    @GetMapping("/api/groups/{group}/areas")
    List<AreaView> areas(@PathVariable long group) {
        return store.all(group).stream().map(AreaController::view).toList();
    }

    private static AreaView view(NamedForms.Stored stored) {
        return new AreaView(
                stored.id(),
                stored.version(),
                Json.MAPPER.readValue(stored.body(), AreaForm.class),
                stored.changedBy());
    }

    @PostMapping("/api/groups/{group}/areas")
    @ResponseStatus(HttpStatus.CREATED)
    AreaMade addArea(Account asking, @PathVariable long group, @Valid @RequestBody AreaForm form) {
        return new AreaMade(store.add(asking.id(), group, form.name().strip(), checked(form)));
    }

    @PutMapping("/api/areas/{area}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeArea(Account asking, @PathVariable long area, @Valid @RequestBody AreaChange change) {
        store.change(asking.id(), area, change.version(), change.form().name().strip(), checked(change.form()));
    }

    @DeleteMapping("/api/areas/{area}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeArea(Account asking, @PathVariable long area, @RequestParam int version) {
        store.remove(asking.id(), area, version);
    }

    private static String checked(AreaForm form) {
        form.middle();
        return Json.MAPPER.writeValueAsString(form);
    }
}
