package org.wache.server.accounts;

import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
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
import org.wache.server.log.Logbook;
import org.wache.server.prints.QrCode;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;

/** One's own account: password, second factor, and where one is signed in. */
@RestController
class AccountController {

    private final People people;
    private final SecondFactor secondFactor;
    private final Sessions sessions;
    private final Logbook log;

    AccountController(People people, SecondFactor secondFactor, Sessions sessions, Logbook log) {
        this.people = people;
        this.secondFactor = secondFactor;
        this.sessions = sessions;
        this.log = log;
    }

    /** One's own account. */
    record OwnAccount(String login, String name, boolean secondFactor, int paperCodes, List<OwnSession> sessions) {}

    /** A place where one is signed in. */
    record OwnSession(String key, boolean current, Instant since, Instant lastSeen, String browser, String address) {}

    /** The password now and from now on. */
    record PasswordChange(@NotBlank @Size(max = 200) String current, @NotBlank @Size(max = 200) String next) {}

    /** One's password, to prove who asks. */
    record Proof(@NotBlank @Size(max = 200) String password) {}

    /** A secret for the telephone: as text, as the address that a telephone reads, and as a drawing of that. */
    record NewSecret(String secret, String address, QrCode code) {}

    /** A code that the telephone shows. */
    record FirstCode(@NotBlank @Size(max = 40) String code) {}

    /** Codes for when the telephone is lost; told once. */
    record PaperCodes(List<String> codes) {}

    @GetMapping("/api/account")
    OwnAccount own(Account asking, HttpSession session) {
        return new OwnAccount(
                asking.login(),
                asking.name(),
                secondFactor.isOn(asking.id()),
                secondFactor.paperCodes(asking.id()),
                sessions.of(asking.login(), session.getId()).stream()
                        .map(each -> new OwnSession(
                                each.key(),
                                each.current(),
                                each.since(),
                                each.lastSeen(),
                                each.browser(),
                                each.address()))
                        .toList());
    }

    @PutMapping("/api/account/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(Account asking, HttpSession session, @Valid @RequestBody PasswordChange change) {
        people.proved(asking, change.current());
        people.changePassword(asking, session.getId(), change.next());
    }

    /** Begins with a second factor; it is in force once a first code is given. */
    @PostMapping("/api/account/second-factor")
    NewSecret begin(Account asking, @Valid @RequestBody Proof proof) {
        people.proved(asking, proof.password());
        if (secondFactor.isOn(asking.id())) {
            throw new Refused("Your account has a second factor already. Take it off first.");
        }
        String secret = secondFactor.begin(asking.id());
        String address = SecondFactor.address(asking.login(), secret);
        return new NewSecret(secret, address, QrCode.of(address));
    }

    @PutMapping("/api/account/second-factor")
    PaperCodes confirm(Account asking, @Valid @RequestBody FirstCode given) {
        List<String> codes = secondFactor
                .confirm(asking.id(), given.code())
                .orElseThrow(
                        () -> new Refused(
                                "This is not the code of now. Wait for the next one, and look whether the clock of the telephone is right."));
        log.add(
                asking.id(),
                null,
                Logbook.Deed.of(Logbook.Kind.ACCOUNT, asking.id(), asking.name(), "second factor put in force"));
        return new PaperCodes(codes);
    }

    @PostMapping("/api/account/second-factor/off")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void off(Account asking, @Valid @RequestBody Proof proof) {
        people.proved(asking, proof.password());
        people.takeSecondFactorOff(asking.id(), asking.id());
    }

    @DeleteMapping("/api/account/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endOthers(Account asking, HttpSession session) {
        sessions.endOthers(asking.login(), session.getId());
    }

    @DeleteMapping("/api/account/sessions/{session}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(Account asking, @PathVariable("session") String key) {
        if (!sessions.end(asking.login(), key)) {
            throw new Missing("The session");
        }
    }
}
