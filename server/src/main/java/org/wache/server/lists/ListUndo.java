package org.wache.server.lists;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.wache.channel.Channel;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The way back for everything that changes a list, whichever page it was done on: each undoing is a change of its own, and can
 * be undone again. Everyone undoes what they did themselves; what somebody else did over it meanwhile is never lost.
 */
@Service
public class ListUndo {

    private static final Duration LONG_AGO = Duration.ofDays(1);
    private static final JsonMapper JSON = Json.MAPPER;

    private final ListStore store;
    private final ListService service;
    private final Clock clock;

    ListUndo(ListStore store, ListService service, Clock clock) {
        this.store = store;
        this.service = service;
        this.clock = clock;
    }

    /** A change that can be undone, or done again: its version, and what it was. */
    public record Way(int version, String words) {}

    /** What is undone next, and what is done again next; null for nothing. */
    public record Ways(Way undo, Way redo) {}

    /** What an account can undo of a list, and do again. */
    @Transactional(readOnly = true)
    public Ways ways(long account, long list) {
        ListStore.Head head = service.source(account, list).head();
        Stacks stacks = Stacks.of(
                store.madeBy(account, head.id(), OffsetDateTime.now(clock).minus(LONG_AGO)));
        return new Ways(way(stacks.past.peek()), way(stacks.future.peek()));
    }

    private static Way way(ListStore.Made made) {
        return made == null
                ? null
                : new Way(made.version(), made.words().replaceFirst("^(Undone: |Done again: )+", ""));
    }

    /** Not that somebody has looked at a list or put it elsewhere, and not what was done before it was kept what it replaced. */
    private static boolean isUndoable(ListStore.Made made) {
        JsonNode what = JSON.readTree(made.what());
        return what.isArray()
                || what.has("appended")
                || made.back() != null && !what.has("editionSeen") && !what.has("shelf");
    }

    /** What was done and stands, and what was undone, the newest on top. */
    private record Stacks(Deque<ListStore.Made> past, Deque<ListStore.Made> future) {

        static Stacks of(List<ListStore.Made> made) {
            Stacks stacks = new Stacks(new ArrayDeque<>(), new ArrayDeque<>());
            for (ListStore.Made each :
                    made.stream().filter(ListUndo::isUndoable).toList()) {
                if (each.undoes() == null) {
                    stacks.past.push(each);
                    stacks.future.clear();
                } else if (stacks.past.removeIf(one -> one.version() == each.undoes())) {
                    stacks.future.push(each);
                } else if (stacks.future.removeIf(one -> one.version() == each.undoes())) {
                    stacks.past.push(each);
                }
            }
            return stacks;
        }
    }

    /**
     * Undoes what an account did last, or does again what it undid last.
     *
     * @param expected the version that is meant; empty for whichever is next
     */
    @Transactional
    public ListService.Outcome undo(long account, long list, boolean again, Optional<Integer> expected) {
        ListStore.Head head = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        Stacks stacks =
                Stacks.of(store.madeBy(account, list, OffsetDateTime.now(clock).minus(LONG_AGO)));
        ListStore.Made made = (again ? stacks.future : stacks.past).peek();
        if (made == null) {
            throw new Refused(
                    again
                            ? "There is nothing to do again."
                            : "There is nothing of yours to undo: it is over a day old, or others did it.");
        }
        if (expected.filter(version -> version != made.version()).isPresent()) {
            throw new Refused(
                    "You changed something else meanwhile, in another window. Look what is undone next, and press again.");
        }
        UnaryOperator<ListChange> as =
                again ? change -> change.again(made.version()) : change -> change.undoing(made.version());
        JsonNode what = JSON.readTree(made.what());
        if (what.isArray() || what.has("appended")) {
            return entries(account, head, made.version(), as);
        }
        facet(account, list, what, made, as);
        return new ListService.Outcome(List.of(), List.of());
    }

