package org.wache.server.charts;

import static org.wache.server.charts.Drawing.box;
import static org.wache.server.charts.Drawing.line;
import static org.wache.server.charts.Drawing.words;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.wache.server.charts.Drawing.Anchor;
import org.wache.server.charts.Drawing.Ink;
import org.wache.server.charts.Drawing.Mark;
import org.wache.server.prints.PaperDates;
import org.wache.server.prints.PaperSize;
import org.wache.server.prints.Typeface;
import org.wache.signal.Frequency;

/**
 * Lays a sheet out as a gauge stands in a river: the scale upright in the middle, the law at its left, the plan at its right, and every
 * part with its figures and words beside it, tied to its place and never over another.
 */
final class SheetLayout {

    private static final float POINT = 25.4f / 72;
    private static final float MARGIN = 13;
    private static final float FOOT = 16;

    private static final float HEAD = 24;
    private static final float KEY = 15;
    private static final float LAW_LANE = 9;
    private static final float STAFF = 20;
    private static final float PLAN_LANE = 11;
    private static final float TIE = 10;
    private static final float GAP = 1.2f;
    /** A mark that would be thinner is drawn so thick, in millimetres. */
    private static final float THIN = 0.5f;

    private static final float TYPE = 9;
    private static final float LARGEST = 1.3f;
    private static final float LEAST = 0.62f;
    private static final float LINE = 1.22f;

    private final BandSheet sheet;
    private final List<Mark> marks = new ArrayList<>();
    private final float width;
    private final float height;
    private final float top = HEAD;
    private final float bottom;
    private final float law;
    private final float staff;
    private final float plan;
    private final float labels;

    private SheetLayout(BandSheet sheet, PaperSize paper) {
        this.sheet = sheet;
        this.width = paper.width() - 2 * MARGIN;
        this.height = paper.height() - MARGIN - FOOT;
        this.bottom = height - KEY;
        boolean planned = !sheet.plan().isEmpty();
        this.law = planned ? 58 : width * 0.6f;
        this.staff = law + LAW_LANE;
        this.plan = staff + STAFF;
        this.labels = plan + PLAN_LANE + TIE;
    }

    /** The drawing for the part of a sheet that its margins leave free. */
    static Drawing of(BandSheet sheet, PaperSize paper) {
        SheetLayout layout = new SheetLayout(sheet, paper);
        layout.head();
        layout.scale();
        layout.law();
        layout.plan();
        layout.key();
        return new Drawing(layout.width, layout.height, List.copyOf(layout.marks));
    }

    private float at(long hertz) {
        double part = (double) (Math.min(Math.max(hertz, sheet.low()), sheet.high()) - sheet.low())
                / (sheet.high() - sheet.low());
        return (float) (top + part * (bottom - top));
    }

    private void head() {
        marks.add(words(Ink.STRONG, 0, 9, 28, Anchor.START, sheet.band()));
        float after = Typeface.BOLD.width(sheet.band(), 28) * POINT + 5;
        marks.add(words(
                Ink.FIGURES,
                after,
                9,
                15,
                Anchor.START,
                Frequency.megahertz(sheet.low()) + "–" + Frequency.megahertz(sheet.high()) + " MHz"));
        marks.add(words(Ink.STRONG, 0, 16.5f, 11, Anchor.START, sheet.holder()));
        float under = top - 2.4f;
        marks.add(words(Ink.STRONG, law, under, 9, Anchor.END, "The law allows"));
        if (!sheet.plan().isEmpty()) {
            marks.add(words(Ink.STRONG, labels, under, 9, Anchor.START, "The band plan keeps it for"));
        }
    }

    /** The scale: a line at each round figure, longer at the rounder ones, like a staff in the water. */
    private void scale() {
        marks.add(line(Ink.RULE, staff, top, 0, bottom - top));
        marks.add(line(Ink.RULE, plan, top, 0, bottom - top));
        long step = step(sheet.high() - sheet.low());
        long small = step / 5;
        for (long at = Math.floorDiv(sheet.low() + small - 1, small) * small; at <= sheet.high(); at += small) {
            boolean round = at % step == 0;
            float y = at(at);
            float length = round ? 4.2f : 1.8f;
            marks.add(line(round ? Ink.TEXT : Ink.RULE, staff, y, length, 0));
            marks.add(line(round ? Ink.TEXT : Ink.RULE, plan - length, y, length, 0));
            if (round && y > top + 1.5f && y < bottom - 1.5f) {
                String figure = Frequency.megahertz(at).replaceFirst("\\.?0+$", "");
                float wide = Typeface.FIGURES.width(figure, 8) * POINT;
                marks.add(words(Ink.FIGURES, staff + (STAFF - wide) / 2, y + 1, 8, Anchor.START, figure));
            }
        }
    }

    /** Of 1, 2 and 5 with noughts, the one that gives about ten figures. */
    private static long step(long span) {
        long step = 10;
        while (true) {
            for (long factor : new long[] {1, 2, 5}) {
                if (span / (step * factor) <= 14) {
                    return step * factor;
                }
            }
            step *= 10;
        }
    }

