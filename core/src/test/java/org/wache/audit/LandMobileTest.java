package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.exchange.ContextFile;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.licence.StationClass;
import org.wache.place.Area;
import org.wache.place.Box;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.place.Region;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;

/** Business licences line by line; sections from memory, distances by the published length of a degree. */
class LandMobileTest {

    @ParameterizedTest(name = "{0} {4} at {6}: {9}/{10} {11}{12} {13} W: {14}")
    @CsvFileSource(resources = "/cases/land-mobile.csv", numLinesToSkip = 1)
    void lines(ArgumentsAccessor row) {
        Audit audit = audited(row);
        String outcome = row.getString(14);
        List<Finding> found = audit.findings(0);
        if (outcome.equals("clear")) {
            assertThat(found).isEmpty();
            assertThat(audit.entry(0).verdict()).isEqualTo(Verdict.CLEAR);
        } else if (outcome.matches("[a-z]+-[a-z]+")) {
            assertThat(Audits.rules(audit, 0)).contains(outcome);
        } else {
            assertThat(found).anySatisfy(finding -> {
                assertThat(finding.slug()).isEqualTo(Slug.OUTSIDE_AUTHORISATION);
                assertThat(finding.message()).contains(outcome);
            });
        }
    }

    private static Audit audited(ArgumentsAccessor row) {
        String[] words = row.getString(0).split(" ");
        AuthorisationLine line = new AuthorisationLine(
                Frequency.ofMegahertz(words[0]).orElseThrow(),
                Emission.of(words[1]),
                Optional.ofNullable(row.getString(1)).flatMap(Watts::parse),
                Optional.ofNullable(row.getString(2)).flatMap(Watts::parse),
                row.getString(3) == null ? OptionalInt.empty() : OptionalInt.of(row.getInteger(3)),
                area(row.getString(4)),
                Optional.empty());
        Licence licence = new Licence(
                "land-mobile",
                Optional.empty(),
                Optional.of("WZZB202"),
                Optional.ofNullable(row.getString(5)).map(LocalDate::parse),
                List.of(line));
        LocalDate day = LocalDate.parse(row.getString(8));
        AuditContext context = AuditContext.of(Audits.edition(day), day, List.of(new Holder("fleet", List.of(licence))))
                .withUnits(row.getString(7) == null ? OptionalInt.empty() : OptionalInt.of(row.getInteger(7)))
                .at(area(row.getString(6)));
        Map<Field, String> texts = new EnumMap<>(Field.class);
        List<Field> fields = List.of(Field.RX_MHZ, Field.TX_MHZ, Field.MODE, Field.EMISSION, Field.POWER_W);
        for (int i = 0; i < fields.size(); i++) {
            texts.put(fields.get(i), row.getString(9 + i) == null ? "" : row.getString(9 + i));
        }
        texts.put(Field.USE, row.getString(9).equals(row.getString(10)) ? "direct" : "repeater");
        texts.put(Field.TX_TONE, row.getString(9).equals(row.getString(10)) ? "" : "100.0");
        return new Auditor(Register.ALL, context).audit(Audits.list(Audits.withCodes(Channel.of(texts))));
    }

    private static Optional<Area> area(String text) {
        if (text == null) {
            return Optional.empty();
        }
        if (text.matches("[A-Z]{2}")) {
            return Optional.of(new Region(text));
        }
        double[] n =
                Arrays.stream(text.split(" ")).mapToDouble(Double::parseDouble).toArray();
        return Optional.of(
                n.length == 4
                        ? new Box(n[0], n[1], n[2], n[3])
                        : new Circle(Place.at(n[0], n[1]), n.length == 3 ? n[2] : 0));
    }

