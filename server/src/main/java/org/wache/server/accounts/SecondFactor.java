package org.wache.server.accounts;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * The second factor: codes of six digits that change every 30 seconds (RFC 6238), and eight codes on paper for when the
 * telephone is lost. A code works once; the clocks may differ by one step.
 */
@Component
class SecondFactor {

    private static final int SECRET_BYTES = 20;
    private static final int PAPER_CODES = 8;
    private static final int PAPER_BYTES = 10;

    private final JdbcClient jdbc;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();

    SecondFactor(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Whether an account asks for one when somebody signs in. */
    boolean isOn(long account) {
        return jdbc.sql(
                        "select exists (select 1 from second_factor where account_id = :account and confirmed_at is not null)")
                .param("account", account)
                .query(Boolean.class)
                .single();
    }

    /** How many codes on paper are left. */
    int paperCodes(long account) {
        return jdbc.sql("select count(*) from recovery_code where account_id = :account and used_at is null")
                .param("account", account)
                .query(Integer.class)
                .single();
    }

    /** Begins anew: a secret that is in force once a code of it is given. */
    @Transactional
    public String begin(long account) {
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        jdbc.sql(
                        """
            insert into second_factor (account_id, secret) values (:account, :secret)
            on conflict (account_id) do update set secret = excluded.secret, confirmed_at = null, last_step = 0
            """)
                .param("account", account)
                .param("secret", secret)
                .update();
        return new Base32().encodeToString(secret).replace("=", "");
    }

    /** The secret in the form that telephones read. */
    static String address(String login, String secret) {
        return "otpauth://totp/Wache:"
                + URLEncoder.encode(login, StandardCharsets.UTF_8).replace("+", "%20") + "?secret=" + secret
                + "&issuer=Wache";
    }

    /** Puts it in force with a first code; the codes on paper, or nothing when the code is wrong. */
    @Transactional
    public Optional<List<String>> confirm(long account, String code) {
        if (!matches(account, code, false)) {
            return Optional.empty();
        }
        jdbc.sql("update second_factor set confirmed_at = now() where account_id = :account")
                .param("account", account)
                .update();
        jdbc.sql("delete from recovery_code where account_id = :account")
                .param("account", account)
                .update();
        List<String> paper = new ArrayList<>();
        for (int i = 0; i < PAPER_CODES; i++) {
            byte[] bytes = new byte[PAPER_BYTES];
            random.nextBytes(bytes);
            String text = new Base32().encodeToString(bytes).toLowerCase(Locale.ROOT);
            paper.add(text.substring(0, 4) + "-" + text.substring(4, 8) + "-" + text.substring(8, 12) + "-"
                    + text.substring(12, 16));
            jdbc.sql("insert into recovery_code (account_id, code_hash) values (:account, :hash)")
                    .param("account", account)
                    .param("hash", Passwords.hashOf(plain(text)))
                    .update();
        }
        return Optional.of(paper);
    }

    /** Whether a code, of the telephone or on paper, is right; it is used up with that. */
    @Transactional
    public boolean use(long account, String code) {
        return matches(account, code, true)
                || jdbc.sql(
                                        "update recovery_code set used_at = now() where account_id = :account and code_hash = :hash and used_at is null")
                                .param("account", account)
                                .param("hash", Passwords.hashOf(plain(code)))
                                .update()
                        == 1;
    }

    private static String plain(String code) {
        return code.toLowerCase(Locale.ROOT).replaceAll("[^a-z2-7]", "");
    }

    private record Kept(byte[] secret, long lastStep) {}

    private boolean matches(long account, String code, boolean confirmed) {
        Optional<Kept> kept = jdbc.sql(
                        "select secret, last_step from second_factor where account_id = :account and (confirmed_at is not null) = :confirmed for update")
                .param("account", account)
                .param("confirmed", confirmed)
                .query((row, n) -> new Kept(row.getBytes("secret"), row.getLong("last_step")))
                .optional();
        if (kept.isEmpty()) {
            return false;
        }
        long now = clock.instant().getEpochSecond() / codes.getTimeStep().toSeconds();
        String given = code.replace(" ", "");
        for (long step = now - 1; step <= now + 1; step++) {
            if (step > kept.get().lastStep() && at(kept.get().secret(), step).equals(given)) {
                jdbc.sql("update second_factor set last_step = :step where account_id = :account")
                        .param("step", step)
                        .param("account", account)
                        .update();
                return true;
            }
        }
        return false;
    }

    private String at(byte[] secret, long step) {
        try {
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(secret, codes.getAlgorithm()),
                    Instant.ofEpochSecond(step * codes.getTimeStep().toSeconds()));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("A key of this length is always good", e);
        }
    }

    /** Takes it off an account. */
    @Transactional
    public void off(long account) {
        jdbc.sql("delete from recovery_code where account_id = :account")
                .param("account", account)
                .update();
        jdbc.sql("delete from second_factor where account_id = :account")
                .param("account", account)
                .update();
    }
}
