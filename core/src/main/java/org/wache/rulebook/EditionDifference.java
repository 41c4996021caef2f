package org.wache.rulebook;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.wache.signal.Content;
import org.wache.signal.Frequency;

/**
 * What changed from one edition to another, row by row.
 *
 * @param gone rows of the first that the second lacks
 * @param come rows of the second that the first lacks
 */
public record EditionDifference(List<Line> gone, List<Line> come) {

    /**
     * A row in words.
     *
     * @param service name of the service
     * @param text what the row says
     * @param source section of the law
     */
    public record Line(String service, String text, String source) {}

    /** Compares two editions. */
    public static EditionDifference between(Edition before, Edition after) {
        Set<Line> old = lines(before);
        Set<Line> now = lines(after);
        return new EditionDifference(
                old.stream().filter(line -> !now.contains(line)).toList(),
                now.stream().filter(line -> !old.contains(line)).toList());
    }

    private static Set<Line> lines(Edition edition) {
        List<Line> all = new ArrayList<>();
        for (Service service : edition.services()) {
            service.terms()
                    .forEach(term -> all.add(new Line(service.title(), term.text(), edition.cite(term.source()))));
        }
        edition.allocations()
                .forEach(row -> all.add(new Line(
                        "Allocations",
                        row.span() + ": " + row.whose() + ", " + row.say(),
                        edition.cite(edition.allocationSource()))));
        edition.plan()
                .rows()
                .forEach(row -> all.add(new Line(
                        "Band plan",
                        row.span() + ": " + row.words(),
                        edition.plan().source(row))));
        edition.geography()
                .closures()
                .forEach(each -> all.add(new Line(
                        each.service(), each.words() + " closed " + each.zone().name(), edition.cite(each.source()))));
        return new LinkedHashSet<>(all);
    }

    /** A row of a service in words. */
    record Term(String text, String source) {

        static Term grant(ServiceTraits traits, Grant grant) {
            return new Term(
                    grant.band() + ": "
                            + (traits.classes().isEmpty()
                                    ? ""
                                    : traits.classes().get(grant.lowestClass()) + " and above, ")
                            + grant.span() + ", " + contents(grant.allow()),
                    grant.source());
        }

        static Term channel(FixedChannel channel) {
            String power = channel.power()
                    .map(limit -> ", " + limit.watts() + " " + limit.measure().words())
                    .orElse("");
            return new Term(
                    "channel " + channel.name() + " on " + channel.centre() + ", " + contents(channel.allow()) + ", "
                            + Frequency.kilohertz(channel.width().hertz()) + " kHz wide at most" + power,
                    channel.source());
        }

        static Term power(org.wache.signal.Span span, PowerLimit limit) {
            return new Term(span + ": " + limit.watts() + " " + limit.measure().words() + " at most", limit.source());
        }

        static Term width(org.wache.signal.Span span, int contents, WidthLimit limit) {
            return new Term(
                    span + ": " + contents(contents) + " " + Frequency.kilohertz(limit.hertz()) + " kHz wide at most",
                    limit.source());
        }

        private static String contents(int bits) {
            if (bits == -1) {
                return "any signal";
            }
            return String.join(", ", Content.words(bits));
        }
    }
}
