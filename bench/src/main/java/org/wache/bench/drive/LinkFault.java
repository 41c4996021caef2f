package org.wache.bench.drive;

/** Something went wrong with a radio; the message says what, the cure what to do about it. */
public final class LinkFault extends Exception {
    private static final long serialVersionUID = 1;

    private final String cure;

    /** A fault with its cure, each in one sentence. */
    public LinkFault(String message, String cure) {
        super(message);
        this.cure = cure;
    }

    /** What to do about it. */
    public String cure() {
        return cure;
    }
}
