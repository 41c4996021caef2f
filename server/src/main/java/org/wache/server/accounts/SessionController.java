package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.access.Role;
import org.wache.server.web.OneLine;
import org.wache.server.web.Refused;

/** Signing in and out, and the very first account. */
@RestController
class SessionController {

    private final AccountStore accounts;
    private final SecurityContextRepository contexts;
    private final Passwords passwords;
    private final SecondFactor secondFactor;
    private final Tries tries;
    private final KnownBrowsers browsers;

    SessionController(
            AccountStore accounts,
            SecurityContextRepository contexts,
            Passwords passwords,
            SecondFactor secondFactor,
            Tries tries,
            KnownBrowsers browsers) {
        this.accounts = accounts;
        this.contexts = contexts;
        this.passwords = passwords;
        this.secondFactor = secondFactor;
        this.tries = tries;
        this.browsers = browsers;
    }

    /** Who is signed in, and their groups; without an account nobody is. */
    record Session(@Schema(nullable = true) Optional<Account> account, List<Club> groups) {}

    /** Name and password, and the code of the second factor once it is asked for. */
    record SignIn(
            @NotBlank @Size(max = 200) String login,
            @NotBlank @Size(max = 200) String password,
            @Schema(nullable = true) @Size(max = 40) String code) {}

    record FirstAccount(
            @NotBlank String token,
            @NotBlank @Size(max = 200) String login,
            @OneLine @NotBlank @Size(max = 200) String name,
            @NotBlank @Size(max = 200) String password,
            @OneLine @NotBlank @Size(max = 200) String group) {}

    @GetMapping("/api/session")
    Session session(Principal principal) {
        return Optional.ofNullable(principal)
                .flatMap(who -> accounts.account(who.getName()))
                .map(account -> new Session(Optional.of(account), accounts.clubs(account.id())))
                .orElse(new Session(Optional.empty(), List.of()));
    }

    /** What a try to sign in came to. */
    private enum Outcome {
        IN,
        WRONG,
        CODE_WANTED,
        CODE_WRONG
    }

    @PostMapping("/api/session")
    Session signIn(@Valid @RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
        Optional<AccountStore.Secret> whose = accounts.secret(given.login());
        String network = Tries.network(request.getRemoteAddr());
        Tries.What address = Tries.What.address(network);
        Optional<Tries.What> known = whose.flatMap(secret -> browsers.tries(request, secret.id()));
        Tries.What counted = known.orElseGet(
                () -> Tries.What.name(SignInName.of(given.login()).key()));
        Duration wait = tries.take(counted);
        if (wait.isZero() && known.isEmpty()) {
            wait = tries.take(address);
        }
        if (!wait.isZero()) {
            if (known.isPresent() || whose.isEmpty() || !secondFactorOpens(whose.get(), given, network)) {
                throw slowDown(wait);
            }
        } else {
            Outcome outcome = outcome(given, whose);
            if (outcome == Outcome.WRONG) {
                throw problem(HttpStatus.UNAUTHORIZED, "Name and password do not belong together.");
            }
            if (outcome != Outcome.CODE_WRONG) {
                tries.giveBack(counted);
                if (known.isEmpty()) { // a known browser was not counted there: it would wipe out what others tried
                    tries.giveBack(address);
                }
            }
            if (outcome != Outcome.IN) {
                throw codeAsked(outcome);
            }
        }
        tries.forget(counted);
        browsers.remember(request, response, whose.orElseThrow().id());
        Authentication who =
                UsernamePasswordAuthenticationToken.authenticated(whose.get().login(), null, List.of());
        signedIn(who, request, response);
        return session(who);
    }

    private Outcome outcome(SignIn given, Optional<AccountStore.Secret> whose) {
        if (!isRight(given, whose)) {
            return Outcome.WRONG;
        }
        if (!secondFactor.isOn(whose.orElseThrow().id())) {
            return Outcome.IN;
        }
        if (given.code() == null || given.code().isBlank()) {
            return Outcome.CODE_WANTED;
        }
        return secondFactor.use(whose.get().id(), given.code()) ? Outcome.IN : Outcome.CODE_WRONG;
    }

    /** Takes as long for a name that is not there. */
    private boolean isRight(SignIn given, Optional<AccountStore.Secret> whose) {
        return passwords.isRight(
                        given.password(),
                        whose.map(AccountStore.Secret::passwordHash).orElseGet(passwords::nobodys))
                && whose.isPresent();
    }

    /**
     * Lets somebody in whose name others have slowed down, by password and code together. Both have to be right, nothing is said of
     * which was wrong, and tries with the right password are counted apart, where nobody without it can get at them.
     */
    private boolean secondFactorOpens(AccountStore.Secret whose, SignIn given, String network) {
        Tries.What way = Tries.What.secondWay(network);
        Tries.What factor = Tries.What.secondFactor(whose.id());
        boolean opens = given.code() != null
                && !given.code().isBlank()
                && tries.take(way).isZero()
                && isRight(given, Optional.of(whose))
                && secondFactor.isOn(whose.id())
                && tries.take(factor).isZero()
                && secondFactor.use(whose.id(), given.code());
        if (opens) {
            tries.giveBack(way);
            tries.forget(factor);
        }
        return opens;
    }

    private static ErrorResponseException slowDown(Duration wait) {
        ErrorResponseException slow = problem(
                HttpStatus.TOO_MANY_REQUESTS,
                Tries.words(wait)
                        + " A browser from which you have signed in before does not wait for others, nor does who gives the code of a second factor.");
        slow.getHeaders().set(HttpHeaders.RETRY_AFTER, Long.toString(wait.toSeconds()));
        return slow;
    }

    private static ErrorResponseException codeAsked(Outcome outcome) {
        ErrorResponseException asked = problem(
                HttpStatus.UNAUTHORIZED,
                outcome == Outcome.CODE_WANTED
                        ? "Give the code that your telephone shows, or one of your codes on paper."
                        : "This code is wrong, or was used already. Wait for the next one.");
        asked.getBody().setProperty("secondFactor", true);
        return asked;
    }

    private void signedIn(Authentication who, HttpServletRequest request, HttpServletResponse response) {
        Sessions.began(request.getSession(true), request);
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(who);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }

    private static ErrorResponseException problem(HttpStatus status, String text) {
        return new ErrorResponseException(status, ProblemDetail.forStatusAndDetail(status, text), null);
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        Optional.ofNullable(request.getSession(false)).ifPresent(session -> session.invalidate());
        SecurityContextHolder.clearContext();
    }

    @PostMapping("/api/first-account")
    @Transactional
    public ResponseEntity<Void> firstAccount(@Valid @RequestBody FirstAccount given) {
        String hash = passwords.hash(given.login(), given.password());
        if (!accounts.isEmpty() || !accounts.useFirstAccountLink(Passwords.hashOf(given.token()))) {
            throw new Refused("This link has been used or is not the newest. Start the server again for a new one.");
        }
        long account = accounts.addAccount(given.login(), given.name(), hash);
        accounts.setAdministrator(account);
        accounts.addMember(account, accounts.addClub(given.group()), Role.COORDINATOR, null);
        return ResponseEntity.noContent().build();
    }
}
