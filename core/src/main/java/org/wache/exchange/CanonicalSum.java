package org.wache.exchange;

import java.io.IOException;
import org.apache.commons.codec.digest.DigestUtils;
import org.erdtman.jcs.JsonCanonicalizer;
import tools.jackson.databind.JsonNode;

/** The SHA-256 over the canonical form of JSON, RFC 8785: however it is laid out, the same content gives the same sum. */
final class CanonicalSum {

    private CanonicalSum() {}

    /** The sum in hexadecimal. */
    static String of(JsonNode content) {
        return DigestUtils.sha256Hex(form(JsonText.MAPPER.writeValueAsString(content)));
    }

    /**
     * The canonical form, as UTF-8.
     *
     * @throws FileProblem for what has none: numbers out of range, broken letters
     */
    static byte[] form(String json) {
        try {
            return new JsonCanonicalizer(json).getEncodedUTF8();
        } catch (IOException | RuntimeException e) { // the library throws either
            throw new FileProblem(
                    1, 1, "not a release: it holds a number or a letter that has no canonical form (RFC 8785)");
        }
    }
}
