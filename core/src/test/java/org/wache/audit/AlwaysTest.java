package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.wache.audit.cure.ProvedRemedy;
import org.wache.audit.cure.Remedies;
import org.wache.audit.finding.Finding;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;

/** What must hold for any list, tried on seeded random ones. */
class AlwaysTest {

    private static final int LISTS = 60;
    private final RandomLists random = new RandomLists(20_261_125);

    @Test
    void aRemedyCuresItsFindingAndLeavesNobodyWorse() {
        int proved = 0;
        for (int n = 0; n < LISTS; n++) {
            Audit audit = Audits.auditor(Audits.DAY, random.holder()).audit(random.list());
            for (int i = 0; i < audit.entries().size(); i++) {
                Remedies remedies = new Remedies(audit, i);
                for (Finding finding : audit.findings(i)) {
                    for (ProvedRemedy remedy : remedies.of(finding)) {
                        Channel cured = audit.changed(i, remedy.change().fields());
                        Audit again = audit.auditor().audit(audit.list().with(i, cured));
                        assertThat(again.entry(i).verdict()).isEqualTo(remedy.verdictAfter());
                        assertThat(Audit.findings(again.entry(i)))
                                .as("%s cured by %s", finding, remedy.change())
                                .noneMatch(left -> left.slug() == finding.slug() && (left.holds() || !finding.holds()));
                        // Only what is wrong with the entry itself is worth mending though another reason keeps it on
                        // hold.
                        assertThat(remedy.verdictAfter() == Verdict.HOLD)
                                .isEqualTo(!remedy.stillHeld().isEmpty());
                        assertThat(remedy.verdictAfter() == Verdict.HOLD
                                        && finding.service().isPresent()
                                        && finding.holds())
                                .isFalse();
                        proved++;
                    }
                }
            }
        }
        assertThat(proved).isGreaterThan(1000);
    }

    @Test
    void aHigherClassNeverMakesAnEntryWorse() {
        List<Auditor> classes = List.of("novice", "technician", "general", "advanced", "extra").stream()
                .map(name -> Audits.auditor(Audits.DAY, "amateur:" + name))
                .toList();
        for (int n = 0; n < LISTS; n++) {
            ChannelList list = random.list();
            List<Audit> audits =
                    classes.stream().map(auditor -> auditor.audit(list)).toList();
            for (int i = 0; i < list.channels().size(); i++) {
                for (int c = 1; c < audits.size(); c++) {
                    boolean lower = audits.get(c - 1).entry(i).verdict() == Verdict.HOLD;
                    boolean higher = audits.get(c).entry(i).verdict() == Verdict.HOLD;
                    assertThat(higher && !lower)
                            .as("%s for class %d", list.channels().get(i), c)
                            .isFalse();
                }
            }
        }
    }

    @Test
    void narrowerOrWeakerNeverMakesAHoldOfWhatWasNone() {
        for (int n = 0; n < LISTS; n++) {
            Audit audit = Audits.auditor(Audits.DAY, random.holder()).audit(random.list());
            for (int i = 0; i < audit.entries().size(); i++) {
                Channel channel = audit.entry(i).channel();
                if (audit.entry(i).verdict() == Verdict.HOLD
                        || channel.transmit().isEmpty()) {
                    continue;
                }
                if (channel.text(Field.MODE).equals("FM")) {
                    assertThat(audit.tried(i, channel.with(Map.of(Field.MODE, "NFM")))
                                    .verdict())
                            .isNotEqualTo(Verdict.HOLD);
                }
                if (channel.power().isPresent()) {
                    assertThat(audit.tried(i, channel.with(Map.of(Field.POWER_W, "0.1")))
                                    .verdict())
                            .isNotEqualTo(Verdict.HOLD);
                }
            }
        }
    }

