package org.wache.server.releases;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.log.Logbook;

/**
 * The addresses of holders' cards, as they are printed on them: whoever has one sees that holder's card and nothing else.
 * They are kept as they are, so that a card printed again has the same one.
 */
@Component
public class CardLinks {

    private static final int BYTES = 16;

    private final JdbcClient jdbc;
    private final Logbook log;
    private final SecureRandom random = new SecureRandom();

    CardLinks(JdbcClient jdbc, Logbook log) {
        this.jdbc = jdbc;
        this.log = log;
    }

    /** The token of a holder; made when there is none. */
    @Transactional
    public String token(long account, long club, long party) {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        jdbc.sql(
                        """
            insert into card_link (token, club_id, party_id, made_by) values (:token, :club, :party, :account)
            on conflict (party_id) where ended_at is null do nothing
            """)
                .param("token", Base64.getUrlEncoder().withoutPadding().encodeToString(bytes))
                .param("club", club)
                .param("party", party)
                .param("account", account)
                .update();
        return jdbc.sql("select token from card_link where party_id = :party and ended_at is null")
                .param("party", party)
                .query(String.class)
                .single();
    }

    /** Whose card it is. */
    record Whose(long club, long party, String name) {}

    /** Whose card a token opens; nothing when it was ended, or they are no longer in the roster. */
    Optional<Whose> whose(String token) {
        return jdbc.sql(
                        """
            select card_link.club_id as club, card_link.party_id as party, party.name
            from card_link join party on party.id = card_link.party_id and not party.removed
            where card_link.token = :token and card_link.ended_at is null
            """)
                .param("token", token)
                .query(Whose.class)
                .optional();
    }

    /** The group of someone of the roster. */
    Optional<Long> clubOf(long party) {
        return jdbc.sql("select club_id from party where id = :party")
                .param("party", party)
                .query(Long.class)
                .optional();
    }

    /** Who of the roster somebody is in a group. */
    public Optional<Long> partyOf(long account, long club) {
        return own(account, club).map(Whose::party);
    }

    Optional<Whose> own(long account, long club) {
        return jdbc.sql(
                        """
            select membership.club_id as club, party.id as party, party.name
            from membership join party on party.id = membership.party_id and not party.removed
            where membership.account_id = :account and membership.club_id = :club
            """)
                .param("account", account)
                .param("club", club)
                .query(Whose.class)
                .optional();
    }

    /** Ends the address of a holder's card: a card that was lost opens nothing any longer, the next print has another. */
    @Transactional
    public void end(long account, long club, long party, String name) {
        if (jdbc.sql("update card_link set ended_at = now() where party_id = :party and ended_at is null")
                        .param("party", party)
                        .update()
                > 0) {
            log.add(
                    account,
                    club,
                    Logbook.Deed.of(Logbook.Kind.ROSTER, party, name, "the address printed on the card was ended"));
        }
    }
}
