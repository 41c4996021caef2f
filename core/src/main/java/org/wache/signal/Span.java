package org.wache.signal;

/**
 * A stretch of spectrum in whole hertz. Both ends belong to it, as the limits of the law do.
 *
 * @param low lower end in hertz
 * @param high upper end in hertz, not below the lower
 */
public record Span(long low, long high) {

    /** @throws IllegalArgumentException when the ends are the wrong way round */
    public Span {
        if (high < low) {
            throw new IllegalArgumentException("A span ends above its start: " + low + ".." + high);
        }
    }

    /** Reads {@code 144.100-148.000}, decimal megahertz; also a single frequency. */
    public static Span ofMegahertz(String text) {
        int dash = text.indexOf('-');
        String low = dash < 0 ? text : text.substring(0, dash);
        String high = dash < 0 ? text : text.substring(dash + 1);
        return new Span(hertz(low, text), hertz(high, text));
    }

    private static long hertz(String part, String whole) {
        return Frequency.ofMegahertz(part.trim())
                .orElseThrow(() -> new IllegalArgumentException("Not a span in megahertz: " + whole))
                .hertz();
    }

    /** Whether the frequency lies inside, ends included. */
    public boolean contains(Frequency frequency) {
        return contains(frequency.hertz());
    }

    /** Whether the frequency in hertz lies inside, ends included. */
    public boolean contains(long hertz) {
        return low <= hertz && hertz <= high;
    }

    /** Whether the other span lies wholly inside, shared ends included. */
    public boolean contains(Span other) {
        return low <= other.low && other.high <= high;
    }

    /** Whether the two share more than an end. */
    public boolean overlaps(Span other) {
        return low < other.high && other.low < high;
    }

    /** Length in hertz. */
    public long length() {
        return high - low;
    }

    /** Both moved by so many hertz. */
    public Span shifted(long hertz) {
        return new Span(low + hertz, high + hertz);
    }

    @Override
    public String toString() {
        return Frequency.megahertz(low) + "–" + Frequency.megahertz(high) + " MHz";
    }
}
