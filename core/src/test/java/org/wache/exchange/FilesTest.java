package org.wache.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.Audits;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.channel.Use;
import org.wache.licence.Licence;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.radio.Radio;
import org.wache.site.Keying;

/** Lists, contexts and holders in and out, and what is said when they cannot be read. */
class FilesTest {

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static ChannelList csv(String text) {
        return CsvLists.read(bytes(text), "test");
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t"})
    void theSeparatorIsTakenFromTheHeader(String separator) {
        ChannelList list = csv("name,rx_mhz,note\n\"a, b; c\td\",146.520,x\n"
                .replace(",", separator)
                .replace("a" + separator, "a,"));
        assertThat(list.channels()).hasSize(1);
        assertThat(list.channels().get(0).text(Field.RX_MHZ)).isEqualTo("146.520");
    }

    @Test
    void columnsMayStandInAnyOrderAndUnknownOnesAreKept() {
        ChannelList list = csv("colour,RX_MHZ,Name,bank\nred,146.520,A,1\nblue,446.000,B,\n");
        assertThat(list.extraColumns()).containsExactly("colour", "bank");
        assertThat(list.channels().get(1).extras()).containsExactly("blue", "");
        assertThat(list.channels().get(0).name()).isEqualTo("A");
        assertThat(CsvLists.write(list)).startsWith("number,name,rx_mhz").contains("colour,bank");
    }

    @Test
    void aRowMayBeShorterThanTheHeader() {
        assertThat(csv("rx_mhz,tx_mhz,mode\n162.550\n").channels().get(0).use()).isEqualTo(Use.LISTEN);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|1|1|empty",
                "a,b\\n|1|1|rx_mhz",
                "rx_mhz,rx_mhz\\n1,2|1|2|twice",
                "rx_mhz\\n1,2|2|2|2 fields",
                "rx_mhz\\n\"146|2|1|never closed"
            })
    void whatIsNoListIsToldByItsPlace(String text, long line, long column, String word) {
        assertThatThrownBy(() -> csv(text.replace("\\n", "\n"))).isInstanceOfSatisfying(FileProblem.class, problem -> {
            assertThat(problem.line()).isEqualTo(line);
            assertThat(problem.column()).isEqualTo(column);
            assertThat(problem.getMessage()).contains(word);
        });
    }

