package org.wache.server.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.server.papers.CarriedLicence;
import org.wache.server.papers.PartyKind;
import org.wache.server.roster.Party;
import org.wache.server.web.Refused;

/** When somebody is told of a licence that ends, what mails say, and what is an address. */
class LettersTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 3, 1);
    private static final Letters LETTERS = new Letters("https://wache.example");

    private static List<Tiding> endingIn(long days) {
        CarriedLicence licence = new CarriedLicence(
                "amateur",
                Optional.of("general"),
                Optional.of("KE9QRB"),
                Optional.empty(),
                Optional.of(TODAY.plusDays(days)),
                List.of());
        return LicenceTidings.of(
                List.of(new Party(7, 1, PartyKind.PERSON, "Ada Fen", "", List.of(), List.of(licence), List.of())),
                TODAY);
    }

    /** Said at 90, 30 and 7 days; who is told late is told the nearest only; what ended or is far off is not said. */
    @ParameterizedTest
    @CsvSource({"90,90", "89,90", "31,90", "30,30", "8,30", "7,7", "1,7", "0,7"})
    void aLicenceThatEndsIsSaidAtThreeTimes(long days, int threshold) {
        assertThat(endingIn(days)).singleElement().satisfies(told -> {
            assertThat(told.said()).endsWith(" " + threshold);
            assertThat(told.words()).contains("Ada Fen", "amateur general KE9QRB", "may not transmit");
            assertThat(told.path()).isEqualTo("/roster?party=7");
        });
    }

    @ParameterizedTest
    @ValueSource(longs = {-1, -400, 91, 4000})
    void whatEndedOrIsFarOffIsNotSaid(long days) {
        assertThat(endingIn(days)).isEmpty();
    }

    @Test
    void theDayIsSaidInWords() {
        assertThat(endingIn(30).get(0).words()).contains("ends on 31 March 2027, in 30 days.");
        assertThat(endingIn(1).get(0).words()).contains("in 1 day.");
        assertThat(endingIn(0).get(0).words()).contains("ends on 1 March 2027, today.");
    }

    private static Letters.Told told(String group, MailKind kind, String words) {
        return new Letters.Told(group, new Tiding(kind, words, words, "/lists/1"));
    }

    /** One mail for the day: by group and by kind, recalls not lost among licences. */
    @Test
    void aDigestHasEverythingOnceUnderItsHeading() {
        Letter letter = LETTERS.digest(
                "ada@example.org",
                List.of(
                        told("Valley", MailKind.LICENCES, "One ends."),
                        told("Marsh", MailKind.RECALLS, "Recalled."),
                        told("Valley", MailKind.LICENCES, "Another ends.")));
        assertThat(letter.subject()).isEqualTo("3 things from Marsh, Valley");
        assertThat(letter.text())
                .containsOnlyOnce("One ends.")
                .containsOnlyOnce("Another ends.")
                .containsOnlyOnce("Recalled.")
                .containsOnlyOnce("Licences that end")
                .contains("https://wache.example/lists/1", "https://wache.example/account");
        assertThat(letter.text().indexOf("Marsh")).isLessThan(letter.text().indexOf("Valley"));
    }

    /** A name with a line break in it makes no header of its own. */
    @Test
    void aSubjectIsOneLineAndNotEndless() {
        Letter letter = LETTERS.single(
                "ada@example.org",
                List.of(told("Valley", MailKind.SIGNATURES, "A\r\nBcc: other@example.org " + "x".repeat(300))));
        assertThat(letter.subject())
                .doesNotContain("\r", "\n")
                .hasSizeLessThanOrEqualTo(120)
                .endsWith("…");
    }

    @ParameterizedTest
    @ValueSource(strings = {"ada@example.org", "ada.fen+wache@mail.example.co", " ada@example.org "})
    void anAddressIsTaken(String text) {
        assertThat(Postman.address(text)).isEqualTo(text.strip());
    }

    /** RFC 5322, 3.4.1, and what would reach somebody else beside. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "ada",
                "ada@",
                "@example.org",
                "ada@example",
                "ada@example.org, other@example.org",
                "Ada <ada@example.org>",
                "ada@example.org\r\nBcc: other@example.org",
                "ada@example.org\nother@example.org",
                "ada fen@example.org",
                "ada@exa mple.org",
                "ada@[127.0.0.1]",
                "ada@-example.org",
                "group:ada@example.org;",
                "\u0430da@example.org\u0000"
            })
    void whatIsNoAddressIsRefused(String text) {
        assertThatThrownBy(() -> Postman.address(text)).isInstanceOf(Refused.class);
    }
}
