package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audits;
import org.wache.signal.GolayWord;
import org.wache.signal.Tone;

/** The tone tables against a published reference library: Debian's libhamlib-utils, {@code rigctl -m 1 -u}. */
class ToneTableTest {

    private final ToneTable tones = Audits.edition(Audits.DAY).tones();

    private static List<String> reference(String heading) throws IOException, InterruptedException {
        Process process = new ProcessBuilder("rigctl", "-m", "1", "-u")
                .redirectErrorStream(true)
                .start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        String line = output.lines()
                .filter(each -> each.startsWith(heading))
                .findFirst()
                .orElseThrow();
        String values = line.substring(heading.length()).replaceAll("Hz,.*|,.*", "");
        return Arrays.stream(values.trim().split("\\s+"))
                .filter(each -> each.matches("[0-9.]+"))
                .toList();
    }

    @Test
    void theContinuousTonesAreThoseOfTheReference() throws Exception {
        assertThat(reference("CTCSS:"))
                .hasSize(50)
                .containsExactlyInAnyOrderElementsOf(
                        tones.ctcss().stream().map(Tone.Ctcss::text).toList());
    }

    @Test
    void theCodesAreThoseOfTheReferenceWithoutItsTwoExtraOnes() throws Exception {
        List<Integer> codes = reference("DCS:").stream()
                .map(text -> Integer.parseInt(text, 8))
                .toList();
        List<Integer> ours = tones.dcs().stream().map(Tone.Dcs::code).toList();
        assertThat(ours).hasSize(104);
        assertThat(codes).hasSize(106).containsAll(ours).contains(017, 050);
    }

    @Test
    void theWordOf023IsThePublishedOne() {
        assertThat(GolayWord.of(023).bits()).isEqualTo(0x763813);
    }

    /** Partners as makers' charts print them; common practice, no source. */
    @ParameterizedTest
    @CsvSource({
        "023,047", "025,244", "026,464", "031,627", "032,051", "036,172", "043,445", "053,452", "065,271", "074,174",
        "114,712", "155,731", "243,351", "311,664", "346,612", "371,734", "606,631", "654,743", "017,050"
    })
    void anInvertedCodeSoundsLikeItsPartner(String code, String partner) {
        Tone.Dcs inverted = new Tone.Dcs(Integer.parseInt(code, 8), true);
        Tone.Dcs other = new Tone.Dcs(Integer.parseInt(partner, 8), false);
        assertThat(GolayWord.sound(inverted)).isEqualTo(GolayWord.sound(other));
        assertThat(ToneTable.same(Optional.of(inverted), Optional.of(other))).isTrue();
    }

    @Test
    void everyCodeHasExactlyOnePartnerAndAllSoundDifferent() {
        Map<Integer, Integer> bySound = new HashMap<>();
        tones.dcs().forEach(each -> assertThat(bySound.put(GolayWord.sound(each), each.code()))
                .isNull());
        assertThat(tones.dcs())
                .allSatisfy(each -> assertThat(bySound).containsKey(GolayWord.sound(new Tone.Dcs(each.code(), true))));
    }

    @Test
    void theGolayCodeKeepsItsDistance() {
        // The (23,12) Golay code is perfect with distance 7: two words differ in at least seven bits.
        for (int a = 0; a < 512; a += 7) {
            for (int b = a + 1; b < 512; b++) {
                assertThat(Integer.bitCount(
                                GolayWord.of(a).bits() ^ GolayWord.of(b).bits()))
                        .isGreaterThanOrEqualTo(7);
            }
        }
    }

    /** Consumer codes as printed on radios; common practice, no source. */
    @ParameterizedTest
    @CsvSource({"1,67.0", "9,91.5", "27,167.9", "38,250.3"})
    void consumerCodesStandForTheirTones(int code, String hertz) {
        assertThat(tones.consumerCode(code)).map(Tone::text).contains(hertz);
    }

    @Test
    void theForeignCode645SoundsLike526() {
        assertThat(tones.sameSound(new Tone.Dcs(0645, false))).contains(new Tone.Dcs(0526, false));
    }
}
