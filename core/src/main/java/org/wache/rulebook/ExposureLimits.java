package org.wache.rulebook;

import java.util.List;
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
public record ExposureLimits(List<Limit> limits, List<Exemption> exemptions, String source) {

  /** Who may be exposed. */
  public enum Group {
    /** Everybody. */
    GENERAL("general population", 30),
    /** People who know of it and can leave. */
    OCCUPATIONAL("occupational", 6);

    private final String words;
    private final int minutes;

    Group(String words, int minutes) {
      this.words = words;
      this.minutes = minutes;
    }

    /** As sums write it. */
    public String words() {
      return words;
    }

    /** How many minutes are averaged over: 47 CFR 1.1310(e). */
    public int minutes() {
      return minutes;
    }
  }

  /**
   * A limit of power density in mW/cm²: {@code value} × f^{@code power}, f in MHz.
   *
   * @param span where
   * @param group for whom
   * @param value the factor
   * @param power −2, 0 or 1
   * @param source section of the law
   */
  public record Limit(Span span, Group group, double value, int power, String source) {

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
   * @param power −2, 0 or 1
   * @param source section of the law
   */
  public record Exemption(Span span, double value, int power, String source) {

    /** The factor of R² at a frequency. */
    public double at(Frequency frequency) {
      return value * Math.pow(frequency.hertz() / 1e6, power);
    }
  }

  public ExposureLimits {
    limits = List.copyOf(limits);
    exemptions = List.copyOf(exemptions);
  }

  static ExposureLimits read(Row file) {
    return new ExposureLimits(
        file.rows("limits").stream().map(row -> new Limit(row.span("mhz"),
            row.choice("group", Group.class), row.number("mw_cm2"), power(row), row.text("source"))).toList(),
        file.rows("exempt").stream().map(row -> new Exemption(row.span("mhz"), row.number("erp_w"), power(row), row.text("source"))).toList(),
        file.text("source", ""));
  }

  private static int power(Row row) {
    return row.has("power_of_f") ? (int) row.number("power_of_f") : 0;
  }

  /** The limit for a group at a frequency; empty outside the table. Where two rows meet, the stricter counts. */
  public Optional<Limit> limit(Group group, Frequency at) {
    return limits.stream().filter(row -> row.group() == group && row.span().contains(at))
        .min((one, other) -> Double.compare(one.at(at), other.at(at)));
  }

  /** The exemption at a frequency; empty outside the table. */
  public Optional<Exemption> exemption(Frequency at) {
    return exemptions.stream().filter(row -> row.span().contains(at))
        .min((one, other) -> Double.compare(one.at(at), other.at(at)));
  }
}
