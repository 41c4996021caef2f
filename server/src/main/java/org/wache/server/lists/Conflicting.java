package org.wache.server.lists;

/** Two people changed one field; carries both versions. */
public final class Conflicting extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient Views.Conflict conflict;

    public Conflicting(Views.Conflict conflict) {
        super(conflict.title());
        this.conflict = conflict;
    }

    public Views.Conflict conflict() {
        return conflict;
    }
}
