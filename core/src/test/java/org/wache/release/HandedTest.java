package org.wache.release;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Audits;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;

/**
 * What an entry is in a radio and in a hand. The law behind it: 47 CFR 95.1705 (a licence for GMRS), 95.305 (FRS needs none),
 * 95.587 and 95.1763 (only certified radios), 97.301 (amateur privileges by class).
 */
class HandedTest {

    private static final Radio OPEN = radio("\"certifiedFor\": []");
    private static final Radio GMRS = radio("\"certifiedFor\": [\"95E\"]");
    private static final Radio FRS = radio("\"certifiedFor\": [\"95B\"]");

    private static Radio radio(String more) {
        return Radio.of(RadioReader.model(
                ("{\"format\":\"wache-radio/1\",\"model\":\"U\"," + more + "}").getBytes(StandardCharsets.UTF_8)));
    }

    private static Channel entry(String number, String receive, String transmit, String mode, String power) {
        return Channel.of(Map.of(
                Field.NUMBER,
                number,
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit,
                Field.MODE,
                mode,
                Field.POWER_W,
                power,
                Field.TIMEOUT_S,
                "180"));
    }

    private static final Channel TWO_METRES = entry("1", "146.550", "146.550", "FM", "5");
    private static final Channel GMRS_MAIN = entry("2", "462.550", "462.550", "FM", "5");
    private static final Channel FRS_SHARED = entry("3", "462.5625", "462.5625", "NFM", "2");
    private static final Channel WEATHER = entry("4", "162.550", "", "NFM", "");

    private static Audit audit(String holder, Radio radio, Channel... channels) {
        return audit(List.of(holder), radio, channels);
    }

    private static Audit audit(List<String> holders, Radio radio, Channel... channels) {
        return new Auditor(
                        Register.ALL,
                        Audits.auditor(Audits.DAY, holders.toArray(String[]::new))
                                .context()
                                .forRadios(List.of(radio)))
                .audit(Audits.list(channels));
    }

    private static Channel named(String name) {
        return switch (name) {
            case "2 m" -> TWO_METRES;
            case "GMRS" -> GMRS_MAIN;
            case "FRS" -> FRS_SHARED;
            default -> WEATHER;
        };
    }

    @ParameterizedTest
    @CsvSource({
        "nobody, OPEN, 2 m, NOT_THEIRS",
        "nobody, OPEN, GMRS, NOT_THEIRS",
        "nobody, OPEN, FRS, NOT_THEIRS",
        "nobody, OPEN, WX, LISTENS",
        "nobody, GMRS, FRS, NOT_THEIRS",
        "nobody, FRS, FRS, TALKS",
        "nobody, FRS, GMRS, NOT_THEIRS",
        "gmrs, GMRS, GMRS, TALKS",
        "gmrs, GMRS, FRS, TALKS",
        "gmrs, OPEN, GMRS, NOT_THEIRS",
        "gmrs, GMRS, 2 m, NOT_THEIRS",
        "amateur:technician, OPEN, 2 m, TALKS",
        "amateur:technician, OPEN, GMRS, NOT_THEIRS",
        "amateur:technician, GMRS, 2 m, TALKS"
    })
    void whoMayKeyWithWhichRadio(String holder, String radio, String entry, Handed.Place place) {
        Radio with = Map.of("OPEN", OPEN, "GMRS", GMRS, "FRS", FRS).get(radio);
        Handed handed = Handed.toOne(audit(holder, with, named(entry)));
        assertThat(handed.entries().get(0).place()).as(handed.toString()).isEqualTo(place);
        assertThat(handed.entries().get(0).why().isEmpty())
                .isEqualTo(place == Handed.Place.TALKS || place == Handed.Place.LISTENS);
    }

    @Test
    void aRadioWhoseTransmitterIsOffOnlyListens() {
        Radio off = new Radio(OPEN.model(), Optional.empty(), Optional.empty(), true);
        Handed handed = Handed.toOne(audit("nobody", off, TWO_METRES, GMRS_MAIN));
        assertThat(handed.at(Handed.Place.LISTENS)).containsExactly(0, 1);
    }

    @Test
    void aRadioThatCannotBeSilencedOnSingleEntriesGetsNoneForListening() {
        Radio radio = radio("\"transmitInhibit\":[\"radio\"]");
        Handed handed = Handed.toOne(audit("amateur:technician", radio, TWO_METRES, WEATHER));
        assertThat(handed.at(Handed.Place.OUT)).containsExactly(1);
        Radio off = new Radio(radio.model(), Optional.empty(), Optional.empty(), true);
        assertThat(Handed.toOne(audit("amateur:technician", off, TWO_METRES, WEATHER))
                        .at(Handed.Place.LISTENS))
                .containsExactly(0, 1);
    }

    @Test
    void whatIsWrongWithTheEntryItselfStaysOutWhoeverHasTheRadio() {
        Radio narrow = radio("\"transmit\":[[\"420\",\"450\"]],\"receive\":[[\"420\",\"450\"]]");
        assertThat(Handed.toOne(audit("amateur:extra", narrow, TWO_METRES)).at(Handed.Place.OUT))
                .containsExactly(0);
        assertThat(Handed.toOne(audit("nobody", narrow, TWO_METRES)).at(Handed.Place.OUT))
                .containsExactly(0);
    }

    @Test
    void forNobodyInParticularWhatAnyCarrierMayNotKeyStaysOut() {
        Handed handed = Handed.toNobody(audit(List.of("amateur:technician", "nobody"), OPEN, TWO_METRES, WEATHER));
        assertThat(handed.at(Handed.Place.OUT)).containsExactly(0);
        assertThat(handed.at(Handed.Place.LISTENS)).containsExactly(1);
    }

    @Test
    void whatIsNotTheirsListensAndTheRestStaysAsItWas() {
        ChannelList listening = Handed.toOne(audit("gmrs", GMRS, TWO_METRES, GMRS_MAIN, WEATHER))
                .listening();
        assertThat(listening.channels().get(0).transmit()).isEmpty();
        assertThat(listening.channels().get(0).receive()).isEqualTo(TWO_METRES.receive());
        assertThat(listening.channels().subList(1, 3)).containsExactly(GMRS_MAIN, WEATHER);
    }
}