    @Test
    void theLineThatFailsLeastIsTold() {
        AuthorisationLine weak = new AuthorisationLine(
                Frequency.ofMegahertz("451.800").orElseThrow(),
                Emission.of("4K00F1E"),
                Optional.of(new Watts(1)),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty());
        AuthorisationLine near = new AuthorisationLine(
                Frequency.ofMegahertz("451.800").orElseThrow(),
                Emission.of("11K2F3E"),
                Optional.of(new Watts(4)),
                Optional.empty(),
                OptionalInt.empty(),
                Optional.empty(),
                Optional.empty());
        Holder fleet = new Holder(
                "fleet",
                List.of(new Licence(
                        "land-mobile", Optional.empty(), Optional.empty(), Optional.empty(), List.of(weak, near))));
        Audit audit = new Auditor(Register.ALL, AuditContext.of(Audits.edition(Audits.DAY), Audits.DAY, List.of(fleet)))
                .audit(Audits.list(RulePage.entry("", "rx_mhz=451.8 tx_mhz=451.8 mode=NFM power_w=5")
                        .channels()));
        assertThat(audit.findings(0)).singleElement().satisfies(finding -> assertThat(finding.message())
                .isEqualTo("The licence does not cover 5 W output: the line 11K2F3E says 4 W."));
    }

    /**
     * A line says what may key there: 90.427(b) with the classes of station of the licence (FB base, FB2 mobile relay, MO mobile; from memory).
     * Another class never widens: with FB2 and MO both on the frequency, each radio goes by its own.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
      FB2     | hand-held   | HOLD  | a hand-held (Heron H2): the line's FB2 is for base stations and repeaters
      FB2     | mobile      | HOLD  | a mobile (Heron H2)
      FB2     | base station | CLEAR |
      fb      | base station | CLEAR |
      FB2     | transceiver | QUERY | the radios that carry it: the line's FB2
      FB2     |             | QUERY | the radios that carry it: the line's FB2
      FX1     | hand-held   | HOLD  | the line's FX1 is for fixed and control stations
      MO      | hand-held   | CLEAR |
      MOI     | mobile      | CLEAR |
      MO      |             | CLEAR |
      MO      | base station | HOLD  | a base station (Heron H2): the line's MO is for mobiles and hand-helds
      FB2 MO  | hand-held   | CLEAR |
      FB2 MO  | base station | CLEAR |
      """)
    void aLineIsForItsClassOfStation(String classes, String kind, Verdict verdict, String reason) {
        String lines = Arrays.stream(classes.split(" "))
                .map(code -> "{\"mhz\":\"451.800\",\"emission\":\"11K2F3E\",\"stationClass\":\"" + code + "\"}")
                .collect(Collectors.joining(","));
        String radios = kind == null
                ? ""
                : ",\"radios\":[{\"model\":\"Heron H2\",\"kind\":\"" + kind + "\",\"certifiedFor\":[\"90\"]}]";
        ContextFile context = ContextFile.read(
                ("{\"format\":\"wache-context/1\",\"holders\":[{\"name\":\"fleet\",\"licences\":[{\"service\":"
                                + "\"land-mobile\",\"lines\":[" + lines + "]}]}]" + radios + "}")
                        .getBytes(StandardCharsets.UTF_8));
        Audit audit = new Auditor(
                        Register.ALL, context.under(Audits.edition(Audits.DAY), Audits.DAY, context.holders()))
                .audit(Audits.list(
                        RulePage.entry("", "rx_mhz=451.8 tx_mhz=451.8 mode=NFM power_w=5 tx_tone=127.3 rx_tone=127.3")
                                .channels()));
        assertThat(audit.entry(0).verdict()).isEqualTo(verdict);
        if (reason != null) {
            assertThat(audit.findings(0))
                    .anySatisfy(finding -> assertThat(finding.message()).contains(reason));
        }
    }

    @Test
    void whatIsNoClassOfStationIsNone() {
        assertThat(List.of("", "F", "FB22X", "XY", "FB-2"))
                .allSatisfy(text -> assertThat(StationClass.parse(text)).isEmpty());
    }
}
