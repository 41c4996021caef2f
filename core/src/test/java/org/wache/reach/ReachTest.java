package org.wache.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.Auditor;
import org.wache.audit.Verdict;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.ContextFile;
import org.wache.exchange.CsvLists;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.RadioReader;
import org.wache.licence.Holder;
import org.wache.licence.Licence;
import org.wache.radio.Radio;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/** Who reaches whom. Rights by 47 CFR 95 and 97; what one hears of another is common practice, no source. */
class ReachTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-25");
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);
    private static final Radio AMATEUR = radio(
            """
            {"model":"Amateur","certifiedFor":[],"transmit":[["144","148"],["420","450"]],"receive":[["136","174"],["400","480"]],
             "stepsKhz":["5","6.25","12.5"],"modes":["FM","NFM"],"tones":["ctcss","dcs"]}""");
    private static final Radio GMRS = radio(
            """
            {"model":"Personal","certifiedFor":["95E"],"transmit":[["462.5","462.8"],["467.5","467.8"]],
             "receive":[["462.5","462.8"],["467.5","467.8"]],"stepsKhz":["6.25","12.5"],"modes":["FM","NFM"],"tones":["ctcss"]}""");
    private static final ChannelList LIST = list(
            """
            number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
            1,Ridge,146.940,146.340,FM,5,100.0,
            2,Simplex,146.550,146.550,FM,5,,
            3,GMRS 16,462.575,462.575,FM,5,,
            """);

    private static Radio radio(String json) {
        return Radio.of(RadioReader.model(json.getBytes(StandardCharsets.UTF_8)));
    }

    private static ChannelList list(String csv) {
        return CsvLists.read(csv.getBytes(StandardCharsets.UTF_8), "list");
    }

    private static Person person(String name, String licences, Radio... radios) {
        Holder holder = HolderShorthand.holder(licences, EDITION);
        return new Person(new Holder(name, holder.licences()), Optional.of(List.of(radios)));
    }

    private static Reach reach(ChannelList list, Person... people) {
        return ReachStudy.of(
                Register.ALL,
                AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("nobody", EDITION))),
                List.of(people),
                List.of(list),
                List.of(AMATEUR, GMRS));
    }

    private static List<String> links(Reach reach) {
        return reach.links().stream()
                .map(link -> link.from() + ">" + link.to() + " " + String.join(",", link.entries()))
                .toList();
    }

    @Test
    void whoMayKeyWithARadioOfTheirsReachesWhoHears() {
        Reach reach = reach(
                LIST,
                person("Net", "amateur:technician", AMATEUR),
                person("Post", "amateur:technician", AMATEUR),
                person("Levee", "gmrs", GMRS),
                person("Both", "amateur:technician,gmrs", AMATEUR, GMRS));
        assertThat(links(reach))
                .containsExactly(
                        "Net>Post 1,2",
                        "Net>Both 1,2",
                        "Post>Net 1,2",
                        "Post>Both 1,2",
                        "Levee>Net 3",
                        "Levee>Post 3",
                        "Levee>Both 3",
                        "Both>Net 1,2,3",
                        "Both>Post 1,2,3",
                        "Both>Levee 3");
    }

    /** A hand-held that hears 400 to 480 MHz hears the GMRS channel though it may not be keyed there: one way. */
    @Test
    void hearingWithoutTheRightToKeyIsOneWay() {
        Reach reach = reach(LIST, person("Net", "amateur:technician", AMATEUR), person("Levee", "gmrs", GMRS));
        assertThat(links(reach)).containsExactly("Levee>Net 3");
        Reach.Missing missing = reach.missing().get(0);
        assertThat(missing.from()).isEqualTo("Net");
        assertThat(missing.reasons()).anyMatch(each -> each.startsWith("3 GMRS 16, Net: "));
        assertThat(missing.least()).anyMatch(each -> each.contains("a radio like Amateur for Levee"));
        assertThat(reach.alone()).containsExactly("Net", "Levee");
    }

    @Test
    void aRelayIsNamedAndNobodyIsAloneWithIt() {
        Reach reach = reach(
                LIST,
                person("Net", "amateur:technician", AMATEUR),
                person("Levee", "gmrs", GMRS),
                person("Both", "amateur:technician,gmrs", AMATEUR, GMRS));
        assertThat(reach.missing()).singleElement().satisfies(each -> {
            assertThat(each.from() + ">" + each.to()).isEqualTo("Net>Levee");
            assertThat(each.least()).contains("Both relays");
        });
        assertThat(reach.alone()).isEmpty();
    }

    @Test
    void aLicenceThatHasEndedIsNone() {
        Licence ended = new Licence(
                "amateur", Optional.of("technician"), Optional.empty(), Optional.of(DAY.minusDays(1)), List.of());
        Reach reach = reach(
                LIST,
                new Person(new Holder("Late", List.of(ended)), Optional.of(List.of(AMATEUR))),
                person("Net", "amateur:technician", AMATEUR));
        assertThat(links(reach)).containsExactly("Net>Late 1,2");
        assertThat(reach.missing().get(0).least()).anyMatch(each -> each.contains("the class technician"));
    }

    private static final ChannelList FAMILIES = list(
            """
            number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
            1,GMRS 16,462.575,462.575,FM,5,,
            """);

    private static Reach ofTwo(Person... people) {
        AuditContext context = AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("nobody", EDITION)));
        return ReachStudy.of(
                Register.ALL,
                List.of(
                        new Listed(context, new ChannelList("Boats", List.of(), LIST.channels())),
                        new Listed(context, new ChannelList("Families", List.of(), FAMILIES.channels()))),
                List.of(people),
                List.of());
    }

    /** With several lists each has in their radios what they carry; one entry is heard through that of another list. */
    @Test
    void whatOneDoesNotCarryIsNotInTheirRadio() {
        Person boat = person("Boat", "gmrs", GMRS).with(Set.of(0));
        Person family = person("Family", "gmrs", GMRS).with(Set.of(1));
        assertThat(links(ofTwo(boat, family))).containsExactly("Boat>Family Boats 3", "Family>Boat Families 1");
        Person net = person("Net", "amateur:technician", AMATEUR).with(Set.of(1));
        Reach reach = ofTwo(person("Post", "amateur:technician", AMATEUR).with(Set.of(0)), net);
        assertThat(links(reach)).isEmpty();
        assertThat(reach.missing().get(1).reasons()).contains("Net does not carry Boats.");
        assertThat(reach.missing().get(1).least()).startsWith("Boats for Net");
        assertThat(ofTwo(boat, person("Idle", "gmrs", GMRS).with(Set.of()))
                        .missing()
                        .get(0)
                        .reasons())
                .containsExactly("Idle carries none of the lists.");
    }

    /** A licence for a firm's frequency covers a circle: who may talk at the place of one list may not at that of another. */
    @ParameterizedTest
    @CsvSource({"45.2, 2", "47.0, 0"})
    void eachListIsHeldAgainstItsOwnPlace(double latitude, int links) {
        ContextFile file = ContextFile.read(
                """
                {"format":"wache-context/1","site":{"latitude":%s,"longitude":-93.1},"holders":[{"name":"Ferry","licences":[
                 {"service":"land-mobile","callSign":"WZZB202","expires":"2033-06-30","lines":[
                  {"mhz":"451.8000","emission":"11K2F3E","outputW":5,"units":20,"area":{"latitude":45.2,"longitude":-93.1,"radiusKm":40}}]}]}]}
                """
                        .formatted(latitude)
                        .getBytes(StandardCharsets.UTF_8));
        AuditContext context = file.under(EDITION, DAY, file.holders());
        List<Licence> firm = file.holders().get(0).licences();
        AuditContext elsewhere = AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("nobody", EDITION)));
        Reach reach = ReachStudy.of(
                Register.ALL,
                List.of(
                        new Listed(elsewhere, FAMILIES),
                        new Listed(
                                context,
                                list("number,name,rx_mhz,tx_mhz,emission,power_w\n1,Ferry,451.8,451.8,11K2F3E,4\n"))),
                List.of(
                        new Person(new Holder("Deck", firm), Optional.empty(), Optional.of(Set.of(1))),
                        new Person(new Holder("Shore", firm), Optional.empty(), Optional.of(Set.of(1)))),
                List.of());
        assertThat(reach.links()).hasSize(links);
    }

    /** Who reaches whom is the same with the entries and without them, and of many people it is known too. */
    @Test
    void theMatrixSaysTheSameAsTheLinks() {
        List<Person> people = new ArrayList<>();
        List<Person> kinds = List.of(
                person("Net", "amateur:technician", AMATEUR),
                person("Levee", "gmrs", GMRS),
                person("Both", "amateur:technician,gmrs", AMATEUR, GMRS),
                person("Nobody", "nobody", AMATEUR),
                person("Without", "amateur:extra"));
        for (int i = 0; i < 1_500; i++) {
            Person kind = kinds.get(i % kinds.size());
            people.add(new Person(
                    new Holder(kind.name() + " " + i, kind.holder().licences()),
                    kind.radios(),
                    Optional.of(Set.of(0))));
        }
        List<Listed> lists = List.of(
                new Listed(AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("nobody", EDITION))), LIST));
        ReachStudy.Matrix many = ReachStudy.matrix(Register.ALL, lists, people);
        List<Person> few = people.subList(0, 25);
        List<String> links = ReachStudy.links(Register.ALL, lists, few).links().stream()
                .map(link -> link.from() + ">" + link.to())
                .toList();
        List<String> matrix = new ArrayList<>();
        for (int from = 0; from < few.size(); from++) {
            for (int to = 0; to < few.size(); to++) {
                if (many.reaches().get(from).get(to)) {
                    matrix.add(few.get(from).name() + ">" + few.get(to).name());
                }
            }
        }
        assertThat(matrix).isEqualTo(links).isNotEmpty();
    }

    @Test
    void whoHasNoRadioIsAlone() {
        Reach reach = reach(LIST, person("Net", "amateur:technician", AMATEUR), person("Walker", "amateur:extra"));
        assertThat(reach.links()).isEmpty();
        assertThat(reach.missing())
                .allSatisfy(each -> assertThat(each.reasons()).containsExactly("Walker has no radio."));
        assertThat(reach.alone()).containsExactly("Net", "Walker");
    }

    @ParameterizedTest(name = "{0} | {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                // direct, tones
                "146.55,146.55,FM,,        | 146.55,146.55,FM,,        | true",
                "146.55,146.55,FM,100.0,   | 146.55,146.55,FM,,100.0   | true",
                "146.55,146.55,FM,100.0,   | 146.55,146.55,FM,,103.5   | false",
                "146.55,146.55,FM,,        | 146.55,146.55,FM,,103.5   | false",
                "146.55,146.55,FM,D023,    | 146.55,146.55,FM,,D023    | true",
                "146.55,146.55,FM,,        | 146.55,146.55,NFM,,       | false",
                "146.55,146.55,FM,,        | 146.58,146.58,FM,,        | false",
                // repeaters: through them, at their output, and at their input itself
                "146.94,146.34,FM,100.0,   | 146.94,146.34,FM,100.0,   | true",
                "146.94,146.34,FM,100.0,   | 146.94,,FM,,              | true",
                "146.94,146.34,FM,100.0,   | 146.94,146.94,FM,,123.0   | false",
                "146.94,146.34,FM,100.0,123.0 | 146.94,146.94,FM,,123.0 | true",
                "146.94,146.34,FM,100.0,   | 146.34,,FM,,100.0         | true",
                "146.34,146.34,FM,,        | 146.94,146.34,FM,100.0,   | false",
            })
    void whatIsHeardOfWhat(String talks, String listens, boolean heard) {
        Channel one = list("rx_mhz,tx_mhz,mode,tx_tone,rx_tone\n" + talks.strip() + "\n")
                .channels()
                .get(0);
        Channel other = list("rx_mhz,tx_mhz,mode,tx_tone,rx_tone\n" + listens.strip() + "\n")
                .channels()
                .get(0);
        assertThat(Hearing.hears(one, other)).isEqualTo(heard);
    }

    @Test
    void digitalCodesKeepApart() {
        List<Channel> all =
                list("""
                        rx_mhz,tx_mhz,mode,colour_code,time_slot,talk_group
                        445.925,440.925,DMR,1,2,3100
                        445.925,440.925,DMR,1,2,3100
                        445.925,440.925,DMR,1,1,3100
                        445.925,440.925,DMR,2,2,3100
                        445.925,440.925,DMR,1,2,91
                        """)
                        .channels();
        assertThat(Hearing.hears(all.get(0), all.get(1))).isTrue();
        assertThat(all.subList(2, 5)).noneMatch(each -> Hearing.hears(all.get(0), each));
    }

    /** Against asking every pair, every radio and every two entries anew, without anything that is kept. */
    @Test
    void theLinksAreThoseOfTryingEverything() {
        Random random = new Random(11);
        List<String> licences = List.of("nobody", "gmrs", "amateur:technician", "amateur:general,gmrs");
        ChannelList list = list(
                """
                number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
                1,A,146.940,146.340,FM,5,100.0,
                2,B,146.550,146.550,FM,5,103.5,103.5
                3,C,462.575,462.575,FM,5,,
                4,D,462.5625,462.5625,NFM,0.5,67.0,67.0
                5,E,462.600,467.600,FM,5,141.3,
                6,F,146.940,,FM,,,
                """);
        List<Person> people = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            List<Radio> radios = List.of(List.of(AMATEUR), List.of(GMRS), List.of(AMATEUR, GMRS), List.<Radio>of())
                    .get(random.nextInt(4));
            people.add(person("P" + i, licences.get(random.nextInt(4)), radios.toArray(Radio[]::new)));
        }
        Reach reach = reach(list, people.toArray(Person[]::new));
        int found = 0;
        for (Person from : people) {
            for (Person to : people) {
                boolean linked = from != to && tried(list, from, to);
                found += linked ? 1 : 0;
                assertThat(reach.links().stream()
                                .anyMatch(link -> link.from().equals(from.name())
                                        && link.to().equals(to.name())))
                        .as(from.name() + ">" + to.name())
                        .isEqualTo(linked);
            }
        }
        assertThat(found).isPositive();
        assertThat(reach.links()).hasSize(found);
        assertThat(reach.missing()).hasSize(people.size() * (people.size() - 1) - found);
    }

    private static boolean tried(ChannelList list, Person from, Person to) {
        for (Radio radio : from.radios().orElseThrow()) {
            for (int i = 0; i < list.channels().size(); i++) {
                Verdict verdict = new Auditor(
                                Register.ALL,
                                AuditContext.of(EDITION, DAY, List.of(from.holder()))
                                        .forRadios(List.of(radio)))
                        .audit(list)
                        .entry(i)
                        .verdict();
                for (Radio ear : to.radios().orElseThrow()) {
                    for (Channel listens : list.channels()) {
                        boolean reaches = ear.model().coverage().receive().stream()
                                .anyMatch(
                                        span -> span.contains(listens.receive().orElseThrow()));
                        boolean tone =
                                listens.opensOn().map(ear.model().tones()::has).orElse(true);
                        if ((verdict == Verdict.CLEAR || verdict == Verdict.QUERY)
                                && reaches
                                && tone
                                && Hearing.hears(list.channels().get(i), listens)) {
                            return true;
                        }
                    }
                }
            }
        }
        return false;
    }
}
