package org.wache.signal;

import java.util.Optional;

/**
 * The modes that a list may name, and the designator each stands for when the list gives none. Source: the worked
 * examples of 47 CFR 2.202(g) for FM, AM and sideband; makers' designators as commonly filed for the digital ones.
 */
public enum Mode {
    /** Wide FM, peak deviation 5 kHz. */
    FM("16K0F3E"),
    /** Narrow FM, peak deviation 2.5 kHz. */
    NFM("11K2F3E"),
    /** Double sideband with carrier. */
    AM("6K00A3E"),
    /** Upper sideband. */
    USB("2K80J3E"),
    /** Lower sideband. */
    LSB("2K80J3E"),
    /** Morse telegraphy. */
    CW("150HA1A"),
    /** Digital mobile radio, two time slots. */
    DMR("7K60FXE"),
    /** APCO Project 25 phase 1. */
    P25("8K10F1E"),
    /** NXDN on 6.25 kHz channels. */
    NXDN("4K00F1E"),
    /** Other digital voice on 12.5 kHz channels; assumed as wide as narrow FM when no designator is given. */
    DV("11K2F1E"),
    /** Packet on wide FM. */
    PKT("16K0F2D"),
    /** Sound-card data on upper sideband. */
    DATA("2K80J2D"),
    /** FT8 by sideband: wherever in the passband its 50 Hz stand, the passband is what may be filled. */
    FT8("2K80J2D"),
    /** PSK31 by sideband: as above, 60 Hz somewhere in the passband. */
    PSK31("2K80J2D"),
    /** Radioteletype, 45 Bd and 170 Hz shift: 45.45 + 1.2 × 170 Hz = 249 Hz. Source: 47 CFR 2.202(g), keyed frequency. */
    RTTY("249HF1B"),
    /** Slow-scan television by sideband. */
    SSTV("2K80J3C"),
    /** Four-level frequency modulation, voice with data, on 12.5 kHz channels. Width from memory. */
    C4FM("9K36F1E"),
    /** Digital voice by GMSK at 4,800 bit/s. Width from memory. */
    DSTAR("6K00F1E"),
    /** Open digital voice, four-level at 9,600 bit/s. Width from memory. */
    M17("9K00F1E"),
    /** Trunked digital voice with four time slots on 25 kHz channels. Width from memory. */
    TETRA("22K0G1E");

    private static final Mode[] ALL = values();
    private final Emission emission;

    Mode(String designator) {
        this.emission = Emission.of(designator);
    }

    /** The emission this mode stands for. */
    public Emission emission() {
        return emission;
    }

    /** Reads the name of a mode, in any case. */
    public static Optional<Mode> parse(String text) {
        for (Mode mode : ALL) {
            if (mode.name().equalsIgnoreCase(text)) {
                return Optional.of(mode);
            }
        }
        return Optional.empty();
    }
}
