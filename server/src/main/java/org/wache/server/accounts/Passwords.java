package org.wache.server.accounts;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Base64;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.wache.server.web.Refused;

/** What is secret of an account: passwords, and the tokens of one-time links. Only hashes of either are kept. */
@Component
class Passwords {

    private static final int SHORTEST = 10;
    /** What bcrypt takes into account, in bytes. */
    private static final int LONGEST_BYTES = 72;

    private static final int TOKEN_BYTES = 24;

    private final PasswordEncoder encoder;
    private final SecureRandom random = new SecureRandom();
    private final String nobodys;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        this.nobodys = encoder.encode(token());
    }

    /**
     * The hash of a new password.
     *
     * @throws Refused when it is too short, too long or the name itself
     */
    String hash(String login, String password) {
        if (password.length() < SHORTEST) {
            throw new Refused("A password has at least " + SHORTEST + " characters.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            throw new Refused("A password has at most " + LONGEST_BYTES + " bytes.");
        }
        if (password.equalsIgnoreCase(login)) {
            throw new Refused("The password is the name to sign in with. Choose another.");
        }
        return encoder.encode(password);
    }

    /** Whether a password is the one of this hash. */
    boolean isRight(String password, String hash) {
        return encoder.matches(password, hash);
    }

    /** A hash that no password has: looked at for names that are not there, so that they take as long as others. */
    String nobodys() {
        return nobodys;
    }

    /** A token for a link: 24 bytes of chance, fit for an address. */
    String token() {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** What is kept of a token. */
    static String hashOf(String token) {
        return DigestUtils.sha256Hex(token);
    }
}
