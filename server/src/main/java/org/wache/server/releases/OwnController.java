package org.wache.server.releases;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.reference.MayKey;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.Account;
import org.wache.server.rulebooks.Looked;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.signal.Frequency;

/** What somebody who is in the roster may do themselves: on a frequency that they look up, and with which class. */
@RestController
class OwnController {

    private final CardLinks links;
    private final HolderCards cards;
    private final Rulebooks rulebooks;
    private final Clock clock;

    OwnController(CardLinks links, HolderCards cards, Rulebooks rulebooks, Clock clock) {
        this.links = links;
        this.cards = cards;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    /**
     * Somebody themselves: name is empty when nobody has said who of the roster they are. amateurClass is null without one; may is null when no
     * frequency was asked about, or when it is not known who they are.
     */
    record Own(String name, @Schema(nullable = true) String amateurClass, @Schema(nullable = true) OwnMay may) {}

    /** Whether they may key a frequency, in which modes, and by what right or why not. */
    record OwnMay(boolean may, List<String> modes, String words, String source) {}

    @GetMapping("/api/groups/{group}/own")
    Own own(Account asking, @PathVariable long group, @RequestParam(defaultValue = "") String mhz) {
        Optional<CardLinks.Whose> whose = links.own(asking.id(), group);
        if (whose.isEmpty()) {
            return new Own("", null, null);
        }
        Edition edition = rulebooks.ofGroup(group).on(LocalDate.now(clock));
        HolderCards.Licensed licensed = cards.licensed(group, whose.get().party());
        if (mhz.isBlank()) {
            return new Own(whose.get().name(), licensed.amateurClass().orElse(null), null);
        }
        Frequency frequency = Looked.up(edition, mhz);
        MayKey may = MayKey.at(
                Register.ALL, AuditContext.of(edition, LocalDate.now(clock), List.of(licensed.holder())), frequency);
        return new Own(
                whose.get().name(),
                licensed.amateurClass().orElse(null),
                new OwnMay(may.may(), may.modes(), may.words(), may.source()));
    }
}
