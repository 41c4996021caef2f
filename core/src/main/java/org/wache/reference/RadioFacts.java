package org.wache.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.finding.Wording;
import org.wache.radio.LockMode;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RegionSets.RegionSet;
import org.wache.signal.Span;

/** What is to be known of a radio before any list goes into it: whose band limits it has, and whether it is open. */
public final class RadioFacts {

    /** How a fact is told. */
    public enum Weight {
        NOTE,
        WARNING
    }

    /**
     * A fact.
     *
     * @param weight whether it is a warning
     * @param text in one or two sentences
     * @param source where it comes from
     */
    public record Fact(Weight weight, String text, String source) {}

    private RadioFacts() {}

    /** The facts of a radio as it is set. */
    public static List<Fact> of(Radio radio, Edition edition) {
        List<Fact> facts = new ArrayList<>();
        foreign(radio, edition).or(() -> cut(radio, edition)).ifPresent(facts::add);
        open(radio, edition).ifPresent(facts::add);
        mixed(radio.model(), edition).ifPresent(facts::add);
        return facts;
    }

    private static Optional<Fact> foreign(Radio radio, Edition edition) {
        Optional<RegionSet> set = edition.regionSets().of(radio.transmits()).filter(each -> !each.id()
                .equals(edition.rulebook()));
        String how =
                radio.lock().map(lock -> "Set to “" + lock.name() + "” it has").orElse("It has");
        return set.map(each -> new Fact(
                Weight.WARNING,
                how + " the band limits of " + each.say() + ": it refuses to key on part of the" + " frequencies here."
                        + remedy(radio, edition),
                each.source()));
    }

    /** Limits that are those of no known place, and leave out part of what may be keyed here. */
    private static Optional<Fact> cut(Radio radio, Edition edition) {
        List<Span> transmits = radio.transmits();
        if (radio.inhibited() || edition.regionSets().of(transmits).isPresent()) {
            return Optional.empty();
        }
        List<String> parts = edition.regionSets().sets().stream()
                .filter(set -> set.id().equals(edition.rulebook()))
                .flatMap(set -> set.spans().stream())
                .flatMap(whole -> transmits.stream()
                        .filter(whole::overlaps)
                        .filter(part -> part.low() > whole.low() || part.high() < whole.high())
                        .map(part -> plain(Math.max(part.low(), whole.low())) + "–"
                                + plain(Math.min(part.high(), whole.high())) + " of " + plain(whole.low()) + "–"
                                + plain(whole.high()) + " MHz"))
                .toList();
        String how = radio.lock().map(lock -> "Set to “" + lock.name() + "” it").orElse("It");
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(new Fact(
                        Weight.WARNING,
                        how + " keys only on " + Wording.list(parts)
                                + ": limits of no known place, and wrong for here. What lies beyond them it refuses."
                                + remedy(radio, edition),
                        "the model's data"));
    }

    private static String plain(long hertz) {
        return java.math.BigDecimal.valueOf(hertz, 6).stripTrailingZeros().toPlainString();
    }

    private static String remedy(Radio radio, Edition edition) {
        Optional<LockMode> right = radio.model().coverage().lockModes().stream()
                .filter(mode -> edition.regionSets()
                        .of(mode.transmit())
                        .filter(set -> set.id().equals(edition.rulebook()))
                        .isPresent())
                .min(java.util.Comparator.comparingLong(RadioFacts::width));
        List<String> erased = radio.model().coverage().lockErases();
        String cost = erased.isEmpty() ? "" : " That erases its " + Wording.list(erased) + ": read and save it first.";
        return right.filter(mode -> radio.lock().isPresent())
                .map(mode -> " Set its lock to “" + mode.name() + "”." + cost)
                .orElse("");
    }

    private static long width(LockMode mode) {
        return mode.transmit().stream().mapToLong(Span::length).sum();
    }

    /** A radio that could be locked more narrowly and is not. */
    private static Optional<Fact> open(Radio radio, Edition edition) {
        Optional<LockMode> lock = radio.lock();
        if (lock.isEmpty() || radio.inhibited()) {
            return Optional.empty();
        }
        boolean widest =
                radio.model().coverage().lockModes().stream().allMatch(each -> width(each) <= width(lock.get()));
        boolean narrowerExists =
                radio.model().coverage().lockModes().stream().anyMatch(each -> width(each) < width(lock.get()));
        if (!widest || !narrowerExists) {
            return Optional.empty();
        }
        return Optional.of(new Fact(
                Weight.WARNING,
                "It is open (“" + lock.get().name() + "”): it keys wherever its transmitter reaches,"
                        + " also where none of its carriers may. Owning it is legal for an amateur; it is no reason to release an entry."
                        + remedy(radio, edition),
                "common practice, no source"));
    }

    /** A radio that also transmits on amateur frequencies cannot be certified for GMRS. */
    private static Optional<Fact> mixed(RadioModel model, Edition edition) {
        boolean claims =
                model.certifiedFor().filter(parts -> parts.contains("95E")).isPresent();
        boolean reachesAmateur = claims
                && edition.planned().stream()
                        .flatMap(bands -> bands.grants().stream())
                        .anyMatch(grant -> model.coverage().transmit().stream().anyMatch(grant.span()::overlaps));
        return reachesAmateur
                ? Optional.of(new Fact(
                        Weight.WARNING,
                        "It is entered as certified under Part 95E, and it transmits on amateur"
                                + " frequencies too. Such a radio cannot be certified for GMRS: look at its label.",
                        edition.cite("95.1761")))
                : Optional.empty();
    }
}
