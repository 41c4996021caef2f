package org.wache.licence;

import java.util.Optional;
import java.util.OptionalInt;
import org.wache.place.Area;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;

/**
 * One line of a business licence.
 *
 * @param frequency exact
 * @param emission widest signal and its kind
 * @param output highest transmitter output
 * @param erp highest effective radiated power
 * @param units how many radios, when limited
 * @param area where; empty for nationwide
 * @param station the class of station, when the line says it
 */
public record AuthorisationLine(
        Frequency frequency,
        Emission emission,
        Optional<Watts> output,
        Optional<Watts> erp,
        OptionalInt units,
        Optional<Area> area,
        Optional<StationClass> station) {}
