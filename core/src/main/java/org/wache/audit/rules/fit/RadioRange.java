package org.wache.audit.rules.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wache.audit.Fit;
import org.wache.audit.FitRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.finding.Sum;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.radio.LockMode;
import org.wache.radio.Radio;
import org.wache.rulebook.RegionSets.RegionSet;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** The radio does not hear there, or does not talk there as it is set. */
public final class RadioRange implements FitRule {

    @Override
    public Slug slug() {
        return Slug.RADIO_RANGE;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "Outside what the radio reaches",
                        "The radio's receiver does not go there, its transmitter does not, or its lock setting keeps it from talking "
                                + "there. Where a setting has the band limits of another country, that is said by name.",
                        "Set the radio's lock as it should be, which may erase its memories; use another model; or only listen.",
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=223.940 tx_mhz=222.340 mode=FM power_w=5 tx_tone=100.0"),
                        RulePage.entry(
                                "amateur:technician", "rx_mhz=146.940 tx_mhz=146.340 mode=FM power_w=5 tx_tone=100.0"))
                .within(
                        "{\"format\": \"wache-context/1\", \"radios\": [{\"model\": \"The hand-held\", \"transmit\": [[\"144\", \"148\"], [\"420\", "
                                + "\"450\"]], \"receive\": [[\"136\", \"174\"], [\"400\", \"480\"]]}]}");
    }

    @Override
    public List<Finding> on(Fit fit) {
        if (!fit.model().tuning().table().isEmpty()) {
            return inTable(fit).map(List::of).orElse(List.of());
        }
        if (!fit.model().tuning().fixed().isEmpty()) {
            return fixed(fit).map(List::of).orElse(List.of());
        }
        List<Finding> found = new ArrayList<>(1);
        fit.channel()
                .transmit()
                .filter(frequency -> !fit.radio().inhibited() && fit.radio().isOff(frequency))
                .ifPresent(frequency -> found.add(off(fit, frequency)));
        fit.channel()
                .receive()
                .filter(frequency -> !reaches(fit.model().coverage().receive(), frequency)
                        && !fit.channel().transmit().equals(Optional.of(frequency)))
                .ifPresent(frequency -> found.add(deaf(fit, frequency)));
        fit.talksOn().ifPresent(frequency -> {
            if (!fit.radio().keys(frequency)) {
                found.add(mute(fit, frequency));
            } else if (!fit.channel().isPair()
                    && !reaches(fit.model().coverage().receive(), frequency)) {
                found.add(deaf(fit, frequency));
            }
        });
        return found;
    }

    private static boolean reaches(List<Span> spans, Frequency frequency) {
        return spans.isEmpty() || spans.stream().anyMatch(span -> span.contains(frequency));
    }

    private static Finding deaf(Fit fit, Frequency frequency) {
        List<Span> spans = fit.model().coverage().receive();
        return fit.hold(Slug.RADIO_RANGE)
                .message(() -> fit.name() + " does not hear " + frequency + ". It hears " + words(spans) + ".")
                .working(() -> nearest(frequency, spans, "its receiver's limit"))
                .source("the model's data")
                .advice(() -> otherModels(
                        fit, radio -> reaches(radio.model().coverage().receive(), frequency)));
    }

    /** Switched off on purpose, so it only listens there: a query, for whoever counts on hearing from it. */
    private static Finding off(Fit fit, Frequency frequency) {
        List<Span> band = fit.radio().off().stream()
                .filter(span -> span.contains(frequency))
                .toList();
        return fit.query(Slug.RADIO_RANGE)
                .message(() ->
                        fit.name() + " only listens here: its transmitter is switched off on " + words(band) + ".")
                .source("how the radio is set");
    }

    private static Finding mute(Fit fit, Frequency frequency) {
        Radio radio = fit.radio();
        List<Span> spans = radio.transmits();
        boolean locked = reaches(fit.model().coverage().transmit(), frequency);
        Optional<RegionSet> set = fit.entry().edition().regionSets().of(spans).filter(each -> !each.id()
                .equals(fit.entry().edition().rulebook()));
        return fit.hold(Slug.RADIO_RANGE)
                .message(() -> locked
                        ? radio.name() + " is set to “"
                                + radio.lock().map(LockMode::name).orElse("") + "” and refuses to key on " + frequency
                                + set.map(each -> ": those are the band limits of " + each.say())
                                        .orElse("") + "."
                        : radio.name() + " does not transmit on " + frequency
                                + set.map(each -> ": its band limits are those of " + each.say())
                                        .orElse("") + ". It transmits on " + words(spans) + ".")
                .working(() -> nearest(frequency, spans, locked ? "limit of its setting" : "limit of its transmitter"))
                .source("the model's data")
                .cures(() -> List.of(Change.listenOnly()))
                .advice(() -> {
                    List<String> all = new ArrayList<>();
                    settings(fit, frequency).forEach(all::add);
                    all.addAll(otherModels(fit, other -> other.keys(frequency)));
                    return all;
                });
    }

    private static List<String> settings(Fit fit, Frequency frequency) {
        List<String> erased = fit.model().coverage().lockErases();
        String cost = erased.isEmpty() ? "" : " That erases its " + Wording.list(erased) + ": read and save it first.";
        return fit.model().coverage().lockModes().stream()
                .filter(mode -> fit.radio().lock().isPresent() && reaches(mode.transmit(), frequency))
                .min(java.util.Comparator.comparingLong(
                        mode -> mode.transmit().stream().mapToLong(Span::length).sum()))
                .map(mode -> List.of("Set its lock to “" + mode.name() + "”, which talks there." + cost))
                .orElse(List.of());
    }

    private static List<String> otherModels(Fit fit, java.util.function.Predicate<Radio> fits) {
        List<String> others = fit.others(fits);
        return others.isEmpty() ? List.of() : List.of("Use it in " + Wording.list(others) + " only.");
    }

    /** A radio whose frequencies are named by their place in a table has no others. */
    private static Optional<Finding> inTable(Fit fit) {
        List<Frequency> table = fit.model().tuning().table();
        return java.util.stream.Stream.of(fit.channel().receive(), fit.talksOn())
                .flatMap(Optional::stream)
                .filter(frequency -> fit.model().tuning().index(frequency) == 0)
                .findFirst()
                .map(frequency -> fit.hold(Slug.RADIO_RANGE)
                        .message(
                                "%s names its %d frequencies by number, and %s is none of them.",
                                fit.name(), table.size(), frequency)
                        .source("the model's table of frequencies")
                        .advice(() -> otherModels(
                                fit,
                                other -> other.model().tuning().table().isEmpty()
                                        || other.model().tuning().index(frequency) > 0)));
    }

    /** A radio with fixed channels has no others. */
    private static Optional<Finding> fixed(Fit fit) {
        return fit.channel()
                .receive()
                .filter(receive -> !hasFixed(fit.radio(), fit.channel()))
                .map(receive -> fit.hold(Slug.RADIO_RANGE)
                        .message(
                                "The %d channels of %s are fixed, and none of them hears %s%s.",
                                fit.model().tuning().fixed().size(),
                                fit.name(),
                                receive,
                                fit.talksOn()
                                        .map(talks -> " and talks on " + talks)
                                        .orElse(""))
                        .source("the model's table of channels")
                        .advice(() -> otherModels(fit, other -> hasFixed(other, fit.channel()))));
    }

    /** An entry that only listens may stand on a channel that could talk, where the radio is kept from it. */
    private static boolean hasFixed(Radio radio, Channel channel) {
        return radio.model().tuning().fixed().isEmpty()
                || radio.talksOn(channel).isEmpty()
                        && radio.model().tuning().fixed().stream()
                                .anyMatch(each -> channel.receive().equals(Optional.of(each.receive())))
                || radio.model().tuning().fixedPlace(channel.receive().orElseThrow(), channel.transmit()) > 0;
    }

    private static String words(List<Span> spans) {
        return spans.isEmpty()
                ? "nowhere"
                : spans.stream()
                                .map(span -> plain(span.low()) + "–" + plain(span.high()))
                                .collect(Collectors.joining(" and "))
                        + " MHz";
    }

    private static String plain(long hertz) {
        return Frequency.megahertz(hertz).replaceFirst("\\.?0+$", "");
    }

    private static Sum nearest(Frequency frequency, List<Span> spans, String label) {
        long edge = spans.stream()
                .flatMap(span -> java.util.stream.Stream.of(span.low(), span.high()))
                .min(java.util.Comparator.comparingLong(each -> Math.abs(each - frequency.hertz())))
                .orElse(frequency.hertz());
        return Sum.of(frequency, "asked for")
                .limit(new Frequency(edge), label)
                .rest(Frequency.megahertz(Math.abs(frequency.hertz() - edge)), "MHz", "outside");
    }
}
