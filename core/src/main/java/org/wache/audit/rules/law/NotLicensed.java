package org.wache.audit.rules.law;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.RulePage;
import org.wache.audit.StrandedRule;
import org.wache.audit.cure.Cures;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.rulebook.Allocation;
import org.wache.rulebook.AuthorisedService;
import org.wache.rulebook.BandService;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;

/** A service could be licensed there, and the holder has none of them. */
public final class NotLicensed implements StrandedRule {

    @Override
    public Slug slug() {
        return Slug.NOT_LICENSED;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "The holder has no licence for any service there",
                "The frequency belongs to services for which a licence can be had, and whoever carries the list holds none of "
                        + "them. Where a licence names frequencies this holds even if nobody ever keys it.",
                "Take the transmit frequency out, so that the entry only listens, or name a holder with the licence.",
                RulePage.entry("nobody", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                RulePage.entry("nobody", "rx_mhz=146.550 mode=FM"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Frequency transmit = entry.channel().transmit().orElseThrow();
        Optional<Allocation> allocation = entry.edition().allocation(transmit);
        List<Service> licensed = entry.services().stream()
                .filter(service -> !service.traits().terms().aboardOnly())
                .filter(service -> !(service instanceof AuthorisedService)
                        || allocation.isEmpty()
                        || allocation.get().licensable())
                .toList();
        if (licensed.isEmpty() && (allocation.isEmpty() || !allocation.get().licensable())) {
            return List.of();
        }
        String needs = licensed.isEmpty()
                ? allocation.get().whose() + ": " + allocation.get().say()
                : "needs "
                        + String.join(
                                " or ",
                                licensed.stream()
                                        .map(service -> needed(service, entry))
                                        .toList());
        boolean banded = licensed.stream()
                .anyMatch(BandService.class::isInstance); // the coarse table knows nothing of their bands
        String whose = licensed.isEmpty() || allocation.isEmpty() || banded
                ? ""
                : " (" + allocation.get().whose() + ")";
        return List.of(Finding.hold(Slug.NOT_LICENSED)
                .message("%s%s %s; the holder has none.", transmit, whose, needs)
                .working(() -> working(licensed, allocation, transmit))
                .source(source(entry, licensed))
                .cures(() -> Cures.orListen(Cures.otherOffsets(entry))));
    }

    private static Sum working(List<Service> licensed, Optional<Allocation> allocation, Frequency transmit) {
        Sum sum = Sum.of(transmit, "talks on");
        if (licensed.isEmpty()) {
            return allocation.map(row -> sum.inside(row.span(), row.whose())).orElse(sum);
        }
        Service first = licensed.get(0);
        return first.spanAt(transmit)
                .map(span -> sum.inside(span, first.title()))
                .orElse(sum);
    }

    private static String needed(Service service, Entry entry) {
        if (service instanceof AuthorisedService) {
            return article(service) + " licence that lists it";
        }
        if (service instanceof BandService bands) {
            int lowest = bands.lowestClassFor(
                    entry.channel().emission().orElseThrow(),
                    entry.channel().transmit().get());
            String least = lowest < 0
                    ? ""
                    : " (" + Wording.capital(service.traits().classes().get(lowest)) + " or higher)";
            return article(service) + " licence" + least;
        }
        return article(service) + " licence";
    }

    private static String article(Service service) {
        String name = service.inText();
        return ("aeiou".indexOf(name.charAt(0)) >= 0 ? "an " : "a ") + name;
    }

    private static String source(Entry entry, List<Service> licensed) {
        List<String> sections = new ArrayList<>();
        for (Service service : licensed) {
            sections.add(
                    service instanceof AuthorisedService authorised
                            ? authorised.source()
                            : service.traits().part());
        }
        return entry.edition()
                .cite(sections.isEmpty() ? entry.edition().allocationSource() : String.join(", ", sections));
    }
}
