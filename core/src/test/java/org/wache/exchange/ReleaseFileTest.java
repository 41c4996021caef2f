package org.wache.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.release.Gate;
import org.wache.release.Waiver;
import org.wache.rulebook.RulebookReader;
import org.wache.settings.SettingsProfile;
import org.wache.signal.Span;

/** A release as a file: what it keeps, and what is noticed when somebody changes it. */
class ReleaseFileTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
    private static final String CONTEXT =
            """
      {"format":"wache-context/1","rulebook":"us","holders":[{"name":"R. Quill","licences":[{"service":"amateur","class":"technician","callSign":"KE9QRB",
      "expires":"2031-04-02"}]}],"site":{"latitude":45.2,"longitude":-93.10}}""";
    private static final String LIST =
            """
      number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone,scan,timeout_s
      1,RIDGE,146.940,146.340,FM,5,100.0,,yes,180
      2,LEVEE,146.550,146.550,FM,,103.5,103.5,yes,180
      3,WX,162.550,,NFM,,,,no,
      """;
    private static final String MODEL =
            "{\"format\":\"wache-radio/1\",\"model\":\"Heron\",\"transmit\":[[\"144\",\"148\"]],\"receive\":[[\"144\",\"174\"]]}";

    private static ReleaseContent content() {
        ChannelList list = ListFiles.read(LIST.getBytes(StandardCharsets.UTF_8), "River");
        ContextFile context = ContextFile.read(CONTEXT.getBytes(StandardCharsets.UTF_8));
        Audit audit = new Auditor(
                        Register.ALL, context.under(RulebookReader.shipped("us").on(DAY), DAY, context.holders()))
                .audit(list);
        List<Waiver> waivers = Gate.of(List.of(new Gate.Part("", audit)), List.of(), List.of(), DAY).matters().stream()
                .map(each -> new Waiver(
                        each.matter().print(),
                        each.matter().channel().number(),
                        each.matter().channel().name(),
                        each.matter().rule().text(),
                        "",
                        each.matter().message(),
                        "The radio has 5 W",
                        "J. Weirley",
                        DAY,
                        Optional.empty()))
                .toList();
        return new ReleaseContent(
                "Tern Valley",
                "River",
                7,
                1,
                DAY,
                List.of(new ReleaseContent.PartContent("", CONTEXT, audit)),
                List.of(new ReleaseContent.ModelContent(
                        "Heron", MODEL, "", false, List.of(Span.ofMegahertz("400-480")), List.of())),
                List.of(new ReleaseContent.TeamProfile("Levee", PROFILE)),
                waivers);
    }

    private static final SettingsProfile PROFILE = ProfileFile.read(
            "{\"name\":\"Levee\",\"settings\":[{\"kind\":\"time-out\",\"value\":\"120\",\"why\":\"wedged\"}]}"
                    .getBytes(StandardCharsets.UTF_8));

    @Test
    void profilesAndBandsThatAreOffGoOutAndComeBack() {
        ReleaseFile file = ReleaseFile.read(released().getBytes(StandardCharsets.UTF_8));
        assertThat(file.profiles()).containsExactly(new ReleaseContent.TeamProfile("Levee", PROFILE));
        assertThat(file.models().get(0).radio().off()).containsExactly(Span.ofMegahertz("400-480"));
        ReleaseContent now = content();
        ReleaseContent without = new ReleaseContent(
                now.group(),
                now.list(),
                now.revision(),
                now.overlayVersion(),
                DAY,
                now.parts(),
                now.models(),
                List.of(),
                now.waivers());
        assertThat(ReleaseWriter.state(without))
                .as("who signed, signed for the settings too")
                .isNotEqualTo(ReleaseWriter.state(now));
    }

    private static String released() {
        return ReleaseWriter.of(
                        content(),
                        new ReleaseWriter.Stamp(3, OffsetDateTime.parse("2026-11-25T18:00:00+01:00"), "Ada", "Jonas"))
                .text();
    }

    private static ReleaseCheck check(String file) {
        return ReleaseCheck.of(ReleaseFile.read(file.getBytes(StandardCharsets.UTF_8)));
    }

    /** RFC 8785, section 3.2.2 and 3.2.3: the sample object and its canonical form (from memory). */
    @Test
    void theCanonicalFormIsThatOfTheStandard() {
        String given = "{\"numbers\":[333333333.33333329,1E30,4.50,2e-3,0.000000000000000000000000001],"
                + "\"string\":\"\\u20ac$\\u000F\\u000aA'\\u0042\\u0022\\u005c\\\\\\\"\\/\",\"literals\":[null,true,false]}";
        assertThat(new String(CanonicalSum.form(given), StandardCharsets.UTF_8))
                .isEqualTo(
                        "{\"literals\":[null,true,false],"
                                + "\"numbers\":[333333333.3333333,1e+30,4.5,0.002,1e-27],\"string\":\"\u20ac$\\u000f\\nA'B\\\"\\\\\\\\\\\"/\"}");
    }

    @Test
    void whatWasReleasedIsFoundAgain() {
        ReleaseFile file = ReleaseFile.read(released().getBytes(StandardCharsets.UTF_8));
        assertThat(file.number()).isEqualTo(3);
        assertThat(file.releasedAt()).isEqualTo("2026-11-25T17:00:00Z");
        assertThat(file.edition()).isEqualTo("2026-02-13");
        assertThat(file.parts().get(0).list().channels())
                .isEqualTo(content().parts().get(0).audit().list().channels());
        assertThat(file.waivers()).isEqualTo(content().waivers()).isNotEmpty();
        assertThat(file.models().get(0).radio().model().name()).isEqualTo("Heron");
        assertThat(ReleaseCheck.of(file).good())
                .as("%s", ReleaseCheck.of(file).lines())
                .isTrue();
    }

    @Test
    void anotherLayoutOfTheSameContentIsTheSameRelease() {
        String tight =
                JsonText.MAPPER.writeValueAsString(JsonText.read(released().getBytes(StandardCharsets.UTF_8)));
        assertThat(tight).isNotEqualTo(released());
        assertThat(check(tight.replace("-93.10", "-93.1")).good()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "146.340, 146.345, RIDGE's transmit frequency",
        "R. Quill, R. Quilt, a holder's name",
        "The radio has 5 W, The radio has 50 W, a waiver's reason",
        "technician, extra, a class",
        "Jonas, Ada, who signed"
    })
    void aChangeOfAnythingIsNoticed(String from, String to, String what) {
        assertThat(released()).contains(from);
        assertThat(check(released().replaceFirst(java.util.regex.Pattern.quote(from), to))
                        .lines()
                        .get(0)
                        .good())
                .as(what)
                .isFalse();
    }

    /** Whoever changes the content and works the sum out anew is found out by the audit and the gate. */
    @ParameterizedTest
    @CsvSource({"146.340, 147.995, on hold", "103.5, 107.2, other things are found"})
    void aForgedSumDoesNotHelpAListThatWouldNotPass(String from, String to, String said) {
        var root = (tools.jackson.databind.node.ObjectNode)
                JsonText.read(released().replaceFirst(from, to).getBytes(StandardCharsets.UTF_8));
        root.put("sha256", CanonicalSum.of(root.path("release")));
        ReleaseCheck check = check(root.toString());
        assertThat(check.lines().get(0).good()).isTrue();
        assertThat(check.good()).isFalse();
        assertThat(check.lines()).anySatisfy(line -> assertThat(line.text()).contains(said));
    }

    @Test
    void theStateIsTheSameOnTheNextDayAndAnotherAfterAChange() {
        ReleaseContent now = content();
        ReleaseContent tomorrow = new ReleaseContent(
                now.group(),
                now.list(),
                now.revision(),
                now.overlayVersion(),
                DAY.plusDays(1),
                now.parts(),
                now.models(),
                now.profiles(),
                now.waivers());
        assertThat(ReleaseWriter.state(tomorrow)).isEqualTo(ReleaseWriter.state(now));
        ReleaseContent changed = new ReleaseContent(
                now.group(),
                now.list(),
                now.revision(),
                now.overlayVersion(),
                DAY,
                now.parts(),
                now.models(),
                now.profiles(),
                List.of());
        assertThat(ReleaseWriter.state(changed)).isNotEqualTo(ReleaseWriter.state(now));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{}|not a release",
                "{\"format\":\"wache-release/1\",\"sha256\":\"x\",\"release\":{}}|parts",
                "{\"format\":\"wache-release/1\",\"sha256\":\"x\",\"release\":{\"parts\":[{}],\"on\":\"soon\"}}|day",
                "no json|not JSON"
            })
    void whatIsNoReleaseIsSaid(String text, String said) {
        assertThatThrownBy(() -> ReleaseFile.read(text.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining(said);
    }
}
