package org.wache.server.rulebooks;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.exchange.HolderShorthand;
import org.wache.rulebook.Allocation;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.PlanRow;
import org.wache.rulebook.Raster;
import org.wache.server.accounts.Account;
import org.wache.server.web.Refused;

/** What the band ruler draws: the bands, what a holder may do in them, and what the plan keeps them for. */
@RestController
class RulerController {

    /** Below this the table of allocations is too coarse to draw. */
    private static final long COARSE_BELOW = 25_000_000;

    private final Editions editions;

    RulerController(Editions editions) {
        this.editions = editions;
    }

    /** The ruler for a holder; frequencies in hertz. Channels are the fixed ones, in order. */
    record Ruler(
            List<BandPicture.Band> bands,
            List<BandPicture.May> may,
            List<Plan> plan,
            List<Long> channels,
            List<Stepped> stepped) {}

    /** A stretch whose channels stand at equal distances, without a row of the plan. */
    record Stepped(long low, long high, Raster raster) {}

    /** A row of the band plan, and how its channels stand; where an area chooses, there are several ways. */
    record Plan(
            long low,
            long high,
            String words,
            @Schema(nullable = true) Optional<String> calling,
            boolean local,
            List<Raster> rasters) {}

    @GetMapping("/api/ruler")
    Ruler ruler(
            Account asking,
            @RequestParam Optional<String> rulebook,
            @RequestParam(defaultValue = "nobody") String as,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.of(asking, rulebook, group, on);
        try {
            HolderShorthand.holder(as, edition);
        } catch (IllegalArgumentException e) {
            throw new Refused(e.getMessage() + ".");
        }
        BandPicture picture = BandPicture.of(edition, as);
        List<Plan> plan = new ArrayList<>(edition.allocations().stream()
                .filter(row -> row.span().low() >= COARSE_BELOW)
                .sorted(Comparator.comparingLong((Allocation row) -> -row.span().length()))
                .map(row ->
                        new Plan(row.span().low(), row.span().high(), row.whose(), Optional.empty(), false, List.of()))
                .toList());
        edition.plan().rows().stream().map(RulerController::plan).forEach(plan::add);
        return new Ruler(picture.bands(), picture.may(), plan, channels(edition), stepped(edition));
    }

    private static List<Long> channels(Edition edition) {
        return edition.services().stream()
                .filter(ChannelService.class::isInstance)
                .flatMap(service -> ((ChannelService) service).channels().stream())
                .filter(channel -> channel.restricted().isEmpty())
                .map(channel -> channel.centre().hertz())
                .distinct()
                .sorted()
                .toList();
    }

    private static List<Stepped> stepped(Edition edition) {
        return edition.services().stream()
                .filter(AuthorisedService.class::isInstance)
                .flatMap(service -> ((AuthorisedService) service).rasters().stream())
                .map(each -> new Stepped(each.span().low(), each.span().high(), each.raster()))
                .toList();
    }

    private static Plan plan(PlanRow row) {
        return new Plan(row.span().low(), row.span().high(), row.words(), row.calling(), row.local(), row.rasters());
    }
}
