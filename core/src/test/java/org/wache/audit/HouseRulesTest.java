package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.context.HouseRules.DirectTones;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.exchange.HolderShorthand;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.rulebook.Edition;

/** What a group settles, and where licences stand on a day. */
class HouseRulesTest {

    private static final Edition EDITION = Audits.edition(Audits.DAY);

    private static List<Slug> found(HouseRules house, String entry) {
        Holder holder = HolderShorthand.holder("amateur:technician", EDITION);
        AuditContext context =
                AuditContext.of(EDITION, Audits.DAY, List.of(holder)).with(house);
        return new Auditor(Register.ALL, context)
                .audit(Audits.list(RulePage.entry("", entry).channels())).findings(0).stream()
                        .map(Finding::slug)
                        .toList();
    }

    private static HouseRules house(DirectTones tones, int timeout, int raster) {
        return new HouseRules(
                Optional.ofNullable(tones),
                timeout == 0 ? OptionalInt.empty() : OptionalInt.of(timeout),
                raster == 0 ? OptionalInt.empty() : OptionalInt.of(raster),
                org.wache.site.Keying.NONE,
                java.util.List.of());
    }

    @Test
    void withTheSameToneBothWaysAnOpenReceiverIsNamedButNotOnACallingChannel() {
        String open = " mode=FM power_w=5 tx_tone=100.0";
        HouseRules both = house(DirectTones.SAME_BOTH_WAYS, 0, 0);
        assertThat(found(both, "rx_mhz=146.550 tx_mhz=146.550" + open)).containsExactly(Slug.TONE_MISMATCH);
        assertThat(found(both, "rx_mhz=146.520 tx_mhz=146.520" + open)).isEmpty();
        assertThat(found(house(DirectTones.OPEN, 0, 0), "rx_mhz=146.550 tx_mhz=146.550" + open))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "15,146.505,true",
        "15,146.500,false",
        "20,146.500,true",
        "20,146.505,false",
        "20,147.140,true",
        "15,147.140,false",
        "15,147.135,true"
    })
    void theSettledRasterIsHeldAgainstTheList(int raster, String megahertz, boolean fits) {
        List<Slug> found =
                found(house(null, 0, raster), "rx_mhz=" + megahertz + " tx_mhz=" + megahertz + " mode=FM power_w=5");
        assertThat(found.contains(Slug.OFF_RASTER)).isEqualTo(!fits);
    }

    @ParameterizedTest
    @CsvSource({"0,TIMEOUT_OFF", "181,TIMEOUT_LONG", "180,", "60,"})
    void theTimeOutIsHeldAgainstTheHouseRule(int seconds, Slug expected) {
        List<Slug> found =
                found(house(null, 180, 0), "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5 timeout_s=" + seconds);
        assertThat(found).isEqualTo(expected == null ? List.of() : List.of(expected));
    }

    @ParameterizedTest
    @CsvSource({
        "2026-11-24,LICENCE_EXPIRED",
        "2026-11-25,LICENCE_EXPIRING",
        "2027-02-23,LICENCE_EXPIRING",
        "2027-02-24,"
    })
    void aLicenceCountsToItsLastDayAndIsNamedNinetyDaysBefore(LocalDate expires, Slug expected) {
        Licence licence = new Licence(
                "amateur", Optional.of("technician"), Optional.of("KE9QRB"), Optional.of(expires), List.of());
        Auditor auditor = new Auditor(
                Register.ALL, AuditContext.of(EDITION, Audits.DAY, List.of(new Holder("R. Quill", List.of(licence)))));
        Audit audit = auditor.audit(Audits.list(RulePage.entry("", "rx_mhz=146.550 tx_mhz=146.550 mode=FM power_w=5")
                .channels()));
        assertThat(audit.findings(0))
                .extracting(Finding::slug)
                .isEqualTo(expected == null ? List.of() : List.of(expected));
    }

    @Test
    void holdersWithEqualLicencesAreJudgedOnceAndNamedAll() {
        Auditor auditor = Audits.auditor(Audits.DAY, "amateur:general", "amateur:general", "gmrs", "amateur:general");
        assertThat(auditor.profiles()).isEqualTo(2);
        assertThat(auditor.holdersOf(auditor.profileOf(0))).hasSize(3);
    }

    @Test
    void theBestRouteMakesAnEntryLegal() {
        Audit audit = Audits.of(
                "amateur:general,gmrs",
                RulePage.entry("", "rx_mhz=462.5625 tx_mhz=462.5625 mode=FM power_w=5")
                        .channels());
        assertThat(audit.entry(0).verdict()).isEqualTo(Verdict.CLEAR);
        assertThat(audit.authority(0, 0)).hasValueSatisfying(by -> {
            assertThat(by.service()).isEqualTo("gmrs");
            assertThat(by.segment()).isEqualTo("GMRS channel 1");
            assertThat(by.source()).startsWith("47 CFR 95.1763");
        });
    }

    @Test
    void theHintDecidesWhichFailedRouteIsToldFirst() {
        String entry = "rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5 service=";
        for (String hint : List.of("frs", "gmrs")) {
            Audit audit = Audits.of("gmrs", RulePage.entry("", entry + hint).channels());
            assertThat(audit.findings(0).get(0).service()).contains(hint);
            assertThat(audit.findings(0)).hasSize(2);
        }
    }
}
