package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.context.HouseRules;
import org.wache.audit.cure.Clearing;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Severity;
import org.wache.audit.rules.Register;
import org.wache.audit.rules.site.HitMessage;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.propose.ClearChannels;
import org.wache.rulebook.Edition;
import org.wache.signal.Frequency;
import org.wache.site.Hit;
import org.wache.site.Keying;
import org.wache.site.SiteStudy;

/** Interference as findings, and what clears it. */
class SiteRulesTest {

    private static final Edition EDITION = Audits.edition(Audits.DAY);

    private static Auditor auditor(Keying keying, String holder) {
        return new Auditor(
                Register.ALL,
                AuditContext.of(EDITION, Audits.DAY, List.of(HolderShorthand.holder(holder, EDITION)))
                        .with(HouseRules.NONE.keying(keying)));
    }

    private static Channel direct(int number, String megahertz) {
        return pair(number, megahertz, megahertz);
    }

    private static Channel pair(int number, String receive, String transmit) {
        return Channel.of(Map.of(
                Field.NUMBER,
                Integer.toString(number),
                Field.NAME,
                "E" + number,
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit,
                Field.MODE,
                "FM",
                Field.POWER_W,
                "5",
                Field.TX_TONE,
                receive.equals(transmit) ? "" : "100.0"));
    }

    /** A list used at one site whose products are worked out on paper: 2A − B, A + B − C, 3A − 2B, 3A. */
    private static final ChannelList SITE = Audits.list(
            direct(1, "146.520"), // A
            pair(2, "146.610", "146.010"), // B
            pair(3, "147.030", "147.630"), // 2 × 146.520 − 146.010
            pair(4, "443.025", "448.025"),
            direct(5, "147.510"),
            pair(6, "439.560", "434.560"), // 3 × 146.520
            direct(7, "223.500"));

    @ParameterizedTest
    @CsvSource({
        "3,intermod,2 × 146.520 − 146.010 = 147.030",
        "6,harmonic,3 × 146.520 = 439.560",
        "5,intermod,3 × 146.520 − 2 × 146.010 = 147.540"
    })
    void eachHitIsToldWithItsSum(int number, String rule, String sum) {
        Audit audit = auditor(Keying.ALL, "amateur:technician").audit(SITE);
        Finding found = audit.findings(number - 1).stream()
                .filter(each -> each.slug().text().equals(rule))
                .findFirst()
                .orElseThrow();
        assertThat(found.message()).contains(sum);
        assertThat(found.severity()).isEqualTo(Severity.QUERY);
        assertThat(found.working().lines()).isNotEmpty();
    }

    @Test
    void withoutTheMarkNothingOfItIsFound() {
        Audit audit = auditor(Keying.NONE, "amateur:technician").audit(SITE);
        IntStream.range(0, 7).forEach(i -> assertThat(Audits.rules(audit, i))
                .doesNotContain("intermod", "harmonic", "co-channel", "adjacent-overlap", "transmit-near-receive"));
    }

    @Test
    void basesStandApart() {
        Keying bases = new Keying(
                Keying.How.BASES,
                List.of(new Keying.Base("Weir", Set.of("1", "3")), new Keying.Base("Landing", Set.of("2", "5", "6"))));
        Audit audit = auditor(bases, "amateur:technician").audit(SITE);
        assertThat(Audits.rules(audit, 2)).as("B is keyed at the other base").doesNotContain("intermod");
        assertThat(Audits.rules(audit, 5)).as("so is A").doesNotContain("harmonic");
    }

    /** FRS and GMRS 1–7 beside 15–22 overlap by design, and that is no fault until they are used at one site. */
    @Test
    void interstitialChannelsOverlapAtOneSiteOnly() {
        ChannelList list = Audits.list(direct(1, "462.5625"), direct(2, "462.550"))
                .with(0, direct(1, "462.5625").with(Map.of(Field.MODE, "NFM", Field.POWER_W, "2")));
        assertThat(Audits.rules(auditor(Keying.ALL, "gmrs").audit(list), 0)).contains("adjacent-overlap");
        assertThat(Audits.rules(auditor(Keying.NONE, "gmrs").audit(list), 0)).isEmpty();
    }

