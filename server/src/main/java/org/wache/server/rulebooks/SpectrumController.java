package org.wache.server.rulebooks;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.wache.rulebook.BandService;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.Grant;
import org.wache.rulebook.Service;
import org.wache.server.accounts.Account;
import org.wache.signal.Span;

/** The whole spectrum of a rulebook in one picture: where its services are, and whose the rest is. */
@RestController
class SpectrumController {

    private final Editions editions;

    SpectrumController(Editions editions) {
        this.editions = editions;
    }

    /** What the spectrum is divided into. */
    record Spectrum(List<Stretches> services, List<OtherStretch> others) {}

    /** The stretches of a service, in hertz, in order. */
    record Stretches(String id, String title, List<Stretch> stretches) {}

    /** A stretch from end to end; a band has a name. */
    record Stretch(long low, long high, String name) {}

    /** A stretch that belongs to somebody, and whether it is theirs alone: then one only listens. */
    record OtherStretch(long low, long high, String words, boolean closed) {}

    @GetMapping("/api/rulebook/spectrum")
    Spectrum spectrum(
            Account asking,
            @RequestParam Optional<String> rulebook,
            @RequestParam Optional<Long> group,
            @RequestParam Optional<LocalDate> on) {
        Edition edition = editions.of(asking, rulebook, group, on);
        return new Spectrum(
                edition.services().stream()
                        .map(service -> new Stretches(service.id(), service.title(), stretches(service)))
                        .filter(each -> !each.stretches().isEmpty())
                        .toList(),
                edition.allocations().stream()
                        .filter(row -> row.span().length() > 0)
                        .sorted(Comparator.comparingLong(row -> -row.span().length()))
                        .map(row ->
                                new OtherStretch(row.span().low(), row.span().high(), row.whose(), !row.licensable()))
                        .toList());
    }

    /** Services that are licensed line by line have no stretches of their own. */
    private static List<Stretch> stretches(Service service) {
        List<Stretch> all = new ArrayList<>();
        if (service instanceof BandService bands) {
            bands.grants().stream().map(Grant::band).distinct().forEach(name -> bands.band(name)
                    .ifPresent(span -> all.add(stretch(span, name))));
        } else if (service instanceof ChannelService channels) {
            channels.spans().forEach(span -> all.add(stretch(span, service.title())));
        }
        all.sort(Comparator.comparingLong(Stretch::low));
        return all;
    }

    private static Stretch stretch(Span span, String name) {
        return new Stretch(span.low(), span.high(), name);
    }
}
