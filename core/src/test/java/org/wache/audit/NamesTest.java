package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.CsvLists;

/** What an entry is called, held against what it is on. Channels: 47 CFR 95.563, 95.963, 95.1763, 95.2763, from memory; that names mislead is common practice, no source. */
class NamesTest {

    private static Audit audited(String name, String receive, String transmit, String mode) {
        ChannelList list = CsvLists.read(
                ("number,name,rx_mhz,tx_mhz,mode,power_w,timeout_s\n1," + name + "," + receive + ","
                                + (transmit == null ? "" : transmit) + "," + mode + ",0.5,60\n")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                "names");
        return Audits.auditor(LocalDate.of(2026, 11, 25), "amateur:extra,gmrs").audit(list);
    }

    @ParameterizedTest
    @CsvSource({
        "FRS 7, 467.7125, 467.7125, NFM, 462.7125, FRS 14",
        "GMRS 23, 462.575, 467.575, FM, 462.550, GMRS 16",
        "MURS 3, 154.570, 154.570, NFM, 151.940, MURS 4",
        "146.52, 146.550, 146.550, FM, 146.520, 146.55",
        "Simplex 146.520, 146.540, 146.540, FM, 146.520, Simplex 146.54",
        "CB ch 9, 27.185, 27.185, AM, 27.065, CB ch 19",
        "frs7 kids, 462.6875, 462.6875, NFM, 462.7125, frs6 kids",
        "WX 162.400, 162.550, , NFM, 162.400, WX 162.55"
    })
    void aNameThatSaysAnotherChannelIsAskedAbout(
            String name, String receive, String transmit, String mode, String named, String renamed) {
        Audit audit = audited(name, receive, transmit, mode);
        Finding finding = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.NAME_CONTRADICTS)
                .findFirst()
                .orElseThrow();
        assertThat(finding.holds()).isFalse();
        assertThat(finding.message()).contains(named, receive);
        assertThat(new Remedies(audit, 0).of(finding))
                .extracting(cure -> Channel.of(cure.change().fields()).text(Field.RX_MHZ)
                        + Channel.of(cure.change().fields()).text(Field.NAME))
                .contains(renamed)
                .anySatisfy(cure -> assertThat(cure).startsWith(named));
    }

    @ParameterizedTest
    @CsvSource({
        "FRS 7, 462.7125, 462.7125, NFM",
        "GMRS 16, 462.575, 462.575, FM",
        "GMRS 16 RPT, 462.575, 467.575, FM",
        "GMRS 24, 462.575, 467.575, FM",
        "146.52, 146.520, 146.520, FM",
        "146.5, 146.520, 146.520, FM",
        "462.56, 462.5625, 462.5625, NFM",
        "Ridge 100.0, 146.940, 146.340, FM",
        "Weir 141.3, 147.135, 147.735, FM",
        "Narrow 12.5, 446.000, 446.000, FM",
        "River 5.0 km, 146.550, 146.550, FM",
        "Input 146.34, 146.940, 146.340, FM",
        "FRS family, 462.7125, 462.7125, NFM",
        "Club 7, 146.550, 146.550, FM",
        "MURS 5, 154.600, 154.600, NFM",
        "v1.25, 146.550, 146.550, FM",
        "CB 9, 27.065, 27.065, AM",
        "Unit 467, 462.7125, 462.7125, NFM"
    })
    void aNameThatSaysTheSameOrNothingIsNot(String name, String receive, String transmit, String mode) {
        assertThat(audited(name, receive, transmit, mode).findings(0))
                .extracting(Finding::slug)
                .doesNotContain(Slug.NAME_CONTRADICTS);
    }

    /** Kilohertz typed for megahertz in an entry to listen: a question, and only beside what the list has there. */
    @ParameterizedTest
    @CsvSource({
        "14250, 14.230, true",
        "14250, 146.520, false",
        "1420, 1.900, false",
        "7230, 7.200, true",
        "10368.1, 446.000, false"
    })
    void aSlipOfUnitsToListenIsAskedAboutBesideItsBand(String typed, String beside, boolean asked) {
        ChannelList list = CsvLists.read(
                ("number,rx_mhz,mode\n1," + typed + ",AM\n2," + beside + ",AM\n")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                "slip");
        var found = Audits.auditor(LocalDate.of(2026, 11, 25), "nobody").audit(list).findings(0).stream()
                .filter(each -> each.slug() == Slug.FREQUENCY_IMPLAUSIBLE)
                .toList();
        assertThat(found).hasSize(asked ? 1 : 0).noneMatch(Finding::holds);
    }
}
