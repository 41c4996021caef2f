package org.wache.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Lists as JSON of the format {@code wache-list/1}. */
public final class JsonLists {

    static final String FORMAT = "wache-list/1";

    private JsonLists() {}

    /**
     * Reads a list of which nothing is kept.
     *
     * @throws FileProblem when it is not JSON of this format
     */
    public static ChannelList read(byte[] bytes, String otherwiseNamed) {
        return read(bytes, otherwiseNamed, ListLimits.READ_ONLY);
    }

    /**
     * Reads a list, entry by entry: what is over a limit is told where it stands, before more is kept.
     *
     * @throws FileProblem when it is not JSON of this format, or larger than it may be
     */
    public static ChannelList read(byte[] bytes, String otherwiseNamed, ListLimits limits) {
        String text = Utf8.decode(bytes);
        try (JsonParser parser = JsonText.MAPPER.createParser(text)) {
            return new Reading(parser, limits).list(otherwiseNamed);
        } catch (JacksonException e) {
            throw JsonText.problem(e);
        }
    }

    /** One pass over a file. */
    private static final class Reading {
        private final JsonParser parser;
        private final ListLimits limits;
        private final Map<String, Integer> extras = new LinkedHashMap<>();
        private final List<Row> rows = new ArrayList<>();

        Reading(JsonParser parser, ListLimits limits) {
            this.parser = parser;
            this.limits = limits;
        }

        /** An entry whose further texts stand by the number of their column, until all columns are known. */
        private record Row(String[] texts, Map<Integer, String> more) {}

        ChannelList list(String otherwiseNamed) {
            String format = "";
            String name = "";
            boolean channels = false;
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw notAList("");
            }
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String key = parser.currentName();
                parser.nextToken();
                switch (key) {
                    case "format" -> format = scalar(key);
                    case "name" -> name = scalar(key);
                    case "channels" -> {
                        channels = true;
                        channels();
                    }
                    default -> parser.skipChildren();
                }
            }
            if (parser.nextToken() != null) {
                throw problem("nothing should follow the end of the list");
            }
            if (!FORMAT.equals(format)) {
                throw notAList(format);
            }
            if (!channels) {
                throw new FileProblem(1, 1, "\"channels\" should be an array of entries");
            }
            return new ChannelList(
                    name.isEmpty() ? otherwiseNamed : name,
                    List.copyOf(extras.keySet()),
                    rows.stream().map(this::channel).toList());
        }

        private static FileProblem notAList(String format) {
            String found = format == null || format.isEmpty()
                    ? ""
                    : format.startsWith("wache-context/")
                            ? "; this is a context, which goes behind --context"
                            : format.startsWith("wache-release/")
                                    ? "; this is a release, which --verify looks at"
                                    : "; this file says “" + format + "”";
            return new FileProblem(1, 1, "not a list: expected an object with \"format\": \"" + FORMAT + "\"" + found);
        }

        private void channels() {
            if (parser.currentToken() != JsonToken.START_ARRAY) {
                throw problem("\"channels\" should be an array of entries");
            }
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                if (parser.currentToken() != JsonToken.START_OBJECT) {
                    throw problem("each of \"channels\" should be an object with at least \"rxMhz\"");
                }
                TokenStreamLocation at = parser.currentTokenLocation();
                limits.oneMore(rows.size(), at.getLineNr(), at.getColumnNr());
                rows.add(row());
            }
        }

        private Row row() {
            String[] texts = new String[Field.values().length];
            Arrays.fill(texts, "");
            Map<Integer, String> more = new HashMap<>();
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String key = parser.currentName();
                parser.nextToken();
                String text = scalar(key);
                Optional<Field> field = Field.ofKey(key);
                if (field.isPresent()) {
                    texts[field.get().ordinal()] = text;
                } else {
                    more.put(column(key), text);
                }
            }
            return new Row(texts, more);
        }

        private int column(String key) {
            Integer known = extras.get(key);
            if (known != null) {
                return known;
            }
            TokenStreamLocation at = parser.currentTokenLocation();
            ListLimits.oneMoreColumn(extras.size(), key, at.getLineNr(), at.getColumnNr());
            extras.put(key, extras.size());
            return extras.size() - 1;
        }

        private Channel channel(Row row) {
            String[] more = new String[extras.size()];
            Arrays.fill(more, "");
            row.more().forEach((column, text) -> more[column] = text);
            return Channel.ofTexts(row.texts(), List.of(more));
        }

        private String scalar(String key) {
            JsonToken token = parser.currentToken();
            if (!token.isScalarValue()) {
                throw problem("\"" + key + "\" should be text");
            }
            String text = token == JsonToken.VALUE_NULL
                    ? ""
                    : token.isNumeric() ? JsonText.plain(parser.getDecimalValue()) : parser.getString();
            TokenStreamLocation at = parser.currentTokenLocation();
            ListLimits.text(text, "\"" + key + "\"", at.getLineNr(), at.getColumnNr());
            return text;
        }

        private FileProblem problem(String message) {
            TokenStreamLocation at = parser.currentTokenLocation();
            return new FileProblem(Math.max(1, at.getLineNr()), Math.max(1, at.getColumnNr()), message);
        }
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
                row.put(
                        list.extraColumns().get(i),
                        i < channel.extras().size() ? channel.extras().get(i) : "");
            }
        }
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }
}
