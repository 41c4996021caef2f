package org.wache.audit.finding;

import java.util.ArrayList;
import java.util.List;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * The arithmetic behind a finding, as one would do it on paper: lines with a sign, an amount, a unit and what it is.
 *
 * @param lines from top to bottom
 */
public record Sum(List<Line> lines) {

    /** What a line does in the sum. */
    public enum LineRole {
        TERM,
        TOTAL,
        LIMIT,
        INSIDE,
        REST
    }

    /**
     * One line.
     *
     * @param role what it does
     * @param sign {@code +}, {@code −}, {@code ×} or empty
     * @param amount the figure as text
     * @param unit its unit
     * @param label what it is
     */
    public record Line(LineRole role, String sign, String amount, String unit, String label) {}

    /** No arithmetic. */
    public static final Sum NONE = new Sum(List.of());

    /** A sum that starts with a frequency. */
    public static Sum of(Frequency frequency, String label) {
        return of(frequency.megahertz(), "MHz", label);
    }

    /** A sum that starts with any figure. */
    public static Sum of(String amount, String unit, String label) {
        return NONE.and(LineRole.TERM, "", amount, unit, label);
    }

    /** Adds hertz, shown in kilohertz below 1 MHz; the sign follows the number. */
    public Sum plus(long hertz, String label) {
        boolean small = Math.abs(hertz) < 1_000_000;
        String amount = small ? Frequency.kilohertz(Math.abs(hertz)) : Frequency.megahertz(Math.abs(hertz));
        return and(LineRole.TERM, hertz < 0 ? "−" : "+", amount, small ? "kHz" : "MHz", label);
    }

    /** A step with any sign and figure. */
    public Sum step(String sign, String amount, String unit, String label) {
        return and(LineRole.TERM, sign, amount, unit, label);
    }

    /** What it comes to. */
    public Sum gives(Frequency frequency, String label) {
        return gives(frequency.megahertz(), "MHz", label);
    }

    /** What it comes to. */
    public Sum gives(String amount, String unit, String label) {
        return and(LineRole.TOTAL, "=", amount, unit, label);
    }

    /** What it is held against. */
    public Sum limit(Frequency frequency, String label) {
        return limit(frequency.megahertz(), "MHz", label);
    }

    /** What it is held against. */
    public Sum limit(String amount, String unit, String label) {
        return and(LineRole.LIMIT, "", amount, unit, label);
    }

    /** What it lies in. */
    public Sum inside(Span span, String label) {
        String where = span.length() == 0
                ? Frequency.megahertz(span.low())
                : Frequency.megahertz(span.low()) + "–" + Frequency.megahertz(span.high());
        return and(LineRole.INSIDE, "", where, "MHz", label);
    }

    /** What is over or left. */
    public Sum rest(String amount, String unit, String label) {
        return and(LineRole.REST, "", amount, unit, label);
    }

    private Sum and(LineRole role, String sign, String amount, String unit, String label) {
        List<Line> more = new ArrayList<>(lines);
        more.add(new Line(role, sign, amount, unit, label));
        return new Sum(List.copyOf(more));
    }

    /** On one line: {@code 147.995 MHz + 8.0 kHz = 148.003 MHz; limit 148.000 MHz}. */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (Line line : lines) {
            switch (line.role()) {
                case TERM, TOTAL ->
                    text.append(line.sign().isEmpty() ? (text.isEmpty() ? "" : "; ") : " " + line.sign() + " ");
                case LIMIT -> text.append(text.isEmpty() ? "limit " : "; limit ");
                case INSIDE -> text.append("; inside ");
                case REST -> text.append("; ");
            }
            text.append(line.amount());
            if (!line.unit().isEmpty()) {
                text.append(' ').append(line.unit());
            }
            if (line.role() == LineRole.REST || line.role() == LineRole.INSIDE) {
                text.append(line.role() == LineRole.REST ? " " : ": ").append(line.label());
            }
        }
        return text.toString();
    }
}
