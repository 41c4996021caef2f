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
import org.wache.server.reach.ReachViews.ReachEntry;
import org.wache.server.reach.ReachViews.ReachGap;
import org.wache.server.reach.ReachViews.ReachLink;
import org.wache.server.reach.ReachViews.ReachPerson;
import org.wache.server.reach.ReachViews.ReachTable;
import org.wache.server.web.Missing;

/** Who reaches whom with a list as it was, by the places of people and entries. */
public final class Reached {

    private final LocalDate day;
    private final List<Entry> stored;
    private final List<String> numbers;
    private final List<ReachPerson> people;
    private final Reach reach;
    private final Map<String, Integer> places = new HashMap<>();
    private final Map<List<Integer>, Reach.Missing> missing = new HashMap<>();

    /** An entry of a list. */
    public record Entry(long list, ListStore.Stored stored) {}

    /**
     * Who reaches whom on a day.
     *
     * @param stored the entries of all lists, in their order
     * @param numbers how the study names them
     * @param names of the people, all different
     */
    Reached(
            LocalDate day,
            List<Entry> stored,
            List<String> numbers,
            List<ReachPerson> people,
            List<String> names,
            Reach reach) {
        this.day = day;
        this.stored = stored;
        this.numbers = numbers;
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

    /** The day it is for. */
    public LocalDate day() {
        return day;
    }

    /** The entries of all lists, in their order. */
    public List<Channel> channels() {
        return stored.stream().map(each -> each.stored().channel()).toList();
    }

    /** The same with their lists and keys. */
    public List<Entry> stored() {
        return stored;
    }

    /** The place of an entry among those of all lists; nothing when it is not there any more. */
    public Optional<Integer> place(long list, long entry) {
        return IntStream.range(0, stored.size())
                .filter(i ->
                        stored.get(i).list() == list && stored.get(i).stored().id() == entry)
                .boxed()
                .findFirst();
    }

    /** The entries, with who may key and who hears each. */
    List<ReachEntry> entries() {
        return IntStream.range(0, stored.size())
                .mapToObj(i -> new ReachEntry(
                        stored.get(i).list(),
                        stored.get(i).stored().id(),
                        stored.get(i).stored().channel().number(),
                        stored.get(i).stored().channel().name(),
                        talk(i),
                        hear(i)))
                .toList();
    }

    List<ReachPerson> people() {
        return people;
    }

    /** Who was asked about, by their keys in the roster, in the order of {@link #reach}. */
    public List<Long> parties() {
        return people.stream().map(ReachPerson::party).toList();
    }

    /** Their names, all different. */
    public List<String> names() {
        return people.stream().map(ReachPerson::name).toList();
    }

    /** As the study has it. */
    public Reach reach() {
        return reach;
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
            byNumber.computeIfAbsent(numbers.get(i), any -> new ArrayList<>()).add(i);
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

    /**
     * The whole, for the API.
     *
     * @param list the list; null for those of an operation
     */
    public ReachTable table(Long list, String name, Long parent, boolean everyone) {
        return new ReachTable(list, name, parent, day, everyone, entries(), people, links(), alone());
    }

    /** Why one does not reach another, by their places; nothing where they do, or nobody asked why. */
    public Optional<ReachGap> missing(int from, int to) {
        return Optional.ofNullable(missing.get(List.of(from, to)))
                .map(each -> new ReachGap(each.reasons(), each.least()));
    }

    /** As {@link #missing}, which has to be there. */
    public ReachGap gap(int from, int to) {
        return missing(from, to).orElseThrow(() -> new Missing("What is missing between these two"));
    }
}