    private static ChannelList random(long seed, int entries) {
        Random random = new Random(seed);
        List<Channel> channels = new ArrayList<>();
        for (int i = 0; i < entries; i++) {
            String receive = Frequency.megahertz(146_400_000 + 15_000L * random.nextInt(79));
            channels.add(
                    random.nextInt(3) == 0
                            ? pair(i, receive, Frequency.megahertz(146_010_000 + 15_000L * random.nextInt(24)))
                            : direct(i, receive));
        }
        return new ChannelList("", List.of(), channels);
    }

    /** What an edit changes is told as if all had been judged again. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void anEditIsJudgedWithAllThatItDisturbs(long seed) {
        ChannelList list = random(seed, 12);
        Auditor auditor = auditor(Keying.ALL, "amateur:technician");
        Channel moved = direct(4, "146.535");
        Audit edited = auditor.audit(list).with(4, moved);
        Audit again = auditor.audit(list.with(4, moved));
        assertThat(auditor.audit(list).tried(4, moved).verdict())
                .isEqualTo(again.entry(4).verdict());
        for (int i = 0; i < 12; i++) {
            assertThat(Audits.rules(edited, i)).isEqualTo(Audits.rules(again, i));
        }
    }

    /** The least change is tried on the whole site: the hit is gone, there are fewer in all, and nothing new is on hold. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void theLeastChangeClearsItsHit(long seed) {
        Audit audit = auditor(Keying.ALL, "amateur:technician").audit(random(seed, 10));
        Sites.Site site = audit.sites().all().get(0);
        int cleared = 0;
        for (int i = 0; i < audit.entries().size(); i++) {
            for (Hit hit : site.study().at(i).nearest(Hit.Kind.THIRD_ORDER)) {
                for (Clearing.Least least : Clearing.least(audit, site, hit)) {
                    ChannelList changed = audit.list()
                            .with(
                                    least.position(),
                                    audit.changed(
                                            least.position(), least.change().fields()));
                    Audit after = audit.auditor().audit(changed);
                    SiteStudy there = after.sites().all().get(0).study();
                    assertThat(there.at(i).count(Hit.Kind.THIRD_ORDER))
                            .isLessThan(site.study().at(i).count(Hit.Kind.THIRD_ORDER));
                    assertThat(there.at(i).nearest(Hit.Kind.THIRD_ORDER))
                            .as("this product of these entries")
                            .noneMatch(left -> sources(left).equals(sources(hit)));
                    assertThat(least.hitsAfter()).isLessThan(least.hitsBefore());
                    assertThat(after.entry(least.position()).verdict())
                            .isEqualTo(least.verdictAfter())
                            .isNotEqualTo(Verdict.HOLD);
                    cleared++;
                }
            }
        }
        assertThat(cleared).isPositive();
    }

    /** How often the transmitter of which entries counts. */
    private static List<String> sources(Hit hit) {
        return hit.terms().stream()
                .map(term -> term.factor() + " " + term.emitter().entries())
                .sorted()
                .toList();
    }

    @Test
    void repeatersAndCallingChannelsAreNotMoved() {
        Audit audit = auditor(Keying.ALL, "amateur:technician").audit(SITE);
        Sites.Site site = audit.sites().all().get(0);
        Hit hit = site.study().at(2).nearest(Hit.Kind.THIRD_ORDER).get(0);
        assertThat(HitMessage.equation(hit)).isEqualTo("2 × 146.520 − 146.010 = 147.030");
        assertThat(Clearing.least(audit, site, hit))
                .as("146.520 is the calling channel, the others are repeaters")
                .isEmpty();
    }

