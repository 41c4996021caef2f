package org.wache.radio;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * A model of radio and what it can do. Whatever is not known of it is not judged.
 *
 * @param name what it is called
 * @param kind how it is carried; empty when not said
 * @param certifiedFor the parts of the rules that it is certified under, such as {@code 95E}; empty when not said
 * @param coverage where it works
 * @param tuning how it is tuned
 * @param power its levels of power by band
 * @param antennaGainDbd gain of its antenna in dBd
 * @param memory how much it remembers
 * @param display its display; empty when not known
 * @param tones its tones
 * @param guard what keeps it from talking
 * @param panel what may be entered by hand, when known
 * @param keypad how entries are typed into it; empty when they cannot be
 * @param otherSettings its settings that belong to no channel, as far as its file names them
 */
public record RadioModel(
        String name,
        Optional<RadioKind> kind,
        Optional<List<String>> certifiedFor,
        Coverage coverage,
        Tuning tuning,
        List<PowerLevels> power,
        OptionalDouble antennaGainDbd,
        MemorySize memory,
        Optional<Display> display,
        ToneAbility tones,
        Guard guard,
        Optional<Panel> panel,
        Optional<Keypad> keypad,
        List<OtherSetting> otherSettings) {

    /** What its front panel may program. */
    public enum Panel {
        ALL("all"),
        LISTENING_ONLY("listen-only"),
        NONE("none");

        private final String text;

        Panel(String text) {
            this.text = text;
        }

        /** As written in files. */
        public String text() {
            return text;
        }
    }

    public RadioModel {
        certifiedFor = certifiedFor.map(List::copyOf);
        power = List.copyOf(power);
        otherSettings = List.copyOf(otherSettings);
    }

    /** Its levels of power on a frequency; empty when not known. */
    public Optional<PowerLevels> powerAt(Frequency frequency) {
        return power.stream().filter(each -> each.band().contains(frequency)).findFirst();
    }

    /** The bands on which a radio that is set so does not transmit; settings by what tells them apart. */
    public List<Span> off(Map<String, String> set) {
        return otherSettings.stream()
                .filter(each -> each.kind() == SettingKind.BAND_TRANSMIT
                        && set.containsKey(each.id())
                        && each.isOff(set.get(each.id())))
                .flatMap(each -> each.band().stream())
                .toList();
    }

    /** Of its name alone: models are told apart by it, and the whole of one is long to go through for each look into a table. */
    @Override
    public int hashCode() {
        return name.hashCode();
    }
}
