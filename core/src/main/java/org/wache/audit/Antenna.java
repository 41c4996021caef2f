package org.wache.audit;

import org.wache.signal.Decibels;

/**
 * What stands between a transmitter and the air.
 *
 * @param gain antenna gain in dBd
 * @param feedLoss loss of the line in dB, 0 or more
 * @param known whether somebody said so; otherwise 0 dBd without loss is assumed and named
 */
public record Antenna(Decibels gain, Decibels feedLoss, boolean known) {

  /** Nothing is known: a half-wave dipole without a line. */
  public static final Antenna ASSUMED = new Antenna(Decibels.NONE, Decibels.NONE, false);

  /** A known antenna without a line, its gain in dBd. */
  public static Antenna of(double gainDbd) {
    return new Antenna(new Decibels(gainDbd), Decibels.NONE, true);
  }

  /** What it multiplies the transmitter's output by. */
  public double factor() {
    double net = net().value();
    return net == 0 ? 1 : Math.pow(10, net / 10);
  }

  /** What it adds to the transmitter's output, in dB. */
  public Decibels net() {
    return gain.minus(feedLoss);
  }
}
