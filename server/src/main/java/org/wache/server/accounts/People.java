package org.wache.server.accounts;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.server.access.Role;
import org.wache.server.log.Logbook;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import tools.jackson.databind.json.JsonMapper;

/** How people come into a group, what they are in it, and how they get a new password. */
@Service
class People {

    private static final Duration INVITATION = Duration.ofDays(14);
    private static final int MAILED_A_DAY = 50;
    private static final Duration PASSWORD_LINK = Duration.ofDays(1);
    private static final JsonMapper JSON = Json.MAPPER;

    private final PeopleStore store;
    private final AccountStore accounts;
    private final Passwords passwords;
    private final SecondFactor secondFactor;
    private final Sessions sessions;
    private final Tries tries;
    private final KnownBrowsers browsers;
    private final Logbook log;
    private final InvitationPost post;
    private final Clock clock;

    People(
            PeopleStore store,
            AccountStore accounts,
            Passwords passwords,
            SecondFactor secondFactor,
            Sessions sessions,
            Tries tries,
            KnownBrowsers browsers,
            Logbook log,
            InvitationPost post,
            Clock clock) {
        this.post = post;
        this.tries = tries;
        this.browsers = browsers;
        this.store = store;
        this.accounts = accounts;
        this.passwords = passwords;
        this.secondFactor = secondFactor;
        this.sessions = sessions;
        this.log = log;
        this.clock = clock;
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock);
    }

    /** Makes a one-time link into a group; the token is told once. */
    @Transactional
    public String invite(long by, long club, Role role, Long party, String name) {
        return invite(by, club, role, party, name, null);
    }

    /** As it is made for somebody who is written to; so many a day and group, so that nobody is flooded through it. */
    @Transactional
    public String inviteByMail(long by, long club, Role role, Long party, String name, String address) {
        if (store.mailedSince(club, now().minusDays(1)) >= MAILED_A_DAY) {
            throw new Refused(
                    MAILED_A_DAY
                            + " invitations were mailed from this group within a day, which is as many as may be. Leave the address empty and give the link yourself, or wait until tomorrow.");
        }
        return invite(by, club, role, party, name, post.address(address));
    }

    private String invite(long by, long club, Role role, Long party, String name, String mailedTo) {
        checked(role, party);
        String token = passwords.token();
        long id = store.invite(club, role, party, name, Passwords.hashOf(token), by, now().plus(INVITATION), mailedTo)
                .orElseThrow(() -> new Missing("Whom you chose from the roster"));
        log.add(by, club, Logbook.Deed.of(Logbook.Kind.PEOPLE, id, name, "invited as " + role.text()));
        return token;
    }

    private static void checked(Role role, Long party) {
        if (role == Role.MEMBER && party == null) {
            throw new Refused("Say who of the roster the member is: they see what that person may key.");
        }
    }

    @Transactional
    public void withdraw(long by, long club, long invitation) {
        String name = store.invitations(club, now()).stream()
                .filter(each -> each.id() == invitation)
                .map(PeopleStore.Invitation::name)
                .findFirst()
                .orElseThrow(() -> new Refused("This invitation was used, withdrawn or has ended."));
        if (!store.withdraw(invitation)) {
            throw new Refused("This invitation was used or withdrawn just now.");
        }
        log.add(by, club, Logbook.Deed.of(Logbook.Kind.PEOPLE, invitation, name, "invitation withdrawn"));
    }

    /** What an invitation is for. */
    PeopleStore.Invitation invitation(String token) {
        return store.invitation(Passwords.hashOf(token), now())
                .orElseThrow(() -> new Refused(
                        "This link was used, withdrawn, or is older than 14 days. Ask the coordinator for a new one."));
    }

    /** Makes an account through an invitation. */
    @Transactional
    public void joinAnew(String token, String login, String name, String password) {
        String hash = passwords.hash(login, password);
        join(accounts.addAccount(login, name, hash), invitation(token));
    }

    /** Comes into one more group through an invitation. */
    @Transactional
    public void join(long account, String token) {
        join(account, invitation(token));
    }

    private void join(long account, PeopleStore.Invitation invitation) {
        if (accounts.isMember(account, invitation.club())) {
            throw new Refused("You are in " + invitation.clubName()
                    + " already. A coordinator there changes what you are in it.");
        }
        if (!store.use(invitation.id(), account)) {
            throw new Refused("This link was used or withdrawn just now. Ask the coordinator for a new one.");
        }
        accounts.addMember(account, invitation.club(), invitation.role(), invitation.party());
        log.add(
                account,
                invitation.club(),
                Logbook.Deed.of(
                        Logbook.Kind.PEOPLE,
                        account,
                        invitation.name(),
                        "came in as " + invitation.role().text()));
    }

    /** Changes what someone is in a group. */
    @Transactional
    public void change(long by, long club, long account, Role role, Long party) {
        checked(role, party);
        PeopleStore.Person before = found(club, account);
        if (role != Role.COORDINATOR) {
            oneStays(club, before);
        }
        if (!store.change(club, account, role, party)) {
            throw new Missing("Whom you chose from the roster");
        }
        log.add(
                by,
                club,
                new Logbook.Deed(
                        Logbook.Kind.PEOPLE,
                        account,
                        before.name(),
                        "changed",
                        words(before.role(), before.party()),
                        words(role, party)));
    }

    private static String words(Role role, Long party) {
        return JSON.writeValueAsString(
                party == null ? Map.of("role", role.text()) : Map.of("role", role.text(), "party", party));
    }

    /** Takes someone out of a group; their account and what they did stay. */
    @Transactional
    public void remove(long by, long club, long account) {
        PeopleStore.Person before = found(club, account);
        oneStays(club, before);
        store.remove(club, account);
        log.add(
                by,
                club,
                new Logbook.Deed(
                        Logbook.Kind.PEOPLE,
                        account,
                        before.name(),
                        "taken out of the group",
                        words(before.role(), before.party()),
                        null));
    }

    private PeopleStore.Person found(long club, long account) {
        return store.lockedPerson(club, account).orElseThrow(() -> new Missing("The person"));
    }

    private void oneStays(long club, PeopleStore.Person leaving) {
        boolean another = store.people(club).stream()
                .anyMatch(each ->
                        each.account() != leaving.account() && each.role() == Role.COORDINATOR && !each.closed());
        if (leaving.role() == Role.COORDINATOR && !another) {
            throw new Refused(leaving.name() + " is the only coordinator. Make somebody else one first.");
        }
    }

    /** Makes a group, and a one-time link for its coordinator. */
    @Transactional
    public String addGroup(long by, String name, String coordinator) {
        long club = accounts.addClub(name);
        log.add(by, null, Logbook.Deed.of(Logbook.Kind.ACCOUNT, club, name, "group made"));
        return invite(by, club, Role.COORDINATOR, null, coordinator);
    }

    /** Makes a link with which somebody sets a new password, within a day. */
    @Transactional
    public String passwordLink(long by, long account) {
        Account whose = account(account);
        String token = passwords.token();
        store.addPasswordLink(account, Passwords.hashOf(token), by, now().plus(PASSWORD_LINK));
        log.add(by, null, Logbook.Deed.of(Logbook.Kind.ACCOUNT, account, whose.name(), "link for a new password made"));
        return token;
    }

    private Account account(long account) {
        return accounts.account(account).orElseThrow(() -> new Missing("The account"));
    }

    /** Sets a password through a link, and ends every session of the account. */
    @Transactional
    public void setPassword(String token, String password) {
        long id = store.usePasswordLink(Passwords.hashOf(token), now())
                .orElseThrow(
                        () -> new Refused(
                                "This link was used, replaced by a newer one, or is older than a day. Ask the administrator for a new one."));
        Account account = account(id);
        accounts.setPassword(id, passwords.hash(account.login(), password));
        browsers.forgetAll(id);
        sessions.endOthers(account.login(), null);
        log.add(id, null, Logbook.Deed.of(Logbook.Kind.ACCOUNT, id, account.name(), "password set through a link"));
    }

    /** Changes one's own password, after it was proved whose it is, and ends the sessions elsewhere. */
    @Transactional
    public void changePassword(Account account, String session, String next) {
        browsers.forgetAll(account.id());
        accounts.setPassword(account.id(), passwords.hash(account.login(), next));
        sessions.endOthers(account.login(), session);
        log.add(
                account.id(),
                null,
                Logbook.Deed.of(Logbook.Kind.ACCOUNT, account.id(), account.name(), "password changed"));
    }

    /**
     * Makes sure that it is the owner of the account who asks; not within a transaction, since a wrong try stays counted.
     *
     * @throws Refused when the password is wrong, or was wrong too often just now
     */
    void proved(Account account, String password) {
        Tries.What what = Tries.What.proof(account.id());
        Duration wait = tries.take(what);
        if (!wait.isZero()) {
            throw new Refused(Tries.words(wait));
        }
        if (!passwords.isRight(
                password,
                accounts.secret(account.login())
                        .orElseThrow(() -> new Missing("The account"))
                        .passwordHash())) {
            throw new Refused("This is not your password.");
        }
        tries.forget(what);
    }

    /** Takes the second factor off an account whose telephone and codes on paper are lost. */
    @Transactional
    public void takeSecondFactorOff(long by, long account) {
        Account whose = account(account);
        secondFactor.off(account);
        log.add(by, null, Logbook.Deed.of(Logbook.Kind.ACCOUNT, account, whose.name(), "second factor taken off"));
    }

    /** Closes an account, or opens it again. What it did stays. */
    @Transactional
    public void setClosed(long by, long account, boolean closed) {
        Account whose = account(account);
        if (by == account) {
            throw new Refused("This is your own account. Another administrator can close it.");
        }
        accounts.setClosed(account, closed);
        if (closed) {
            sessions.endOthers(whose.login(), null);
        }
        log.add(
                by,
                null,
                Logbook.Deed.of(Logbook.Kind.ACCOUNT, account, whose.name(), closed ? "closed" : "opened again"));
    }
}
