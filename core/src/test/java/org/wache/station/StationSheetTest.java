package org.wache.station;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.sf.geographiclib.Geodesic;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audit;
import org.wache.audit.Audits;
import org.wache.audit.finding.Sum;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.rulebook.CoaxTable;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;

/** Figures of stations against worked examples. */
class StationSheetTest {

    private static Station station(double watts, String line, double metres, double gain) {
        return new Station(
                Station.Kind.BASE,
                watts,
                Optional.ofNullable(line),
                metres,
                0,
                gain,
                9,
                1,
                false,
                Optional.empty(),
                1.5,
                13.8,
                Optional.empty(),
                Optional.of(50.0));
    }

    private static Channel entry(String megahertz, String mode, String watts) {
        return Channel.of(
                Map.of(Field.RX_MHZ, megahertz, Field.TX_MHZ, megahertz, Field.MODE, mode, Field.POWER_W, watts));
    }

    private static StationSheet sheet(Station station, String holder, Channel... channels) {
        Audit audit = Audits.of(holder, channels);
        List<Integer> all =
                java.util.stream.IntStream.range(0, channels.length).boxed().toList();
        return StationSheet.of(station, audit, all, all);
    }

    private static Figure figure(List<Figure> figures, String id) {
        return figures.stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
    }

    private static double amount(StationSheet sheet, String id) {
        return Double.parseDouble(figure(sheet.entries().get(0).figures(), id).amount());
    }

    /** 5 W into 3 dBd is 10 W ERP; a dipole's EIRP is 1.64 times its ERP; 5 W against 8 W is 2.0 dB. */
    @Test
    void radiatedPower() {
        StationSheet sheet = sheet(station(5, null, 0, 3), "gmrs", entry("462.5500", "FM", "5"));
        assertThat(amount(sheet, "erp")).isCloseTo(10, within(0.05));
        assertThat(amount(sheet, "eirp")).isCloseTo(16.4, within(0.05));
        assertThat(new Watts(8).dbm() - new Watts(5).dbm()).isCloseTo(2.0, within(0.05));
    }

    /** OET Bulletin 65 equation 6, half-wave dipole, 50 W FM at 146 MHz: 2.89 m general, told as 2.9, 1.29 m occupational; exempt from 3.61 m. */
    @Test
    void exposureAsWorkedByHand() {
        StationSheet sheet = sheet(station(50, null, 0, 0), "amateur:technician", entry("146.000", "FM", "50"));
        assertThat(amount(sheet, "exposure-general")).isEqualTo(2.9);
        assertThat(amount(sheet, "exposure-occupational")).isEqualTo(1.3);
        assertThat(amount(sheet, "exempt")).isEqualTo(3.61);
    }

    @Test
    void sidebandKeyedAFifthOfTheTimeIsLess() {
        StationSheet sheet = sheet(station(100, null, 0, 0), "amateur:general", entry("28.400", "USB", "100"));
        assertThat(amount(sheet, "exposure-general"))
                .as("100 W at 28.4 MHz, duty 0.2: 1.73 m, rounded up")
                .isEqualTo(1.8);
        Station processed = new Station(
                Station.Kind.BASE,
                100,
                Optional.empty(),
                0,
                0,
                0,
                9,
                1,
                true,
                Optional.empty(),
                1.5,
                13.8,
                Optional.empty(),
                Optional.empty());
        assertThat(amount(sheet(processed, "amateur:general", entry("28.400", "USB", "100")), "duty"))
                .isEqualTo(50);
    }

    /** Each transmitter alone is within the limit where people are; the shares are added. */
    @Test
    void severalTransmittersAreAdded() {
        Station near = new Station(
                Station.Kind.MOBILE,
                50,
                Optional.empty(),
                0,
                0,
                0,
                2,
                1,
                false,
                Optional.of(3.0),
                1.5,
                13.8,
                Optional.empty(),
                Optional.empty());
        StationSheet one = sheet(near, "amateur:technician", entry("146.000", "FM", "50"));
        StationSheet two =
                sheet(near, "amateur:technician", entry("146.000", "FM", "50"), entry("146.520", "FM", "50"));
        double alone =
                Double.parseDouble(figure(one.together(), "together-general").amount());
        assertThat(alone).as("(2.89 ÷ 3)²").isCloseTo(100 * Math.pow(2.885 / 3, 2), within(0.6));
        assertThat(Double.parseDouble(figure(two.together(), "together-general").amount()))
                .isCloseTo(2 * alone, within(1.0));
    }

