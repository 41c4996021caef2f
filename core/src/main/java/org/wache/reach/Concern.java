package org.wache.reach;

import org.apache.commons.codec.digest.DigestUtils;

/**
 * Something about who reaches whom that somebody should have answered before a list goes out.
 *
 * @param kind what it is
 * @param subject the team, the person, or the entry by its number and name
 * @param entry the place of the entry, from 0; -1 when it is about none
 * @param message what was found, a sentence
 * @param about what the entry says where it talks and hears: with another it is another matter; empty when it is about none
 */
public record Concern(Kind kind, String subject, int entry, String message, String about) {

    /** About a team or a person. */
    Concern(Kind kind, String subject, String message) {
        this(kind, subject, -1, message, "");
    }

    /** What can be wrong with who reaches whom. */
    public enum Kind {
        /** Nobody of a team reaches anybody outside it. */
        TEAM_ALONE,
        /** Somebody neither reaches anybody nor is reached. */
        PERSON_ALONE,
        /** Somebody may key entries, and nobody else hears any of them. */
        UNHEARD,
        /** An entry that one alone may key. */
        ONE_TALKS
    }

    /** Tells it apart: the same as long as the same is found. */
    public String print() {
        return DigestUtils.sha256Hex(kind + "\u001F" + subject + "\u001F" + message + "\u001F" + about);
    }
}
