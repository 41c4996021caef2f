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
 */
public record Radio(RadioModel model, Optional<LockMode> lock, Optional<String> label, boolean inhibited) {

    /** A model as such, in no particular setting. */
    public static Radio of(RadioModel model) {
        return new Radio(model, Optional.empty(), Optional.empty(), false);
    }

    /** What messages call it. */
    public String name() {
        return label.orElse(model.name());
    }

    /** Where it transmits as it is set; empty when not known. */
    public List<Span> transmits() {
        return lock.map(LockMode::transmit)
                .filter(spans -> !spans.isEmpty())
                .orElse(model.coverage().transmit());
    }

    /** The frequency on which it would talk for an entry: none for listening entries and when it is inhibited. */
    public Optional<Frequency> talksOn(Channel channel) {
        return inhibited ? Optional.empty() : channel.transmit();
    }

    /** Whether it keys on a frequency; yes where nothing is known. */
    public boolean keys(Frequency frequency) {
        List<Span> spans = transmits();
        return !inhibited && (spans.isEmpty() || spans.stream().anyMatch(span -> span.contains(frequency)));
    }
}
