package org.wache.server.directory;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.channel.Difference;
import org.wache.channel.Field;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.Service;
import org.wache.server.accounts.Account;
import org.wache.server.lists.ListTaking;
import org.wache.server.papers.PlaceArea;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;

/** Repeaters near the place where a list is used; and what the directory says otherwise since an entry was taken from it. */
@RestController
class DirectoryController {

    private static final double METRES = 1000;
    private static final String[] WINDS = {"N", "NE", "E", "SE", "S", "SW", "W", "NW"};

    private final DirectoryClient directory;
    private final OriginStore origins;
    private final ListTaking lists;
    private final TransactionTemplate transaction;

    DirectoryController(
            DirectoryClient directory, OriginStore origins, ListTaking lists, TransactionTemplate transaction) {
        this.directory = directory;
        this.origins = origins;
        this.lists = lists;
        this.transaction = transaction;
    }

    /**
     * What the directory has.
     *
     * @param down why it does not answer; null when it does
     * @param placed whether the place of the list is known, from which distances are measured
     */
    record Found(
            @Schema(nullable = true) Optional<String> down,
            boolean placed,
            List<String> bands,
            List<Nearby> repeaters) {}

    /** A repeater, how far away, and the entry of the list that it is already. */
    record Nearby(
            DirectoryLine line,
            @Schema(nullable = true) Optional<Double> distanceKm,
            @Schema(nullable = true) Optional<String> direction,
            Map<String, String> fields,
            @Schema(nullable = true) Optional<String> inList) {}

    /** The entry that was added. */
    record AddedFromDirectory(long entry, String name) {}

    /** What differs: the line is as it is now, null when it is gone. */
    record DirectoryNews(
            long entry,
            String number,
            String name,
            @Schema(nullable = true) DirectoryLine line,
            List<String> words,
            Map<String, String> before,
            Map<String, String> after) {}

    /** Entries whose lines somebody has looked at. */
    record NewsSeen(@NotNull List<@NotNull Long> entries) {}

    @GetMapping("/api/lists/{list}/directory")
    Found find(
            Account asking,
            @PathVariable long list,
            @RequestParam Optional<String> band,
            @RequestParam Optional<Double> withinKm) {
        long account = asking.id();
        Optional<PlaceArea> place =
                lists.place(account, list).filter(area -> area.latitude().isPresent());
        List<Channel> channels = lists.channels(account, list);
        Edition edition = lists.edition(account, list);
        List<DirectoryLine> lines;
        try {
            lines = directory.lines();
        } catch (DirectoryClient.Down e) {
            return new Found(
                    Optional.of(e.getMessage() + " The list works without it; try again later."),
                    place.isPresent(),
                    List.of(),
                    List.of());
        }
        List<Nearby> near = lines.stream()
                .filter(line ->
                        band.isEmpty() || band.get().isEmpty() || line.band().equals(band.get()))
                .map(line -> nearby(line, edition, place, channels))
                .filter(each -> withinKm.isEmpty()
                        || each.distanceKm().isEmpty()
                        || each.distanceKm().get() <= withinKm.get())
                .sorted(Comparator.comparing((Nearby each) -> each.distanceKm().orElse(0.0))
                        .thenComparing(each -> each.line().outputMhz()))
                .toList();
        return new Found(
                Optional.empty(),
                place.isPresent(),
                lines.stream().map(DirectoryLine::band).distinct().toList(),
                near);
    }

    private static Nearby nearby(
            DirectoryLine line, Edition edition, Optional<PlaceArea> place, List<Channel> channels) {
        Optional<GeodesicData> way = place.map(from -> Geodesic.WGS84.Inverse(
                from.latitude().orElseThrow(), from.longitude().orElseThrow(), line.latitude(), line.longitude()));
        Map<Field, String> fields = fields(line, edition);
        Channel as = Channel.of(fields);
        Optional<String> there = channels.stream()
                .filter(each -> each.receive().isPresent()
                        && each.receive().equals(as.receive())
                        && each.transmit().equals(as.transmit()))
                .findFirst()
                .map(each -> each.name().isBlank() ? each.number() : each.name());
        return new Nearby(
                line,
                way.map(data -> Math.round(data.s12 / METRES * 10) / 10.0),
                way.map(data -> wind(data.azi1)),
                keys(fields),
                there);
    }

    private static String wind(double azimuth) {
        return WINDS[(int) Math.round((azimuth + 360) % 360 / 45) % WINDS.length];
    }

    private static Map<String, String> keys(Map<Field, String> fields) {
        Map<String, String> keys = new TreeMap<>();
        fields.forEach((field, text) -> keys.put(field.key(), text));
        return keys;
    }

