package org.wache.audit;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;

/**
 * What the documentation says of a rule.
 *
 * @param title the rule in one line
 * @param meaning when it fires and why it matters
 * @param cure what helps
 * @param bad an entry on which it fires
 * @param good the entry cured
 * @param context what both are held against, in the form of a context file; empty where the holder alone says it
 */
public record RulePage(String title, String meaning, String cure, Example bad, Example good, String context) {

    /** A page whose examples need nothing but their holder. */
    public RulePage(String title, String meaning, String cure, Example bad, Example good) {
        this(title, meaning, cure, bad, good, "");
    }

    /** The same page with what its examples are held against. */
    public RulePage within(String contextFile) {
        return new RulePage(title, meaning, cure, bad, good, contextFile);
    }

    /**
     * An entry as {@code rx_mhz=146.520 tx_mhz=146.520 mode=FM}, and who carries it as on the command line. A second
     * entry of the same list may follow after {@code |}.
     */
    public record Example(String holder, String entry) {

        /** The first entry. */
        public Channel channel() {
            return channels()[0];
        }

        /** All entries. */
        public Channel[] channels() {
            return list().channels().toArray(Channel[]::new);
        }

        /** The entries as a list; what is no field of an entry is a further column of it. */
        public ChannelList list() {
            List<String> columns = new ArrayList<>();
            List<Channel> channels = new ArrayList<>();
            for (String part : entry.split("\\|")) {
                Map<Field, String> fields = new EnumMap<>(Field.class);
                List<String> extras = new ArrayList<>();
                for (String pair : part.trim().split("\\s+")) {
                    int equals = pair.indexOf('=');
                    String column = pair.substring(0, equals);
                    String text = pair.substring(equals + 1).replace('_', ' ');
                    Optional<Field> field = Field.ofColumn(column.toLowerCase(Locale.ROOT));
                    if (field.isPresent()) {
                        fields.put(field.get(), text);
                    } else {
                        columns.add(column);
                        extras.add(text);
                    }
                }
                channels.add(Channel.of(fields, extras));
            }
            return new ChannelList("example", columns, channels);
        }
    }

    /** An example. */
    public static Example entry(String holder, String entry) {
        return new Example(holder, entry);
    }
}
