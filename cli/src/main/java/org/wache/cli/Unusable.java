package org.wache.cli;

/** What was given cannot be used; the message is one line that says what and where. */
final class Unusable extends RuntimeException {
    private static final long serialVersionUID = 1;

    Unusable(String message) {
        super(message.replaceAll("\\s*\\R\\s*", " "));
    }
}