    private record Line(Ink ink, float size, String text) {}

    /** What stands beside a part: in lines, as near to its middle as the others allow. */
    private record Label(float wanted, float edge, List<Line> lines) {
        float height() {
            return (float) lines.stream()
                            .mapToDouble(each -> each.size() * POINT * LINE)
                            .sum()
                    + GAP;
        }
    }

    private void law() {
        float most = law - TIE - GAP;
        List<Label> labels = fitted(scale -> sheet.law().stream()
                .map(each -> lawful(each, most, (float) scale))
                .toList());
        for (BandSheet.Lawful each : sheet.law()) {
            float from = at(each.low());
            float to = Math.max(at(each.high()), from + THIN);
            marks.add(box(each.onlyFrom().isEmpty() ? Ink.MAY : Ink.OTHERS, law, from, LAW_LANE, to - from));
        }
        List<Float> places = spread(labels);
        ties(labels, places, law, law - TIE);
        for (int i = 0; i < labels.size(); i++) {
            write(labels.get(i), places.get(i), law - TIE - GAP, Anchor.END);
        }
    }

    private Label lawful(BandSheet.Lawful each, float most, float scale) {
        float size = TYPE * scale;
        boolean channels = sheet.law().size() > 16;
        List<Line> lines = new ArrayList<>();
        String figures = each.channel()
                ? Frequency.megahertz((each.low() + each.high()) / 2)
                : Frequency.megahertz(each.low()) + "–" + Frequency.megahertz(each.high());
        String words = each.onlyFrom().map(from -> "from " + from + ": ").orElse("") + each.words();
        if (channels) {
            lines.add(new Line(
                    Ink.TEXT,
                    size,
                    Typeface.TEXT.fitted(
                            figures + "  " + each.words()
                                    + each.onlyFrom().map(from -> ", " + from).orElse(""),
                            size,
                            most / POINT)));
        } else {
            lines.add(new Line(Ink.FIGURES_STRONG, size, figures));
            wrapped(Typeface.TEXT, words, size, most).forEach(text -> lines.add(new Line(Ink.TEXT, size, text)));
            String beside = each.power().isEmpty() ? each.source() : each.power() + " · " + each.source();
            wrapped(Typeface.TEXT, beside, size * 0.86f, most)
                    .forEach(text -> lines.add(new Line(Ink.SOFT, size * 0.86f, text)));
        }
        return new Label((at(each.low()) + at(each.high())) / 2, (at(each.low()) + at(each.high())) / 2, lines);
    }

    private void plan() {
        float most = width - labels;
        List<Label> labelled = fitted(scale -> sheet.plan().stream()
                .map(each -> kept(each, most, (float) scale))
                .toList());
        for (BandSheet.PlannedPart each : sheet.plan()) {
            float from = at(each.low());
            boolean point = each.low() == each.high();
            Ink ink = each.local() ? Ink.OURS : each.calling() ? Ink.CALLING : Ink.PLAN;
            if (point) {
                float thick = each.calling() ? 2 * THIN : THIN;
                marks.add(
                        box(each.calling() || each.local() ? ink : Ink.TEXT, plan, from - thick / 2, PLAN_LANE, thick));
            } else {
                float inset = each.local() ? PLAN_LANE * 0.55f : 0;
                marks.add(box(ink, plan + inset, from, PLAN_LANE - inset, Math.max(at(each.high()) - from, THIN)));
            }
        }
        List<Float> places = spread(labelled);
        ties(labelled, places, plan + PLAN_LANE, labels - GAP);
        for (int i = 0; i < labelled.size(); i++) {
            write(labelled.get(i), places.get(i), labels, Anchor.START);
        }
    }

