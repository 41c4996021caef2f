package org.wache.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
 * Hits of every kind, over bands of which one's sums and harmonics fall into another, worked out a second time from
 * their definitions: every transmitter, every two and every three tried.
 */
class EveryHitTest {

    private static final long AUDIO = 3_000;
    private static final List<Nearness> NEAR = List.of(
            new Nearness(Span.ofMegahertz("144-150"), 600_000, "test"),
            new Nearness(Span.ofMegahertz("420-450"), 5_000_000, "test"));
    private static final String[] MODES = {"FM", "NFM", "USB", "LSB", "DMR", "AM"};

    private static Channel channel(String receive, String transmit, String mode) {
        return Channel.of(Map.of(Field.RX_MHZ, receive, Field.TX_MHZ, transmit, Field.MODE, mode));
    }

    private static Channel channel(String megahertz) {
        return channel(megahertz, megahertz, "FM");
    }

    private static SiteStudy study(List<Channel> channels) {
        return new SiteStudy(
                channels, IntStream.range(0, channels.size()).boxed().toList(), NEAR);
    }

    private static Channel random(Random random) {
        long[] bands = {48_000_000, 144_000_000, 432_000_000};
        long transmit = bands[random.nextInt(3)] + 5_000L * random.nextInt(300);
        boolean listens = random.nextInt(8) == 0;
        long receive = random.nextInt(3) > 0 ? transmit : bands[random.nextInt(3)] + 5_000L * random.nextInt(300);
        return channel(
                Frequency.megahertz(receive),
                listens ? "" : Frequency.megahertz(transmit),
                MODES[random.nextInt(MODES.length)]);
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
    void everyKindIsCountedAsItsDefinitionSays(long seed) {
        Random random = new Random(seed);
        List<Channel> channels = new ArrayList<>();
        for (int i = 0; i < 22; i++) {
            channels.add(i > 2 && random.nextInt(6) == 0 ? channels.get(random.nextInt(i)) : random(random));
        }
        SiteStudy study = study(channels);
        for (Receiver receiver : study.receivers()) {
            Map<Hit.Kind, List<Long>> wanted = new EnumMap<>(Hit.Kind.class);
            direct(channels, study, receiver, wanted);
            products(study, receiver, wanted);
            Findings found = study.at(receiver);
            for (Hit.Kind kind : Hit.Kind.values()) {
                List<Long> offs = wanted.getOrDefault(kind, List.of());
                assertThat(found.count(kind)).as("%s at %s", kind, receiver).isEqualTo(offs.size());
                assertThat(found.nearest(kind).stream().map(Hit::off).toList())
                        .as("the nearest of %s at %s", kind, receiver)
                        .isEqualTo(offs.stream().sorted().limit(SiteStudy.KEPT).toList());
                for (Hit hit : found.nearest(kind)) {
                    assertThat(kind == Hit.Kind.NEAR || hit.standsIn(channels))
                            .as("%s stands in the list that it was found in", hit)
                            .isEqualTo(kind == Hit.Kind.NEAR || reaches(hit));
                }
            }
        }
    }

    /** Whether it lands near enough to the receive channel: an overlap or a shared frequency may concern the transmit side alone. */
    private static boolean reaches(Hit hit) {
        return hit.off() < hit.reach();
    }

    private static void direct(
            List<Channel> channels, SiteStudy study, Receiver receiver, Map<Hit.Kind, List<Long>> wanted) {
        Optional<Span> sent = channels.get(receiver.entry()).occupied();
        Span heard = new Span(receiver.centre() - receiver.half(), receiver.centre() + receiver.half());
        for (Emitter there : study.emitters()) {
            if (there.entries().equals(List.of(receiver.entry()))) {
                continue;
            }
            long off = Math.abs(there.centre() - receiver.centre());
            long least = NEAR.stream()
                    .filter(row -> row.span().contains(receiver.centre()))
                    .mapToLong(Nearness::least)
                    .findFirst()
                    .orElse(0);
            if (off == 0
                    || sent.isPresent()
                            && there.centre() == (sent.get().low() + sent.get().high()) / 2) {
                put(wanted, Hit.Kind.CO_CHANNEL, off);
            } else if (there.span().overlaps(heard)
                    || sent.isPresent() && there.span().overlaps(sent.get())) {
                put(wanted, Hit.Kind.OVERLAP, off);
            } else if (off < least) {
                put(wanted, Hit.Kind.NEAR, off);
            }
        }
    }

    private static void products(SiteStudy study, Receiver receiver, Map<Hit.Kind, List<Long>> wanted) {
        List<Emitter> usable = study.emitters().stream()
                .filter(each -> each.centre() != receiver.centre())
                .filter(each -> !each.entries().equals(List.of(receiver.entry())))
                .toList();
        for (Emitter a : usable) {
            land(wanted, Hit.Kind.HARMONIC, receiver, 2, a);
            land(wanted, Hit.Kind.HARMONIC, receiver, 3, a);
            for (Emitter b : usable) {
                if (a == b) {
                    continue;
                }
                land(wanted, Hit.Kind.THIRD_ORDER, receiver, 2, a, -1, b);
                land(wanted, Hit.Kind.THIRD_ORDER, receiver, 1, a, -2, b);
                land(wanted, Hit.Kind.THIRD_ORDER, receiver, 2, a, 1, b);
                land(wanted, Hit.Kind.FIFTH_ORDER, receiver, 3, a, -2, b);
                for (Emitter c : usable) {
                    if (c == a || c == b || a.centre() >= b.centre()) {
                        continue;
                    }
                    land(wanted, Hit.Kind.THIRD_ORDER, receiver, 1, a, 1, b, -1, c);
                    if (b.centre() < c.centre()) {
                        land(wanted, Hit.Kind.THIRD_ORDER, receiver, 1, a, 1, b, 1, c);
                    }
                }
            }
        }
    }

    /** Factors and transmitters by turns. */
    private static void land(Map<Hit.Kind, List<Long>> wanted, Hit.Kind kind, Receiver receiver, Object... terms) {
        long lands = 0;
        long half = AUDIO;
        for (int i = 0; i < terms.length; i += 2) {
            int factor = (Integer) terms[i];
            Emitter emitter = (Emitter) terms[i + 1];
            lands += factor * emitter.centre();
            half += Math.abs(factor) * emitter.deviation();
        }
        long off = Math.abs(lands - receiver.centre());
        if (off < half + receiver.half()) {
            put(wanted, kind, off);
        }
    }

    private static void put(Map<Hit.Kind, List<Long>> wanted, Hit.Kind kind, long off) {
        wanted.computeIfAbsent(kind, any -> new ArrayList<>()).add(off);
    }

    /** 2 × 146.520 − 146.010 = 147.030; wide FM reaches 26 kHz (three deviations of 5 kHz, 3 kHz of audio, 8 kHz of the receiver). */
    private static final List<Channel> THREE =
            List.of(channel("146.520"), channel("146.010"), channel("147.030", "147.630", "FM"));

    @ParameterizedTest
    @CsvSource({
        "2,147.055900,true",
        "2,147.056000,false",
        "2,147.004000,false",
        "2,147.004100,true",
        "0,146.532900,true",
        "0,146.533000,false",
        "1,146.035900,true",
        "1,146.036000,false"
    })
    void aProductStandsWhileItReaches(int moved, String megahertz, boolean stands) {
        Hit hit = study(THREE).at(2).nearest(Hit.Kind.THIRD_ORDER).get(0);
        List<Channel> changed = new ArrayList<>(THREE);
        changed.set(moved, channel(megahertz));
        assertThat(hit.standsIn(changed)).isEqualTo(stands);
    }

    @Test
    void withoutOneOfItsTransmittersOrItsReceiverNothingStands() {
        Hit hit = study(THREE).at(2).nearest(Hit.Kind.THIRD_ORDER).get(0);
        assertThat(hit.standsIn(List.of(THREE.get(0), channel("146.010", "", "FM"), THREE.get(2))))
                .as("it only listens now")
                .isFalse();
        assertThat(hit.standsIn(List.of(THREE.get(0), THREE.get(1), channel("", "147.630", "FM"))))
                .as("nothing is heard there")
                .isFalse();
    }

    @Test
    void aTransmitterThatOthersShareStaysWhereItIs() {
        List<Channel> shared = List.of(
                channel("146.520"), channel("146.010"), channel("147.030", "147.630", "FM"), channel("146.010"));
        Hit hit = study(shared).at(2).nearest(Hit.Kind.THIRD_ORDER).get(0);
        List<Channel> moved = new ArrayList<>(shared);
        moved.set(1, channel("145.010"));
        assertThat(hit.standsIn(moved)).as("the other is still there").isTrue();
    }

    @Test
    void anOverlapStandsWhileTheSignalsTouch() {
        List<Channel> two = List.of(channel("146.550"), channel("146.565"));
        Hit hit = study(two).at(0).nearest(Hit.Kind.OVERLAP).get(0);
        assertThat(hit.standsIn(two)).isTrue();
        assertThat(hit.standsIn(List.of(two.get(0), channel("146.565900")))).isTrue();
        assertThat(hit.standsIn(List.of(two.get(0), channel("146.566")))).isFalse();
    }

    @Test
    void aHarmonicWidensWithItsFactor() {
        List<Channel> two = List.of(channel("146.520"), channel("439.560"));
        Hit hit = study(two).at(1).nearest(Hit.Kind.HARMONIC).get(0);
        assertThat(hit.half()).isEqualTo(18_000); // three times 5 kHz, and 3 kHz
        assertThat(hit.standsIn(List.of(channel("146.528600"), two.get(1)))).isTrue(); // 25.8 kHz off
        assertThat(hit.standsIn(List.of(channel("146.528700"), two.get(1)))).isFalse(); // 26.1 kHz off
    }

    /** Upper sideband lies above the dial, lower below it, by the passband. */
    @ParameterizedTest
    @CsvSource({"USB,146521600", "LSB,146518400", "FM,146520000", "CW,146520000"})
    void aReceiverListensWhereItsSignalLies(String mode, long centre) {
        Receiver receiver =
                study(List.of(channel("146.520", "146.520", mode))).receivers().get(0);
        assertThat(receiver.centre()).isCloseTo(centre, org.assertj.core.api.Assertions.within(150L));
        assertThat(Math.signum(receiver.centre() - 146_520_000d)).isEqualTo(Math.signum(centre - 146_520_000d));
    }

    @Test
    void aStudyKnowsItsEntries() {
        SiteStudy some = new SiteStudy(THREE, List.of(0, 2), NEAR);
        assertThat(some.positions()).containsExactly(0, 2);
        assertThat(some.uses(0)).isTrue();
        assertThat(some.uses(1)).isFalse();
        assertThat(some.at(2).count(Hit.Kind.THIRD_ORDER))
                .as("146.010 is not of this site")
                .isZero();
        assertThat(some.of(List.of(channel("145.000"), THREE.get(1), THREE.get(2)))
                        .emitters())
                .extracting(Emitter::centre)
                .containsExactly(145_000_000L, 147_630_000L);
        assertThat(Hit.Kind.HARMONIC.isProduct()).isFalse();
        assertThat(Hit.Kind.FIFTH_ORDER.isProduct()).isTrue();
    }

    @Test
    void productsAreWorkedOutUpToTheLimitAndNotAbove() {
        assertThat(crowd(SiteStudy.MOST_EMITTERS).complete()).isTrue();
        SiteStudy beyond = crowd(SiteStudy.MOST_EMITTERS + 1);
        assertThat(beyond.complete()).isFalse();
        assertThat(beyond.at(1).count(Hit.Kind.THIRD_ORDER)).isZero();
        assertThat(beyond.at(1).count(Hit.Kind.NEAR)).as("neighbours are").isPositive();
    }

    private static SiteStudy crowd(int many) {
        return study(IntStream.range(0, many)
                .mapToObj(i -> channel(
                        Frequency.megahertz(420_000_000 + 12_500L * i),
                        Frequency.megahertz(420_000_000 + 12_500L * i),
                        "NFM"))
                .toList());
    }
}
