package org.wache.channel;

import java.util.Optional;

/** The columns of a list that Wache knows, in the order it writes them. */
public enum Field {
  NUMBER("number", "number"),
  NAME("name", "name"),
  RX_MHZ("rx_mhz", "rxMhz"),
  TX_MHZ("tx_mhz", "txMhz"),
  MODE("mode", "mode"),
  EMISSION("emission", "emission"),
  POWER_W("power_w", "powerW"),
  TX_TONE("tx_tone", "txTone"),
  RX_TONE("rx_tone", "rxTone"),
  USE("use", "use"),
  SERVICE("service", "service"),
  SCAN("scan", "scan"),
  TIMEOUT_S("timeout_s", "timeoutS"),
  NOTE("note", "note"),
  /** The zone or bank of a radio that the entry stands in; written only where one is used. */
  ZONE("zone", "zone");

  private static final Field[] ALL = values();
  private final String column;
  private final String key;

  Field(String column, String key) {
    this.column = column;
    this.key = key;
  }

  /** The heading in CSV. */
  public String column() {
    return column;
  }

  /** The key in JSON. */
  public String key() {
    return key;
  }

  /** The field with this CSV heading, in any case and with spaces around it. */
  public static Optional<Field> ofColumn(String heading) {
    String wanted = heading.trim();
    for (Field field : ALL) {
      if (field.column.equalsIgnoreCase(wanted)) {
        return Optional.of(field);
      }
    }
    return Optional.empty();
  }

  /** The field with this JSON key. */
  public static Optional<Field> ofKey(String key) {
    for (Field field : ALL) {
      if (field.key.equals(key)) {
        return Optional.of(field);
      }
    }
    return Optional.empty();
  }
}
