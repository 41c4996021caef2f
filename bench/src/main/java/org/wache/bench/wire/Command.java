package org.wache.bench.wire;

import java.util.Arrays;
import java.util.Optional;

/** What the bench may ask of a radio. An answer is the command with its highest bit set, or {@link #REFUSED}. */
public enum Command {
    /** Who are you: answered with {@link Identity}. */
    HELLO(0x01),
    /** Begin programming. */
    OPEN(0x02),
    /** Read bytes of the image: offset (4), length (2). */
    READ(0x03),
    /** Write bytes of the image: offset (4), bytes. Kept only after {@link #CLOSE}. */
    WRITE(0x04),
    /** Keep what was written and leave programming. */
    CLOSE(0x05),
    /** Leave programming; what was written is lost. */
    LEAVE(0x06),
    /** Set the lock: its name. Erases what the model says. */
    LOCK(0x07),
    /** Choose a memory: number (2). */
    SELECT(0x08),
    /** Choose frequencies directly: receive (4), transmit (4), mode (1), power level (1), tones sent and received (3 each). */
    TUNE(0x09),
    /** Press the key, with the call sign that is spoken and a byte that is 1 into a dummy load; or release it, with nothing. */
    KEY(0x0A),
    /** Is the squelch open: one byte, 1 when it is. */
    SQUELCH(0x0B),
    /** Switch the transmitter off for good, 1, or on, 0. */
    INHIBIT(0x0C),
    /** Set what belongs to no channel: what it is, and its value, as two texts. Kept only after {@link #CLOSE}. */
    SET(0x0D),
    /** How is it set: what it is, as a text; answered with its value. */
    GET(0x0E);

    /** The command of a refusal: {@link Refusal} (1), memory concerned (2). */
    public static final int REFUSED = 0x7F;
    /** The bit that an answer has. */
    public static final int ANSWER = 0x80;

    private final int code;

    Command(int code) {
        this.code = code;
    }

    /** The byte on the line. */
    public int code() {
        return code;
    }

    /** The command of a byte. */
    public static Optional<Command> of(int code) {
        return Arrays.stream(values()).filter(each -> each.code == code).findFirst();
    }
}
