package org.wache.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** What of who reaches whom is asked about. Common practice, no source. */
class ConcernsTest {

    private final List<String> names = new ArrayList<>();
    private final List<Set<String>> teams = new ArrayList<>();
    private final List<Reach.Means> means = new ArrayList<>();
    private final List<List<String>> links = new ArrayList<>();

    /** Somebody who may key these of three entries. */
    private void person(String name, String team, Integer... talks) {
        BitSet keyed = new BitSet();
        Arrays.stream(talks).forEach(keyed::set);
        BitSet heard = new BitSet();
        heard.set(0, 3);
        names.add(name);
        teams.add(team.isEmpty() ? Set.of() : Set.of(team));
        means.add(new Reach.Means(keyed, heard));
    }

    private void reaches(String from, String to) {
        links.add(List.of(from, to));
    }

    private List<String> found() {
        List<Channel> channels = IntStream.of(1, 2, 3)
                .mapToObj(i -> Channel.of(Map.of(Field.NUMBER, "" + i, Field.NAME, "C" + i)))
                .toList();
        List<BitSet> reaches = names.stream().map(any -> new BitSet()).toList();
        links.forEach(link -> reaches.get(names.indexOf(link.get(0))).set(names.indexOf(link.get(1))));
        return Concerns.of(new ReachStudy.Matrix(means, reaches), names, teams, channels).stream()
                .map(each -> each.kind() + " " + each.subject() + ": " + each.message())
                .toList();
    }

    @Test
    void whereEverybodyReachesEverybodyNothingIsAsked() {
        person("Ada", "Base", 0, 1, 2);
        person("Ben", "Field", 0, 1, 2);
        reaches("Ada", "Ben");
        reaches("Ben", "Ada");
        assertThat(found()).isEmpty();
    }

    @Test
    void aTeamThatHearsAndCannotAnswerIsNamed() {
        person("Ada", "Base", 0, 1, 2);
        person("Eve", "Base", 0, 1, 2);
        person("Ben", "Field", 0);
        person("Cid", "Field", 0);
        reaches("Ada", "Ben");
        reaches("Ada", "Eve");
        reaches("Eve", "Ada");
        reaches("Ben", "Cid");
        reaches("Cid", "Ben");
        assertThat(found())
                .containsExactly(
                        "TEAM_ALONE Field: Nobody of Field reaches anybody outside it; it hears others and cannot answer.");
    }

    @Test
    void ofATeamOfOneItIsSaidOnce() {
        person("Ada", "Base", 0, 1, 2);
        person("Eve", "", 0, 1, 2);
        person("Ben", "Field");
        reaches("Ada", "Eve");
        reaches("Eve", "Ada");
        assertThat(found())
                .containsExactly(
                        "TEAM_ALONE Field: Nobody of Field reaches anybody outside it, and nobody outside reaches it.");
    }

    @Test
    void whoIsAloneWhoIsUnheardAndWhoOnlyListensAreTold() {
        person("Ada", "", 0, 1, 2);
        person("Eve", "", 0, 1, 2);
        person("Ben", ""); // nobody, either way
        person("Cid", "", 2); // a base that nobody hears
        person("Dot", ""); // listens only, which is what she is for
        for (String other : List.of("Eve", "Cid", "Dot")) {
            reaches("Ada", other);
        }
        reaches("Eve", "Ada");
        assertThat(found())
                .containsExactly(
                        "PERSON_ALONE Ben: Ben reaches nobody, and nobody reaches Ben.",
                        "UNHEARD Cid: Nobody else hears what Cid may key.");
    }

    @Test
    void anEntryOfOneSpeakerIsAskedAboutAndOneOfNoneIsNot() {
        person("Ada", "", 0, 1);
        person("Eve", "", 0);
        reaches("Ada", "Eve");
        reaches("Eve", "Ada");
        assertThat(found()).containsExactly("ONE_TALKS 2 C2: Only Ada may talk on it.");
    }

    @Test
    void ofOnePersonNothingIsAsked() {
        person("Ada", "Base", 0);
        assertThat(found()).isEmpty();
    }

    @Test
    void whatIsFoundOtherwiseIsAnotherMatter() {
        Concern one = concern(1, "Only Ada may talk on it.", "146.52");
        assertThat(one.print())
                .isEqualTo(concern(7, "Only Ada may talk on it.", "146.52").print())
                .isNotEqualTo(concern(1, "Only Eve may talk on it.", "146.52").print())
                .isNotEqualTo(concern(1, "Only Ada may talk on it.", "146.55").print());
    }

    private static Concern concern(int entry, String message, String about) {
        return new Concern(Concern.Kind.ONE_TALKS, "2 C2", entry, message, about);
    }
}
