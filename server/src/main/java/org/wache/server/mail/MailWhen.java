package org.wache.server.mail;

/** When somebody is told. */
enum MailWhen {
    NEVER,
    AT_ONCE,
    /** With everything else of the day, in one mail in the morning. */
    DAILY
}
