package org.wache.rulebook;

import java.util.List;

/**
 * What is known of stations, whatever the country.
 *
 * @param nearness how near a transmitter may be to a receiver of the same site
 * @param coax what coaxial lines lose
 * @param duties how much of its peak power a kind of emission sends on average
 * @param dutySource where the shares come from
 * @param efficiency what part of the current from the supply becomes output
 * @param receiveAmperes what a set draws while it listens, amperes
 */
public record StationData(
        List<Nearness> nearness,
        CoaxTable coax,
        List<Duty> duties,
        String dutySource,
        double efficiency,
        double receiveAmperes) {

    /**
     * The share of the peak power that counts for a kind of emission.
     *
     * @param bits the contents that it is for
     * @param share 0 to 1
     * @param words what it is
     */
    public record Duty(int bits, double share, String words) {}

    static StationData read(Row file) {
        return new StationData(
                file.rows("near").stream()
                        .map(row -> new Nearness(row.span("mhz"), row.kilohertz("khz"), row.text("source")))
                        .toList(),
                CoaxTable.read(file),
                file.rows("duty").stream()
                        .map(row -> new Duty(row.contents("carries"), row.number("share"), row.text("say")))
                        .toList(),
                file.text("duty_source"),
                file.number("efficiency"),
                file.number("receive_amperes"));
    }

    /** The share for an emission: of the rows that fit, the first; all of it where none does. */
    public Duty duty(int contents) {
        return duties.stream()
                .filter(row -> (row.bits() & contents) != 0)
                .findFirst()
                .orElse(new Duty(0, 1, "key down"));
    }
}
