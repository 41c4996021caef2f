package org.wache.audit.finding;

import java.util.Locale;

/** The rules by the names that findings carry. */
public enum Slug {
    UNREADABLE,
    FREQUENCY_IMPLAUSIBLE,
    ANOTHER_COUNTRY,
    DUPLICATE_NUMBER,
    DUPLICATE_CHANNEL,
    NAME_CONTRADICTS,
    TIMEOUT_OFF,
    TIMEOUT_LONG,
    NO_SERVICE,
    NOT_LICENSED,
    OFF_CHANNEL,
    CLASS_TOO_LOW,
    EMISSION_NOT_ALLOWED,
    EDGE_OVERRUN,
    EDGE_CLOSE,
    BANDWIDTH_OVER,
    POWER_OVER,
    POWER_UNKNOWN,
    REPEATER_NOT_ALLOWED,
    REPEATER_INPUT_ONLY,
    CHANNEL_RESTRICTED,
    LICENCE_EXPIRED,
    LICENCE_EXPIRING,
    OUTSIDE_AUTHORISATION,
    RESTRICTED_AREA,
    PLACE_UNKNOWN,
    HEIGHT_OVER,
    HIDDEN_MEANING,
    PLAN_USE,
    NEIGHBOUR_CHANNEL,
    LOCAL_WARNING,
    OFFSET_UNUSUAL,
    REVERSED_PAIR,
    OFF_RASTER,
    SIDEBAND_HABIT,
    CALLING_TONE,
    ACCESS_TONE_MISSING,
    TONE_UNKNOWN,
    TONE_MISMATCH,
    TONE_DEFAULT,
    TONE_CLASH,
    DIGITAL_INCOMPLETE,
    DIGITAL_ASTRAY,
    TALK_GROUP,
    RADIO_RANGE,
    RADIO_STEP,
    RADIO_MODE,
    RADIO_TONE,
    RADIO_POWER,
    RADIO_NAME,
    RADIO_CAPACITY,
    NOT_CERTIFIED,
    CO_CHANNEL,
    ADJACENT_OVERLAP,
    TRANSMIT_NEAR_RECEIVE,
    INTERMOD,
    HARMONIC,
    EXPOSURE_DISTANCE;

    private final String text = name().toLowerCase(Locale.ROOT).replace('_', '-');

    /** As written in results: {@code edge-overrun}. */
    public String text() {
        return text;
    }

    /**
     * The rule of a name.
     *
     * @throws IllegalArgumentException when there is none
     */
    public static Slug of(String text) {
        return valueOf(text.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    @Override
    public String toString() {
        return text;
    }
}
