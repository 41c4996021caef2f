package org.wache.server.home;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.wache.server.access.Role;
import org.wache.server.accounts.Account;
import org.wache.server.accounts.AccountStore;
import org.wache.server.background.Background;
import org.wache.server.lists.ListEffect;
import org.wache.server.lists.ListEffects;
import org.wache.server.web.Missing;

/** What wants attention in a group, worked out beside whoever asks: where there are a hundred releases, nobody waits until all are held against today. */
@Component
class Attention implements DisposableBean {

    private static final int KEPT = 2_000;
    private static final int AT_ONCE = 2;

    private final ListEffects effects;
    private final Todos todos;
    private final AccountStore accounts;
    private final Pulses pulses;
    private final Background<Whose> work;
    private final Cache<Whose, Known> known =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Attention(
            ListEffects effects,
            Todos todos,
            AccountStore accounts,
            Pulses pulses,
            @Value("${wache.patience-for-verdicts}") Duration patience) {
        this.effects = effects;
        this.todos = todos;
        this.accounts = accounts;
        this.pulses = pulses;
        this.work = new Background<>("attention", AT_ONCE, patience);
    }

    private record Whose(long account, long group) {}

    /** What was worked out, and the mark under which it holds. */
    private record Known(String mark, List<ListEffect> lists, List<Todos.Todo> todo) {}

    /**
     * What wants attention.
     *
     * @param lists that the edition in force changed, and that nobody looked at since
     * @param pending whether it is being worked out: then this is what was known a moment ago, or nothing yet
     */
    record Wanted(List<ListEffect> lists, List<Todos.Todo> todo, boolean pending) {}

    /** What wants the attention of somebody in a group of theirs. */
    Wanted of(Account asking, long group) {
        Role role = accounts.role(asking.id(), group).orElseThrow(() -> new Missing("The group"));
        Whose whose = new Whose(asking.id(), group);
        String mark = mark(asking, role, group);
        Known now = known.getIfPresent(whose);
        if (now == null || !now.mark().equals(mark)) {
            work.await(List.of(work.begin(whose, () -> workOut(asking, role, whose))));
            now = known.getIfPresent(whose);
        }
        return now == null
                ? new Wanted(List.of(), List.of(), true)
                : new Wanted(now.lists(), now.todo(), !now.mark().equals(mark));
    }

    /** Its mark is taken before anything is read: what changes meanwhile makes it be worked out again. */
    private void workOut(Account asking, Role role, Whose whose) {
        String mark = mark(asking, role, whose.group());
        known.put(
                whose,
                new Known(
                        mark,
                        effects.ofEdition(whose.account(), whose.group()),
                        todos.of(asking, role, whose.group())));
    }

    private String mark(Account asking, Role role, long group) {
        return String.join("\u001F", pulses.of(group).mark(), role.name(), asking.name());
    }

    @Override
    public void destroy() {
        work.close();
    }
}
