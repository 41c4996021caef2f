package org.wache.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;

/** The JSON Schemas that ship, held against what Wache writes and reads (JSON Schema 2020-12, by a validator of others). */
@ExtendWith(RunningServer.class)
class SchemasTest {

    private static final SchemaRegistry REGISTRY =
            SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);

    private final Browserless who;

    SchemasTest(RunningServer server) {
        this.who = Browserless.signedIn(server.address(), "coordinator");
    }

    private Schema schema(String name) {
        return REGISTRY.getSchema(who.get("/api/schemas/" + name).body(), InputFormat.JSON);
    }

    static Stream<Path> contexts() throws IOException {
        return Files.list(Path.of("..", "demo")).filter(file -> file.toString().endsWith(".context.json"));
    }

    static Stream<Path> lists() throws IOException {
        return Files.list(Path.of("..", "demo"))
                .filter(file -> file.toString().endsWith(".csv")
                        && Files.exists(Path.of(file.toString().replace(".csv", ".context.json"))));
    }

    @ParameterizedTest
    @MethodSource("contexts")
    void theDemosContextsAreOfTheFormat(Path file) throws IOException {
        assertThat(schema("context").validate(Files.readString(file), InputFormat.JSON))
                .isEmpty();
    }

    static Stream<Path> models() throws IOException {
        return Files.list(Path.of("..", "demo", "radios"));
    }

    @ParameterizedTest
    @MethodSource("models")
    void theDemosModelsAreOfTheFormat(Path file) throws IOException {
        assertThat(schema("radio").validate(Files.readString(file), InputFormat.JSON))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"format\":\"wache-radio/1\"}",
                "{\"format\":\"wache-radio/1\",\"model\":\"x\",\"kind\":\"boat\"}",
                "{\"format\":\"wache-radio/1\",\"model\":\"x\",\"transmit\":[[\"1\"]]}",
                "{\"format\":\"wache-radio/1\",\"model\":\"x\",\"keypad\":{}}"
            })
    void otherModelsAreNot(String json) {
        assertThat(schema("radio").validate(json, InputFormat.JSON)).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("lists")
    void whatIsWrittenIsOfTheFormat(Path file) throws IOException {
        String json = JsonLists.write(CsvLists.read(Files.readAllBytes(file), "demo"));
        assertThat(schema("list").validate(json, InputFormat.JSON)).isEmpty();
    }

    @Test
    void theExampleOfTheFormatIsOfTheFormat() {
        assertThat(schema("context")
                        .validate(
                                """
        {"format":"wache-context/1","rulebook":"us","on":"2026-11-25",
         "site":{"latitude":45.2,"longitude":-93.1,"antennaHeightM":9,"antennaGainDbd":3.0,"feedLossDb":1.2},
         "holders":[{"name":"R. Quill","licences":[{"service":"amateur","class":"technician","callSign":"KE9QRB","expires":"2031-04-02"},
           {"service":"land-mobile","callSign":"WZZB202","lines":[{"mhz":"451.8000","emission":"11K2F3E","outputW":5,"erpW":5,"units":20,
             "area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}}]}]}],
         "radios":[{"model":"Handheld A","certifiedFor":["95E"],"transmit":[["462.5","462.8"]],"receive":[["136","174"]],
           "stepsKhz":["5","6.25"],"modes":["FM"],"powerLevelsW":[0.5,2],"channels":128,"nameLength":7,"tones":["ctcss"],"scanChannels":40}],
         "houseRules":{"directTones":"open","maxTimeoutS":180,"twoMetreRasterKhz":15,"keyedTogether":true}}""",
                                InputFormat.JSON))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "[]",
                "{\"format\":\"wache-list/2\",\"channels\":[]}",
                "{\"format\":\"wache-list/1\"}",
                "{\"format\":\"wache-list/1\",\"channels\":[[]]}",
                "{\"format\":\"wache-list/1\",\"channels\":[{\"rxMhz\":{}}]}"
            })
    void otherListsAreNot(String json) {
        assertThat(schema("list").validate(json, InputFormat.JSON)).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"format\":\"wache-context/1\",\"on\":\"today\"}",
                "{\"format\":\"wache-context/1\",\"site\":{\"latitude\":99}}",
                "{\"format\":\"wache-context/1\",\"houseRules\":{\"directTones\":\"shut\"}}",
                "{\"format\":\"wache-context/1\",\"holders\":[{}]}",
                "{\"format\":\"wache-context/1\",\"holders\":[{\"name\":\"x\",\"licences\":[{}]}]}",
                "{\"format\":\"wache-context/1\",\"radios\":[{\"transmit\":[[\"462.5\"]]}]}"
            })
    void otherContextsAreNot(String json) {
        assertThat(schema("context").validate(json, InputFormat.JSON)).isNotEmpty();
    }

    @Test
    void thereAreNoOtherSchemas() {
        assertThat(who.get("/api/schemas/tea").statusCode()).isEqualTo(404);
    }
}
