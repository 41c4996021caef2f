package org.wache.rulebook;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wache.signal.Frequency;

/** What common coaxial lines lose, by the name of the standard type. */
public final class CoaxTable {

    /**
     * A type of line.
     *
     * @param name name of the standard type
     * @param note what it is
     * @param points loss at some frequencies, in order
     * @param source where the figures come from
     */
    public record Line(String name, String note, List<Point> points, String source) {

        /** Between two figures of the table the loss follows a straight line on paper with logarithmic scales; beyond, the last such line. */
        public double lossPerHundredMetres(Frequency at) {
            double mhz = at.hertz() / 1e6;
            int upper = 1;
            while (upper < points.size() - 1 && points.get(upper).mhz() < mhz) {
                upper++;
            }
            Point low = points.get(upper - 1);
            Point high = points.get(upper);
            double slope = Math.log(high.decibels() / low.decibels()) / Math.log(high.mhz() / low.mhz());
            return low.decibels() * Math.pow(mhz / low.mhz(), slope);
        }
    }

    /**
     * A figure of the table.
     *
     * @param mhz frequency in MHz
     * @param decibels loss of 100 m, dB
     */
    public record Point(double mhz, double decibels) {}

    private final List<Line> lines;

    private CoaxTable(List<Line> lines) {
        this.lines = List.copyOf(lines);
    }

    static CoaxTable read(Row file) {
        List<Line> lines = new ArrayList<>();
        for (Row row : file.rows("lines")) {
            List<Point> points = new ArrayList<>();
            Row losses = row.row("db_per_100m");
            for (String mhz : losses.keys()) {
                points.add(new Point(Double.parseDouble(mhz), losses.number(mhz)));
            }
            points.sort(Comparator.comparingDouble(Point::mhz));
            lines.add(new Line(row.text("name"), row.text("note"), List.copyOf(points), file.text("coax_source")));
        }
        return new CoaxTable(lines);
    }

    /** All types. */
    public List<Line> lines() {
        return lines;
    }

    /** The type of a name. */
    public Optional<Line> line(String name) {
        return lines.stream().filter(each -> each.name().equals(name)).findFirst();
    }
}
