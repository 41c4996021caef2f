package org.wache.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.Nearness;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/**
 * Products at a site. What lands where is worked out a second time here by trying every triple, which is what the study
 * must not do; the single sums are those that a coordinator does on paper.
 */
class SiteStudyTest {

    private static final List<Nearness> NEAR = List.of(
            new Nearness(Span.ofMegahertz("144-148"), 600_000, "test"),
            new Nearness(Span.ofMegahertz("420-450"), 5_000_000, "test"));

    private static Channel direct(String megahertz, String mode) {
        return Channel.of(Map.of(Field.RX_MHZ, megahertz, Field.TX_MHZ, megahertz, Field.MODE, mode));
    }

    private static Channel pair(String receive, String transmit) {
        return Channel.of(Map.of(Field.RX_MHZ, receive, Field.TX_MHZ, transmit, Field.MODE, "FM"));
    }

    private static SiteStudy study(List<Channel> channels) {
        return new SiteStudy(
                channels, IntStream.range(0, channels.size()).boxed().toList(), NEAR);
    }

    @Test
    void twiceOneLessAnotherLandsOnAThird() {
        SiteStudy study = study(List.of(direct("146.520", "FM"), direct("146.010", "FM"), pair("147.030", "147.630")));
        Findings found = study.at(2);
        assertThat(found.count(Hit.Kind.THIRD_ORDER)).isEqualTo(1);
        Hit hit = found.nearest(Hit.Kind.THIRD_ORDER).get(0);
        assertThat(hit.lands()).isEqualTo(147_030_000);
        assertThat(hit.half()).isEqualTo(18_000); // 3 × 5 kHz + 3 kHz
        assertThat(hit.reach()).isEqualTo(26_000); // and 8 kHz of the receiver
    }

    /** 10.5 kHz to each side narrow, and 5.6 kHz of the receiver: 16.1 kHz. */
    @ParameterizedTest
    @CsvSource({"147.0460,1", "147.0461,0", "147.0140,1", "147.0139,0"})
    void narrowProductsReachSixteenKilohertz(String victim, int hits) {
        SiteStudy study = study(List.of(direct("146.520", "NFM"), direct("146.010", "NFM"), direct(victim, "NFM")));
        assertThat(study.at(2).count(Hit.Kind.THIRD_ORDER)).isEqualTo(hits);
    }

    @Test
    void oneAndAnotherLessAThird() {
        SiteStudy study = study(List.of(
                direct("146.400", "NFM"),
                direct("146.700", "NFM"),
                direct("145.900", "NFM"),
                direct("147.200", "NFM")));
        assertThat(study.at(3).nearest(Hit.Kind.THIRD_ORDER))
                .extracting(Hit::lands)
                .contains(147_200_000L);
    }

    @Test
    void threeTimesOneLessTwiceAnother() {
        SiteStudy study = study(List.of(direct("146.520", "FM"), direct("146.400", "FM"), pair("146.760", "146.160")));
        assertThat(study.at(2).nearest(Hit.Kind.FIFTH_ORDER)).singleElement().satisfies(hit -> {
            assertThat(hit.lands()).isEqualTo(146_760_000);
            assertThat(hit.half()).isEqualTo(28_000);
        });
    }

    /** 146.520 × 3 = 439.560; 154.570 × 3 = 463.710. */
    @ParameterizedTest
    @CsvSource({"146.520,439.560", "154.570,463.710", "222.100,444.200"})
    void harmonicsLandTwoAndThreeTimesUp(String transmit, String victim) {
        SiteStudy study = study(List.of(direct(transmit, "NFM"), direct(victim, "NFM")));
        assertThat(study.at(1).count(Hit.Kind.HARMONIC)).isEqualTo(1);
        assertThat(study.at(0).count(Hit.Kind.HARMONIC)).isZero();
    }

    @Test
    void aRadioDoesNotListenWhileItIsKeyed() {
        // 146.010 + 147.030 − 146.520 = 146.520, but then this entry itself would be keyed
        SiteStudy study = study(List.of(direct("146.520", "FM"), direct("146.010", "FM"), direct("147.030", "FM")));
        assertThat(study.at(0).count(Hit.Kind.THIRD_ORDER)).isZero();
        assertThat(study.at(2).count(Hit.Kind.THIRD_ORDER)).isEqualTo(1);
    }

