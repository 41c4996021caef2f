package org.wache.server.reach;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.channel.Channel;
import org.wache.reach.Reach;
import org.wache.server.lists.ListStore;
import org.wache.server.reach.ReachController.ReachLink;
import org.wache.server.reach.ReachController.ReachPerson;

/** Who reaches whom with a list as it was, by the places of people and entries. */
final class Reached {

    private final LocalDate day;
    private final List<ListStore.Stored> stored;
    private final List<ReachPerson> people;
    private final Reach reach;
    private final Map<String, Integer> places = new HashMap<>();
    private final Map<List<Integer>, Reach.Missing> missing = new HashMap<>();

    /** Names of people are all different. */
    Reached(LocalDate day, List<ListStore.Stored> stored, List<ReachPerson> people, List<String> names, Reach reach) {
        this.day = day;
        this.stored = stored;
        this.people = people;
        this.reach = reach;
        for (int i = 0; i < names.size(); i++) {
            places.put(names.get(i), i);
        }
        reach.missing().forEach(each -> missing.put(List.of(place(each.from()), place(each.to())), each));
    }

    private int place(String name) {
        return places.get(name);
    }

    LocalDate day() {
        return day;
    }

    List<Channel> channels() {
        return stored.stream().map(ListStore.Stored::channel).toList();
    }

    /** The keys of the entries. */
    List<Long> entries() {
        return stored.stream().map(ListStore.Stored::id).toList();
    }

    List<ReachPerson> people() {
        return people;
    }

    /** Who may key an entry. */
    List<Integer> talk(int entry) {
        return IntStream.range(0, people.size())
                .filter(one -> reach.means().get(one).talks().get(entry))
                .boxed()
                .toList();
    }

    /** Whose radios can be set to an entry. */
    List<Integer> hear(int entry) {
        return IntStream.range(0, people.size())
                .filter(one -> reach.means().get(one).hears().get(entry))
                .boxed()
                .toList();
    }

    List<ReachLink> links() {
        Map<String, List<Integer>> byNumber = new HashMap<>();
        for (int i = 0; i < stored.size(); i++) {
            byNumber.computeIfAbsent(stored.get(i).channel().number(), any -> new ArrayList<>())
                    .add(i);
        }
        return reach.links().stream()
                .map(link -> {
                    int from = place(link.from());
                    return new ReachLink(
                            from,
                            place(link.to()),
                            link.entries().stream()
                                    .distinct()
                                    .flatMap(number -> byNumber.getOrDefault(number, List.of()).stream())
                                    .filter(entry ->
                                            reach.means().get(from).talks().get(entry))
                                    .toList());
                })
                .toList();
    }

    List<Integer> alone() {
        return reach.alone().stream().map(this::place).toList();
    }

    /** Why one does not reach another. */
    Optional<Reach.Missing> missing(int from, int to) {
        return Optional.ofNullable(missing.get(List.of(from, to)));
    }
}
