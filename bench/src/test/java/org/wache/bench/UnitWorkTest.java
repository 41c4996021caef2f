package org.wache.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.bench.drive.KeyCheck;
import org.wache.bench.drive.KeyTrial;
import org.wache.bench.drive.LinkFault;
import org.wache.bench.drive.RadioLink;
import org.wache.bench.drive.Stage;
import org.wache.bench.drive.UnitWork;
import org.wache.bench.image.ImageDifference;
import org.wache.bench.image.RadioImage;
import org.wache.bench.simulated.Fault;
import org.wache.bench.simulated.SimulatedPort;
import org.wache.channel.ChannelList;
import org.wache.radio.RadioModel;
import org.wache.signal.Span;

/** A list goes into simulated radios over real ports, and everything that can go wrong does. */
class UnitWorkTest {

    private final Radios radios = new Radios();
    private final RadioImage wanted = Radios.image(Radios.HERON, Radios.VALLEY);
    private final Radios.Told told = new Radios.Told();

    @AfterEach
    void unplug() {
        radios.close();
    }

    private UnitWork.Outcome work(SimulatedPort port, String lock) throws LinkFault {
        return new UnitWork(Radios.at(port), Radios.ANSWER_MS, Radios.plan(Radios.HERON, "H2-1", lock, wanted), told)
                .run();
    }