    /** The entry that a line makes. */
    private static Map<Field, String> fields(DirectoryLine line, Edition edition) {
        Map<Field, String> fields = new TreeMap<>();
        Optional<Frequency> output = Frequency.ofMegahertz(line.outputMhz());
        fields.put(Field.NAME, line.place());
        fields.put(Field.RX_MHZ, output.map(Frequency::megahertz).orElse(line.outputMhz()));
        fields.put(
                Field.TX_MHZ,
                output.flatMap(hears -> input(hears, line.offsetMhz()))
                        .map(Frequency::megahertz)
                        .orElse(""));
        fields.put(Field.MODE, line.mode());
        fields.put(Field.TX_TONE, line.access());
        fields.put(Field.RX_TONE, "");
        fields.put(
                Field.SERVICE,
                output.flatMap(hears -> input(hears, line.offsetMhz()))
                        .flatMap(talks -> paired(edition, talks))
                        .orElse(""));
        fields.put(Field.NOTE, line.callSign() + (line.note().isBlank() ? "" : ", " + line.note()));
        return fields;
    }

    /** The service with fixed channels in which that frequency reaches a repeater. */
    private static Optional<String> paired(Edition edition, Frequency talks) {
        return edition.services().stream()
                .filter(service -> service instanceof ChannelService
                        && service.channelAt(talks, false)
                                .flatMap(FixedChannel::reaches)
                                .isPresent())
                .map(Service::id)
                .findFirst();
    }

    static Optional<Frequency> input(Frequency output, String offset) {
        try {
            long hertz = new java.math.BigDecimal(offset).movePointRight(6).longValueExact();
            return output.hertz() + hertz > 0 ? Optional.of(output.plus(hertz)) : Optional.empty();
        } catch (ArithmeticException | NumberFormatException e) {
            return Optional.empty(); // then it only listens, and the note says whose it is
        }
    }

    private List<DirectoryLine> linesNow() {
        try {
            return directory.lines();
        } catch (DirectoryClient.Down e) {
            throw new Refused(e.getMessage() + " Nothing was changed; try again later.");
        }
    }

    /** Adds a repeater to the list. */
    @PostMapping("/api/lists/{list}/directory/{repeater}")
    @ResponseStatus(HttpStatus.CREATED)
    AddedFromDirectory add(Account asking, @PathVariable long list, @PathVariable String repeater) {
        long account = asking.id();
        lists.visible(account, list);
        DirectoryLine line = linesNow().stream()
                .filter(each -> each.id().equals(repeater))
                .findFirst()
                .orElseThrow(() -> new Missing("The repeater"));
        Edition edition = lists.edition(account, list);
        return transaction.execute(status -> {
            long entry = lists.addEntry(account, list, fields(line, edition));
            origins.put(entry, line);
            return new AddedFromDirectory(entry, line.place());
        });
    }

    /** The entries whose lines say otherwise than when they were taken. A directory that is down has no news. */
    @GetMapping("/api/lists/{list}/directory/news")
    List<DirectoryNews> news(Account asking, @PathVariable long list) {
        lists.visible(asking.id(), list);
        List<OriginStore.Origin> taken = origins.of(list);
        if (taken.isEmpty()) {
            return List.of();
        }
        Map<String, DirectoryLine> now = new HashMap<>();
        try {
            directory.lines().forEach(line -> now.put(line.id(), line));
        } catch (DirectoryClient.Down e) {
            return List.of();
        }
        Edition edition = lists.edition(asking.id(), list);
        List<DirectoryNews> news = new ArrayList<>();
        for (OriginStore.Origin each : taken) {
            DirectoryLine line = now.get(each.line().id());
            if (line == null) {
                news.add(new DirectoryNews(
                        each.entry(),
                        each.number(),
                        each.name(),
                        null,
                        List.of("no longer in the directory"),
                        Map.of(),
                        Map.of()));
            } else if (!words(each.line(), line, edition).isEmpty()) {
                Map<String, String> before = new TreeMap<>();
                Map<String, String> after = new TreeMap<>();
                Map<Field, String> old = fields(each.line(), edition);
                fields(line, edition).forEach((field, text) -> {
                    if (!text.equals(old.get(field))) {
                        before.put(field.key(), old.get(field));
                        after.put(field.key(), text);
                    }
                });
                news.add(new DirectoryNews(
                        each.entry(),
                        each.number(),
                        each.name(),
                        line,
                        words(each.line(), line, edition),
                        before,
                        after));
            }
        }
        return news;
    }

    private static List<String> words(DirectoryLine old, DirectoryLine now, Edition edition) {
        List<String> words =
                new ArrayList<>(Difference.of(Channel.of(fields(old, edition)), Channel.of(fields(now, edition))));
        if (!old.coordination().equals(now.coordination())) {
            words.add(now.coordination() + " instead of " + old.coordination());
        }
        return words;
    }

    /** Somebody has looked at what changed: the lines count as they are now. */
    @PostMapping("/api/lists/{list}/directory/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seen(Account asking, @PathVariable long list, @Valid @RequestBody NewsSeen seen) {
        lists.visible(asking.id(), list);
        Map<String, DirectoryLine> now = new HashMap<>();
        linesNow().forEach(line -> now.put(line.id(), line));
        transaction.executeWithoutResult(status -> origins.of(list).stream()
                .filter(each -> seen.entries().contains(each.entry()))
                .forEach(each -> Optional.ofNullable(now.get(each.line().id()))
                        .ifPresentOrElse(line -> origins.put(each.entry(), line), () -> origins.forget(each.entry()))));
    }
}
