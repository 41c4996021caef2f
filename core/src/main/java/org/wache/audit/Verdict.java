package org.wache.audit;

import java.util.Locale;

/** What an entry comes to, from best to worst. */
public enum Verdict {
    /** May be keyed, and nothing speaks against it. */
    CLEAR,
    /** Never transmits. */
    LISTEN,
    /** Legal, with a question open. */
    QUERY,
    /** May not go out. */
    HOLD;

    private final String text = name().toLowerCase(Locale.ROOT);

    /** As written in results. */
    public String text() {
        return text;
    }

    /** The worse of two. */
    public Verdict worse(Verdict other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