    @Test
    void allGoesWell() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        UnitWork.Outcome outcome = work(port, "Amateur");
        assertThat(outcome.differences()).isEmpty();
        assertThat(outcome.good()).isTrue();
        assertThat(told.stages)
                .containsExactly(
                        Stage.IDENTIFY,
                        Stage.READ,
                        Stage.WRITE,
                        Stage.CLOSE,
                        Stage.READ_BACK,
                        Stage.COMPARE,
                        Stage.KEY_CHECK);
        assertThat(port.radio().state().image().sameAs(wanted)).isTrue();
        assertThat(outcome.trials())
                .filteredOn(each -> each.memory() == 4)
                .singleElement()
                .satisfies(each -> assertThat(each.shouldKey()).isFalse())
                .satisfies(each -> assertThat(each.keyed()).isFalse());
        assertThat(outcome.trials())
                .filteredOn(each -> each.memory() == 0)
                .extracting(KeyTrial::mhz)
                .containsExactly("143.900", "148.100", "419.900", "450.100");
        assertThat(outcome.trials()).filteredOn(KeyTrial::keyed).hasSize(4);
    }

    @Test
    void theLockIsSetBeforeWritingBecauseItErases() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur II");
        work(port, "Amateur");
        assertThat(told.stages).containsSubsequence(Stage.READ, Stage.LOCK, Stage.WRITE);
        assertThat(port.radio().state().lock()).isEqualTo("Amateur");
        assertThat(port.radio().state().image().sameAs(wanted)).isTrue();
    }

    @Test
    void whatWasInTheRadioIsSavedBeforeTheLockErasesIt() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        work(port, "Amateur");
        Radios.Told second = new Radios.Told();
        RadioImage other = Radios.image(
                Radios.HERON, new ChannelList("other", List.of(), List.of(Radios.entry("ONE", "146.520", "146.520"))));
        new UnitWork(Radios.at(port), Radios.ANSWER_MS, Radios.plan(Radios.HERON, "H2-1", "Open", other), second).run();
        assertThat(second.saved.sameAs(wanted)).isTrue();
        assertThat(port.radio().state().image().entries()).hasSize(1);
    }

    @Test
    void aChangeOfLockErasesTheMemories() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        work(port, "Amateur");
        try (RadioLink link = Radios.link(port)) {
            link.lock("Amateur");
            assertThat(port.radio().state().image().entries()).hasSize(5);
            link.lock("Open");
            assertThat(port.radio().state().image().entries()).isEmpty();
        }
    }

    @Test
    void withoutTheClosingStepAllIsLost() throws Exception {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        try (RadioLink link = Radios.link(port)) {
            link.open();
            link.write(wanted, (done, total) -> {});
        }
        try (RadioLink link = Radios.link(port)) {
            link.open();
            assertThat(link.read(wanted.length(), (done, total) -> {}).entries())
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "1", "5", "9", "12", "17", "20", "27", "35"})
    void aCableThatComesOutAnywhereLeavesTheOldOrTheNewAndCanBeBegunAgain(int afterFrames) throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        port.fail(Optional.of(Fault.CABLE_OUT), afterFrames);
        try {
            work(port, "Amateur");
        } catch (LinkFault e) {
            assertThat(e.getMessage()).contains("does not answer");
            assertThat(e.cure()).contains("cable");
        }
        RadioImage now = port.radio().state().image();
        assertThat(now.entries().isEmpty() || now.sameAs(wanted)).isTrue();
        assertThat(now.sameAs(wanted)).isEqualTo(told.kept || now.sameAs(wanted));
        port.fail(Optional.empty(), 0);
        assertThat(work(port, "Amateur").good()).isTrue();
    }

    @Test
    void aFlatBatteryInTheMiddleIsSaidAndNothingIsLost() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        port.fail(Optional.of(Fault.FLAT_BATTERY), 20);
        assertThatThrownBy(() -> work(port, "Amateur"))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("battery is flat");
        assertThat(port.radio().state().image().entries()).isEmpty();
        assertThatThrownBy(() -> work(port, "Amateur"))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("battery is at 3 %");
        port.fail(Optional.empty(), 0);
        assertThat(work(port, "Amateur").good()).isTrue();
    }

    @Test
    void anotherRadioOnTheCableIsNotTouched() {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        port.fail(Optional.of(Fault.WRONG_MODEL), 0);
        assertThatThrownBy(() -> work(port, "Amateur"))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("not the Heron H2, serial H2-1");
        assertThat(told.stages).containsExactly(Stage.IDENTIFY);
    }

    @Test
    void theRightModelWithAnotherSerialNumberIsNotTouchedEither() {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-2", "Amateur");
        assertThatThrownBy(() -> work(port, "Amateur"))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("serial H2-2");
    }

    @Test
    void oneDamagedAnswerIsAskedForAgain() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        port.fail(Optional.of(Fault.CHECKSUM_ONCE), 16);
        assertThat(work(port, "Amateur").good()).isTrue();
    }

    @Test
    void answersThatStayDamagedEndTheWork() {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        port.fail(Optional.of(Fault.CHECKSUM), 16);
        assertThatThrownBy(() -> work(port, "Amateur"))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("damaged");
        assertThat(port.radio().state().image().entries()).isEmpty();
    }

    @Test
    void aFrequencyOutsideTheSplitIsRefusedByMemory() {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        RadioImage six = Radios.image(
                Radios.HERON,
                new ChannelList(
                        "six",
                        List.of(),
                        List.of(Radios.entry("ONE", "146.520", "146.520"), Radios.entry("SIX", "146.580", "52.525"))));
        assertThatThrownBy(() -> new UnitWork(
                                Radios.at(port),
                                Radios.ANSWER_MS,
                                Radios.plan(Radios.HERON, "H2-1", "Amateur", six),
                                told)
                        .run())
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("memory 2")
                .hasMessageContaining("band split");
    }

    @Test
    void aFrequencyOffItsStepsIsRoundedAndTheComparisonShowsIt() throws LinkFault {
        RadioModel otter = Radios.model("otter-m5");
        SimulatedPort port = radios.plugIn(otter, "OM5", "");
        RadioImage off = Radios.image(
                otter,
                new ChannelList(
                        "off",
                        List.of(),
                        List.of(
                                Radios.entry("Van", "462.5500", "462.5500"),
                                Radios.entry("Off", "462.5590", "462.5590"))));
        UnitWork.Outcome outcome =
                new UnitWork(Radios.at(port), Radios.ANSWER_MS, Radios.plan(otter, "OM5", "", off), told).run();
        assertThat(outcome.differences())
                .extracting(
                        ImageDifference::memory, ImageDifference::what, ImageDifference::wanted, ImageDifference::found)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(2, "hears", "462.559", "462.5625"),
                        org.assertj.core.groups.Tuple.tuple(2, "talks on", "462.559", "462.5625"));
        assertThat(outcome.good()).isFalse();
    }

    /** A check on an empty radio must be able to fail. */
    @Test
    void anEmptyRadioThatWasNeverSwitchedOffIsFoundToKey() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        try (RadioLink link = Radios.link(port)) {
            assertThat(new KeyCheck(
                                    link,
                                    new org.wache.radio.Radio(
                                            Radios.HERON,
                                            Radios.HERON.coverage().lock("Amateur"),
                                            Optional.empty(),
                                            true),
                                    "KE9QRB")
                            .of(RadioImage.erased(Radios.HERON), (done, total) -> {}))
                    .filteredOn(KeyTrial::keyed)
                    .extracting(KeyTrial::mhz)
                    .containsExactly("146.000", "435.000");
        }
    }

    @Test
    void aRadioThatOnlyListensKeysNowhere() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        UnitWork.Plan plan = new UnitWork.Plan(
                new org.wache.radio.Radio(
                        Radios.HERON, Radios.HERON.coverage().lock("Amateur"), Optional.empty(), true),
                "H2-1",
                wanted,
                Map.of(),
                "KE9QRB");
        UnitWork.Outcome outcome = new UnitWork(Radios.at(port), Radios.ANSWER_MS, plan, told).run();
        assertThat(outcome.good()).isTrue();
        assertThat(outcome.trials()).noneMatch(KeyTrial::keyed).noneMatch(KeyTrial::shouldKey);
        assertThat(port.radio().state().inhibited()).isTrue();
    }

    private UnitWork.Outcome set(SimulatedPort port, String lock, List<Span> off, Map<String, String> settings)
            throws LinkFault {
        org.wache.radio.Radio radio = new org.wache.radio.Radio(
                Radios.HERON, Radios.HERON.coverage().lock(lock), Optional.empty(), false, off);
        return new UnitWork(
                        Radios.at(port),
                        Radios.ANSWER_MS,
                        new UnitWork.Plan(radio, "H2-1", wanted, settings, "KE9QRB"),
                        told)
                .run();
    }

    @Test
    void whatBelongsToNoChannelIsSetAndReadBack() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        UnitWork.Outcome outcome = set(port, "Amateur", List.of(), Map.of("time-out", "180", "start-text", "TERN"));
        assertThat(outcome.good()).isTrue();
        assertThat(told.stages).containsSubsequence(Stage.WRITE, Stage.SETTINGS, Stage.CLOSE);
        assertThat(outcome.settings())
                .as("what was set, and what is as the radio comes")
                .containsEntry("time-out", "180")
                .containsEntry("start-text", "TERN")
                .containsEntry("roger-tone", "chirp");
    }

    @Test
    void aSettingThatTheRadioRefusesEndsTheWorkAndKeepsWhatWasThere() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        assertThatThrownBy(() -> set(port, "Amateur", List.of(), Map.of("time-out", "179")))
                .isInstanceOf(LinkFault.class)
                .hasMessageContaining("to set time-out to 179");
        assertThat(port.radio().state().image().entries()).isEmpty();
        assertThat(port.radio().state().settings()).isEmpty();
    }

    @Test
    void aChangeOfLockSetsBackWhatItErases() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        set(port, "Amateur", List.of(), Map.of("squelch", "3"));
        try (RadioLink link = Radios.link(port)) {
            link.lock("Open");
            assertThat(link.setting("squelch")).as("as it comes").contains("5");
            assertThat(link.setting("weather-alert")).as("it has none").isEmpty();
        }
        assertThat(set(port, "Amateur", List.of(), Map.of("squelch", "3")).settings())
                .as("set after the lock")
                .containsEntry("squelch", "3");
    }

    @Test
    void aBandThatIsOffKeysNowhere() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        Span vhf = Span.ofMegahertz("136-174");
        UnitWork.Outcome outcome = set(port, "Amateur", List.of(vhf), Map.of("band-transmit 136–174", "off"));
        assertThat(outcome.good()).isTrue();
        assertThat(outcome.trials())
                .filteredOn(each -> each.mhz().startsWith("14") || each.mhz().startsWith("15"))
                .noneMatch(KeyTrial::keyed)
                .anyMatch(each -> each.name().equals("inside its limits") && !each.shouldKey());
        assertThat(outcome.trials())
                .filteredOn(KeyTrial::keyed)
                .extracting(KeyTrial::mhz)
                .containsExactly("449.150");
    }

    @Test
    void aBandThatShouldBeOffAndIsNotIsFound() throws LinkFault {
        SimulatedPort port = radios.plugIn(Radios.HERON, "H2-1", "Amateur");
        UnitWork.Outcome outcome = set(port, "Amateur", List.of(Span.ofMegahertz("136-174")), Map.of());
        assertThat(outcome.good()).isFalse();
        assertThat(outcome.trials()).anyMatch(each -> each.keyed() && !each.shouldKey());
    }
}
