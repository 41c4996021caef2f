package org.wache.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.wache.audit.context.AuditContext;
import org.wache.audit.rules.Register;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.exchange.CsvLists;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.RadioReader;
import org.wache.licence.Holder;
import org.wache.radio.Radio;
import org.wache.reach.Hearing;
import org.wache.reach.Listed;
import org.wache.reach.Person;
import org.wache.reach.Reach;
import org.wache.reach.ReachStudy;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;

/** What is wrong with an operation. Rights by 47 CFR 95 and 97; how watches are kept is common practice, no source. */
class OperationStudyTest {

    private static final LocalDate DAY = LocalDate.parse("2026-11-25");
    private static final LocalDateTime SEVEN = DAY.atTime(7, 0);
    private static final Edition EDITION = RulebookReader.shipped("us").on(DAY);
    private static final ChannelList LIST = CsvLists.read(
            """
            number,name,rx_mhz,tx_mhz,mode,power_w,tx_tone,rx_tone
            1,RIDGE,146.940,146.340,FM,5,100.0,
            2,LEVEE,146.550,146.550,FM,5,,
            3,GMRS 16,462.575,462.575,FM,5,,
            4,RIDGE 2,146.940,146.340,FM,5,103.5,
            5,BOATS,146.580,146.580,FM,5,,
            6,WX,162.550,,FM,,,
            """
                    .getBytes(StandardCharsets.UTF_8),
            "list");
    private static final List<Channel> CHANNELS = LIST.channels();
    private static final List<String> LABELS =
            CHANNELS.stream().map(each -> each.number() + " " + each.name()).toList();
    private static final List<String> NAMES = List.of("Ada", "Bo", "Cleo", "Dag", "Eve");
    /** Ada and Bo are amateurs, Cleo has a GMRS licence and a radio for nothing else, Eve has the licence, Dag has both. */
    private static final Reach REACH = ReachStudy.of(
            Register.ALL,
            List.of(new Listed(
                    AuditContext.of(EDITION, DAY, List.of(HolderShorthand.holder("nobody", EDITION))), LIST)),
            List.of(
                    person("Ada", "amateur:technician"),
                    person("Bo", "amateur:technician"),
                    new Person(
                            person("Cleo", "gmrs").holder(),
                            Optional.of(List.of(Radio.of(RadioReader.model(
                                    """
                    {"model":"Personal","certifiedFor":["95E"],"transmit":[["462.5","462.8"]],"receive":[["462.5","462.8"]],
                     "stepsKhz":["12.5"],"modes":["FM","NFM"],"tones":["ctcss"]}"""
                                            .getBytes(StandardCharsets.UTF_8)))))),
                    person("Dag", "amateur:technician,gmrs"),
                    person("Eve", "gmrs")),
            List.of());

    private static Person person(String name, String licences) {
        return new Person(
                new Holder(name, HolderShorthand.holder(licences, EDITION).licences()), Optional.empty());
    }

    /** A watch such as {@code Net: Ada Bo: 1>2: 7-9}; an entry of 0 is none, and a star behind says that a runner is named. */
    private static Watch watch(String text) {
        String[] parts = text.split(": ");
        String[] entries = parts[2].replace("*", "").split(">");
        String[] hours = parts[3].split("-");
        return new Watch(
                parts[0],
                parts[1].isBlank()
                        ? List.of()
                        : Arrays.stream(parts[1].split(" ")).map(NAMES::indexOf).toList(),
                DAY.atTime(Integer.parseInt(hours[0]), 0),
                DAY.atTime(Integer.parseInt(hours[1]), 0),
                place(entries[0]),
                entries.length > 1 ? place(entries[1]) : Optional.empty(),
                parts[2].contains("*"),
                List.of());
    }

    private static Optional<Integer> place(String number) {
        return Optional.of(Integer.parseInt(number) - 1).filter(each -> each >= 0);
    }

