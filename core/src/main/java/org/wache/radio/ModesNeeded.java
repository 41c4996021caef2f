package org.wache.radio;

import java.util.List;
import org.wache.channel.Channel;
import org.wache.signal.Content;
import org.wache.signal.Emission;
import org.wache.signal.Mode;

/** Which modes of a radio an entry can be used with. */
public final class ModesNeeded {

    /** What a narrow channel holds, in hertz. Source: 47 CFR 90.209(b)(5). */
    private static final long NARROW = 12_500;
    /** What a 6.25 kHz channel holds, in hertz. */
    private static final long VERY_NARROW = 6_250;

    private ModesNeeded() {}

    /** Any one of these is enough; empty when the entry does not tell. */
    public static List<Mode> of(Channel channel) {
        if (channel.emissionFromMode()) {
            return with(channel.mode().orElseThrow());
        }
        return channel.emission().map(emission -> of(channel, emission)).orElse(List.of());
    }

    private static List<Mode> with(Mode mode) {
        return switch (mode) {
            case PKT -> List.of(Mode.PKT, Mode.FM);
            case DATA -> List.of(Mode.DATA, Mode.USB);
            case FT8, PSK31 -> List.of(mode, Mode.DATA, Mode.USB);
            case RTTY -> List.of(Mode.RTTY, Mode.LSB);
            case SSTV -> List.of(Mode.SSTV, Mode.USB);

            default -> List.of(mode);
        };
    }

    private static List<Mode> of(Channel channel, Emission emission) {
        boolean narrow = emission.bandwidth() <= NARROW;
        if (emission.kind().equals("F2D")) {
            return narrow ? List.of(Mode.PKT, Mode.NFM) : List.of(Mode.PKT, Mode.FM);
        }
        if (emission.is(Content.FM)) {
            return List.of(narrow ? Mode.NFM : Mode.FM);
        }
        if (emission.is(Content.AM)) {
            return List.of(Mode.AM);
        }
        if (emission.is(Content.CW)) {
            return List.of(Mode.CW);
        }
        if (emission.is(Content.DIGITAL_VOICE)) {
            boolean timeSlots = emission.kind().startsWith("FX");
            return timeSlots
                    ? List.of(Mode.DMR)
                    : emission.bandwidth() < VERY_NARROW ? List.of(Mode.NXDN) : List.of(Mode.P25, Mode.NXDN, Mode.DV);
        }
        if (emission.is(Content.DATA)) {
            return emission.oneSided() ? List.of(Mode.DATA, Mode.USB) : List.of();
        }
        return emission.is(Content.SSB) ? channel.mode().map(List::of).orElse(List.of(Mode.USB, Mode.LSB)) : List.of();
    }
}
