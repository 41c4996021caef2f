package org.wache.bench.simulated;

import java.util.Arrays;
import java.util.Optional;

/** What can be made to go wrong with a simulated radio. */
public enum Fault {
    /** Nothing comes back any more. */
    CABLE_OUT("cable-out"),
    /** The radio says so once and is gone. */
    FLAT_BATTERY("flat-battery"),
    /** Another radio is on the cable. */
    WRONG_MODEL("wrong-model"),
    /** Every answer comes damaged. */
    CHECKSUM("checksum"),
    /** One answer comes damaged; the next one is good. */
    CHECKSUM_ONCE("checksum-once");

    private final String text;

    Fault(String text) {
        this.text = text;
    }

    /** As written in requests. */
    public String text() {
        return text;
    }

    /** The fault of a text. */
    public static Optional<Fault> of(String text) {
        return Arrays.stream(values()).filter(each -> each.text.equals(text)).findFirst();
    }
}
