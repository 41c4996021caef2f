package org.wache.server.prints;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is printed holds everything it should, whatever the length, and its code can be read. */
class PrintsTest {

    private static ChannelCards.Card card(int lines) {
        return new ChannelCards.Card(
                "R. Quill",
                "KE9QRF",
                "River, release 3",
                "release 3 0123456789abcdef",
                "https://wache.example/card#Zm9vYmFyYmF6cXV4MTIz",
                IntStream.rangeClosed(1, lines)
                        .mapToObj(i -> new ChannelCards.Line(
                                Integer.toString(i),
                                "N" + i + "X",
                                i % 3 != 0,
                                "146.5" + (10 + i % 90),
                                i % 4 == 0 ? "−0.6" : "",
                                i % 2 == 0 ? "103.5" : "",
                                "5 W"))
                        .toList());
    }

    private static <T> T read(byte[] pdf, Reading<T> reading) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return reading.of(document);
        }
    }

    private interface Reading<T> {
        T of(PDDocument document) throws IOException;
    }

    private static String text(byte[] pdf) throws IOException {
        return read(pdf, new PDFTextStripper()::getText);
    }

    private static int pages(byte[] pdf) throws IOException {
        return read(pdf, PDDocument::getNumberOfPages);
    }

    /** A list of any length is on as many sides as it takes, and each entry is on one of them. */
    @ParameterizedTest
    @CsvSource({
        "WALLET, LETTER, 1, 1", "WALLET, LETTER, 20, 1", "WALLET, A4, 64, 1", "WALLET, A4, 250, 3",
        "BADGE, A4, 60, 1", "BADGE, LETTER, 100, 2", "WINDSCREEN, A4, 12, 1", "WINDSCREEN, LETTER, 40, 2"
    })
    void everyEntryIsOnTheCardOnce(CardSize size, PaperSize paper, int lines, int pages) throws IOException {
        byte[] pdf = ChannelCards.write(paper, size, List.of(card(lines)));
        assertThat(pages(pdf)).isEqualTo(pages);
        String text = text(pdf);
        for (int i = 1; i <= lines; i++) {
            assertThat(text.split("N" + i + "X", -1)).as("entry %s", i).hasSize(2);
        }
    }

    /** ISO/IEC 7810 ID-1, and nothing that is printed runs out of its card or its sheet. */
    @ParameterizedTest
    @CsvSource({"WALLET", "BADGE", "WINDSCREEN"})
    void cardsLieOnTheSheetAndTheirTypeIsLarge(CardSize size) throws IOException {
        List<ChannelCards.Card> cards =
                IntStream.range(0, 7).mapToObj(i -> card(9)).toList();
        for (PaperSize paper : PaperSize.values()) {
            List<TextPosition> signs = new ArrayList<>();
            read(
                    ChannelCards.write(paper, size, cards),
                    document -> new PDFTextStripper() {
                        @Override
                        protected void processTextPosition(TextPosition text) {
                            signs.add(text);
                        }
                    }.getText(document));
            assertThat(signs).allSatisfy(sign -> {
                assertThat(sign.getX()).isBetween(5f, paper.width() * 72 / 25.4f - 5);
                assertThat(sign.getY()).isBetween(5f, paper.height() * 72 / 25.4f - 2);
            });
            double names = signs.stream()
                    .filter(sign -> sign.getUnicode().equals("X"))
                    .mapToDouble(TextPosition::getWidth)
                    .min()
                    .orElseThrow();
            assertThat(names).as("width of an X").isCloseTo(Typeface.BOLD.width("X", size.text()), within(0.1));
        }
    }

    @Test
    void elevenHoldersTakeASecondPage() throws IOException {
        List<ChannelCards.Card> cards =
                IntStream.range(0, 11).mapToObj(i -> card(5)).toList();
        assertThat(pages(ChannelCards.write(PaperSize.LETTER, CardSize.WALLET, cards)))
                .isEqualTo(2);
    }

    @Test
    void nobodyToPrintForIsSaid() throws IOException {
        assertThat(text(ChannelCards.write(PaperSize.LETTER, CardSize.WALLET, List.of())))
                .contains("Nobody of the roster carries this release");
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

    private static byte[] table(String lead, List<List<String>> rows) {
        return new TableSheet(
                        "A title",
                        List.of(lead),
                        List.of(new TableSheet.Table(
                                "",
                                List.of(
                                        TableSheet.Column.figures("No.", 20),
                                        TableSheet.Column.name("Heading two", 80)),
                                rows)),
                        "The end.")
                .write(PaperSize.LETTER, false, "The foot");
    }

    @Test
    void aTableOfManyRowsKeepsItsHeadingsOnEveryPage() throws IOException {
        byte[] pdf = table(
                "A lead",
                IntStream.range(0, 200)
                        .mapToObj(i -> List.of(Integer.toString(i), "Name " + i))
                        .toList());
        int pages = pages(pdf);
        assertThat(pages).isGreaterThan(2);
        String text = text(pdf);
        assertThat(text.split("Heading two", -1)).hasSize(pages + 1);
        assertThat(text.split("The foot", -1)).hasSize(pages + 1);
        assertThat(text).contains("Name 199", "The end.", "Page 1 of " + pages);
    }

    /** ISO 14289-1: marked, in a language, with a title; headings, tables, their headings and cells are told as such. */
    @Test
    void papersAreTaggedForThoseWhoHearThem() throws IOException {
        read(table("A lead", List.of(List.of("1", "Name"))), document -> {
            assertThat(document.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(document.getDocumentInformation().getTitle()).isEqualTo("A title");
            List<String> kinds = new ArrayList<>();
            kinds(document.getDocumentCatalog().getStructureTreeRoot(), kinds);
            assertThat(kinds).contains("H1", "Table", "TH", "TD", "P");
            return kinds;
        });
    }

    private static void kinds(PDStructureNode node, List<String> kinds) {
        for (Object kid : node.getKids()) {
            if (kid instanceof PDStructureElement element) {
                kinds.add(element.getStandardStructureType());
                kinds(element, kinds);
            }
        }
    }

    /** In the typefaces of the screens, all of them in the file; further scripts come from another that ships. */
    @Test
    void theTypefacesAreInTheFile() throws IOException {
        List<String> names = new ArrayList<>();
        byte[] pdf = table("Ωμέγα, Ладога ≤ 5", List.of(List.of("1", "Name")));
        read(pdf, document -> {
            var resources = document.getPage(0).getResources();
            for (var each : resources.getFontNames()) {
                PDFont font = resources.getFont(each);
                assertThat(font.isEmbedded()).as(font.getName()).isTrue();
                names.add(font.getName().replaceFirst("^[A-Z]+\\+", ""));
            }
            return names;
        });
        assertThat(names)
                .contains(
                        "AtkinsonHyperlegibleNext-Regular",
                        "AtkinsonHyperlegibleNext-Bold",
                        "AtkinsonHyperlegibleMono-Regular",
                        "LiberationSans");
        assertThat(text(pdf)).contains("Ωμέγα, Ладога ≤ 5");
    }

    /** What somebody called an entry is text and no mark-up, whatever is in it, and nothing is fetched for it. */
    @Test
    void whatUsersWroteIsText() throws IOException {
        String evil = "<img src=\"file:///etc/passwd\"/> & \u0001\ud800 ]]> {{title}} <b>bold";
        assertThat(text(table(evil, List.of(List.of("</td>", "<script>alert(1)</script>")))))
                .contains(
                        "<img src=\"file:///etc/passwd\"/> & ]]> {{title}} <b>bold",
                        "</td>",
                        "<script>alert(1)</script>");
    }
}
