package org.wache.server.prints;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days and moments as papers say them: 25 Nov 2026, 14:05 CET. */
public final class PaperDates {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm zzz", Locale.ENGLISH);

    private PaperDates() {}

    /** A day. */
    public static String day(LocalDate day) {
        return DAY.format(day);
    }

    /** A moment in the zone of whoever prints it; what is none is left as it is. */
    public static String moment(String instant, ZoneId zone) {
        try {
            return MOMENT.format(Instant.parse(instant).atZone(zone));
        } catch (DateTimeException e) {
            return instant;
        }
    }
}
