package org.wache.server.mail;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.roster.Party;

/** Licences that end: said 90, 30 and 7 days before, each once; who is told late is told the nearest of these only. */
final class LicenceTidings {

    private static final int[] DAYS_BEFORE = {7, 30, 90};
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

    private LicenceTidings() {}

    /** What is to be said on a day about some of a roster. */
    static List<Tiding> of(List<Party> parties, LocalDate today) {
        List<Tiding> all = new ArrayList<>();
        for (Party party : parties) {
            for (CarriedLicence licence : party.licences()) {
                licence.expires()
                        .flatMap(end -> threshold(today, end).stream()
                                .mapToObj(days -> tiding(party, licence, end, days, today))
                                .findFirst())
                        .ifPresent(all::add);
            }
        }
        return all;
    }

    private static OptionalInt threshold(LocalDate today, LocalDate end) {
        long left = ChronoUnit.DAYS.between(today, end);
        return left < 0
                ? OptionalInt.empty()
                : IntStream.of(DAYS_BEFORE).filter(days -> left <= days).findFirst();
    }

    private static Tiding tiding(Party party, CarriedLicence licence, LocalDate end, int days, LocalDate today) {
        long left = ChronoUnit.DAYS.between(today, end);
        String what = licence.service().replace('-', ' ')
                + licence.licenceClass().map(each -> " " + each).orElse("")
                + licence.callSign().map(each -> " " + each).orElse("");
        return new Tiding(
                MailKind.LICENCES,
                "licence " + party.id() + " " + licence.service() + " "
                        + licence.callSign().orElse("") + " " + end + " " + days,
                party.name() + ": " + what + " ends on " + DAY.format(end)
                        + (left == 0 ? ", today" : ", in " + left + (left == 1 ? " day" : " days"))
                        + ". After it they may not transmit under it.",
                "/roster?party=" + party.id());
    }
}
