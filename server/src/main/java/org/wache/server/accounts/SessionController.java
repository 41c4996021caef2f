package org.wache.server.accounts;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
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
import org.wache.server.problems.Refused;

/** Signing in and out, and the very first account. */
@RestController
class SessionController {

  private final AccountStore accounts;
  private final AuthenticationManager authentication;
  private final SecurityContextRepository contexts;
  private final Passwords passwords;
  private final SecondFactor secondFactor;
  private final Clock clock;

  SessionController(AccountStore accounts, AuthenticationManager authentication, SecurityContextRepository contexts,
      Passwords passwords, SecondFactor secondFactor, Clock clock) {
    this.accounts = accounts;
    this.authentication = authentication;
    this.contexts = contexts;
    this.passwords = passwords;
    this.secondFactor = secondFactor;
    this.clock = clock;
  }

  /** Who is signed in, and their groups; without an account nobody is. */
  record Session(@Schema(nullable = true) Optional<Account> account, List<Club> groups) {}

  /** Name and password, and the code of the second factor once it is asked for. */
  record SignIn(@NotBlank @Size(max = 200) String login, @NotBlank @Size(max = 200) String password, @Schema(nullable = true) @Size(max = 40) String code) {}

  record FirstAccount(@NotBlank String token, @NotBlank @Size(max = 200) String login,
      @NotBlank @Size(max = 200) String name, @NotBlank @Size(max = 200) String password,
      @NotBlank @Size(max = 200) String group) {}

  @GetMapping("/api/session")
  Session session(Principal principal) {
    return Optional.ofNullable(principal).flatMap(who -> accounts.account(who.getName()))
        .map(account -> new Session(Optional.of(account), accounts.clubs(account.id())))
        .orElse(new Session(Optional.empty(), List.of()));
  }

  @PostMapping("/api/session")
  Session signIn(@Valid @RequestBody SignIn given, HttpServletRequest request, HttpServletResponse response) {
    Instant now = clock.instant();
    Duration wait = accounts.wait(given.login(), now);
    if (!wait.isZero()) {
      throw problem(HttpStatus.TOO_MANY_REQUESTS, "Too many failures for this name. Try again in "
          + Math.max(1, wait.toSeconds()) + " s.");
    }
    try {
      Authentication who = authentication.authenticate(
          UsernamePasswordAuthenticationToken.unauthenticated(given.login(), given.password()));
      if (!secondFactorGiven(given, now)) {
        ErrorResponseException asked = problem(HttpStatus.UNAUTHORIZED, given.code() == null || given.code().isBlank()
            ? "Give the code that your telephone shows, or one of your codes on paper."
            : "This code is wrong, or was used already. Wait for the next one.");
        asked.getBody().setProperty("secondFactor", true);
        throw asked;
      }
      accounts.succeeded(given.login());
      signedIn(who, request, response);
      return session(who);
    } catch (AuthenticationException e) {
      accounts.failed(given.login(), now);
      throw problem(HttpStatus.UNAUTHORIZED, "Name and password do not belong together.");
    }
  }

  /** Whether the account wants no code, or the right one was given; a wrong one slows down the next try. */
  private boolean secondFactorGiven(SignIn given, Instant now) {
    long account = accounts.secret(given.login()).orElseThrow().id();
    if (!secondFactor.isOn(account)) {
      return true;
    }
    boolean asked = given.code() != null && !given.code().isBlank();
    boolean right = asked && secondFactor.use(account, given.code());
    if (asked && !right) {
      accounts.failed(given.login(), now);
    }
    return right;
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
    accounts.addMember(account, accounts.addClub(given.group()), "coordinator", null);
    return ResponseEntity.noContent().build();
  }
}
