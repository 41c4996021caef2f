package org.wache.server.prints;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Channel cards, several to a sheet with marks to cut along. What the holder may key is marked by a filled arrow, everything else by a
 * ring. A list that is too long for one side goes on on further ones, each as full as the others.
 */
public final class ChannelCards {

    private static final float INSET = 2.2f;
    private static final float FOOT = 2.6f;
    private static final float POINT = 25.4f / 72;
    /** Figures are set a little smaller than names, so that both look alike. */
    private static final float FIGURES = 0.9f;

    private static final float LARGE = 1.25f;
    private static final float SECOND = 0.85f;
    private static final float SMALL = 0.65f;

    private static final String STYLE =
            """
            .sheet { position: relative; width: 100%; height: 250mm }
            .card { position: absolute; box-sizing: border-box; border: 0.15mm solid #999; width: $width; height: $height }
            .head { position: absolute; left: $inset; top: $inset }
            .card h2 { margin: 0; white-space: nowrap; font: 700 $large/1.15 Text, Other }
            .of { margin: 0; white-space: nowrap; font-size: $second; line-height: 1.2 }
            .code { position: absolute; width: $code; height: $code }
            .card table { position: absolute; margin: 0; left: $inset; top: $head; width: $table; font-size: $text }
            .card td, .card th { border: 0; padding: 0; white-space: nowrap; height: $line; line-height: $line }
            .card th { font-size: $small }
            .card td.figures { font-size: $figures }
            .sum { position: absolute; margin: 0; white-space: nowrap; left: $inset; bottom: 0.8mm; font-size: $small; line-height: 1.2 }
            .mark { font-family: Other }
            """;

    private ChannelCards() {}

    /**
     * The card of one holder.
     *
     * @param holder whose it is
     * @param calls their call signs
     * @param list of which list and release
     * @param sum the first figures of the release's SHA-256
     * @param address that the code opens
     * @param lines the entries
     */
    public record Card(String holder, String calls, String list, String sum, String address, List<Line> lines) {}

    /**
     * An entry: what to say for it, whether the holder may key it, and how.
     *
     * @param shift how far it talks from where it hears, in megahertz with its sign; empty for direct
     */
    public record Line(
            String number, String name, boolean talks, String hears, String shift, String tone, String power) {}

    private record ToldLine(
            boolean talks, String number, String name, String hears, String shift, String tone, String power) {}

    private record ToldCard(
            String place,
            String holder,
            String list,
            String sum,
            String code,
            String codePlace,
            String headWidth,
            List<ToldLine> lines) {}

    private record Sheet(boolean last, List<ToldCard> cards) {}

    private record Told(boolean withPower, List<Sheet> sheets) {}

