package org.wache.server.mail;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;

/** What one is told by mail, and where. */
@RestController
class MailController {

    private final OwnMail mail;

    MailController(OwnMail mail) {
        this.mail = mail;
    }

    /**
     * What one is told by mail.
     *
     * @param on whether this installation sends mail at all
     * @param address the confirmed address; null when there is none
     * @param asked an address that waits for its code; null when none does
     * @param refused what a mail server said when it refused the address; null when none did
     */
    record MailChosen(
            boolean on,
            @Schema(nullable = true) String address,
            @Schema(nullable = true) String asked,
            @Schema(nullable = true) String refused,
            MailWhen licences,
            MailWhen signatures,
            MailWhen recalls) {}

    /** When one wants to be told of what. */
    record MailChoice(@NotNull MailWhen licences, @NotNull MailWhen signatures, @NotNull MailWhen recalls) {}

    /** Where one wants to be told. */
    record MailAddress(@NotBlank @Size(max = 254) String address) {}

    /** The code that was sent to an address. */
    record MailCode(@NotBlank @Size(max = 40) String code) {}

    @GetMapping("/api/account/mail")
    MailChosen own(Account asking) {
        return mail.of(asking);
    }

    @PutMapping("/api/account/mail")
    MailChosen choose(Account asking, @Valid @RequestBody MailChoice choice) {
        mail.choose(asking, choice);
        return mail.of(asking);
    }

    /** Sends a code to an address; with it the address is confirmed. */
    @PostMapping("/api/account/mail/address")
    MailChosen ask(Account asking, @Valid @RequestBody MailAddress wanted) {
        mail.ask(asking, wanted.address());
        return mail.of(asking);
    }

    @PutMapping("/api/account/mail/address")
    MailChosen confirm(Account asking, @Valid @RequestBody MailCode given) {
        mail.confirm(asking, given.code());
        return mail.of(asking);
    }

    /** Forgets the address, and what was to be sent there. */
    @DeleteMapping("/api/account/mail/address")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(Account asking) {
        mail.forget(asking);
    }
}
