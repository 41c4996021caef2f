package org.wache.rulebook;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.wache.place.Place;

/** The rules of a country, in editions that come into force on a day. */
public final class Rulebook {

    private final String id;
    private final String title;
    private final String law;
    private final Place centre;
    private final Country country;
    private final List<Visitors> visitors;
    private final List<Edition.EditionDates> editions;
    private final Function<Edition.EditionDates, Edition> reader;
    private final Map<String, Edition> read = new ConcurrentHashMap<>();

    Rulebook(
            String id,
            String title,
            String law,
            Place centre,
            Country country,
            List<Visitors> visitors,
            List<Edition.EditionDates> editions,
            Function<Edition.EditionDates, Edition> reader) {
        this.id = id;
        this.title = title;
        this.law = law;
        this.centre = centre;
        this.country = country;
        this.visitors = List.copyOf(visitors);
        this.editions = List.copyOf(editions);
        this.reader = reader;
    }

    /** Identifier: {@code us}. */
    public String id() {
        return id;
    }

    /** Name for people. */
    public String title() {
        return title;
    }

    /** What its rules are taken from, for people. */
    public String law() {
        return law;
    }

    /** The middle of the country, for maps. */
    public Place centre() {
        return centre;
    }

    /** The country that it holds in. */
    public Country country() {
        return country;
    }

    /** What licences of other countries count as for visitors. */
    public List<Visitors> visitors() {
        return visitors;
    }

    /** Its editions, oldest first. */
    public List<Edition.EditionDates> editions() {
        return editions;
    }

    /** The edition in force on a day; before the first, the first. */
    public Edition on(LocalDate day) {
        Edition.EditionDates found = editions.get(0);
        for (Edition.EditionDates each : editions) {
            if (!each.from().isAfter(day)) {
                found = each;
            }
        }
        return read.computeIfAbsent(found.id(), anyId -> reader.apply(editionOf(anyId)));
    }

    private Edition.EditionDates editionOf(String editionId) {
        return editions.stream()
                .filter(each -> each.id().equals(editionId))
                .findFirst()
                .orElseThrow();
    }
}
