package org.wache.server.prints;

import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.util.Map;

/**
 * A two-dimensional code (ISO/IEC 18004), as a drawing.
 *
 * @param size modules a side, without the quiet zone of four around it
 * @param path the dark modules as a path of an SVG, a module a unit
 */
public record QrCode(int size, String path) {

    /** The code of a text, with a quarter of it spare for smudges. */
    public static QrCode of(String text) {
        ByteMatrix matrix = matrix(text);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < matrix.getHeight(); y++) {
            for (int x = 0; x < matrix.getWidth(); x++) {
                if (matrix.get(x, y) == 1) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return new QrCode(matrix.getWidth(), path.toString());
    }

    /** The modules: 1 is dark. */
    static ByteMatrix matrix(String text) {
        try {
            return Encoder.encode(text, ErrorCorrectionLevel.Q, Map.of(EncodeHintType.CHARACTER_SET, "UTF-8"))
                    .getMatrix();
        } catch (WriterException e) {
            throw new IllegalArgumentException("The text is too long for a code", e);
        }
    }
}
