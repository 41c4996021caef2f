package org.wache.signal;

import java.util.stream.IntStream;

/**
 * The 23-bit Golay (23,12) word in which a DCS code goes on the air at 134.4 bit/s. The receiver has no frame start,
 * so a word and its 22 rotations sound the same. Source: the (23,12) Golay code with generator
 * x^11+x^10+x^6+x^5+x^4+x^2+1; the word of 023 is 0x763813.
 *
 * @param bits the word, parity in the upper 11 bits, the fixed bits 100 and the code in the lower 12
 */
public record GolayWord(int bits) {

    private static final int GENERATOR = 0xC75;
    private static final int LENGTH = 23;
    private static final int DATA = 12;
    private static final int PARITY = LENGTH - DATA;
    private static final int MASK = (1 << LENGTH) - 1;
    private static final int FIXED = 0b100 << 9;
    private static final int CODES = 1 << 9;
    private static final int[] SOUNDS =
            IntStream.range(0, CODES).map(code -> of(code).sound()).toArray();
    private static final int[] INVERTED_SOUNDS =
            IntStream.range(0, CODES).map(code -> of(code).inverted().sound()).toArray();

    /** The word that stands for the nine bits of a DCS code. */
    public static GolayWord of(int code) {
        int data = FIXED | code;
        int remainder = data << PARITY;
        for (int bit = LENGTH - 1; bit >= PARITY; bit--) {
            if ((remainder >> bit & 1) != 0) {
                remainder ^= GENERATOR << bit - PARITY;
            }
        }
        return new GolayWord(remainder << DATA | data);
    }

    /** The word sent with inverted polarity. */
    public GolayWord inverted() {
        return new GolayWord(~bits & MASK);
    }

    /** The lowest of the 23 rotations: equal for two words that sound the same. */
    public int sound() {
        int lowest = bits;
        int turned = bits;
        for (int i = 1; i < LENGTH; i++) {
            turned = turned >>> 1 | (turned & 1) << LENGTH - 1;
            lowest = Math.min(lowest, turned);
        }
        return lowest;
    }

    /** What a receiver hears of a DCS tone: equal for two tones that open the same receivers. */
    public static int sound(Tone.Dcs tone) {
        return (tone.inverted() ? INVERTED_SOUNDS : SOUNDS)[tone.code()];
    }
}