    @Test
    void oneTransmitterCountsWithItsWorstEntry() {
        Audit audit = Audits.of(
                "amateur:technician",
                entry("446.000", "FM", "5"),
                entry("146.520", "FM", "50"),
                entry("147.000", "FM", "5"));
        StationSheet sheet = StationSheet.of(station(50, null, 0, 0), audit, List.of(0, 1, 2), List.of());
        assertThat(sheet.added()).containsExactly(1);
        assertThat(StationSheet.of(station(50, null, 0, 0), audit, List.of(0, 1, 2), List.of(0, 2))
                        .added())
                .containsExactly(0, 2);
    }

    @Test
    void aLimitIsHeldAgainstWhatComesOfTheAntenna() {
        StationSheet over = sheet(station(5, null, 0, 6), "gmrs", entry("462.5625", "NFM", "5"));
        assertThat(over.entries().get(0).limit()).get().satisfies(limit -> {
            assertThat(limit.measure()).isEqualTo("ERP");
            assertThat(limit.limit().value()).isEqualTo(5);
            assertThat(limit.watts().value()).isCloseTo(19.9, within(0.1));
            assertThat(limit.over()).isTrue();
        });
        assertThat(over.entries().get(0).findings()).isNotEmpty();
        StationSheet within = sheet(station(5, "RG-58", 20, 6), "gmrs", entry("462.5625", "NFM", "5"));
        assertThat(within.entries().get(0).limit().orElseThrow().over())
                .as("8 dB of line for 6 dB of gain")
                .isFalse();
    }

    /** 468 ÷ f feet: 28.4 MHz is 16.48 ft in all, legs 8.24 ft; a quarter wave for 146–148 MHz is 0.48 to 0.49 m. */
    @Test
    void lengths() {
        assertThat(Lengths.halfWaveFt(28.4)).isCloseTo(16.48, within(0.005));
        assertThat(Lengths.halfWaveFt(28.4) / 2).isCloseTo(8.24, within(0.005));
        assertThat(Lengths.quarterWaveM(146)).isBetween(0.48, 0.49);
        assertThat(Lengths.quarterWaveM(148)).isBetween(0.48, 0.49);
        assertThat(Lengths.halfWaveM(28.4)).isCloseTo(Lengths.halfWaveFt(28.4) * 0.3048, within(0.01));
    }

    /** By hand: 8.24 ft are 8 ft and 0.24 × 12 = 2.88 in, to the eighth 2⅞. */
    @ParameterizedTest
    @CsvSource({"8.24,8 ft 2⅞ in", "1.0,1 ft 0 in", "0.5,6 in", "16.48,16 ft 5¾ in", "0.9999,1 ft 0 in", "0.01,⅛ in"})
    void feetAndInches(double feet, String words) {
        assertThat(Lengths.feetAndInches(feet)).isEqualTo(words);
    }

    /**
     * d = 4.12 (√h₁ + √h₂). Against geometry: a tangent from height h over a sphere of 4/3 of the earth's mean radius,
     * √(2 · 4/3 · R · h), with R from the axes of WGS84 as GeographicLib has them.
     */
    @ParameterizedTest
    @CsvSource({"9,1.5", "30,30", "2.2,12", "100,1.5"})
    void horizon(double mine, double theirs) {
        double equator = Geodesic.WGS84.EquatorialRadius();
        double mean = equator * (1 - Geodesic.WGS84.Flattening() / 3);
        double geometric = (Math.sqrt(2 * 4.0 / 3 * mean * mine) + Math.sqrt(2 * 4.0 / 3 * mean * theirs)) / 1000;
        Station station = new Station(
                Station.Kind.BASE,
                5,
                Optional.empty(),
                0,
                0,
                0,
                mine,
                1,
                false,
                Optional.empty(),
                theirs,
                13.8,
                Optional.empty(),
                Optional.empty());
        double shown = Double.parseDouble(figure(
                        sheet(station, "amateur:technician", entry("146.520", "FM", "5"))
                                .general(),
                        "horizon")
                .amount());
        assertThat(shown).isCloseTo(geometric, within(geometric * 0.005));
    }