    @Test
    void bytesThatAreNoUtf8AreToldByTheirPlace() {
        byte[] latin = "rx_mhz,name\n146.520,M\u00fcller\n".getBytes(StandardCharsets.ISO_8859_1);
        assertThatThrownBy(() -> CsvLists.read(latin, "x"))
                .hasMessageContaining("UTF-8")
                .isInstanceOfSatisfying(FileProblem.class, problem -> {
                    assertThat(problem.line()).isEqualTo(2);
                    assertThat(problem.column()).isEqualTo(10);
                });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "=1+1|'=1+1",
                "+49|'+49",
                "-5|'-5",
                "@x|'@x",
                "'=1|''=1",
                "plain|plain",
                "'quoted|'quoted",
                "a=b|a=b"
            })
    void formulasAreHarmlessOutsideAndWholeAgainInside(String text, String written) {
        assertThat(Formula.harmless(text)).isEqualTo(written);
        assertThat(Formula.restored(written)).isEqualTo(text);
    }

    @Test
    void jsonListsTakeNumbersAndKeepFurtherKeys() {
        ChannelList list = JsonLists.read(
                bytes(
                        "{\"format\":\"wache-list/1\",\"name\":\"N\",\"channels\":["
                                + "{\"number\":1,\"rxMhz\":146.520,\"powerW\":5,\"bank\":\"A\"},{\"rxMhz\":\"446.000\",\"txMhz\":null}]}"),
                "x");
        assertThat(list.name()).isEqualTo("N");
        assertThat(list.channels().get(0).text(Field.RX_MHZ)).isEqualTo("146.520");
        assertThat(list.channels().get(0).power()).isPresent();
        assertThat(list.extraColumns()).containsExactly("bank");
        assertThat(list.channels().get(1).transmit()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{",
                "[]",
                "{\"format\":\"other\"}",
                "{\"format\":\"wache-list/1\"}",
                "{\"format\":\"wache-list/1\",\"channels\":[1]}",
                "{\"format\":\"wache-list/1\",\"channels\":[{\"rxMhz\":{}}]}",
                "{\"format\":\"wache-list/1\",\"channels\":[]} x",
                "{\"format\":\"wache-list/1\",\"format\":\"wache-list/1\"}"
            })
    void whatIsNoJsonListIsTold(String text) {
        assertThatThrownBy(() -> ListFiles.read(bytes(text), "x")).isInstanceOf(FileProblem.class);
    }

    private static ContextFile keyed(String how) {
        return ContextFile.read(bytes(
                "{\"format\":\"wache-context/1\",\"site\":{\"antennaHeightM\":9},\"houseRules\":{\"keyedTogether\":"
                        + how + "}}"));
    }

    @Test
    void whatIsKeyedTogetherIsAllATeamsOrABases() {
        assertThat(keyed("true").houseRules().keyedTogether()).isEqualTo(Keying.ALL);
        assertThat(keyed("false").houseRules().keyedTogether()).isEqualTo(Keying.NONE);
        assertThat(keyed("null").houseRules().keyedTogether()).isEqualTo(Keying.NONE);
        assertThat(keyed("\"zones\"").houseRules().keyedTogether()).isEqualTo(Keying.TEAMS);
        Keying bases = keyed("[{\"name\":\"Weir\",\"numbers\":[\"1\",5]}]")
                .houseRules()
                .keyedTogether();
        assertThat(bases.bases()).containsExactly(new Keying.Base("Weir", java.util.Set.of("1", "5")));
        assertThatThrownBy(() -> keyed("\"sometimes\""))
                .hasMessageContaining("houseRules.keyedTogether should be true, false");
        assertThatThrownBy(() -> keyed("[{\"numbers\":[]}]")).hasMessageContaining("houseRules.keyedTogether[0].name");
        assertThat(keyed("true").antenna().heightM()).hasValue(9);
        assertThat(keyed("true").antenna().known())
                .as("a height says nothing of the gain")
                .isFalse();
    }

    @Test
    void aContextIsReadWhole() {
        ContextFile context = ContextFile.read(
                bytes(
                        """
        {"format":"wache-context/1","rulebook":"us","on":"2026-11-25",
         "site":{"latitude":45.2,"longitude":-93.1,"region":"MN","antennaGainDbd":3.0,"feedLossDb":1.2},
         "holders":[{"name":"R. Quill","licences":[{"service":"amateur","class":"Technician","callSign":"KE9QRB",
           "expires":"2031-04-02"},{"service":"land-mobile","lines":[{"mhz":"451.8000","emission":"11K2F3E","outputW":5,
           "erpW":5,"units":20,"area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}}]}]},{}],
         "radios":[{"model":"Handheld A","antennaGainDbd":0}],
         "houseRules":{"directTones":"same-both-ways","maxTimeoutS":180,"twoMetreRasterKhz":15,"keyedTogether":true}}"""));
        Licence amateur = context.holders().get(0).licences().get(0);
        assertThat(amateur.licenceClass()).contains("technician");
        assertThat(amateur.expires()).hasToString("Optional[2031-04-02]");
        assertThat(context.holders().get(0).licences().get(1).lines().get(0).area())
                .contains(new Circle(Place.at(45.2, -93.1), 40));
        assertThat(context.holders().get(1).name()).isEqualTo("holder 2");
        assertThat(context.antenna().net().value()).isEqualTo(1.8, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(context.site()).contains(Circle.site(new Place(45.2, -93.1, Optional.of("MN"))));
        assertThat(context.houseRules().keyedTogether()).isEqualTo(Keying.ALL);
        assertThat(context.radios()).extracting(Radio::name).containsExactly("Handheld A");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"on\":\"soon\"}|on should be a day",
                "{\"site\":{\"latitude\":95,\"longitude\":0}}|site.latitude should be a number from -90 to 90 degrees north",
                "{\"site\":{\"latitude\":45}}|site.longitude",
                "{\"site\":{\"latitude\":45,\"longitude\":0,\"radiusKm\":-1}}|site.radiusKm should be a number from 0 to 20000 km",
                "{\"overlay\":{}}|overlay should be a list of rows",
                "{\"overlay\":[{\"mhz\":\"x\"}]}|overlay row 1: mhz should be a range",
                "{\"overlay\":[{\"mhz\":\"146.5\",\"uses\":\"tea\"}]}|overlay row 1: uses should be out of cw",
                "{\"overlay\":[{\"mhz\":\"146.5\"},{\"mhz\":\"442-445\",\"offsetsMhz\":[\"far\"]}]}|overlay row 2: offsetsMhz",
                "{\"overlay\":[{\"mhz\":\"442-445\",\"rasters\":[\"442\"]}]}|overlay row 1: rasters should be a first channel",
                "{\"holders\":[{\"licences\":[{\"service\":\"land-mobile\",\"lines\":[{\"mhz\":\"451.8\",\"emission\":\"11K2F3E\",\"area\":{\"south\":45,\"west\":-93,\"north\":44,\"east\":-92}}]}]}]}|a box with south below north",
                "{\"houseRules\":{\"directTones\":\"loud\"}}|houseRules.directTones",
                "{\"houseRules\":{\"maxTimeoutS\":\"x\"}}|houseRules.maxTimeoutS should be a whole number",
                "{\"holders\":[{\"licences\":[{}]}]}|holders[0].licences[0].service",
                "{\"holders\":[{\"licences\":[{\"service\":\"land-mobile\",\"lines\":[{\"mhz\":\"x\"}]}]}]}|lines[0].mhz",
                "{\"holders\":[{\"licences\":[{\"service\":\"land-mobile\",\"lines\":[{\"mhz\":\"1\",\"emission\":\"x\"}]}]}]}|emission",
                "{\"format\":\"wache-list/1\"}|not a context",
                "[]|not a context"
            })
    void whatIsWrongInAContextIsToldByItsPath(String text, String words) {
        assertThatThrownBy(() -> ContextFile.read(bytes(text)))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(words);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "amateur",
                "amateur:king",
                "gmrs:extra",
                "frs",
                "land-mobile",
                "",
                "amateur:technician,",
                "nobody,x"
            })
    void licenceWordsThatMeanNothingAreToldWithWhatWould(String words) {
        assertThatThrownBy(() -> HolderShorthand.holder(words, Audits.edition(Audits.DAY)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("expected amateur:novice|technician|general");
    }

    @Test
    void licenceWordsMakeHolders() {
        assertThat(HolderShorthand.holder("amateur:general, gmrs", Audits.edition(Audits.DAY))
                        .licences())
                .hasSize(2);
        assertThat(HolderShorthand.holder("nobody", Audits.edition(Audits.DAY)).licences())
                .isEmpty();
    }
}