    private Label kept(BandSheet.PlannedPart each, float most, float scale) {
        float size = TYPE * scale;
        boolean point = each.low() == each.high();
        String figures = Frequency.megahertz(each.low()) + (point ? "" : "–" + Frequency.megahertz(each.high()));
        String words = (each.local() ? "ours: " : "")
                + each.words()
                + (each.channels().isEmpty() ? "" : ", " + each.channels());
        float beside = Typeface.FIGURES_BOLD.width(figures + " ", size) * POINT;
        List<String> parts =
                wrapped(each.calling() || each.local() ? Typeface.BOLD : Typeface.TEXT, words, size, most - beside);
        Ink ink = each.calling() || each.local() ? Ink.STRONG : Ink.TEXT;
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(ink, size, figures + "\u0000" + parts.get(0)));
        parts.stream().skip(1).forEach(part -> lines.add(new Line(ink, size, "\u0000" + part)));
        float middle = (at(each.low()) + at(each.high())) / 2;
        return new Label(middle, middle, lines);
    }

    /**
     * Lines from parts to what is said of them, along the axes. Of those that lie beside each other and lead the same way the one that
     * leads past the others bends farther out, so that none crosses another.
     */
    private void ties(List<Label> labels, List<Float> places, float edge, float end) {
        int from = 0;
        while (from < labels.size()) {
            int way = way(labels.get(from), places.get(from));
            int to = from + 1;
            while (to < labels.size() && way != 0 && way(labels.get(to), places.get(to)) == way) {
                to++;
            }
            for (int i = from; i < to; i++) {
                float part = (float) (way > 0 ? to - i : i - from + 1) / (to - from + 1);
                tie(labels.get(i).edge(), edge, middle(labels.get(i), places.get(i)), end, edge + (end - edge) * part);
            }
            from = to;
        }
    }

    private static float middle(Label label, float place) {
        return place + label.height() / 2;
    }

    /** Whether a label stands below its part (1), above it (−1) or beside it. */
    private static int way(Label label, float place) {
        float off = middle(label, place) - label.edge();
        return Math.abs(off) < 0.05f ? 0 : off > 0 ? 1 : -1;
    }

    private void tie(float from, float edge, float to, float end, float bend) {
        marks.add(line(Ink.RULE, Math.min(edge, bend), from, Math.abs(bend - edge), 0));
        if (Math.abs(from - to) > 0.05f) {
            marks.add(line(Ink.RULE, bend, Math.min(from, to), 0, Math.abs(to - from)));
        }
        marks.add(line(Ink.RULE, Math.min(bend, end), to, Math.abs(end - bend), 0));
    }

    private void write(Label label, float place, float x, Anchor anchor) {
        float y = place + GAP / 2;
        for (Line each : label.lines()) {
            float high = each.size() * POINT;
            float base = y + high * 0.95f;
            int parting = each.text().indexOf('\u0000');
            if (parting >= 0) { // figures, and words beside them that stay in a column of their own
                String figures = each.text().substring(0, parting);
                if (!figures.isEmpty()) {
                    marks.add(words(Ink.FIGURES_STRONG, x, base, each.size(), Anchor.START, figures));
                }
                marks.add(words(
                        each.ink(),
                        x + figuresOf(label, each.size()),
                        base,
                        each.size(),
                        Anchor.START,
                        each.text().substring(parting + 1)));
            } else {
                marks.add(words(each.ink(), x, base, each.size(), anchor, each.text()));
            }
            y += high * LINE;
        }
    }

    private static float figuresOf(Label label, float size) {
        String first = label.lines().get(0).text();
        return Typeface.FIGURES_BOLD.width(first.substring(0, first.indexOf('\u0000')) + " ", size) * POINT;
    }

    /** The labels in as large a type as lets all of them stand. */
    private List<Label> fitted(java.util.function.DoubleFunction<List<Label>> made) {
        double scale = LARGEST;
        List<Label> labels = made.apply(scale);
        ToDoubleFunction<List<Label>> sum =
                all -> all.stream().mapToDouble(Label::height).sum();
        while (sum.applyAsDouble(labels) > bottom - top && scale > LEAST) {
            scale -= 0.04;
            labels = made.apply(scale);
        }
        return labels;
    }

    /** The upper edges of labels: each as near to where it wants to be as those before and after it allow. */
    private List<Float> spread(List<Label> labels) {
        List<Float> places = new ArrayList<>();
        float free = top;
        for (Label label : labels) {
            float place = Math.max(free, label.wanted() - label.height() / 2);
            places.add(place);
            free = place + label.height();
        }
        float limit = bottom;
        for (int i = labels.size() - 1; i >= 0; i--) {
            float place = Math.min(places.get(i), limit - labels.get(i).height());
            places.set(i, place);
            limit = place;
        }
        return places;
    }

    private static List<String> wrapped(Typeface face, String text, float size, float most) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && face.width(longer, size) * POINT > most) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    private void key() {
        float y = bottom + 5;
        float x = 0;
        x = keyed(Ink.MAY, "allowed", x, y);
        x = keyed(Ink.OTHERS, "for others only", x, y);
        if (!sheet.plan().isEmpty()) {
            x = keyed(Ink.PLAN, "plan", x, y);
            x = keyed(Ink.CALLING, "calling frequency", x, y);
            keyed(Ink.OURS, "our own plan", x, y);
        }
        marks.add(words(
                Ink.SOFT,
                0,
                y + 5,
                7.5f,
                Anchor.START,
                "A signal stays inside with its whole width, not with its dial frequency. The plan is an agreement, no law. Rulebook "
                        + sheet.edition() + ", for " + PaperDates.day(sheet.day()) + "."));
        marks.add(
                words(
                        Ink.SOFT,
                        0,
                        y + 8.6f,
                        7.5f,
                        Anchor.START,
                        "Written from memory: check against the current rules. It replaces neither them nor your licence terms."));
    }

    private float keyed(Ink ink, String text, float x, float y) {
        marks.add(box(ink, x, y - 2.4f, 6, ink == Ink.CALLING ? 2 * THIN : 3));
        marks.add(words(Ink.TEXT, x + 7.5f, y, 8.5f, Anchor.START, text));
        return x + 7.5f + Typeface.TEXT.width(text, 8.5f) * POINT + 6;
    }
}
