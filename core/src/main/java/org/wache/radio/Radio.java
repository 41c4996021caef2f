package org.wache.radio;

import java.util.List;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * A radio as an audit holds a list against it: a model, how it is set, and which one it is.
 *
 * @param model the model
 * @param lock its lock setting; empty when it has none or none is known
 * @param label what the unit is called; empty when no unit is meant
 * @param inhibited whether its transmitter is switched off altogether
 * @param off bands on which its transmitter is switched off
 */
public record Radio(
        RadioModel model, Optional<LockMode> lock, Optional<String> label, boolean inhibited, List<Span> off) {

    public Radio {
        off = List.copyOf(off);
    }

    /** A radio that transmits on all bands that its lock lets it. */
    public Radio(RadioModel model, Optional<LockMode> lock, Optional<String> label, boolean inhibited) {
        this(model, lock, label, inhibited, List.of());
    }

    /** A model as such, in no particular setting. */
    public static Radio of(RadioModel model) {
        return new Radio(model, Optional.empty(), Optional.empty(), false);
    }

    /** What messages call it. */
    public String name() {
        return label.orElse(model.name());
    }

    /** The same radio with its transmitter switched off on these bands. */
    public Radio without(List<Span> bands) {
        return new Radio(model, lock, label, inhibited, bands);
    }

    /** The same, whichever of its kind it is. */
    public Radio unlabelled() {
        return label.isEmpty() ? this : new Radio(model, lock, Optional.empty(), inhibited, off);
    }

    /** Where its lock lets it transmit; empty when not known. Bands that are switched off on it are still among them. */
    public List<Span> transmits() {
        return lock.map(LockMode::transmit)
                .filter(spans -> !spans.isEmpty())
                .orElse(model.coverage().transmit());
    }

    /** The frequency on which it would talk for an entry: none for listening entries, when it is inhibited, and on a band that is off. */
    public Optional<Frequency> talksOn(Channel channel) {
        return inhibited ? Optional.empty() : channel.transmit().filter(frequency -> !isOff(frequency));
    }

    /** Whether its transmitter is switched off on the band of a frequency. */
    public boolean isOff(Frequency frequency) {
        return off.stream().anyMatch(span -> span.contains(frequency));
    }

    /** Whether it keys on a frequency; yes where nothing is known. */
    public boolean keys(Frequency frequency) {
        List<Span> spans = transmits();
        return !inhibited
                && !isOff(frequency)
                && (spans.isEmpty() || spans.stream().anyMatch(span -> span.contains(frequency)));
    }
}
