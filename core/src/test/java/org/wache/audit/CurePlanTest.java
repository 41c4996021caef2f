package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.cure.CurePlan;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** The least intrusive cures of a whole list; which cure is least is common practice, no source. */
class CurePlanTest {

    private static Audit audited(String holder, String... entries) {
        return Audits.of(
                holder,
                Arrays.stream(entries)
                        .map(each -> RulePage.entry("", each).channel())
                        .toArray(Channel[]::new));
    }

    @ParameterizedTest(name = "{0}: {1} becomes {2}={3}")
    @CsvSource({
        "gmrs,rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5,POWER_W,0.5",
        "nobody,rx_mhz=462.562 tx_mhz=462.562 mode=NFM power_w=0.5,TX_MHZ,462.5625",
        "amateur:technician,rx_mhz=147.994 tx_mhz=147.994 mode=FM power_w=5,MODE,NFM",
        "amateur:technician,rx_mhz=29.600 tx_mhz=29.600 mode=FM power_w=5,TX_MHZ,''",
        "nobody,rx_mhz=155.475 tx_mhz=155.475 mode=NFM power_w=5,TX_MHZ,''"
    })
    void theLeastIntrusiveCureIsTaken(String holder, String entry, Field field, String text) {
        CurePlan plan = CurePlan.of(audited(holder, entry), CurePlan.Scope.HOLDS);
        assertThat(plan.steps()).hasSize(1);
        assertThat(plan.steps().get(0).changes()).containsEntry(field, text);
        assertThat(plan.steps().get(0).before()).isEqualTo(Verdict.HOLD);
        assertThat(plan.steps().get(0).after()).isNotEqualTo(Verdict.HOLD);
        assertThat(plan.left()).isEmpty();
    }

    @Test
    void queriesAreLeftAloneUnlessAskedFor() {
        Audit audit = audited("amateur:technician", "rx_mhz=146.530 tx_mhz=146.530 mode=FM power_w=5");
        assertThat(CurePlan.of(audit, CurePlan.Scope.HOLDS).steps()).isEmpty();
        CurePlan plan = CurePlan.of(audit, CurePlan.Scope.HOLDS_AND_QUERIES);
        assertThat(plan.steps()).extracting(CurePlan.Step::after).containsExactly(Verdict.CLEAR);
    }

    @Test
    void aQueryIsNoReasonToStopAnEntryFromTalking() {
        Audit audit = audited("amateur:technician", "rx_mhz=146.940 tx_mhz=146.940 mode=FM power_w=5");
        assertThat(CurePlan.of(audit, CurePlan.Scope.HOLDS_AND_QUERIES).steps())
                .allSatisfy(step -> assertThat(step.changes().get(Field.TX_MHZ)).isNotEqualTo(""));
    }

    @Test
    void ofTwoExactCopiesTheLaterIsDroppedAndCalledSo() {
        String copy = " rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5";
        Audit audit = audited("amateur:technician", "number=1" + copy, "number=2" + copy);
        CurePlan plan = CurePlan.of(audit, CurePlan.Scope.HOLDS_AND_QUERIES);
        assertThat(plan.steps()).hasSize(1);
        assertThat(plan.steps().get(0).drop()).isTrue();
        assertThat(plan.steps().get(0).position()).isEqualTo(1);
        assertThat(plan.after().entries()).hasSize(1);
    }

    @Test
    void curesOfOneEntryAreMadeWithThoseOfTheOthersInMind() {
        Audit audit = audited(
                "gmrs",
                "number=1 rx_mhz=467.5625 tx_mhz=467.5625 mode=NFM power_w=5",
                "number=1 rx_mhz=467.5875 tx_mhz=467.5875 mode=FM power_w=5",
                "number=2 rx_mhz=462.550 tx_mhz=462.550 mode=FM power_w=5");
        CurePlan plan = CurePlan.of(audit, CurePlan.Scope.HOLDS);
        assertThat(plan.left()).isEmpty();
        assertThat(plan.after().counts().get(Verdict.HOLD)).isZero();
        List<String> numbers =
                plan.after().list().channels().stream().map(Channel::number).toList();
        assertThat(numbers).doesNotHaveDuplicates();
    }

    @Test
    void whatTheStepsSayIsWhatTheListBecomes() {
        Audit audit = audited(
                "amateur:general",
                "number=1 rx_mhz=14.200 tx_mhz=14.200 mode=USB power_w=100",
                "number=2 rx_mhz=146.520 tx_mhz=146.520 mode=FM power_w=5",
                "number=3 rx_mhz=147.995 tx_mhz=147.995 mode=FM power_w=5");
        CurePlan plan = CurePlan.of(audit, CurePlan.Scope.HOLDS);
        Audit now = audit;
        for (CurePlan.Step step : plan.steps()) {
            Map<Field, String> changes = step.changes();
            now = now.with(step.position(), now.changed(step.position(), changes));
        }
        assertThat(now.list().channels()).isEqualTo(plan.after().list().channels());
        for (CurePlan.Step step : plan.steps()) {
            assertThat(now.entry(step.position()).verdict()).isEqualTo(step.after());
        }
    }
}
