package org.wache.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.wache.bench.drive.LinkFault;
import org.wache.bench.drive.PairCheck;
import org.wache.bench.drive.RadioLink;
import org.wache.bench.drive.RepeaterCheck;
import org.wache.bench.drive.UnitWork;
import org.wache.bench.image.RadioImage;
import org.wache.bench.simulated.SimulatedPort;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;
import org.wache.signal.Tone;

/** Radios hear each other only with the same frequency, width and tone. Common practice, no source. */
class OnAirTest {

    private final Radios radios = new Radios();

    @AfterEach
    void unplug() {
        radios.close();
    }

    private SimulatedPort loaded(String serial, Channel... entries) throws LinkFault {
        RadioImage image = Radios.image(Radios.HERON, new ChannelList("test", List.of(), List.of(entries)));
        SimulatedPort port = radios.plugIn(Radios.HERON, serial, "Amateur");
        new UnitWork(
                        Radios.at(port),
                        Radios.ANSWER_MS,
                        Radios.plan(Radios.HERON, serial, "Amateur", image),
                        new Radios.Told())
                .run();
        return port;
    }

    private List<PairCheck.Heard> pair(Channel first, Channel second) throws LinkFault {
        SimulatedPort a = loaded("A", first);
        SimulatedPort b = loaded("B", second);
        try (RadioLink one = Radios.link(a);
                RadioLink other = Radios.link(b)) {
            return new PairCheck(one, other, "KE9QRB")
                    .of(a.radio().state().image(), b.radio().state().image());
        }
    }

    private static Channel levee(String... more) {
        return Radios.entry("LEVEE", "146.550", "146.550", more);
    }

    @Test
    void theSameToneBothWaysIsHeardAndSilentWithoutIt() throws LinkFault {
        assertThat(pair(levee("tx_tone", "103.5", "rx_tone", "103.5"), levee("tx_tone", "103.5", "rx_tone", "103.5")))
                .singleElement()
                .satisfies(heard -> assertThat(heard.good()).isTrue())
                .satisfies(heard -> assertThat(heard.silentWithout()).contains(true));
    }

    @Test
    void anotherToneIsNotHeard() throws LinkFault {
        assertThat(pair(levee("tx_tone", "100.0", "rx_tone", "100.0"), levee("tx_tone", "103.5", "rx_tone", "103.5")))
                .singleElement()
                .satisfies(heard -> assertThat(heard.heard()).isFalse())
                .satisfies(heard -> assertThat(heard.heardBack()).isFalse());
    }

    @Test
    void anInvertedCodeIsHeardByItsPartner() throws LinkFault {
        assertThat(pair(levee("tx_tone", "D023", "rx_tone", "D023"), levee("tx_tone", "D047I", "rx_tone", "D047I")))
                .singleElement()
                .satisfies(heard -> assertThat(heard.good()).isTrue());
    }

    @Test
    void anOpenReceiverHearsEveryoneAndThatIsSaid() throws LinkFault {
        assertThat(pair(levee(), levee()))
                .singleElement()
                .satisfies(heard -> assertThat(heard.good()).isTrue())
                .satisfies(heard -> assertThat(heard.note()).contains("open"));
    }

    @Test
    void anotherWidthOrFrequencyIsNotHeard() throws LinkFault {
        assertThat(pair(levee(), levee("mode", "NFM"))).singleElement().satisfies(heard -> assertThat(heard.heard())
                .isFalse());
        assertThat(pair(levee(), Radios.entry("OTHER", "146.565", "146.565")))
                .singleElement()
                .satisfies(heard -> assertThat(heard.heard()).isFalse());
    }

    private static Frequency mhz(String text) {
        return Frequency.ofMegahertz(text).orElseThrow();
    }

    @Test
    void aRepeaterAnswersTheRightToneWithATailAndHearsTheCallSign() throws LinkFault {
        radios.ether.repeater(
                mhz("146.340"), mhz("146.940"), Mode.FM, Optional.of(new Tone.Ctcss(1000)), Optional.empty(), 60_000);
        radios.ether.repeater(
                mhz("147.735"), mhz("147.135"), Mode.FM, Optional.of(new Tone.Ctcss(1148)), Optional.empty(), 60_000);
        SimulatedPort port = loaded(
                "A",
                Radios.entry("RIDGE", "146.940", "146.340", "tx_tone", "100.0"),
                Radios.entry("WEIR", "147.135", "147.735", "tx_tone", "100.0"),
                Radios.entry("NOTONE", "147.135", "147.735"));
        try (RadioLink link = Radios.link(port)) {
            assertThat(new RepeaterCheck(link, "KE9QRB").of(port.radio().state().image()))
                    .extracting(RepeaterCheck.Answered::name, RepeaterCheck.Answered::tail)
                    .containsExactly(
                            org.assertj.core.groups.Tuple.tuple("RIDGE", true),
                            org.assertj.core.groups.Tuple.tuple("WEIR", false),
                            org.assertj.core.groups.Tuple.tuple("NOTONE", false));
        }
        assertThat(radios.ether.heardBy(mhz("146.940"))).contains("KE9QRB");
        assertThat(radios.ether.heardBy(mhz("147.135"))).isEmpty();
    }

    @Test
    void theTailEnds() throws Exception {
        AtomicLong clock = new AtomicLong();
        var ether = new org.wache.bench.simulated.Ether(clock::get);
        ether.repeater(mhz("146.340"), mhz("146.940"), Mode.FM, Optional.empty(), Optional.empty(), 1_000);
        var state = new org.wache.bench.simulated.SimulatedState(
                Radios.image(Radios.HERON, Radios.VALLEY), "Amateur", false);
        try (SimulatedPort port = new SimulatedPort(
                        new org.wache.bench.simulated.SimulatedRadio(Radios.HERON, "A", state, ether, kept -> {}), 0);
                RadioLink link = Radios.link(port)) {
            link.select(1);
            link.key("KE9QRB", false);
            link.release();
            assertThat(link.hears()).isTrue();
            clock.addAndGet(1_000_000_001L);
            assertThat(link.hears()).isFalse();
        }
    }
}
