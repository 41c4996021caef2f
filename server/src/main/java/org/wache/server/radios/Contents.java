package org.wache.server.radios;

import java.util.List;
import java.util.Map;

/** What was put into radios, held against those who have them, or are to have them, as the licences are today. */
public interface Contents {

    /** An entry that a radio talks on and that whoever has it may not key; the message says why. */
    record NotTheirs(String number, String name, String message, String source) {}

    /**
     * A radio in one hand.
     *
     * @param known whether what is in it was written from here, so that it can be held against somebody
     * @param talks on how many entries they may talk
     * @param listens on how many it only listens
     */
    record InHand(boolean known, int talks, int listens, List<NotTheirs> notTheirs) {

        /** Of a radio of which nobody knows what is in it. */
        public static final InHand UNKNOWN = new InHand(false, 0, 0, List.of());
    }

    /** A radio of a group, whoever has it, in the hand of one of the roster. */
    InHand against(long club, long unit, long party);

    /** The radios of a group that somebody has, by their keys. */
    Map<Long, InHand> inHands(long club);

    /**
     * Entries of the lists in use that the radios of a group refuse to key because of how they are limited: for those lists that go
     * into radios of that model, in words, by the keys of the radios.
     */
    Map<Long, List<String>> refused(long club);
}
