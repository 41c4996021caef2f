package org.wache.propose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.RulePage;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.rulebook.ChannelService;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;

/** Proposals for whole lists: the services' channels, tones, order. */
class ProposalsTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-25");
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);

    private static ChannelService service(String id) {
        return (ChannelService) EDITION.service(id).orElseThrow();
    }

    private static List<Channel> swapped(String service, List<String> channels, double watts, boolean repeaters) {
        return ServiceSwap.of(
                        EDITION,
                        service(service),
                        new ServiceSwap.Wanted(channels, true, watts, Optional.of(new Tone.Ctcss(1567)), repeaters),
                        frequency -> 0)
                .stream()
                .map(ServiceSwap.Swapped::channel)
                .toList();
    }

    private static Audit audited(List<Channel> channels, String licences) {
        List<Channel> numbered = IntStream.range(0, channels.size())
                .mapToObj(
                        i -> channels.get(i).with(Map.of(Field.NUMBER, String.valueOf(i + 1), Field.TIMEOUT_S, "120")))
                .toList();
        return new Auditor(
                        Register.ALL, AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder(licences, EDITION))))
                .audit(new ChannelList("x", List.of(), numbered));
    }

    @Test // 47 CFR 95.563 and 95.567: 22 channels, 0.5 W on 8 to 14
    void frsIsClearForPeopleWithoutALicence() {
        List<Channel> frs = swapped("frs", List.of(), 2, false);
        assertThat(frs).hasSize(22).allMatch(each -> each.text(Field.MODE).equals("NFM"));
        assertThat(frs)
                .filteredOn(each -> each.text(Field.RX_MHZ).startsWith("467"))
                .hasSize(7)
                .allMatch(each -> each.text(Field.POWER_W).equals("0.5"));
        assertThat(audited(frs, "nobody").counts().get(Verdict.CLEAR)).isEqualTo(22);
    }

    @Test // 47 CFR 95.1763: eight pairs, 5 MHz up
    void gmrsWithRepeatersIsNeverOnHoldForALicenceHolder() {
        List<Channel> gmrs = swapped("gmrs", List.of(), 5, true);
        assertThat(gmrs).hasSize(30);
        assertThat(gmrs.subList(22, 30))
                .allMatch(Channel::isPair)
                .allMatch(each -> each.transmit().get().minus(each.receive().get()) == 5_000_000
                        && each.text(Field.TX_TONE).isEmpty());
        assertThat(audited(gmrs, "gmrs").counts().get(Verdict.HOLD)).isZero();
    }

    @Test // 47 CFR 95.2763
    void mursIsClearForPeopleWithoutALicence() {
        assertThat(audited(swapped("murs", List.of(), 2, false), "nobody")
                        .counts()
                        .get(Verdict.CLEAR))
                .isEqualTo(5);
    }

    @Test
    void onlyTheChannelsAskedForAndTheBusyOnesLast() {
        List<String> names = swapped("frs", List.of("1", "2", "3", "20"), 0.5, false).stream()
                .map(Channel::name)
                .toList();
        assertThat(names).containsExactly("FRS 2", "FRS 3", "FRS 1", "FRS 20");
        List<String> used = ServiceSwap.of(
                        EDITION,
                        service("frs"),
                        new ServiceSwap.Wanted(List.of("2", "3"), true, 1, Optional.empty(), false),
                        frequency -> frequency.hertz() == 462_587_500 ? 3 : 0)
                .stream()
                .map(each -> each.channel().name() + ": " + each.why())
                .toList();
        assertThat(used)
                .containsExactly(
                        "FRS 3: not used in what the group knows", "FRS 2: used 3 times in what the group knows");
        assertThatThrownBy(() -> swapped("frs", List.of("23"), 1, false)).hasMessage("FRS has no channel “23”");
    }

    @Test
    void theSharedToneIsAConsumerToneThatNobodyUses() {
        Optional<Tone> first = ServiceSwap.freeTone(EDITION, List.of());
        assertThat(first).isPresent().get().isNotEqualTo(EDITION.tones().factoryDefault());
        assertThat(ServiceSwap.freeTone(EDITION, List.of(first.get())))
                .isPresent()
                .isNotEqualTo(first);
        List<Tone> all = List.copyOf(EDITION.tones().ctcss());
        assertThat(ServiceSwap.freeTone(EDITION, all)).isEmpty();
    }

    private static Channel entry(String fields) {
        return RulePage.entry("", fields).channel();
    }

    private static final List<Channel> FLEET = List.of(
            entry("name=A rx_mhz=451.8 tx_mhz=451.8 mode=NFM"),
            entry("name=B rx_mhz=464.55 tx_mhz=464.55 mode=NFM"),
            entry("name=C rx_mhz=451.8 tx_mhz=451.8 mode=NFM"),
            entry("name=Call rx_mhz=146.52 tx_mhz=146.52 mode=FM"),
            entry("name=Rpt rx_mhz=146.94 tx_mhz=146.34 mode=FM"),
            entry("name=Wx rx_mhz=162.4 mode=FM"),
            entry("name=D rx_mhz=151.82 tx_mhz=151.82 mode=DMR"));
    private static final List<Integer> EVERYONE = List.of(0, 1, 2, 3, 4, 5, 6);

    @Test
    void eachDirectChannelGetsAToneOfItsOwn() {
        TonePlan plan = TonePlan.of(EDITION, FLEET, EVERYONE, List.of(), List.of(), false);
        assertThat(plan.chosen()).extracting(TonePlan.Chosen::position).containsExactly(0, 1, 2);
        assertThat(plan.chosen().get(0).tone())
                .isEqualTo(plan.chosen().get(2).tone())
                .isNotEqualTo(plan.chosen().get(1).tone());
        assertThat(plan.left())
                .extracting(TonePlan.Left::why)
                .containsExactly(
                        "a calling channel stays open for everyone",
                        "its tone is the repeater's",
                        "it does not talk",
                        "its mode has no tones");
    }

    @Test
    void tonesOfOthersAreKeptClearOf() {
        List<TonePlan.Taken> taken = EDITION.tones().ctcss().stream()
                .filter(tone -> tone.tenths() != 885 && tone.tenths() != 1318)
                .map(tone -> new TonePlan.Taken("them", Optional.empty(), tone))
                .toList();
        TonePlan plan = TonePlan.of(EDITION, FLEET, EVERYONE, taken, List.of(), false);
        assertThat(new HashSet<>(
                        plan.chosen().stream().map(each -> each.tone().text()).toList()))
                .isEqualTo(Set.of("88.5", "131.8"));
    }

    @Test
    void whereNoToneIsFreeEverywhereOneFreeOnTheChannelWillDo() {
        Frequency elsewhere = Frequency.ofMegahertz("462.5625").orElseThrow();
        List<TonePlan.Taken> taken = EDITION.tones().ctcss().stream()
                .map(tone -> new TonePlan.Taken("the yard", Optional.of(elsewhere), tone))
                .toList();
        TonePlan plan = TonePlan.of(EDITION, FLEET, List.of(0), taken, List.of(), false);
        assertThat(plan.chosen().get(0).why()).isEqualTo("free on 451.800 MHz; elsewhere it is used by the yard");
    }

    @Test
    void everyRadioOfTheFleetCanDoIt() {
        Tone only = new Tone.Ctcss(1273);
        TonePlan plan = TonePlan.of(
                EDITION,
                FLEET,
                List.of(0, 1),
                List.of(),
                List.of(Set.of(only, new Tone.Ctcss(1000)), Set.of(only)),
                false);
        assertThat(plan.chosen())
                .extracting(TonePlan.Chosen::tone)
                .containsExactly(only, only); // two channels may share one
        assertThat(plan.chosen().get(1).why())
                .isEqualTo("free on 464.550 MHz, and no other is left; another channel of the plan has it too");
        Frequency on = Frequency.ofMegahertz("464.55").orElseThrow();
        assertThat(TonePlan.of(
                                EDITION,
                                FLEET,
                                List.of(1),
                                List.of(new TonePlan.Taken("them", Optional.of(on), only)),
                                List.of(Set.of(only)),
                                false)
                        .left())
                .extracting(TonePlan.Left::why)
                .containsExactly("every tone that the radios can do is in use on 464.550 MHz");
        assertThat(TonePlan.of(EDITION, FLEET, List.of(0), List.of(), List.of(Set.of(only), Set.of()), false)
                        .left())
                .extracting(TonePlan.Left::why)
                .containsExactly("no tone is common to all radios of the fleet");
    }

    @Test
    void codesThatSoundTheSameAreOne() {
        List<TonePlan.Taken> taken = EDITION.tones().dcs().stream()
                .filter(code -> code.code() != 0023)
                .map(code -> new TonePlan.Taken("them", Optional.empty(), code))
                .toList();
        Tone partner = new Tone.Dcs(0047, true); // D023 under inversion
        assertThat(TonePlan.of(EDITION, FLEET, List.of(0), taken, List.of(), true)
                        .chosen())
                .extracting(each -> each.tone().text())
                .containsExactly("D023");
        List<TonePlan.Taken> more = new java.util.ArrayList<>(taken);
        more.add(new TonePlan.Taken("them", Optional.empty(), partner));
        assertThat(TonePlan.of(EDITION, FLEET, List.of(0), more, List.of(), true)
                        .chosen())
                .isEmpty();
    }

    @Test
    void aListIsSortedGroupedNumberedAndZoned() {
        Arrangement arranged = Arrangement.of(
                EDITION,
                FLEET,
                new Arrangement.Wanted(
                        Arrangement.SortBy.FREQUENCY,
                        Arrangement.GroupBy.BAND,
                        OptionalInt.of(1),
                        false,
                        true,
                        OptionalInt.of(2)));
        assertThat(arranged.order()).containsExactly(3, 4, 6, 5, 0, 2, 1);
        assertThat(arranged.numbers()).containsExactly("5", "7", "6", "1", "2", "4", "3");
        assertThat(arranged.zones().get(3)).isEqualTo("2 m");
        assertThat(arranged.zones().get(0)).endsWith(" 1");
        assertThat(arranged.zones().get(1)).endsWith(" 2");
    }

    @Test
    void whatIsNotAskedForStays() {
        Arrangement arranged = Arrangement.of(
                EDITION,
                FLEET,
                new Arrangement.Wanted(
                        Arrangement.SortBy.AS_THEY_ARE,
                        Arrangement.GroupBy.NOTHING,
                        OptionalInt.empty(),
                        false,
                        false,
                        OptionalInt.empty()));
        assertThat(arranged.order()).isEqualTo(EVERYONE);
        assertThat(arranged.numbers()).isEmpty();
        assertThat(arranged.zones()).isEmpty();
    }

    /** The frequencies of FRS 8 to 14 lie above those of 15 to 22 (47 CFR 95.563): by frequency, the channels would be mixed. */
    @Test
    void channelsOfAServiceKeepTheirOrder() {
        List<Channel> channels = java.util.stream.Stream.of("22", "8", "1", "15", "9")
                .map(number -> Channel.of(
                        org.wache.typed.AddLine.read("frs " + number, EDITION, org.wache.audit.context.HouseRules.NONE)
                                .best()
                                .fields(),
                        List.of()))
                .toList();
        assertThat(Arrangement.of(
                                EDITION,
                                channels,
                                new Arrangement.Wanted(
                                        Arrangement.SortBy.CHANNEL,
                                        Arrangement.GroupBy.NOTHING,
                                        OptionalInt.of(1),
                                        false,
                                        false,
                                        OptionalInt.empty()))
                        .order())
                .containsExactly(2, 1, 4, 3, 0);
    }

    @Test
    void theOrderIsAlwaysAPermutation() {
        for (Arrangement.SortBy sort : Arrangement.SortBy.values()) {
            for (Arrangement.GroupBy group : Arrangement.GroupBy.values()) {
                assertThat(Arrangement.of(
                                        EDITION,
                                        FLEET,
                                        new Arrangement.Wanted(
                                                sort, group, OptionalInt.of(10), true, true, OptionalInt.empty()))
                                .order())
                        .as(sort + " " + group)
                        .containsExactlyInAnyOrderElementsOf(EVERYONE);
            }
        }
    }
}
