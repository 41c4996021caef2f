package org.wache.server.lists;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.CurePlan;
import org.wache.audit.Verdict;
import org.wache.channel.Channel;
import org.wache.licence.Holder;
import org.wache.channel.Difference;
import org.wache.server.accounts.WhoAsks;

/** Proposes the least intrusive cures of a whole list; what is taken of them goes the way of any other change. */
@RestController
class CurePlanController {

  private final ListService service;
  private final WhoAsks who;

  CurePlanController(ListService service, WhoAsks who) {
    this.service = service;
    this.who = who;
  }

  /** The proposal: what would change, and the entries for which nothing helps. */
  record ProposedCures(List<ProposedCure> cures, List<Uncured> left, Views.Counts before, Views.Counts after) {}

  /** One entry: the texts as they are and would be, what that means on the air, and the verdicts. */
  record ProposedCure(long entry, String number, String name, boolean drop, Map<String, String> before,
      Map<String, String> after, List<String> differences, List<String> labels, String verdictBefore,
      String verdictAfter) {}

  /** An entry that stays as it is, and those of its carriers who may key it all the same: no cure of the list silences them. */
  record Uncured(long entry, String number, String name, List<String> may) {}

  @GetMapping("/api/lists/{list}/cures")
  ProposedCures cures(Principal principal, @PathVariable long list, @RequestParam(defaultValue = "false") boolean queries) {
    Audited audited = service.seen(who.account(principal).id(), list).audited();
    CurePlan plan = CurePlan.of(audited.audit(),
        queries ? CurePlan.Scope.HOLDS_AND_QUERIES : CurePlan.Scope.HOLDS);
    List<ProposedCure> cures = plan.steps().stream().map(step -> cure(audited.stored().get(step.position()), step)).toList();
    List<Uncured> left = plan.left().stream().map(i -> new Uncured(audited.stored().get(i).id(), audited.stored().get(i).channel().number(),
        audited.stored().get(i).channel().name(), may(audited.audit(), i))).toList();
    return new ProposedCures(cures, left, DeskWriter.counts(audited.audit()), DeskWriter.counts(plan.after()));
  }

  private static List<String> may(Audit audit, int position) {
    List<Holder> holders = audit.auditor().context().holders();
    return audit.entry(position).channel().transmit().isEmpty() ? List.of() : IntStream.range(0, holders.size())
        .filter(i -> audit.judgement(position, i).verdict() != Verdict.HOLD).mapToObj(i -> holders.get(i).name()).toList();
  }

  private static ProposedCure cure(ListStore.Stored stored, CurePlan.Step step) {
    Channel channel = stored.channel();
    Map<String, String> before = step.changes().keySet().stream()
        .collect(Collectors.toMap(field -> field.key(), channel::text));
    Map<String, String> after = step.changes().entrySet().stream()
        .collect(Collectors.toMap(each -> each.getKey().key(), Map.Entry::getValue));
    return new ProposedCure(stored.id(), channel.number(), channel.name(), step.drop(), before, after,
        step.drop() ? List.of("leaves the list: it says again what an earlier entry says")
            : Difference.of(channel, channel.with(step.changes())),
        step.labels(), step.before().text(), step.after().text());
  }
}
