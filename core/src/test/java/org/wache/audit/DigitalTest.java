package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.channel.Misread;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;

/**
 * Digital channels. The ranges of colour codes, slots and talk groups are those of ETSI TS 102 361, of access codes those of
 * TIA-102 and the NXDN common air interface, from memory; that a direct channel needs no slot is common practice, no source.
 */
class DigitalTest {

    private static Channel channel(String fields) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (String pair : fields.trim().split("\\s+")) {
            String[] sides = pair.split("=");
            texts.put(Field.ofColumn(sides[0]).orElseThrow(), sides[1]);
        }
        return Channel.of(texts);
    }

    private static final String PAIR = "rx_mhz=442.425 tx_mhz=447.425 power_w=5 ";
    private static final String DIRECT = "rx_mhz=446.500 tx_mhz=446.500 power_w=5 ";

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                PAIR + "mode=DMR | query: digital-incomplete",
                PAIR + "mode=DMR colour_code=1 time_slot=2 | query: digital-incomplete",
                PAIR + "mode=DMR colour_code=1 talk_group=9 | query: digital-incomplete",
                PAIR + "mode=DMR colour_code=1 time_slot=2 talk_group=9 | clear: ",
                PAIR + "mode=DMR colour_code=0 time_slot=1 talk_group=16777215 | clear: ",
                DIRECT + "mode=DMR colour_code=1 talk_group=99 | clear: ",
                DIRECT + "mode=DMR colour_code=1 talk_group=99 time_slot=1 | query: digital-astray",
                DIRECT + "mode=P25 | query: digital-incomplete",
                DIRECT + "mode=P25 access_code=293 | clear: ",
                DIRECT + "mode=NXDN | query: digital-incomplete",
                DIRECT + "mode=NXDN access_code=63 | clear: ",
                DIRECT + "mode=C4FM | clear: ",
                DIRECT + "mode=DSTAR access_code=99 | clear: ",
                DIRECT + "mode=FM colour_code=1 | query: digital-astray",
                DIRECT + "mode=FM access_code=12 | query: digital-astray",
                DIRECT + "mode=DMR colour_code=16 talk_group=9 | hold: unreadable",
                DIRECT + "mode=DMR colour_code=1 talk_group=0 | hold: unreadable",
                DIRECT + "mode=DMR colour_code=1 talk_group=16777216 | hold: unreadable",
                PAIR + "mode=DMR colour_code=1 time_slot=3 talk_group=9 | hold: unreadable",
                DIRECT + "mode=P25 access_code=29 | hold: unreadable",
                DIRECT + "mode=P25 access_code=2G3 | hold: unreadable",
                DIRECT + "mode=NXDN access_code=64 | hold: unreadable",
                // digital voice where only analogue is allowed: 47 CFR 95.571, 95.1771, 95.2771, 95.971
                "rx_mhz=462.5875 tx_mhz=462.5875 power_w=0.5 mode=C4FM | hold: emission-not-allowed not-licensed",
                "rx_mhz=154.570 tx_mhz=154.570 power_w=2 mode=DSTAR | hold: emission-not-allowed",
                "rx_mhz=27.185 tx_mhz=27.185 power_w=4 mode=M17 | hold: emission-not-allowed",
                // sound-card modes in the data segments of 47 CFR 97.305(c)
                "rx_mhz=14.074 tx_mhz=14.074 power_w=25 mode=FT8 | hold: class-too-low",
                "rx_mhz=28.074 tx_mhz=28.074 power_w=25 mode=FT8 | clear: ",
                "rx_mhz=28.120 tx_mhz=28.120 power_w=25 mode=PSK31 | clear: ",
                "rx_mhz=28.080 tx_mhz=28.080 power_w=25 mode=RTTY | clear: ",
            })
    void theVerdict(String entry, String said) {
        Audit audit = Audits.of("amateur:technician", channel(entry));
        String[] sides = said.split(": ?", 2);
        assertThat(audit.entry(0).verdict().text()).isEqualTo(sides[0]);
        for (String rule : sides[1].split(" ")) {
            if (!rule.isEmpty() && !rule.equals("not-licensed")) {
                assertThat(Audits.rules(audit, 0)).contains(rule);
            }
        }
        if (sides[1].isEmpty()) {
            assertThat(Audits.rules(audit, 0)).isEmpty();
        }
    }

    @Test
    void whatIsMissingIsNamed() {
        Audit audit = Audits.of("amateur:technician", channel(PAIR + "mode=DMR"));
        assertThat(audit.findings(0).get(0).message())
                .isEqualTo("DMR needs a colour code and a time slot and a talk group, and the entry has none.");
    }

    /** Two talk groups on one repeater are two channels; the same one twice is one. */
    @Test
    void talkGroupsTellEntriesApart() {
        Channel one = channel(PAIR + "number=1 mode=DMR colour_code=1 time_slot=2 talk_group=9");
        Channel other = channel(PAIR + "number=2 mode=DMR colour_code=1 time_slot=2 talk_group=3100");
        assertThat(Audits.rules(Audits.of("amateur:technician", one, other), 1)).isEmpty();
        Channel same = one.with(Map.of(Field.NUMBER, "3"));
        assertThat(Audits.rules(Audits.of("amateur:technician", one, other, same), 2))
                .containsExactly("duplicate-channel");
        assertThat(Audits.rules(Audits.of("amateur:technician", one, other, same), 1))
                .isEmpty();
    }

    @Test
    void theCureOfASlotOnADirectChannelTakesItOut() {
        Audit audit =
                Audits.of("amateur:technician", channel(DIRECT + "mode=DMR colour_code=1 talk_group=99 time_slot=1"));
        assertThat(audit.findings(0).get(0).cures()).singleElement().satisfies(cure -> assertThat(cure.fields())
                .isEqualTo(Map.of(Field.TIME_SLOT, "")));
    }

    /** Columns that a list does not use are not written: the files of before stay as they were. */
    @Test
    void theColumnsAreWrittenWhereTheyAreUsedAndReadBack() {
        ChannelList plain = Audits.list(channel("number=1 " + DIRECT + "mode=FM"));
        assertThat(CsvLists.write(plain)).doesNotContain("colour_code");
        ChannelList digital = new ChannelList(
                "digital",
                List.of(),
                List.of(
                        channel("number=1 " + PAIR
                                + "mode=DMR colour_code=1 time_slot=2 talk_group=3100 contact=Valley"),
                        channel("number=2 " + DIRECT + "mode=P25 access_code=293"),
                        channel("number=3 " + DIRECT + "mode=FM")));
        String csv = CsvLists.write(digital);
        assertThat(csv.lines().findFirst().orElseThrow())
                .endsWith("timeout_s,note,colour_code,time_slot,talk_group,contact,access_code");
        assertThat(CsvLists.read(csv.getBytes(java.nio.charset.StandardCharsets.UTF_8), "digital"))
                .isEqualTo(digital);
        String json = JsonLists.write(digital);
        assertThat(json).contains("\"colourCode\" : \"1\"", "\"talkGroup\" : \"3100\"", "\"accessCode\" : \"293\"");
        assertThat(JsonLists.read(json.getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
                .isEqualTo(digital);
    }

    @Test
    void whatCannotBeReadNamesItsRange() {
        assertThat(channel(PAIR + "mode=DMR colour_code=1x").misreads())
                .extracting(Misread::expected)
                .containsExactly("a colour code, 0 to 15");
    }
}
