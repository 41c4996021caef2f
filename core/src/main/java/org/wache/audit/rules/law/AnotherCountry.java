package org.wache.audit.rules.law;

import java.util.List;
import java.util.Optional;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookReader;

/** The list is used outside the country of the rulebook. */
public final class AnotherCountry implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.ANOTHER_COUNTRY;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                        "Another country's rules hold there",
                        "The site of the list lies outside the country whose rulebook it is held against: another one holds there, and "
                                + "what is clear here may be forbidden.",
                        "Choose the rulebook of the country, or correct the site.",
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"),
                        RulePage.entry("amateur:technician", "rx_mhz=146.550 mode=FM"))
                .within("{\"format\": \"wache-context/1\", \"site\": {\"latitude\": 51.5, \"longitude\": -0.1}}");
    }

    @Override
    public List<Finding> on(Entry entry) {
        Optional<Place> site =
                entry.context().where().area().filter(Circle.class::isInstance).map(area -> ((Circle) area).centre());
        if (entry.channel().transmit().isEmpty()
                || site.isEmpty()
                || entry.edition().country().mayHold(site.get())) {
            return List.of();
        }
        Optional<Rulebook> there = RulebookReader.ids().stream()
                .map(RulebookReader::shipped)
                .filter(book -> !book.id().equals(entry.edition().rulebook())
                        && book.country().mayHold(site.get())
                        && !book.country().extent().isEmpty())
                .findFirst();
        return List.of(Finding.query(Slug.ANOTHER_COUNTRY)
                .message(
                        "The list is used at %s, outside %s: another rulebook holds there%s.",
                        site.get().words(),
                        entry.edition().country().title(),
                        there.map(book -> ", that of " + book.title()).orElse(", and Wache has none for that place"))
                .source("common practice, no source")
                .advice(() -> there.map(book -> List.of(
                                "Hold the list against the rulebook “" + book.id() + "” (" + book.title() + ")."))
                        .orElse(List.of("Ask the regulator there."))));
    }
}
