package org.wache.measure;

import java.util.Optional;
import org.wache.signal.Frequency;

/**
 * Something measured on a radio.
 *
 * @param kind what
 * @param at the frequency it was measured on
 * @param narrow whether on a narrow channel
 * @param nominal output power: the rated level in W; frequency error: the frequency in MHz; spurious: the mean power of the
 *     fundamental in W; not used for deviations
 * @param measured output power in W, frequency in MHz, deviation in kHz, tone deviation in Hz, or dB below the fundamental
 * @param spur for spurious: where the spur lies; empty when that is not known
 */
public record Measurement(
        Measurement.Kind kind,
        Frequency at,
        boolean narrow,
        double nominal,
        double measured,
        Optional<Frequency> spur) {

    /** One that is no spur, or of which nobody said where it lies. */
    public Measurement(Kind kind, Frequency at, boolean narrow, double nominal, double measured) {
        this(kind, at, narrow, nominal, measured, Optional.empty());
    }

    /** What can be measured. */
    public enum Kind {
        OUTPUT_POWER("output_power", "Output power", "W"),
        FREQUENCY_ERROR("frequency_error", "Frequency error", "MHz"),
        PEAK_DEVIATION("peak_deviation", "Peak deviation", "kHz"),
        TONE_DEVIATION("tone_deviation", "Tone deviation", "Hz"),
        SPURIOUS("spurious", "Spurious level", "dB below");

        private final String key;
        private final String title;
        private final String unit;

        Kind(String key, String title, String unit) {
            this.key = key;
            this.title = title;
            this.unit = unit;
        }

        /** As in the rulebook. */
        public String key() {
            return key;
        }

        /** For people. */
        public String title() {
            return title;
        }

        /** The unit of what is measured. */
        public String unit() {
            return unit;
        }
    }
}
