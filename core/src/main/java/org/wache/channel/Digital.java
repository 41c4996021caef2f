package org.wache.channel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a digital channel needs beside its frequency to be heard by those it is meant for.
 *
 * @param colourCode of DMR, 0 to 15: told apart by it as analogue channels are by a tone
 * @param timeSlot of DMR, 1 or 2
 * @param talkGroup of DMR, 1 to 16,777,215: who is called
 * @param accessCode the network access code of P25 (three hexadecimal digits), the random access number of NXDN (0 to 63)
 *     or a digital squelch (0 to 99), in capitals without zeros in front except for P25
 */
public record Digital(
        OptionalInt colourCode, OptionalInt timeSlot, OptionalInt talkGroup, Optional<String> accessCode) {

    /** Of a channel that gives nothing of the kind. */
    public static final Digital NONE =
            new Digital(OptionalInt.empty(), OptionalInt.empty(), OptionalInt.empty(), Optional.empty());
    /** In few words, as a card or a slip has them: {@code CC1 TS2 TG3100}; empty where nothing is given. */
    public String text() {
        List<String> all = new ArrayList<>();
        colourCode.ifPresent(code -> all.add("CC" + code));
        timeSlot.ifPresent(slot -> all.add("TS" + slot));
        talkGroup.ifPresent(group -> all.add("TG" + group));
        accessCode.ifPresent(code -> all.add("code " + code));
        return String.join(" ", all);
    }

    /** The highest colour code. Source: ETSI TS 102 361-1, from memory. */
    public static final int LAST_COLOUR = 15;
    /** The last slot of a frame. Source: ETSI TS 102 361-1, from memory. */
    public static final int LAST_SLOT = 2;
    /** The highest talk group that 24 bits can say, all ones being kept for everybody. From memory. */
    public static final int LAST_TALK_GROUP = 0xFFFFFF;
    /** The highest random access number of NXDN, six bits. From memory. */
    public static final int LAST_RANDOM_ACCESS = 63;
    /** The highest digital squelch. From memory. */
    public static final int LAST_SQUELCH = 99;
}
