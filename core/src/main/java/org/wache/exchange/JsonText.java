package org.wache.exchange;

import java.math.BigDecimal;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.json.JsonMapper;

/** Reading and writing of JSON, with places in the messages. */
final class JsonText {

    /** Deeper than anything of Wache's formats. */
    private static final int DEEPEST = 60;

    static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .build())
                    .build())
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final int MOST_ZEROS = 400;

    private JsonText() {}

    static JsonNode read(byte[] bytes) {
        try {
            return MAPPER.readTree(Utf8.decode(bytes));
        } catch (JacksonException e) {
            throw problem(e);
        }
    }

    /** What is wrong with a text that is no JSON, and where. */
    static FileProblem problem(JacksonException e) {
        TokenStreamLocation place = e.getLocation();
        long line = place == null ? 1 : Math.max(1, place.getLineNr());
        long column = place == null ? 1 : Math.max(1, place.getColumnNr());
        String why =
                e instanceof StreamConstraintsException ? "too deep, too long or too large a number: " : "not JSON: ";
        boolean trailing =
                e instanceof MismatchedInputException; // a tree takes any value: only what follows it can be amiss
        return new FileProblem(
                line,
                column,
                trailing ? "not JSON: something follows behind its end" : why + firstLine(e.getOriginalMessage()));
    }

    private static String firstLine(String message) {
        String text = String.valueOf(message);
        int end = text.indexOf('\n');
        return end < 0 ? text : text.substring(0, end);
    }

    /** The text of a scalar; numbers are written plainly. */
    static String scalar(JsonNode node) {
        if (node.isNull() || node.isMissingNode()) {
            return "";
        }
        if (!node.isNumber()) {
            return node.asString();
        }
        return plain(node.decimalValue());
    }

    /** A number written plainly. */
    static String plain(BigDecimal number) {
        return Math.abs(number.scale()) > MOST_ZEROS
                ? number.toString()
                : number.toPlainString(); // 1e999999999 is not written out
    }
}
