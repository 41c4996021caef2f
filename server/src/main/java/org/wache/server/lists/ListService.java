package org.wache.server.lists;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.ListLimits;
import org.wache.rulebook.Edition;
import org.wache.server.accounts.AccountStore;
import org.wache.server.papers.PapersJson;
import org.wache.server.radios.Fleet;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.server.web.Missing;
import org.wache.server.web.OneLineText;
import org.wache.server.web.Refused;
import org.wache.server.web.Stale;

/** Changes of lists: each is one transaction, and none overwrites what somebody else did meanwhile. */
@Service
public class ListService {

    private static final int MOST_NAMED = 4;

    private final Quota quota;
    private final ListStore store;
    private final AccountStore accounts;
    private final Audits audits;
    private final Rulebooks rulebooks;
    private final Fleet fleet;

    ListService(ListStore store, AccountStore accounts, Audits audits, Rulebooks rulebooks, Quota quota, Fleet fleet) {
        this.fleet = fleet;
        this.quota = quota;
        this.rulebooks = rulebooks;
        this.store = store;
        this.accounts = accounts;
        this.audits = audits;
    }

    @Transactional
    public long add(long account, long club, ChannelList list, Context context) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        if (list.channels().size() > ListLimits.KEPT.entries()) {
            throw new Refused("A list holds up to " + ListLimits.KEPT.entries() + " entries; this file has "
                    + list.channels().size() + ". Split it.");
        }
        list.channels().forEach(ListService::checked);
        quota.room(club, 1, list.channels());
        long id = store.add(
                club,
                account,
                context.json(),
                new ChannelList(OneLineText.of(list.name()), list.extraColumns(), list.channels()));
        store.setEditionSeen(id, edition(context).dates().id());
        return id;
    }

    /** The context of a new list of a group. */
    public Context initial(long club) {
        return Context.initial(rulebooks.idOfGroup(club));
    }

    /** The edition that a list with this context is held against today. */
    private Edition edition(Context context) {
        return rulebooks.of(context.rulebook()).on(audits.today());
    }

    /** PostgreSQL keeps no text with a zero character, and a field of a list is short. */
    private static void checked(Channel channel) {
        for (Field field : Field.values()) {
            checked(field.column(), channel.text(field));
        }
        channel.extras().forEach(text -> checked("a further column", text));
    }

    private static void checked(String what, String text) {
        if (text.length() > ListLimits.TEXT || text.indexOf('\0') >= 0 || text.indexOf('\u001F') >= 0) {
            throw new Refused("The text in " + what + " is longer than " + ListLimits.TEXT
                    + " characters, or holds control characters. Shorten or clean it.");
        }
    }

    /** A list and its entries at one moment, even while others change it. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Seen seen(long account, long list) {
        return seen(account, list, audits.today());
    }

    /** As {@link #seen}, held against the rules of a day. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public Seen seen(long account, long list, LocalDate day) {
        Source source = source(account, list);
        return new Seen(source, audits.of(source, day));
    }

    /** A list, and the one it follows. */
    public Source source(long account, long list) {
        ListStore.Head head = store.head(account, list).orElseThrow(() -> new Missing("The list"));
        return source(account, head);
    }

    /** As {@link #source}, if it is there. */
    public Optional<Source> find(long account, long list) {
        return store.head(account, list).map(head -> source(account, head));
    }

    /** All lists of a group. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public List<Source> sources(long account, long club) {
        if (!accounts.isMember(account, club)) {
            throw new Missing("The group");
        }
        List<ListStore.Head> heads = store.heads(account, club);
        Map<Long, ListStore.Head> byId = new HashMap<>();
        heads.forEach(head -> byId.put(head.id(), head));
        return heads.stream()
                .map(head -> new Source(head, head.parent().map(byId::get)))
                .toList();
    }

    private Source source(long account, ListStore.Head head) {
        return new Source(
                head, head.parent().map(parent -> store.head(account, parent).orElseThrow()));
    }

    /** A list as it was found. */
    public record Seen(Source source, Audited audited) {
        public ListStore.Head head() {
            return source.head();
        }
    }

    /** Who carries a list, as it was chosen. */
    public Views.CarrierChoice choice(ListStore.Head head) {
        ListStore.Chosen chosen = store.chosen(head.id());
        return new Views.CarrierChoice(Context.of(head.context()).carriers(), chosen.parties(), chosen.teams());
    }

    @Transactional
    public void setCarriers(long account, long list, Views.CarrierChoice before, Views.CarrierChoice after) {
        setCarriers(account, list, before, after, UnaryOperator.identity());
    }

    void setCarriers(
            long account,
            long list,
            Views.CarrierChoice before,
            Views.CarrierChoice after,
            UnaryOperator<ListChange> as) {
        ListStore.Head head = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        if (!choice(head).equals(before)) {
            throw new Stale(
                    "Somebody else changed who carries the list. Nothing was saved: look who it is now, and choose"
                            + " again.",
                    choice(head));
        }
        after.teams().forEach(team -> checked("the name of a team", team));
        Edition edition = edition(audits.placed(source(account, head)));
        after.carriers().forEach(carrier -> PapersJson.check(carrier.licences(), edition));
        store.setContext(list, Context.of(head.context()).with(after.carriers()).json());
        if (store.choose(list, new ListStore.Chosen(after.parties(), after.teams()))
                < Set.copyOf(after.parties()).size()) {
            throw new Missing("Somebody whom you chose from the roster");
        }
        store.advance(
                head,
                account,
                as.apply(ListChange.of("carriers", "carried by " + carried(head.clubId(), after), before, after)
                        .logged(named(before), named(after))));
    }

    private static Map<String, Object> named(Views.CarrierChoice choice) {
        return Map.of(
                "named",
                choice.carriers().stream().map(Views.Carrier::name).toList(),
                "parties",
                choice.parties(),
                "teams",
                choice.teams());
    }

    private String carried(long club, Views.CarrierChoice choice) {
        Map<Long, String> names =
                store.roster(club).stream().collect(Collectors.toMap(RosterHolder::party, RosterHolder::name));
        List<String> all = new ArrayList<>(choice.teams());
        choice.parties().forEach(party -> all.add(names.getOrDefault(party, "somebody")));
        choice.carriers().forEach(carrier -> all.add(carrier.name()));
        return all.isEmpty()
                ? "nobody"
                : all.size() > MOST_NAMED
                        ? String.join(", ", all.subList(0, MOST_NAMED)) + " and " + (all.size() - MOST_NAMED) + " more"
                        : String.join(", ", all);
    }

    /** Chooses the radios that a list is for, and is held against. */
    @Transactional
    public void setMeant(long account, long list, Meant before, Meant after) {
        setMeant(account, list, before, after, UnaryOperator.identity());
    }

    void setMeant(long account, long list, Meant before, Meant after, UnaryOperator<ListChange> as) {
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        if (!store.meant(list).same(before)) {
            throw new Stale(
                    "Somebody else chose other radios for this list. Nothing was saved: look which they are now, and choose again.",
                    store.meant(list));
        }
        after.settings().forEach(setting -> fleet.settable(head.clubId(), setting.model(), setting.lock()));
        if (store.setMeant(list, after)
                < Set.copyOf(after.settings()).size()
                        + Set.copyOf(after.units()).size()) {
            throw new Missing("A radio that you chose");
        }
        List<String> names = Stream.concat(
                        after.settings().stream()
                                .map(each -> fleet.setting(head.clubId(), each.model(), each.lock(), each.inhibited())
                                        .words()),
                        after.units().stream()
                                .map(unit -> fleet.unitOf(unit).radio().label().orElse("")))
                .toList();
        store.advance(
                head,
                account,
                as.apply(ListChange.of(
                        "models",
                        names.isEmpty() ? "for no radio" : "for " + String.join("; ", names),
                        before,
                        after)));
    }

    @Transactional
    public void setSettings(long account, long list, Views.Settings before, Views.Settings after) {
        setSettings(account, list, before, after, UnaryOperator.identity());
    }

    void setSettings(
            long account, long list, Views.Settings before, Views.Settings after, UnaryOperator<ListChange> as) {
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        Context now = Context.of(head.context());
        if (!now.settings().equals(before.in(now.rulebook()))) {
            throw new Stale(
                    "Somebody else changed the place or the house rules of this list. Nothing was saved: look at"
                            + " what is there now, and change it again.",
                    now.settings());
        }
        store.setContext(list, now.with(after).json());
        store.advance(head, account, as.apply(ListChange.of("settings", "place and house rules", before, after)));
    }

    /** Says what of a list is keyed together at one site. */
    @Transactional
    public void setKeying(long account, long list, Views.Keyed before, Views.Keyed after) {
        setKeying(account, list, before, after, UnaryOperator.identity());
    }

    void setKeying(long account, long list, Views.Keyed before, Views.Keyed after, UnaryOperator<ListChange> as) {
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        Context now = Context.of(head.context());
        if (!now.keyed().equals(before)) {
            throw new Stale(
                    "Somebody else changed what is keyed together in this list. Nothing was saved: look at what is there now, and choose again.",
                    now.keyed());
        }
        after.bases().forEach(base -> checked("the name of a base", base.name()));
        store.setContext(list, now.with(after).json());
        store.advance(
                head, account, as.apply(ListChange.of("keying", "what is keyed together on site", before, after)));
    }

    /** Makes a list that follows this one, for others. */
    @Transactional
    public long addVariant(long account, long list, String name, Views.CarrierChoice choice) {
        ListStore.Head parent = own(store.head(account, list).orElseThrow(() -> new Missing("The list")), account);
        checked("the name", name);
        choice.teams().forEach(team -> checked("the name of a team", team));
        Edition edition = edition(audits.placed(source(account, parent)));
        choice.carriers().forEach(carrier -> PapersJson.check(carrier.licences(), edition));
        ListStore.Head locked = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        long id = store.addVariant(
                parent,
                account,
                name,
                Context.initial(audits.rulebook(source(account, parent)))
                        .with(choice.carriers())
                        .json());
        if (store.choose(id, new ListStore.Chosen(choice.parties(), choice.teams()))
                < Set.copyOf(choice.parties()).size()) {
            throw new Missing("Somebody whom you chose from the roster");
        }
        store.advance(locked, account, ListChange.of("variant", "the variant " + name + " made", 0, id));
        return id;
    }

    /**
     * Moves some who carry a list to a variant of it: what they may not key only listens there, and the others keep the list as it is.
     *
     * @param names the carriers who move
     * @param variant the variant that they carry from now on; empty for a new one of the given name
     * @return the key of the variant
     */
    @Transactional
    public long move(long account, long list, List<String> names, Optional<Long> variant, String name) {
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        Views.CarrierChoice now = choice(head);
        List<RosterHolder> roster = store.carriers(List.of(list)).get(list);
        List<Long> moved = roster.stream()
                .filter(each -> names.contains(each.name()))
                .map(RosterHolder::party)
                .toList();
        List<Views.Carrier> named = now.carriers().stream()
                .filter(each -> names.contains(each.name()))
                .toList();
        if (moved.isEmpty() && named.isEmpty()) {
            throw new Refused("None of them carries the list any longer. Look at who carries it now.");
        }
        // A team of which somebody moves is told by its other members from now on.
        List<String> broken = now.teams().stream()
                .filter(team -> roster.stream()
                        .anyMatch(each ->
                                moved.contains(each.party()) && each.teams().contains(team)))
                .toList();
        List<Long> staying = Stream.concat(
                        now.parties().stream(),
                        roster.stream()
                                .filter(each -> each.teams().stream().anyMatch(broken::contains))
                                .map(RosterHolder::party))
                .filter(party -> !moved.contains(party))
                .distinct()
                .toList();
        Views.CarrierChoice rest = new Views.CarrierChoice(
                now.carriers().stream().filter(each -> !named.contains(each)).toList(),
                staying,
                now.teams().stream().filter(team -> !broken.contains(team)).toList());
        if (rest.carriers().isEmpty()
                && rest.parties().isEmpty()
                && rest.teams().isEmpty()) {
            throw new Refused(
                    "Then nobody would carry the list itself. Change the list, or give it other carriers first.");
        }
        long to = variant.orElseGet(
                () -> addVariant(account, list, name, new Views.CarrierChoice(named, moved, List.of())));
        variant.ifPresent(each -> {
            ListStore.Head other = store.lockedHead(account, each)
                    .filter(found -> found.parent().equals(Optional.of(list)))
                    .orElseThrow(() -> new Missing("The variant"));
            Views.CarrierChoice theirs = choice(other);
            setCarriers(
                    account,
                    each,
                    theirs,
                    new Views.CarrierChoice(
                            Stream.concat(theirs.carriers().stream(), named.stream())
                                    .toList(),
                            Stream.concat(theirs.parties().stream(), moved.stream())
                                    .distinct()
                                    .sorted()
                                    .toList(),
                            theirs.teams()));
        });
        setCarriers(account, list, now, rest);
        return to;
    }

    /** Takes a variant out, or brings it back. */
    void setVariantOut(long account, long list, long variant, boolean out, UnaryOperator<ListChange> as) {
        ListStore.Head head = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        store.setShelf(variant, out ? Shelf.DELETED : Shelf.IN_USE);
        store.advance(
                head,
                account,
                as.apply(ListChange.of(
                        out ? "variantOut" : "variant",
                        "the variant " + store.nameOf(variant) + (out ? " taken out" : " brought back"),
                        0,
                        variant)));
    }

    /** Notes that somebody has looked at what the edition of today changes in a list. */
    @Transactional
    public void seenEdition(long account, long list) {
        ListStore.Head head = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        String now = edition(audits.placed(source(account, head))).dates().id();
        store.setEditionSeen(list, now);
        store.advance(
                head,
                account,
                ListChange.of(
                        "editionSeen",
                        "looked at under the newest rules",
                        head.editionSeen().orElse(""),
                        now));
    }

    /** A variant has no entries and no place of its own. */
    private ListStore.Head own(ListStore.Head head, long account) {
        if (head.parent().isPresent()) {
            throw new Refused(head.name() + " follows "
                    + store.head(account, head.parent().get()).orElseThrow().name()
                    + ". Change it there: this one changes with it.");
        }
        return head;
    }

    @Transactional
    public void rename(long account, long list, Optional<String> before, String name) {
        rename(account, list, before, name, UnaryOperator.identity());
    }

    void rename(long account, long list, Optional<String> before, String name, UnaryOperator<ListChange> as) {
        ListStore.Head head = store.lockedHead(account, list).orElseThrow(() -> new Missing("The list"));
        if (before.filter(text -> !text.equals(head.name())).isPresent()) {
            throw new Stale(
                    "Somebody else gave the list another name since: " + head.name() + ". Nothing was done.",
                    head.name());
        }
        checked("the name", name);
        store.setName(list, name);
        store.advance(
                head,
                account,
                as.apply(ListChange.of("name", "called " + name + ", no longer " + head.name(), head.name(), name)));
    }

    /** What changes came to: the entries added, or the conflicts on account of which nothing was changed. */
    public record Outcome(List<Long> added, List<Views.ConflictingEntry> conflicts) {}

    /**
     * Makes changes that were begun on an older version. A field that somebody else changed to something else since is a
     * conflict, and then nothing is changed.
     */
    @Transactional
    public Outcome change(long account, long list, Views.Changes changes) {
        return change(account, list, changes, UnaryOperator.identity());
    }

    Outcome change(long account, long list, Views.Changes changes, UnaryOperator<ListChange> as) {
        List<Views.Change> adding = changes.changes().stream()
                .filter(change -> change.kind() == ChangeKind.ADD || change.kind() == ChangeKind.RESTORE)
                .toList();
        if (adding.size() > 1) { // a press adds one entry; what adds many is held to what a group may keep
            quota.room(
                    group(account, list),
                    0,
                    adding.stream()
                            .map(change -> Channel.of(fields(change.after())))
                            .toList());
        }
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        List<Views.ConflictingEntry> conflicts = new ArrayList<>();
        Map<Long, ListStore.Stored> stored = new HashMap<>();
        for (Views.Change change : changes.changes()) {
            change.entry().ifPresent(entry -> conflict(change, stored.computeIfAbsent(entry, id -> found(list, id)))
                    .ifPresent(conflicts::add));
        }
        if (!conflicts.isEmpty()) {
            return new Outcome(List.of(), conflicts);
        }
        int version = head.version() + 1;
        List<Long> added = new ArrayList<>();
        List<ListChange.Of> told = new ArrayList<>();
        for (Views.Change change : changes.changes()) {
            Channel was =
                    change.entry().map(entry -> found(list, entry).channel()).orElse(null);
            apply(list, version, change).ifPresent(added::add);
            told.add(new ListChange.Of(
                    change.kind(),
                    was,
                    change.kind() == ChangeKind.REMOVE || change.kind() == ChangeKind.RESTORE
                            ? was
                            : (was == null ? Channel.of(Map.of()) : was).with(fields(change.after()))));
        }
        if (!adding.isEmpty() && store.order(list).size() > ListLimits.KEPT.entries()) {
            throw new Refused("A list holds up to " + ListLimits.KEPT.entries()
                    + " entries; with these it would have more. Nothing was saved.");
        }
        boolean ordered = changes.order().isPresent();
        if (ordered) {
            arrange(list, changes.order().get());
        }
        store.advance(head, account, as.apply(ListChange.of(changes.changes(), told, ordered)));
        if (ordered || changes.changes().stream().anyMatch(change -> change.kind() != ChangeKind.EDIT)) {
            store.rememberOrder(list, version);
        }
        return new Outcome(added, List.of());
    }

    /** Puts the entries into another order, if they still are in the one that it was begun on. */
    private void arrange(long list, Views.Order order) {
        List<Long> now = store.order(list);
        if (!now.equals(order.before())) {
            throw new Stale(
                    "Somebody else added, moved or took out entries meanwhile. Nothing was saved: look at the list as it"
                            + " is now, and arrange it again.",
                    now);
        }
        if (order.after().size() != now.size() || !Set.copyOf(order.after()).equals(Set.copyOf(now))) {
            throw new Refused("The new order names other entries than the list has.");
        }
        store.arrange(order.after());
    }

    /** Adds entries behind the others; further columns that the list has not yet are added to it. */
    @Transactional
    public void append(long account, long list, ChannelList more) {
        quota.room(group(account, list), 0, more.channels());
        ListStore.Head head = own(store.lockedHead(account, list).orElseThrow(() -> new Missing("The list")), account);
        int already = store.order(list).size();
        if (already + more.channels().size() > ListLimits.KEPT.entries()) {
            throw new Refused("A list holds up to " + ListLimits.KEPT.entries() + " entries; with these it would have "
                    + (already + more.channels().size()) + ".");
        }
        List<String> columns = new ArrayList<>(head.extraColumns());
        more.extraColumns().stream().filter(column -> !columns.contains(column)).forEach(columns::add);
        if (columns.size() > ListLimits.FURTHER_COLUMNS) {
            throw new Refused("A list has up to " + ListLimits.FURTHER_COLUMNS
                    + " columns besides the known ones; with these it would have " + columns.size() + ".");
        }
        List<Channel> channels = more.channels().stream()
                .map(channel -> {
                    String[] extras = new String[columns.size()];
                    java.util.Arrays.fill(extras, "");
                    for (int i = 0; i < channel.extras().size(); i++) {
                        extras[columns.indexOf(more.extraColumns().get(i))] =
                                channel.extras().get(i);
                    }
                    return Channel.of(channel.texts(), List.of(extras));
                })
                .toList();
        channels.forEach(ListService::checked);
        int version = head.version() + 1;
        store.setExtraColumns(list, columns);
        store.addEntries(list, version, store.lastPosition(list) + 1, channels);
        store.advance(
                head,
                account,
                ListChange.of(
                        "appended",
                        channels.size() + (channels.size() == 1 ? " entry" : " entries") + " added from a table",
                        0,
                        channels.size()));
        store.rememberOrder(list, version);
    }

    /** The group of a list: what is held of a group is held before its lists are, so that no two wait for each other. */
    private long group(long account, long list) {
        return store.head(account, list)
                .orElseThrow(() -> new Missing("The list"))
                .clubId();
    }

    private ListStore.Stored found(long list, long entry) {
        return store.entry(list, entry).orElseThrow(() -> new Missing("The entry"));
    }

    private static Optional<Views.ConflictingEntry> conflict(Views.Change change, ListStore.Stored now) {
        Map<String, String> theirs = new HashMap<>();
        for (Map.Entry<String, String> before : change.before().entrySet()) {
            String current = now.channel().text(field(before.getKey()));
            boolean same = current.equals(before.getValue())
                    || Objects.equals(current, change.after().get(before.getKey()));
            if (!same) {
                theirs.put(before.getKey(), current);
            }
        }
        return theirs.isEmpty()
                ? Optional.empty()
                : Optional.of(new Views.ConflictingEntry(now.id(), now.channel().name(), change.after(), theirs));
    }

    private Optional<Long> apply(long list, int version, Views.Change change) {
        return switch (change.kind()) {
            case EDIT -> {
                ListStore.Stored now =
                        found(list, change.entry().orElseThrow(() -> new Refused("An edit names its entry.")));
                Channel edited = now.channel().with(fields(change.after()));
                checked(edited);
                store.edit(now.id(), version, edited);
                yield Optional.empty();
            }
            case REMOVE, RESTORE -> {
                ListStore.Stored now = found(list, change.entry().orElseThrow(() -> new Refused("Name the entry.")));
                store.setRemoved(now.id(), version, change.kind() == ChangeKind.REMOVE);
                yield Optional.empty();
            }
            case ADD -> {
                Channel channel = Channel.of(fields(change.after()));
                checked(channel);
                int behind = change.behind()
                        .map(entry -> store.position(found(list, entry).id()))
                        .orElseGet(() -> store.lastPosition(list));
                yield Optional.of(store.insert(list, behind, version, channel));
            }
        };
    }

    public static Map<Field, String> fields(Map<String, String> given) {
        Map<Field, String> fields = new EnumMap<>(Field.class);
        given.forEach((key, text) -> fields.put(field(key), text == null ? "" : text));
        return fields;
    }

    private static Field field(String key) {
        return Field.ofKey(key).orElseThrow(() -> new Refused("There is no field “" + key + "”."));
    }
}
