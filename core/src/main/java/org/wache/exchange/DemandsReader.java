package org.wache.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wache.planning.Demands;
import org.wache.reach.Person;
import org.wache.signal.Frequency;
import org.wache.signal.Tone;
import tools.jackson.databind.JsonNode;

/** Reads what a list has to do, {@code wache-demands/1}. */
public final class DemandsReader {

    /** What such a file says it is. */
    public static final String FORMAT = "wache-demands/1";

    private static final int MOST_TEAMS = 200;
    private static final int MOST_SPARE = 200;

    private final Part root;
    private final List<Person> known;

    private DemandsReader(Part root, List<Person> known) {
        this.root = root;
        this.known = known;
    }

    /** The demands, and what they are held against. */
    public record Asked(ContextFile context, Demands demands) {}

    /**
     * Reads them.
     *
     * @throws FileProblem when it is not such a file, or names people or teams that it does not have
     */
    public static Asked read(byte[] bytes) {
        Part root = Part.root(JsonText.read(bytes), FORMAT, "demands");
        JsonNode given = root.raw("context");
        if (!given.isObject()) {
            throw root.problem("context", "the people with their licences and radios, as a context file has them");
        }
        byte[] context = JsonText.MAPPER.writeValueAsBytes(given);
        return new Asked(ContextFile.read(context), new DemandsReader(root, PeopleReader.read(context)).demands());
    }

    private Demands demands() {
        List<Demands.Team> teams = teams();
        Set<String> members = new LinkedHashSet<>();
        teams.forEach(team -> members.addAll(team.members()));
        Map<String, Person> people = new HashMap<>();
        known.forEach(each -> people.put(each.name(), each));
        return new Demands(
                members.stream().map(people::get).toList(),
                teams,
                pairs(teams),
                new HashSet<>(root.texts("services")),
                root.flag("calling"),
                root.whole("spare", 0, MOST_SPARE).orElse(0),
                listen(),
                root.flag("command"),
                repeaters(),
                Map.of(),
                Set.of());
    }

    private List<Demands.Team> teams() {
        List<Part> parts = root.objects("teams");
        if (parts.isEmpty() || parts.size() > MOST_TEAMS) {
            throw root.problem("teams", "1 to " + MOST_TEAMS + " teams with their members");
        }
        List<Demands.Team> teams = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Part part : parts) {
            String name = part.text("name")
                    .map(String::strip)
                    .filter(text -> !text.isEmpty() && text.indexOf(',') < 0 && names.add(text))
                    .orElseThrow(() -> part.problem("name", "a name that no other team has, without a comma"));
            List<String> members = part.texts("members");
            for (String member : members) {
                if (known.stream().noneMatch(each -> each.name().equals(member))) {
                    throw part.problem(
                            "members",
                            "holders of the context: "
                                    + known.stream().map(Person::name).toList() + ", not " + member);
                }
            }
            if (members.isEmpty()) {
                throw part.problem("members", "who belongs to it");
            }
            teams.add(new Demands.Team(name, members.stream().distinct().toList()));
        }
        return teams;
    }

    private List<Demands.Pair> pairs(List<Demands.Team> teams) {
        List<Demands.Pair> pairs = new ArrayList<>();
        for (JsonNode pair : root.array("mustTalk")) {
            String place = "mustTalk[" + pairs.size() + "]";
            if (!pair.isArray() || pair.size() != 2) {
                throw root.problem(place, "two teams, such as [\"Levee\", \"Net control\"]");
            }
            String one = JsonText.scalar(pair.get(0)).strip();
            String other = JsonText.scalar(pair.get(1)).strip();
            for (String name : List.of(one, other)) {
                if (teams.stream().noneMatch(team -> team.name().equals(name))) {
                    throw root.problem(
                            place,
                            "names of teams: "
                                    + teams.stream().map(Demands.Team::name).toList() + ", not " + name);
                }
            }
            pairs.add(new Demands.Pair(one, other));
        }
        return pairs;
    }

    private List<Frequency> listen() {
        List<Frequency> all = new ArrayList<>();
        for (String text : root.texts("listen")) {
            Optional<Frequency> frequency = Frequency.ofMegahertz(text.strip());
            all.add(frequency.orElseThrow(
                    () -> root.problem("listen[" + all.size() + "]", "a frequency in MHz such as \"162.550\"")));
        }
        return all.stream().distinct().toList();
    }

    private List<Demands.Repeater> repeaters() {
        List<Demands.Repeater> all = new ArrayList<>();
        for (Part part : root.objects("repeaters")) {
            all.add(new Demands.Repeater(
                    part.text("name")
                            .map(String::strip)
                            .filter(text -> !text.isEmpty())
                            .orElseThrow(() -> part.problem("name", "a name")),
                    megahertz(part, "rxMhz"),
                    megahertz(part, "txMhz"),
                    part.text("tone").filter(text -> !text.isBlank()).map(text -> Tone.parse(text)
                            .orElseThrow(() -> part.problem("tone", "a tone such as \"100.0\" or \"D023\"")))));
        }
        return all.stream().distinct().toList();
    }

    private static Frequency megahertz(Part part, String key) {
        return part.text(key)
                .flatMap(text -> Frequency.ofMegahertz(text.strip()))
                .orElseThrow(() -> part.problem(key, "a frequency in MHz such as \"146.940\""));
    }
}
