package org.wache.server.directory;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReference;
import net.sf.geographiclib.Geodesic;
import org.springframework.stereotype.Component;
import org.wache.audit.context.Neighbour;
import org.wache.place.Place;
import org.wache.server.lists.NearbyRepeaters;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** What the directory last said, kept for a while: an audit does not wait for it, and one that is down is as if it knew nothing. */
@Component
class KnownRepeaters implements NearbyRepeaters {

    /** How far a repeater on a hill is heard. Common practice, no source. */
    private static final double NEAR_KM = 80;

    private static final double METRES = 1000;
    private static final Duration FRESH = Duration.ofMinutes(10);

    private final DirectoryClient directory;
    private final Clock clock;
    private final AtomicReference<Known> known = new AtomicReference<>(new Known(List.of(), Instant.MIN));

    private record Known(List<DirectoryLine> lines, Instant at) {}

    KnownRepeaters(DirectoryClient directory, Clock clock) {
        this.directory = directory;
        this.clock = clock;
    }

    /** What is known; asked for anew in the background when it has grown old. */
    private List<DirectoryLine> lines() {
        Known now = known.get();
        if (now.at().isBefore(clock.instant().minus(FRESH))
                && known.compareAndSet(now, new Known(now.lines(), clock.instant()))) {
            CompletableFuture.runAsync(this::ask);
        }
        return known.get().lines();
    }

    private void ask() {
        try {
            known.set(new Known(directory.lines(), clock.instant()));
        } catch (DirectoryClient.Down e) {
            known.set(new Known(List.of(), clock.instant()));
        }
    }

    @Override
    public int version() {
        return lines().hashCode();
    }

    @Override
    public List<Neighbour> near(Place place) {
        return sited(place).stream().map(Sited::heard).toList();
    }

    @Override
    public List<Sited> sited(Place place) {
        return lines().stream()
                .filter(line -> away(place, line) <= NEAR_KM * METRES)
                .sorted(Comparator.comparingDouble(line -> away(place, line)))
                .flatMap(line -> neighbour(line)
                        .map(heard -> new Sited(line.place(), Place.at(line.latitude(), line.longitude()), heard))
                        .stream())
                .toList();
    }

    private static double away(Place place, DirectoryLine line) {
        return Geodesic.WGS84.Inverse(place.latitude(), place.longitude(), line.latitude(), line.longitude()).s12;
    }

    private static Optional<Neighbour> neighbour(DirectoryLine line) {
        return Frequency.ofMegahertz(line.outputMhz())
                .map(output -> new Neighbour(
                        "The repeater " + line.callSign() + ", " + line.place() + ",",
                        output,
                        DirectoryController.input(output, line.offsetMhz()),
                        Tone.parse(line.access())));
    }
}
