package org.wache.bench.image;

import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/**
 * What a radio remembers of one entry.
 *
 * @param receive where it listens
 * @param transmit where it talks; empty for listening
 * @param mode the mode it is set to
 * @param power the place of its power level, from 0
 * @param sends the tone it sends
 * @param opensOn the tone it opens with
 * @param scan whether it is scanned
 * @param timeoutS its time-out in seconds, 0 for off
 * @param zone the zone, from 1; 0 without zones
 * @param name as on the display
 */
public record StoredChannel(
        Frequency receive,
        Optional<Frequency> transmit,
        Mode mode,
        int power,
        Optional<Tone> sends,
        Optional<Tone> opensOn,
        boolean scan,
        int timeoutS,
        int zone,
        String name) {}
