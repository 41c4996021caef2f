package org.wache.bench.wire;

import java.util.Arrays;

/** Why a radio refuses. */
public enum Refusal {
    UNKNOWN(1, "it does not know the command"),
    NOT_OPEN(2, "it is not in programming"),
    OUTSIDE_SPLIT(3, "the frequency lies outside its band split"),
    OUTSIDE_MEMORY(4, "there is no such memory"),
    EMPTY(5, "the memory is empty"),
    OUTSIDE_LIMITS(6, "its band limits do not let it key there"),
    INHIBITED(7, "its transmitter is switched off"),
    LISTEN_ONLY(8, "the memory only listens"),
    BATTERY(9, "its battery is flat"),
    NO_SUCH_LOCK(11, "it has no such lock setting"),
    NO_SUCH_SETTING(12, "it has no such setting, or not this value of it"),
    BAND_OFF(13, "transmitting is switched off on that band");

    private final int code;
    private final String words;

    Refusal(int code, String words) {
        this.code = code;
        this.words = words;
    }

    /** The byte on the line. */
    public int code() {
        return code;
    }

    /** In words, after “because”. */
    public String words() {
        return words;
    }

    /** The refusal of a byte; {@link #UNKNOWN} for one that is not known. */
    public static Refusal of(int code) {
        return Arrays.stream(values())
                .filter(each -> each.code == code)
                .findFirst()
                .orElse(UNKNOWN);
    }
}
