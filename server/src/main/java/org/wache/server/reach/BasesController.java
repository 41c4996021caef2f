package org.wache.server.reach;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import net.sf.geographiclib.Geodesic;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.distance.Carries;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.rulebook.StationData;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audits;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.NearbyRepeaters;
import org.wache.server.lists.Source;
import org.wache.server.lists.Views;
import org.wache.server.stations.AreaStore;
import org.wache.server.stations.SitedStations;
import org.wache.signal.Frequency;
import org.wache.station.Station;
import org.wache.station.StationSheet;

/** Which bases of a group hear each other on an entry, and how far each is heard by a hand-held: over smooth ground. */
@RestController
class BasesController {

    private static final int MOST = 24;
    private static final double METRES = 1_000;
    /** The antenna of a repeater, where nothing is known of it: height in metres, gain in dBd. Common practice, no source. */
    private static final Carries.End REPEATER = new Carries.End(30, 3, 2);
    /** A hand-held in the hand, on its own antenna. Common practice, no source. */
    private static final Carries.End HAND = new Carries.End(1.5, -5, 0);
    /** What a hand-held puts out at most. Common practice, no source. */
    private static final double HAND_W = 5;
    /** What a repeater puts out. Common practice, no source. */
    private static final double REPEATER_W = 25;

    private final ListService service;
    private final Audits audits;
    private final SitedStations stations;
    private final NearbyRepeaters repeaters;
    private final AreaStore areas;

    BasesController(
            ListService service, Audits audits, SitedStations stations, NearbyRepeaters repeaters, AreaStore areas) {
        this.areas = areas;
        this.service = service;
        this.audits = audits;
        this.stations = stations;
        this.repeaters = repeaters;
    }

    /** What stands somewhere. */
    enum BaseKind {
        STATION,
        REPEATER
    }

    /**
     * What stands somewhere, and how far a hand-held hears it.
     *
     * @param inReachKm up to there it is in reach; null where it is heard through a repeater only
     * @param doubtfulKm up to there it is doubtful; null as before
     */
    record Base(
            String name,
            BaseKind kind,
            double latitude,
            double longitude,
            double heightM,
            @Schema(nullable = true) Double inReachKm,
            @Schema(nullable = true) Double doubtfulKm) {}

    /** Two of them, by their places: the distance, the word, and its sum. */
    record BaseLink(int from, int to, double km, Carries.Word word, List<Views.SumLine> sum) {}

    /** Where a team works: a circle. */
    record TeamArea(String team, double latitude, double longitude, double radiusKm) {}

    /**
     * Whether somebody of a team is heard by a base from the far side of the team's area, with a hand-held.
     *
     * @param area place of the area
     * @param base place of the base
     * @param km to the far side; from within the area nobody is farther
     */
    record AreaLink(int area, int base, double km, Carries.Word word, List<Views.SumLine> sum) {}

    /**
     * All of them on one entry.
     *
     * @param areas of teams
     * @param areaLinks from each area to what hears it
     * @param unplaced the stations of which nobody said where they stand
     * @param unknown what was taken for what is not known
     */
    record BasesOnEntry(
            @Schema(nullable = true) String mhz,
            List<Base> bases,
            List<BaseLink> links,
            List<TeamArea> areas,
            List<AreaLink> areaLinks,
            List<String> unplaced,
            List<String> unknown) {}

    private record End(String name, BaseKind kind, Place place, Carries.End antenna, double watts) {}

    @GetMapping("/api/lists/{list}/reach/bases")
    BasesOnEntry bases(Account asking, @PathVariable long list, @RequestParam long entry) {
        Source source = service.source(asking.id(), list);
        Channel channel = DistanceController.entry(audits.of(source), entry);
        Frequency talks = DistanceController.talking(channel);
        AuditContext context = audits.context(source, audits.today());
        List<SitedStations.Sited> all = stations.of(source.head().clubId());
        List<String> unknown = new ArrayList<>();
        List<End> ends =
                new ArrayList<>(stations(all, channel, talks, context.edition().stations()));
        ends.addAll(repeaters(channel, context, unknown));
        unknown.add("Hills, trees and houses in between are not reckoned, nor who else is on the channel.");
        unknown.add("How far each is heard is for a hand-held in the hand, 1.5 m above the ground.");
        List<AreaStore.Area> teams = areas.of(source.head().clubId());
        if (!teams.isEmpty() && channel.power().isEmpty()) {
            unknown.add("The power of the entry is not known: 5 W are taken for the hand-helds of the teams.");
        }
        return new BasesOnEntry(
                talks.megahertz(),
                ends.stream().map(end -> base(end, channel)).toList(),
                links(ends, channel),
                teams.stream()
                        .map(each -> new TeamArea(
                                each.team(),
                                each.circle().centre().latitude(),
                                each.circle().centre().longitude(),
                                each.circle().radiusKm()))
                        .toList(),
                areaLinks(teams, ends, channel),
                all.stream()
                        .filter(each -> each.place().isEmpty() && each.station().kind() == Station.Kind.BASE)
                        .map(SitedStations.Sited::name)
                        .toList(),
                unknown);
    }

