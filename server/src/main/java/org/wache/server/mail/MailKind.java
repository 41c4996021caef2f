package org.wache.server.mail;

/** What somebody can be told by mail. */
enum MailKind {
    /** Licences that end in 90, 30 and 7 days. */
    LICENCES("Licences that end"),
    /** Lists that wait for a second person's word. */
    SIGNATURES("Something to sign"),
    /** Releases that must not be used any longer. */
    RECALLS("A release was recalled");

    private final String heading;

    MailKind(String heading) {
        this.heading = heading;
    }

    /** What stands over such things in a mail. */
    String heading() {
        return heading;
    }
}