    /** What was done to entries and their order is put back, entry by entry, where nobody else changed it since. */
    private ListService.Outcome entries(long account, ListStore.Head head, int version, UnaryOperator<ListChange> as) {
        List<ListStore.Stored> before = store.entriesAt(head.id(), version - 1)
                .orElseThrow(() -> new Refused("How it was before is no longer known."));
        List<ListStore.Stored> after = store.entriesAt(head.id(), version)
                .orElseThrow(() -> new Refused("How it was before is no longer known."));
        Map<Long, Channel> old = new HashMap<>();
        before.forEach(each -> old.put(each.id(), each.channel()));
        List<Views.Change> changes = new ArrayList<>();
        Map<Long, Channel> now = new HashMap<>();
        for (ListStore.Stored each : after) {
            now.put(each.id(), each.channel());
            if (!old.containsKey(each.id())) {
                // If somebody wrote into it since, taking it out would lose that: it has to be as it was added.
                changes.add(
                        EntryChanges.of(ChangeKind.REMOVE, each.id(), EntryChanges.texts(each.channel()), Map.of()));
            } else if (!old.get(each.id()).equals(each.channel())) {
                changes.add(EntryChanges.edit(each.id(), each.channel(), old.get(each.id())));
            }
        }
        before.stream()
                .filter(each -> !now.containsKey(each.id()))
                .forEach(each -> changes.add(EntryChanges.of(ChangeKind.RESTORE, each.id(), Map.of(), Map.of())));
        List<Long> wanted = before.stream()
                .map(ListStore.Stored::id)
                .filter(now::containsKey)
                .toList();
        List<Long> kept = after.stream()
                .map(ListStore.Stored::id)
                .filter(old::containsKey)
                .toList();
        Optional<Views.Order> order = wanted.equals(kept) ? Optional.empty() : Optional.of(order(head, after, before));
        return service.change(account, head.id(), new Views.Changes(version, changes, order), as);
    }

    /** An order is put back only over the one that the change left. */
    private Views.Order order(ListStore.Head head, List<ListStore.Stored> after, List<ListStore.Stored> before) {
        List<Long> now = store.order(head.id());
        if (!now.equals(after.stream().map(ListStore.Stored::id).toList()) || before.size() != after.size()) {
            throw new Refused(
                    "Entries were added, moved or taken out since. The order before cannot be put back by itself: arrange the list anew.");
        }
        return new Views.Order(now, before.stream().map(ListStore.Stored::id).toList());
    }

    /** Who carries it, the radios, the place, and what else is not an entry: put back where it still is as the change left it. */
    private void facet(long account, long list, JsonNode what, ListStore.Made made, UnaryOperator<ListChange> as) {
        String kind = what.propertyNames().iterator().next();
        JsonNode left = what.path(kind);
        if (made.back() == null) {
            throw new Refused("This change was made before changes of that kind could be undone.");
        }
        JsonNode back = JSON.readTree(made.back());
        switch (kind) {
            case "carriers" ->
                service.setCarriers(
                        account, list, as(left, Views.CarrierChoice.class), as(back, Views.CarrierChoice.class), as);
            case "models" -> service.setMeant(account, list, as(left, Meant.class), as(back, Meant.class), as);
            case "settings" ->
                service.setSettings(account, list, as(left, Views.Settings.class), as(back, Views.Settings.class), as);
            case "keying" ->
                service.setKeying(account, list, as(left, Views.Keyed.class), as(back, Views.Keyed.class), as);
            case "name" -> service.rename(account, list, Optional.of(left.asString()), back.asString(), as);
            case "variant" -> service.setVariantOut(account, list, left.asLong(), true, as);
            case "variantOut" -> service.setVariantOut(account, list, left.asLong(), false, as);
            default -> throw new Refused("This cannot be undone.");
        }
    }

    private static <T> T as(JsonNode node, Class<T> type) {
        return JSON.treeToValue(node, type);
    }
}
