package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.audit.context.Antenna;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Field;

/** Which cures are offered, in which order, and what they end in. */
class RemediesTest {

    private static List<ProvedRemedy> cures(String holder, String entry, String rule) {
        Audit audit = Audits.of(holder, RulePage.entry(holder, entry).channels());
        Finding finding = audit.findings(0).stream()
                .filter(each -> each.slug().text().equals(rule))
                .findFirst()
                .orElseThrow();
        return new Remedies(audit, 0).of(finding);
    }

    static Stream<Arguments> offers() {
        return Stream.of(
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=147.995 tx_mhz=147.995 mode=FM power_w=5",
                        "edge-overrun",
                        List.of("Move to 147.990 MHz: query", "Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=28.498 tx_mhz=28.498 mode=USB power_w=50",
                        "edge-overrun",
                        List.of("Move to 28.497 MHz: clear", "Listen only: listen")),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5",
                        "power-over",
                        List.of("Use 0.5 W: clear", "Listen only: listen")),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=467.5625 tx_mhz=467.5625 mode=FM power_w=5",
                        "power-over",
                        List.of("Use 0.5 W, use the narrow width: clear", "Listen only: listen")),
                Arguments.of(
                        "nobody",
                        "rx_mhz=462.562 tx_mhz=462.562 mode=FM power_w=5",
                        "off-channel",
                        List.of("Use 462.5625 MHz, use the narrow width, use 2 W: clear", "Listen only: listen")),
                Arguments.of(
                        "gmrs",
                        "rx_mhz=467.600 tx_mhz=467.600 mode=NFM power_w=5 tx_tone=141.3",
                        "repeater-input-only",
                        List.of(
                                "Hear the repeater on 462.600 MHz: clear",
                                "Talk direct on 462.600 MHz: clear",
                                "Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=5",
                        "class-too-low",
                        List.of("Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=121.500 tx_mhz=121.500 mode=AM power_w=5",
                        "no-service",
                        List.of("Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.940 tx_mhz=147.540 mode=FM power_w=5 tx_tone=100.0",
                        "offset-unusual",
                        List.of(
                                "Set the offset −600 kHz: clear",
                                "Talk direct on 146.940 MHz: query",
                                "Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.340 tx_mhz=146.940 mode=FM power_w=5 tx_tone=100.0",
                        "reversed-pair",
                        List.of("Swap them: clear")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=147.060 tx_mhz=147.060 mode=FM power_w=5 tx_tone=100.0",
                        "plan-use",
                        List.of("Set the offset +600 kHz: clear", "Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.500 tx_mhz=146.500 mode=FM power_w=5",
                        "off-raster",
                        List.of("Use 146.505 MHz: clear", "Use 146.490 MHz: clear")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146,520 tx_mhz=146.520 mode=FM power_w=5",
                        "unreadable",
                        List.of("Read it as 146.520: clear")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146520 tx_mhz=146520 mode=FM power_w=5",
                        "frequency-implausible",
                        List.of("Use 146.520 MHz: clear")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=100.0 rx_tone=103.5",
                        "tone-mismatch",
                        List.of("Open the receiver: clear", "Open on 100.0: clear", "Send 103.5: clear")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 tx_tone=27",
                        "tone-unknown",
                        List.of("Use CTCSS 167.9: clear", "Use CTCSS 67.0: clear")),
                Arguments.of(
                        "amateur:general",
                        "rx_mhz=14.250 tx_mhz=14.250 mode=LSB power_w=50",
                        "sideband-habit",
                        List.of("Use USB: clear")),
                Arguments.of(
                        "amateur:extra",
                        "rx_mhz=144.150 tx_mhz=144.150 mode=FM power_w=50",
                        "plan-use",
                        List.of("Use USB: clear", "Listen only: listen")),
                Arguments.of(
                        "amateur:technician",
                        "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=0",
                        "timeout-off",
                        List.of("Time out after 180 s: clear")));
    }

    @ParameterizedTest(name = "{2}: {1}")
    @MethodSource("offers")
    void theOffersAreProvedAndInOrder(String holder, String entry, String rule, List<String> expected) {
        assertThat(cures(holder, entry, rule))
                .extracting(remedy ->
                        remedy.change().label() + ": " + remedy.verdictAfter().text())
                .isEqualTo(expected);
    }

    @Test
    void aCureNamesOnlyTheFieldsThatItChanges() {
        assertThat(cures("gmrs", "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5", "power-over")
                        .get(0)
                        .change()
                        .fields())
                .isEqualTo(Map.of(Field.POWER_W, "0.5"));
    }

    @Test
    void aCureKeepsTheDistanceOfAPair() {
        ProvedRemedy cure = cures(
                        "amateur:technician",
                        "rx_mhz=146.950 tx_mhz=146.350 mode=FM power_w=5 tx_tone=100.0",
                        "off-raster")
                .get(0);
        assertThat(cure.change().fields()).isEqualTo(Map.of(Field.RX_MHZ, "146.955", Field.TX_MHZ, "146.355"));
    }

    @Test
    void radiatedPowerIsCuredByTheOutputThatTheAntennaAllows() {
        AuditContext context = AuditContext.of(
                        Audits.edition(Audits.DAY),
                        Audits.DAY,
                        List.of(org.wache.exchange.HolderShorthand.holder("gmrs", Audits.edition(Audits.DAY))))
                .with(new Antenna(
                        new org.wache.signal.Decibels(6),
                        new org.wache.signal.Decibels(1),
                        true,
                        java.util.OptionalDouble.empty()));
        Audit audit = new Auditor(org.wache.audit.rules.Register.ALL, context)
                .audit(Audits.list(RulePage.entry("", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=5")
                        .channels()));
        Finding finding = audit.findings(0).get(0);
        // 5 W and 5 dB are 15.8 W ERP; 5 W ERP are 1.58 W of output.
        assertThat(finding.message()).isEqualTo("15.81 W ERP is above the 5 W that GMRS channel 1 allows.");
        assertThat(new Remedies(audit, 0).of(finding).get(0).change().fields()).isEqualTo(Map.of(Field.POWER_W, "1.5"));
    }

    @Test
    void aCureForOneIsOfferedThoughAnotherStaysOnHoldAndNamesThem() {
        // 60 W on a frequency that the second holder has no licence for at all: less power helps only the first.
        Audit audit = Audits.auditor(Audits.DAY, "amateur:novice", "nobody")
                .audit(Audits.list(RulePage.entry("", "rx_mhz=223.500 tx_mhz=223.500 mode=FM power_w=60")
                        .channels()));
        Finding power = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.POWER_OVER)
                .findFirst()
                .orElseThrow();
        assertThat(new Remedies(audit, 0).of(power))
                .extracting(remedy -> remedy.change().label())
                .containsExactly("Use 25 W", "Listen only");
        assertThat(new Remedies(audit, 0).of(power).get(0)).satisfies(cure -> {
            assertThat(cure.verdictAfter()).isEqualTo(Verdict.CLEAR); // for the Novice, whom it concerns
            assertThat(cure.stillHeld()).containsExactly("nobody");
        });
        assertThat(new Remedies(audit, 0).of(power).get(1).stillHeld()).isEmpty();
    }

    @Test
    void whatOnlyHelpsWithListeningOnlyAddedIsNotOffered() {
        // 80 W by a land-mobile sort of entry that an amateur may not key anyhow: the cure of one fault is no cure
        // while the other stays.
        Audit audit = Audits.auditor(Audits.DAY, "amateur:technician")
                .audit(Audits.list(RulePage.entry("", "rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=1600")
                        .channels()));
        Finding power = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.POWER_OVER)
                .findFirst()
                .orElseThrow();
        assertThat(new Remedies(audit, 0).of(power))
                .extracting(remedy -> remedy.change().label())
                .containsExactly("Listen only");
    }

    @Test
    void nobodyIsSilencedForSomebodyElse() {
        // The first may talk there, the second has no licence: that the entry falls silent is no cure.
        Audit audit = Audits.auditor(Audits.DAY, "amateur:technician", "nobody")
                .audit(Audits.list(RulePage.entry("", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5")
                        .channels()));
        Finding licence = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.NOT_LICENSED)
                .findFirst()
                .orElseThrow();
        assertThat(new Remedies(audit, 0).of(licence)).isEmpty();
    }

    @Test
    void aCureIsNotReshapedForTheNeighbour() {
        // FRS allows the unlicensed 2 W; the GMRS licensee asks for too much of his own 5 W: his cure is his own limit.
        Audit audit = Audits.auditor(Audits.DAY, "gmrs", "nobody")
                .audit(Audits.list(RulePage.entry("", "rx_mhz=462.5625 tx_mhz=462.5625 mode=NFM power_w=8")
                        .channels()));
        List<String> labels = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.POWER_OVER)
                .flatMap(finding -> new Remedies(audit, 0).of(finding).stream())
                .map(remedy -> remedy.change().label())
                .toList();
        assertThat(labels).contains("Use 5 W", "Use 2 W").noneMatch(label -> label.contains(", use"));
    }
}
