package org.wache.server.prints;

import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.Map;
import javax.imageio.ImageIO;

/**
 * A two-dimensional code (ISO/IEC 18004), as a drawing.
 *
 * @param size modules a side, without the quiet zone of four around it
 * @param path the dark modules as a path of an SVG, a module a unit
 */
public record QrCode(int size, String path) {

    /** Modules left white around it (ISO/IEC 18004). */
    private static final int QUIET = 4;
    /** Dots of a picture to a module. */
    private static final int SCALE = 6;

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

    /** The code as a picture (PNG, with its quiet zone) in an address of its own. */
    static String picture(String text) {
        ByteMatrix matrix = matrix(text);
        int side = (matrix.getWidth() + 2 * QUIET) * SCALE;
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_BINARY);
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                image.setRGB(x, y, isDark(matrix, x / SCALE - QUIET, y / SCALE - QUIET) ? 0 : 0xFFFFFF);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e); // memory is always writable
        }
        return "data:image/png;base64," + Base64.getEncoder().encodeToString(out.toByteArray());
    }

    private static boolean isDark(ByteMatrix matrix, int x, int y) {
        return x >= 0 && y >= 0 && x < matrix.getWidth() && y < matrix.getHeight() && matrix.get(x, y) == 1;
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
