package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.audit.register.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.LicenceWords;
import org.wache.exchange.RadioReader;
import org.wache.radio.Radio;
import org.wache.place.Area;
import org.wache.licence.AuthorisationLine;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.place.Circle;
import org.wache.place.Place;
import org.wache.rulebook.OverlayReader;
import org.wache.rulebook.PlanRow;
import org.wache.signal.Emission;
import org.wache.signal.Frequency;
import org.wache.signal.Watts;
import org.wache.site.Keying;
import tools.jackson.databind.json.JsonMapper;

/** Every rule has a page in docs/rules that is current, with a bad example that it finds and a good one that it leaves. */
class RulePagesTest {

  private static final Path PAGES = Path.of("..", "docs", "rules");

  static Stream<Rule> rules() {
    return Register.ALL.all().stream();
  }

  @Test
  void eachRuleIsRegisteredOnce() {
    assertThat(rules().map(Rule::slug)).containsExactlyInAnyOrder(Slug.values());
  }

  @ParameterizedTest
  @MethodSource("rules")
  void theBadExampleIsFound(Rule rule) {
    assertThat(found(rule, rule.page().bad())).contains(rule.slug());
  }

  @ParameterizedTest
  @MethodSource("rules")
  void theGoodExampleIsLeft(Rule rule) {
    assertThat(found(rule, rule.page().good())).doesNotContain(rule.slug());
  }

  private static List<Slug> found(Rule rule, RulePage.Example example) {
    boolean scrambled = rule.slug() == Slug.HIDDEN_MEANING;
    List<Channel> channels = Arrays.stream(example.channels())
        .map(channel -> scrambled ? Channel.of(channel.texts(), List.of("on")) : channel).toList();
    ChannelList list = new ChannelList("example", scrambled ? List.of("scramble") : List.of(), channels);
    return new Auditor(Register.ALL, context(rule, example)).audit(list).findings(0).stream().map(Finding::slug).toList();
  }

  /** The context that the page describes in words. */
  private static AuditContext context(Rule rule, RulePage.Example example) {
    LocalDate day = Audits.DAY;
    var edition = Audits.edition(day);
    HouseRules house = new HouseRules(Optional.empty(), OptionalInt.of(180), OptionalInt.empty(), Keying.NONE);
    Holder holder = example.holder().equals("land-mobile") ? fleet() : LicenceWords.holder(example.holder(), edition);
    Holder dated = switch (rule.slug()) {
      case LICENCE_EXPIRED -> until(holder, day.minusDays(1));
      case LICENCE_EXPIRING -> until(holder, day.plusDays(30));
      default -> holder;
    };
    var planned = rule.slug() == Slug.LOCAL_WARNING ? edition.withPlan(edition.plan().overlaid(overlay())) : edition;
    boolean site = rule.getClass().getPackageName().endsWith(".site");
    Antenna mobile = Antenna.of(3).at(java.util.OptionalDouble.of(3.5));
    return AuditContext.of(planned, day, List.of(dated)).with(rule.slug() == Slug.TIMEOUT_LONG ? house : HouseRules.NONE.keying(site ? Keying.ALL : Keying.NONE))
        .with(rule.slug() == Slug.HEIGHT_OVER ? Antenna.ASSUMED.at(java.util.OptionalDouble.of(25)) : rule.slug() == Slug.EXPOSURE_DISTANCE ? mobile : Antenna.ASSUMED)
        .at(rule.slug() == Slug.ANOTHER_COUNTRY ? Optional.of(new Circle(Place.at(51.5, -0.1), 0)) : Optional.empty())
        .beside(new Neighbours(rule.slug() != Slug.NEIGHBOUR_CHANNEL ? List.of() : List.of(new Neighbour("The mill", Frequency.ofMegahertz("146.550").orElseThrow(),
            Optional.empty(), org.wache.signal.Tone.parse("103.5")))))
        .forRadios(radio(rule.slug()));
  }

  /** The radio that the page describes. */
  private static List<Radio> radio(Slug rule) {
    String abilities = switch (rule) {
      case RADIO_RANGE -> "'transmit':[['144','148'],['420','450']],'receive':[['136','174'],['400','480']]";
      case RADIO_STEP -> "'stepsKhz':['5','10'],'certifiedFor':['95E']";
      case RADIO_MODE -> "'modes':['FM','NFM']";
      case RADIO_TONE -> "'toneTable':['67.0','71.9','74.4']";
      case RADIO_POWER -> "'powerLevelsW':[1,4,5]";
      case RADIO_NAME -> "'nameLength':7,'nameLetters':'capitals'";
      case RADIO_CAPACITY -> "'channels':16";
      case NOT_CERTIFIED -> "'certifiedFor':['95E']";
      default -> "";
    };
    return abilities.isEmpty() ? List.of() : List.of(Radio.of(RadioReader.model(
        ("{'model':'The hand-held'," + abilities + "}").replace('\'', '"').getBytes(java.nio.charset.StandardCharsets.UTF_8))));
  }

  private static List<PlanRow> overlay() {
    return OverlayReader.rows(JsonMapper.builder().build().readTree("""
        [{"mhz":"146.445-146.475","uses":"fm-simplex","warning":"kept for the river gauges"}]"""));
  }

  private static Holder until(Holder holder, LocalDate day) {
    return new Holder(holder.name(), holder.licences().stream().map(each -> new Licence(each.service(),
        each.licenceClass(), each.callSign(), Optional.of(day), each.lines())).toList());
  }

  private static Holder fleet() {
    Area area = new Circle(Place.at(45.2, -93.1), 40);
    return new Holder("fleet", List.of(new Licence("land-mobile", Optional.empty(), Optional.of("WZZB202"),
        Optional.empty(), List.of(line("451.800", Optional.of(area)), line("456.800", Optional.empty())))));
  }

  private static AuthorisationLine line(String megahertz, Optional<Area> area) {
    return new AuthorisationLine(Frequency.ofMegahertz(megahertz).orElseThrow(), Emission.of("11K2F3E"),
        Optional.of(new Watts(5)), Optional.of(new Watts(5)), OptionalInt.of(20), area);
  }

  /** Run with -Dwache.write=true to write the pages anew. */
  @Test
  void thePagesAreCurrent() throws IOException {
    boolean write = Boolean.getBoolean("wache.write");
    for (Rule rule : Register.ALL.all()) {
      check(PAGES.resolve(rule.slug() + ".md"), RulePageText.of(rule), write);
    }
    check(PAGES.resolve("README.md"), RulePageText.index(Register.ALL), write);
  }

  private static void check(Path file, String text, boolean write) throws IOException {
    if (write) {
      Files.createDirectories(file.getParent());
      Files.writeString(file, text);
    }
    assertThat(file).content(StandardCharsets.UTF_8).isEqualTo(text);
  }
}
