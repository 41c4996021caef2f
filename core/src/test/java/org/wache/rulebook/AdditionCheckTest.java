package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.HolderShorthand;

/** Editions and private services that an administrator adds. The additions are invented. */
class AdditionCheckTest {

    private static final String EDITION =
            """
      format: wache-rulebook/1
      rulebook: us
      edition:
        id: "2027-03-01"
        from: 2027-03-01
        title: Voice on a part of 30 m
        source: "97.305(c)"
      changes:
        - in: amateur/grants
          end:
            - {band: 30 m, mhz: 10.1-10.15}
          add:
            - {band: 30 m, mhz: 10.100-10.140, class: general, allow: cw data, source: "97.305(c)"}
            - {band: 30 m, mhz: 10.140-10.150, class: general, allow: cw data phone-low-index, source: "97.305(c)"}
      """;
    private static final String SERVICE =
            """
      format: wache-rulebook/1
      rulebook: us
      service:
        id: harbour-net
        title: Harbour net
        part: authority of the harbour
        kind: channels
        licence: plain
        spans_mhz: [457.5-457.6]
        channels:
          - {name: "1", mhz: 457.525, allow: fm, width_khz: 12.5, watts: 2, measure: output, repeaters: false, source: paragraph 2}
      """;

    private static Verdict verdict(
            Rulebook rulebook, LocalDate day, String holder, String megahertz, String mode, String power) {
        Edition edition = rulebook.on(day);
        Audit audit = new Auditor(
                        Register.ALL, AuditContext.of(edition, day, List.of(HolderShorthand.holder(holder, edition))))
                .audit(new ChannelList(
                        "",
                        List.of(),
                        List.of(Channel.of(Map.of(
                                Field.RX_MHZ,
                                megahertz,
                                Field.TX_MHZ,
                                megahertz,
                                Field.MODE,
                                mode,
                                Field.POWER_W,
                                power)))));
        return audit.entry(0).verdict();
    }

    @Test
    void anEditionCountsFromItsDay() {
        AdditionCheck check = AdditionCheck.of(EDITION, List.of());
        assertThat(check.kind()).isEqualTo(AdditionCheck.Kind.EDITION);
        assertThat(check.changed().gone()).hasSize(1);
        assertThat(check.changed().come()).hasSize(2);
        Rulebook with = RulebookReader.with("us", List.of(EDITION));
        LocalDate day = LocalDate.of(2027, 3, 1);
        assertThat(verdict(with, day.minusDays(1), "amateur:general", "10.145", "USB", "100"))
                .isEqualTo(Verdict.HOLD);
        assertThat(verdict(with, day, "amateur:general", "10.145", "USB", "100"))
                .isNotEqualTo(Verdict.HOLD);
        assertThat(verdict(with, day, "amateur:general", "10.130", "USB", "100"))
                .isEqualTo(Verdict.HOLD);
        assertThat(verdict(RulebookReader.shipped("us"), day, "amateur:general", "10.145", "USB", "100"))
                .as("what ships stays as it is")
                .isEqualTo(Verdict.HOLD);
    }

    @Test
    void aPrivateServiceIsOpenToWhoHasItsLicence() {
        AdditionCheck check = AdditionCheck.of(SERVICE, List.of());
        assertThat(check.kind()).isEqualTo(AdditionCheck.Kind.SERVICE);
        assertThat(check.notices()).anyMatch(each -> each.contains("shared with land mobile"));
        Rulebook with = RulebookReader.with("us", List.of(SERVICE));
        LocalDate day = LocalDate.of(2026, 11, 25);
        assertThat(verdict(with, day, "harbour-net", "457.525", "NFM", "2")).isEqualTo(Verdict.CLEAR);
        assertThat(verdict(with, day, "harbour-net", "457.525", "NFM", "3")).isEqualTo(Verdict.HOLD);
        assertThat(verdict(with, day, "nobody", "457.525", "NFM", "2")).isEqualTo(Verdict.HOLD);
    }

    @Test
    void manyMayAskForEditionsAtOnce() {
        for (int round = 0; round < 20; round++) {
            Rulebook with = RulebookReader.with("us", List.of(EDITION, SERVICE));
            List<Integer> services = with.editions().parallelStream()
                    .map(each -> with.on(each.from()).services().size())
                    .toList();
            assertThat(services).hasSize(5).containsOnly(11);
        }
    }

    @Test
    void additionsBuildOnEachOther() {
        String later = EDITION.replace("2027-03-01", "2028-03-01")
                .replace("{band: 30 m, mhz: 10.1-10.15}", "{band: 30 m, mhz: 10.140-10.150}");
        assertThat(AdditionCheck.of(later, List.of(EDITION)).id()).isEqualTo("2028-03-01");
        assertThatThrownBy(() -> AdditionCheck.of(later, List.of()))
                .as("its row is not there without the first")
                .isInstanceOf(RulebookProblem.class)
                .hasMessageContaining("no row in force");
        assertThatThrownBy(() -> AdditionCheck.of(EDITION, List.of(EDITION)))
                .hasMessageContaining("there is an edition of that name");
        assertThatThrownBy(() -> AdditionCheck.of(SERVICE, List.of(SERVICE)))
                .hasMessageContaining("there is a service of that name");
    }

