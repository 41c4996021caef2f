package org.wache.server.versions;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.channel.ChannelList;
import org.wache.compare.Item;
import org.wache.compare.ListDifference;
import org.wache.server.lists.Context;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Earlier versions of lists, copies of them, and what two of them have to do with each other. */
@Service
class Versions {

    private static final int MOST_PAST = 1_000;
    private static final int LOOK_BACK = 40;
    private static final JsonMapper JSON = Json.MAPPER;

    private final ListStore store;
    private final ListService service;

    Versions(ListStore store, ListService service) {
        this.store = store;
        this.service = service;
    }

    /** A list as it is or was, for a comparison. */
    record Stand(ListStore.Head head, int version, List<ListStore.Stored> stored) {

        List<Item> items(Map<Long, Long> origins) {
            return stored.stream()
                    .map(each -> new Item(Optional.of(origins.getOrDefault(each.id(), each.id())), each.channel()))
                    .toList();
        }
    }

    /** The changes of a list, the newest first. */
    List<ListStore.Past> past(long account, long list) {
        return store.past(service.source(account, list).head().id(), MOST_PAST);
    }

    /** A list in its newest version, or in an earlier one. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Stand stand(long account, long list, Optional<Integer> version) {
        ListService.Seen seen = service.seen(account, list);
        ListStore.Head head = seen.head();
        if (version.isEmpty() || version.get() == head.version()) {
            return new Stand(head, head.version(), seen.audited().stored());
        }
        if (head.parent().isPresent()) {
            throw new Refused(head.name() + " follows another list and has no versions of its own.");
        }
        return new Stand(
                head,
                version.get(),
                store.entriesAt(list, version.get())
                        .filter(any -> version.get() >= 1 && version.get() <= head.version())
                        .orElseThrow(() -> new Missing("Version " + version.get())));
    }

    /** What a change did, in words; of those of old only its kind is known. */
    static String words(ListStore.Past past) {
        return past.version() > 1 && !past.words().isEmpty() ? past.words() : words(past.what());
    }

    private static String words(String what) {
        JsonNode node = JSON.readTree(what);
        if (node.isArray()) {
            return changes(node);
        }
        if (node.has("made")) {
            return "the list as it came";
        }
        if (node.has("appended")) {
            return node.get("appended").asInt() + " entries added from a table";
        }
        return node.has("carriers")
                ? "who carries it"
                : node.has("settings")
                        ? "place and house rules"
                        : node.has("models")
                                ? "the radios it is for"
                                : node.has("name")
                                        ? "its name"
                                        : node.has("editionSeen")
                                                ? "looked at under the newest rules"
                                                : "something else";
    }

    private static String changes(JsonNode changes) {
        Map<String, Integer> counts = new java.util.LinkedHashMap<>();
        changes.forEach(each -> counts.merge(each.path("kind").asString(), 1, Integer::sum));
        if (counts.isEmpty()) {
            return "another order";
        }
        List<String> words = new ArrayList<>();
        counts.forEach((kind, count) -> words.add(count
                + (count == 1 ? " entry " : " entries ")
                + switch (kind) {
                    case "add" -> "added";
                    case "remove" -> "taken out";
                    case "restore" -> "brought back";
                    default -> "changed";
                }));
        return String.join(", ", words);
    }

    /** Makes a copy that knows what it is a copy of; of a variant too, which then has changes of its own. */
    @Transactional
    public long copy(long account, long list, String name) {
        ListService.Seen seen = service.seen(account, list);
        ListStore.Head origin = seen.source().parent().orElse(seen.head());
        ChannelList as = seen.audited().audit().list();
        long copy = service.add(
                account,
                seen.head().clubId(),
                new ChannelList(name, as.extraColumns(), as.channels()),
                Context.of(seen.head().context()));
        store.choose(copy, store.chosen(list));
        store.setCopied(copy, origin.id(), origin.version());
        store.setOrigins(
                copy, seen.audited().stored().stream().map(ListStore.Stored::id).toList());
        return copy;
    }

    /** What a merge is made of: what both began with, this list, and the other. */
    record Three(
            Stand base, Stand mine, Stand theirs, List<Item> baseItems, List<Item> mineItems, List<Item> theirItems) {}

    /** Finds what two lists have in common to merge them: the version that one was copied from, or a version named. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Three three(long account, long list, long other, Optional<Integer> baseVersion) {
        Stand mine = stand(account, list, Optional.empty());
        Stand theirs = stand(account, other, Optional.empty());
        if (mine.head().clubId() != theirs.head().clubId()) {
            throw new Missing("The other list");
        }
        Optional<ListStore.Copied> mineFrom = store.copied(list);
        Optional<ListStore.Copied> theirsFrom = store.copied(other);
        Stand base;
        if (baseVersion.isEmpty()
                && theirsFrom.filter(from -> from.from() == list).isPresent()) {
            base = stand(account, list, Optional.of(theirsFrom.get().version()));
        } else if (baseVersion.isEmpty()
                && mineFrom.filter(from -> from.from() == other).isPresent()) {
            base = stand(account, other, Optional.of(mineFrom.get().version()));
        } else if (baseVersion.isEmpty()
                && mineFrom.isPresent()
                && mineFrom.map(ListStore.Copied::from).equals(theirsFrom.map(ListStore.Copied::from))) {
            base = stand(
                    account,
                    mineFrom.get().from(),
                    Optional.of(
                            Math.min(mineFrom.get().version(), theirsFrom.get().version())));
        } else if (baseVersion.isPresent()) {
            base = stand(account, list, baseVersion);
        } else {
            base = likeliest(list, mine, theirs);
        }
        Map<Long, Long> mineOrigins = store.origins(list);
        Map<Long, Long> theirOrigins = store.origins(other);
        Map<Long, Long> baseOrigins =
                base.head().id() == list ? mineOrigins : base.head().id() == other ? theirOrigins : Map.of();
        return new Three(
                base, mine, theirs, base.items(baseOrigins), mine.items(mineOrigins), theirs.items(theirOrigins));
    }

    /** The version of this list that the other seems to have begun with; nothing when they have too little in common. */
    private Stand likeliest(long list, Stand mine, Stand theirs) {
        List<Item> other = theirs.stored().stream()
                .map(each -> new Item(Optional.empty(), each.channel()))
                .toList();
        Stand best = new Stand(mine.head(), 0, List.of());
        int fewest = other.size() / 2 + 1; // more than half has to be alike
        for (int version = mine.version(); version > Math.max(0, mine.version() - LOOK_BACK); version--) {
            Optional<List<ListStore.Stored>> stored =
                    mine.head().parent().isPresent() ? Optional.of(mine.stored()) : store.entriesAt(list, version);
            if (stored.isEmpty()) {
                break;
            }
            int differing = ListDifference.of(
                            stored.get().stream()
                                    .map(each -> new Item(Optional.empty(), each.channel()))
                                    .toList(),
                            other)
                    .rows()
                    .size();
            if (differing < fewest) {
                fewest = differing;
                best = new Stand(mine.head(), version, stored.get());
            }
        }
        return best;
    }

    /** After a merge: the copy now begins with its origin as it is. */
    @Transactional
    public void merged(long account, long list, long other) {
        ListStore.Head one = service.source(account, list).head();
        ListStore.Head two = service.source(account, other).head();
        if (store.copied(other).filter(from -> from.from() == list).isPresent()) {
            store.setCopied(other, list, one.version());
        } else if (store.copied(list).filter(from -> from.from() == other).isPresent()) {
            store.setCopied(list, other, two.version());
        }
    }

    Optional<ListStore.Copied> copied(long list) {
        return store.copied(list);
    }
}
