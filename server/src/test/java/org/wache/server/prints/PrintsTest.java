package org.wache.server.prints;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is printed holds everything it should, whatever the length, and its code can be read. */
class PrintsTest {

    private static ChannelCards.Card card(int lines) {
        return new ChannelCards.Card(
                "R. Quill  KE9QRF",
                "River, release 3",
                "release 3 0123456789abcdef",
                "https://wache.example/card#Zm9vYmFyYmF6cXV4MTIz",
                IntStream.rangeClosed(1, lines)
                        .mapToObj(i -> new ChannelCards.Line(
                                Integer.toString(i),
                                "N" + i + "X",
                                i % 3 != 0,
                                "146.5" + (10 + i % 90),
                                "146.5" + (10 + i % 90),
                                i % 2 == 0 ? "103.5" : ""))
                        .toList());
    }

    private static String text(byte[] pdf) throws IOException {
        PdfReader reader = new PdfReader(pdf);
        StringBuilder text = new StringBuilder();
        for (int page = 1; page <= reader.getNumberOfPages(); page++) {
            text.append(new PdfTextExtractor(reader).getTextFromPage(page)).append('\n');
        }
        return text.toString();
    }

    /** Ten cards to a page; a list of 20 fits on one side, a longer one goes on on further sides. */
    @ParameterizedTest
    @CsvSource({"1, 1", "20, 1", "64, 1", "250, 1", "400, 2"})
    void everyEntryIsOnTheCardOnce(int lines, int pages) throws IOException {
        byte[] pdf = ChannelCards.write(List.of(card(lines)));
        assertThat(new PdfReader(pdf).getNumberOfPages()).isEqualTo(pages);
        String text = text(pdf);
        for (int i = 1; i <= lines; i++) {
            assertThat(text.split("N" + i + "X", -1)).as("entry %s", i).hasSize(2);
        }
    }

    @Test
    void elevenHoldersTakeASecondPage() throws IOException {
        List<ChannelCards.Card> cards =
                IntStream.range(0, 11).mapToObj(i -> card(5)).toList();
        assertThat(new PdfReader(ChannelCards.write(cards)).getNumberOfPages()).isEqualTo(2);
    }

    @Test
    void nobodyToPrintForIsSaid() throws IOException {
        assertThat(text(ChannelCards.write(List.of()))).contains("Nobody of the roster carries this release");
    }

    /** Read again by the same library's reader, from the modules alone. */
    @Test
    void theCodeSaysTheAddress() throws Exception {
        String address = "https://wache.example/card#Zm9vYmFyYmF6cXV4MTIz";
        ByteMatrix matrix = QrCode.matrix(address);
        assertThat(new QRCodeReader()
                        .decode(new BinaryBitmap(new HybridBinarizer(new Modules(matrix))))
                        .getText())
                .isEqualTo(address);
        QrCode drawing = QrCode.of(address);
        assertThat(drawing.path().split("M", -1).length - 1).as("dark modules").isEqualTo(dark(matrix));
    }

    private static int dark(ByteMatrix matrix) {
        int dark = 0;
        for (byte[] row : matrix.getArray()) {
            for (byte module : row) {
                dark += module;
            }
        }
        return dark;
    }

    /** The modules as a picture with its quiet zone, four points a module. */
    private static final class Modules extends LuminanceSource {
        private static final int SCALE = 4;
        private final ByteMatrix matrix;

        Modules(ByteMatrix matrix) {
            super((matrix.getWidth() + 8) * SCALE, (matrix.getHeight() + 8) * SCALE);
            this.matrix = matrix;
        }

        private byte at(int x, int y) {
            int column = x / SCALE - 4;
            int row = y / SCALE - 4;
            boolean inside = column >= 0 && row >= 0 && column < matrix.getWidth() && row < matrix.getHeight();
            return (byte) (inside && matrix.get(column, row) == 1 ? 0 : 255);
        }

        @Override
        public byte[] getRow(int y, byte[] row) {
            byte[] filled = row != null && row.length >= getWidth() ? row : new byte[getWidth()];
            for (int x = 0; x < getWidth(); x++) {
                filled[x] = at(x, y);
            }
            return filled;
        }

        @Override
        public byte[] getMatrix() {
            byte[] all = new byte[getWidth() * getHeight()];
            for (int y = 0; y < getHeight(); y++) {
                System.arraycopy(Arrays.copyOf(getRow(y, null), getWidth()), 0, all, y * getWidth(), getWidth());
            }
            return all;
        }
    }

    @Test
    void aTableOfManyRowsKeepsItsHeadingsOnEveryPage() throws IOException {
        List<List<String>> rows = IntStream.range(0, 200)
                .mapToObj(i -> List.of(Integer.toString(i), "Name " + i))
                .toList();
        byte[] pdf = TableSheet.write(
                false,
                "A title",
                "A lead",
                "The foot",
                List.of(new TableSheet.Table("", new float[] {20, 80}, List.of("#No.", "Heading two"), rows)),
                "The end.");
        int pages = new PdfReader(pdf).getNumberOfPages();
        assertThat(pages).isGreaterThan(2);
        String text = text(pdf);
        assertThat(text.split("Heading two", -1)).hasSize(pages + 1);
        assertThat(text.split("The foot", -1)).hasSize(pages + 1);
        assertThat(text).contains("Name 199", "The end.");
    }
}
