package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.CsvLists;
import org.wache.exchange.JsonLists;
import org.wache.rulebook.BandService;
import org.wache.signal.Frequency;

/** What must hold for any list, tried on seeded random ones. */
class AlwaysTest {

  private static final int LISTS = 60;
  private static final String[] MODES =
      {"FM", "NFM", "AM", "USB", "LSB", "CW", "DMR", "P25", "NXDN", "DV", "PKT", "DATA", "", "WFM"};
  private static final String[] TONES = {"", "", "", "67.0", "100.0", "103.5", "D023", "D047I", "D645", "27", "x"};
  private static final String[] POWERS = {"", "0.5", "2", "5", "25", "50", "100", "300", "2000", "5W"};
  private static final String[] HOLDERS = {"nobody", "gmrs", "amateur:novice", "amateur:technician", "amateur:general",
      "amateur:advanced", "amateur:extra", "amateur:general,gmrs"};
  private static final String[] STRANGE = {"", "=1+1", "'=x", "a,b;c\td", "\"q\"", "line\nbreak", "Ünï ☂", "-", " ", "@cmd"};

  private final Random random = new Random(20_261_125);

  private <T> T one(T[] of) {
    return of[random.nextInt(of.length)];
  }

  /** Near band edges, channels and everywhere else. */
  private Frequency frequency() {
    BandService amateur = (BandService) Audits.edition(Audits.DAY).service("amateur").orElseThrow();
    return switch (random.nextInt(4)) {
      case 0 -> {
        var grant = amateur.grants().get(random.nextInt(amateur.grants().size()));
        long edge = random.nextBoolean() ? grant.span().low() : grant.span().high();
        yield new Frequency(edge + random.nextInt(40_001) - 20_000);
      }
      case 1 -> new Frequency(462_550_000 + 12_500L * random.nextInt(16) + (random.nextBoolean() ? 5_000_000 : 0));
      case 2 -> new Frequency(144_000_000 + 5_000L * random.nextInt(801));
      default -> new Frequency(25_000_000 + random.nextInt(900_000_000));
    };
  }

  private Channel channel(int number) {
    Map<Field, String> texts = new EnumMap<>(Field.class);
    Frequency receive = frequency();
    texts.put(Field.NUMBER, Integer.toString(random.nextInt(8) == 0 ? 1 : number));
    texts.put(Field.NAME, one(STRANGE));
    texts.put(Field.RX_MHZ, random.nextInt(20) == 0 ? one(STRANGE) : receive.megahertz());
    texts.put(Field.TX_MHZ, switch (random.nextInt(4)) {
      case 0 -> "";
      case 1 -> receive.plus(random.nextBoolean() || receive.hertz() < 1_000_000 ? 600_000 : -600_000).megahertz();
      default -> receive.megahertz();
    });
    texts.put(Field.MODE, one(MODES));
    texts.put(Field.POWER_W, one(POWERS));
    texts.put(Field.TX_TONE, one(TONES));
    texts.put(Field.RX_TONE, one(TONES));
    texts.put(Field.TIMEOUT_S, random.nextBoolean() ? "0" : "120");
    texts.put(Field.NOTE, one(STRANGE));
    return Channel.of(texts, List.of(one(STRANGE)));
  }

  private ChannelList list() {
    List<Channel> channels = new ArrayList<>();
    for (int i = 1; i <= 25; i++) {
      channels.add(channel(i));
    }
    return new ChannelList("random", List.of("extra"), channels);
  }

  @Test
  void aRemedyNeverLeavesAHold() {
    int proved = 0;
    for (int n = 0; n < LISTS; n++) {
      Audit audit = Audits.auditor(Audits.DAY, one(HOLDERS)).audit(list());
      for (int i = 0; i < audit.entries().size(); i++) {
        Remedies remedies = new Remedies(audit, i);
        for (Finding finding : audit.findings(i)) {
          for (ProvedRemedy remedy : remedies.of(finding)) {
            Channel cured = audit.changed(i, remedy.change().fields());
            Audit again = audit.auditor().audit(audit.list().with(i, cured));
            assertThat(again.entry(i).verdict()).isEqualTo(remedy.verdictAfter()).isNotEqualTo(Verdict.HOLD);
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
        .map(name -> Audits.auditor(Audits.DAY, "amateur:" + name)).toList();
    for (int n = 0; n < LISTS; n++) {
      ChannelList list = list();
      List<Audit> audits = classes.stream().map(auditor -> auditor.audit(list)).toList();
      for (int i = 0; i < list.channels().size(); i++) {
        for (int c = 1; c < audits.size(); c++) {
          boolean lower = audits.get(c - 1).entry(i).verdict() == Verdict.HOLD;
          boolean higher = audits.get(c).entry(i).verdict() == Verdict.HOLD;
          assertThat(higher && !lower).as("%s for class %d", list.channels().get(i), c).isFalse();
        }
      }
    }
  }

  @Test
  void narrowerOrWeakerNeverMakesAHoldOfWhatWasNone() {
    for (int n = 0; n < LISTS; n++) {
      Audit audit = Audits.auditor(Audits.DAY, one(HOLDERS)).audit(list());
      for (int i = 0; i < audit.entries().size(); i++) {
        Channel channel = audit.entry(i).channel();
        if (audit.entry(i).verdict() == Verdict.HOLD || channel.transmit().isEmpty()) {
          continue;
        }
        if (channel.text(Field.MODE).equals("FM")) {
          assertThat(audit.tried(i, channel.with(Map.of(Field.MODE, "NFM"))).verdict()).isNotEqualTo(Verdict.HOLD);
        }
        if (channel.power().isPresent()) {
          assertThat(audit.tried(i, channel.with(Map.of(Field.POWER_W, "0.1"))).verdict()).isNotEqualTo(Verdict.HOLD);
        }
      }
    }
  }

  @Test
  void whatWasWrittenIsReadAgain() {
    for (int n = 0; n < LISTS; n++) {
      ChannelList list = list();
      assertThat(CsvLists.read(CsvLists.write(list).getBytes(java.nio.charset.StandardCharsets.UTF_8), "random"))
          .isEqualTo(list);
      assertThat(JsonLists.read(JsonLists.write(list).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
          .isEqualTo(list);
    }
  }

  @Test
  void oneChangeAuditedAloneIsTheWholeAuditAgain() {
    for (int n = 0; n < LISTS; n++) {
      Audit audit = Audits.auditor(Audits.DAY, one(HOLDERS), one(HOLDERS)).audit(list());
      int at = random.nextInt(audit.entries().size());
      Channel changed = channel(at + 1);
      Audit alone = audit.with(at, changed);
      Audit whole = audit.auditor().audit(audit.list().with(at, changed));
      for (int i = 0; i < whole.entries().size(); i++) {
        assertThat(alone.entry(i).verdict()).isEqualTo(whole.entry(i).verdict());
        assertThat(Audits.rules(alone, i)).isEqualTo(Audits.rules(whole, i));
      }
    }
  }
}
