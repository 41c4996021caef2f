package org.wache.server.tones;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.security.Principal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.WhoAsks;

/** What a group knows of tones. */
@RestController
class ToneKnowledgeController {

  private final ToneKnowledgeStore store;
  private final WhoAsks who;

  ToneKnowledgeController(ToneKnowledgeStore store, WhoAsks who) {
    this.store = store;
    this.who = who;
  }

  /** What is known, in its newest version. */
  record KnownTones(int version, ToneKnowledge knowledge) {}

  /** New knowledge, and the version it was begun on. */
  record KnownTonesChange(int before, @NotNull @Valid ToneKnowledge knowledge) {}

  @GetMapping("/api/groups/{group}/tones")
  KnownTones tones(Principal principal, @PathVariable long group) {
    ToneKnowledgeStore.Known known = store.known(who.account(principal).id(), group);
    return new KnownTones(known.version(), known.knowledge());
  }

  @PutMapping("/api/groups/{group}/tones")
  KnownTones setTones(Principal principal, @PathVariable long group, @Valid @RequestBody KnownTonesChange change) {
    store.put(who.account(principal).id(), group, change.before(), change.knowledge());
    return tones(principal, group);
  }
}
