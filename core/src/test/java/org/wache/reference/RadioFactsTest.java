package org.wache.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/** What is said of radios themselves. Common practice, no source, where no section is named. */
class RadioFactsTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25));
    private static final RadioModel LOCKABLE = RadioReader.model(
            """
      {"model":"M","certifiedFor":[],"transmit":[["136","174"],["400","480"]],"lockErases":["memories"],
       "lockModes":[{"name":"Open","transmit":[["136","174"],["400","480"]]},{"name":"Here","transmit":[["144","148"],["420","450"]]},
         {"name":"There","transmit":[["144","146"],["430","440"]]}]}"""
                    .getBytes(StandardCharsets.UTF_8));

    private static List<String> facts(String lock) {
        return RadioFacts.of(new Radio(LOCKABLE, LOCKABLE.coverage().lock(lock), Optional.empty(), false), EDITION)
                .stream()
                .map(RadioFacts.Fact::text)
                .toList();
    }

    @Test
    void anOpenRadioIsSaidToBeOpenAndHowToLockIt() {
        assertThat(facts("Open"))
                .singleElement()
                .asString()
                .contains("It is open")
                .contains("“Here”")
                .contains("erases its memories");
    }

    @Test
    void theBandLimitsOfAnotherCountryAreNamed() {
        assertThat(facts("There"))
                .singleElement()
                .asString()
                .contains("IARU Region 1")
                .contains("“Here”");
    }

    @Test
    void aRadioSetAsItShouldBeSaysNothing() {
        assertThat(facts("Here")).isEmpty();
    }

    /** 47 CFR 95.1761(c), from memory. */
    @Test
    void aGmrsRadioThatReachesAmateurBandsCannotBeCertified() {
        RadioModel both = RadioReader.model(
                """
        {"model":"B","certifiedFor":["95E"],"transmit":[["144","148"],["462.5","467.8"]]}"""
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(RadioFacts.of(Radio.of(both), EDITION)).singleElement().satisfies(fact -> assertThat(fact.text())
                .contains("cannot be certified"));
    }

    /** 2 m is 144 to 148 MHz, 70 cm 420 to 450 (47 CFR 97.301(a)). */
    @Test
    void limitsOfNoKnownPlaceAreWrongForHereToo() {
        RadioModel odd = RadioReader.model(
                """
        {"model":"O","transmit":[["144","146"],["440","450"]]}""".getBytes(StandardCharsets.UTF_8));
        assertThat(RadioFacts.of(Radio.of(odd), EDITION)).singleElement().satisfies(fact -> assertThat(fact.text())
                .contains("144–146 of 144–148 MHz", "440–450 of 420–450 MHz", "no known place"));
        RadioModel whole = RadioReader.model("""
        {"model":"W","transmit":[["136","174"],["462.5","467.8"]]}"""
                .getBytes(StandardCharsets.UTF_8));
        assertThat(RadioFacts.of(Radio.of(whole), EDITION)).isEmpty();
    }
}
