package org.wache.operation;

/**
 * Something about an operation that keeps somebody unreached, or that should be settled before it begins.
 *
 * @param kind what it is
 * @param watch the place of the watch that it is about, from 0; -1 when it is about several or none
 * @param subject whom or what it is about
 * @param message what was found, a sentence
 * @param from the place of somebody who does not reach another; -1 where it is not about that
 * @param to whom they do not reach
 */
public record Trouble(Kind kind, int watch, String subject, String message, int from, int to) {

    /** About nobody who does not reach another. */
    public Trouble(Kind kind, int watch, String subject, String message) {
        this(kind, watch, subject, message, -1, -1);
    }

    /** What can be wrong with an operation; what cannot work comes first. */
    public enum Kind {
        /** An entry or a list that is used is not there any more. */
        GONE(true),
        /** Nobody of the roster is on a watch. */
        NOBODY(true),
        /** Nobody on a watch may talk on its entry with the radios that they have. */
        MAY_NOT_TALK(true),
        /** No radio of somebody on a watch can be set to its entry, or the list is not in it. */
        DEAF(true),
        /** Nobody on a watch reaches anybody else of the operation. */
        ALONE(true),
        /** Two that must talk cannot. */
        UNMET(true),
        /** Somebody is on two watches at once, on different entries. */
        TWO_PLACES(true),
        /** Two that must talk can, but are on entries that do not meet. */
        APART(false),
        /** Two that must talk are never on at the same time. */
        NEVER_TOGETHER(false),
        /** Some on a watch only listen on its entry. */
        SOME_LISTEN(false),
        /** Nobody else who is on then hears a watch. */
        UNHEARD(false),
        /** A watch has nothing to talk on. */
        NOTHING_TO_TALK_ON(false),
        /** A watch has nothing to fall back on. */
        NO_FALLBACK(false),
        /** What a watch falls back on fails together with what it talks on. */
        FALLS_TOGETHER(false),
        /** A list that is used has not gone out as it is now. */
        NOT_OUT(false);

        private final boolean fails;

        Kind(boolean fails) {
            this.fails = fails;
        }

        /** Whether it cannot work so; else it is a question. */
        public boolean fails() {
            return fails;
        }
    }
}
