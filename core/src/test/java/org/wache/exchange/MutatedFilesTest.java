package org.wache.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.rulebook.RulebookProblem;
import org.wache.rulebook.RulebookReader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Files that are nearly right: each is read, or refused with a place and what was expected; none is a fault of the program. */
class MutatedFilesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final int TRIES = 4_000;
    /** What stands where something else belongs. */
    private static final List<String> OTHER = List.of(
            "[]",
            "{}",
            "null",
            "true",
            "\"\"",
            "\"x\"",
            "-1",
            "0",
            "1e999",
            "3100",
            "99999999999999999999",
            "\"NaN\"",
            "\"Infinity\"",
            "[[]]",
            "[null]",
            "[{}]",
            "{\"a\":[1]}",
            "\"\\u0000\"",
            "\"2026-02-30\"",
            "\"-999999999-01-01\"",
            "[\"144\",\"148\"]",
            "[[\"148\",\"144\"]]",
            "1.5",
            "\"1e5\"",
            "false",
            "[1,2,3]");

    private static final ChannelList LIST = ListFiles.read(
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone,use,service,timeout_s
      1,Ridge,146.940,146.340,FM,50,100.0,,,,180
      2,GMRS 16,462.575,467.575,NFM,5,141.3,,,gmrs,180
      3,Yard,451.800,451.800,NFM,2,D023,D023,,land-mobile,
      """
                    .getBytes(StandardCharsets.UTF_8),
            "List");

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static String text(Path file) throws IOException {
        return Files.readString(Path.of("..").resolve(file));
    }

    /** The example of the formats' description, with something of everything. */
    private static final String CONTEXT =
            """
      {"format":"wache-context/1","rulebook":"us","on":"2026-11-25",
       "site":{"latitude":45.2,"longitude":-93.1,"antennaHeightM":9,"antennaGainDbd":3.0,"feedLossDb":1.2},
       "holders":[{"name":"R. Quill","licences":[
         {"service":"amateur","class":"technician","callSign":"KE9QRB","expires":"2031-04-02"},
         {"service":"gmrs","callSign":"WZZA101","expires":"2029-01-15"},
         {"service":"land-mobile","callSign":"WZZB202","expires":"2033-06-30","lines":[
           {"mhz":"451.8000","emission":"11K2F3E","outputW":5,"erpW":5,"units":20,"area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}},
           {"mhz":"462.0","emission":"11K2F3E","area":{"south":40,"west":-100,"north":50,"east":-90}},{"mhz":"463.0","emission":"11K2F3E","area":{"region":"MN"}}]}]}],
       "radios":[{"model":"Handheld A","certifiedFor":["95E"],"transmit":[["462.5","462.8"],["467.5","467.8"]],"receive":[["136","174"],["400","480"]],
         "stepsKhz":["5","6.25","12.5"],"modes":["FM","NFM"],"powerLevelsW":[0.5,2,5],"channels":128,"nameLength":7,
         "tones":["ctcss","dcs"],"antennaGainDbd":0,"scanChannels":40}],
       "overlay":[{"mhz":"442.000-445.000","uses":"repeater-output","offsetsMhz":[5],"rasters":["442.000+25"],"calling":"FM","note":"n"}],
       "unitsInUse":12,"houseRules":{"directTones":"open","maxTimeoutS":180,"twoMetreRasterKhz":15,"keyedTogether":[{"name":"Weir","numbers":["1","2"]}]}}""";

    /** Every value and element of a document, as the holder that it can be replaced in. */
    private static void places(JsonNode node, List<Consumer<JsonNode>> places) {
        if (node instanceof ObjectNode object) {
            for (String key : List.copyOf(object.propertyNames())) {
                places.add(other -> object.set(key, other));
                places(object.get(key), places);
            }
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                int at = i;
                places.add(other -> array.set(at, other));
                places(array.get(i), places);
            }
        }
    }

    /** Each place with each other value once, then several at a time by chance. */
    private static void mutated(String good, Consumer<byte[]> read) {
        JsonNode first = JsonText.MAPPER.readTree(good);
        List<Consumer<JsonNode>> all = new ArrayList<>();
        places(first, all);
        for (int place = 0; place < all.size(); place++) {
            for (String other : OTHER) {
                List<Consumer<JsonNode>> places = new ArrayList<>();
                JsonNode copy = JsonText.MAPPER.readTree(good);
                places(copy, places);
                places.get(place).accept(JsonText.MAPPER.readTree(other));
                tried(JsonText.MAPPER.writeValueAsString(copy), read);
            }
        }
        Random random = new Random(20_261_127);
        for (int i = 0; i < TRIES / 10; i++) {
            List<Consumer<JsonNode>> places = new ArrayList<>();
            JsonNode copy = JsonText.MAPPER.readTree(good);
            places(copy, places);
            for (int n = 0; n < 3; n++) {
                places.get(random.nextInt(places.size()))
                        .accept(JsonText.MAPPER.readTree(OTHER.get(random.nextInt(OTHER.size()))));
            }
            tried(JsonText.MAPPER.writeValueAsString(copy), read);
        }
        for (int i = 0; i < TRIES; i++) {
            byte[] bytes = bytes(good);
            for (int n = 1 + random.nextInt(3); n > 0; n--) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            }
            tried(new String(bytes, StandardCharsets.ISO_8859_1), read);
        }
    }

    private static void tried(String file, Consumer<byte[]> read) {
        try {
            read.accept(bytes(file));
        } catch (FileProblem | RulebookProblem e) {
            assertThat(e.getMessage()).as(file).isNotBlank().doesNotContain("Exception", "tools.jackson", "java.");
        } catch (RuntimeException e) {
            throw new AssertionError(file, e);
        }
    }

    @Test
    void aContextIsReadAndJudgedByOrRefused() {
        mutated(CONTEXT, file -> {
            ContextFile context = ContextFile.read(file);
            if (context.rulebook().orElse("us").equals("us")) {
                try {
                    new Auditor(
                                    Register.ALL,
                                    context.under(
                                            RulebookReader.shipped("us")
                                                    .on(context.on().orElse(DAY)),
                                            context.on().orElse(DAY),
                                            context.holders()))
                            .audit(LIST);
                } catch (IllegalArgumentException e) {
                    assertThat(e.getMessage())
                            .isNotBlank(); // a service or class that there is not: the command line and the server tell
                    // it
                }
            }
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"heron-h2", "sorrel-n8"})
    void aModelIsReadOrRefused(String model) throws IOException {
        Path file = Path.of("demo", "radios", model + ".json");
        String good = Files.exists(Path.of("..").resolve(file))
                ? text(file)
                : text(Files.list(Path.of("../demo/radios"))
                        .sorted()
                        .skip(model.length() % 3)
                        .findFirst()
                        .orElseThrow()
                        .normalize()
                        .subpath(1, 4));
        mutated(good, RadioReader::model);
    }

    @Test
    void aListIsReadOrRefused() {
        mutated(JsonLists.write(LIST), file -> ListFiles.read(file, "x", ListLimits.KEPT));
    }

    @Test
    void aReleaseIsVerifiedOrRefused() {
        mutated(
                "{\"format\":\"wache-release/1\",\"sha256\":\"0\",\"release\":{\"group\":\"G\",\"list\":\"L\",\"number\":1,\"revision\":2,\"on\":\"2026-11-25\",\"overlayVersion\":0,"
                        + "\"rulebook\":{\"id\":\"us\",\"edition\":\"2026-02-13\",\"additions\":[]},\"parts\":[{\"name\":\"\",\"list\":"
                        + JsonLists.write(LIST) + ",\"context\":" + CONTEXT
                        + ",\"audit\":{\"channels\":[]}}],\"models\":[],\"waivers\":[]}}",
                file -> {
                    ReleaseFile release = ReleaseFile.read(file);
                    ReleaseCheck.of(release).good();
                });
    }

    /** A value that is absurd is told with what is usual: 3100 dB of gain is a slip of the finger. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"antennaGainDbd\":3.0|\"antennaGainDbd\":3100|site.antennaGainDbd should be a number from -60 to 60 dBd",
                "\"feedLossDb\":1.2|\"feedLossDb\":-1|site.feedLossDb should be a number from 0 to 100 dB",
                "\"antennaHeightM\":9|\"antennaHeightM\":1e9|site.antennaHeightM should be a number from -500 to 30000 m",
                "\"radiusKm\":40|\"radiusKm\":\"NaN\"|holders[0].licences[2].lines[0].area.radiusKm should be a number from 0 to 20000 km",
                "\"latitude\":45.2,\"longitude\":-93.1,\"antennaHeightM\"|\"latitude\":95.2,\"longitude\":-93.1,\"antennaHeightM\"|site.latitude should be a number from -90 to 90 degrees north",
                "\"maxTimeoutS\":180|\"maxTimeoutS\":1000000|houseRules.maxTimeoutS should be a whole number from 1 to 3600",
                "\"unitsInUse\":12|\"unitsInUse\":-3|unitsInUse should be a whole number from 1 to 1000000",
                "\"antennaGainDbd\":0|\"antennaGainDbd\":\"x\"|radios[0].antennaGainDbd should be a number from -60 to 60 dBd",
                "\"channels\":128|\"channels\":0|radios[0].channels should be a whole number from 1 to 10000",
                "\"expires\":\"2031-04-02\"|\"expires\":\"+999999999-12-31\"|holders[0].licences[0].expires should be a day such as 2026-11-25",
                "\"certifiedFor\":[\"95E\"]|\"certifiedFor\":\"95E\"|radios[0].certifiedFor should be a list in square brackets",
                "\"holders\":[|\"holders\":{},\"holders2\":[|holders should be a list in square brackets",
                "\"holders\":[|\"holders\":[7],\"holders2\":[|holders[0] should be an object in braces",
                "\"name\":\"R. Quill\"|\"name\":[]|holders[0].name should be a text or a number",
                "\"overlay\":[|\"overlay\":[[]],\"overlay2\":[|overlay row 1 should be an object",
                "\"site\":{|\"site\":[],\"site2\":{|site should be an object in braces",
                "\"units\":20|\"units\":\"many\"|holders[0].licences[2].lines[0].units should be a whole number from 1 to 1000000"
            })
    void whatIsAbsurdIsToldWithItsPlace(String good, String bad, String told) {
        assertThat(CONTEXT).contains(good);
        assertThatThrownBy(() -> ContextFile.read(bytes(CONTEXT.replace(good, bad))))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(told);
    }

    /** Further keys: a list with a different one in every entry costs no more than the limit lets it. */
    @Test
    void soManyFurtherKeysAndNoMore() {
        StringBuilder many = new StringBuilder("{\"format\":\"wache-list/1\",\"channels\":[");
        for (int i = 0; i <= ListLimits.FURTHER_COLUMNS; i++) {
            many.append(i == 0 ? "" : ",\n")
                    .append("{\"rxMhz\":\"146.52\",\"k")
                    .append(i)
                    .append("\":\"v\"}");
        }
        assertThatThrownBy(() -> JsonLists.read(bytes(many + "]}"), "x"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("up to 100 columns or keys")
                .satisfies(e -> assertThat(((FileProblem) e).line()).isEqualTo(ListLimits.FURTHER_COLUMNS + 1));
        String columns = "rx_mhz" + ",c".repeat(ListLimits.FURTHER_COLUMNS + 1);
        assertThatThrownBy(() -> CsvLists.read(bytes(columns + "\n146.52\n"), "x"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("up to 100 columns or keys");
        assertThatCode(() ->
                        CsvLists.read(bytes("rx_mhz" + ",c".repeat(ListLimits.FURTHER_COLUMNS) + "\n146.52\n"), "x"))
                .doesNotThrowAnyException();
    }

    @Test
    void soManyEntriesAndNoMore() {
        ListLimits three = new ListLimits(3);
        String json = "{\"format\":\"wache-list/1\",\"channels\":[" + "{\"rxMhz\":\"1\"},\n".repeat(3)
                + "{\"rxMhz\":\"1\"}]}";
        assertThatThrownBy(() -> JsonLists.read(bytes(json), "x", three))
                .hasMessageContaining("up to 3 entries")
                .satisfies(e -> assertThat(((FileProblem) e).line()).isEqualTo(4));
        assertThatThrownBy(() -> CsvLists.read(bytes("rx_mhz\n1\n2\n3\n4\n"), "x", three))
                .hasMessageContaining("up to 3 entries")
                .satisfies(e -> assertThat(((FileProblem) e).line()).isEqualTo(5));
        assertThat(CsvLists.read(bytes("rx_mhz\n1\n2\n3\n"), "x", three).channels())
                .hasSize(3);
    }

    @Test
    void aTextIsSoLongAndNoLonger() {
        String fits = "x".repeat(ListLimits.TEXT);
        assertThat(CsvLists.read(bytes("rx_mhz,note\n1," + fits + "\n"), "x").channels())
                .hasSize(1);
        assertThatThrownBy(() -> CsvLists.read(bytes("rx_mhz,note\n1," + fits + "x\n"), "x"))
                .hasMessageContaining("longer than 2000 characters");
        assertThatThrownBy(() -> JsonLists.read(
                        bytes("{\"format\":\"wache-list/1\",\"channels\":[{\"note\":\"" + fits + "x\"}]}"), "x"))
                .hasMessageContaining("longer than 2000 characters");
    }

    @ParameterizedTest
    @ValueSource(ints = {100, 10_000, 200_000})
    void whatIsNestedTooDeepIsRefused(int depth) {
        String deep = "[".repeat(depth) + "]".repeat(depth);
        assertThatThrownBy(() -> ContextFile.read(bytes("{\"holders\":" + deep + "}")))
                .isInstanceOf(FileProblem.class);
        assertThatThrownBy(() ->
                        JsonLists.read(bytes("{\"format\":\"wache-list/1\",\"x\":" + deep + ",\"channels\":[]}"), "x"))
                .isInstanceOf(FileProblem.class);
        assertThatThrownBy(() -> RadioReader.model(bytes("{\"model\":" + deep + "}")))
                .isInstanceOf(FileProblem.class);
    }

    /** The keys of a list may stand in any order, and what it does not know is passed over. */
    @Test
    void aListIsReadInWhateverOrderItSaysThings() {
        ChannelList list = JsonLists.read(
                bytes(
                        "{\"made\":{\"by\":[\"x\"]},\"channels\":[{\"b\":\"1\",\"rxMhz\":146.520},{\"a\":2,\"rxMhz\":\"147\",\"b\":null}],\"name\":\"N\",\"format\":\"wache-list/1\"}"),
                "x");
        assertThat(list.name()).isEqualTo("N");
        assertThat(list.extraColumns()).containsExactly("b", "a");
        assertThat(list.channels().get(0).extras()).containsExactly("1", "");
        assertThat(list.channels().get(1).extras()).containsExactly("", "2");
        assertThatThrownBy(() -> JsonLists.read(bytes("{\"format\":\"wache-list/1\",\"channels\":[]} {}"), "x"))
                .isInstanceOf(FileProblem.class);
        assertThatThrownBy(() -> JsonLists.read(
                        bytes("{\"format\":\"wache-list/1\",\"channels\":[{\"rxMhz\":\"1\",\"rxMhz\":\"2\"}]}"), "x"))
                .isInstanceOf(FileProblem.class);
    }
}
