package org.wache.server.releases;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.wache.server.lists.ListTaking;
import org.wache.server.radios.Contents;
import org.wache.server.web.Unjudgeable;

/** How a group's releases stand: what speaks against them, which lists are on their way out, which radios are behind. */
@Component
public class ReleaseOverview {

    private final ReleaseStore store;
    private final ReleaseWatch watch;
    private final Gating gating;
    private final Releases releases;
    private final ListTaking lists;
    private final Contents contents;

    ReleaseOverview(
            ReleaseStore store,
            ReleaseWatch watch,
            Gating gating,
            Releases releases,
            ListTaking lists,
            Contents contents) {
        this.contents = contents;
        this.releases = releases;
        this.store = store;
        this.watch = watch;
        this.gating = gating;
        this.lists = lists;
    }

    /** The whole. */
    public record Overview(
            List<Against> against, List<Waiting> waiting, List<Behind> behind, List<NotTheirs> notTheirs) {}

    /** A release in use against which something speaks; recall when it must not be used any longer. */
    public record Against(long release, String name, int number, boolean recall, String first) {}

    /**
     * A list on its way out: it was released before and changed since, or all but the signature is there.
     *
     * @param released number of its newest release; 0 for none
     * @param missing what is in the way; nothing when it can go out
     * @param onlySignature whether only the second person's word is
     * @param lastChangeBy the account of whoever changed it last, and so may not sign
     * @param state of the list, as what is signed is told apart
     */
    public record Waiting(
            long list,
            String name,
            int released,
            List<String> missing,
            boolean onlySignature,
            String lastChange,
            long lastChangeBy,
            String state) {}

    /** Radios that have something other than the release in use of their list, or nothing although a release is for their model. */
    public record Behind(long listId, String list, State state, List<String> radios) {}

    /** A radio that talks where whoever has it may not: on how many entries, and why on the first. */
    public record NotTheirs(long unit, String label, String person, long listId, int entries, String first) {}

    /** What is in radios that are behind. */
    public enum State {
        RECALLED,
        OLDER,
        NOTHING
    }

    /** How it stands for a group that the account may see. */
    public Overview of(long account, long club) {
        List<ReleaseStore.Head> standing = store.standing(club);
        List<Against> against = new ArrayList<>();
        for (ReleaseStore.Head head : standing) {
            List<ReleaseWatch.Reason> reasons = watch.reasons(head);
            boolean recall = reasons.stream().anyMatch(ReleaseWatch.Reason::recall);
            reasons.stream()
                    .filter(reason -> reason.recall() == recall)
                    .findFirst()
                    .ifPresent(first -> against.add(new Against(
                            head.id(),
                            head.name(),
                            head.number(),
                            recall,
                            ("entry " + first.number() + " " + first.name()).strip() + ". " + first.message())));
        }
        return new Overview(against, waiting(account, club), behind(club, standing), notTheirs(club));
    }

    /** A release in use, and whether it stands as it went out. */
    public record Stands(long release, String name, int number, boolean stands) {}

    /** The releases in use of a group. */
    public List<Stands> standing(long club) {
        return store.standing(club).stream()
                .map(head -> new Stands(
                        head.id(),
                        head.name(),
                        head.number(),
                        watch.reasons(head).stream().noneMatch(ReleaseWatch.Reason::recall)))
                .toList();
    }

    private List<NotTheirs> notTheirs(long club) {
        Map<Long, Contents.InHand> hands = contents.inHands(club);
        return store.loads(club).stream()
                .filter(load -> hands.containsKey(load.unit())
                        && !hands.get(load.unit()).notTheirs().isEmpty())
                .map(load -> {
                    List<Contents.NotTheirs> entries = hands.get(load.unit()).notTheirs();
                    return new NotTheirs(
                            load.unit(),
                            load.label(),
                            load.carrier(),
                            load.list(),
                            entries.size(),
                            (entries.get(0).number() + " " + entries.get(0).name()).strip() + ". "
                                    + entries.get(0).message());
                })
                .toList();
    }

    /** The lists on their way out of a group that the account may see. */
    public List<Waiting> waiting(long account, long club) {
        List<Waiting> waiting = new ArrayList<>();
        for (ListTaking.OnTheWay list : lists.onTheWay(account, club)) {
            Optional<ReleaseStore.Head> newest = store.newest(list.list());
            Gating.Brief brief;
            try {
                brief = gating.brief(account, list.list());
            } catch (Unjudgeable problem) {
                continue; // its own row says so
            }
            boolean changed =
                    newest.map(head -> head.isRecalled() || brief.differs()).orElse(false);
            if (changed || newest.isEmpty() && brief.complete()) {
                waiting.add(new Waiting(
                        list.list(),
                        brief.name(),
                        newest.map(ReleaseStore.Head::number).orElse(0),
                        brief.missing(),
                        brief.complete() && !brief.signed(),
                        brief.lastChange(),
                        brief.lastChangeBy(),
                        brief.state()));
            }
        }
        return waiting;
    }

    private List<Behind> behind(long club, List<ReleaseStore.Head> standing) {
        Map<List<Object>, List<String>> radios = new LinkedHashMap<>();
        Map<String, ReleaseStore.Head> forModel = new LinkedHashMap<>();
        standing.forEach(head -> releases.file(head.id())
                .models()
                .forEach(model -> forModel.putIfAbsent(model.radio().model().name(), head)));
        for (ReleaseStore.Loaded load : store.loads(club)) {
            if (load.release() != null && standing.stream().noneMatch(head -> head.id() == load.release())) {
                boolean recalled = store.one(load.release())
                        .map(ReleaseStore.Head::isRecalled)
                        .orElse(false);
                radios.computeIfAbsent(
                                List.of(load.list(), load.listName(), recalled ? State.RECALLED : State.OLDER),
                                any -> new ArrayList<>())
                        .add(load.label());
            } else if (load.at() == null && forModel.containsKey(load.model())) {
                ReleaseStore.Head head = forModel.get(load.model());
                radios.computeIfAbsent(List.of(head.list(), head.name(), State.NOTHING), any -> new ArrayList<>())
                        .add(load.label());
            }
        }
        return radios.entrySet().stream()
                .map(each -> new Behind(
                        (Long) each.getKey().get(0),
                        (String) each.getKey().get(1),
                        (State) each.getKey().get(2),
                        each.getValue()))
                .toList();
    }
}
