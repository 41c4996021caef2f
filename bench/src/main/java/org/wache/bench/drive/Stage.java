package org.wache.bench.drive;

/** What is being done with a radio, in its order. */
public enum Stage {
    IDENTIFY("looking who is there"),
    READ("reading what is in it"),
    LOCK("setting its lock"),
    WRITE("writing"),
    SETTINGS("setting what is no channel"),
    CLOSE("closing"),
    READ_BACK("reading back"),
    COMPARE("comparing"),
    KEY_CHECK("key check");

    private final String words;

    Stage(String words) {
        this.words = words;
    }

    /** For people. */
    public String words() {
        return words;
    }
}
