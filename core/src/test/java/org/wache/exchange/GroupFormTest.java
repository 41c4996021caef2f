package org.wache.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.table.Guess;
import org.wache.table.Table;
import org.wache.table.TableReading;
import org.wache.table.TextTable;

/** The forms of emergency groups are written in their columns, and what was written is read again as it was. Made-up entries. */
class GroupFormTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-28"));

    private static Channel entry(
            String number, String name, String rx, String tx, String mode, String sends, String opens) {
        return Channel.of(Map.of(
                Field.NUMBER, number,
                Field.NAME, name,
                Field.RX_MHZ, rx,
                Field.TX_MHZ, tx,
                Field.MODE, mode,
                Field.TX_TONE, sends,
                Field.RX_TONE, opens));
    }

    private static final ChannelList LIST = new ChannelList(
            "River",
            List.of(),
            List.of(
                    entry("1", "RIDGE", "146.940", "146.340", "FM", "100.0", ""),
                    entry("2", "LEVEE E", "146.550", "146.550", "FM", "103.5", "103.5"),
                    entry("3", "FERRY", "462.5625", "462.5625", "NFM", "D023", "D023"),
                    entry("4", "WX 1", "162.550", "", "NFM", "", ""),
                    entry("5", "PUMP", "154.600", "154.600", "NFM", "", ""),
                    Channel.of(Map.of(
                            Field.NUMBER, "6",
                            Field.NAME, "BRIDGE",
                            Field.RX_MHZ, "155.340",
                            Field.TX_MHZ, "155.340",
                            Field.MODE, "P25",
                            Field.ACCESS_CODE, "293"))));

    @Test
    void thePlanSaysWidthsModesAndCodesInItsLetters() {
        List<List<String>> rows = GroupForm.COMMUNICATIONS_PLAN.rows(LIST);
        assertThat(rows.get(0))
                .containsExactly("", "1", "Repeater", "RIDGE", "", "146.9400 W", "", "146.3400 W", "100.0", "A", "");
        assertThat(rows.get(3)).startsWith("", "4", "Listen only").contains("162.5500 N", "");
        assertThat(rows.get(5)).endsWith("155.3400 N", "293", "155.3400 N", "293", "D", "P25");
    }

    @ParameterizedTest
    @EnumSource(GroupForm.class)
    void whatWasWrittenIsReadAgain(GroupForm form) {
        List<List<String>> rows = new ArrayList<>();
        rows.add(form.headings());
        rows.addAll(form.rows(LIST));
        String csv = rows.stream()
                .map(row -> row.stream().map(cell -> '"' + cell + '"').collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n"));
        Table table = TextTable.read(csv).unfolded();
        ChannelList read = TableReading.of(table, Guess.of(table, EDITION), EDITION, HouseRules.NONE)
                .list("again");
        assertThat(read.channels()).hasSameSizeAs(LIST.channels());
        for (int i = 0; i < LIST.channels().size(); i++) {
            Channel before = LIST.channels().get(i);
            Channel after = read.channels().get(i);
            assertThat(after.name()).isEqualTo(before.name());
            assertThat(after.receive()).as(before.name()).isEqualTo(before.receive());
            assertThat(after.transmit()).as(before.name()).isEqualTo(before.transmit());
            assertThat(after.mode()).as(before.name()).isEqualTo(before.mode());
            assertThat(after.sends()).as(before.name()).isEqualTo(before.sends());
            assertThat(after.opensOn()).as(before.name()).isEqualTo(before.opensOn());
            assertThat(after.text(Field.ACCESS_CODE)).isEqualTo(before.text(Field.ACCESS_CODE));
        }
    }

    @Test
    void aColumnOfTheListWithAHeadingOfTheFormStandsInIt() {
        ChannelList list = new ChannelList(
                "River",
                List.of("assignment"),
                List.of(Channel.of(Map.of(Field.RX_MHZ, "146.52", Field.TX_MHZ, "146.52"), List.of("Boat teams"))));
        assertThat(GroupForm.COMMUNICATIONS_PLAN.rows(list).get(0).get(4)).isEqualTo("Boat teams");
    }
}
