package org.wache.exchange;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Strict reading of UTF-8. */
final class Utf8 {

    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private Utf8() {}

    /** The text of the bytes, without a byte order mark. */
    static String decode(byte[] bytes) {
        CharsetDecoder decoder = StandardCharsets.UTF_8
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
        ByteBuffer in = ByteBuffer.wrap(bytes);
        try {
            CharBuffer text = decoder.decode(in);
            return !text.isEmpty() && text.get(0) == BYTE_ORDER_MARK
                    ? text.subSequence(1, text.length()).toString()
                    : text.toString();
        } catch (CharacterCodingException e) {
            int line = 1;
            int column = 1;
            for (int i = 0; i < in.position(); i++) {
                boolean end = bytes[i] == '\n';
                line += end ? 1 : 0;
                column = end ? 1 : column + 1;
            }
            throw new FileProblem(line, column, "not UTF-8 text; save the file as CSV in UTF-8");
        }
    }
}
