package org.wache.rulebook;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * The limits of exposure to radio waves, and from what distance a station is exempt from a routine evaluation.
 *
 * @param limits power densities, a row for each group of people and stretch of spectrum
 * @param exemptions effective radiated powers, a row for each stretch; none where the country has no such rule
 * @param source where the limits stand
 */
public record ExposureLimits(
        List<Limit> limits, List<Exemption> exemptions, Map<Group, Integer> minutes, String source) {

    private static final int LONGEST_MINUTES = 30;

    /** Who may be exposed. */
    public enum Group {
        /** Everybody. */
        GENERAL("general population"),
        /** People who know of it and can leave. */
        OCCUPATIONAL("occupational");

        private final String words;

        Group(String words) {
            this.words = words;
        }

        /** As sums write it. */
        public String words() {
            return words;
        }
    }

    /**
     * A limit of power density in mW/cm²: {@code value} × f^{@code power}, f in MHz.
     *
     * @param span where
     * @param group for whom
     * @param value the factor
     * @param power of f, mostly −2, 0 or 1
     * @param source section of the law
     */
    public record Limit(Span span, Group group, double value, double power, String source) {

        /** The limit at a frequency, mW/cm². */
        public double at(Frequency frequency) {
            return value * Math.pow(frequency.hertz() / 1e6, power);
        }
    }

    /**
     * A power up to which a station is exempt: {@code value} × R² × f^{@code power} watts ERP, R in metres, f in MHz.
     *
     * @param span where
     * @param value the factor
     * @param power of f, mostly −2, 0 or 1
     * @param source section of the law
     */
    public record Exemption(Span span, double value, double power, String source) {

        /** The factor of R² at a frequency. */
        public double at(Frequency frequency) {
            return value * Math.pow(frequency.hertz() / 1e6, power);
        }
    }

    public ExposureLimits {
        limits = List.copyOf(limits);
        exemptions = List.copyOf(exemptions);
        minutes = Map.copyOf(minutes);
    }

    /** How many minutes are averaged over. */
    public int minutes(Group group) {
        return minutes.getOrDefault(group, LONGEST_MINUTES);
    }

    static ExposureLimits read(Row file) {
        return new ExposureLimits(
                file.rows("limits").stream()
                        .map(row -> new Limit(
                                row.span("mhz"),
                                row.choice("group", Group.class),
                                row.number("mw_cm2") / (row.has("over") ? row.number("over") : 1),
                                power(row),
                                row.text("source")))
                        .toList(),
                file.rows("exempt").stream()
                        .map(row -> new Exemption(row.span("mhz"), row.number("erp_w"), power(row), row.text("source")))
                        .toList(),
                minutes(file),
                file.text("source", ""));
    }

    private static Map<Group, Integer> minutes(Row file) {
        if (!file.has("average_minutes")) {
            return Map.of();
        }
        Row given = file.row("average_minutes");
        Map<Group, Integer> minutes = new EnumMap<>(Group.class);
        for (Group group : Group.values()) {
            minutes.put(group, (int) given.number(group.name().toLowerCase(Locale.ROOT)));
        }
        return minutes;
    }

    private static double power(Row row) {
        return row.has("power_of_f") ? row.number("power_of_f") : 0;
    }

    /** The limit for a group at a frequency; empty outside the table. Where two rows meet, the stricter counts. */
    public Optional<Limit> limit(Group group, Frequency at) {
        return limits.stream()
                .filter(row -> row.group() == group && row.span().contains(at))
                .min((one, other) -> Double.compare(one.at(at), other.at(at)));
    }

    /** The exemption at a frequency; empty outside the table. */
    public Optional<Exemption> exemption(Frequency at) {
        return exemptions.stream()
                .filter(row -> row.span().contains(at))
                .min((one, other) -> Double.compare(one.at(at), other.at(at)));
    }
}
