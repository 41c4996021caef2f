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
    DATA("2K80J2D");

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
