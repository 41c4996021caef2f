package org.wache.audit.context;

import java.util.OptionalDouble;
import org.wache.signal.Decibels;

/**
 * What stands between a transmitter and the air.
 *
 * @param gain antenna gain in dBd
 * @param feedLoss loss of the line in dB, 0 or more
 * @param known whether somebody said so; otherwise 0 dBd without loss is assumed and named
 * @param heightM height above the ground, metres; known of fixed and mobile stations only
 */
public record Antenna(Decibels gain, Decibels feedLoss, boolean known, OptionalDouble heightM) {

    /** Nothing is known: a half-wave dipole without a line. */
    public static final Antenna ASSUMED = new Antenna(Decibels.NONE, Decibels.NONE, false, OptionalDouble.empty());

    /** A known antenna without a line, its gain in dBd. */
    public static Antenna of(double gainDbd) {
        return new Antenna(new Decibels(gainDbd), Decibels.NONE, true, OptionalDouble.empty());
    }

    /** The same at a height above the ground, in metres. */
    public Antenna at(OptionalDouble height) {
        return new Antenna(gain, feedLoss, known, height);
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
