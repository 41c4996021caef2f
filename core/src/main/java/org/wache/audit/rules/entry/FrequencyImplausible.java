package org.wache.audit.rules.entry;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** A frequency far outside radio use: mostly kilohertz or hertz in a column of megahertz. */
public final class FrequencyImplausible implements EntryRule {

    private static final List<Unit> UNITS = List.of(new Unit("kHz", 1_000), new Unit("Hz", 1_000_000));

    /** What receivers hear: 9 kHz to 30 GHz. */
    private static final Span HEARD = new Span(9_000, 30_000_000_000L);
    /** As far as channels of one band lie apart, and no more than a tenth of the frequency. */
    private static final long BESIDE = 30_000_000;

    private record Unit(String name, long divisor) {}

    private record Slip(Unit unit, Frequency meant) {}

    @Override
    public Slug slug() {
        return Slug.FREQUENCY_IMPLAUSIBLE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "A frequency that no such radio uses",
                "The number cannot be megahertz: it lies far outside what such a list holds, or nothing is there while the same "
                        + "digits read as kilohertz or hertz fall into a band.",
                "Write the frequency in megahertz; the likely value is offered.",
                RulePage.entry("amateur:technician", "rx_mhz=146520 tx_mhz=146520 mode=FM power_w=5"),
                RulePage.entry("amateur:technician", "rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        Optional<Frequency> receive = entry.channel().receive();
        Optional<Frequency> transmit = entry.channel().transmit();
        if (transmit.isEmpty() && receive.filter(heard -> HEARD.contains(heard)).isPresent()) {
            return heard(entry, receive.get());
        }
        boolean transmitOff =
                transmit.isPresent() && entry.services().isEmpty() && implausible(entry.edition(), transmit.get());
        boolean receiveOff = receive.isPresent()
                && (receive.equals(transmit) ? transmitOff : implausible(entry.edition(), receive.get()));
        if (!receiveOff && !transmitOff) {
            return List.of();
        }
        Frequency worst = receiveOff ? receive.get() : transmit.get();
        Optional<Slip> slip = slip(entry.edition(), worst);
        String guess = slip.map(s -> "; read as " + s.unit().name() + " it is " + s.meant())
                .orElse("");
        return List.of(Finding.hold(Slug.FREQUENCY_IMPLAUSIBLE)
                .message("%s is far outside what such a radio uses%s.", worst, guess)
                .working(() -> slip.map(s -> Sum.of(digits(worst), s.unit().name(), "as typed")
                                .step("÷", Long.toString(s.unit().divisor()), "", "to megahertz")
                                .gives(s.meant(), "likely meant"))
                        .orElse(Sum.NONE))
                .source("common practice")
                .cures(() -> cures(entry, receiveOff, transmitOff)));
    }

    /** To listen, anything may be meant; it is asked about where the same digits read another way fall beside what else the list has. */
    private static List<Finding> heard(Entry entry, Frequency receive) {
        Optional<Slip> slip = entry.edition().isSomeones(receive)
                ? Optional.empty()
                : slip(entry.edition(), receive).filter(each -> isBeside(entry, each.meant()));
        return slip.map(each -> List.of(Finding.query(Slug.FREQUENCY_IMPLAUSIBLE)
                        .message(
                                "%s is far from what else is on the list; read as %s it is %s.",
                                receive, each.unit().name(), each.meant())
                        .working(() -> Sum.of(digits(receive), each.unit().name(), "as typed")
                                .step("÷", Long.toString(each.unit().divisor()), "", "to megahertz")
                                .gives(each.meant(), "likely meant"))
                        .source("common practice")
                        .cures(() -> cures(entry, true, false))))
                .orElse(List.of());
    }

    private static boolean isBeside(Entry entry, Frequency meant) {
        long beside = Math.min(BESIDE, meant.hertz() / 10);
        Long next = entry.listFacts().receives().ceiling(meant.hertz() - beside);
        return next != null && next <= meant.hertz() + beside;
    }

    private static String digits(Frequency frequency) {
        return frequency.megahertz().replaceFirst("\\.?0+$", "");
    }

    private static boolean implausible(Edition edition, Frequency frequency) {
        if (!edition.plausible().contains(frequency)) {
            return true;
        }
        return !edition.isSomeones(frequency) && slip(edition, frequency).isPresent();
    }

    private static Optional<Slip> slip(Edition edition, Frequency frequency) {
        for (Unit unit : UNITS) {
            long hertz = frequency.hertz() / unit.divisor();
            if (hertz > 0 && hertz * unit.divisor() == frequency.hertz()) {
                Frequency meant = new Frequency(hertz);
                if (edition.plausible().contains(meant) && edition.isSomeones(meant)) {
                    return Optional.of(new Slip(unit, meant));
                }
            }
        }
        return Optional.empty();
    }

    private static List<Change> cures(Entry entry, boolean receiveOff, boolean transmitOff) {
        Map<Field, String> fields = new EnumMap<>(Field.class);
        if (receiveOff) {
            slip(entry.edition(), entry.channel().receive().orElseThrow())
                    .ifPresent(slip -> fields.put(Field.RX_MHZ, slip.meant().megahertz()));
        }
        if (transmitOff) {
            slip(entry.edition(), entry.channel().transmit().orElseThrow())
                    .ifPresent(slip -> fields.put(Field.TX_MHZ, slip.meant().megahertz()));
        }
        return fields.isEmpty()
                ? List.of()
                : List.of(new Change("Use " + fields.values().iterator().next() + " MHz", fields));
    }
}
