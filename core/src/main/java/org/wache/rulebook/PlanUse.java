package org.wache.rulebook;

import java.util.Locale;

/** What a band plan keeps a stretch for. */
public enum PlanUse {
    CW("CW"),
    WEAK_SIGNAL("weak signals (CW, SSB)"),
    PHONE("voice (SSB)"),
    AM("AM"),
    BEACON("beacons"),
    SATELLITE("satellites"),
    DATA("data"),
    /** The dial of an upper sideband at which sound-card data gathers. */
    DATA_DIAL("data by a sideband radio"),
    FM_SIMPLEX("FM direct"),
    REPEATER_INPUT("repeater inputs"),
    REPEATER_OUTPUT("repeater outputs"),
    LINEAR_TRANSLATOR("linear translators"),
    LINK("links"),
    ATV("television"),
    IMAGE("images"),
    REMOTE_CONTROL("remote control"),
    ANY("any use");

    private final String words;

    PlanUse(String words) {
        this.words = words;
    }

    /** As findings write it. */
    public String words() {
        return words;
    }

    static PlanUse of(String word) {
        return valueOf(word.toUpperCase(Locale.ROOT).replace('-', '_'));
    }
}
