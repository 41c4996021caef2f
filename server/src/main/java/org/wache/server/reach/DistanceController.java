package org.wache.server.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.distance.Carries;
import org.wache.distance.PathLoss;
import org.wache.server.accounts.Account;
import org.wache.server.lists.Audited;
import org.wache.server.lists.Audits;
import org.wache.server.lists.DeskWriter;
import org.wache.server.lists.ListService;
import org.wache.server.lists.ListStore;
import org.wache.server.lists.Views;
import org.wache.server.web.Missing;
import org.wache.server.web.Refused;
import org.wache.signal.Frequency;

/** Whether what is keyed on an entry carries over a distance, over smooth ground: a word and its sum. */
@RestController
class DistanceController {

    private static final double MOST_KM = 500;
    private static final double MOST_M = 3_000;
    private static final double MOST_DB = 60;
    /** The models are for waves that go straight, from some 30 MHz on. ITU-R P.526 and P.525; below, the sky carries. */
    private static final long LOWEST_HZ = 30_000_000;
    /** What a hand-held puts out where an entry does not say. Common practice, no source. */
    private static final double USUAL_W = 5;

    private final ListService service;
    private final Audits audits;

    DistanceController(ListService service, Audits audits) {
        this.service = service;
        this.audits = audits;
    }

    /**
     * How far an entry carries.
     *
     * @param horizonKm how far the two antennas see each other over the bulge of the earth
     * @param unknown what is not known or not reckoned, in words
     */
    record Distance(Carries.Word word, double horizonKm, List<Views.SumLine> sum, List<String> unknown) {}

    /**
     * Works it out.
     *
     * @param km distance, 0.05 to 500
     * @param talksM height of the antenna of who talks, metres
     * @param talksDbd its gain, dBd
     */
    @GetMapping("/api/lists/{list}/reach/distance")
    Distance distance(
            Account asking,
            @PathVariable long list,
            @RequestParam long entry,
            @RequestParam double km,
            @RequestParam double talksM,
            @RequestParam double talksDbd,
            @RequestParam double hearsM,
            @RequestParam double hearsDbd) {
        Channel channel = entry(audits.of(service.source(asking.id(), list)), entry);
        Frequency frequency = talking(channel);
        within("The distance", "km", km, 0.05, MOST_KM);
        within("The height of who talks", "m", talksM, 0.1, MOST_M);
        within("The height of who hears", "m", hearsM, 0.1, MOST_M);
        within("The antenna of who talks", "dBd", talksDbd, -MOST_DB, MOST_DB);
        within("The antenna of who hears", "dBd", hearsDbd, -MOST_DB, MOST_DB);
        List<String> unknown = new ArrayList<>();
        double watts = watts(channel).orElse(USUAL_W);
        if (watts(channel).isEmpty()) {
            unknown.add("No power stands in the entry: 5 W is taken.");
        }
        unknown.add("Hills, trees and houses in between are not reckoned, nor who else is on the channel.");
        Carries found = Carries.of(
                frequency, watts, new Carries.End(talksM, talksDbd, 0), new Carries.End(hearsM, hearsDbd, 0), km);
        return new Distance(found.word(), PathLoss.horizonKm(talksM, hearsM), DeskWriter.sum(found.sum()), unknown);
    }

    /** An entry by its key. */
    static Channel entry(Audited audited, long entry) {
        return audited.stored().stream()
                .filter(each -> each.id() == entry)
                .findFirst()
                .map(ListStore.Stored::channel)
                .orElseThrow(() -> new Missing("The entry"));
    }

    /** @throws Refused where nobody talks, or the models say nothing */
    static Frequency talking(Channel channel) {
        Frequency frequency = channel.transmit()
                .orElseThrow(() -> new Refused("Nobody talks on this entry: it is only listened to."));
        if (frequency.hertz() < LOWEST_HZ) {
            throw new Refused(
                    "Below 30 MHz the ground and the sky carry a signal further than it is seen: this says nothing"
                            + " there.");
        }
        return frequency;
    }

    private static Optional<Double> watts(Channel channel) {
        String text = channel.text(Field.POWER_W).strip();
        return text.matches("[0-9]{1,6}(\\.[0-9]{1,6})?") && Double.parseDouble(text) > 0
                ? Optional.of(Double.valueOf(text))
                : Optional.empty();
    }

    private static void within(String what, String unit, double given, double least, double most) {
        if (!(given >= least && given <= most)) {
            throw new Refused(what + " is between " + least + " and " + (long) most + " " + unit + ".");
        }
    }
}
