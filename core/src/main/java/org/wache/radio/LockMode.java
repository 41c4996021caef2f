package org.wache.radio;

import java.util.List;
import org.wache.signal.Span;

/**
 * A setting that decides where a radio transmits.
 *
 * @param name what the radio calls it
 * @param transmit where it transmits in this setting
 */
public record LockMode(String name, List<Span> transmit) {

    public LockMode {
        transmit = List.copyOf(transmit);
    }
}
