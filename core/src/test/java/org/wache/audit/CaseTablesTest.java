package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.ListFiles;

/** Tables of entries with what the law, the plan or practice says of them; each row names its source. */
class CaseTablesTest {

    private static final List<Field> FIELDS = List.of(
            Field.RX_MHZ,
            Field.TX_MHZ,
            Field.MODE,
            Field.EMISSION,
            Field.POWER_W,
            Field.TX_TONE,
            Field.RX_TONE,
            Field.USE,
            Field.SERVICE);

    @ParameterizedTest(name = "{13}: {1} MHz {2}{3} {4} W by {9}: {11} {12}")
    @CsvFileSource(
            resources = {"/cases/law.csv", "/cases/plan-and-tone.csv"},
            numLinesToSkip = 1)
    void theVerdictAndExactlyTheseRules(ArgumentsAccessor row) {
        Audit audit = audited(row);
        assertThat(Audits.said(audit)).isEqualTo(Audits.said(row.getString(11), row.getString(12)));
    }

    private static Audit audited(ArgumentsAccessor row) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (int i = 0; i < FIELDS.size(); i++) {
            texts.put(FIELDS.get(i), row.getString(i) == null ? "" : row.getString(i));
        }
        return Audits.auditor(LocalDate.parse(row.getString(10)), row.getString(9))
                .audit(Audits.list(Audits.withCodes(Channel.of(texts))));
    }

    @Test
    void theTableOfTheLawHasAtLeast250RowsAndEachNamesItsSource() throws Exception {
        try (var in = getClass().getResourceAsStream("/cases/law.csv")) {
            var table = ListFiles.read(in.readAllBytes(), "law");
            int source = table.extraColumns().indexOf("source");
            assertThat(table.channels())
                    .hasSizeGreaterThan(250)
                    .allSatisfy(row -> assertThat(row.extras().get(source)).isNotBlank());
        }
    }
}
