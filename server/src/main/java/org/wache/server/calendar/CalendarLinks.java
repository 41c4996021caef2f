package org.wache.server.calendar;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The addresses of calendars: one for each account in each group. Only their hashes are kept. */
@Component
class CalendarLinks {

    private static final int BYTES = 24;

    private final JdbcClient jdbc;
    private final SecureRandom random = new SecureRandom();

    CalendarLinks(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Whose calendar an address opens. */
    record Whose(long account, long club, String name) {}

    /** Makes an address; the one before ends. */
    @Transactional
    public String make(long account, long club) {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        jdbc.sql(
                        """
            insert into calendar_link (account_id, club_id, token_hash) values (:account, :club, :hash)
            on conflict (account_id, club_id) do update set token_hash = excluded.token_hash, made_at = now()
            """)
                .param("account", account)
                .param("club", club)
                .param("hash", DigestUtils.sha256Hex(token))
                .update();
        return token;
    }

    /** Whose calendar it is, as long as they are in the group, may see its roster, and their account is open. */
    Optional<Whose> whose(String token) {
        return jdbc.sql(
                        """
            select calendar_link.account_id as account, calendar_link.club_id as club, club.name
            from calendar_link join club on club.id = calendar_link.club_id
            join membership on membership.account_id = calendar_link.account_id and membership.club_id = calendar_link.club_id and membership.role <> 'member'
            join account on account.id = calendar_link.account_id and not account.closed
            where calendar_link.token_hash = :hash
            """)
                .param("hash", DigestUtils.sha256Hex(token))
                .query(Whose.class)
                .optional();
    }
}