    @Test
    void currentOfTheSupply() {
        StationSheet sheet = sheet(station(50, null, 0, 0), "amateur:technician", entry("146.520", "FM", "50"));
        assertThat(Double.parseDouble(figure(sheet.general(), "current").amount()))
                .as("50 W ÷ 0.4 ÷ 13.8 V")
                .isCloseTo(9.06, within(0.01));
    }

    /** Loss grows with frequency, for thicker lines less; and between the points of the table it never leaves their range. */
    @Test
    void coaxTableIsInOrder() {
        List<CoaxTable.Line> lines =
                Audits.edition(Audits.DAY).stations().coax().lines();
        for (CoaxTable.Line line : lines) {
            for (int i = 1; i < line.points().size(); i++) {
                CoaxTable.Point low = line.points().get(i - 1);
                CoaxTable.Point high = line.points().get(i);
                assertThat(high.decibels()).isGreaterThan(low.decibels());
                double middle =
                        line.lossPerHundredMetres(new Frequency(Math.round((low.mhz() + high.mhz()) / 2 * 1e6)));
                assertThat(middle).isBetween(low.decibels(), high.decibels());
                double slope = Math.log(high.decibels() / low.decibels()) / Math.log(high.mhz() / low.mhz());
                assertThat(slope)
                        .as(line.name() + ": between the law of conductors (0.5) and of dielectrics (1)")
                        .isBetween(0.4, 1.0);
            }
        }
    }

    /**
     * Against the physics of a coaxial line (surface resistance of copper over the characteristic impedance, as
     * textbooks of microwave engineering have it, from memory), with the conductors of MIL-DTL-17 in mm: braid and strands lose more
     * than smooth copper, so the table lies above the ideal line, and less than twice as high.
     */
    @ParameterizedTest
    @CsvSource({
        "RG-213,2.26,7.24,2.25,2e-4",
        "RG-58,0.90,2.95,2.25,2e-4",
        "RG-223,0.89,2.95,2.25,2e-4",
        "RG-174,0.48,1.52,2.25,2e-4",
        "1/2 inch foam,4.8,12.1,1.29,6e-5"
    })
    void coaxTableAgainstTheIdealLine(
            String name, double inner, double outer, double permittivity, double lossTangent) {
        CoaxTable.Line line =
                Audits.edition(Audits.DAY).stations().coax().line(name).orElseThrow();
        for (double mhz : new double[] {30, 150, 450}) {
            double surface = Math.sqrt(Math.PI * mhz * 1e6 * 4e-7 * Math.PI / 5.8e7);
            double conductor = surface / (2 * 50) * (1 / (Math.PI * inner / 1000) + 1 / (Math.PI * outer / 1000));
            double ideal = 8.686 * conductor * 100
                    + 8.686 * 100 * Math.PI * mhz * 1e6 * Math.sqrt(permittivity) / 2.998e8 * lossTangent;
            double table = line.lossPerHundredMetres(new Frequency(Math.round(mhz * 1e6)));
            assertThat(table / ideal)
                    .as("%s at %s MHz: %.2f against %.2f dB", name, mhz, table, ideal)
                    .isBetween(0.85, 2.0);
        }
    }

    @Test
    void everyFigureHasItsSumAndSource() {
        StationSheet sheet = sheet(
                station(50, "RG-213", 24, 3),
                "amateur:technician",
                entry("146.520", "FM", "50"),
                entry("446.000", "FM", "25"));
        List<Figure> all = new java.util.ArrayList<>(sheet.general());
        all.addAll(sheet.together());
        sheet.entries().forEach(each -> all.addAll(each.figures()));
        assertThat(all).allSatisfy(figure -> {
            assertThat(figure.sum()).as(figure.id()).isNotEqualTo(Sum.NONE);
            assertThat(figure.source()).as(figure.id()).isNotBlank();
        });
    }

    @ParameterizedTest
    @CsvSource({"0,9,1,output", "-5,9,1,output", "50,0,1,antenna", "50,9,0,share", "50,9,1.1,share", "20000,9,1,output"
    })
    void impossibleFiguresAreRefusedByName(double watts, double height, double share, String about) {
        assertThatThrownBy(() -> new Station(
                        Station.Kind.BASE,
                        watts,
                        Optional.empty(),
                        0,
                        0,
                        0,
                        height,
                        share,
                        false,
                        Optional.empty(),
                        1.5,
                        13.8,
                        Optional.empty(),
                        Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(about);
    }
}
