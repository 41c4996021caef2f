package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.signal.Content;

/** Edge tables for transceivers, from 97.301 and 97.305(c) as in the law's own tables; from memory. */
class EdgeTableTest {

    private static final BandService AMATEUR = (BandService) RulebookReader.shipped("us")
            .on(LocalDate.of(2026, 11, 25))
            .service("amateur")
            .orElseThrow();
    private static final BandPlan PLAN =
            RulebookReader.shipped("us").on(LocalDate.of(2026, 11, 25)).plan();
    private static final int VOICE_AND_DATA = Content.bits("ssb ssb-reduced phone-low-index data");

    private static List<String> table(String held, int contents, String band, int slots) {
        return EdgeTable.of(AMATEUR, PLAN, AMATEUR.traits().classIndex(held), contents, Set.of(band), slots)
                .slots()
                .stream()
                .map(slot -> slot.span().toString())
                .toList();
    }

    @Test
    void generalOnTwentyMetresNeedsTwoSlotsForVoiceAndData() {
        assertThat(table("general", VOICE_AND_DATA, "20 m", 10))
                .containsExactly("14.025–14.150 MHz", "14.225–14.350 MHz");
    }

    @ParameterizedTest(name = "{0} on {1}, {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "extra | 20 m | phone-low-index data | 14.000–14.350 MHz",
                "advanced | 20 m | phone-low-index data | 14.025–14.150 MHz, 14.175–14.350 MHz",
                "general | 20 m | phone-low-index | 14.225–14.350 MHz",
                "general | 40 m | phone-low-index data | 7.025–7.125 MHz, 7.175–7.300 MHz",
                "technician | 40 m | cw | 7.025–7.125 MHz",
                "technician | 10 m | ssb ssb-reduced | 28.300–28.500 MHz",
                "technician | 10 m | ssb ssb-reduced data | 28.000–28.500 MHz",
                "general | 15 m | phone-low-index | 21.275–21.450 MHz",
                "general | 30 m | data | 10.100–10.150 MHz",
                "technician | 2 m | phone | 144.100–148.000 MHz",
                "technician | 2 m | cw | 144.000–148.000 MHz",
                "novice | 23 cm | phone | 1270.000–1295.000 MHz"
            })
    void tablesFollowTheLaw(String held, String band, String contents, String spans) {
        assertThat(String.join(", ", table(held, Content.bits(contents), band, 20)))
                .isEqualTo(spans);
    }

    @Test
    void whatFindsNoSlotIsToldAndNeverJoined() {
        EdgeTable table = EdgeTable.of(
                AMATEUR, PLAN, AMATEUR.traits().classIndex("general"), VOICE_AND_DATA, Set.of("20 m", "15 m"), 3);
        assertThat(table.slots()).hasSize(3);
        assertThat(table.left()).extracting(slot -> slot.span().toString()).containsExactly("21.275–21.450 MHz");
    }

    @ParameterizedTest
    @ValueSource(strings = {"novice", "technician", "general", "advanced", "extra"})
    void everyTableRisesWithoutOverlap(String held) {
        EdgeTable table =
                EdgeTable.of(AMATEUR, PLAN, AMATEUR.traits().classIndex(held), Content.bits("any"), Set.of(), 99);
        for (int i = 1; i < table.slots().size(); i++) {
            assertThat(table.slots().get(i).span().low())
                    .isGreaterThan(table.slots().get(i - 1).span().high());
        }
        assertThat(table.text().lines()).hasSize(table.slots().size());
    }

    @Test
    void sixtyMetresIsMemoriesBesideASegment() {
        EdgeTable table =
                EdgeTable.of(AMATEUR, PLAN, AMATEUR.traits().classIndex("general"), VOICE_AND_DATA, Set.of("60 m"), 5);
        assertThat(table.channelised()).containsExactly("60 m");
        assertThat(table.slots()).extracting(slot -> slot.span().toString()).containsExactly("5.3515–5.3665 MHz");
    }

    @Test
    void aTableWithoutSlotsIsRefused() {
        assertThatThrownBy(() -> EdgeTable.of(AMATEUR, PLAN, 0, -1, Set.of(), 0))
                .hasMessageContaining("at least one slot");
    }

    /** The dial, not the edge: where it may stand so that the whole signal stays inside. */
    @ParameterizedTest(name = "{0} on {1}, {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "general | 20 m | ssb ssb-reduced phone-low-index | 14.225000 14.347100",
                "general | 40 m | ssb ssb-reduced phone-low-index | 7.177900 7.300000",
                "general | 20 m | data | 14.025000 14.147100",
                "general | 20 m | cw | 14.025075 14.149925 14.225075 14.349925",
                "technician | 10 m | ssb ssb-reduced data | 28.000000 28.497100",
                "technician | 2 m | fm phone | 144.108000 147.992000"
            })
    void theTableIsForTheDial(String held, String band, String contents, String dials) {
        StringBuilder text = new StringBuilder();
        EdgeTable.of(AMATEUR, PLAN, AMATEUR.traits().classIndex(held), Content.bits(contents), Set.of(band), 20)
                .slots()
                .forEach(slot -> text.append(String.format(
                        java.util.Locale.ROOT,
                        "%.6f %.6f ",
                        slot.dial().low() / 1e6,
                        slot.dial().high() / 1e6)));
        assertThat(text.toString().strip()).isEqualTo(dials);
    }

    @Test
    void whatIsKeptForOtherStationsIsNoSlot() {
        EdgeTable table = EdgeTable.of(
                AMATEUR, PLAN, AMATEUR.traits().classIndex("technician"), Content.bits("data"), Set.of("1.25 m"), 20);
        assertThat(table.slots()).extracting(slot -> slot.span().toString()).containsExactly("222.000–225.000 MHz");
    }
}
