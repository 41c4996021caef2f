package org.wache.rulebook;

/** How a power limit is measured. */
public enum Measure {
    /** Transmitter output. */
    OUTPUT("transmitter output"),
    /** Transmitter output, peak envelope power; for AM four times the carrier. */
    PEP("PEP"),
    /** Unmodulated carrier at the transmitter. */
    CARRIER("carrier power"),
    /** Effective radiated power, against a half-wave dipole. */
    ERP("ERP"),
    /** Effective radiated power, against an isotropic radiator. */
    EIRP("EIRP");

    private final String words;

    Measure(String words) {
        this.words = words;
    }

    /** As findings write it. */
    public String words() {
        return words;
    }
}
