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
}
