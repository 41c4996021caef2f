package org.wache.typed;

import java.math.BigDecimal;
import java.util.Optional;

/** What a number of hertz is counted in. */
public enum Unit {
    HERTZ("Hz", 1),
    KILOHERTZ("kHz", 1_000),
    MEGAHERTZ("MHz", 1_000_000),
    GIGAHERTZ("GHz", 1_000_000_000);

    private final String symbol;
    private final BigDecimal hertz;

    Unit(String symbol, long hertz) {
        this.symbol = symbol;
        this.hertz = BigDecimal.valueOf(hertz);
    }

    /** As it is written. */
    public String symbol() {
        return symbol;
    }

    /** So many of this unit in whole hertz; empty when it is no whole number, or out of reach of a radio. */
    Optional<Long> hertz(BigDecimal count) {
        BigDecimal exact = count.multiply(hertz).stripTrailingZeros();
        return exact.scale() > 0 || exact.abs().compareTo(BigDecimal.valueOf(1_000_000_000_000L)) > 0
                ? Optional.empty()
                : Optional.of(exact.longValue());
    }

    /** The unit of a symbol in lower case, also of a bare {@code m} or {@code k}. */
    public static Optional<Unit> of(String symbol) {
        return switch (symbol) {
            case "hz" -> Optional.of(HERTZ);
            case "khz", "k", "kc", "kcs" -> Optional.of(KILOHERTZ);
            case "mhz", "m", "mc", "mcs", "megs", "meg" -> Optional.of(MEGAHERTZ);
            case "ghz", "g" -> Optional.of(GIGAHERTZ);
            default -> Optional.empty();
        };
    }
}
