package org.wache.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.rulebook.CallSignShape;
import org.wache.rulebook.Edition;
import org.wache.rulebook.EditionDifference;
import org.wache.rulebook.Rulebook;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Frequency;

/** What the rulebook answers when it is asked; sections beside the rows, values from memory. */
class FrequencyFactsTest {

    private static final Rulebook US = RulebookReader.shipped("us");
    private static final Edition TODAY = US.on(LocalDate.of(2026, 11, 25));

    private static FrequencyFacts at(String megahertz) {
        return FrequencyFacts.at(TODAY, Frequency.ofMegahertz(megahertz).orElseThrow());
    }

    @Test
    void aBusinessMobileFrequencyIsTheInputOfARepeaterFiveMegahertzLower() {
        FrequencyFacts facts = at("468.950"); // 90.20, 90.35: mobiles 5 MHz above the base
        assertThat(facts.services()).extracting(FrequencyFacts.ServiceTerms::id).containsExactly("land-mobile");
        assertThat(facts.partners())
                .extracting(FrequencyFacts.Pair::words)
                .containsExactly("the input of a land mobile repeater on 463.950 MHz");
        assertThat(facts.services().get(0).terms().get(0).width()).isEqualTo("11.25 kHz"); // 90.209(b)(5)
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "146.940,Amateur repeaters that talk here listen on 146.340 MHz",
        "147.135,Amateur repeaters that talk here listen on 147.735 MHz",
        "467.575,the input of a GMRS repeater on 462.575 MHz",
        "462.575,GMRS repeaters that talk here listen on 467.575 MHz",
        "146.340,the input of an amateur repeater on 146.940 MHz",
        "29.640,Amateur repeaters that talk here listen on 29.540 MHz"
    })
    void pairsAreToldFromBothEnds(String megahertz, String words) {
        assertThat(at(megahertz).partners())
                .extracting(FrequencyFacts.Pair::words)
                .anyMatch(each -> each.equalsIgnoreCase(words));
    }

    @Test
    void aSharedChannelTellsBothServicesWithTheirLimits() {
        FrequencyFacts facts = at("462.5625"); // 95.563, 95.567; 95.1763, 95.1767
        assertThat(facts.services())
                .extracting(FrequencyFacts.ServiceTerms::title)
                .containsExactly("GMRS", "FRS");
        assertThat(facts.services().get(1).terms().get(0).who()).isEqualTo("Everyone, without a licence");
        assertThat(facts.services().get(1).terms().get(0).power()).isEqualTo("2 W ERP");
        assertThat(facts.services().get(0).terms().get(0).power()).isEqualTo("5 W ERP");
        assertThat(facts.names()).contains("Channel number 1");
    }

    @Test
    void onTheTenMetreVoicePartEachClassHasItsOwnTerms() {
        FrequencyFacts facts = at("28.400"); // 97.301(e), 97.307(f)(10), 97.313(c)(2)
        String terms = facts.services().get(0).terms().stream()
                .map(term -> term.who() + ": " + term.what() + ", " + term.power())
                .collect(Collectors.joining("; "));
        assertThat(terms)
                .startsWith(
                        "Novice and above: CW and single sideband (J3E, R3E), 200 W PEP; General and above: CW, voice");
    }

    @Test
    void nobodysFrequencySaysWhoseItIs() {
        FrequencyFacts facts = at("121.500");
        assertThat(facts.services()).singleElement().satisfies(aboard -> {
            assertThat(aboard.title()).isEqualTo("Aircraft VHF");
            assertThat(aboard.notes())
                    .extracting(FrequencyFacts.Note::words)
                    .contains("For emergencies and distress only.");
        });
        assertThat(at("162.550").services()).isEmpty();
        assertThat(facts.whose().orElseThrow().words()).isEqualTo("aircraft emergency");
        assertThat(facts.whose().orElseThrow().source()).isEqualTo("47 CFR 2.106");
    }

    @Test
    void aRepeaterBanAndAClosureAreTold() {
        assertThat(at("432.000").services().get(0).notes())
                .extracting(FrequencyFacts.Note::words)
                .contains("No repeater may receive or transmit here.");
        assertThat(at("425.000").services().get(0).notes())
                .extracting(FrequencyFacts.Note::words)
                .contains("Closed north of Line A.");
    }

    @ParameterizedTest(name = "{0} is {1}/{2}")
    @CsvSource({
        "R2,462.575,467.575",
        "24,462.575,467.575",
        "RPT16,462.575,467.575",
        "16 repeater,462.575,467.575",
        "575 pair,462.575,467.575",
        "R1,462.550,467.550",
        "30,462.725,467.725",
        "R8,462.725,467.725",
        "14,467.7125,467.7125",
        "22,462.725,462.725",
        "1,462.5625,462.5625"
    })
    void personalRadioChannelsAreKnownByAllTheirNames(String name, String receive, String transmit) {
        // The names of one pair under different makers' numberings: common practice, no source.
        assertThat(TODAY.channelNames().called(name)).singleElement().satisfies(channel -> {
            assertThat(channel.receive())
                    .isEqualTo(Frequency.ofMegahertz(receive).orElseThrow());
            assertThat(channel.transmit())
                    .isEqualTo(Frequency.ofMegahertz(transmit).orElseThrow());
        });
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "amateur,KE9QRB,true",
        "amateur,W1QRA,true",
        "amateur,NA7Q,true",
        "amateur,AA1QR,true",
        "amateur,K9QUZ,true",
        "amateur,wa6qrs,true",
        "amateur,AA1QRB,false",
        "amateur,NA7QRB,false",
        "amateur,AM1QR,false",
        "amateur,XE1QRA,false",
        "amateur,KE99QRB,false",
        "amateur,K9QRBX,false",
        "gmrs,WZZA101,true",
        "gmrs,KAA1234,true",
        "gmrs,WZZ101,false",
        "land-mobile,WZZB202,true",
        "land-mobile,KAB123,true",
        "land-mobile,KAA1234,false"
    })
    void callSignsHaveTheShapeOfTheirService(String service, String sign, boolean fits) {
        CallSignShape shape =
                TODAY.service(service).orElseThrow().traits().callSigns().orElseThrow();
        assertThat(shape.fits(sign)).isEqualTo(fits);
    }

    @Test
    void theEditionOf2026ChangesSixtyMetresAndNothingElse() {
        EditionDifference difference = EditionDifference.between(US.on(LocalDate.of(2026, 2, 12)), TODAY);
        assertThat(difference.gone()).extracting(EditionDifference.Line::text).allSatisfy(text -> assertThat(text)
                .contains("5358.5 kHz"));
        assertThat(difference.come())
                .extracting(EditionDifference.Line::text)
                .hasSizeGreaterThanOrEqualTo(2)
                .anySatisfy(text -> assertThat(text).contains("5.3515–5.3665 MHz"))
                .anySatisfy(text -> assertThat(text).contains("9.15 W ERP"));
    }

    @Test
    void anEditionDoesNotDifferFromItself() {
        EditionDifference none = EditionDifference.between(TODAY, TODAY);
        assertThat(none.gone()).isEmpty();
        assertThat(none.come()).isEmpty();
    }
}
