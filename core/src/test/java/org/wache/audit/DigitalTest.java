package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.HouseRules;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.channel.Misread;
import org.wache.channel.TalkGroup;
import org.wache.exchange.ContextFile;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;
import org.wache.rulebook.RulebookReader;
import org.wache.site.Keying;
import org.wache.typed.AddLine;

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

    /** A radio that holds two talk groups calls no third; the same one twice counts once. Common practice, no source. */
    @Test
    void aRadioHoldsOnlySoManyTalkGroups() {
        Radio two = Radio.of(RadioReader.model(
                "{\"model\":\"Two groups\",\"modes\":[\"DMR\"],\"talkGroups\":2}".getBytes(StandardCharsets.UTF_8)));
        ChannelList list = new ChannelList(
                "groups",
                List.of(),
                List.of(
                        channel(PAIR + "number=1 mode=DMR colour_code=1 time_slot=2 talk_group=9"),
                        channel(PAIR + "number=2 mode=DMR colour_code=1 time_slot=1 talk_group=91"),
                        channel(PAIR + "number=3 mode=DMR colour_code=2 time_slot=1 talk_group=9"),
                        channel(PAIR + "number=4 mode=DMR colour_code=1 time_slot=1 talk_group=92")));
        Audit audit = new Auditor(
                        Register.ALL,
                        Audits.of("amateur:technician", list.channels().get(0))
                                .auditor()
                                .context()
                                .forRadios(List.of(two)))
                .audit(list);
        assertThat(Audits.rules(audit, 2)).doesNotContain("radio-capacity");
        assertThat(Audits.rules(audit, 3)).contains("radio-capacity");
        assertThat(audit.findings(3).stream()
                        .filter(each -> each.slug() == Slug.RADIO_CAPACITY)
                        .map(each -> each.message()))
                .containsExactly("Two groups holds 2 talk groups, and 92 is number 3 of the list: it cannot call it.");
    }

    /** 47 CFR 90.425, from memory: who scrambles still sends a call sign that anybody can read. */
    @ParameterizedTest
    @CsvSource({"encrypt=on, query", "encrypt=off, clear"})
    void aStationThatScramblesIdentifiesInTheClear(String encrypted, String verdict) {
        String csv =
                "number,name,rx_mhz,tx_mhz,emission,power_w,timeout_s,encrypt\n1,FERRY,451.8000,451.8000,11K2F3E,4,60,"
                        + encrypted.substring(encrypted.indexOf('=') + 1) + "\n";
        ChannelList list = CsvLists.read(csv.getBytes(StandardCharsets.UTF_8), "ferry");
        String context =
                """
                {"format":"wache-context/1","site":{"latitude":45.2,"longitude":-93.1},"holders":[{"name":"Ferry","licences":[
                 {"service":"land-mobile","callSign":"WZZB202","expires":"2033-06-30","lines":[
                  {"mhz":"451.8000","emission":"11K2F3E","outputW":5,"units":20,"area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}}]}]}]}
                """;
        ContextFile file = ContextFile.read(context.getBytes(StandardCharsets.UTF_8));
        LocalDate day = LocalDate.parse("2026-11-25");
        Audit audit = new Auditor(
                        Register.ALL, file.under(RulebookReader.shipped("us").on(day), day, file.holders()))
                .audit(list);
        assertThat(Audits.rules(audit, 0).contains("hidden-meaning")).isEqualTo(verdict.equals("query"));
        assertThat(audit.entry(0).verdict().text()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // what an entry calls | what is asked | the cure
                "time_slot=2 talk_group=3100 | |",
                "time_slot=2 talk_group=3100 contact=VALLEY | |",
                "time_slot=1 talk_group=99 | |",
                "time_slot=2 talk_group=3102 | not in the group's list |",
                "time_slot=2 talk_group=3102 contact=valley | not in the group's list | Call Valley, 3100",
                "time_slot=2 talk_group=3100 contact=Levee | is Valley in the group's list, not Levee | Call it Valley",
                "time_slot=1 talk_group=3100 | is on slot 2 in the group's list, not on slot 1 | Take slot 2",
            })
    void aTalkGroupIsHeldAgainstTheGroupsList(String fields, String asked, String cure) {
        String context =
                """
                {"format":"wache-context/1","houseRules":{"talkGroups":[{"number":3100,"name":"Valley","slot":2},{"number":99,"name":"Direct"}]},
                 "holders":[{"name":"T","licences":[{"service":"amateur","class":"technician"}]}]}
                """;
        ContextFile file = ContextFile.read(context.getBytes(StandardCharsets.UTF_8));
        LocalDate day = LocalDate.parse("2026-11-25");
        Audit audit = new Auditor(
                        Register.ALL, file.under(RulebookReader.shipped("us").on(day), day, file.holders()))
                .audit(Audits.list(channel(PAIR + "mode=DMR colour_code=1 " + fields)));
        List<Finding> found = audit.findings(0).stream()
                .filter(each -> each.slug() == Slug.TALK_GROUP)
                .toList();
        assertThat(found).hasSize(asked == null ? 0 : 1);
        if (asked != null) {
            assertThat(found.get(0).holds()).isFalse();
            assertThat(found.get(0).message()).contains(asked);
            assertThat(found.get(0).cures().stream().map(Change::label))
                    .containsExactlyElementsOf(cure == null ? List.of() : List.of(cure));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "445.925 dmr cc1 tg 3100 | 3100 | Valley",
                "445.925 dmr cc1 tg valley | 3100 | Valley",
                "445.925 cc1 tg net control | 3101 | Net Control",
                "445.925 cc1 tg 7 | 7 |",
            })
    void aTalkGroupIsUnderstoodByItsName(String line, String number, String contact) {
        HouseRules house = new HouseRules(
                Optional.empty(),
                OptionalInt.empty(),
                OptionalInt.empty(),
                Keying.NONE,
                List.of(
                        new TalkGroup(3100, "Valley", OptionalInt.of(2), ""),
                        new TalkGroup(3101, "Net Control", OptionalInt.empty(), "")));
        Map<Field, String> fields = AddLine.read(
                        line, RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25")), house)
                .best()
                .fields();
        assertThat(fields).containsEntry(Field.TALK_GROUP, number).containsEntry(Field.MODE, "DMR");
        assertThat(fields.getOrDefault(Field.CONTACT, "")).isEqualTo(contact == null ? "" : contact);
        assertThat(fields.getOrDefault(Field.NAME, "").toLowerCase(java.util.Locale.ROOT))
                .as("the name of the talk group is not the entry's")
                .doesNotContain("valley")
                .doesNotContain("control");
    }
}
