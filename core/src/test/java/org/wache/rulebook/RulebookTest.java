package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audits;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Span;

/** The shipped rulebook as data: editions, rooms, channels, allocations; values from memory of the regulations. */
class RulebookTest {

    private final Edition edition = Audits.edition(Audits.DAY);
    private final BandService amateur = (BandService) edition.service("amateur").orElseThrow();

    private static Frequency at(String megahertz) {
        return Frequency.ofMegahertz(megahertz).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "2000-01-01,2013-01-01",
        "2021-10-27,2013-01-01",
        "2024-01-07,2021-10-28",
        "2024-01-08,2024-01-08",
        "2026-02-12,2024-01-08",
        "2026-02-13,2026-02-13",
        "2099-01-01,2026-02-13"
    })
    void aDayHasItsEdition(LocalDate day, String id) {
        assertThat(RulebookReader.shipped("us").on(day).dates().id()).isEqualTo(id);
    }

    @Test
    void anUnknownRulebookIsTold() {
        assertThatThrownBy(() -> RulebookReader.shipped("moon")).hasMessageContaining("there is us");
    }

    /** 47 CFR 97.301, 97.305(c): what General may fill with voice and with data on 20 m. */
    @Test
    void roomsAreJoinedWhereGrantsTouchAndEndWhereTheClassEnds() {
        int general = amateur.traits().classIndex("general");
        assertThat(amateur.rooms(general, Emission.of("2K80J3E")))
                .extracting(Room::span)
                .contains(Span.ofMegahertz("14.225-14.350"))
                .doesNotContain(Span.ofMegahertz("14.150-14.350"));
        assertThat(amateur.rooms(general, Emission.of("150HA1A")))
                .extracting(Room::span)
                .contains(Span.ofMegahertz("14.025-14.150"), Span.ofMegahertz("28.000-29.700"));
        int extra = amateur.traits().classIndex("extra");
        assertThat(amateur.rooms(extra, Emission.of("150HA1A")))
                .extracting(Room::span)
                .contains(Span.ofMegahertz("3.500-4.000"), Span.ofMegahertz("14.000-14.350"));
    }

    @Test
    void aHigherClassHasAllThatALowerOneHas() {
        for (String designator : List.of("150HA1A", "2K80J3E", "16K0F3E", "11K2F3E", "2K80J2D", "6K00A3E")) {
            Emission emission = Emission.of(designator);
            for (int c = 1; c < amateur.traits().classes().size(); c++) {
                int higher = c;
                assertThat(amateur.rooms(c - 1, emission))
                        .allSatisfy(room -> assertThat(amateur.rooms(higher, emission))
                                .anySatisfy(wider -> assertThat(wider.span().contains(room.span()))
                                        .isTrue()));
            }
        }
    }

    /** The 40 channels of 47 CFR 95.963, the 22 of FRS, the 30 of GMRS and the 5 of MURS. */
    @Test
    void theChannelTablesAreWhole() {
        ChannelService cb = (ChannelService) edition.service("cb").orElseThrow();
        assertThat(cb.channels().stream().filter(channel -> channel.name().matches("\\d+")))
                .hasSize(40);
        assertThat(((ChannelService) edition.service("frs").orElseThrow()).channels())
                .hasSize(22);
        assertThat(((ChannelService) edition.service("gmrs").orElseThrow()).channels())
                .hasSize(30)
                .filteredOn(channel -> channel.reaches().isPresent())
                .hasSize(8)
                .allSatisfy(
                        input -> assertThat(input.centre().minus(input.reaches().orElseThrow()))
                                .isEqualTo(5_000_000));
        assertThat(((ChannelService) edition.service("murs").orElseThrow()).channels())
                .hasSize(5);
    }

    @ParameterizedTest
    @CsvSource({
        "146.520,amateur",
        "462.5625,gmrs frs",
        "462.562,gmrs frs",
        "467.550,gmrs",
        "462.550,gmrs frs",
        "151.820,murs land-mobile",
        "154.570,murs land-mobile",
        "27.185,cb",
        "451.800,land-mobile",
        "425.000,amateur land-mobile",
        "121.500,aircraft",
        "156.800,ship",
        "915.000,amateur licence-free",
        "72.010,land-mobile remote-control",
        "162.550,''"
    })
    void aFrequencyBelongsToItsServices(String megahertz, String services) {
        assertThat(String.join(
                        " ",
                        edition.servicesAt(at(megahertz)).stream()
                                .map(Service::id)
                                .toList()))
                .isEqualTo(services);
    }

    @ParameterizedTest
    @CsvSource({
        "121.5,aircraft emergency",
        "122.8,aircraft voice",
        "156.8,marine distress and calling",
        "162.55,weather broadcasts",
        "162.3,federal agencies",
        "453.2125,the national interoperability calling channel UCALL40 of public safety agencies",
        "98.1,FM broadcasting",
        "160.5,railroads",
        "406.05,distress beacons",
        "835,cellular telephone"
    })
    void theNarrowestAllocationWins(String megahertz, String whose) {
        assertThat(edition.allocation(at(megahertz)).orElseThrow().whose()).isEqualTo(whose);
    }

    @Test
    void everyRowOfTheRulebookNamesItsSource() {
        assertThat(amateur.grants())
                .allSatisfy(grant -> assertThat(grant.source()).startsWith("97."));
        assertThat(amateur.repeaterBans()).hasSize(8).allSatisfy(ban -> assertThat(ban.source())
                .isEqualTo("97.205(b)"));
        edition.services().stream()
                .filter(ChannelService.class::isInstance)
                .map(ChannelService.class::cast)
                .flatMap(service -> service.channels().stream())
                .forEach(channel -> assertThat(channel.source()).matches("(95|80)\\..*"));
    }

    @Test
    void theSpanIndexAnswersLikeAPlainSearch() {
        Random random = new Random(20_261_125);
        List<Span> spans = random.longs(60, 0, 200)
                .mapToObj(low -> new Span(low, low + random.nextInt(30)))
                .toList();
        SpanIndex<Span> index = SpanIndex.of(spans, span -> span);
        for (long hertz = -5; hertz < 240; hertz++) {
            long here = hertz;
            assertThat(index.at(hertz))
                    .containsExactlyInAnyOrderElementsOf(
                            spans.stream().filter(span -> span.contains(here)).toList());
            assertThat(index.at(hertz)).isSortedAccordingTo(java.util.Comparator.comparingLong(Span::length));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "146520000,15000,146520000",
        "146500000,15000,146505000",
        "146512000,15000,146505000",
        "146500000,20000,146500000"
    })
    void rastersKnowTheirNearestChannel(long hertz, long step, long nearest) {
        Raster raster = new Raster(146_400_000, step);
        assertThat(raster.nearest(hertz)).isEqualTo(nearest);
        assertThat(raster.holds(nearest)).isTrue();
    }

    @Test
    void thePlanKnowsItsCallingFrequenciesAndSidebands() {
        assertThat(edition.plan().rowAt(at("146.520")).orElseThrow().words()).isEqualTo("the FM calling frequency");
        assertThat(edition.plan().rowAt(at("146.805")).orElseThrow().words()).isEqualTo("repeater outputs");
        assertThat(edition.plan().lowerSidebandAt(at("7.200"))).isTrue();
        assertThat(edition.plan().lowerSidebandAt(at("14.200"))).isFalse();
        assertThat(edition.plan().lowerSidebandAt(at("5.357"))).isFalse();
    }
}
