package org.wache.arrival;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** Bytes that should be text: UTF-8, or UTF-16 with its mark; another encoding only when somebody says so. */
final class TextBytes {

    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final Charset WINDOWS = Charset.forName("windows-1252");

    private TextBytes() {}

    /**
     * The text.
     *
     * @param encoding windows-1252 when somebody asked for it, else empty
     * @throws ArrivalProblem when it is no text of that encoding; the message names line and column
     */
    static String decode(byte[] bytes, String encoding) {
        if (!encoding.isEmpty() && !encoding.equals("windows-1252")) {
            throw new ArrivalProblem("A file is read as UTF-8, or as windows-1252 when you say so.");
        }
        Charset charset = encoding.isEmpty() ? marked(bytes) : WINDOWS;
        ByteBuffer in = ByteBuffer.wrap(bytes);
        String text;
        try {
            text = charset.newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(in)
                    .toString();
        } catch (CharacterCodingException e) {
            throw new ArrivalProblem(place(bytes, in.position()) + ": not text in " + charset.displayName()
                    + ". Save the file as CSV in UTF-8. If an old program wrote it, choose “Read as Windows text”.");
        }
        int zero = text.indexOf('\0');
        if (zero >= 0) {
            throw new ArrivalProblem(
                    place(text.substring(0, zero).getBytes(StandardCharsets.UTF_8), Integer.MAX_VALUE)
                            + ": not a table but something else, such as a picture or a program. Choose a CSV, TSV, text or XLSX file.");
        }
        return !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
    }

    private static Charset marked(byte[] bytes) {
        if (bytes.length > 1 && bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE) {
            return StandardCharsets.UTF_16;
        }
        return bytes.length > 1 && bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF
                ? StandardCharsets.UTF_16
                : StandardCharsets.UTF_8;
    }

    private static String place(byte[] bytes, int end) {
        int line = 1;
        int column = 1;
        for (int i = 0; i < Math.min(end, bytes.length); i++) {
            boolean feed = bytes[i] == '\n';
            line += feed ? 1 : 0;
            column = feed ? 1 : column + 1;
        }
        return "Line " + line + ", column " + column;
    }
}
