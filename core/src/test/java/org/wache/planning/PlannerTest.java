package org.wache.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.exchange.DemandsReader;
import org.wache.exchange.FileProblem;
import org.wache.radio.Radio;
import org.wache.reach.Person;
import org.wache.reach.Reach;
import org.wache.reach.ReachStudy;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.signal.Frequency;

/** Lists from nothing, held against the auditor and against who reaches whom. Rights by 47 CFR 95 and 97. */
class PlannerTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-25");
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);
    private static final String RADIOS =
            """
            "radios":[
             {"model":"Amateur","certifiedFor":[],"transmit":[["144","148"],["420","450"]],"receive":[["136","174"],["400","480"]],
              "stepsKhz":["5","6.25","12.5"],"modes":["FM","NFM"],"powerLevelsW":[1,5],"tones":["ctcss"],"channels":128,"nameLength":7,
              "nameLetters":"capitals","timeoutsS":[60,120,180]},
             {"model":"Personal","certifiedFor":["95E"],"transmit":[["462.5","462.8"],["467.5","467.8"]],"receive":[["462.5","467.8"]],
              "stepsKhz":["6.25","12.5"],"modes":["FM","NFM"],"powerLevelsW":[0.5,2,5],"tones":["ctcss"],"channels":20,"nameLength":8,"timeoutsS":[60,120]}]
            """;

    private static String person(String name, String licences, String... radios) {
        List<String> all = new ArrayList<>();
        for (String each : licences.split(" ")) {
            if (each.equals("gmrs")) {
                all.add("{\"service\":\"gmrs\"}");
            } else if (!each.isEmpty()) {
                all.add("{\"service\":\"amateur\",\"class\":\"" + each + "\"}");
            }
        }
        return "{\"name\":\"" + name + "\",\"licences\":[" + String.join(",", all) + "],\"radios\":[\""
                + String.join("\",\"", radios) + "\"]}";
    }

    private static final String BOTH = String.join(
            ",",
            person("Ada", "extra gmrs", "Amateur", "Personal"),
            person("Ben", "technician gmrs", "Amateur", "Personal"),
            person("Cal", "gmrs", "Personal"),
            person("Dee", "gmrs", "Personal"),
            person("Eve", "technician", "Amateur"),
            person("Fay", "general", "Amateur"));

    private static DemandsReader.Asked asked(String rest) {
        return DemandsReader.read(
                ("{\"format\":\"wache-demands/1\",\"context\":{\"format\":\"wache-context/1\",\"holders\":[" + BOTH
                                + "]," + RADIOS + "}," + rest + "}")
                        .getBytes(StandardCharsets.UTF_8));
    }

    private static final String TEAMS =
            "\"teams\":[{\"name\":\"Net control\",\"members\":[\"Ada\",\"Ben\"]},{\"name\":\"Levee\",\"members\":[\"Cal\",\"Dee\"]},"
                    + "{\"name\":\"Gauges\",\"members\":[\"Eve\",\"Fay\"]}]";

    private static AuditContext context(DemandsReader.Asked asked) {
        return asked.context().under(EDITION, DAY, asked.context().holders());
    }

    private static Plan plan(DemandsReader.Asked asked) {
        return Planner.of(Register.ALL, context(asked), asked.demands());
    }

    private static ChannelList list(DemandsReader.Asked asked) {
        Plan plan = plan(asked);
        assertThat(plan).as(plan.toString()).isInstanceOf(Plan.Proposed.class);
        return ((Plan.Proposed) plan).list();
    }

    /** Nobody who is to use an entry may find anything wrong with it, with a radio of theirs that can be set to it. */
    private static void assertClear(DemandsReader.Asked asked, ChannelList list) {
        for (Demands.Team team : asked.demands().teams()) {
            for (String member : team.members()) {
                Person person = asked.demands().people().stream()
                        .filter(each -> each.name().equals(member))
                        .findFirst()
                        .orElseThrow();
                for (int i = 0; i < list.channels().size(); i++) {
                    Channel channel = list.channels().get(i);
                    String zone = channel.text(Field.ZONE);
                    boolean theirs = zone.isEmpty() || List.of(zone.split(",")).contains(team.name());
                    boolean serves = channel.transmit().isPresent()
                            && theirs
                            && !channel.name().startsWith("TAC")
                            && !channel.name().startsWith("CALL");
                    if (serves) {
                        int entry = i;
                        assertThat(person.radios().orElseThrow())
                                .as(member + " on " + channel.name() + " " + channel.text(Field.RX_MHZ))
                                .anyMatch(radio -> isClear(audit(asked, list, person, radio), entry));
                    }
                }
            }
        }
    }

    /** That one talks near another is so of every list that is keyed at one site. */
    private static boolean isClear(Audit audit, int entry) {
        return audit.entry(entry).verdict() == Verdict.CLEAR
                || audit.entry(entry).verdict() == Verdict.QUERY
                        && audit.findings(entry).stream().allMatch(each -> each.slug() == Slug.TRANSMIT_NEAR_RECEIVE);
    }

    private static Audit audit(DemandsReader.Asked asked, ChannelList list, Person person, Radio radio) {
        return new Auditor(
                        Register.ALL,
                        context(asked).with(List.of(person.holder())).forRadios(List.of(radio)))
                .audit(list);
    }

    /** Each member of either team reaches at least one of the other, both ways. */
    private static void assertTalks(DemandsReader.Asked asked, ChannelList list) {
        Reach reach = ReachStudy.of(
                Register.ALL,
                context(asked),
                asked.demands().people(),
                List.of(list),
                asked.context().radios());
        Set<List<String>> links = new HashSet<>();
        reach.links().forEach(link -> links.add(List.of(link.from(), link.to())));
        for (Demands.Pair pair : asked.demands().mustTalk()) {
            List<String> one = asked.demands().team(pair.one()).orElseThrow().members();
            List<String> other =
                    asked.demands().team(pair.other()).orElseThrow().members();
            for (String member : one) {
                assertThat(other)
                        .as(member + " reaches somebody of " + pair.other())
                        .anyMatch(
                                each -> links.contains(List.of(member, each)) && links.contains(List.of(each, member)));
            }
            for (String member : other) {
                assertThat(one)
                        .as(member + " reaches somebody of " + pair.one())
                        .anyMatch(
                                each -> links.contains(List.of(member, each)) && links.contains(List.of(each, member)));
            }
        }
    }

    @Test
    void whoMustTalkCanAndNothingIsWrongWithTheList() {
        DemandsReader.Asked asked = asked(TEAMS
                + ",\"mustTalk\":[[\"Levee\",\"Net control\"],[\"Gauges\",\"Net control\"]],\"calling\":true,\"spare\":2,"
                + "\"listen\":[\"162.550\"]");
        ChannelList list = list(asked);
        assertTalks(asked, list);
        assertClear(asked, list);
        assertThat(list.channels()).allSatisfy(each -> {
            assertThat(each.text(Field.NOTE)).as(each.name()).isNotBlank();
            assertThat(each.name()).hasSizeLessThanOrEqualTo(7).isUpperCase();
        });
        assertThat(list.channels().stream().map(Channel::name)).doesNotHaveDuplicates();
        assertThat(list.channels().stream().map(Channel::number)).doesNotHaveDuplicates();
        assertThat(list.channels().stream()
                        .filter(each -> each.transmit().isPresent())
                        .map(each -> each.text(Field.TX_MHZ)))
                .doesNotHaveDuplicates();
        assertThat(list.channels().stream()
                        .filter(each -> each.transmit().isPresent())
                        .map(each -> each.text(Field.TIMEOUT_S)))
                .as("the longest that both radios can be set to")
                .containsOnly("120");
        assertThat(list.channels())
                .filteredOn(each -> each.transmit().isEmpty())
                .singleElement()
                .satisfies(each -> assertThat(each.text(Field.ZONE))
                        .as("whose radios hear it")
                        .isEqualTo("Net control,Gauges"));
    }

    @Test
    void thoseWithNothingInCommonContradictAndItIsSaidWhy() {
        Plan plan = plan(
                asked(TEAMS + ",\"mustTalk\":[[\"Levee\",\"Net control\"],[\"Levee\",\"Gauges\"]],\"calling\":true"));
        assertThat(plan).isInstanceOf(Plan.Contradiction.class);
        Plan.Contradiction found = (Plan.Contradiction) plan;
        assertThat(found.demands()).containsExactly("Levee and Gauges must talk");
        assertThat(found.reasons())
                .anyMatch(
                        each -> each.contains("Cal of Levee may key GMRS") && each.contains("those of Gauges may key"));
    }

    @Test
    void aServiceThatIsNotAllowedIsPartOfTheContradiction() {
        Plan plan = plan(asked(TEAMS + ",\"mustTalk\":[[\"Levee\",\"Net control\"]],\"services\":[\"amateur\"]"));
        assertThat(((Plan.Contradiction) plan).demands())
                .containsExactly("Levee and Net control must talk", "only amateur");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"listen\":[\"7.150\"] | somebody listens on 7.150 MHz | Nobody has a radio that hears",
                "\"spare\":40 | 40 spare channels | the smallest radio holds 20 entries",
            })
    void whatNoRadioCanIsAContradictionByItself(String demand, String said, String why) {
        Plan.Contradiction found = (Plan.Contradiction) plan(asked(TEAMS + "," + demand));
        assertThat(found.demands()).containsExactly(said);
        assertThat(found.reasons()).anyMatch(each -> each.contains(why));
    }

    @Test
    void onlyTheServicesThatAreAllowedAreUsed() {
        ChannelList list = list(
                asked(TEAMS + ",\"mustTalk\":[[\"Gauges\",\"Net control\"]],\"services\":[\"amateur\"],\"spare\":3"));
        assertThat(list.channels()).allMatch(each -> each.serviceHint().equals("amateur"));
    }

    @Test
    void somebodyWhoseLicenceEndsBeforeTheDayIsLeftOut() {
        String expired = BOTH.replace(
                "\"name\":\"Cal\",\"licences\":[{\"service\":\"gmrs\"}",
                "\"name\":\"Cal\",\"licences\":[{\"service\":\"gmrs\",\"expires\":\"2026-11-01\"}");
        DemandsReader.Asked asked = DemandsReader.read(
                ("{\"format\":\"wache-demands/1\",\"context\":{\"format\":\"wache-context/1\",\"holders\":[" + expired
                                + "]," + RADIOS + "}," + TEAMS + ",\"mustTalk\":[[\"Levee\",\"Net control\"]]}")
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(((Plan.Contradiction) plan(asked)).reasons())
                .anyMatch(each -> each.startsWith("Cal of Levee may key nothing"));
    }

    /** Invented groups: what is proposed always does what was asked; what contradicts is minimal. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void inventedGroupsAreServedOrToldTheLeastThatContradicts(long seed) {
        Random random = new Random(seed);
        Map<String, String> people = new LinkedHashMap<>();
        List<String> kinds = List.of(
                "technician|Amateur", "gmrs|Personal", "technician gmrs|Amateur\",\"Personal", "general|Amateur");
        int many = 6 + random.nextInt(6);
        for (int i = 0; i < many; i++) {
            String[] kind = kinds.get(random.nextInt(kinds.size())).split("\\|");
            people.put("P" + i, person("P" + i, kind[0], kind[1]));
        }
        List<String> teams = new ArrayList<>();
        int count = 2 + random.nextInt(3);
        for (int t = 0; t < count; t++) {
            List<String> members = new ArrayList<>();
            for (int i = t; i < many; i += count) {
                members.add("\"P" + i + "\"");
            }
            teams.add("{\"name\":\"T" + t + "\",\"members\":[" + String.join(",", members) + "]}");
        }
        String text =
                "{\"format\":\"wache-demands/1\",\"context\":{\"format\":\"wache-context/1\",\"houseRules\":{\"keyedTogether\":true},\"holders\":["
                        + String.join(",", people.values()) + "]," + RADIOS + "},\"teams\":[" + String.join(",", teams)
                        + "],\"mustTalk\":[[\"T0\",\"T1\"]" + (count > 2 ? ",[\"T1\",\"T2\"]" : "") + "],\"calling\":"
                        + random.nextBoolean()
                        + ",\"spare\":" + random.nextInt(3) + "}";
        DemandsReader.Asked asked = DemandsReader.read(text.getBytes(StandardCharsets.UTF_8));
        Plan plan = plan(asked);
        if (plan instanceof Plan.Proposed proposed) {
            assertTalks(asked, proposed.list());
            assertClear(asked, proposed.list());
        } else {
            Plan.Contradiction found = (Plan.Contradiction) plan;
            assertThat(found.demands()).isNotEmpty();
            assertThat(found.reasons()).isNotEmpty();
            assertThat(bruteForce(asked))
                    .as("no channel serves each of the pairs")
                    .isFalse();
        }
    }

    /** Whether each member of each pair shares a channel of a service with somebody of the other, counted by licences and radios alone. */
    private static boolean bruteForce(DemandsReader.Asked asked) {
        for (Demands.Pair pair : asked.demands().mustTalk()) {
            List<String> one = asked.demands().team(pair.one()).orElseThrow().members();
            List<String> other =
                    asked.demands().team(pair.other()).orElseThrow().members();
            boolean all = one.stream().allMatch(each -> other.stream().anyMatch(mate -> shares(asked, each, mate)))
                    && other.stream().allMatch(each -> one.stream().anyMatch(mate -> shares(asked, each, mate)));
            if (!all) {
                return false;
            }
        }
        return true;
    }

    private static boolean shares(DemandsReader.Asked asked, String one, String other) {
        return List.of("Amateur", "Personal").stream()
                .anyMatch(radio -> has(asked, one, radio) && has(asked, other, radio));
    }

    private static boolean has(DemandsReader.Asked asked, String name, String model) {
        return asked.demands().people().stream()
                .filter(each -> each.name().equals(name))
                .flatMap(each -> each.radios().orElseThrow().stream())
                .anyMatch(radio -> radio.name().equals(model));
    }

    private static final String WHOLE = TEAMS
            + ",\"mustTalk\":[[\"Net control\",\"Levee\"],[\"Net control\",\"Gauges\"]],\"calling\":true,\"spare\":1";

    private static Plan.Proposed again(DemandsReader.Asked asked, Map<String, Frequency> kept, Set<Frequency> without) {
        Demands all = asked.demands();
        return (Plan.Proposed) Planner.of(
                Register.ALL,
                context(asked),
                new Demands(
                        all.people(),
                        all.teams(),
                        all.mustTalk(),
                        all.services(),
                        all.calling(),
                        all.spare(),
                        all.listen(),
                        all.command(),
                        all.repeaters(),
                        kept,
                        without));
    }

    private static Frequency on(Plan.Proposed plan, String key) {
        return plan.list().channels().get(plan.keys().indexOf(key)).transmit().orElseThrow();
    }

    private static String why(Plan.Proposed plan, String key) {
        return plan.list().channels().get(plan.keys().indexOf(key)).text(Field.NOTE);
    }

    @Test
    void whatIsNotWantedIsReplacedAndTheRestIsThere() {
        DemandsReader.Asked asked = asked(WHOLE);
        Plan.Proposed first = again(asked, Map.of(), Set.of());
        Set<Frequency> without = new HashSet<>();
        for (String key : first.keys()) {
            without.add(on(first, key));
        }
        Plan.Proposed other = again(asked, Map.of(), without);
        assertThat(other.keys()).isEqualTo(first.keys());
        other.keys().forEach(key -> assertThat(without).doesNotContain(on(other, key)));
        assertClear(asked, other.list());
    }

    @Test
    void whatWasFixedByHandStaysAndNothingElseTakesIt() {
        DemandsReader.Asked asked = asked(WHOLE);
        Plan.Proposed first = again(asked, Map.of(), Set.of());
        String tac = first.keys().stream()
                .filter(each -> each.startsWith("TAC"))
                .findFirst()
                .orElseThrow();
        Frequency wanted = on(again(asked, Map.of(), Set.of(on(first, tac))), tac);
        Plan.Proposed fixed = again(asked, Map.of(tac, wanted), Set.of());
        assertThat(on(fixed, tac)).isEqualTo(wanted);
        assertThat(why(fixed, tac)).contains("It was fixed by hand.");
        assertThat(fixed.list().channels().stream()
                        .filter(each -> each.transmit().equals(java.util.Optional.of(wanted))))
                .hasSize(1);
        assertClear(asked, fixed.list());
    }

    /** 150.000 MHz is in no service of the rulebook. */
    @Test
    void whatWasFixedAndDoesNotServeIsSaid() {
        DemandsReader.Asked asked = asked(WHOLE + ",\"services\":[\"gmrs\",\"amateur\",\"frs\"]");
        Frequency nowhere = Frequency.ofMegahertz("150.000").orElseThrow();
        Plan.Proposed plan = again(asked, Map.of("CALL", nowhere), Set.of());
        assertThat(on(plan, "CALL")).isNotEqualTo(nowhere);
        assertThat(why(plan, "CALL")).contains("150", "which was fixed by hand, does not do it.");
    }

    /** Somebody in both teams has nobody to reach: they are the link. */
    @Test
    void whoIsInBothTeamsIsTheLink() {
        DemandsReader.Asked asked = asked(
                "\"teams\":[{\"name\":\"Net control\",\"members\":[\"Ada\",\"Eve\"]},{\"name\":\"Levee\",\"members\":[\"Ada\"]}],"
                        + "\"mustTalk\":[[\"Net control\",\"Levee\"]]");
        assertClear(asked, list(asked));
        DemandsReader.Asked alone = asked(
                "\"teams\":[{\"name\":\"Net control\",\"members\":[\"Ada\"]},{\"name\":\"Levee\",\"members\":[\"Ada\"]}],"
                        + "\"mustTalk\":[[\"Net control\",\"Levee\"]]");
        assertThat(plan(alone)).isInstanceOf(Plan.Proposed.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"teams\":[] | teams",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Zoe\"]}] | teams[0].members",
                "\"teams\":[{\"name\":\"A,B\",\"members\":[\"Ada\"]}] | teams[0].name",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Ada\"]},{\"name\":\"A\",\"members\":[\"Ben\"]}] | teams[1].name",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Ada\"]}],\"mustTalk\":[[\"A\",\"B\"]] | mustTalk[0]",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Ada\"]}],\"mustTalk\":[[\"A\"]] | mustTalk[0]",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Ada\"]}],\"listen\":[\"loud\"] | listen[0]",
                "\"teams\":[{\"name\":\"A\",\"members\":[\"Ada\"]}],\"spare\":-1 | spare",
            })
    void wrongDemandsAreToldWithTheirPlace(String rest, String place) {
        assertThatThrownBy(() -> asked(rest)).isInstanceOf(FileProblem.class).hasMessageContaining(place);
    }

    private static final String RIDGE =
            "\"repeaters\":[{\"name\":\"Ridge\",\"rxMhz\":\"146.940\",\"txMhz\":\"146.340\",\"tone\":\"100.0\"}]";

    /** A repeater that is asked for is there with its direct side, for those who may key it; 146.940 is an output by the national plan. */
    @Test
    void aRepeaterIsThereWithItsDirectSide() {
        ChannelList list = list(asked(TEAMS + ",\"calling\":true,\"command\":true," + RIDGE));
        assertThat(list.channels().stream().map(Channel::name).toList()).contains("COMMAND", "RIDGE");
        Channel ridge = list.channels().stream()
                .filter(each -> each.name().equals("RIDGE"))
                .findFirst()
                .orElseThrow();
        assertThat(ridge.text(Field.RX_MHZ)).isEqualTo("146.940");
        assertThat(ridge.text(Field.TX_MHZ)).isEqualTo("146.340");
        assertThat(ridge.text(Field.TX_TONE)).isEqualTo("100.0");
        assertThat(ridge.text(Field.ZONE)).isEqualTo("Net control,Gauges");
        DemandsReader.Asked asked = asked(TEAMS + ",\"calling\":true,\"command\":true," + RIDGE);
        Person eve = asked.demands().people().stream()
                .filter(each -> each.name().equals("Eve"))
                .findFirst()
                .orElseThrow();
        for (int i = 0; i < list.channels().size(); i++) {
            if (list.channels().get(i).name().startsWith("RIDGE")) {
                assertThat(audit(asked, list, eve, eve.radios().orElseThrow().get(0))
                                .entry(i)
                                .verdict())
                        .isIn(Verdict.CLEAR, Verdict.QUERY);
            }
        }
    }

    /** By the national plan 146.940 is kept for repeaters' outputs: who goes on without the repeater does so elsewhere. */
    @Test
    void whereTheOutputIsKeptForRepeatersTheDirectSideIsAChannelOfItsOwn() {
        DemandsReader.Asked asked = asked(TEAMS + ",\"calling\":true," + RIDGE);
        ChannelList list = list(asked);
        Channel direct = list.channels().stream()
                .filter(each -> each.text(Field.NOTE).startsWith("For when Ridge fails"))
                .findFirst()
                .orElseThrow(() -> new AssertionError(list.toString()));
        assertThat(direct.name()).startsWith("RIDGE");
        assertThat(direct.receive()).isEqualTo(direct.transmit());
        assertThat(direct.text(Field.TX_MHZ)).isNotEqualTo("146.940").startsWith("14");
        int place = list.channels().indexOf(direct);
        assertThat(direct.text(Field.ZONE)).isEqualTo("Net control,Gauges");
        for (Person person : asked.demands().people()) {
            if (person.name().equals("Eve")) {
                assertThat(audit(
                                        asked,
                                        list,
                                        person,
                                        person.radios().orElseThrow().get(0))
                                .entry(place)
                                .verdict())
                        .isEqualTo(Verdict.CLEAR);
            }
        }
    }

    /** Command is a channel of its own, away from where people call, for as many whole teams as any other channel. */
    @Test
    void commandIsAQuietChannelOfItsOwn() {
        ChannelList list = list(asked(TEAMS + ",\"calling\":true,\"command\":true"));
        Channel command = list.channels().stream()
                .filter(each -> each.name().equals("COMMAND"))
                .findFirst()
                .orElseThrow();
        assertThat(list.channels().stream()
                        .filter(each -> each.text(Field.TX_MHZ).equals(command.text(Field.TX_MHZ))))
                .hasSize(1);
        assertThat(command.text(Field.NOTE)).startsWith("For those who lead");
        assertThat(command.text(Field.TX_MHZ)).isNotIn("146.520", "446.000");
    }

    @Test
    void aRepeaterThatNobodyMayKeyIsNamed() {
        Plan plan = plan(asked(TEAMS + ",\"services\":[\"gmrs\"]," + RIDGE));
        assertThat(plan).isInstanceOf(Plan.Contradiction.class);
        assertThat(((Plan.Contradiction) plan).demands())
                .containsExactlyInAnyOrder("the repeater Ridge is used", "only gmrs");
        assertThat(((Plan.Contradiction) plan).reasons()).anyMatch(each -> each.contains("the input of Ridge"));
        assertThatThrownBy(() ->
                        asked(TEAMS + ",\"repeaters\":[{\"name\":\"Ridge\",\"rxMhz\":\"x\",\"txMhz\":\"146.340\"}]"))
                .isInstanceOf(FileProblem.class)
                .hasMessageContaining("rxMhz");
    }
}
