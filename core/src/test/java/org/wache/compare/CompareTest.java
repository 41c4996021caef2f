package org.wache.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.wache.audit.RulePage;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** Lists compared and merged. */
class CompareTest {

    private static Item item(Integer identity, String fields) {
        return new Item(
                Optional.ofNullable(identity).map(Integer::longValue),
                RulePage.entry("", fields).channel());
    }

    private static final String RIDGE = "number=1 name=Ridge rx_mhz=146.94 tx_mhz=146.34 mode=FM";
    private static final String WEIR = "number=2 name=Weir rx_mhz=147.135 tx_mhz=147.735 mode=FM";
    private static final String WX = "number=3 name=Wx rx_mhz=162.4 mode=FM";

    private static List<String> words(List<Item> before, List<Item> after) {
        return ListDifference.of(before, after).rows().stream()
                .map(row -> String.join("; ", row.words()))
                .toList();
    }

    @Test
    void whatBecameOfAListIsSaidInRadioTerms() {
        List<Item> before = List.of(item(null, RIDGE), item(null, WEIR), item(null, WX));
        List<Item> after = List.of(
                item(null, RIDGE.replace("146.34", "147.54") + " tx_tone=100.0"),
                item(null, WEIR),
                item(null, "number=4 name=Calling rx_mhz=146.52 tx_mhz=146.52 mode=FM"));
        assertThat(words(before, after))
                .containsExactly(
                        "talks on 147.540 MHz instead of 146.340 MHz; sends 100.0 instead of no tone",
                        "new: hears 146.520 MHz, direct",
                        "gone: hears 162.400 MHz, listens only");
        assertThat(ListDifference.of(before, after).same()).isEqualTo(1);
    }

    @Test
    void writtenOtherwiseIsNoDifference() {
        assertThat(words(List.of(item(null, "number=1 rx_mhz=146.520")), List.of(item(null, "number=1 rx_mhz=146.52"))))
                .isEmpty();
    }

    @Test
    void anotherOrderIsSeen() {
        List<Item> before = List.of(item(null, RIDGE), item(null, WEIR));
        assertThat(ListDifference.of(before, List.of(before.get(1), before.get(0)))
                        .moved())
                .isTrue();
        assertThat(ListDifference.of(before, before).moved()).isFalse();
    }

    @Test
    void identityCountsMoreThanLikeness() {
        List<Item> before = List.of(item(1, RIDGE), item(2, WEIR));
        List<Item> after =
                List.of(item(2, RIDGE.replace("number=1", "number=2")), item(1, WEIR.replace("number=2", "number=1")));
        assertThat(Matching.of(before, after).right(0)).isEqualTo(1);
    }

    private static List<String> merged(List<Item> base, List<Item> mine, List<Item> theirs) {
        return Merge.of(base, mine, theirs).rows().stream()
                .map(row -> row.kind() + " " + String.join("; ", row.words())
                        + (row.conflicts().isEmpty() ? "" : " " + row.conflicts()))
                .toList();
    }

    @Test
    void whatOnlyOneSideChangedIsTakenAndBothIsAConflict() {
        List<Item> base = List.of(item(1, RIDGE), item(2, WEIR), item(3, WX));
        List<Item> mine = List.of(item(1, RIDGE + " power_w=5"), item(2, WEIR + " tx_tone=100.0"), item(3, WX));
        List<Item> theirs = List.of(
                item(1, RIDGE + " tx_tone=88.5"), item(2, WEIR + " tx_tone=114.8"), item(4, "number=9 rx_mhz=146.52"));
        assertThat(merged(base, mine, theirs))
                .containsExactly(
                        "TAKE sends 88.5 instead of no tone",
                        "CONFLICT sends 114.8 instead of 100.0 [TX_TONE]",
                        "REMOVE taken out there",
                        "ADD new there");
        Merge.Row take = Merge.of(base, mine, theirs).rows().get(0);
        assertThat(take.merged().orElseThrow().text(Field.POWER_W)).isEqualTo("5"); // mine stays
    }

    @Test
    void takenOutOnOneSideAndChangedOnTheOtherIsSaid() {
        List<Item> base = List.of(item(1, RIDGE), item(2, WEIR));
        assertThat(merged(base, List.of(item(1, RIDGE + " power_w=5"), item(2, WEIR)), List.of(item(2, WEIR))))
                .containsExactly("GONE_THERE taken out there, changed here");
        assertThat(merged(base, List.of(item(2, WEIR)), List.of(item(1, RIDGE + " power_w=5"), item(2, WEIR))))
                .containsExactly("GONE_HERE power 5 W");
        assertThat(merged(base, List.of(item(2, WEIR)), List.of(item(2, WEIR)))).isEmpty();
    }

    @Test
    void whatBothChangedAlikeOrAddedAlikeIsDone() {
        List<Item> base = List.of(item(1, RIDGE));
        List<Item> mine = List.of(item(1, RIDGE + " tx_tone=100.0"), item(7, WX));
        List<Item> theirs = List.of(item(1, RIDGE + " tx_tone=100.0"), item(8, WX));
        assertThat(merged(base, mine, theirs)).isEmpty();
    }

    private static List<Item> changed(List<Item> base, Random random) {
        List<Item> items = new ArrayList<>();
        for (Item each : base) {
            int what = random.nextInt(6);
            if (what == 0) {
                continue;
            }
            Field field = Field.values()[random.nextInt(Field.values().length)];
            Channel channel =
                    what == 1 ? each.channel().with(Map.of(field, String.valueOf(random.nextInt(4)))) : each.channel();
            items.add(new Item(each.identity(), channel));
        }
        return items;
    }

    @Test
    void mergingWithWhatNobodyChangedIsTheOtherSide() {
        Random random = new Random(11);
        for (int round = 0; round < 400; round++) {
            List<Item> base = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                base.add(item(i, "number=" + i + " rx_mhz=146." + (100 + random.nextInt(800))));
            }
            List<Item> theirs = changed(base, random);
            assertThat(Merge.of(base, theirs, base).rows()).isEmpty(); // they changed nothing
            List<Merge.Row> rows = Merge.of(base, base, theirs).rows();
            assertThat(rows).allMatch(row -> row.conflicts().isEmpty());
            List<String> result = new ArrayList<>();
            for (int i = 0; i < base.size(); i++) {
                int place = i;
                Optional<Merge.Row> row = rows.stream()
                        .filter(each -> each.mine().equals(Optional.of(place)))
                        .findFirst();
                if (row.isEmpty() || row.get().kind() != Merge.Kind.REMOVE) {
                    result.add(row.flatMap(Merge.Row::merged)
                            .orElse(base.get(i).channel())
                            .toString());
                }
            }
            assertThat(result)
                    .isEqualTo(theirs.stream()
                            .map(each -> each.channel().toString())
                            .toList());
        }
    }
}
