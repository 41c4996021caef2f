package org.wache.server.register;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;

/** Holds the roster against the licence register. Nothing in the roster changes by itself. */
@RestController
class RegisterController {

    private final RegisterClient register;
    private final RosterService roster;
    private final Clock clock;

    RegisterController(RegisterClient register, RosterService roster, Clock clock) {
        this.register = register;
        this.roster = roster;
        this.clock = clock;
    }

    /** What became of asking. */
    enum Answer {
        FOUND,
        UNKNOWN,
        DOWN
    }

    /** How a licence of the roster stands against the register; without a call sign it cannot be asked for. */
    enum Against {
        SAME,
        DIFFERS,
        UNKNOWN,
        DOWN,
        UNSIGNED
    }

    /** What the roster and the register may say differently. */
    enum RegisterPart {
        NAME,
        SERVICE,
        CLASS,
        EXPIRES,
        STATUS
    }

    /** What became of asking; the message says it in words. */
    record LookedUp(Answer answer, String message, @Schema(nullable = true) RegisterRecord record) {}

    /** A licence held against the register. */
    record Comparison(
            int licence,
            String callSign,
            Against against,
            String message,
            List<RegisterDifference> differences,
            @Schema(nullable = true) RegisterRecord record) {}

    /** One thing that the roster and the register say differently. */
    record RegisterDifference(RegisterPart part, String roster, String register, String words) {}

    @GetMapping("/api/register/{callSign}")
    LookedUp lookUp(@PathVariable String callSign) {
        try {
            return register.record(callSign)
                    .map(found -> new LookedUp(Answer.FOUND, found.callSign() + " is " + found.name() + ".", found))
                    .orElseGet(() -> new LookedUp(
                            Answer.UNKNOWN,
                            "The register does not know " + callSign.toUpperCase(Locale.ROOT) + ".",
                            null));
        } catch (RegisterClient.Down e) {
            return new LookedUp(Answer.DOWN, e.getMessage() + " The roster works without it; try again later.", null);
        }
    }

    @GetMapping("/api/parties/{party}/register")
    List<Comparison> compare(Account asking, @PathVariable long party) {
        Party found = roster.party(asking.id(), party);
        List<Comparison> all = new ArrayList<>();
        for (int i = 0; i < found.licences().size(); i++) {
            all.add(compared(found, i));
        }
        return all;
    }

    private Comparison compared(Party party, int index) {
        CarriedLicence licence = party.licences().get(index);
        String sign = licence.callSign().orElse("");
        if (sign.isBlank()) {
            return new Comparison(
                    index, "", Against.UNSIGNED, "Without a call sign the register cannot be asked.", List.of(), null);
        }
        LookedUp asked = lookUp(sign);
        if (asked.record() == null) {
            return new Comparison(
                    index,
                    sign,
                    asked.answer() == Answer.DOWN ? Against.DOWN : Against.UNKNOWN,
                    asked.message(),
                    List.of(),
                    null);
        }
        List<RegisterDifference> differences = differences(party, licence, asked.record());
        return new Comparison(
                index,
                sign,
                differences.isEmpty() ? Against.SAME : Against.DIFFERS,
                differences.isEmpty() ? "The register says the same." : "The register says otherwise.",
                differences,
                asked.record());
    }

    private List<RegisterDifference> differences(Party party, CarriedLicence licence, RegisterRecord record) {
        List<RegisterDifference> all = new ArrayList<>();
        if (!record.name().equalsIgnoreCase(party.name())) {
            all.add(new RegisterDifference(
                    RegisterPart.NAME, party.name(), record.name(), "It is in the name of " + record.name() + "."));
        }
        if (!record.service().equals(licence.service())) {
            all.add(new RegisterDifference(
                    RegisterPart.SERVICE,
                    licence.service(),
                    record.service(),
                    "It is a licence for " + record.service() + "."));
        }
        if (!record.licenceClass().equals(licence.licenceClass())) {
            String now = record.licenceClass().orElse("none");
            String old = licence.licenceClass().orElse("none");
            all.add(new RegisterDifference(RegisterPart.CLASS, old, now, "The class is " + now + ", not " + old + "."));
        }
        if (record.expires().isPresent() && !record.expires().equals(licence.expires())) {
            all.add(new RegisterDifference(
                    RegisterPart.EXPIRES,
                    licence.expires().map(LocalDate::toString).orElse("not given"),
                    record.expires().get().toString(),
                    "It ends on " + record.expires().get() + "."));
        }
        boolean over =
                record.expires().map(day -> day.isBefore(LocalDate.now(clock))).orElse(false);
        if (!record.status().equals("active") || over) {
            all.add(new RegisterDifference(
                    RegisterPart.STATUS,
                    "in the roster",
                    over ? "expired" : record.status(),
                    over
                            ? "It has expired: the holder may not transmit under it."
                            : "The register has it as " + record.status() + "."));
        }
        return all;
    }
}
