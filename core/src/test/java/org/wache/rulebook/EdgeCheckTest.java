package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.signal.Content;
import org.wache.signal.Span;

/** Slots of a transceiver against those of a class. Edges: 47 CFR 97.301(b), (d) and 97.305(c), from memory. */
class EdgeCheckTest {

    private static final Edition EDITION = RulebookReader.shipped("us").on(LocalDate.parse("2026-11-25"));

    private static EdgeTable twenty(String licenceClass) {
        BandService amateur = EDITION.planned().orElseThrow();
        return EdgeTable.of(
                amateur,
                EDITION.plan(),
                amateur.traits().classIndex(licenceClass),
                Content.bits("ssb ssb-reduced phone phone-low-index"),
                Set.of("20 m"),
                10);
    }

    @ParameterizedTest
    @CsvSource({
        // class, entered, how it stands, hertz below, hertz above; the dial of upper sideband stays 2.8 kHz below the
        // edge
        "extra, 14.150-14.3471, SAME, 0, 0",
        "general, 14.225-14.3471, SAME, 0, 0",
        "general, 14.230-14.300, NARROWER, 0, 0",
        "general, 14.150-14.3471, WIDER, 75000, 0",
        "general, 14.225-14.350, WIDER, 0, 2900",
        "extra, 14.000-14.400, WIDER, 150000, 52900",
        "extra, 27.000-27.400, NOTHING, 0, 0",
    })
    void aSlotIsTheTablesOrNarrowerOrWider(String licenceClass, String entered, String kind, long below, long above) {
        EdgeCheck.Line line = EdgeCheck.of(twenty(licenceClass), List.of(Span.ofMegahertz(entered)), List.of())
                .lines()
                .get(0);
        assertThat(line.kind().name()).isEqualTo(kind);
        assertThat(line.belowHz()).isEqualTo(below);
        assertThat(line.aboveHz()).isEqualTo(above);
    }

    @Test
    void whatNoSlotReachesIntoIsMissing() {
        assertThat(EdgeCheck.of(twenty("extra"), List.of(), List.of()).missing())
                .hasSize(1);
        assertThat(EdgeCheck.of(twenty("extra"), List.of(Span.ofMegahertz("14.2-14.3")), List.of())
                        .missing())
                .isEmpty();
    }
}
