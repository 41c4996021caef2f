package org.wache.server.releases;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.wache.channel.Channel;
import org.wache.exchange.FileProblem;
import org.wache.radio.Radio;
import org.wache.release.Handed;
import org.wache.server.radios.Contents;
import org.wache.server.radios.Fleet;
import org.wache.server.rulebooks.Rulebooks;
import org.wache.signal.Frequency;

/** Holds what was put into radios against those who have them: after a change of the roster, and when a licence ends, too. */
@Component
class RadioContents implements Contents {

    private static final int KEPT = 40_000;
    private static final int RELEASES = 500;
    private static final int NAMED = 8;

    private final ReleaseStore store;
    private final Hands hands;
    private final Fleet fleet;
    private final Rulebooks rulebooks;
    private final Clock clock;
    /** By what an outcome depends on; a later version of any of it makes another key. */
    private final Map<List<Object>, InHand> known = Caffeine.newBuilder()
            .maximumSize(KEPT)
            .<List<Object>, InHand>build()
            .asMap();

    private final Cache<Long, Optional<InUse>> inUse =
            Caffeine.newBuilder().maximumSize(RELEASES).build();

    RadioContents(ReleaseStore store, Hands hands, Fleet fleet, Rulebooks rulebooks, Clock clock) {
        this.store = store;
        this.hands = hands;
        this.fleet = fleet;
        this.rulebooks = rulebooks;
        this.clock = clock;
    }

    @Override
    public InHand against(long club, long unit, long party) {
        return store.contents(club).stream()
                .filter(each -> each.unit() == unit)
                .findFirst()
                .map(content -> today(club, List.of(unit), List.of(party)).held(content, party))
                .orElse(InHand.UNKNOWN);
    }

    @Override
    public Map<Long, InHand> inHands(long club) {
        Map<Long, InHand> all = new LinkedHashMap<>();
        List<ReleaseStore.Content> inSomebodysHand = store.contents(club).stream()
                .filter(content -> content.party() != null)
                .toList();
        Against today = today(
                club,
                inSomebodysHand.stream().map(ReleaseStore.Content::unit).toList(),
                inSomebodysHand.stream()
                        .map(ReleaseStore.Content::party)
                        .distinct()
                        .toList());
        inSomebodysHand.forEach(content -> all.put(content.unit(), today.held(content, content.party())));
        return all;
    }

    @Override
    public Map<Long, List<String>> refused(long club) {
        Map<Long, List<String>> all = new LinkedHashMap<>();
        List<Fleet.Unit> units = fleet.units(club);
        for (ReleaseStore.Head head : store.standing(club)) {
            Optional<InUse> release = inUse(head);
            if (release.isEmpty()) {
                continue;
            }
            Map<List<Object>, Optional<String>> alike = new HashMap<>(); // radios that transmit alike refuse alike
            for (Fleet.Unit unit : units) {
                Radio radio = unit.radio();
                if (radio.inhibited()
                        || !release.get().models().contains(radio.model().name())) {
                    continue;
                }
                alike.computeIfAbsent(
                                List.of(radio.transmits(), radio.off()),
                                any -> refused(head, release.get().talks(), radio))
                        .ifPresent(words -> all.computeIfAbsent(unit.id(), any -> new ArrayList<>())
                                .add(words));
            }
        }
        return all;
    }

    private static Optional<String> refused(ReleaseStore.Head head, List<Frequency> talks, Radio radio) {
        List<String> refused = talks.stream()
                .filter(frequency -> !radio.keys(frequency) && !radio.isOff(frequency))
                .map(Frequency::megahertz)
                .distinct()
                .toList();
        return refused.isEmpty()
                ? Optional.empty()
                : Optional.of("Of " + head.name() + ", release " + head.number() + ", it refuses to key "
                        + String.join(", ", refused.subList(0, Math.min(NAMED, refused.size())))
                        + (refused.size() > NAMED ? " and " + (refused.size() - NAMED) + " more" : "")
                        + " MHz.");
    }

    /** What is asked again and again of a release that is in use. */
    private record InUse(Set<String> models, List<Frequency> talks) {}

    private Optional<InUse> inUse(ReleaseStore.Head head) {
        return inUse.get(head.id(), any -> {
            try {
                Hands.Opened opened = hands.open(head.club(), head.id());
                return Optional.of(new InUse(
                        opened.file().models().stream()
                                .map(model -> model.radio().model().name())
                                .collect(Collectors.toSet()),
                        opened.parts().get(0).list().channels().stream()
                                .flatMap(channel -> channel.transmit().stream())
                                .toList()));
            } catch (FileProblem old) {
                return Optional.empty(); // it cannot be read any more: its own page says so
            }
        });
    }

    /** All that contents are held against, asked for once: the radios as they are known to be, the people with their licences of now, the plan. */
    private Against today(long club, List<Long> units, List<Long> people) {
        return new Against(
                club,
                store.standingOf(club).overlay(),
                fleet.asTheyAre(units),
                hands.whoHave(club, people),
                new HashMap<>());
    }

    private final class Against {

        private final long club;
        private final int plan;
        private final Map<Long, Radio> radios;
        private final Map<Long, Hands.Person> people;
        private final Map<Long, Hands.Opened> opened;

        private Against(
                long club,
                int plan,
                Map<Long, Radio> radios,
                Map<Long, Hands.Person> people,
                Map<Long, Hands.Opened> opened) {
            this.club = club;
            this.plan = plan;
            this.radios = radios;
            this.people = people;
            this.opened = opened;
        }

        private InHand held(ReleaseStore.Content content, long party) {
            if (content.release() == null) {
                return InHand.UNKNOWN;
            }
            Hands.Person person = people.get(party);
            Radio radio = radios.get(content.unit());
            List<Object> key = List.of(content.load(), person, radio, plan, rulebooks.version(), LocalDate.now(clock));
            InHand held = known.get(key);
            if (held == null) {
                held = judged(content, person, radio);
                known.put(key, held);
            }
            return held;
        }

        private InHand judged(ReleaseStore.Content content, Hands.Person person, Radio radio) {
            Hands.Opened release = opened.computeIfAbsent(content.release(), id -> hands.open(club, id));
            Handed handed = hands.toOne(release, content.variant(), radio, person);
            List<Integer> places = content.talks() == null ? talking(handed) : List.of(content.talks());
            List<NotTheirs> notTheirs = new ArrayList<>();
            int talks = 0;
            for (int place : places) {
                Handed.Entry entry = handed.entries().get(place);
                Channel channel = handed.list().channels().get(place);
                if (entry.place() == Handed.Place.NOT_THEIRS || entry.place() == Handed.Place.OUT) {
                    notTheirs.add(new NotTheirs(channel.number(), channel.name(), entry.why(), entry.source()));
                } else if (entry.place() == Handed.Place.TALKS) {
                    talks++;
                }
            }
            int listens =
                    (content.listens() == null ? handed.at(Handed.Place.LISTENS).size() : content.listens().length)
                            + places.size()
                            - talks
                            - notTheirs.size();
            return new InHand(true, talks, listens, List.copyOf(notTheirs));
        }
    }

    /** Of what was loaded before it was kept on what it talks: everything that the radio could have. */
    private static List<Integer> talking(Handed handed) {
        List<Integer> places = new ArrayList<>(handed.at(Handed.Place.TALKS));
        places.addAll(handed.at(Handed.Place.NOT_THEIRS));
        Collections.sort(places);
        return places;
    }
}
