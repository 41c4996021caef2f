package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;

/** What findings say: the sentence, the sum and the source, as an expert would write them. */
class FindingTextsTest {

    private static Finding first(String holder, String entry, String rule) {
        Audit audit = Audits.of(holder, RulePage.entry(holder, entry).channels());
        return audit.findings(0).stream()
                .filter(finding -> finding.slug().text().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    static Stream<Arguments> texts() {
        return Stream.of(
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=147.995 tx_mhz=147.995 mode=FM power_w=5",
                        "edge-overrun",
                        "The signal reaches 3.0 kHz past the top of the 2 m band.",
                        "147.995 MHz + 8.0 kHz = 148.003 MHz; limit 148.000 MHz; 3.0 kHz over",
                        "47 CFR 97.307(b)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=144.105 tx_mhz=144.105 mode=FM power_w=5",
                        "edge-overrun",
                        "The signal reaches 3.0 kHz past the bottom of the 2 m part for FM.",
                        "144.105 MHz − 8.0 kHz = 144.097 MHz; limit 144.100 MHz; 3.0 kHz over",
                        "47 CFR 97.307(b)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=28.498 tx_mhz=28.498 mode=USB power_w=50",
                        "edge-overrun",
                        "The signal reaches 900 Hz past the top of the 10 m part where Technician may use USB.",
                        "28.498 MHz + 2.9 kHz = 28.5009 MHz; limit 28.500 MHz; 900 Hz over",
                        "47 CFR 97.307(b)"),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=3.8015 tx_mhz=3.8015 mode=LSB power_w=50",
                        "edge-overrun",
                        "The signal reaches 1.4 kHz past the bottom of the 75 m part where General may use LSB.",
                        "3.8015 MHz − 2.9 kHz = 3.7986 MHz; limit 3.800 MHz; 1.4 kHz over",
                        "47 CFR 97.307(b)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=147.992 tx_mhz=147.992 mode=FM power_w=5",
                        "edge-close",
                        "The signal stays 0 Hz inside the top of the 2 m band; a radio may be 370 Hz off.",
                        "147.992 MHz + 8.0 kHz = 148.000 MHz; limit 148.000 MHz; 0 Hz left; limit 370 Hz",
                        "47 CFR 97.307(b); common practice for the error"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=5",
                        "class-too-low",
                        "FM on 29.600 MHz (10 m) needs General class; the holder is Technician.",
                        "29.600 MHz; inside 29.000–29.700 MHz: FM from General up",
                        "47 CFR 97.301(d), 97.305(c)"),
                Arguments.of(
                        "amateur:extra",
                        "rx_mhz=144.050 tx_mhz=144.050 mode=FM power_w=5",
                        "emission-not-allowed",
                        "FM is not allowed on 144.050 MHz (2 m): it is for CW.",
                        "144.050 MHz; inside 144.000–144.100 MHz: for CW",
                        "47 CFR 97.301(a), 97.305(c)"),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5",
                        "power-over",
                        "5 W ERP is above the 0.5 W that GMRS channel 8 allows.",
                        "5 W + 0.0 dB = 5 W; limit 0.5 W",
                        "47 CFR 95.1763(d), 95.1767(c), 95.1773"),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=3.885 tx_mhz=3.885 mode=AM power_w=400",
                        "power-over",
                        "1600 W PEP is above the 1500 W that 75 m allows General.",
                        "400 W × 4 = 1600 W; limit 1500 W",
                        "47 CFR 97.313(b)"),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=0.475 tx_mhz=0.475 mode=CW power_w=5",
                        "power-over",
                        "8.2 W EIRP is above the 5 W that 630 m allows General.",
                        "5 W + 0.0 dB = 5 W × 1.64 = 8.2 W; limit 5 W",
                        "47 CFR 97.313(l)"),
                Arguments.of(
                        "nobody",
                        "rx_mhz=462.5625 tx_mhz=462.5625 mode=FM power_w=1",
                        "bandwidth-over",
                        "FM is 16.0 kHz wide; FRS channel 1 allows 12.5 kHz.",
                        "16.0 kHz; limit 12.5 kHz; 3.5 kHz over",
                        "47 CFR 95.563, 95.567, 95.573"),
                Arguments.of(
                        "nobody",
                        "rx_mhz=462.562 tx_mhz=462.562 mode=NFM power_w=1",
                        "off-channel",
                        "462.562 MHz is on no FRS channel; the nearest is 1 on 462.5625 MHz.",
                        "462.562 MHz; limit 462.5625 MHz; 500 Hz below",
                        "47 CFR 95.563"),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=5.332 tx_mhz=5.332 mode=USB power_w=50",
                        "off-channel",
                        "5.332 MHz is on no 60 m channel; the nearest is 5332 kHz on 5.3305 MHz.",
                        "5.332 MHz − 1.5 kHz = 5.3305 MHz; limit 5.332 MHz; 1.5 kHz above",
                        "47 CFR 97.303(h), 97.307(f)(14)"),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=467.600 tx_mhz=467.600 mode=NFM power_w=5",
                        "repeater-input-only",
                        "467.600 MHz may only be used to reach a repeater, which answers on 462.600 MHz.",
                        "467.600 MHz − 5.000 MHz = 462.600 MHz",
                        "47 CFR 95.1763(c), 95.1767(a), 95.1773"),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=146.520 tx_mhz=145.920 mode=FM power_w=5",
                        "repeater-not-allowed",
                        "A repeater may not receive on 145.920 MHz: none are allowed in 145.500–146.000 MHz.",
                        "145.920 MHz; inside 145.500–146.000 MHz: no repeaters",
                        "47 CFR 97.205(b)"),
                Arguments.of(
                        "nobody",
                        "rx_mhz=27.065 tx_mhz=27.065 mode=AM power_w=4",
                        "channel-restricted",
                        "27.065 MHz (CB channel 9) is kept for emergencies and travellers' help: for that everybody may key it, and for nothing else.",
                        "",
                        "47 CFR 95.931"),
                Arguments.of(
                        "nobody",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5",
                        "not-licensed",
                        "146.550 MHz needs an amateur licence (Technician or higher); the holder has none.",
                        "146.550 MHz; inside 144.000–148.000 MHz: Amateur",
                        "47 CFR Part 97"),
                Arguments.of(
                        "amateur:extra",
                        "rx_mhz=121.500 tx_mhz=121.500 mode=AM power_w=5",
                        "no-service",
                        "121.500 MHz is for aircraft emergency: safety of life, never transmit.",
                        "121.500 MHz; inside 121.500 MHz: aircraft emergency",
                        "47 CFR 2.106"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.940 tx_mhz=147.540 mode=FM power_w=5 tx_tone=100.0",
                        "offset-unusual",
                        "Offset +600 kHz: usual there is −600 kHz.",
                        "146.940 MHz + 600.0 kHz = 147.540 MHz; limit 146.340 MHz",
                        "national band plan (voluntary)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.340 tx_mhz=146.940 mode=FM power_w=5 tx_tone=100.0",
                        "reversed-pair",
                        "Hears the input 146.340 MHz and talks on the output 146.940 MHz: the wrong way round.",
                        "146.940 MHz − 600.0 kHz = 146.340 MHz",
                        "national band plan (voluntary)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.500 tx_mhz=146.500 mode=FM power_w=5",
                        "off-raster",
                        "146.500 MHz is between the channels of the 15.0 kHz raster; it is a channel where the 20.0 kHz raster is"
                                + " used.",
                        "146.500 MHz; limit 146.505 MHz; 5.0 kHz below",
                        "national band plan (voluntary)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146520 tx_mhz=146520 mode=FM power_w=5",
                        "frequency-implausible",
                        "146520.000 MHz is far outside what such a radio uses; read as kHz it is 146.520 MHz.",
                        "146520 kHz ÷ 1000 = 146.520 MHz",
                        "common practice"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=101.0",
                        "tone-unknown",
                        "CTCSS 101.0 is in no table of tones; nearest is CTCSS 100.0.",
                        "101.0 Hz; limit 100.0 Hz",
                        "common practice"),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=462.5625 tx_mhz=462.5625 mode=FM power_w=4 use=link service=gmrs",
                        "channel-restricted",
                        "462.5625 MHz (GMRS channel 1) is not for links between fixed stations.",
                        "462.5625 MHz; limit 467.550 MHz",
                        "47 CFR 95.1763(c), 95.1767(a)"),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=D645",
                        "tone-unknown",
                        "DCS 645 is in no table of tones; the same on the air is DCS 526.",
                        "",
                        "common practice"));
    }

    @ParameterizedTest(name = "{2}: {1}")
    @MethodSource("texts")
    void aFindingSaysWhatIsHowItWasReckonedAndWhereItStands(
            String holder, String entry, String rule, String message, String working, String source) {
        Finding finding = first(holder, entry, rule);
        assertThat(finding.message()).isEqualTo(message);
        assertThat(finding.working().text()).isEqualTo(working);
        assertThat(finding.source()).isEqualTo(source);
    }

    @Test
    void aFindingIsToldOnceWithAllWhomItConcernsAndHoldsComeFirst() {
        Auditor auditor = Audits.auditor(Audits.DAY, "amateur:technician", "amateur:general", "nobody");
        Audit audit = auditor.audit(
                Audits.list(RulePage.entry("", "rx_mhz=147.995 tx_mhz=147.995 mode=FM power_w=5" + " timeout_s=0")
                        .channels()));
        var told = Told.of(auditor, audit.entry(0));
        assertThat(told.get(0).finding().slug()).isEqualTo(Slug.EDGE_OVERRUN);
        assertThat(told.get(0).holders()).containsExactly("amateur:technician", "amateur:general");
        assertThat(told.get(1).finding().slug()).isEqualTo(Slug.NOT_LICENSED);
        assertThat(told.get(1).holders()).containsExactly("nobody");
        assertThat(told.get(2).finding().slug()).isEqualTo(Slug.TIMEOUT_OFF);
        assertThat(told.get(2).holders()).hasSize(3);
    }
}
