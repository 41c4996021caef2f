package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Lists as JSON of the format {@code wache-list/1}. */
public final class JsonLists {

  static final String FORMAT = "wache-list/1";

  private JsonLists() {}

  /**
   * Reads a list.
   *
   * @throws FileProblem when it is not JSON of this format
   */
  public static ChannelList read(byte[] bytes, String otherwiseNamed) {
    JsonNode root = JsonText.read(bytes);
    if (!FORMAT.equals(root.path("format").asString(""))) {
      throw new FileProblem(1, 1, "not a list: expected an object with \"format\": \"" + FORMAT + "\"");
    }
    JsonNode rows = root.path("channels");
    if (!rows.isArray()) {
      throw new FileProblem(1, 1, "\"channels\" should be an array of entries");
    }
    Map<String, Integer> extras = new LinkedHashMap<>();
    for (JsonNode row : rows) {
      if (!row.isObject()) {
        throw new FileProblem(1, 1, "each of \"channels\" should be an object with at least \"rxMhz\"");
      }
      row.propertyNames().stream().filter(key -> Field.ofKey(key).isEmpty())
          .forEach(key -> extras.putIfAbsent(key, extras.size()));
    }
    List<Channel> channels = new ArrayList<>();
    for (JsonNode row : rows) {
      channels.add(channel(row, extras));
    }
    String name = root.path("name").asString("");
    return new ChannelList(name.isEmpty() ? otherwiseNamed : name, List.copyOf(extras.keySet()), channels);
  }

  private static Channel channel(JsonNode row, Map<String, Integer> extras) {
    String[] texts = new String[Field.values().length];
    Arrays.fill(texts, "");
    String[] more = new String[extras.size()];
    Arrays.fill(more, "");
    row.properties().forEach(property -> {
      if (property.getValue().isContainer()) {
        throw new FileProblem(1, 1, "\"" + property.getKey() + "\" of an entry should be text");
      }
      String text = JsonText.scalar(property.getValue());
      Optional<Field> field = Field.ofKey(property.getKey());
      if (field.isPresent()) {
        texts[field.get().ordinal()] = text;
      } else {
        more[extras.get(property.getKey())] = text;
      }
    });
    return Channel.ofTexts(texts, List.of(more));
  }

  /** Writes a list; fields without text are left out. */
  public static String write(ChannelList list) {
    ObjectNode root = JsonText.MAPPER.createObjectNode();
    root.put("format", FORMAT).put("name", list.name());
    ArrayNode rows = root.putArray("channels");
    for (Channel channel : list.channels()) {
      ObjectNode row = rows.addObject();
      for (Field field : Field.values()) {
        if (!channel.text(field).isEmpty() || field == Field.RX_MHZ) {
          row.put(field.key(), channel.text(field));
        }
      }
      for (int i = 0; i < list.extraColumns().size(); i++) {
        row.put(list.extraColumns().get(i), i < channel.extras().size() ? channel.extras().get(i) : "");
      }
    }
    return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
  }
}
