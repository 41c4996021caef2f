package org.wache.server.accounts;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.database.Perishable;

/**
 * Browsers from which somebody has signed in before. Their tries are counted by themselves, so that whoever guesses at a name from
 * elsewhere keeps nobody out who is at home there. To know the browser is no right: the password is asked all the same.
 */
@Component
class KnownBrowsers implements Perishable {

    private static final String COOKIE = "wache-browser";
    private static final String PATH = "/api/session";
    private static final Duration KEPT = Duration.ofDays(400);
    private static final int MOST = 20;

    private final JdbcClient jdbc;
    private final Passwords passwords;
    private final boolean secure;

    KnownBrowsers(JdbcClient jdbc, Passwords passwords, @Value("${wache.secure-cookies}") boolean secure) {
        this.jdbc = jdbc;
        this.passwords = passwords;
        this.secure = secure;
    }

    private static Optional<String> token(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .filter(each -> each.getName().equals(COOKIE))
                .map(Cookie::getValue)
                .filter(value -> value.matches("[A-Za-z0-9_-]{32}"))
                .findFirst();
    }

    /** What the tries of this browser at an account are counted by; nothing when nobody has signed in to it from here. */
    Optional<Tries.What> tries(HttpServletRequest request, long account) {
        return token(request)
                .map(Passwords::hashOf)
                .filter(hash -> jdbc.sql(
                                "select exists (select 1 from known_browser where token_hash = :hash and account_id = :account)")
                        .param("hash", hash)
                        .param("account", account)
                        .query(Boolean.class)
                        .single())
                .map(hash -> Tries.What.browser(hash, account));
    }

    /** Somebody has signed in from here. */
    @Transactional
    public void remember(HttpServletRequest request, HttpServletResponse response, long account) {
        String token = token(request).orElseGet(passwords::token);
        jdbc.sql(
                        """
            insert into known_browser (token_hash, account_id) values (:hash, :account)
            on conflict (token_hash, account_id) do update set used_at = now()
            """)
                .param("hash", Passwords.hashOf(token))
                .param("account", account)
                .update();
        jdbc.sql(
                        """
            delete from known_browser where account_id = :account and token_hash not in (
              select token_hash from known_browser where account_id = :account order by used_at desc limit :most)
            """)
                .param("account", account)
                .param("most", MOST)
                .update();
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, token)
                        .path(PATH)
                        .httpOnly(true)
                        .secure(secure || request.isSecure())
                        .sameSite("Strict")
                        .maxAge(KEPT)
                        .build()
                        .toString());
    }

    /** No browser is known for an account any more. */
    void forgetAll(long account) {
        jdbc.sql("delete from known_browser where account_id = :account")
                .param("account", account)
                .update();
    }

    /** Takes away those from which nobody signed in for long. */
    @Override
    public int sweep() {
        return jdbc.sql("delete from known_browser where used_at < now() - make_interval(days => :days)")
                .param("days", (int) KEPT.toDays())
                .update();
    }
}
