package org.wache.server.calendar;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Days as an iCalendar (RFC 5545): whole days that keep nobody busy, each with a reminder before. */
final class DayCalendar {

    private DayCalendar() {}

    /** A day: a key that stays the same, what ends on it, what that means, and how many days before somebody is reminded. */
    record Day(String key, LocalDate on, String title, String text, int before) {}

    /** The calendar as a file. */
    static byte[] write(String name, List<Day> days) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Wache//Days//EN"))
                .add(ImmutableVersion.VERSION_2_0)
                .add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        for (Day day : days) {
            VEvent event = new VEvent(day.on(), day.title());
            event.add(new Uid(day.key() + "@wache"))
                    .add(new Description(day.text()))
                    .add(ImmutableTransp.TRANSPARENT);
            VAlarm alarm = new VAlarm(Duration.ofDays(-day.before()));
            alarm.add(ImmutableAction.DISPLAY).add(new Description(day.title()));
            event.add(alarm);
            calendar.add(event);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            new CalendarOutputter(false).output(calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
