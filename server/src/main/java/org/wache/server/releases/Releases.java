package org.wache.server.releases;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.wache.exchange.ReleaseFile;
import org.wache.server.lists.ListTaking;
import org.wache.server.web.Refused;

/** What other parts of the server ask of releases: only what was released goes into a radio. */
@Component
public class Releases {

    private final ReleaseStore store;
    private final ListTaking lists;

    Releases(ReleaseStore store, ListTaking lists) {
        this.store = store;
        this.lists = lists;
    }

    /**
     * A release that is in use.
     *
     * @param id its key
     * @param club the group
     * @param list key of the released list
     * @param name of the list
     * @param number which release of the list
     * @param version of the list that it froze
     * @param file everything of it
     */
    public record InUse(long id, long club, long list, String name, int number, int version, ReleaseFile file) {}

    /** A variant of a released list, or the list itself with an empty name, for one of the group's lists. */
    public record Chosen(InUse release, String variant) {

        /** What it is called. */
        public String name() {
            return variant.isEmpty() ? release.name() : variant;
        }
    }

    /**
     * The release of a list, or of the list that a variant follows, that is in use.
     *
     * @throws Refused when there is none
     */
    public Chosen ofList(long account, long list) {
        ListTaking.Place place = lists.standing(account, list);
        ReleaseStore.Head head = store.newest(place.main())
                .orElseThrow(() -> new Refused(place.name() + " was never released. Only what passed the gate"
                        + " goes into a radio: release it first."));
        if (head.isRecalled()) {
            throw new Refused("Release " + head.number() + " of " + head.name() + " was recalled: "
                    + head.recallReason() + " Release the list anew first.");
        }
        InUse release = inUse(head);
        String variant = place.main() == list ? "" : place.name();
        if (release.file().parts().stream().noneMatch(part -> part.name().equals(variant))) {
            throw new Refused(variant + " was not part of release " + head.number() + " of " + head.name()
                    + ". Release that list anew first.");
        }
        return new Chosen(release, variant);
    }

    /** A list of which a release is in use, or a variant that is part of one. */
    public record Released(long list, String name, int number) {}

    /** What of a group may go into radios, by name; a variant after the list that it follows. */
    public List<Released> inUse(long account, long club) {
        Map<Long, ReleaseStore.Head> standing =
                store.standing(club).stream().collect(Collectors.toMap(ReleaseStore.Head::list, Function.identity()));
        Map<Long, Set<String>> parts = new HashMap<>();
        standing.forEach((list, head) -> parts.put(
                list,
                file(head.id()).parts().stream().map(ReleaseFile.Part::name).collect(Collectors.toSet())));
        return lists.ofGroup(account, club).stream()
                .filter(each -> standing.containsKey(each.main())
                        && (each.list() == each.main() || parts.get(each.main()).contains(each.name())))
                .map(each -> new Released(
                        each.list(), each.name(), standing.get(each.main()).number()))
                .toList();
    }

    /** The number under which a list, as it is now, was released and is in use; a variant goes with the list that it follows. */
    public Optional<Integer> numberOf(long account, long list) {
        ListTaking.Place place = lists.standing(account, list);
        return store.newest(place.main())
                .filter(head -> !head.isRecalled() && head.version() == place.version())
                .map(ReleaseStore.Head::number);
    }

    /** The number under which a list went out last, if that is in use. */
    public Optional<Integer> lastOf(long list) {
        return store.newest(list).filter(head -> !head.isRecalled()).map(ReleaseStore.Head::number);
    }

    /** What is in the radios of a group, in words, by their keys; those into which nothing was put are not among them. */
    public Map<Long, String> inside(long club) {
        return store.loads(club).stream()
                .filter(load -> load.listName() != null)
                .collect(Collectors.toMap(
                        ReleaseStore.Loaded::unit,
                        load -> load.listName() + (load.number() == null ? "" : ", release " + load.number())));
    }

    private InUse inUse(ReleaseStore.Head head) {
        return new InUse(
                head.id(), head.club(), head.list(), head.name(), head.number(), head.version(), file(head.id()));
    }

    /** Everything of a release. */
    ReleaseFile file(long release) {
        return ReleaseFile.read(store.body(release).getBytes(StandardCharsets.UTF_8));
    }
}