    private static List<End> stations(
            List<SitedStations.Sited> all, Channel channel, Frequency talks, StationData data) {
        return all.stream()
                .filter(each -> each.place().isPresent())
                .limit(MOST)
                .map(each -> new End(
                        each.name(),
                        BaseKind.STATION,
                        each.place().get(),
                        new Carries.End(
                                each.station().heightM(),
                                each.station().gainDbd(),
                                StationSheet.lossDb(each.station(), talks, data)),
                        channel.power()
                                .map(watts ->
                                        Math.min(watts.value(), each.station().outputW()))
                                .orElse(each.station().outputW())))
                .toList();
    }

    /** The repeaters that the entry talks through, where the directory knows one near the place of the list. */
    private List<End> repeaters(Channel channel, AuditContext context, List<String> unknown) {
        if (!channel.isPair()
                || !(context.where().area().orElse(null) instanceof Circle circle)
                || channel.receive().isEmpty()) {
            return List.of();
        }
        List<End> found = repeaters.sited(circle.centre()).stream()
                .filter(each ->
                        each.heard().frequency().equals(channel.receive().get()))
                .limit(MOST)
                .map(each -> new End(each.name(), BaseKind.REPEATER, each.place(), REPEATER, REPEATER_W))
                .toList();
        if (found.isEmpty()) {
            unknown.add("Where the repeater of this entry stands is not known.");
        } else {
            unknown.add("Of a repeater the height and the power are not known: 30 m and 25 W are taken.");
        }
        return found;
    }

    private static Base base(End end, Channel channel) {
        boolean isHeard = end.kind() == BaseKind.REPEATER || !channel.isPair();
        return new Base(
                end.name(),
                end.kind(),
                end.place().latitude(),
                end.place().longitude(),
                end.antenna().heightM(),
                isHeard ? farthest(end, channel, Carries.Word.IN_REACH) : null,
                isHeard ? farthest(end, channel, Carries.Word.DOUBTFUL) : null);
    }

    /** Up to where a hand-held hears it on what the entry listens to. */
    private static double farthest(End end, Channel channel, Carries.Word word) {
        Frequency heard = channel.receive().or(channel::transmit).orElseThrow();
        return Carries.farthestKm(heard, end.watts(), end.antenna(), HAND, word);
    }

    /** Each pair once: through a repeater each station to it, else from the weaker to the stronger, which fails first. */
    private static List<BaseLink> links(List<End> ends, Channel channel) {
        Frequency talks = channel.transmit().orElseThrow();
        List<BaseLink> all = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            for (int k = i + 1; k < ends.size(); k++) {
                if (channel.isPair() && ends.get(i).kind() == ends.get(k).kind()) {
                    continue; // they hear each other through the repeater, not directly
                }
                boolean first = channel.isPair()
                        ? ends.get(i).kind() == BaseKind.STATION
                        : ends.get(i).watts() <= ends.get(k).watts();
                int from = first ? i : k;
                int to = first ? k : i;
                double km = Math.max(0.01, km(ends.get(i).place(), ends.get(k).place()));
                Carries carries = Carries.of(
                        talks,
                        ends.get(from).watts(),
                        ends.get(from).antenna(),
                        ends.get(to).antenna(),
                        km);
                all.add(new BaseLink(from, to, km, carries.word(), DeskWriter.sum(carries.sum())));
            }
        }
        return all;
    }

    /** A hand-held at the far side of each area to each base, or to the repeater where the entry goes through one. */
    private static List<AreaLink> areaLinks(List<AreaStore.Area> teams, List<End> ends, Channel channel) {
        Frequency talks = channel.transmit().orElseThrow();
        double watts =
                channel.power().map(power -> Math.min(power.value(), HAND_W)).orElse(HAND_W);
        List<AreaLink> all = new ArrayList<>();
        for (int i = 0; i < teams.size(); i++) {
            Circle circle = teams.get(i).circle();
            for (int k = 0; k < ends.size(); k++) {
                if (channel.isPair() && ends.get(k).kind() == BaseKind.STATION) {
                    continue; // it hears them through the repeater
                }
                double km = circle.distanceKm(ends.get(k).place()) + circle.radiusKm();
                Carries carries = Carries.of(talks, watts, HAND, ends.get(k).antenna(), km);
                all.add(new AreaLink(i, k, km, carries.word(), DeskWriter.sum(carries.sum())));
            }
        }
        return all;
    }

    private static double km(Place one, Place other) {
        return Geodesic.WGS84.Inverse(one.latitude(), one.longitude(), other.latitude(), other.longitude()).s12
                / METRES;
    }
}
