package org.wache.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.WhoAsks;
import org.wache.server.lists.ListStore;
import org.wache.server.web.Missing;

/** Who is on a list just now: a page says so every few seconds, and hears who else is, through the database. */
@RestController
class PresenceController {

  /** Who was not heard of for so long is gone. */
  private static final int GONE_S = 20;

  private final JdbcClient jdbc;
  private final ListStore store;
  private final WhoAsks who;

  PresenceController(JdbcClient jdbc, ListStore store, WhoAsks who) {
    this.jdbc = jdbc;
    this.store = store;
    this.who = who;
  }

  /** A page that shows a list: a key of its own, and the entry that is looked at. */
  record PageHere(@NotBlank @Size(max = 40) String page, @Schema(nullable = true) Long entry) {}

  /** How the list stands, and who else is on it. */
  record OthersHere(int version, String changedBy, List<OtherHere> others) {}

  /** Someone on the list; entry is the number and name of what they look at, empty for nothing; self in another window of one's own. */
  record OtherHere(String name, String entry, boolean self) {}

  @PutMapping("/api/lists/{list}/presence")
  @Transactional
  public OthersHere here(Principal principal, @PathVariable long list, @Valid @RequestBody PageHere page) {
    Account account = who.account(principal);
    ListStore.Head head = store.head(account.id(), list).orElseThrow(() -> new Missing("The list"));
    jdbc.sql("""
            insert into list_presence (list_id, account_id, page, entry_id) values (:list, :account, :page, :entry)
            on conflict (list_id, account_id, page) do update set entry_id = excluded.entry_id, seen_at = now()
            """)
        .param("list", list).param("account", account.id()).param("page", page.page()).param("entry", page.entry(), java.sql.Types.BIGINT).update();
    jdbc.sql("delete from list_presence where list_id = :list and seen_at < now() - make_interval(secs => :gone)").param("list", list).param("gone", GONE_S).update();
    return new OthersHere(head.version(), head.changedBy(), jdbc.sql("""
            select distinct account.name, coalesce(trim(entry.number || ' ' || entry.name), '') as entry, account.id = :account as self
            from list_presence join account on account.id = list_presence.account_id
            left join entry on entry.id = list_presence.entry_id and entry.list_id in (:list, :parent)
            where list_presence.list_id = :list and not (list_presence.account_id = :account and list_presence.page = :page)
            order by account.name, entry
            """)
        .param("list", list).param("parent", head.parent().orElse(list)).param("account", account.id()).param("page", page.page()).query(OtherHere.class).list());
  }
}
