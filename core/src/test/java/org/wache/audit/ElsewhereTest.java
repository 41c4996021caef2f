package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.sf.geographiclib.Geodesic;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.propose.Abroad;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.FixedChannel;
import org.wache.rulebook.RulebookReader;
import org.wache.rulebook.Service;
import org.wache.signal.Frequency;

/** Rulebooks of other countries, and lists taken there. */
class ElsewhereTest {

    private static Edition edition(String rulebook) {
        return RulebookReader.shipped(rulebook).on(Audits.DAY);
    }

    private static Channel channel(String receive, String transmit, String mode, String power, String tone) {
        return Audits.withCodes(Channel.of(Map.of(
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit == null ? "" : transmit,
                Field.MODE,
                mode,
                Field.POWER_W,
                power,
                Field.TX_TONE,
                tone == null ? "" : tone)));
    }

    @ParameterizedTest(name = "{0} {1}/{2} {3} {4} W by {6}: {7} ({9})")
    @CsvFileSource(resources = "/cases/elsewhere.csv", numLinesToSkip = 1)
    void cases(
            String rulebook,
            String receive,
            String transmit,
            String mode,
            String power,
            String tone,
            String holder,
            String verdict,
            String rules,
            String source) {
        Edition edition = edition(rulebook);
        Audit audit = new Auditor(
                        Register.ALL,
                        AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder(holder, edition))))
                .audit(Audits.list(channel(receive, transmit, mode, power, tone)));
        assertThat(source).isNotBlank();
        assertThat(Audits.said(audit)).isEqualTo(Audits.said(verdict, rules));
    }

    /** What is found under the rules of one country cites them and no others. */
    @ParameterizedTest
    @ValueSource(strings = {"uk", "au"})
    void noSectionOfAnotherCountryIsCited(String rulebook) {
        Edition edition = edition(rulebook);
        String highest =
                edition.service("amateur").orElseThrow().traits().classes().get(2);
        RandomLists random = new RandomLists(11);
        for (String holder : List.of("amateur:" + highest, "amateur:foundation", "nobody")) {
            Auditor auditor = new Auditor(
                    Register.ALL,
                    AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder(holder, edition))));
            for (int n = 0; n < 20; n++) {
                Audit audit = auditor.audit(random.list());
                for (int i = 0; i < audit.entries().size(); i++) {
                    assertThat(audit.findings(i)).allSatisfy(finding -> assertThat(finding.source())
                            .doesNotContain("CFR")
                            .doesNotContainPattern("\\b9[057]\\.\\d"));
                }
            }
        }
    }

    /** Every service, plan row, allocation and line of each country can be read, on every edition. */
    @ParameterizedTest
    @ValueSource(strings = {"us", "uk", "au"})
    void everyRulebookIsWhole(String rulebook) {
        var book = RulebookReader.shipped(rulebook);
        assertThat(book.law()).isNotBlank();
        book.editions().forEach(dates -> {
            Edition edition = book.on(dates.from());
            assertThat(edition.services()).isNotEmpty();
            assertThat(edition.plan().rows()).isNotEmpty();
            assertThat(edition.exposure().limits()).isNotEmpty();
            assertThat(edition.geography().zones()).isNotNull();
        });
        assertThat(book.visitors()).allSatisfy(each -> {
            assertThat(RulebookReader.shipped(each.rulebook())
                            .on(Audits.DAY)
                            .service(each.service())
                            .orElseThrow()
                            .traits()
                            .classes())
                    .contains(each.licenceClass());
            each.countsAs().ifPresent(here -> assertThat(book.on(Audits.DAY)
                            .service(each.service())
                            .orElseThrow()
                            .traits()
                            .classes())
                    .contains(here));
        });
    }

    private static Optional<FixedChannel> named(String rulebook, String service, String name) {
        Service found = edition(rulebook).service(service).orElseThrow();
        return ((ChannelService) found)
                .channels().stream().filter(each -> each.name().equals(name)).findFirst();
    }

    /** PMR446 by its published formulas: 446.00625 + 0.0125 (n − 1), and 446.003125 + 0.00625 (n − 1) for the digital ones. */
    @Test
    void pmrChannelsFollowTheirFormula() {
        for (int n = 1; n <= 16; n++) {
            assertThat(named("uk", "pmr446", Integer.toString(n))
                            .orElseThrow()
                            .centre()
                            .hertz())
                    .isEqualTo(446_006_250 + 12_500L * (n - 1));
        }
        for (int n = 1; n <= 32; n++) {
            assertThat(named("uk", "pmr446", "D" + n).orElseThrow().centre().hertz())
                    .isEqualTo(446_003_125 + 6_250L * (n - 1));
        }
    }

    /** UHF CB by its published formula: 476.425 + 0.025 (n − 1) for 1 to 40, 476.4375 + 0.025 (n − 41) for 41 to 80; inputs 750 kHz above. */
    @Test
    void citizenBandChannelsFollowTheirFormula() {
        for (int n = 1; n <= 80; n++) {
            FixedChannel channel = named("au", "uhf-cb", Integer.toString(n)).orElseThrow();
            assertThat(channel.centre().hertz())
                    .isEqualTo(n <= 40 ? 476_425_000 + 25_000L * (n - 1) : 476_437_500 + 25_000L * (n - 41));
            boolean input = n >= 31 && n <= 38 || n >= 71 && n <= 78;
            assertThat(channel.reaches())
                    .isEqualTo(
                            input ? Optional.of(new Frequency(channel.centre().hertz() - 750_000)) : Optional.empty());
            assertThat(channel.repeaters()).isEqualTo(input || n <= 8 || n >= 41 && n <= 48);
        }
    }

    /** Distances by GeographicLib on WGS84; the towns' coordinates are common knowledge, from memory. */
    @ParameterizedTest
    @CsvSource({
        "51.752,-1.258,hold",
        "52.205,0.119,hold",
        "52.486,-1.890,-",
        "53.480,-2.242,-",
        "51.280,1.080,hold",
        "52.628,1.299,-"
    })
    void theLondonZoneIsAHundredKilometres(double latitude, double longitude, String expected) {
        double kilometres = Geodesic.WGS84.Inverse(51.50731, -0.12755, latitude, longitude).s12 / 1000;
        assertThat(kilometres < 100).isEqualTo(expected.equals("hold"));
        Edition edition = edition("uk");
        Audit audit = new Auditor(
                        Register.ALL,
                        AuditContext.of(edition, Audits.DAY, List.of(HolderShorthand.holder("amateur:full", edition)))
                                .at(Optional.of(Circle.site(Place.at(latitude, longitude)))))
                .audit(Audits.list(channel("431.500", "431.500", "NFM", "5", "")));
        assertThat(Audits.rules(audit, 0)).isEqualTo(expected.equals("hold") ? List.of("restricted-area") : List.of());
    }

    private static Abroad abroad(String to, String as, Channel... channels) {
        return Abroad.of(
                Audits.of("amateur:extra,gmrs", channels),
                RulebookReader.shipped(to),
                Audits.DAY,
                Optional.ofNullable(as));
    }

    @Test
    void aListOfRegionTwoFailsInRegionOneWhereTheBandsEnd() {
        Abroad visit = abroad(
                "uk",
                null,
                channel("145.500", "145.500", "FM", "5", ""),
                channel("146.940", "146.340", "FM", "5", "100.0"),
                channel("146.520", "146.520", "FM", "5", ""),
                channel("223.500", "223.500", "FM", "5", ""),
                channel("446.000", "446.000", "FM", "5", ""),
                channel("462.5625", "462.5625", "NFM", "2", ""),
                channel("162.550", null, "FM", "", ""),
                channel("7.250", "7.250", "LSB", "100", ""));
        assertThat(visit.fates())
                .containsExactly(
                        Abroad.Fate.SAME,
                        Abroad.Fate.DIES,
                        Abroad.Fate.DIES,
                        Abroad.Fate.DIES,
                        Abroad.Fate.DIES,
                        Abroad.Fate.DIES,
                        Abroad.Fate.SAME,
                        Abroad.Fate.DIES);
        assertThat(visit.counted())
                .extracting(Abroad.Counted::licence, each -> each.countsAs().orElse("-"))
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple("amateur extra", "full"),
                        org.assertj.core.api.Assertions.tuple("gmrs", "-"));
    }

    @Test
    void theSameListLivesOnInAustraliaAsFarAsItsBandsGo() {
        Abroad visit = abroad(
                "au",
                null,
                channel("146.520", "146.520", "FM", "5", ""),
                channel("223.500", "223.500", "FM", "5", ""),
                channel("446.000", "446.000", "FM", "5", ""),
                channel("462.5625", "462.5625", "NFM", "2", ""));
        assertThat(visit.fates())
                .containsExactly(Abroad.Fate.ASKED, Abroad.Fate.DIES, Abroad.Fate.SAME, Abroad.Fate.DIES);
    }

    @Test
    void whoChoosesAClassIsJudgedByIt() {
        Channel strong = channel("145.500", "145.500", "FM", "50", "");
        assertThat(abroad("uk", "amateur:full", strong).fates()).containsExactly(Abroad.Fate.SAME);
        assertThat(abroad("uk", "amateur:foundation", strong).fates()).containsExactly(Abroad.Fate.DIES);
        assertThat(abroad("uk", "nobody", strong).fates()).containsExactly(Abroad.Fate.DIES);
    }

    @Test
    void visitingOnesOwnCountryChangesNothing() {
        RandomLists random = new RandomLists(7);
        for (int n = 0; n < 10; n++) {
            ChannelList list = random.list();
            Audit home = Audits.auditor(Audits.DAY, "amateur:general").audit(list);
            Abroad visit = Abroad.of(home, RulebookReader.shipped("us"), Audits.DAY, Optional.of("amateur:general"));
            assertThat(visit.fates()).doesNotContain(Abroad.Fate.DIES, Abroad.Fate.ASKED, Abroad.Fate.EASIER);
        }
    }
}
