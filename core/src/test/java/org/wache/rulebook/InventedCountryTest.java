package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.Assumptions;
import org.wache.exchange.HolderShorthand;
import org.wache.propose.Abroad;
import org.wache.propose.ServiceSwap;
import org.wache.reference.FrequencyFacts;
import org.wache.signal.Frequency;
import org.wache.typed.AddLine;
import org.wache.typed.Understood;

/** A country that nobody thought of, from a folder: nothing that the rules of the job need of it is written in code. */
class InventedCountryTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

    @BeforeAll
    static void beside() {
        System.setProperty(
                "wache.rulebooks",
                Path.of("src/test/resources/countries").toAbsolutePath().toString());
    }

    @AfterAll
    static void gone() {
        System.clearProperty("wache.rulebooks");
    }

    private static Edition edition(LocalDate day) {
        return RulebookReader.shipped("skerry").on(day);
    }

    private static Channel channel(String rx, String tx, String mode, String power, String tone) {
        return Channel.of(Map.of(
                Field.RX_MHZ,
                rx,
                Field.TX_MHZ,
                tx,
                Field.MODE,
                mode,
                Field.POWER_W,
                power,
                Field.TX_TONE,
                tone == null ? "" : tone));
    }

    private static Audit audit(String holder, LocalDate day, Channel... channels) {
        Edition edition = edition(day);
        return new Auditor(
                        Register.ALL, AuditContext.of(edition, day, List.of(HolderShorthand.holder(holder, edition))))
                .audit(new ChannelList("", List.of(), List.of(channels)));
    }

    @Test
    void itStandsBesideThoseThatShip() {
        assertThat(RulebookReader.ids()).startsWith("us").contains("uk", "au").endsWith("skerry");
    }

    /** Exactly these findings; the values are the invented ordinance's. */
    @ParameterizedTest
    @CsvSource({
        "37.500,37.500,FM,20,,hobby:shore,2026-11-25,clear,''",
        "37.500,37.500,FM,30,,hobby:shore,2025-11-25,hold,power-over",
        "37.500,37.500,FM,30,,hobby:shore,2026-11-25,clear,''",
        "37.510,37.510,FM,20,,hobby:shore,2026-11-25,query,off-raster",
        "37.700,37.850,FM,20,123.0,hobby:shore,2026-11-25,clear,''",
        "37.850,37.700,FM,20,123.0,hobby:shore,2026-11-25,query,reversed-pair",
        "37.995,37.995,FM,20,,hobby:shore,2026-11-25,hold,edge-overrun",
        "99.100,99.100,FM,5,,hobby:shore,2026-11-25,hold,class-too-low",
        "99.100,99.100,FM,5,,hobby:islander,2026-11-25,clear,''",
        "161.250,161.250,NFM,1,,nobody,2026-11-25,clear,''",
        "161.260,161.260,NFM,1,,nobody,2026-11-25,hold,off-channel",
        "410.500,410.500,NFM,1,,nobody,2026-11-25,hold,not-licensed",
        "121.500,121.500,AM,1,,hobby:islander,2026-11-25,hold,no-service"
    })
    void entriesAreHeldAgainstItsRules(
            String rx,
            String tx,
            String mode,
            String power,
            String tone,
            String holder,
            LocalDate day,
            String verdict,
            String rules) {
        Audit audit = audit(holder, day, channel(rx, tx, mode, power, tone));
        assertThat(audit.findings(0))
                .extracting(finding -> finding.slug().text())
                .isEqualTo(rules.isEmpty() ? List.of() : List.of(rules.split(" ")));
        assertThat(audit.entry(0).verdict().text()).isEqualTo(verdict);
        assertThat(audit.findings(0)).allSatisfy(finding -> assertThat(finding.source() + finding.message())
                .doesNotContain("CFR", "amateur", "GMRS"));
    }

    @Test
    void itsWordsAreItsOwn() {
        Finding finding = audit("nobody", DAY, channel("37.500", "37.500", "FM", "5", ""))
                .findings(0)
                .get(0);
        assertThat(finding.message())
                .isEqualTo("37.500 MHz needs a hobby licence (Shore or higher); the holder has none.");
        assertThat(finding.source()).isEqualTo("SK ordinance 1");
        assertThat(Assumptions.of(audit("hobby:shore", DAY, channel("37.500", "37.500", "FM", "5", ""))))
                .contains("No raster is settled for 8 m: 20 kHz is held against the list.");
        assertThat(new Remedies(audit("nobody", DAY, channel("161.260", "161.260", "NFM", "1", "")), 0)
                        .of(audit("nobody", DAY, channel("161.260", "161.260", "NFM", "1", ""))
                                .findings(0)
                                .get(0)))
                .extracting(cure -> cure.change().label())
                .contains("Use 161.250 MHz");
    }

    @Test
    void whatIsAtAFrequencySaysItsTerms() {
        FrequencyFacts facts =
                FrequencyFacts.at(edition(DAY), Frequency.ofMegahertz("37.700").orElseThrow());
        assertThat(facts.services())
                .singleElement()
                .satisfies(service -> assertThat(service.terms().get(0).who()).isEqualTo("Shore and above"));
        assertThat(facts.partners())
                .extracting(FrequencyFacts.Pair::words)
                .containsExactly("hobby repeaters that talk here listen on 37.850 MHz");
    }

    @Test
    void itsLinesAreUnderstood() {
        Understood line =
                AddLine.read("harbour 3", edition(DAY), HouseRules.NONE).best();
        assertThat(line.fields()).containsEntry(Field.RX_MHZ, "161.250").containsEntry(Field.TX_MHZ, "161.250");
        assertThat(AddLine.read("37.700 123", edition(DAY), HouseRules.NONE)
                        .best()
                        .fields())
                .containsEntry(Field.TX_MHZ, "37.850");
    }

    @Test
    void itsEdgesItsSwapAndAVisitToIt() {
        Edition edition = edition(DAY);
        BandService hobby = edition.planned().orElseThrow();
        assertThat(EdgeTable.of(
                                hobby,
                                edition.plan(),
                                0,
                                org.wache.signal.Content.bits("phone"),
                                java.util.Set.of(),
                                10)
                        .slots())
                .hasSize(1);
        List<ServiceSwap.Swapped> swapped = ServiceSwap.of(
                edition,
                (ChannelService) edition.service("harbour").orElseThrow(),
                new ServiceSwap.Wanted(List.of(), true, 5, Optional.empty(), true),
                any -> 0);
        assertThat(swapped).hasSize(4).allSatisfy(each -> assertThat(
                        each.channel().text(Field.POWER_W))
                .isEqualTo("1"));
        Abroad visit = Abroad.of(
                audit("hobby:islander", DAY, channel("37.500", "37.500", "FM", "20", "")),
                RulebookReader.shipped("us"),
                DAY,
                Optional.empty());
        assertThat(visit.fates()).containsExactly(Abroad.Fate.DIES);
    }
}
