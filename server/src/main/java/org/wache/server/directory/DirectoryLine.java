package org.wache.server.directory;

/**
 * A repeater as a directory lists it.
 *
 * @param id the directory's own key
 * @param callSign whose it is
 * @param place what the place is called
 * @param latitude degrees north
 * @param longitude degrees east
 * @param outputMhz where it talks, decimal MHz
 * @param offsetMhz from there to where it listens, decimal MHz with sign
 * @param access the tone that opens it, as a list writes it; empty for none
 * @param toneOut the tone that it sends; empty for none
 * @param mode as a list writes it
 * @param band band or service
 * @param coordination state of its coordination, in words
 * @param updated day of the last change, year-month-day
 * @param note further words
 */
public record DirectoryLine(
        String id,
        String callSign,
        String place,
        double latitude,
        double longitude,
        String outputMhz,
        String offsetMhz,
        String access,
        String toneOut,
        String mode,
        String band,
        String coordination,
        String updated,
        String note) {}
