package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.access.Role;
import org.wache.server.web.OneLine;

/** What one-time links open: an invitation into a group, and a new password. Tokens come in bodies, never in addresses. */
@RestController
class InvitationController {

    private final People people;

    InvitationController(People people) {
        this.people = people;
    }

    /** What a link holds. */
    record Token(@NotBlank @Size(max = 100) String token) {}

    /** What an invitation is for. */
    record Invited(String group, Role role, String name, @Schema(nullable = true) String partyName, String by) {}

    /** An account that is made through an invitation. */
    record NewAccount(
            @NotBlank @Size(max = 100) String token,
            @NotBlank @Size(max = 200) String login,
            @OneLine @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 200) String password) {}

    /** A new password through a link. */
    record NewPassword(@NotBlank @Size(max = 100) String token, @NotBlank @Size(max = 200) String password) {}

    @PostMapping("/api/invitation")
    Invited look(@Valid @RequestBody Token given) {
        PeopleStore.Invitation found = people.invitation(given.token());
        return new Invited(found.clubName(), found.role(), found.name(), found.partyName(), found.by());
    }

    @PostMapping("/api/invitation/account")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void account(@Valid @RequestBody NewAccount given) {
        people.joinAnew(given.token(), given.login(), given.name(), given.password());
    }

    @PostMapping("/api/invitation/membership")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void membership(Account asking, @Valid @RequestBody Token given) {
        people.join(asking.id(), given.token());
    }

    @PostMapping("/api/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(@Valid @RequestBody NewPassword given) {
        people.setPassword(given.token(), given.password());
    }
}
