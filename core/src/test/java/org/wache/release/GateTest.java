package org.wache.release;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Audits;
import org.wache.audit.RandomLists;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;

/** What has to be settled before a list goes out, and what settles it. */
class GateTest {

    private static final LocalDate DAY = Audits.DAY;
    private static final Channel CLEAR = entry("1", "146.550", "146.550", "5");
    /** Its power is not known. */
    private static final Channel QUERIED = entry("2", "146.550", "146.550", "");
    /** Its signal reaches past the edge of the band. */
    private static final Channel HELD = entry("3", "147.995", "147.995", "5");

    private static final Radio NARROW_SET = Radio.of(RadioReader.model(
            "{\"format\":\"wache-radio/1\",\"model\":\"U\",\"transmit\":[[\"420\",\"450\"]],\"receive\":[[\"420\",\"450\"]]}"
                    .getBytes(java.nio.charset.StandardCharsets.UTF_8)));

    private static Channel entry(String number, String receive, String transmit, String power) {
        return Channel.of(Map.of(
                Field.NUMBER,
                number,
                Field.RX_MHZ,
                receive,
                Field.TX_MHZ,
                transmit,
                Field.MODE,
                "FM",
                Field.POWER_W,
                power,
                Field.TIMEOUT_S,
                "180"));
    }

    private static Gate.Part part(String name, Channel... channels) {
        return new Gate.Part(name, Audits.of("amateur:technician", channels));
    }

    private static Gate.Meant meant(Channel... channels) {
        Audit law = Audits.of("amateur:technician", channels);
        return new Gate.Meant(
                "U",
                new Auditor(Register.ALL, law.auditor().context().forRadios(List.of(NARROW_SET))).audit(law.list()));
    }

    private static Waiver waiver(Matter matter, LocalDate until) {
        return new Waiver(
                matter.print(),
                matter.channel().number(),
                "",
                matter.rule().text(),
                matter.model(),
                matter.message(),
                "Looked at on the air",
                "J. Weirley",
                DAY,
                Optional.ofNullable(until));
    }

    private static Gate gate(List<Gate.Part> parts, List<Gate.Meant> models, Waiver... waivers) {
        return Gate.of(parts, models, List.of(waivers), DAY);
    }

    @Test
    void aClearListPasses() {
        assertThat(gate(List.of(part("", CLEAR)), List.of()).passes()).isTrue();
    }

    @Test
    void aHoldIsInTheWayWhateverIsWaived() {
        Gate gate = gate(List.of(part("", CLEAR, HELD)), List.of());
        Matter hold = gate.open(Matter.Kind.HOLD).get(0);
        assertThat(hold.position()).isEqualTo(1);
        assertThat(gate(List.of(part("", CLEAR, HELD)), List.of(), waiver(hold, null))
                        .passes())
                .isFalse();
    }

    @Test
    void aQueryIsSettledByItsOwnWaiverOnly() {
        Matter query = gate(List.of(part("", QUERIED)), List.of())
                .open(Matter.Kind.QUERY)
                .get(0);
        assertThat(gate(List.of(part("", QUERIED)), List.of(), waiver(query, null))
                        .passes())
                .isTrue();
        Channel changed = QUERIED.with(Map.of(Field.RX_MHZ, "146.565", Field.TX_MHZ, "146.565"));
        assertThat(gate(List.of(part("", changed)), List.of(), waiver(query, null))
                        .passes())
                .as("the entry was changed")
                .isFalse();
        Channel renamed = QUERIED.with(Map.of(Field.NAME, "LEVEE", Field.NUMBER, "7", Field.NOTE, "by the water"));
        assertThat(gate(List.of(part("", renamed)), List.of(), waiver(query, null))
                        .passes())
                .as("only its name was changed")
                .isTrue();
    }

    @Test
    void aWaiverEndsOnItsLastDay() {
        Matter query = gate(List.of(part("", QUERIED)), List.of())
                .open(Matter.Kind.QUERY)
                .get(0);
        assertThat(gate(List.of(part("", QUERIED)), List.of(), waiver(query, DAY))
                        .passes())
                .isTrue();
        assertThat(gate(List.of(part("", QUERIED)), List.of(), waiver(query, DAY.minusDays(1)))
                        .passes())
                .isFalse();
    }

    @Test
    void whatAVariantFindsCountsToo() {
        Gate.Part variant = new Gate.Part("For nobody", Audits.of("nobody", CLEAR));
        assertThat(gate(List.of(part("", CLEAR), variant), List.of()).open(Matter.Kind.HOLD))
                .hasSize(1);
    }

    @Test
    void anEntryThatAModelCannotHaveIsLeftOutOfItByName() {
        Gate gate = gate(List.of(part("", CLEAR)), List.of(meant(CLEAR)));
        assertThat(gate.open(Matter.Kind.HOLD)).isEmpty();
        List<Matter> misfits = gate.open(Matter.Kind.MISFIT);
        assertThat(misfits).isNotEmpty().allSatisfy(each -> assertThat(each.model())
                .isEqualTo("U"));
        Gate settled = gate(
                List.of(part("", CLEAR)),
                List.of(meant(CLEAR)),
                misfits.stream().map(each -> waiver(each, null)).toArray(Waiver[]::new));
        assertThat(settled.passes()).isTrue();
        assertThat(settled.leftOut("U")).containsExactly(0);
        assertThat(gate.leftOut("U")).isEmpty();
    }

    /** Whatever the list, and whatever was waived before: with something on hold nothing passes. */
    @Test
    void nothingOnHoldEverPasses() {
        RandomLists random = new RandomLists(20_261_125);
        int passed = 0;
        for (int i = 0; i < 300; i++) {
            ChannelList list = Audits.list(random.channel(1));
            Audit audit = Audits.auditor(DAY, "amateur:technician", "gmrs").audit(list);
            Gate first = Gate.of(List.of(new Gate.Part("", audit)), List.of(), List.of(), DAY);
            Gate waived = Gate.of(
                    List.of(new Gate.Part("", audit)),
                    List.of(),
                    first.matters().stream()
                            .map(each -> waiver(each.matter(), null))
                            .toList(),
                    DAY);
            passed += waived.passes() ? 1 : 0;
            boolean held = audit.entries().stream().anyMatch(each -> each.verdict() == org.wache.audit.Verdict.HOLD);
            assertThat(waived.passes()).isEqualTo(!held);
        }
        assertThat(passed).as("both kinds were tried").isBetween(10, 290);
    }
}
