package org.wache.server.calendar;

import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.wache.server.accounts.Account;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.releases.WaiverDates;
import org.wache.server.roster.Party;
import org.wache.server.roster.RosterService;
import org.wache.server.web.Missing;

/** The days on which licences and waivers of a group end, as a calendar that programs for calendars subscribe to. */
@RestController
class CalendarController {

    private final CalendarLinks links;
    private final RosterService roster;
    private final WaiverDates waivers;

    CalendarController(CalendarLinks links, RosterService roster, WaiverDates waivers) {
        this.links = links;
        this.roster = roster;
        this.waivers = waivers;
    }

    /** The address of a calendar; told once, the one before ends. */
    record CalendarAddress(String path) {}

    @PostMapping("/api/groups/{group}/calendar")
    CalendarAddress address(Account asking, @PathVariable long group) {
        return new CalendarAddress("/api/calendar/" + links.make(asking.id(), group) + ".ics");
    }

    /** The calendar. The address is the only key that programs for calendars can show, so it holds nothing but names and days. */
    @GetMapping(path = "/api/calendar/{token}.ics", produces = "text/calendar")
    ResponseEntity<byte[]> calendar(@PathVariable String token) {
        CalendarLinks.Whose whose = links.whose(token).orElseThrow(() -> new Missing("The calendar"));
        List<DayCalendar.Day> days = new ArrayList<>();
        for (Party party : roster.parties(whose.account(), whose.club())) {
            for (CarriedLicence licence : party.licences()) {
                licence.expires()
                        .ifPresent(end -> days.add(new DayCalendar.Day(
                                "licence-" + party.id() + "-" + licence.service() + "-"
                                        + licence.callSign().orElse(""),
                                end,
                                party.name() + ": " + licence.service().replace('-', ' ')
                                        + licence.callSign()
                                                .map(call -> " " + call)
                                                .orElse("") + " ends",
                                "Renew it before. Until then lists that they carry go out; after it they may not transmit under it.",
                                90)));
            }
        }
        for (WaiverDates.Ending waiver : waivers.ending(whose.club())) {
            days.add(new DayCalendar.Day(
                    "waiver-" + waiver.id(),
                    waiver.until(),
                    waiver.list() + ": the waiver for entry " + waiver.number() + " ends",
                    waiver.message() + " " + waiver.reason() + " (" + waiver.by() + ")",
                    14));
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                .body(DayCalendar.write("Wache: " + whose.name(), days));
    }
}
