package org.wache.radio;

import java.util.List;
import java.util.Optional;
import org.wache.signal.Span;

/**
 * Where a radio works. Empty lists mean that nothing is known.
 *
 * @param transmit where its transmitter works at all (its band split)
 * @param receive where its receiver works
 * @param lockModes settings that narrow the transmitter
 * @param lockErases what a change of the setting erases, in words; empty when nothing
 */
public record Coverage(List<Span> transmit, List<Span> receive, List<LockMode> lockModes, List<String> lockErases) {

    public Coverage {
        transmit = List.copyOf(transmit);
        receive = List.copyOf(receive);
        lockModes = List.copyOf(lockModes);
        lockErases = List.copyOf(lockErases);
    }

    /** The setting of this name, in any case. */
    public Optional<LockMode> lock(String name) {
        return lockModes.stream()
                .filter(each -> each.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }
}