    /** A picked channel may be used by everyone and changes nothing for the others. */
    @ParameterizedTest
    @CsvSource({"1,amateur:technician", "2,amateur:technician", "3,'amateur:technician,gmrs'", "4,gmrs", "5,nobody"})
    void aPickedChannelIsLegalAndClear(long seed, String holder) {
        Audit audit = auditor(Keying.ALL, holder).audit(random(seed, 8));
        Sites.Site site = audit.sites().all().get(0);
        List<ClearChannels.Pick> picks =
                ClearChannels.of(audit, site, new ClearChannels.Wanted(audit.auditor(), Set.of(), "2", 6));
        assertThat(picks).isNotEmpty();
        for (ClearChannels.Pick pick : picks) {
            Audit with = audit.plus(pick.entry());
            int last = with.entries().size() - 1;
            assertThat(with.entry(last).verdict()).isNotEqualTo(Verdict.HOLD);
            assertThat(Audits.rules(with, last))
                    .doesNotContain("intermod", "harmonic", "co-channel", "adjacent-overlap");
            for (int i = 0; i < last; i++) {
                for (Hit.Kind kind : List.of(
                        Hit.Kind.THIRD_ORDER,
                        Hit.Kind.FIFTH_ORDER,
                        Hit.Kind.HARMONIC,
                        Hit.Kind.OVERLAP,
                        Hit.Kind.CO_CHANNEL)) {
                    assertThat(with.sites().at(i).findings().count(kind))
                            .isLessThanOrEqualTo(audit.sites().at(i).findings().count(kind));
                }
            }
        }
    }

    /** 146.520 and 446.000 are calling channels by the national plan: never offered, however clear. Common practice, no source. */
    @Test
    void aCallingChannelIsNeverPicked() {
        Audit audit = auditor(Keying.ALL, "amateur:technician").audit(random(1, 3));
        Sites.Site site = audit.sites().all().get(0);
        List<ClearChannels.Pick> all =
                ClearChannels.of(audit, site, new ClearChannels.Wanted(audit.auditor(), Set.of(), "2", 10_000));
        assertThat(all)
                .extracting(pick -> pick.entry().transmit().orElseThrow().megahertz())
                .doesNotContain("146.520", "446.000", "223.500", "52.525", "29.600");
        assertThat(ClearChannels.of(audit, site, new ClearChannels.Wanted(audit.auditor(), Set.of("70 cm"), "2", 5)))
                .isNotEmpty()
                .allSatisfy(pick -> assertThat(pick.place()).isEqualTo("70 cm"));
        assertThat(ClearChannels.places(audit.auditor().context())).contains("2 m", "70 cm", "GMRS", "MURS");
    }

    /** Where nothing is clear, what is disturbed least is offered, with what disturbs it. MURS has five channels (47 CFR 95.2763). */
    @Test
    void whereNothingIsClearTheLeastDisturbedIsOfferedWithWhatDisturbsIt() {
        Audit audit = auditor(Keying.ALL, "nobody")
                .audit(new ChannelList(
                        "",
                        List.of(),
                        List.of(
                                murs("1", "151.820"),
                                murs("2", "151.880"),
                                murs("3", "154.570"),
                                murs("4", "151.940", "154.600"))));
        Sites.Site site = audit.sites().all().get(0);
        List<ClearChannels.Pick> picks =
                ClearChannels.of(audit, site, new ClearChannels.Wanted(audit.auditor(), Set.of("MURS"), "2", 6));
        picks.forEach(pick -> assertThat(pick.disturbs().isEmpty())
                .isEqualTo(picks.get(0).disturbs().isEmpty()));
    }

    private static Channel murs(String number, String mhz) {
        return murs(number, mhz, mhz);
    }

    private static Channel murs(String number, String hears, String talks) {
        return Channel.of(Map.of(
                Field.NUMBER,
                number,
                Field.RX_MHZ,
                hears,
                Field.TX_MHZ,
                talks,
                Field.MODE,
                "NFM",
                Field.POWER_W,
                "2",
                Field.TIMEOUT_S,
                "60"));
    }
}
