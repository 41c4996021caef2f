package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.aggregator.ArgumentsAccessor;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.wache.audit.register.Register;
import org.wache.channel.Channel;
import org.wache.channel.Field;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
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
    AuthorisationLine line = new AuthorisationLine(Frequency.ofMegahertz(words[0]).orElseThrow(), Emission.of(words[1]),
        Optional.ofNullable(row.getString(1)).flatMap(Watts::parse), Optional.ofNullable(row.getString(2)).flatMap(Watts::parse),
        row.getString(3) == null ? OptionalInt.empty() : OptionalInt.of(row.getInteger(3)), area(row.getString(4)));
    Licence licence = new Licence("land-mobile", Optional.empty(), Optional.of("WZZB202"),
        Optional.ofNullable(row.getString(5)).map(LocalDate::parse), List.of(line));
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
    return new Auditor(Register.ALL, context).audit(Audits.list(Channel.of(texts)));
  }

  private static Optional<Area> area(String text) {
    if (text == null) {
      return Optional.empty();
    }
    if (text.matches("[A-Z]{2}")) {
      return Optional.of(new Region(text));
    }
    double[] n = Arrays.stream(text.split(" ")).mapToDouble(Double::parseDouble).toArray();
    return Optional.of(n.length == 4 ? new Box(n[0], n[1], n[2], n[3])
        : new Circle(Place.at(n[0], n[1]), n.length == 3 ? n[2] : 0));
  }

  @Test
  void theLineThatFailsLeastIsTold() {
    AuthorisationLine weak = new AuthorisationLine(Frequency.ofMegahertz("451.800").orElseThrow(), Emission.of("4K00F1E"),
        Optional.of(new Watts(1)), Optional.empty(), OptionalInt.empty(), Optional.empty());
    AuthorisationLine near = new AuthorisationLine(Frequency.ofMegahertz("451.800").orElseThrow(), Emission.of("11K2F3E"),
        Optional.of(new Watts(4)), Optional.empty(), OptionalInt.empty(), Optional.empty());
    Holder fleet = new Holder("fleet", List.of(new Licence("land-mobile", Optional.empty(), Optional.empty(),
        Optional.empty(), List.of(weak, near))));
    Audit audit = new Auditor(Register.ALL, AuditContext.of(Audits.edition(Audits.DAY), Audits.DAY, List.of(fleet)))
        .audit(Audits.list(RulePage.entry("", "rx_mhz=451.8 tx_mhz=451.8 mode=NFM power_w=5").channels()));
    assertThat(audit.findings(0)).singleElement()
        .satisfies(finding -> assertThat(finding.message()).isEqualTo("The licence does not cover 5 W output: the line 11K2F3E says 4 W."));
  }
}
