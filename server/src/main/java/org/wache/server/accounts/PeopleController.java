package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.access.Role;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLine;

/** The people of a group: what each is in it, and invitations. */
@RestController
class PeopleController {

    private final People people;
    private final PeopleStore store;
    private final AccountStore accounts;
    private final InvitationPost post;
    private final Clock clock;

    PeopleController(People people, PeopleStore store, AccountStore accounts, InvitationPost post, Clock clock) {
        this.accounts = accounts;
        this.post = post;
        this.people = people;
        this.store = store;
        this.clock = clock;
    }

    /** The people of a group, and the invitations that are open. */
    record GroupPeople(List<GroupPerson> people, List<OpenInvitation> invitations) {}

    /** Someone of a group; party is who of the roster they are. */
    record GroupPerson(
            long account,
            String login,
            String name,
            Role role,
            @Schema(nullable = true) Long party,
            @Schema(nullable = true) String partyName,
            boolean secondFactor,
            boolean closed) {}

    /** A link into the group that nobody used yet. */
    record OpenInvitation(
            long id,
            String name,
            Role role,
            @Schema(nullable = true) String partyName,
            String by,
            OffsetDateTime expires) {}

    /** Who is invited, as what; with an address the link is mailed there too. */
    record Invite(
            @OneLine @NotBlank @Size(max = 200) String name,
            @NotNull Role role,
            @Schema(nullable = true) Long party,
            @Schema(nullable = true) @Size(max = 254) String mailTo) {}

    /** A token that is told once; the address is made of it. */
    record OneTimeLink(String token) {}

    /**
     * An invitation that was made.
     *
     * @param mailed the address to which it was mailed; null when it was not
     * @param notMailed why it could not be mailed; null when it was, or when nobody wanted that
     */
    record MadeInvitation(
            String token, @Schema(nullable = true) String mailed, @Schema(nullable = true) String notMailed) {}

    /** What someone is in a group. */
    record Part(@NotNull Role role, @Schema(nullable = true) Long party) {}

    @GetMapping("/api/groups/{group}/people")
    GroupPeople all(@PathVariable long group) {
        return new GroupPeople(
                store.people(group).stream()
                        .map(each -> new GroupPerson(
                                each.account(),
                                each.login(),
                                each.name(),
                                each.role(),
                                each.party(),
                                each.partyName(),
                                each.secondFactor(),
                                each.closed()))
                        .toList(),
                store.invitations(group, OffsetDateTime.now(clock)).stream()
                        .map(each -> new OpenInvitation(
                                each.id(), each.name(), each.role(), each.partyName(), each.by(), each.expires()))
                        .toList());
    }

    @PostMapping("/api/groups/{group}/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    MadeInvitation invite(Account asking, @PathVariable long group, @Valid @RequestBody Invite invite) {
        if (invite.mailTo() == null || invite.mailTo().isBlank()) {
            return new MadeInvitation(
                    people.invite(asking.id(), group, invite.role(), invite.party(), invite.name()), null, null);
        }
        String to = post.address(invite.mailTo());
        String token = people.inviteByMail(asking.id(), group, invite.role(), invite.party(), invite.name(), to);
        Optional<String> problem = post.send(new InvitationPost.Carried(
                to, invite.name(), accounts.nameOf(group), asking.name(), invite.role(), token));
        return new MadeInvitation(token, problem.isPresent() ? null : to, problem.orElse(null));
    }

    @DeleteMapping("/api/invitations/{invitation}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(Account asking, @PathVariable long invitation) {
        people.withdraw(
                asking.id(), store.clubOf(invitation).orElseThrow(() -> new Missing("The invitation")), invitation);
    }

    @PutMapping("/api/groups/{group}/people/{account}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(Account asking, @PathVariable long group, @PathVariable long account, @Valid @RequestBody Part part) {
        people.change(asking.id(), group, account, part.role(), part.party());
    }

    @DeleteMapping("/api/groups/{group}/people/{account}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(Account asking, @PathVariable long group, @PathVariable long account) {
        people.remove(asking.id(), group, account);
    }
}
