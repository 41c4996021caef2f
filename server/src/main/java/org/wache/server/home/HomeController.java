package org.wache.server.home;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.Service;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListEffect;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;
import org.wache.server.rulebooks.Rulebooks;

/** What time brings: licences that end, and lists that a new edition of the rulebook changes. */
@RestController
class HomeController {

    private final RosterService roster;
    private final Attention attention;
    private final Clock clock;
    private final Rulebooks rulebooks;

    HomeController(RosterService roster, Attention attention, Clock clock, Rulebooks rulebooks) {
        this.rulebooks = rulebooks;
        this.roster = roster;
        this.attention = attention;
        this.clock = clock;
    }

    /**
     * What wants attention: on account of the day, and of what the group does; todo is for the role of who asks.
     *
     * @param pending whether lists and todo are being worked out: then they are what was known a moment ago, or nothing yet
     */
    record Home(
            LocalDate today,
            EditionInForce edition,
            @Schema(nullable = true) EditionInForce next,
            List<EndingLicence> licences,
            List<ListEffect> lists,
            List<Todos.Todo> todo,
            boolean pending) {}

    /** An edition of the rulebook. */
    record EditionInForce(String id, LocalDate from, String title, String source) {}

    /** A licence that ended, or ends within 90 days; days is negative when it has ended. */
    record EndingLicence(
            long party,
            String name,
            String service,
            @Schema(nullable = true) Optional<String> licenceClass,
            @Schema(nullable = true) Optional<String> callSign,
            LocalDate expires,
            long days) {}

    @GetMapping("/api/groups/{group}/home")
    Home home(Account asking, @PathVariable long group) {
        long account = asking.id();
        LocalDate today = LocalDate.now(clock);
        List<EndingLicence> ending = new ArrayList<>();
        Rulebook rulebook = rulebooks.ofGroup(group);
        Edition edition = rulebook.on(today);
        for (Party party : roster.parties(account, group)) {
            party.licences()
                    .forEach(licence -> ending(party, licence, edition, today).ifPresent(ending::add));
        }
        ending.sort(Comparator.comparing(EndingLicence::expires));
        Optional<EditionInForce> next = rulebook.editions().stream()
                .filter(each -> each.from().isAfter(today))
                .findFirst()
                .map(HomeController::edition);
        Attention.Wanted wanted = attention.of(asking, group);
        return new Home(
                today,
                edition(rulebook.on(today).dates()),
                next.orElse(null),
                ending,
                wanted.lists(),
                wanted.todo(),
                wanted.pending());
    }

    private static Optional<EndingLicence> ending(
            Party party, CarriedLicence licence, Edition edition, LocalDate today) {
        int renewal = edition.service(licence.service())
                .map(service -> service.traits().terms().renewalDays())
                .orElse(0);
        return licence.expires()
                .map(end -> new EndingLicence(
                        party.id(),
                        party.name(),
                        edition.service(licence.service()).map(Service::inText).orElse(licence.service()),
                        licence.licenceClass(),
                        licence.callSign(),
                        end,
                        ChronoUnit.DAYS.between(today, end)))
                .filter(each -> each.days() <= renewal);
    }

    private static EditionInForce edition(Edition.EditionDates dates) {
        return new EditionInForce(dates.id(), dates.from(), dates.title(), dates.source());
    }
}
