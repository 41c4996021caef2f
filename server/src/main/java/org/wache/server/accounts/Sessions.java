package org.wache.server.accounts;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where an account is signed in; sessions live in the database, so that every server ends them. */
@Component
class Sessions {

    private static final String BROWSER = "browser";
    private static final String ADDRESS = "address";
    private static final int LONGEST = 300;
    private static final int KEY = 24;

    private final FindByIndexNameSessionRepository<? extends Session> repository;

    Sessions(FindByIndexNameSessionRepository<? extends Session> repository) {
        this.repository = repository;
    }

    /** A place where somebody is signed in; the key tells it apart without giving it away. */
    record Open(String key, boolean current, Instant since, Instant lastSeen, String browser, String address) {}

    /** Notes with which browser and from where a session began. */
    static void began(HttpSession session, HttpServletRequest request) {
        String browser = Optional.ofNullable(request.getHeader("User-Agent")).orElse("");
        session.setAttribute(BROWSER, browser.substring(0, Math.min(LONGEST, browser.length())));
        session.setAttribute(ADDRESS, request.getRemoteAddr());
    }

    List<Open> of(String login, String currentId) {
        return repository.findByPrincipalName(login).values().stream()
                .filter(session -> !session.isExpired())
                .map(session -> new Open(
                        key(session.getId()),
                        session.getId().equals(currentId),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        text(session, BROWSER),
                        text(session, ADDRESS)))
                .sorted(Comparator.comparing(Open::current)
                        .thenComparing(Open::lastSeen)
                        .reversed())
                .toList();
    }

    private static String text(Session session, String attribute) {
        return Optional.ofNullable(session.<String>getAttribute(attribute)).orElse("");
    }

    private static String key(String id) {
        return Passwords.hashOf(id).substring(0, KEY);
    }

    /** Ends one session of an account; false when there is none of this key. */
    boolean end(String login, String key) {
        Optional<String> id =
                ids(login).stream().filter(each -> key(each).equals(key)).findFirst();
        id.ifPresent(repository::deleteById);
        return id.isPresent();
    }

    /** Ends all sessions of an account but one; null ends them all. Returns how many. */
    int endOthers(String login, String keep) {
        List<String> others =
                ids(login).stream().filter(each -> !each.equals(keep)).toList();
        others.forEach(repository::deleteById);
        return others.size();
    }

    private List<String> ids(String login) {
        Map<String, ? extends Session> all = repository.findByPrincipalName(login);
        return List.copyOf(all.keySet());
    }
}
