package org.wache.audit;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/**
 * What the documentation says of a rule.
 *
 * @param title the rule in one line
 * @param meaning when it fires and why it matters
 * @param cure what helps
 * @param bad an entry on which it fires
 * @param good the entry cured
 */
public record RulePage(String title, String meaning, String cure, Example bad, Example good) {

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
      String[] parts = entry.split("\\|");
      Channel[] channels = new Channel[parts.length];
      for (int i = 0; i < parts.length; i++) {
        channels[i] = parse(parts[i].trim());
      }
      return channels;
    }

    private static Channel parse(String text) {
      Map<Field, String> fields = new EnumMap<>(Field.class);
      for (String pair : text.split("\\s+")) {
        int equals = pair.indexOf('=');
        Field field = Field.ofColumn(pair.substring(0, equals).toLowerCase(Locale.ROOT)).orElseThrow();
        fields.put(field, pair.substring(equals + 1).replace('_', ' '));
      }
      return Channel.of(fields);
    }
  }

  /** An example. */
  public static Example entry(String holder, String entry) {
    return new Example(holder, entry);
  }
}