    /** What is wrong, the line, and what the message says of the cure. */
    @ParameterizedTest(name = "{0} → {1}: line {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "rulebook: us|rulebook: atlantis|2|one of us, uk, au",
                "format: wache-rulebook/1|format: wache-rulebook/9|1|should be wache-rulebook/1",
                "id: \"2027-03-01\"|id: \"2026-02-13\"|4|new: there is an edition",
                "from: 2027-03-01|from: 1 March 2027|5|a day such as 2027-03-01",
                "from: 2027-03-01|from: 2020-03-01|5|after 2026-02-13",
                "title: Voice on a part of 30 m|titel: Voice|4|title should be given",
                "in: amateur/grants|in: amateur|9|a file and a section",
                "in: amateur/grants|in: amature/grants|9|a file of the rulebook",
                "in: amateur/grants|in: amateur/grant|9|such as grants, channelised, channels, power, width, no_repeaters",
                "mhz: 10.1-10.15}|mhz: 10.2-10.25}|11|There is {band: 30 m, mhz: 10.100-10.150}",
                "mhz: 10.100-10.140|mhz: 10.140-10.100|13|the lower end first",
                "mhz: 10.100-10.140|mhz: ten|13|a span in MHz",
                "class: general, allow: cw data,|class: colonel, allow: cw data,|13|one of [novice, technician, general, advanced, extra]",
                "allow: cw data phone-low-index|allow: cw talk|14|out of any, cw, mcw, data",
                "allow: cw data, source|alow: cw data, source|13|allow should be given",
                "class: general, allow: cw data, source: \"97.305(c)\"|class: general, allow: cw data, sauce: \"97.305(c)\"|13|source should be given",
                "allow: cw data, source|allow: cw data, note: hello, source|13|“note” says nothing here",
                "allow: cw data, source|allow: cw data, from: 2028-01-01, source|13|left out",
                "    add:|    ad:|12|“ad” says nothing here. Is “add” meant?",
                "changes:|change:|1|changes should be given",
                "band: 30 m, mhz: 10.100-10.140|band: 30 m mhz: 10.100-10.140|13|this is not YAML",
                "title: Voice on a part of 30 m|title: [a, b]|6|one value"
            })
    void aWrongEditionIsToldWithLineAndCure(String good, String bad, int line, String words) {
        assertThat(EDITION).contains(good);
        assertThatThrownBy(() -> AdditionCheck.of(EDITION.replace(good, bad), List.of()))
                .isInstanceOfSatisfying(RulebookProblem.class, problem -> {
                    assertThat(problem).hasMessageContaining(words);
                    assertThat(problem.line()).isEqualTo(line);
                });
    }

    @ParameterizedTest(name = "{0} → {1}: line {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "id: harbour-net|id: Harbour Net|4|small letters",
                "id: harbour-net|id: amateur|4|there is a service of that name",
                "kind: channels|kind: chanels|7|bands, channels or authorised",
                "licence: plain|licence: simple|8|one of none, plain, class, lines",
                "spans_mhz: [457.5-457.6]|spans_mhz: [high]|9|a span in MHz",
                "mhz: 457.525|mhz: 457,525|11|A comma parts keys: decimals have a point",
                "watts: 2|watts: lots|11|a number",
                "watts: 2|watts: -2|11|above 0 W",
                "measure: output|measure: loudness|11|one of output, pep, carrier, erp, eirp",
                "repeaters: false|repeaters: perhaps|11|true or false",
                "repeaters: false|repeters: false|11|Is “repeaters” meant?",
                "width_khz: 12.5|width: 12.5|11|width_khz should be given",
                "  channels:|  chanels:|10|Is “channels” meant?"
            })
    void aWrongServiceIsToldWithLineAndCure(String good, String bad, int line, String words) {
        assertThat(SERVICE).contains(good);
        assertThatThrownBy(() -> AdditionCheck.of(SERVICE.replace(good, bad), List.of()))
                .isInstanceOfSatisfying(RulebookProblem.class, problem -> {
                    assertThat(problem).hasMessageContaining(words);
                    assertThat(problem.line()).isEqualTo(line);
                });
    }

    @Test
    void aServiceOnAircraftFrequenciesIsLookedAtTwice() {
        AdditionCheck check =
                AdditionCheck.of(SERVICE.replace("457.5-457.6", "121-122").replace("457.525", "121.500"), List.of());
        assertThat(check.notices())
                .anyMatch(each -> each.contains("aircraft emergency") && each.contains("look twice"));
    }
}
