package org.wache.rulebook;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wache.signal.GolayWord;
import org.wache.signal.Tone;

/** The tones and codes that radios share, and the consumer code numbers. */
public final class ToneTable {

    private final List<Tone.Ctcss> ctcss;
    private final Set<Tone.Ctcss> ctcssSet;
    private final List<Tone.Ctcss> consumerCodes;
    private final Tone.Ctcss factoryDefault;
    private final List<Tone.Dcs> dcs;
    private final Set<Integer> dcsSet = new HashSet<>();
    private final Map<Integer, Tone.Dcs> bySound = new HashMap<>();

    ToneTable(List<Tone.Ctcss> ctcss, List<Tone.Ctcss> consumerCodes, Tone.Ctcss factoryDefault, List<Tone.Dcs> dcs) {
        this.ctcss = List.copyOf(ctcss);
        this.ctcssSet = Set.copyOf(ctcss);
        this.consumerCodes = List.copyOf(consumerCodes);
        this.factoryDefault = factoryDefault;
        this.dcs = List.copyOf(dcs);
        for (Tone.Dcs each : dcs) {
            dcsSet.add(each.code());
            bySound.put(GolayWord.sound(each), each);
        }
    }

    /** The CTCSS tones, rising. */
    public List<Tone.Ctcss> ctcss() {
        return ctcss;
    }

    /** The DCS codes, rising, normal polarity. */
    public List<Tone.Dcs> dcs() {
        return dcs;
    }

    /** The tone that radios have when nobody has chosen one. */
    public Tone.Ctcss factoryDefault() {
        return factoryDefault;
    }

    /** The tone of a consumer code number, 1 to 38. */
    public Optional<Tone.Ctcss> consumerCode(int number) {
        return number >= 1 && number <= consumerCodes.size()
                ? Optional.of(consumerCodes.get(number - 1))
                : Optional.empty();
    }

    /** Whether the tone stands in the tables; a burst has no table. */
    public boolean knows(Tone tone) {
        if (tone instanceof Tone.Ctcss continuous) {
            return ctcssSet.contains(continuous);
        }
        return !(tone instanceof Tone.Dcs code) || dcsSet.contains(code.code());
    }

    /** The CTCSS tone nearest to one that is not in the table. */
    public Tone.Ctcss nearest(Tone.Ctcss tone) {
        return ctcss.stream()
                .min(Comparator.comparingInt(each -> Math.abs(each.tenths() - tone.tenths())))
                .orElseThrow();
    }

    /** The code of the table, in normal polarity, that sounds the same; there is none for most foreign codes. */
    public Optional<Tone.Dcs> sameSound(Tone.Dcs tone) {
        return Optional.ofNullable(bySound.get(GolayWord.sound(tone)));
    }

    /** Whether two tones open the same receivers: equal, or DCS words that sound the same. */
    public static boolean same(Optional<Tone> one, Optional<Tone> other) {
        if (one.equals(other)) {
            return true;
        }
        return one.isPresent()
                && other.isPresent()
                && one.get() instanceof Tone.Dcs a
                && other.get() instanceof Tone.Dcs b
                && GolayWord.sound(a) == GolayWord.sound(b);
    }
}
