package org.wache.server.accounts;

import java.security.Principal;
import org.springframework.stereotype.Component;
import org.wache.server.web.Missing;

/** The account behind a request. */
@Component
public class WhoAsks {

  private final AccountStore accounts;

  WhoAsks(AccountStore accounts) {
    this.accounts = accounts;
  }

  /** The account; the security chain has let only signed-in ones through. */
  public Account account(Principal principal) {
    return accounts.account(principal.getName()).orElseThrow(() -> new Missing("The account"));
  }
}
