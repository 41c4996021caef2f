package org.wache.server.proposals;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.Audit;
import org.wache.audit.Verdict;
import org.wache.audit.cure.CurePlan;
import org.wache.audit.finding.Change;
import org.wache.channel.Channel;
import org.wache.channel.Difference;
import org.wache.licence.Holder;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audited;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.RosterHolder;
import org.wache.server.lists.Views;

/** Proposes the least intrusive cures of a whole list; what is taken of them goes the way of any other change. */
@RestController
class CurePlanController {

    private final ListService service;
    private final ListStore store;

    CurePlanController(ListService service, ListStore store) {
        this.service = service;
        this.store = store;
    }

    /** The proposal: what would change, and the entries for which nothing helps. */
    record ProposedCures(
            List<ProposedCure> cures, List<Uncured> left, Rest rest, Views.Counts before, Views.Counts after) {}

    /** One entry: the texts as they are and would be, what that means on the air, and the verdicts. */
    record ProposedCure(
            long entry,
            String number,
            String name,
            boolean drop,
            Map<String, String> before,
            Map<String, String> after,
            List<String> differences,
            List<String> labels,
            Verdict verdictBefore,
            Verdict verdictAfter) {}

    /**
     * An entry that stays as it is: who may key it all the same, whom no cure of the list silences, and who may not. listenBefore and listenAfter
     * are the change by which it only listens for everybody.
     */
    record Uncured(
            long entry,
            String number,
            String name,
            List<String> may,
            List<String> mayNot,
            Map<String, String> listenBefore,
            Map<String, String> listenAfter) {}

    /** Who would carry a variant because they may not key what others may, and on how many entries they all could talk there. */
    record Rest(List<Whom> who, int talks) {}

    /** One of the carriers; party is their key in the roster, null for one that is named with the list. */
    record Whom(String name, @Schema(nullable = true) Long party) {}

    @GetMapping("/api/lists/{list}/cures")
    ProposedCures cures(
            Account asking, @PathVariable long list, @RequestParam(defaultValue = "false") boolean queries) {
        ListService.Seen seen = service.seen(asking.id(), list);
        Audited audited = seen.audited();
        CurePlan plan = CurePlan.of(
                audited.audit(),
                queries ? CurePlan.Scope.HOLDS_AND_QUERIES : CurePlan.Scope.HOLDS,
                !service.choice(seen.head()).nobody());
        List<ProposedCure> cures = plan.steps().stream()
                .map(step -> cure(audited.stored().get(step.position()), step))
                .toList();
        List<Uncured> left = plan.left().stream().map(i -> uncured(audited, i)).toList();
        return new ProposedCures(
                cures,
                left,
                rest(list, audited.audit(), left),
                DeskWriter.counts(audited.audit()),
                DeskWriter.counts(plan.after()));
    }

    private static Uncured uncured(Audited audited, int position) {
        Channel channel = audited.stored().get(position).channel();
        Map<String, String> before = new TreeMap<>();
        Map<String, String> after = new TreeMap<>();
        Change.listenOnly().fields().forEach((field, text) -> {
            before.put(field.key(), channel.text(field));
            after.put(field.key(), text);
        });
        boolean talks = channel.transmit().isPresent();
        return new Uncured(
                audited.stored().get(position).id(),
                channel.number(),
                channel.name(),
                talks ? holders(audited.audit(), position, false) : List.of(),
                talks ? holders(audited.audit(), position, true) : List.of(),
                before,
                after);
    }

    private static List<String> holders(Audit audit, int position, boolean held) {
        List<Holder> holders = audit.auditor().context().holders();
        return IntStream.range(0, holders.size())
                .filter(i -> audit.judgement(position, i).verdict() == Verdict.HOLD == held)
                .mapToObj(i -> holders.get(i).name())
                .toList();
    }

    private Rest rest(long list, Audit audit, List<Uncured> left) {
        Set<String> who = left.stream()
                .filter(each -> !each.may().isEmpty())
                .flatMap(each -> each.mayNot().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Map<String, Long> parties = store.carriers(List.of(list)).get(list).stream()
                .collect(Collectors.toMap(RosterHolder::name, RosterHolder::party, (one, other) -> one));
        List<Holder> holders = audit.auditor().context().holders();
        List<Integer> theirs = IntStream.range(0, holders.size())
                .filter(i -> who.contains(holders.get(i).name()))
                .boxed()
                .toList();
        int talks = (int) IntStream.range(0, audit.entries().size())
                .filter(i -> audit.entry(i).channel().transmit().isPresent()
                        && theirs.stream()
                                .allMatch(holder -> audit.judgement(i, holder).verdict() != Verdict.HOLD))
                .count();
        return new Rest(
                who.stream().map(name -> new Whom(name, parties.get(name))).toList(), talks);
    }

    private static ProposedCure cure(ListStore.Stored stored, CurePlan.Step step) {
        Channel channel = stored.channel();
        Map<String, String> before =
                step.changes().keySet().stream().collect(Collectors.toMap(field -> field.key(), channel::text));
        Map<String, String> after = step.changes().entrySet().stream()
                .collect(Collectors.toMap(each -> each.getKey().key(), Map.Entry::getValue));
        return new ProposedCure(
                stored.id(),
                channel.number(),
                channel.name(),
                step.drop(),
                before,
                after,
                step.drop()
                        ? List.of("leaves the list: it says again what an earlier entry says")
                        : Difference.of(channel, channel.with(step.changes())),
                step.labels(),
                step.before(),
                step.after());
    }
}
