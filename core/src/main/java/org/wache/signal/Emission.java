package org.wache.signal;

import java.util.Optional;

/**
 * An emission designator: necessary bandwidth, modulation, nature of the signal, information. Source of the form:
 * 47 CFR 2.201, 2.202; ITU-R SM.1138.
 */
public final class Emission {

    private static final String MODULATIONS = "NAHRJBCFGDPKLMQVWX";
    private static final String NATURES = "0123789X";
    private static final String INFORMATION = "NABCDEFWX";
    private static final String DETAIL = "ABCDEFGHIJKLMNWX";
    private static final String MULTIPLEX = "NCFTWX";
    private static final int BANDWIDTH_LENGTH = 4;
    /** Highest audio frequency of telephony, hertz: 47 CFR 2.202(g), the worked examples. */
    private static final long HIGHEST_AUDIO = 3000;
    /** The worked example of 47 CFR 2.202(g) for a 2.7 kHz sideband has its lowest audio frequency at 300 Hz. */
    private static final long EXAMPLE_SSB = 2700;

    private static final long EXAMPLE_LOWEST_AUDIO = 300;
    private static final long LOWEST_AUDIO = 100;
    /** Of 6 MHz of television 1.25 MHz lie below the carrier. */
    private static final long VESTIGE_OF = 125;

    private static final long WHOLE_OF = 600;

    private final String designator;
    private final long bandwidth;
    private final int contents;

    private Emission(String designator, long bandwidth) {
        this.designator = designator;
        this.bandwidth = bandwidth;
        this.contents = contents(designator.charAt(4), designator.charAt(5), designator.charAt(6), bandwidth);
    }

    /**
     * Reads a designator strictly: three digits with one letter (H, K, M, G) at the decimal point, then three to five
     * symbols.
     *
     * @return empty when it is not one
     */
    public static Optional<Emission> parse(String text) {
        int length = text.length();
        if (length < BANDWIDTH_LENGTH + 3 || length > BANDWIDTH_LENGTH + 5) {
            return Optional.empty();
        }
        long bandwidth = bandwidth(text);
        boolean symbols = MODULATIONS.indexOf(text.charAt(4)) >= 0
                && NATURES.indexOf(text.charAt(5)) >= 0
                && INFORMATION.indexOf(text.charAt(6)) >= 0
                && (length < 8 || DETAIL.indexOf(text.charAt(7)) >= 0)
                && (length < 9 || MULTIPLEX.indexOf(text.charAt(8)) >= 0);
        return bandwidth > 0 && symbols ? Optional.of(new Emission(text, bandwidth)) : Optional.empty();
    }

    /** Reads a designator that is known to be one. @throws IllegalArgumentException when it is not */
    public static Emission of(String text) {
        return parse(text).orElseThrow(() -> new IllegalArgumentException("Not an emission designator: " + text));
    }

