package org.wache.planning;

import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.wache.audit.context.AuditContext;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.radio.Radio;
import org.wache.rulebook.Listening;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Span;

/** What shall be listened to: how it is heard, what it is called, and who has a radio that hears it. */
final class Listeners {

    /** Where aircraft speak with AM, ITU Radio Regulations, Appendix 27 and Article 5, from memory. */
    private static final Span AIRCRAFT = Span.ofMegahertz("108.000-137.000");

    private final Map<Frequency, Channel> entries = new LinkedHashMap<>();
    private final Map<Frequency, BitSet> ears = new LinkedHashMap<>();

    private Listeners() {}

    static Listeners of(AuditContext context, Demands demands) {
        Listeners all = new Listeners();
        for (Frequency frequency : demands.listen()) {
            Channel channel = entry(context.edition().listening(), frequency);
            all.entries.put(frequency, channel);
            BitSet heard = new BitSet();
            for (int i = 0; i < demands.people().size(); i++) {
                List<Radio> radios = demands.people().get(i).radios().orElse(List.of());
                boolean unknown = demands.people().get(i).radios().isEmpty();
                if (unknown || radios.stream().anyMatch(radio -> hears(radio, channel, frequency))) {
                    heard.set(i);
                }
            }
            all.ears.put(frequency, heard);
        }
        return all;
    }

    private static boolean hears(Radio radio, Channel channel, Frequency frequency) {
        List<Span> spans = radio.model().coverage().receive();
        List<Mode> modes = radio.model().tuning().modes();
        boolean onStep = radio.model().tuning().rounded(frequency).equals(frequency);
        return onStep
                && (spans.isEmpty() || spans.stream().anyMatch(span -> span.contains(frequency)))
                && (modes.isEmpty() || channel.mode().filter(modes::contains).isPresent());
    }

    private static Channel entry(Listening known, Frequency frequency) {
        for (Listening.Table table : known.tables()) {
            for (Listening.Heard heard : table.channels()) {
                if (heard.frequency().equals(frequency)) {
                    boolean figure =
                            heard.name().matches("[0-9].*") && !table.words().isEmpty();
                    return channel(
                            frequency,
                            table.mode(),
                            (figure ? table.words().get(0).toUpperCase(Locale.ROOT) + " " : "") + heard.name());
                }
            }
        }
        return channel(frequency, AIRCRAFT.contains(frequency) ? Mode.AM : Mode.NFM, "");
    }

    private static Channel channel(Frequency frequency, Mode mode, String name) {
        return Channel.of(Map.of(
                Field.NAME,
                name,
                Field.RX_MHZ,
                frequency.megahertz(),
                Field.MODE,
                mode.name(),
                Field.USE,
                "listen",
                Field.SCAN,
                "no"));
    }

    /** The entry, without a number. */
    Channel entry(Frequency frequency) {
        return entries.get(frequency);
    }

    /** Who hears it, by their places. */
    BitSet ears(Frequency frequency) {
        return ears.get(frequency);
    }
}