    @Test
    void whatWasWrittenIsReadAgain() {
        for (int n = 0; n < LISTS; n++) {
            ChannelList list = random.list();
            assertThat(CsvLists.read(CsvLists.write(list).getBytes(java.nio.charset.StandardCharsets.UTF_8), "random"))
                    .isEqualTo(list);
            assertThat(JsonLists.read(JsonLists.write(list).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
                    .isEqualTo(list);
        }
    }

    @Test
    void oneChangeAuditedAloneIsTheWholeAuditAgain() {
        for (int n = 0; n < LISTS; n++) {
            Audit audit =
                    Audits.auditor(Audits.DAY, random.holder(), random.holder()).audit(random.list());
            int at = random.upTo(audit.entries().size());
            Channel changed = random.channel(at + 1);
            Audit alone = audit.with(at, changed);
            Audit whole = audit.auditor().audit(audit.list().with(at, changed));
            for (int i = 0; i < whole.entries().size(); i++) {
                assertThat(alone.entry(i).verdict()).isEqualTo(whole.entry(i).verdict());
                assertThat(Audits.rules(alone, i)).isEqualTo(Audits.rules(whole, i));
            }
        }
    }

    /** What a change is tried as is what it comes to: also where many share two frequencies with few tones, looked at from every side. */
    @Test
    void whatIsTriedIsWhatTheWholeAuditFinds() {
        String[] tones = {"", "100.0", "103.5"};
        Auditor auditor = Audits.auditor(Audits.DAY, "amateur:technician");
        for (int many = 1; many <= 5; many++) {
            int kinds = (int) Math.pow(tones.length, many);
            for (int mix = 0; mix < kinds; mix++) {
                List<Channel> channels = new java.util.ArrayList<>();
                for (int i = 0, rest = mix; i < many; i++, rest /= tones.length) {
                    channels.add(shared(i, tones[rest % tones.length]));
                }
                ChannelList list = new ChannelList("", List.of(), channels);
                Audit audit = auditor.audit(list);
                for (int i = 0; i < many; i++) {
                    for (String tone : tones) {
                        Channel changed = shared(i, tone);
                        assertThat(told(audit.tried(i, changed)))
                                .as("%s, entry %d with %s", list, i, tone)
                                .isEqualTo(told(
                                        auditor.audit(list.with(i, changed)).entry(i)));
                    }
                }
            }
        }
    }

    private static Channel shared(int number, String tone) {
        return Channel.of(Map.of(
                Field.NUMBER,
                String.valueOf(number + 1),
                Field.RX_MHZ,
                "146.55",
                Field.TX_MHZ,
                "146.55",
                Field.MODE,
                "FM",
                Field.POWER_W,
                "5",
                Field.TX_TONE,
                tone));
    }

    /** Which rules speak; which other entry a message names may differ. */
    private static List<String> told(EntryAudit entry) {
        return Audit.findings(entry).stream()
                .map(finding -> finding.slug().text())
                .sorted()
                .toList();
    }

    /** The result is written as it is worked out, in the list's order however many cores share the work. */
    @Test
    void aLongListIsWrittenInItsOrder() {
        List<Channel> channels = java.util.stream.IntStream.range(0, 1_300)
                .mapToObj(i -> shared(i, i % 3 == 0 ? "100.0" : ""))
                .toList();
        Audit audit = Audits.auditor(Audits.DAY, "amateur:technician").audit(new ChannelList("", List.of(), channels));
        String text = org.wache.exchange.AuditReport.write(audit);
        assertThat(text).isEqualTo(org.wache.exchange.AuditReport.write(audit));
        tools.jackson.databind.JsonNode written = new tools.jackson.databind.ObjectMapper().readTree(text);
        assertThat(written.path("summary").path("channels").asInt()).isEqualTo(1_300);
        assertThat(written.path("channels").valueStream().map(each -> each.path("number")
                        .asString()))
                .containsExactlyElementsOf(
                        channels.stream().map(Channel::number).toList());
    }
}
