package org.wache.server.web;

import java.security.SecureRandom;
import java.util.Optional;
import org.slf4j.MDC;

/** What a request is called in the log, and by whoever tells of it: two times four letters and figures that are not mistaken for one another. */
final class Reference {

    /** Under which the lines of the log have it. */
    static final String KEY = "request";

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final String LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";
    private static final int LENGTH = 8;

    private Reference() {}

    /** Of the request that is being answered; a new one where none is. */
    static String current() {
        return Optional.ofNullable(MDC.get(KEY)).orElseGet(Reference::next);
    }

    static String next() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            text.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length()))).append(i == LENGTH / 2 - 1 ? "-" : "");
        }
        return text.toString();
    }
}
