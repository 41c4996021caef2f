package org.wache.site;

import java.util.List;

/**
 * Something that a transmitter of the site puts into one of its receivers.
 *
 * @param kind what it is
 * @param receiver who is disturbed
 * @param terms the transmitters that it comes from, each with how often it counts
 * @param lands where it lands, hertz
 * @param half half of its width, hertz
 */
public record Hit(Kind kind, Receiver receiver, List<Term> terms, long lands, long half) {

  /** The kinds, worst first. */
  public enum Kind {
    /** Another entry transmits on the frequency. */
    CO_CHANNEL,
    /** Another signal reaches into the channel. */
    OVERLAP,
    /** Third-order product: 2A − B or A + B − C. */
    THIRD_ORDER,
    /** Fifth-order product: 3A − 2B. */
    FIFTH_ORDER,
    /** 2A or 3A. */
    HARMONIC,
    /** A transmitter nearer than a receiver without filters bears. */
    NEAR;

    /** Whether it is a product of several transmitters. */
    public boolean isProduct() {
      return this == THIRD_ORDER || this == FIFTH_ORDER;
    }
  }

  /**
   * A transmitter in a product.
   *
   * @param factor how often it counts; negative when it is taken away
   * @param emitter the transmitter
   */
  public record Term(int factor, Emitter emitter) {}

  public Hit {
    terms = List.copyOf(terms);
  }

  /** How far from the middle of the receive channel it lands, hertz. */
  public long off() {
    return Math.abs(lands - receiver.centre());
  }

  /** How near it may come before it reaches into the receive channel, hertz. */
  public long reach() {
    return half + receiver.half();
  }
}
