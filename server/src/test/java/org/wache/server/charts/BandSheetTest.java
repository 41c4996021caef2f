package org.wache.server.charts;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.server.charts.Drawing.Anchor;
import org.wache.server.charts.Drawing.Kind;
import org.wache.server.charts.Drawing.Mark;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.Typeface;
import org.xml.sax.InputSource;

/** A sheet says what the law says, and nothing on it lies over anything else. */
class BandSheetTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-28");
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);
    private static final float POINT = 25.4f / 72;

    private static BandSheet sheet(String as, String band) {
        return BandSheet.of(EDITION, as, "For somebody", band, DAY);
    }

    /** 47 CFR 97.301(e) and 97.305(c), 97.307(f)(10): what a Technician may in 10 m and 2 m, with 97.313(c)(2) for the power (from memory). */
    @Test
    void theSheetOfAClassSaysWhatTheLawSays() {
        assertThat(sheet("amateur:technician", "10 m").law())
                .extracting(each -> each.low() + "-" + each.high() + " " + each.words() + ", " + each.power() + " "
                        + each.onlyFrom().orElse("allowed"))
                .startsWith(
                        "28000000-28300000 CW and data, 200 W PEP allowed",
                        "28300000-28500000 CW and single sideband (J3E, R3E), 200 W PEP allowed")
                .anyMatch(each -> each.startsWith("28500000-29000000 ") && each.endsWith(" General"));
        assertThat(sheet("amateur:technician", "2 m").law())
                .extracting(each -> each.low() + "-" + each.high() + " " + each.words())
                .containsExactly("144000000-144100000 CW", "144100000-148000000 CW, data, voice and images");
    }

    /** 47 CFR 95.563: FRS without a licence; the sheet gives middles of channels, and the table of names is another. */
    @Test
    void fixedChannelsAreToldByTheirMiddle() {
        assertThat(sheet("nobody", "FRS/GMRS 462").law())
                .filteredOn(each -> (each.low() + each.high()) / 2 == 462_562_500)
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.channel()).isTrue();
                    assertThat(each.words()).isEqualTo("FRS 1");
                    assertThat(each.onlyFrom()).isEmpty();
                });
    }

    @Test
    void callingFrequenciesAndPairsAreTold() {
        List<BandSheet.PlannedPart> plan = sheet("nobody", "2 m").plan();
        assertThat(plan)
                .filteredOn(BandSheet.PlannedPart::calling)
                .extracting(BandSheet.PlannedPart::low)
                .containsExactly(144_200_000L, 146_520_000L);
        assertThat(plan)
                .filteredOn(each -> each.low() == 146_610_000)
                .extracting(BandSheet.PlannedPart::channels)
                .containsExactly("input −0.6 MHz, 15 or 20 kHz channels");
    }

    private record Box(float left, float top, float right, float bottom, String text) {
        boolean overlaps(Box other) {
            return left < other.right() && other.left() < right && top < other.bottom() && other.top() < bottom;
        }
    }

    private static Box of(Mark mark) {
        Typeface face = Colours.isFigures(mark.ink())
                ? Colours.isBold(mark.ink()) ? Typeface.FIGURES_BOLD : Typeface.FIGURES
                : Colours.isBold(mark.ink()) ? Typeface.BOLD : Typeface.TEXT;
        float wide = face.width(mark.text(), mark.size()) * POINT;
        float left = mark.anchor() == Anchor.END ? mark.x() - wide : mark.x();
        float high = mark.size() * POINT;
        return new Box(left, mark.y() - high * 0.7f, left + wide, mark.y() + high * 0.15f, mark.text());
    }

    /** Every band of the rulebook, for three holders, on both papers: no words over words, none over the edge, none too small to read. */
    @ParameterizedTest
    @EnumSource(PaperSize.class)
    void noWordsLieOverOthers(PaperSize paper) {
        for (String as : List.of("nobody", "amateur:technician", "amateur:extra")) {
            for (String band : BandSheet.bands(EDITION)) {
                Drawing drawing = SheetLayout.of(sheet(as, band), paper);
                List<Box> boxes = new ArrayList<>();
                for (Mark mark : drawing.marks()) {
                    if (mark.kind() == Kind.WORDS && !mark.text().isEmpty()) {
                        assertThat(mark.size()).as(band + " " + mark.text()).isGreaterThanOrEqualTo(4.8f);
                        Box box = of(mark);
                        assertThat(box.left()).as(band + ": " + mark.text()).isGreaterThanOrEqualTo(-0.1f);
                        assertThat(box.right())
                                .as(band + ": " + mark.text())
                                .isLessThanOrEqualTo(drawing.width() + 0.1f);
                        assertThat(box.bottom()).as(band + ": " + mark.text()).isLessThanOrEqualTo(drawing.height());
                        assertThat(boxes)
                                .as(band + " " + as + " " + mark.text())
                                .noneMatch(box::overlaps);
                        boxes.add(box);
                    }
                }
            }
        }
    }

    /** A part is drawn where its figures say. */
    @ParameterizedTest
    @CsvSource({"2 m, 146520000", "20 m, 14074000", "70 cm, 446000000"})
    void partsAreDrawnToScale(String band, long hertz) {
        BandSheet sheet = sheet("amateur:extra", band);
        Drawing drawing = SheetLayout.of(sheet, PaperSize.A4);
        List<Mark> law = drawing.marks().stream()
                .filter(mark -> mark.kind() == Kind.BOX && mark.ink() == Drawing.Ink.MAY && mark.width() > 6.1f)
                .toList();
        float top = law.stream().map(Mark::y).min(Float::compare).orElseThrow();
        float bottom = law.stream()
                .map(mark -> mark.y() + mark.height())
                .max(Float::compare)
                .orElseThrow();
        float wanted = top + (bottom - top) * (hertz - sheet.low()) / (sheet.high() - sheet.low());
        assertThat(drawing.marks())
                .anyMatch(mark -> mark.kind() == Kind.BOX
                        && mark.height() <= 1.05f
                        && Math.abs(mark.y() + mark.height() / 2 - wanted) < 0.05f);
    }

    @Test
    void theSvgIsWellFormedWhateverTheGroupCallsItsRows() throws Exception {
        BandSheet sheet = sheet("nobody", "2 m");
        BandSheet evil = new BandSheet(
                sheet.band(),
                sheet.low(),
                sheet.high(),
                "For <script>alert(1)</script> & \u0001 \"us\"",
                sheet.law(),
                List.of(new BandSheet.PlannedPart(146_000_000, 146_100_000, "]]> <b> & '", false, true, "")),
                sheet.edition(),
                sheet.day());
        String svg = SvgPen.draw(SheetLayout.of(evil, PaperSize.LETTER), evil.holder());
        // a style sheet goes before attributes: it must leave the typefaces of figures alone
        assertThat(svg).contains("font-family=\"Figures, monospace\"").doesNotContain("text {");
        assertThat(DocumentBuilderFactory.newInstance()
                        .newDocumentBuilder()
                        .parse(new InputSource(new StringReader(svg)))
                        .getElementsByTagName("script")
                        .getLength())
                .isZero();
    }
}
