package org.wache.server.web;

/** What was changed is not as it was when the change was begun: somebody else was there first, and nothing was saved. */
public final class Stale extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Object theirs;

    /**
     * A change that would go over somebody else's.
     *
     * @param words what somebody else did, that nothing was saved, and what to do now
     * @param theirs what is there now, in the form in which the endpoint gives it; what was meant, the asker has
     */
    public Stale(String words, Object theirs) {
        super(words);
        this.theirs = theirs;
    }

    public Object theirs() {
        return theirs;
    }
}
