package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Audits;
import org.wache.audit.RulePage;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.exchange.HolderShorthand;
import org.wache.signal.Frequency;
import tools.jackson.databind.json.JsonMapper;

/** A group's own rows in place of the national plan's; the rows are invented, as local coordinators make them. */
class OverlayTest {

    private static final Edition NATIONAL = RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25));

    private static Edition with(String rows) {
        return NATIONAL.withPlan(NATIONAL.plan()
                .overlaid(OverlayReader.rows(JsonMapper.builder().build().readTree(rows))));
    }

    private static List<String> found(Edition edition, String entry) {
        AuditContext context =
                AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder("amateur:technician", edition)));
        Audit audit = new Auditor(Register.ALL, context)
                .audit(Audits.list(RulePage.entry("", entry).channels()));
        return Audits.rules(audit, 0);
    }

    private static PlanRow row(Edition edition, String megahertz) {
        return edition.plan()
                .rowAt(Frequency.ofMegahertz(megahertz).orElseThrow())
                .orElseThrow();
    }

    @Test
    void aLocalRangeReplacesThePlanBetweenItsEndsAndNowhereElse() {
        Edition edition = with("[{\"mhz\":\"145.300-145.400\",\"uses\":\"fm-simplex\"}]");
        assertThat(row(edition, "145.350").local()).isTrue();
        assertThat(row(edition, "145.250").uses()).containsExactly(PlanUse.REPEATER_OUTPUT);
        assertThat(row(edition, "145.250").span().toString()).isEqualTo("145.200–145.300 MHz");
        assertThat(row(edition, "145.450").span().toString()).isEqualTo("145.400–145.500 MHz");
        String direct = "rx_mhz=145.350 tx_mhz=145.350 mode=FM power_w=5";
        assertThat(found(NATIONAL, direct)).contains("plan-use");
        assertThat(found(edition, direct)).isEmpty();
    }

    @Test
    void aCallingFrequencyInsideALocalRangeStays() {
        Edition edition = with("[{\"mhz\":\"146.400-146.600\",\"uses\":\"fm-simplex\",\"rasters\":[\"146.400+20\"]}]");
        assertThat(row(edition, "146.520").calling()).contains("FM");
        assertThat(found(edition, "rx_mhz=146.420 tx_mhz=146.420 mode=FM power_w=5"))
                .isEmpty();
        assertThat(found(edition, "rx_mhz=146.430 tx_mhz=146.430 mode=FM power_w=5"))
                .contains("off-raster");
    }

    @Test
    void aLocalFrequencyReplacesTheSameOneOfThePlan() {
        Edition edition = with("[{\"mhz\":\"146.520\",\"uses\":\"fm-simplex\",\"note\":\"flood watch\"}]");
        assertThat(row(edition, "146.520").calling()).isEmpty();
        assertThat(row(edition, "146.520").note()).contains("flood watch");
    }

    @Test
    void aLocalOffsetIsTheUsualOne() {
        Edition edition = with("[{\"mhz\":\"442.000-445.000\",\"uses\":\"repeater-output\",\"offsetsMhz\":[\"5\"]}]");
        String high = "rx_mhz=443.100 tx_mhz=448.100 mode=FM power_w=5 tx_tone=100.0";
        String low = "rx_mhz=443.100 tx_mhz=438.100 mode=FM power_w=5 tx_tone=100.0";
        assertThat(found(edition, high)).doesNotContain("offset-unusual");
        assertThat(found(edition, low)).contains("offset-unusual");
    }

    @Test
    void aWarningIsAskedOfEveryoneWhoTalksThere() {
        Edition edition = with(
                "[{\"mhz\":\"146.445-146.475\",\"uses\":\"fm-simplex\",\"warning\":\"kept for the river gauges\"}]");
        assertThat(found(edition, "rx_mhz=146.460 tx_mhz=146.460 mode=FM power_w=5"))
                .contains("local-warning");
        assertThat(found(edition, "rx_mhz=146.460 mode=FM")).isEmpty();
        assertThat(found(edition, "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5"))
                .doesNotContain("local-warning");
    }

    @Test
    void aFindingAgainstALocalRowNamesTheOverlay() {
        Edition edition = with("[{\"mhz\":\"146.400-146.500\",\"uses\":\"data\"}]");
        AuditContext context =
                AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder("amateur:technician", edition)));
        Audit audit = new Auditor(Register.ALL, context)
                .audit(Audits.list(RulePage.entry("", "rx_mhz=146.460 tx_mhz=146.460 mode=FM power_w=5")
                        .channels()));
        assertThat(audit.findings(0).get(0).source()).isEqualTo("local overlay of the group's band plan");
    }

    @Test
    void anEmptyOverlayIsThePlanItself() {
        assertThat(NATIONAL.plan().overlaid(List.of())).isSameAs(NATIONAL.plan());
    }
}
