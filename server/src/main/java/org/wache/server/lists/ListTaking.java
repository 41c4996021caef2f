package org.wache.server.lists;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import org.wache.audit.Audit;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.radio.Radio;
import org.wache.rulebook.Edition;
import org.wache.server.papers.PlaceArea;
import org.wache.server.web.Json;
import org.wache.server.web.Missing;

/** How other parts of the server make lists and add to them. */
@Component
public class ListTaking {

    private final ListService service;
    private final ListStore store;
    private final Audits audits;

    ListTaking(ListService service, ListStore store, Audits audits) {
        this.service = service;
        this.store = store;
        this.audits = audits;
    }

    /** Makes a list of which nothing else is known. */
    public long add(long account, long club, ChannelList list) {
        return service.add(account, club, list, service.initial(club));
    }

    /**
     * Adds entries to a list of this group.
     *
     * @return the key of the list
     */
    public long append(long account, long club, long list, ChannelList more) {
        if (store.head(account, list).filter(head -> head.clubId() == club).isEmpty()) {
            throw new Missing("The list");
        }
        service.append(account, list, more);
        return list;
    }

    /** The team that carries the list of the group that was changed last; empty where no team carries one. */
    public Optional<String> lastTeam(long club) {
        return store.lastTeam(club);
    }

    /** The services of which somebody in a team has a licence; nothing where nobody is in it. */
    public Optional<Set<String>> heldInTeam(long club, String team) {
        return held(store.inTeam(club, team));
    }

    /** The services of which somebody who carries a list has a licence; nothing where nobody carries it. */
    public Optional<Set<String>> heldFor(long list) {
        return held(store.carriers(List.of(list)).get(list));
    }

    private static Optional<Set<String>> held(List<RosterHolder> carriers) {
        return carriers.isEmpty()
                ? Optional.empty()
                : Optional.of(carriers.stream()
                        .flatMap(each -> Json.MAPPER.readTree(each.licences()).valueStream())
                        .map(licence -> licence.path("service").asString(""))
                        .collect(Collectors.toSet()));
    }

    /** Says which team carries a list of which nobody said that yet. */
    public void carriedBy(long account, long list, String team) {
        Views.CarrierChoice before =
                service.choice(store.head(account, list).orElseThrow(() -> new Missing("The list")));
        service.setCarriers(account, list, before, new Views.CarrierChoice(List.of(), List.of(), List.of(team)));
    }

    /** Where a list is used. */
    public Optional<PlaceArea> place(long account, long list) {
        ListService.Seen seen = service.seen(account, list);
        return Context.of(seen.source().parent().orElse(seen.head()).context())
                .settings()
                .place();
    }

    /** The rulebook that a list is held against, as it is today. */
    public Edition edition(long account, long list) {
        return service.seen(account, list).audited().audit().auditor().context().edition();
    }

    /** The entries of a list. */
    public List<Channel> channels(long account, long list) {
        return service.seen(account, list).audited().audit().list().channels();
    }

    /** Adds one entry behind the others, with the next free number; returns its key. */
    public long addEntry(long account, long list, Map<Field, String> fields) {
        int number = service.seen(account, list).audited().nextNumber();
        Map<String, String> after = new HashMap<>();
        fields.forEach((field, text) -> after.put(field.key(), text));
        after.put(Field.NUMBER.key(), Integer.toString(number));
        return service.change(
                        account,
                        list,
                        new Views.Changes(
                                0,
                                List.of(new Views.Change(
                                        ChangeKind.ADD, Optional.empty(), Optional.empty(), Map.of(), after)),
                                Optional.empty()))
                .added()
                .get(0);
    }

    /**
     * A list as it would go into one radio.
     *
     * @param ids the keys of the entries
     * @param held for each entry the message that holds it; empty where nothing does
     */
    public record InRadio(
            long club, String name, int version, ChannelList list, List<Long> ids, List<Optional<String>> held) {}

    /** A list's newest version, judged for its carriers with one radio. */
    public InRadio inRadio(long account, long list, Radio radio) {
        ListService.Seen seen = service.seen(account, list);
        Audit audit = audits.under(
                seen.source(), audits.context(seen.source(), audits.today()).forRadios(List.of(radio)));
        return new InRadio(
                seen.head().clubId(),
                seen.head().name(),
                seen.head().version(),
                audit.list(),
                seen.audited().stored().stream().map(ListStore.Stored::id).toList(),
                IntStream.range(0, audit.entries().size())
                        .mapToObj(i -> audit.findings(i).stream()
                                .filter(Finding::holds)
                                .findFirst()
                                .map(Finding::message))
                        .toList());
    }

    /** Where a list stands: what it is called, the list that it follows, or itself, and the version of that. */
    public record Place(long club, String name, long main, int version) {}

    /** Where a list of the account's stands. */
    public Place standing(long account, long list) {
        ListStore.Head head = store.head(account, list).orElseThrow(() -> new Missing("The list"));
        return new Place(
                head.clubId(),
                head.name(),
                head.parent().orElse(list),
                head.parent()
                        .flatMap(parent -> store.head(account, parent))
                        .orElse(head)
                        .version());
    }

    /** A list of a group, and the list that it follows, or itself. */
    public record InGroup(long list, String name, long main) {}

    /** The lists of a group. */
    public List<InGroup> ofGroup(long account, long club) {
        return store.heads(account, club).stream()
                .map(head -> new InGroup(head.id(), head.name(), head.parent().orElse(head.id())))
                .toList();
    }

    /** A list of a group that has radios chosen for it, so that somebody means to release it; variants go out with theirs. */
    public record OnTheWay(long list, int version) {}

    /** The lists of a group that somebody means to release. */
    public List<OnTheWay> onTheWay(long account, long club) {
        return store.heads(account, club).stream()
                .filter(head -> head.parent().isEmpty()
                        && head.shelf() == Shelf.IN_USE
                        && !head.radios().equals("[]"))
                .map(head -> new OnTheWay(head.id(), head.version()))
                .toList();
    }

    /** Makes sure that the account may see a list. */
    public void visible(long account, long list) {
        if (store.head(account, list).isEmpty()) {
            throw new Missing("The list");
        }
    }
}
