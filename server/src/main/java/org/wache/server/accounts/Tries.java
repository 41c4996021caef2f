package org.wache.server.accounts;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.database.Perishable;

/**
 * Counts what may be guessed, before the guess is looked at: one statement asks whether there is a wait and counts the try, so that
 * of many tries at one time no more are looked at than of many in a row. After the free ones each makes the next wait 1, 2, 4 …
 * seconds, at most four minutes; a day without a try and all of it is forgotten.
 */
@Repository
class Tries implements Perishable {

    /** The longest wait that there is. */
    static final Duration LONGEST = Duration.ofMinutes(4);

    private static final Duration FORGOTTEN = Duration.ofDays(1);

    private final JdbcClient jdbc;
    private final Clock clock;

    Tries(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * What tries have in common.
     *
     * @param text what is counted
     * @param free how many tries make nobody wait
     */
    record What(String text, int free) {

        private static final int OF_A_NAME = 5;
        private static final int OF_AN_ADDRESS = 100;
        private static final int OF_THE_SECOND_WAY = 20;

        /** At one name, from browsers that are not known for it. */
        static What name(String key) {
            return new What("name " + key, OF_A_NAME);
        }

        /** From one address, at whatever names. */
        static What address(String network) {
            return new What("address " + network, OF_AN_ADDRESS);
        }

        /** At one account from a browser that is known for it. */
        static What browser(String tokenHash, long account) {
            return new What("browser " + tokenHash + " " + account, OF_A_NAME);
        }

        /** At the second factor of an account by somebody who has its password, while its name is slowed down. */
        static What secondFactor(long account) {
            return new What("second " + account, OF_A_NAME);
        }

        /** From one address, with codes of a second factor, at names that are slowed down. */
        static What secondWay(String network) {
            return new What("way " + network, OF_THE_SECOND_WAY);
        }

        /** At one's own password, by whoever is signed in. */
        static What proof(long account) {
            return new What("proof " + account, OF_A_NAME);
        }
    }

    /**
     * Counts a try; how long to wait when it may not be looked at, and then it does not count. A free try leaves the end of the last
     * wait as it is: of two at one time the one that asked the clock first may be the second to be counted.
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public Duration take(What what) {
        OffsetDateTime now = now();
        boolean allowed = jdbc.sql(
                        """
            insert into sign_in_try as known (key, tries, blocked_until, last_at) values (:key, 1, :forgotten, :now)
            on conflict (key) do update set
              tries = case when known.last_at < :forgotten then 1 else known.tries + 1 end,
              blocked_until = case when known.last_at < :forgotten or known.tries < :free then known.blocked_until
                else :now + make_interval(secs => least(:longest, power(2, least(known.tries - :free, 20)))) end,
              last_at = :now
            where known.blocked_until <= :now
            returning tries
            """)
                .param("key", what.text())
                .param("now", now)
                .param("forgotten", now.minus(FORGOTTEN))
                .param("free", what.free())
                .param("longest", LONGEST.toSeconds())
                .query(Integer.class)
                .optional()
                .isPresent();
        return allowed ? Duration.ZERO : left(what, now.toInstant());
    }

    private Duration left(What what, Instant now) {
        Duration left = jdbc.sql("select blocked_until from sign_in_try where key = :key")
                .param("key", what.text())
                .query(OffsetDateTime.class)
                .optional()
                .map(until -> Duration.between(now, until.toInstant()))
                .orElse(Duration.ZERO);
        return left.compareTo(Duration.ofSeconds(1)) < 0 ? Duration.ofSeconds(1) : left;
    }

    /** Takes one try back that was none: everything in it was right. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void giveBack(What what) {
        jdbc.sql(
                        "update sign_in_try set tries = greatest(tries - 1, 0), blocked_until = least(blocked_until, :now) where key = :key")
                .param("key", what.text())
                .param("now", now())
                .update();
    }

    /** Forgets what was tried: whoever may has come in. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void forget(What what) {
        jdbc.sql("delete from sign_in_try where key = :key")
                .param("key", what.text())
                .update();
    }

    /** Takes away what nobody tried for a day. */
    @Override
    public int sweep() {
        return jdbc.sql("delete from sign_in_try where last_at < :forgotten and blocked_until < :now")
                .param("forgotten", now().minus(FORGOTTEN))
                .param("now", now())
                .update();
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    /** What is told to whoever has to wait. */
    static String words(Duration wait) {
        return "Too many tries just now. Try again in " + wait.toSeconds() + " s; the longest wait there is, is "
                + LONGEST.toMinutes() + " minutes.";
    }

    /** The network that an address speaks for: the address itself, and of version 6 its first 64 bits, which one household has. */
    static String network(String address) {
        if (address == null || address.indexOf(':') < 0) {
            return String.valueOf(address);
        }
        try {
            byte[] bytes = InetAddress.getByName(address).getAddress(); // a literal address: nothing is looked up
            return bytes.length == 16
                    ? HexFormat.of().formatHex(bytes, 0, 8)
                    : InetAddress.getByAddress(bytes).getHostAddress();
        } catch (UnknownHostException e) {
            return address;
        }
    }
}
