package org.wache.server.mail;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.accounts.Account;
import org.wache.server.web.Refused;

/** What somebody chooses to be told by mail. An address is taken over only with the code that was sent there: nobody has others written to. */
@Component
class OwnMail {

    private static final Duration VALID = Duration.ofHours(1);
    private static final int CODES_A_DAY = 5;
    private static final int TRIES = 5;
    /** Without signs that look alike. */
    private static final String SIGNS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 8;

    private final MailStore store;
    private final Postman postman;
    private final Letters letters;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    OwnMail(MailStore store, Postman postman, Clock clock, @Value("${wache.address}") String address) {
        this.store = store;
        this.postman = postman;
        this.letters = new Letters(address.replaceAll("/+$", ""));
        this.clock = clock;
    }

    MailController.MailChosen of(Account asking) {
        return store.choice(asking.id())
                .map(each -> new MailController.MailChosen(
                        postman.isOn(),
                        each.address(),
                        each.asked(),
                        each.refused(),
                        each.when().get(MailKind.LICENCES),
                        each.when().get(MailKind.SIGNATURES),
                        each.when().get(MailKind.RECALLS)))
                .orElseGet(() -> new MailController.MailChosen(
                        postman.isOn(), null, null, null, MailWhen.DAILY, MailWhen.AT_ONCE, MailWhen.AT_ONCE));
    }

    @Transactional
    public void choose(Account asking, MailController.MailChoice choice) {
        store.choose(
                asking.id(),
                Map.of(
                        MailKind.LICENCES, choice.licences(),
                        MailKind.SIGNATURES, choice.signatures(),
                        MailKind.RECALLS, choice.recalls()));
    }

    /** Sends a code; what is kept of it is kept before it goes out, so that it can be used when it arrives. */
    void ask(Account asking, String text) {
        if (!postman.isOn()) {
            throw new Refused("This installation sends no mail. Who looks after it sets a mail server first.");
        }
        String address = Postman.address(text);
        String code = code();
        if (!store.ask(asking.id(), address, hash(code), OffsetDateTime.now(clock), CODES_A_DAY)) {
            throw new Refused("Five codes were sent for you today. Look whether one arrived, or try again tomorrow.");
        }
        try {
            postman.send(letters.code(address, asking.name(), code));
        } catch (Postman.RefusedThere e) {
            throw new Refused("The mail server refuses this address: " + e.getMessage());
        } catch (Postman.NotNow e) {
            throw new Refused("The mail could not be handed over: " + e.getMessage() + ". Try again in a while.");
        }
    }

    /** Each try counts before it is looked at, also when it is refused. */
    void confirm(Account asking, String given) {
        if (!store.tries(asking.id(), OffsetDateTime.now(clock).minus(VALID), TRIES)) {
            throw new Refused("This code is over: a code is for an hour and for five tries. Have a new one sent.");
        }
        if (!store.confirm(asking.id(), hash(given.strip().toUpperCase(Locale.ROOT)))) {
            throw new Refused("This is not the code that was sent to the address. Look at the newest mail.");
        }
    }

    @Transactional
    public void forget(Account asking) {
        store.forget(asking.id());
    }

    private String code() {
        return random.ints(LENGTH, 0, SIGNS.length())
                .collect(StringBuilder::new, (text, i) -> text.append(SIGNS.charAt(i)), StringBuilder::append)
                .toString();
    }

    private static String hash(String code) {
        return DigestUtils.sha256Hex(code);
    }
}