    @Test
    void neighboursOverlapShareAndAreNear() {
        SiteStudy study = study(List.of(
                direct("146.550", "FM"),
                direct("146.565", "FM"),
                direct("146.550", "FM"),
                direct("147.000", "FM"),
                direct("147.160", "FM")));
        assertThat(study.at(0).count(Hit.Kind.CO_CHANNEL)).isEqualTo(1);
        assertThat(study.at(0).count(Hit.Kind.OVERLAP)).isEqualTo(1);
        assertThat(study.at(0).count(Hit.Kind.NEAR))
                .as("147.000, but not 147.160")
                .isEqualTo(1);
    }

    @Test
    void exactlySixHundredKilohertzIsWhatRepeatersLiveWith() {
        SiteStudy study = study(List.of(pair("146.940", "146.340"), direct("146.340", "FM")));
        assertThat(study.at(0).count(Hit.Kind.NEAR)).isZero();
    }

    /** Every triple tried, as one must not: the counts are the same for lists of any kind. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void countsWhatTryingAllTriplesCounts(long seed) {
        Random random = new Random(seed);
        List<Channel> channels = new ArrayList<>();
        for (int i = 0; i < 26; i++) {
            String transmit = Frequency.megahertz(144_000_000 + 5_000L * random.nextInt(seed % 2 == 0 ? 800 : 90));
            String receive =
                    random.nextInt(3) == 0 ? Frequency.megahertz(144_000_000 + 5_000L * random.nextInt(800)) : transmit;
            channels.add(Channel.of(Map.of(
                    Field.RX_MHZ,
                    receive,
                    Field.TX_MHZ,
                    transmit,
                    Field.MODE,
                    random.nextBoolean() ? "FM" : random.nextBoolean() ? "NFM" : "DMR")));
        }
        SiteStudy study = study(channels);
        for (Receiver receiver : study.receivers()) {
            Findings found = study.at(receiver);
            List<Long> third = new ArrayList<>();
            List<Long> fifth = new ArrayList<>();
            List<Emitter> usable = study.emitters().stream()
                    .filter(each -> each.centre() != receiver.centre())
                    .filter(each -> !each.entries().equals(List.of(receiver.entry())))
                    .toList();
            for (Emitter a : usable) {
                for (Emitter b : usable) {
                    if (a == b) {
                        continue;
                    }
                    add(third, 2 * a.centre() - b.centre(), 2 * a.deviation() + b.deviation(), receiver);
                    add(fifth, 3 * a.centre() - 2 * b.centre(), 3 * a.deviation() + 2 * b.deviation(), receiver);
                    for (Emitter c : usable) {
                        if (c != a && c != b && a.centre() < b.centre()) {
                            add(
                                    third,
                                    a.centre() + b.centre() - c.centre(),
                                    a.deviation() + b.deviation() + c.deviation(),
                                    receiver);
                        }
                    }
                }
            }
            assertThat(found.count(Hit.Kind.THIRD_ORDER)).isEqualTo(third.size());
            assertThat(found.count(Hit.Kind.FIFTH_ORDER)).isEqualTo(fifth.size());
            assertThat(found.nearest(Hit.Kind.THIRD_ORDER).stream()
                            .map(Hit::off)
                            .toList())
                    .isEqualTo(third.stream().sorted().limit(SiteStudy.KEPT).toList());
        }
    }

    private static void add(List<Long> offs, long lands, long deviations, Receiver receiver) {
        long off = Math.abs(lands - receiver.centre());
        if (off < deviations + 3_000 + receiver.half()) {
            offs.add(off);
        }
    }

    @Test
    void teamsAndBasesStandApart() {
        List<Channel> channels =
                List.of(zoned("1", "146.520", "North"), zoned("2", "146.535", "South"), zoned("3", "146.550", "North"));
        assertThat(Keying.TEAMS.parts(channels)).extracting(Keying.Part::name).containsExactly("North", "South");
        assertThat(Keying.TEAMS.parts(channels))
                .extracting(Keying.Part::positions)
                .containsExactly(List.of(0, 2), List.of(1));
        Keying bases = new Keying(Keying.How.BASES, List.of(new Keying.Base("Weir", java.util.Set.of("2", "3"))));
        assertThat(bases.parts(channels)).singleElement().satisfies(part -> assertThat(part.positions())
                .containsExactly(1, 2));
        assertThat(Keying.NONE.parts(channels)).isEmpty();
    }

    private static Channel zoned(String number, String megahertz, String zone) {
        return direct(megahertz, "FM").with(Map.of(Field.NUMBER, number, Field.ZONE, zone));
    }
}
