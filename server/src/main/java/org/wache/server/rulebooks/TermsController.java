package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.Raster;
import org.wache.rulebook.Service;
import org.wache.signal.Content;
import org.wache.signal.Frequency;

/** What screens need to know of a country: its services, the raster that an area settles for, how people write entries. */
@RestController
class TermsController {

    private final Editions editions;

    TermsController(Editions editions) {
        this.editions = editions;
    }

    /**
     * The words of a rulebook.
     *
     * @param planned the service that the band plan is for
     * @param usualBand the band that most lists are about
     * @param raster of which several an area settles for one; null where there is no such choice
     * @param examples entries as people write them on a line
     */
    record Terms(
            String id,
            String title,
            List<ServiceTerm> services,
            String planned,
            @Schema(nullable = true) String usualBand,
            @Schema(nullable = true) RasterChoice raster,
            List<String> examples) {}

    /**
     * A service.
     *
     * @param licence how it is licensed: none, plain, class or lines
     * @param swap whether a list can be swapped for its channels: fixed ones with voice
     * @param repeaters whether it has repeater pairs
     * @param lowW the least power that its direct voice channels allow
     * @param aboard whether only those aboard a vessel or an aircraft may use it
     */
    record ServiceTerm(
            String id,
            String title,
            String licence,
            List<String> classes,
            boolean swap,
            boolean repeaters,
            @Schema(nullable = true) Double lowW,
            boolean aboard) {}

    /** A band with several rasters, their steps in kHz. */
    record RasterChoice(String band, List<String> stepsKhz) {}

    @GetMapping("/api/rulebook/terms")
    Terms terms(@RequestParam Optional<String> rulebook, @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.on(rulebook, on);
        return new Terms(
                edition.rulebook(),
                edition.country().title(),
                edition.services().stream().map(TermsController::service).toList(),
                edition.plan().service(),
                edition.country().usualBand().orElse(null),
                raster(edition),
                edition.country().examples());
    }

    private static ServiceTerm service(Service service) {
        List<FixedChannel> voice = service instanceof ChannelService channels
                ? channels.channels().stream()
                        .filter(each -> each.restricted().isEmpty()
                                && (each.allow() & (Content.FM.bit() | Content.AM.bit())) != 0)
                        .toList()
                : List.of();
        boolean aboard = service.traits().terms().aboardOnly();
        Double low = voice.stream()
                .filter(each -> each.reaches().isEmpty())
                .flatMap(each -> each.power().stream())
                .map(limit -> limit.watts().value())
                .min(Double::compare)
                .orElse(null);
        return new ServiceTerm(
                service.id(),
                service.title(),
                service.traits().licence().name().toLowerCase(java.util.Locale.ROOT),
                service.traits().classes(),
                !voice.isEmpty() && !aboard,
                voice.stream().anyMatch(each -> each.reaches().isPresent()),
                low,
                aboard);
    }

    private static RasterChoice raster(Edition edition) {
        Optional<BandService> planned = edition.planned();
        return edition.plan().rows().stream()
                .filter(PlanRow::rasterChoice)
                .findFirst()
                .map(row -> new RasterChoice(
                        planned.map(service -> service.placeName(
                                        new Frequency(row.span().low())))
                                .orElse(""),
                        edition.plan().rows().stream()
                                .filter(PlanRow::rasterChoice)
                                .flatMap(each -> each.rasters().stream())
                                .map(Raster::step)
                                .distinct()
                                .sorted()
                                .map(step -> Frequency.kilohertz(step).replaceFirst("\\.0$", ""))
                                .toList()))
                .orElse(null);
    }
}
