package org.wache.server;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.time.Instant;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/** What a telephone shows for a secret. */
final class Codes {

    private Codes() {}

    static String now(String secret) {
        TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
        try {
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()), Instant.now());
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }
}
