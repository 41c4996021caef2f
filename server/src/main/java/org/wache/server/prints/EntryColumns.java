package org.wache.server.prints;

import java.util.List;
import org.wache.audit.finding.Wording;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.server.prints.TableSheet.Column;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** An entry of a list in a line of a paper; what cannot be read stands as it was written. */
public final class EntryColumns {

    private EntryColumns() {}

    /** The columns, the last of which says what was found. */
    public static List<Column> with(String last) {
        return List.of(
                Column.figures("No.", 4.5f),
                Column.name("Name", 13.5f),
                Column.figures("Hears, MHz", 10),
                Column.figures("Talks on", 10),
                Column.words("Mode", 6),
                Column.figures("Sends", 7.5f),
                Column.figures("Opens with", 7.5f),
                Column.figures("Power", 6),
                Column.words("Verdict", 6),
                Column.words(last, 29));
    }

    /** The texts of an entry. */
    public static List<String> row(Channel channel, String verdict, String found) {
        boolean direct = channel.transmit().isPresent() && channel.transmit().equals(channel.receive());
        return List.of(
                channel.number(),
                channel.name(),
                channel.receive().map(Frequency::megahertz).orElse(channel.text(Field.RX_MHZ)),
                direct
                        ? "direct"
                        : channel.transmit()
                                .map(Frequency::megahertz)
                                .orElse(channel.text(Field.TX_MHZ).isBlank() ? "listens" : channel.text(Field.TX_MHZ)),
                Wording.emission(channel),
                channel.sends().map(Tone::text).orElse(channel.text(Field.TX_TONE)),
                channel.opensOn().map(Tone::text).orElse(channel.text(Field.RX_TONE)),
                channel.power().map(watts -> watts.number() + " W").orElse(channel.text(Field.POWER_W)),
                verdict,
                found);
    }
}
