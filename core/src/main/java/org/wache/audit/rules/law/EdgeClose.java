package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.audit.Overrun;
import org.wache.audit.Route;
import org.wache.audit.RouteRule;
import org.wache.audit.RulePage;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.Room;

/** The signal stays inside by less than a radio's frequency may be off. */
public final class EdgeClose implements RouteRule {

    @Override
    public Slug slug() {
        return Slug.EDGE_CLOSE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Closer to an edge than the radio is exact",
                "By the numbers the signal stays inside, but a radio's frequency is a little off. Unless the radio's own figure "
                        + "is known, 2.5 parts in a million are assumed: 365 Hz at 146 MHz.",
                "Keep a little more distance, or use a narrower signal.",
                RulePage.entry("amateur:technician", "rx_mhz=147.992 tx_mhz=147.992 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=147.990 tx_mhz=147.990 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Route route) {
        Optional<Room> room = route.room();
        if (room.isEmpty() || !room.get().span().contains(route.occupied())) {
            return List.of();
        }
        Overrun nearest = Overrun.of(route.occupied(), room.get().span());
        OptionalDouble own =
                route.radio().map(radio -> radio.model().tuning().errorPpm()).orElse(OptionalDouble.empty());
        double ppm = own.orElse(route.entry().edition().frequencyErrorPpm());
        long error = route.frequencyError();
        long left = -nearest.over();
        if (left >= error) {
            return List.of();
        }
        return List.of(route.query(Slug.EDGE_CLOSE)
                .message(
                        "The signal stays %s inside %s; a radio may be %s off.",
                        Wording.length(left), nearest.edgeName(route, room.get()), Wording.length(error))
                .working(() -> nearest.working(route, room.get())
                        .limit(
                                Long.toString(error),
                                "Hz",
                                String.format(Locale.ROOT, "%.1f ppm of the frequency", ppm)))
                .source(route.cite(route.service().traits().edgeSource())
                        + (own.isPresent() ? "; the model's data for the error" : "; common practice for the error"))
                .cures(() -> cures(route, nearest, error - left)));
    }

    private static List<Change> cures(Route route, Overrun nearest, long missing) {
        List<Change> cures = new ArrayList<>(Cures.narrower(route.on()));
        cures.add(Cures.shifted(route.on(), nearest.atTop() ? -missing : missing));
        return cures;
    }
}
