package org.wache.server.accounts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.web.OneLine;

/** For those who look after the installation: its groups and accounts, not what the groups have. */
@RestController
class InstallationController {

    private final People people;
    private final PeopleStore store;

    InstallationController(People people, PeopleStore store) {
        this.people = people;
        this.store = store;
    }

    /** The groups and accounts of the installation. */
    record Installation(List<PeopleStore.InstalledGroup> groups, List<PeopleStore.InstalledAccount> accounts) {}

    /** A group to be made, and whom its first invitation is for. */
    record NewGroup(
            @OneLine @NotBlank @Size(max = 200) String name, @OneLine @NotBlank @Size(max = 200) String coordinator) {}

    /** Whether an account is closed. */
    record Closed(boolean closed) {}

    @GetMapping("/api/installation")
    Installation all() {
        return new Installation(store.groups(), store.accounts());
    }

    @PostMapping("/api/installation/groups")
    @ResponseStatus(HttpStatus.CREATED)
    PeopleController.OneTimeLink addGroup(Account asking, @Valid @RequestBody NewGroup given) {
        return new PeopleController.OneTimeLink(people.addGroup(asking.id(), given.name(), given.coordinator()));
    }

    @PostMapping("/api/installation/accounts/{account}/password-link")
    @ResponseStatus(HttpStatus.CREATED)
    PeopleController.OneTimeLink passwordLink(Account asking, @PathVariable long account) {
        return new PeopleController.OneTimeLink(people.passwordLink(asking.id(), account));
    }

    @DeleteMapping("/api/installation/accounts/{account}/second-factor")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void secondFactorOff(Account asking, @PathVariable long account) {
        people.takeSecondFactorOff(asking.id(), account);
    }

    @PutMapping("/api/installation/accounts/{account}/closed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void closed(Account asking, @PathVariable long account, @Valid @RequestBody Closed given) {
        people.setClosed(asking.id(), account, given.closed());
    }
}
