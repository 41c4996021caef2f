package org.wache.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ListFiles;
import org.wache.exchange.ReleaseContent;
import org.wache.exchange.ReleaseWriter;
import org.wache.rulebook.RulebookReader;
import tools.jackson.databind.JsonNode;

/** The command line as a script sees it: its exit status and its output; once more in a process of its own, where that could differ. */
class AuditCommandTest {

    private static final String HEADER = "number,name,rx_mhz,tx_mhz,mode,emission,power_w,tx_tone,rx_tone,use\n";

    @TempDir
    private Path folder;

    /** The same as a process. */
    private Ran process(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                "org.wache.cli.Main"));
        command.addAll(List.of(arguments));
        Path error = folder.resolve("error.txt");
        Process process =
                new ProcessBuilder(command).redirectError(error.toFile()).start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Ran(process.waitFor(), out, Files.readString(error));
    }

    private String file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    @Test
    void aCleanListEndsWithZeroAndAHeldOneWithOne() throws Exception {
        String clean = file("clean.csv", HEADER + "1,Levee,146.550,146.550,FM,,5,,,\n");
        assertThat(Ran.of(clean, "--as", "amateur:technician").status()).isZero();
        assertThat(Ran.of(clean).status()).isEqualTo(1);
        assertThat(Ran.of(clean).out()).contains("not-licensed");
    }

    /** What a shell sees is what was told within: status, output and the line of an error, none of them twice, in UTF-8. */
    @Test
    void aProcessOfItsOwnSaysTheSame() throws Exception {
        String held = file("held.csv", HEADER + "1,Bäche – süd,146.550,146.550,FM,,5,,,\n");
        assertThat(process(held)).isEqualTo(Ran.of(held));
        assertThat(process(held, "--as", "amateur:technician", "--json"))
                .isEqualTo(Ran.of(held, "--as", "amateur:technician", "--json"));
        assertThat(process("nosuch.csv")).isEqualTo(Ran.of("nosuch.csv"));
        assertThat(process(held, "--nosuch")).isEqualTo(Ran.of(held, "--nosuch"));
    }

    /** What is no list is told with what it is and what to do with it. */
    @Test
    void aFileOfAnotherKindIsTold() throws Exception {
        assertUnusable(Ran.of(folder.resolve("nosuch.csv").toString()), "there is no such file");
        assertUnusable(Ran.of(folder.toString()), "is a directory");
        assertUnusable(
                Ran.of(file("table.csv", "Location,Freq\nRidge,146.94\n")),
                "such as this one with the headings “Location, Freq”, is read in the browser");
        assertUnusable(Ran.of(file("book.xlsx", "PK\u0003\u0004rest")), "a spreadsheet or an archive, not a list");
        assertUnusable(
                Ran.of(file("context.json", "{\"format\":\"wache-context/1\",\"holders\":[]}")),
                "goes behind --context");
    }

    /** The examples of the README, on files that ship. */
    @Test
    void theExamplesOfTheReadmeRun() throws Exception {
        Path demo = Path.of("..", "demo");
        assertThat(Ran.of(demo.resolve("volunteers.csv").toString(), "--as", "amateur:technician")
                        .status())
                .isEqualTo(1);
        Ran json = Ran.of(
                demo.resolve("households.csv").toString(),
                "--as",
                "amateur:general,gmrs",
                "--on",
                "2026-02-13",
                "--json");
        assertThat(json.json().path("channels")).isNotEmpty();
        assertThat(Ran.of(
                                demo.resolve("ferry-and-orchard.csv").toString(),
                                "--context",
                                demo.resolve("ferry-and-orchard.context.json").toString())
                        .error())
                .isEmpty();
        Ran release = Ran.of("--verify", demo.resolve("river-release-1.json").toString());
        assertThat(release.status()).as(release.out() + release.error()).isZero();
    }

    @Test
    void aCureOfAnEntryIsToldOnce() throws Exception {
        Ran ran = Ran.of(
                file("twice.csv", HEADER + "1,GM,462.5625,462.5625,FM,,50,,,\n"),
                "--as",
                "amateur:technician",
                "--as",
                "gmrs");
        List<String> cures = ran.out()
                .lines()
                .filter(line -> line.contains("→"))
                .map(String::strip)
                .toList();
        assertThat(cures).isNotEmpty().doesNotHaveDuplicates();
        assertThat(cures).filteredOn(cure -> cure.contains("Listen only")).hasSize(1);
    }

    @Test
    void anotherRulebookHasItsOwnClassesAndEdges() throws Exception {
        String list =
                file("abroad.csv", HEADER + "1,Edge,145.995,145.995,FM,,5,,,\n2,Calling,145.500,145.500,FM,,5,,,\n");
        Ran ran = Ran.of(list, "--rulebook", "uk", "--as", "amateur:foundation", "--json");
        assertThat(ran.json().path("rulebook").path("id").asString()).isEqualTo("uk");
        assertThat(ran.json()
                        .path("channels")
                        .path(0)
                        .path("findings")
                        .path(0)
                        .path("rule")
                        .asString())
                .isEqualTo("edge-overrun");
        assertThat(ran.json().path("channels").path(1).path("verdict").asString())
                .isEqualTo("clear");
        assertUnusable(Ran.of(list, "--rulebook", "uk", "--as", "amateur:technician"), "foundation|intermediate|full");
    }

    /** Worked out on paper: 2 × 146.520 − 146.010 = 147.030; and each further product stands under the first. */
    @Test
    void aListOfOneSiteIsAskedAboutItsProducts() throws Exception {
        String list = file(
                "site.csv",
                HEADER
                        + "1,A,146.520,146.520,FM,,5,,,\n2,B,146.610,146.010,FM,,5,100.0,,\n3,V,147.030,147.630,FM,,5,88.5,,\n");
        String context = file("site.json", "{\"format\":\"wache-context/1\",\"houseRules\":{\"keyedTogether\":true}}");
        JsonNode victim = Ran.of(list, "--as", "amateur:technician", "--context", context, "--json")
                .json()
                .path("channels")
                .path(2);
        assertThat(victim.path("verdict").asString()).isEqualTo("query");
        assertThat(victim.path("findings").path(0).path("rule").asString()).isEqualTo("intermod");
        assertThat(victim.path("findings").path(0).path("working").asString())
                .startsWith("2 × 146.520 MHz − 146.010 MHz = 147.030 MHz");
    }

    @Test
    void theJsonResultIsAsPromised() throws Exception {
        String list = file("edge.csv", HEADER + "1,Edge,147.995,147.995,FM,,5,,,\n2,Weather,162.550,,NFM,,,,,\n");
        Ran ran = Ran.of(list, "--as", "amateur:technician", "--on", "2026-11-25", "--json");
        JsonNode result = ran.json();
        assertThat(result.path("format").asString()).isEqualTo("wache-audit/1");
        assertThat(result.path("rulebook").path("edition").asString()).isEqualTo("2026-02-13");
        assertThat(result.path("summary").path("hold").asInt()).isEqualTo(1);
        JsonNode channel = result.path("channels").path(0);
        assertThat(channel.path("rxHz").asLong()).isEqualTo(147_995_000);
        assertThat(channel.path("occupied").path("highHz").asLong()).isEqualTo(148_003_000);
        assertThat(channel.path("holders").path(0).path("authority").isNull()).isTrue();
        JsonNode finding = channel.path("findings").path(0);
        assertThat(finding.path("rule").asString()).isEqualTo("edge-overrun");
        assertThat(finding.path("message").asString())
                .isEqualTo("The signal reaches 3.0 kHz past the top of the 2 m band.");
        assertThat(finding.path("working").asString())
                .startsWith("147.995 MHz + 8.0 kHz = 148.003 MHz; limit 148.000 MHz");
        assertThat(finding.path("source").asString()).isEqualTo("47 CFR 97.307(b)");
        assertThat(finding.path("remedies"))
                .allSatisfy(remedy ->
                        assertThat(remedy.path("verdictAfter").asString()).isNotEqualTo("hold"));
        assertThat(result.path("channels").path(1).path("verdict").asString()).isEqualTo("listen");
    }

    @Test
    void theDayPicksTheEdition() throws Exception {
        String list = file("sixty.csv", HEADER + "1,Segment,5.354,5.354,USB,,5,,,\n");
        assertThat(Ran.of(list, "--as", "amateur:general", "--on", "2026-02-12").status())
                .isEqualTo(1);
        assertThat(Ran.of(list, "--as", "amateur:general", "--on", "2026-02-13").status())
                .isZero();
    }

    @Test
    void aContextNamesHoldersLinesSiteAndHouseRules() throws Exception {
        String list = file(
                "fleet.csv",
                HEADER
                        + "1,Covered,451.800,451.800,NFM,,5,,,\n2,Strong,451.800,451.800,NFM,,25,D023,,\n3,Other,464.500,464.500,NFM,,2,,,\n"
                        + "4,Mine,146.550,146.550,FM,,5,,,\n");
        String context = file(
                "context.json",
                """
        {"format":"wache-context/1","on":"2026-11-25","site":{"latitude":45.2,"longitude":-93.1},
         "holders":[{"name":"Fleet","licences":[{"service":"land-mobile","callSign":"WZZB202","expires":"2033-06-30",
           "lines":[{"mhz":"451.8000","emission":"11K0F3E","outputW":5,"erpW":5,"units":20,
             "area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}}]},
           {"service":"amateur","class":"general","callSign":"KE9QRB","expires":"2026-12-20"}]}]}""");
        JsonNode channels = Ran.of(list, "--context", context, "--json").json().path("channels");
        assertThat(channels.path(0)
                        .path("holders")
                        .path(0)
                        .path("authority")
                        .path("service")
                        .asString())
                .isEqualTo("land-mobile");
        assertThat(rules(channels.path(1))).contains("outside-authorisation");
        assertThat(rules(channels.path(2))).contains("outside-authorisation");
        assertThat(rules(channels.path(3))).containsExactly("licence-expiring");
        String far = file(
                "far.json",
                Files.readString(Path.of(context))
                        .replace("\"latitude\":45.2,\"longitude\":-93.1}", "\"latitude\":44.0,\"longitude\":-93.1}"));
        JsonNode away = Ran.of(list, "--context", far, "--json").json().path("channels");
        // 1.2° of latitude is 133 km: the site lies outside the 40 km.
        assertThat(away.path(0).path("findings").path(0).path("message").asString())
                .contains("is 133.");
    }

    private static List<String> rules(JsonNode channel) {
        List<String> rules = new ArrayList<>();
        channel.path("findings")
                .forEach(finding -> rules.add(finding.path("rule").asString()));
        return rules;
    }

    @Test
    void whatCannotBeReadEndsWithTwoAndOneLineThatNamesThePlace() throws Exception {
        assertUnusable(Ran.of(folder.resolve("missing.csv").toString()), "missing.csv", "no such file");
        assertUnusable(
                Ran.of(file("bad.csv", "rx_mhz,tx_mhz\n146,52,1,1\n")), "bad.csv: line 2, column 3", "decimal comma");
        assertUnusable(Ran.of(file("head.csv", "a,b\n1,2\n")), "head.csv: line 1, column 1", "rx_mhz");
        assertUnusable(Ran.of(file("bad.json", "{\"format\":\n ]")), "bad.json: line 2", "not JSON");
        String good = file("good.csv", "rx_mhz\n162.550\n");
        assertUnusable(Ran.of(good, "--as", "amateur:king"), "amateur:king", "technician");
        assertUnusable(Ran.of(good, "--on", "tomorrow"), "tomorrow", "2026-11-25");
        assertUnusable(Ran.of(good, "--rulebook", "moon"), "moon");
        assertUnusable(Ran.of(good, "--no-such-option"), "--no-such-option");
        assertUnusable(
                Ran.of(
                        good,
                        "--context",
                        file(
                                "c.json",
                                "{\"holders\":[{\"licences\":[{\"service\":\"amateur\",\"expires\":\"soon\"}]}]}")),
                "holders[0].licences[0].expires");
        assertUnusable(Ran.of(), "FILE");
    }

    private static void assertUnusable(Ran ran, String... words) {
        assertThat(ran.status()).isEqualTo(2);
        assertThat(ran.error().lines()).hasSize(1);
        assertThat(ran.error()).contains(words);
    }

    @Test
    void semicolonsTabsAndAByteOrderMarkAreFine() throws Exception {
        assertThat(Ran.of(file("a.csv", "\uFEFFname;rx_mhz;mode\nWeather;162.550;NFM\n"))
                        .status())
                .isZero();
        assertThat(Ran.of(file("b.csv", "name\trx_mhz\tmode\nWeather\t162.550\tNFM\n"))
                        .status())
                .isZero();
        assertThat(Ran.of(file("c.json", "{\"format\":\"wache-list/1\",\"channels\":[{\"rxMhz\":\"162.550\"}]}"))
                        .status())
                .isZero();
    }

    /** Verdict and first rule of each entry, as {@code hold power-over}. */
    private static List<String> told(JsonNode result) {
        List<String> all = new ArrayList<>();
        result.path("channels")
                .forEach(channel -> all.add(channel.path("verdict").asString() + " "
                        + channel.path("findings").path(0).path("rule").asString("")));
        return all;
    }

    @Test
    void aContextWithASiteAnOverlayAndUnitsIsHeldAgainstTheList() throws Exception {
        String list = file(
                "places.csv",
                HEADER + "1,Seventy,446.000,446.000,FM,,60,,,\n2,Low,427.000,427.000,NFM,,5,,,\n"
                        + "3,Gauges,146.460,146.460,FM,,5,,,\n4,Fleet,451.800,451.800,NFM,,5,,,\n");
        String holders =
                """
        "holders":[{"name":"All","licences":[{"service":"amateur","class":"technician"},{"service":"land-mobile",
          "callSign":"WZZB202","lines":[{"mhz":"451.800","emission":"11K2F3E","outputW":5,"erpW":5,"units":20,
          "area":{"south":41,"west":-84,"north":44,"east":-82}}]}]}],
        "overlay":[{"mhz":"146.445-146.475","uses":"fm-simplex","warning":"gauges first"}]""";
        String detroit = file(
                "detroit.json",
                "{\"site\":{\"latitude\":42.33,\"longitude\":-83.05},\"unitsInUse\":21," + holders + "}");
        JsonNode there = Ran.of(list, "--context", detroit, "--on", "2026-11-25", "--json")
                .json();
        assertThat(told(there))
                .containsExactly(
                        "clear ", "hold outside-authorisation", "query local-warning", "hold outside-authorisation");
        assertThat(there.path("channels").path(1).path("findings"))
                .as("both routes are told")
                .anySatisfy(
                        finding -> assertThat(finding.path("rule").asString()).isEqualTo("restricted-area"));
        String arizona = file("arizona.json", "{\"site\":{\"region\":\"AZ\"},\"unitsInUse\":20," + holders + "}");
        assertThat(told(Ran.of(list, "--context", arizona, "--on", "2026-11-25", "--json")
                        .json()))
                .startsWith("hold power-over")
                .element(3)
                .asString()
                .startsWith("hold outside-authorisation");
        String nowhere = file("nowhere.json", "{" + holders + "}");
        assertThat(told(Ran.of(list, "--context", nowhere, "--on", "2026-11-25", "--json")
                        .json()))
                .containsExactly(
                        "query place-unknown", "query restricted-area", "query local-warning", "query place-unknown");
    }

    @Test
    void whatIsWrongInAContextIsOneLineWithItsPlace() throws Exception {
        String list = file("one.csv", HEADER + "1,Levee,146.550,146.550,FM,,5,,,\n");
        for (String bad : List.of(
                "{\"site\":{\"latitude\":99,\"longitude\":0}}",
                "{\"overlay\":[{\"mhz\":\"tea\"}]}",
                "{\"unitsInUse\":\"many\"}",
                "{\"holders\":[{\"licences\":[{\"service\":\"amateur\",\"class\":\"king\"}]}]}")) {
            Ran ran = Ran.of(list, "--context", file("bad.json", bad));
            assertThat(ran.status()).as(bad).isEqualTo(2);
            assertThat(ran.error().strip().lines()).as(ran.error()).hasSize(1);
            assertThat(ran.out()).isEmpty();
        }
    }

    /** A release as a server writes it, of one entry that a Technician may key. */
    private static String release() {
        LocalDate day = LocalDate.of(2026, 11, 25);
        String context =
                "{\"format\":\"wache-context/1\",\"rulebook\":\"us\",\"holders\":[{\"name\":\"T\",\"licences\":[{\"service\":\"amateur\",\"class\":\"technician\"}]}]}";
        ContextFile read = ContextFile.read(context.getBytes(StandardCharsets.UTF_8));
        Audit audit = new Auditor(
                        Register.ALL, read.under(RulebookReader.shipped("us").on(day), day, read.holders()))
                .audit(ListFiles.read(
                        "number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n1,Levee,146.550,146.550,FM,5,180\n"
                                .getBytes(StandardCharsets.UTF_8),
                        "Levee"));
        return ReleaseWriter.of(
                        new ReleaseContent(
                                "Tern Valley",
                                "Levee",
                                1,
                                0,
                                day,
                                List.of(new ReleaseContent.PartContent("", context, audit)),
                                List.of(),
                                List.of(),
                                List.of()),
                        new ReleaseWriter.Stamp(1, OffsetDateTime.parse("2026-11-25T17:00:00Z"), "Ada", "Jonas"))
                .text();
    }

    @Test
    void aReleaseIsVerifiedFromItsFileAlone() throws Exception {
        Ran good = Ran.of("--verify", file("release.json", release()));
        assertThat(good.status()).as(good.out()).isZero();
        assertThat(good.out()).contains("Levee, release 1 of Tern Valley", "It is as it was released.");
        Ran changed =
                Ran.of("--verify", "--json", file("changed.json", release().replace("146.550", "146.565")));
        assertThat(changed.status()).isEqualTo(1);
        assertThat(changed.json().path("good").asBoolean()).isFalse();
        Ran none = Ran.of("--verify", file("list.csv", HEADER + "1,Levee,146.550,146.550,FM,,5,,,\n"));
        assertThat(none.status()).isEqualTo(2);
        assertThat(none.error()).contains("list.csv: line 1, column 1: not JSON");
    }

    /** A context whose parts have other shapes than they should: one line with the place, and a status that is not that of a channel on hold. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"holders\":{}}|holders should be a list",
                "{\"holders\":[{\"licences\":[[]]}]}|holders[0].licences[0] should be an object",
                "{\"site\":[]}|site should be an object",
                "{\"site\":{\"latitude\":[45],\"longitude\":0}}|site.latitude should be",
                "{\"rulebook\":[]}|rulebook should be a text",
                "{\"on\":{}}|on should be a text",
                "{\"radios\":[{\"model\":{}}]}|radios[0].model should be a text",
                "{\"radios\":[{\"transmit\":[[[],[]]]}]}|radios[0].transmit[0] should be two frequencies",
                "{\"houseRules\":{\"keyedTogether\":[{\"name\":\"a\",\"numbers\":[{}]}]}}|numbers[0] should be a text",
                "{\"overlay\":[{\"mhz\":[],\"uses\":{}}]}|overlay row 1",
                "{\"site\":{\"antennaGainDbd\":3100}}|from -60 to 60 dBd",
                "{\"unitsInUse\":[]}|unitsInUse should be"
            })
    void aContextOfAnotherShapeIsToldAndIsNoHold(String context, String told) throws Exception {
        String list = file("one.csv", HEADER + "1,Levee,146.550,146.550,FM,,5,,,\n");
        Ran ran = Ran.of(list, "--context", file("shape.json", context));
        assertThat(ran.status()).as(ran.error()).isEqualTo(2);
        assertThat(ran.error().lines()).hasSize(1);
        assertThat(ran.error()).contains("shape.json", told).doesNotContain("Exception", "at org.");
        assertThat(ran.out()).isEmpty();
    }

    /** Half a result must not pass for a whole one, whichever form it has. */
    @ParameterizedTest
    @ValueSource(strings = {"--json", "--on=2026-11-25"})
    void whatCannotBeWrittenIsSaid(String how) throws IOException {
        OutputStream full = new OutputStream() {
            @Override
            public void write(int each) throws IOException {
                throw new IOException("No space left on device");
            }
        };
        StringWriter error = new StringWriter();
        assertThat(Main.run(
                        full,
                        new PrintWriter(error, true),
                        file("list.csv", HEADER + "1,A,146.52,146.52,FM,,5,,,direct\n"),
                        how))
                .isEqualTo(2);
        assertThat(error.toString()).contains("cut off").doesNotContain("fault of the program");
    }
}
