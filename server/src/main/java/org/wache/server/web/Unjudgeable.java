package org.wache.server.web;

/** A list that cannot be judged, because what it is held against cannot be read; the message says what and where to mend it. */
public final class Unjudgeable extends RuntimeException {
    private static final long serialVersionUID = 1;

    public Unjudgeable(String why) {
        super("This list cannot be judged: " + SettingWords.of(why) + ". " + where(why));
    }

    private static String where(String why) {
        if (why.startsWith("radios")) {
            return "Mend the model on the page Radios.";
        }
        if (why.startsWith("holders")) {
            return "Mend the licence in the roster, or of whoever is named with the list.";
        }
        return why.startsWith("overlay")
                ? "Mend the row on the page Band plan."
                : "Mend it on its page Place and rules.";
    }
}
