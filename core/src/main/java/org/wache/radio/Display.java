package org.wache.radio;

/**
 * The name of an entry on a radio's display.
 *
 * @param length characters, at least 1
 * @param letters the characters it has
 */
public record Display(int length, ShortNames.Letters letters) {

    /** @throws IllegalArgumentException without a character */
    public Display {
        if (length < 1) {
            throw new IllegalArgumentException("A display has at least one character, not " + length);
        }
    }

    /** Whether a name stands on it as it is. */
    public boolean shows(String name) {
        return name.length() <= length && letters.have(name);
    }
}
