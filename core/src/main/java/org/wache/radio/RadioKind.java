package org.wache.radio;

/** What a radio is carried or mounted as; some channels are for hand-held portables only. */
public enum RadioKind {
    HAND_HELD("hand-held"),
    MOBILE("mobile"),
    BASE("base station"),
    TRANSCEIVER("transceiver");

    private final String words;

    RadioKind(String words) {
        this.words = words;
    }

    /** As written in files and messages. */
    public String words() {
        return words;
    }
}