    private static List<Trouble> troubles(String watches, String mustTalk) {
        return OperationStudy.of(
                REACH,
                NAMES,
                CHANNELS,
                LABELS,
                Arrays.stream(watches.split("; "))
                        .map(OperationStudyTest::watch)
                        .toList(),
                mustTalk == null
                        ? List.of()
                        : List.of(new OperationStudy.Pair(mustTalk.split("-")[0], mustTalk.split("-")[1])));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "Net: Ada: 1>2: 7-9; Post: Bo: 1>2: 7-9 | Net-Post | -",
                "Net: Ada: 1>2: 7-9; Post: : 1>2: 7-9 | Net-Post | NOBODY Post, UNHEARD Net",
                "Net: Ada: 0>2: 7-9; Post: Bo: 1>2: 7-9 | - | NOTHING_TO_TALK_ON Net",
                "Net: Ada: 1: 7-9; Post: Bo: 1>2*: 7-9 | - | NO_FALLBACK Net",
                "Net: Ada: 1*: 7-9; Post: Bo: 1>2: 7-9 | - | -",
                "Net: Ada: 1>1: 7-9; Post: Bo: 1>2: 7-9 | - | FALLS_TOGETHER Net",
                "Net: Ada: 1>4: 7-9; Post: Bo: 1>2: 7-9 | - | FALLS_TOGETHER Net",
                "Net: Ada: 6>2: 7-9; Post: Bo: 1>2: 7-9 | - | MAY_NOT_TALK Net",
                "Net: Ada: 1>2: 7-9; Levee: Eve: 2>1: 7-9 | - | MAY_NOT_TALK Levee",
                "Net: Ada: 1>2: 7-9; Levee: Cleo: 2>3: 7-9 | - | DEAF Levee, ALONE Net, UNHEARD Net, UNHEARD Levee",
                "Net: Ada: 1>2: 7-9; Levee: Eve Dag: 2>1: 7-9 | - | SOME_LISTEN Levee",
                // two that must talk: never both ways; not all; they could, and are apart; never at once
                "Net: Ada: 1>2: 7-9; Levee: Cleo: 3*: 7-9 | Net-Levee | ALONE Net, UNHEARD Net, UNHEARD Levee",
                "Net: Ada: 1>2: 7-9; Levee: Cleo: 3*: 7-9; Base: Eve: 3*: 7-9 | Net-Levee | UNMET Net and Levee, UNHEARD Net",
                "Net: Ada: 1>2: 7-9; Levee: Cleo Dag: 1>2: 7-9 | Net-Levee | UNMET Net and Levee, DEAF Levee",
                "Net: Ada: 1>2: 7-9; Levee: Eve: 3*: 7-9 | Net-Levee | APART Net and Levee, UNHEARD Net, UNHEARD Levee",
                "Net: Ada: 1>2: 7-9; Post: Bo: 5*: 7-9 | Net-Post | APART Net and Post, UNHEARD Net, UNHEARD Post",
                "Net: Ada: 1>2: 7-9; Post: Bo: 1>2: 9-11 | Net-Post | NEVER_TOGETHER Net and Post, UNHEARD Net, UNHEARD Post",
                // one cannot be on two entries at once, and can be on two watches of one entry, or one after the other
                "Net: Ada: 1>2: 7-9; Post: Ada Bo: 2>5: 8-10 | - | TWO_PLACES Ada",
                "Net: Ada: 1>2: 7-9; Post: Ada Bo: 1>5: 8-10 | - | -",
                "Net: Ada: 1>2: 7-9; Post: Ada Bo: 4>5: 8-10 | - | -",
                "Net: Ada: 1>2: 7-9; Post: Ada Bo: 2>5: 9-10; Mid: Bo: 1>2: 8-9 | - | UNHEARD Post",
            })
    void whatIsWrongIsFound(String watches, String mustTalk, String found) {
        assertThat(troubles(watches, mustTalk).stream()
                        .map(each -> each.kind() + " " + each.subject())
                        .toList())
                .containsExactlyInAnyOrder(found == null ? new String[0] : found.split(", "));
    }

    @Test
    void whatCannotWorkComesFirstAndIsSaidInWords() {
        List<Trouble> all = troubles(
                "Net: Ada: 1: 7-9; Levee: Cleo: 2>3: 7-9; Post: Eve: 1*: 7-9; Base: Eve: 3*: 9-10", "Net-Levee");
        assertThat(all.stream().map(each -> each.kind().fails()).toList())
                .startsWith(true, true, true, false)
                .endsWith(false);
        assertThat(all.stream().map(Trouble::message).toList())
                .contains(
                        "Nobody on it may talk on 1 RIDGE.",
                        "2 LEVEE is in no radio of Cleo, or no radio of theirs can be set to it.",
                        "Must talk, and nobody of either reaches anybody of the other both ways.",
                        "Nothing is said for when 1 RIDGE fails.");
        assertThat(all.stream()
                        .filter(each -> each.kind() == Trouble.Kind.UNMET)
                        .toList())
                .singleElement()
                .satisfies(each -> assertThat(REACH.missing())
                        .anyMatch(gap -> gap.from().equals(NAMES.get(each.from()))
                                && gap.to().equals(NAMES.get(each.to()))));
        assertThat(troubles("Net: Ada: 1>2: 7-9; Post: Bo: 5>5*: 7-9", "Net-Post").stream()
                        .map(Trouble::message))
                .anyMatch(each -> each.endsWith("; all of them may use 1 RIDGE."));
    }

    @Test
    void aWatchBeginsBeforeItEnds() {
        assertThatThrownBy(() -> watch("Net: Ada: 1>2: 9-9")).hasMessage("Net ends before it begins");
    }

    /** Held against a count by hand of everybody on watch, for operations made at random. */
    @Test
    void whoIsHeardIsAsACountByHandHasIt() {
        Random random = new Random(22);
        for (int round = 0; round < 200; round++) {
            List<Watch> watches = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                List<Integer> people = IntStream.range(0, NAMES.size())
                        .filter(each -> random.nextInt(3) == 0)
                        .boxed()
                        .toList();
                int from = random.nextInt(3);
                watches.add(new Watch(
                        "Watch " + i,
                        people,
                        SEVEN.plusHours(from),
                        SEVEN.plusHours(from + 1 + random.nextInt(2)),
                        Optional.of(random.nextInt(CHANNELS.size())),
                        Optional.of(random.nextInt(CHANNELS.size())),
                        false,
                        List.of(random.nextInt(CHANNELS.size()))));
            }
            List<String> unheard = new ArrayList<>();
            for (Watch watch : watches) {
                boolean talks = false;
                boolean heard = false;
                for (int entry : List.of(watch.talk().get(), watch.fallback().get())) {
                    for (int one : watch.people()) {
                        if (REACH.means().get(one).talks().get(entry)) {
                            talks = true;
                            heard |= heardOf(watches, watch, entry, one);
                        }
                    }
                }
                if (talks && !heard) {
                    unheard.add(watch.name());
                }
            }
            assertThat(OperationStudy.of(REACH, NAMES, CHANNELS, LABELS, watches, List.of()).stream()
                            .filter(each -> each.kind() == Trouble.Kind.UNHEARD)
                            .map(Trouble::subject)
                            .toList())
                    .isEqualTo(unheard);
        }
    }

    private static boolean heardOf(List<Watch> watches, Watch watch, int entry, int one) {
        boolean heard = false;
        for (Watch other : watches) {
            boolean together = !other.until().isBefore(watch.from().plusMinutes(1))
                    && !watch.until().isBefore(other.from().plusMinutes(1));
            for (int two : other.people()) {
                for (int listens : List.of(
                        other.talk().get(), other.fallback().get(), other.also().get(0))) {
                    heard |= other != watch
                            && together
                            && one != two
                            && REACH.means().get(two).hears().get(listens)
                            && Hearing.hears(CHANNELS.get(entry), CHANNELS.get(listens));
                }
            }
        }
        return heard;
    }
}
