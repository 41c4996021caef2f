package org.wache.server.releases;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** A holder's card: by the address that is printed on it, or for a member who is signed in. */
@RestController
class CardController {

    private final CardLinks links;
    private final HolderCards cards;
    private final RosterService roster;

    CardController(CardLinks links, HolderCards cards, RosterService roster) {
        this.links = links;
        this.cards = cards;
        this.roster = roster;
    }

    /** What the address of a card holds after its #: it is sent in the body, so that no log of a server has it. */
    record CardToken(@NotBlank @Size(max = 60) String token) {}

    @PostMapping("/api/card")
    HolderCards.HolderCard card(@Valid @RequestBody CardToken given) {
        CardLinks.Whose whose = links.whose(given.token())
                .orElseThrow(() ->
                        new Refused("This address was ended, or is not whole. Ask the coordinator for a new card."));
        return cards.of(whose.club(), whose.party(), whose.name());
    }

    @GetMapping("/api/groups/{group}/card")
    HolderCards.HolderCard own(Account asking, @PathVariable long group) {
        CardLinks.Whose whose = links.own(asking.id(), group)
                .orElseThrow(() -> new Refused(
                        "Nobody has said who of the roster you are. A coordinator does that under People."));
        return cards.of(whose.club(), whose.party(), whose.name());
    }

    /** Ends the address that is printed on someone's card. */
    @DeleteMapping("/api/parties/{party}/card-link")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(Account asking, @PathVariable long party) {
        long account = asking.id();
        Party whose = roster.party(account, party);
        links.end(
                account,
                links.clubOf(party).orElseThrow(() -> new Missing("The entry of the roster")),
                party,
                whose.name());
    }
}
