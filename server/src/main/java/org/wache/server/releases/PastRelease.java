package org.wache.server.releases;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.release.Gate;
import org.wache.server.accounts.Account;

/** A release that was made before somebody looks, as the demo has one: it passes the same gate, with the same two persons. */
@Component
public class PastRelease {

    private final Gating gating;

    PastRelease(Gating gating) {
        this.gating = gating;
    }

    /** Why queries of these rules may stand. */
    public record Reasons(Map<String, String> byRule) {}

    /** Waives queries of which the reason is known; those of other rules stay open. */
    public void waive(Account by, long list, Reasons reasons) {
        Map<String, List<String>> prints = new HashMap<>();
        gating.stand(by.id(), list).gate().matters().stream()
                .filter(Gate.Settled::open)
                .map(Gate.Settled::matter)
                .filter(matter -> reasons.byRule().containsKey(matter.rule().text()))
                .forEach(matter -> prints.computeIfAbsent(matter.rule().text(), any -> new ArrayList<>())
                        .add(matter.print()));
        prints.forEach((rule, of) -> gating.waive(by, list, of, reasons.byRule().get(rule), Optional.empty()));
    }

    /** Waives every query that is open, and every question of who reaches whom, for the same reason. */
    public void waiveAll(Account by, long list, String reason) {
        Gating.Stand stand = gating.stand(by.id(), list);
        List<String> prints = new ArrayList<>();
        stand.gate().matters().stream()
                .filter(Gate.Settled::open)
                .map(Gate.Settled::matter)
                .forEach(matter -> prints.add(matter.print()));
        stand.reach().stream()
                .filter(each -> each.waiver().isEmpty())
                .forEach(each -> prints.add(each.concern().print()));
        if (!prints.isEmpty()) {
            gating.waive(by, list, prints, reason, Optional.empty());
        }
    }

    /** Signs and releases a list as it is. */
    public long release(Account by, Account second, long list) {
        String state = gating.stand(by.id(), list).state();
        gating.sign(second, list, state, "");
        return gating.release(by, list, state);
    }
}
