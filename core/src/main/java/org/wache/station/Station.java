package org.wache.station;

import java.util.Optional;

/**
 * A base or mobile station.
 *
 * @param kind whether it stands or drives
 * @param outputW transmitter output, watts, above 0
 * @param line name of the type of coaxial line, empty for none
 * @param lineM its length in metres, 0 or more
 * @param otherLossDb loss of connectors, filters and arresters, dB, 0 or more
 * @param gainDbd gain of the antenna in dBd
 * @param heightM height of the antenna above the ground, metres, above 0
 * @param keyedShare share of the time that it is keyed, above 0, at most 1
 * @param processed whether speech is processed on single sideband
 * @param peopleM how near people may come to the antenna, metres; empty for 2 m less than its height
 * @param otherHeightM height of the antenna at the other end, metres
 * @param supplyV voltage of the supply, volts
 * @param efficiency output over input, above 0, at most 1; empty for what is usual
 * @param batteryAh what a battery holds, ampere-hours; empty without one
 */
public record Station(
        Kind kind,
        double outputW,
        Optional<String> line,
        double lineM,
        double otherLossDb,
        double gainDbd,
        double heightM,
        double keyedShare,
        boolean processed,
        Optional<Double> peopleM,
        double otherHeightM,
        double supplyV,
        Optional<Double> efficiency,
        Optional<Double> batteryAh) {

    /** What a standing person takes of the height, metres. Common practice, no source. */
    private static final double PERSON_M = 2;

    /** Whether it stands or drives. */
    public enum Kind {
        /** Fixed. */
        BASE,
        /** In or on a vehicle. */
        MOBILE
    }

    /** @throws IllegalArgumentException with what a figure should be */
    public Station {
        need(outputW > 0 && outputW <= 10_000, "The output is above 0 W, at most 10,000 W.");
        need(lineM >= 0 && lineM <= 1_000, "The line is 0 to 1,000 m long.");
        need(otherLossDb >= 0 && otherLossDb <= 50, "Other losses are 0 to 50 dB.");
        need(gainDbd >= -30 && gainDbd <= 40, "The gain is −30 to 40 dBd.");
        need(heightM > 0 && heightM <= 1_000, "The antenna is above 0 m, at most 1,000 m high.");
        need(keyedShare > 0 && keyedShare <= 1, "The share of time keyed is above 0, at most 1.");
        need(
                peopleM.isEmpty() || peopleM.get() > 0 && peopleM.get() <= 1_000,
                "People come to above 0 m, at most 1,000 m.");
        need(otherHeightM > 0 && otherHeightM <= 10_000, "The other antenna is above 0 m, at most 10,000 m high.");
        need(supplyV >= 1 && supplyV <= 400, "The supply has 1 to 400 V.");
        need(
                efficiency.isEmpty() || efficiency.get() > 0 && efficiency.get() <= 1,
                "The efficiency is above 0, at most 1.");
        need(
                batteryAh.isEmpty() || batteryAh.get() > 0 && batteryAh.get() <= 100_000,
                "The battery holds above 0 Ah, at most 100,000 Ah.");
    }

    private static void need(boolean holds, String otherwise) {
        if (!holds) {
            throw new IllegalArgumentException(otherwise);
        }
    }

    /** How near people may come to the antenna, metres. */
    public double people() {
        return peopleM.orElse(Math.max(heightM - PERSON_M, 0.1));
    }
}
