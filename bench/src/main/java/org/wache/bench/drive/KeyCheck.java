package org.wache.bench.drive;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.wache.bench.image.RadioImage;
import org.wache.bench.image.StoredChannel;
import org.wache.bench.wire.Refusal;
import org.wache.radio.Radio;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/**
 * Tries the key: each entry that talks has to key, each that listens has to refuse, and so have frequencies outside the
 * radio's limits. A radio whose transmitter is to be off has to refuse inside its limits too, whatever is in its memories. On a real radio this is done into a dummy load or an antenna.
 */
public final class KeyCheck {

    /** How far outside an edge is tried, in hertz: on every usual step. */
    private static final long OUTSIDE = 100_000;

    private final RadioLink link;
    private final Radio radio;
    private final String callSign;

    public KeyCheck(RadioLink link, Radio radio, String callSign) {
        this.link = link;
        this.radio = radio;
        this.callSign = callSign;
    }

    /** Tries every entry of an image, then the edges of the radio's limits. */
    public List<KeyTrial> of(RadioImage image, RadioLink.Progress progress) throws LinkFault {
        Map<Integer, StoredChannel> entries = image.entries();
        List<Frequency> outside = outside();
        List<Frequency> inside = inside();
        List<KeyTrial> trials = new ArrayList<>();
        int total = entries.size() + outside.size() + inside.size();
        for (Map.Entry<Integer, StoredChannel> each : entries.entrySet()) {
            StoredChannel entry = each.getValue();
            boolean should = entry.transmit()
                    .filter(frequency -> !radio.inhibited() && !radio.isOff(frequency))
                    .isPresent();
            boolean there = link.select(each.getKey());
            Optional<Refusal> refused = there ? link.key(callSign, true) : Optional.of(Refusal.EMPTY);
            link.release();
            trials.add(new KeyTrial(
                    each.getKey(),
                    entry.name(),
                    entry.transmit().map(Frequency::megahertz).orElse(""),
                    should,
                    refused.isEmpty(),
                    refused.map(Refusal::words).orElse("")));
            progress.at(trials.size(), total);
        }
        for (Frequency frequency : outside) {
            trials.add(tuned(frequency, "outside its limits"));
            progress.at(trials.size(), total);
        }
        for (Frequency frequency : inside) {
            trials.add(tuned(frequency, "inside its limits"));
            progress.at(trials.size(), total);
        }
        return trials;
    }

    /** A frequency on which it may not key. */
    private KeyTrial tuned(Frequency frequency, String where) throws LinkFault {
        link.tune(new StoredChannel(
                frequency, Optional.of(frequency), mode(), 0, Optional.empty(), Optional.empty(), false, 0, 0, ""));
        Optional<Refusal> refused = link.key(callSign, true);
        link.release();
        return new KeyTrial(
                0,
                where,
                frequency.megahertz(),
                false,
                refused.isEmpty(),
                refused.map(Refusal::words).orElse(""));
    }

    /** Where it must not key although its limits let it: the middle of each band that is off, or of each of its limits when all is off. */
    private List<Frequency> inside() {
        return (radio.inhibited() ? radio.transmits() : radio.off())
                .stream()
                        .map(span -> radio.model().tuning().rounded(new Frequency((span.low() + span.high()) / 2)))
                        .toList();
    }

    private Mode mode() {
        return radio.model().tuning().modes().stream().findFirst().orElse(Mode.FM);
    }

    /** A little outside each edge of its limits, where its transmitter would still work, else at the edge of that. */
    private List<Frequency> outside() {
        TreeSet<Frequency> all = new TreeSet<>();
        for (Span span : radio.transmits()) {
            for (long hertz : new long[] {span.low() - OUTSIDE, span.high() + OUTSIDE}) {
                if (hertz > 0 && radio.transmits().stream().noneMatch(each -> each.contains(hertz))) {
                    all.add(radio.model().tuning().rounded(new Frequency(hertz)));
                }
            }
        }
        all.removeIf(frequency -> radio.transmits().stream().anyMatch(span -> span.contains(frequency)));
        return new ArrayList<>(all);
    }
}
