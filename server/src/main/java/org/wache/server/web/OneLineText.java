package org.wache.server.web;

import rocks.xmpp.precis.PrecisProfiles;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;

/**
 * Names in one spelling (RFC 8264, free-form class, as RFC 8265 has it for texts of one's own): every blank is a plain one, letters
 * with marks are composed, nothing stands before or behind; line breaks, control characters and signs that are not seen are refused.
 */
public final class OneLineText extends StdDeserializer<String> {

    public OneLineText() {
        super(String.class);
    }

    /**
     * A name in its one spelling; an empty one stays empty.
     *
     * @throws Refused when it has line breaks or signs that are not seen
     */
    public static String of(String text) {
        if (text.isBlank()) {
            return "";
        }
        try {
            return PrecisProfiles.OPAQUE_STRING.enforce(text).strip();
        } catch (IllegalArgumentException e) {
            throw new Refused(
                    "“" + shown(text)
                            + "” is no name: a name is one line, without control characters and without signs that are not seen. Type it anew.");
        }
    }

    private static String shown(String text) {
        String seen = text.codePoints()
                .filter(sign -> Character.isLetterOrDigit(sign) || sign == ' ' || "-.,_/()#&'+".indexOf(sign) >= 0)
                .limit(60)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
        return seen.strip();
    }

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
        String text = parser.getValueAsString();
        if (text == null || !parser.currentToken().isScalarValue()) {
            return (String) context.handleUnexpectedToken(String.class, parser);
        }
        return of(text);
    }
}