    /** The bytes of the PDF. */
    public static byte[] write(PaperSize paper, CardSize size, List<Card> cards) {
        if (cards.isEmpty()) {
            return new TableSheet("Channel cards", List.of("Nobody of the roster carries this release."), List.of(), "")
                    .write(paper, false, "");
        }
        int onSheet = size.columns() * size.rows();
        List<ToldCard> told = new ArrayList<>();
        for (Card card : cards) {
            for (Face face : faces(size, card)) {
                told.add(told(paper, size, told.size() % onSheet, card, face));
            }
        }
        List<Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < told.size(); i += onSheet) {
            int end = Math.min(i + onSheet, told.size());
            sheets.add(new Sheet(end == told.size(), told.subList(i, end)));
        }
        return Paper.of(paper, false, "Channel cards", "")
                .write("cards", new Told(size != CardSize.WALLET, sheets), style(size));
    }

    /** How many entries a side of a card holds. */
    static int linesOf(CardSize size) {
        // one line is the headings of the columns
        return (int) ((size.height() - INSET - size.head() - FOOT) / size.line()) - 1;
    }

    /** One side: its lines, and which of how many it is. */
    private record Face(List<Line> lines, int number, int of) {}

    private static List<Face> faces(CardSize size, Card card) {
        int most = linesOf(size);
        int sides = Math.max(1, (card.lines().size() + most - 1) / most);
        int each = (card.lines().size() + sides - 1) / sides;
        List<Face> faces = new ArrayList<>();
        for (int i = 0; i < sides; i++) {
            int from = Math.min(i * each, card.lines().size());
            faces.add(new Face(
                    card.lines()
                            .subList(from, Math.min(from + each, card.lines().size())),
                    i + 1,
                    sides));
        }
        return faces;
    }

    private static ToldCard told(PaperSize paper, CardSize size, int place, Card card, Face face) {
        float left = (paper.width() - size.columns() * size.width()) / 2 + place % size.columns() * size.width();
        float top = (paper.height() - size.rows() * size.height()) / 2
                + Math.floorDiv(place, size.columns()) * size.height();
        boolean first = face.number() == 1;
        float room = size.width() - 2 * INSET - (first ? size.code() + INSET : 0);
        String who = (card.holder() + "  " + card.calls()).strip();
        float large = size.text() * LARGE;
        return new ToldCard(
                "left: " + millimetres(left) + "; top: " + millimetres(top),
                Typeface.BOLD.fitted(who, large * POINT, room),
                Typeface.TEXT.fitted(
                        card.list() + (face.of() > 1 ? " · side " + face.number() + " of " + face.of() : ""),
                        size.text() * SECOND * POINT,
                        room),
                Typeface.TEXT.fitted(
                        "arrow: talk · ring: listen only · your licence comes first · " + card.sum(),
                        size.text() * SMALL * POINT,
                        size.width() - 2 * INSET),
                first ? QrCode.picture(card.address()) : "",
                "left: " + millimetres(size.width() - INSET / 2 - size.code()) + "; top: " + millimetres(INSET / 2),
                millimetres(room),
                face.lines().stream().map(line -> told(size, line)).toList());
    }

    private static ToldLine told(CardSize size, Line line) {
        float name = size.width() * columns(size)[2] / 100;
        return new ToldLine(
                line.talks(),
                line.number(),
                Typeface.BOLD.fitted(line.name(), size.text() * POINT, name - 1),
                line.hears(),
                line.talks() ? line.shift() : "",
                line.talks() ? line.tone() : "",
                line.talks() ? line.power() : "");
    }

    /** Mark, number, name, hears, shift, tone and power in percent of the width. */
    private static int[] columns(CardSize size) {
        return switch (size) {
            case WALLET -> new int[] {4, 8, 41, 19, 13, 15, 0};
            case BADGE -> new int[] {5, 7, 35, 19, 11, 14, 9};
            case WINDSCREEN -> new int[] {4, 7, 37, 18, 11, 13, 10};
        };
    }

    private static String style(CardSize size) {
        int[] widths = columns(size);
        StringBuilder style = new StringBuilder(STYLE.replace("$width", millimetres(size.width()))
                .replace("$height", millimetres(size.height()))
                .replace("$table", millimetres(size.width() - 2 * INSET))
                .replace("$inset", millimetres(INSET))
                .replace("$head", millimetres(size.head()))
                .replace("$line", millimetres(size.line()))
                .replace("$code", millimetres(size.code()))
                .replace("$large", points(size.text() * LARGE))
                .replace("$text", points(size.text()))
                .replace("$second", points(size.text() * SECOND))
                .replace("$figures", points(size.text() * FIGURES))
                .replace("$small", points(size.text() * SMALL)));
        for (int i = 0; i < widths.length; i++) {
            style.append(".c").append(i).append(" { width: ").append(widths[i]).append("% }\n");
        }
        return style.toString();
    }

    private static String points(float size) {
        return String.format(Locale.ROOT, "%.2fpt", size);
    }

    private static String millimetres(float length) {
        return String.format(Locale.ROOT, "%.2fmm", length);
    }
}
