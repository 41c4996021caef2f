package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.cure.Remedies;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;
import org.wache.place.Area;
import org.wache.place.Region;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/**
 * Entries as somebody who knows the law by heart holds them: the exact verdict, exactly these rules, and these cures among those offered
 * (one with an exclamation mark must not be). Each row names its source; all of them are from memory.
 */
class ExpertTest {

    private static final List<Field> FIELDS = List.of(
            Field.NAME,
            Field.RX_MHZ,
            Field.TX_MHZ,
            Field.MODE,
            Field.EMISSION,
            Field.POWER_W,
            Field.TX_TONE,
            Field.RX_TONE,
            Field.USE,
            Field.SERVICE);

    @ParameterizedTest(name = "{0}: {1} {2}/{3} MHz {4}{5} {6} W {9} by {11} {12}: {14} {15}")
    @CsvFileSource(resources = "/cases/expert.csv", numLinesToSkip = 1)
    void entry(ArgumentsAccessor row) {
        Audit audit = audited(row);
        assertThat(rules(audit))
                .as("rules")
                .isEqualTo(new TreeSet<>(
                        row.getString(15) == null
                                ? List.of()
                                : List.of(row.getString(15).replace("|", "").split(" "))));
        assertThat(audit.entry(0).verdict().text()).isEqualTo(row.getString(14));
        List<String> offered = audit.findings(0).stream()
                .flatMap(finding -> new Remedies(audit, 0).of(finding).stream())
                .map(cure -> cure.change().label())
                .toList();
        Stream.of(Optional.ofNullable(row.getString(16)).orElse("").split(";"))
                .filter(cure -> !cure.isEmpty())
                .forEach(cure -> {
                    if (cure.startsWith("!")) {
                        assertThat(offered).doesNotContain(cure.substring(1));
                    } else {
                        assertThat(offered).contains(cure);
                    }
                });
        assertThat(row.getString(17)).as("source").isNotBlank();
    }

    private static TreeSet<String> rules(Audit audit) {
        TreeSet<String> rules = new TreeSet<>();
        audit.findings(0).forEach(finding -> rules.add(finding.slug().text()));
        return rules;
    }

    private static Audit audited(ArgumentsAccessor row) {
        Map<Field, String> texts = new EnumMap<>(Field.class);
        for (int i = 0; i < FIELDS.size(); i++) {
            texts.put(FIELDS.get(i), row.getString(i + 1) == null ? "" : row.getString(i + 1));
        }
        String[] holder = row.getString(11).split(";");
        LocalDate day = row.getString(13) == null ? Audits.DAY : LocalDate.parse(row.getString(13));
        Edition edition =
                RulebookReader.shipped(holder.length == 2 ? holder[0] : "us").on(day);
        Optional<Area> where = Optional.ofNullable(row.getString(12)).map(Region::new);
        AuditContext context = AuditContext.of(
                        edition, day, List.of(HolderShorthand.holder(holder[holder.length - 1], edition)))
                .at(where);
        return new Auditor(Register.ALL, context).audit(Audits.list(Channel.of(texts)));
    }

    /** So that no row is lost. */
    @org.junit.jupiter.api.Test
    void theTableIsRead() throws Exception {
        try (var in = getClass().getResourceAsStream("/cases/expert.csv")) {
            assertThat(Arrays.stream(
                            new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8).split("\n")))
                    .hasSizeGreaterThan(90);
        }
    }
}