    private static long bandwidth(String text) {
        char first = text.charAt(0);
        if (first == '0' || first == 'K' || first == 'M' || first == 'G') {
            return 0;
        }
        long digits = 0;
        int decimals = -1;
        long unit = 0;
        for (int i = 0; i < BANDWIDTH_LENGTH; i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9') {
                digits = digits * 10 + (c - '0');
                if (decimals >= 0) {
                    decimals++;
                }
            } else {
                unit = unit == 0 ? unit(c) : 0;
                if (unit == 0) {
                    return 0;
                }
                decimals = 0;
            }
        }
        if (unit == 0) {
            return 0;
        }
        long scale = 1;
        for (int i = 0; i < decimals; i++) {
            scale *= 10;
        }
        return (digits * unit + scale - 1) / scale; // a fraction of a hertz is rounded up
    }

    private static long unit(char letter) {
        return switch (letter) {
            case 'H' -> 1;
            case 'K' -> 1_000;
            case 'M' -> 1_000_000;
            case 'G' -> 1_000_000_000;
            default -> 0;
        };
    }

    /**
     * The bandwidth part of a designator for so many hertz, rounded up to three figures: 11 200 gives {@code 11K2}.
     *
     * @throws IllegalArgumentException outside 1 Hz to 999 GHz
     */
    public static String bandwidthText(long hertz) {
        if (hertz < 1 || hertz > 999_000_000_000L) {
            throw new IllegalArgumentException("Bandwidth of 1 Hz to 999 GHz, not " + hertz);
        }
        long step = 1;
        while ((hertz + step - 1) / step > 999) {
            step *= 10;
        }
        long rounded = (hertz + step - 1) / step * step;
        long unit = rounded >= 1_000_000_000L
                ? 1_000_000_000L
                : rounded >= 1_000_000 ? 1_000_000 : rounded >= 1000 ? 1000 : 1;
        String letter = unit == 1 ? "H" : unit == 1000 ? "K" : unit == 1_000_000 ? "M" : "G";
        String whole = Long.toString(rounded / unit);
        String fraction =
                unit == 1 ? "00" : Long.toString(unit + rounded % unit).substring(1);
        return whole + letter + fraction.substring(0, Math.max(0, 3 - whole.length()));
    }

    /**
     * What a designator is made of, by the definitions of 47 CFR 97.3(c) (from memory), with two of the trade: F2D is
     * packet on FM, and digital voice, alone or with data, is of nature 1, 7, 9 or X with telephony (E) or a mixture (W).
     */
    private static int contents(char modulation, char nature, char information, long bandwidth) {
        boolean ordinary = "ACDFGHJR".indexOf(modulation) >= 0;
        boolean angle = modulation == 'F' || modulation == 'G';
        return switch (information) {
            case 'A' -> morse(modulation, nature, ordinary);
            case 'B' ->
                nature == '1' && "ACHR".indexOf(modulation) >= 0
                        ? Content.CW.bit()
                        : nature == '1' || modulation == 'J'
                                ? Content.DATA.bit()
                                : nature == '2' && ordinary ? Content.MCW.bit() : Content.OTHER.bit();
            case 'D' -> nature != '0' ? Content.DATA.bit() : Content.OTHER.bit();
            case 'C', 'F' -> Content.IMAGE.bit();
            case 'E' -> phone(modulation, nature, angle, bandwidth);
            case 'W' -> "179X".indexOf(nature) >= 0 ? digitalVoice(angle, bandwidth) : Content.OTHER.bit();
            default -> Content.OTHER.bit();
        };
    }

    private static int morse(char modulation, char nature, boolean ordinary) {
        if (nature == '1' || modulation == 'J') {
            return Content.CW.bit();
        }
        return nature == '2' && ordinary ? Content.MCW.bit() : Content.OTHER.bit();
    }

    private static int phone(char modulation, char nature, boolean angle, long bandwidth) {
        if ("127X".indexOf(nature) >= 0) { // 2: by a modulated subcarrier, such as digital voice from a sound card
            return digitalVoice(angle, bandwidth);
        }
        int bits = Content.PHONE.bit();
        if (!angle || lowIndex(bandwidth)) {
            bits |= Content.PHONE_LOW_INDEX.bit();
        }
        if (angle) {
            bits |= Content.FM.bit();
        } else if (modulation == 'J' || modulation == 'R') {
            bits |= Content.SSB.bit() | Content.SSB_REDUCED.bit();
        } else if (modulation == 'H') {
            bits |= Content.SSB.bit();
        } else if (modulation == 'A') {
            bits |= Content.AM.bit();
        }
        return bits;
    }

    private static int digitalVoice(boolean angle, long bandwidth) {
        return Content.PHONE.bit()
                | Content.DIGITAL_VOICE.bit()
                | (!angle || lowIndex(bandwidth) ? Content.PHONE_LOW_INDEX.bit() : 0);
    }

    /** Carson backwards: Bn = 2M + 2D, so the index D ÷ M is at most 1 while Bn is at most 4M. */
    private static boolean lowIndex(long bandwidth) {
        return bandwidth <= 4 * HIGHEST_AUDIO;
    }

    /** Peak deviation in hertz of analogue FM telephony of this bandwidth, from Bn = 2M + 2D with M = 3 kHz. */
    public long deviation() {
        return bandwidth / 2 - HIGHEST_AUDIO;
    }

    /** The designator as it was written. */
    public String designator() {
        return designator;
    }

    /** Necessary bandwidth in hertz. */
    public long bandwidth() {
        return bandwidth;
    }

    /** The set of {@link Content} bits. */
    public int contents() {
        return contents;
    }

    /** Whether it carries this content. */
    public boolean is(Content content) {
        return (contents & content.bit()) != 0;
    }

    /** The last characters, which tell the kind apart from the width: {@code F3E}. */
    public String kind() {
        return designator.substring(BANDWIDTH_LENGTH);
    }

    /**
     * Whether it lies on one side of the dial frequency: single sideband with telephony, images or sound-card data. Morse
     * and radioteletype (J2A, J2B) are listed by the frequency they are heard on.
     */
    public boolean oneSided() {
        char modulation = designator.charAt(4);
        return "JRH".indexOf(modulation) >= 0 && "CDEF".indexOf(designator.charAt(6)) >= 0;
    }

    /**
     * Whether one sideband is only a vestige, as of television: a 6 MHz channel (C3F 6M00) has its picture carrier 1.25 MHz above
     * its lower end (47 CFR 73.682(a)(1), from memory); other widths in proportion.
     */
    public boolean vestigial() {
        return designator.charAt(4) == 'C';
    }

    /** Whether it reaches as far below the transmit frequency as above. */
    public boolean symmetrical() {
        return !oneSided() && !vestigial();
    }

    /**
     * Lower and upper end of the signal relative to the transmit frequency, in hertz: half of the bandwidth to each
     * side, the audio passband above (below, for the lower sideband) the dial, or a vestige below and the rest above.
     */
    public Span aroundDial(boolean lowerSideband) {
        if (vestigial()) {
            long vestige = bandwidth * VESTIGE_OF / WHOLE_OF;
            return new Span(-vestige, bandwidth - vestige);
        }
        if (!oneSided()) {
            long half = bandwidth / 2;
            return new Span(-half, half);
        }
        if (designator.charAt(4)
                != 'J') { // the carrier is sent too, at the dial: Bn is its distance to the highest audio
            return lowerSideband ? new Span(-bandwidth, 0) : new Span(0, bandwidth);
        }
        long near = bandwidth == EXAMPLE_SSB ? EXAMPLE_LOWEST_AUDIO : LOWEST_AUDIO;
        return lowerSideband ? new Span(-near - bandwidth, -near) : new Span(near, near + bandwidth);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Emission that && designator.equals(that.designator);
    }

    @Override
    public int hashCode() {
        return designator.hashCode();
    }

    @Override
    public String toString() {
        return designator;
    }
}
