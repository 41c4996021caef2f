package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.wache.signal.Span;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/**
 * Nothing in a rulebook is unproved. Every number of every file is moved one step of its last figure up and down, and every row is
 * dropped; some case of knowledge must notice. What none notices is named, with its file, its line and its value.
 */
class EveryNumberTest {

    private static final Pattern NUMBER = Pattern.compile("-?\\d+(?:\\.\\d+)?");
    /** Keys whose digits are words: names, sections, patterns, sentences. */
    private static final List<String> WORDS = List.of(
            "source",
            "name",
            "say",
            "id",
            "title",
            "band",
            "pattern",
            "part",
            "parts",
            "restricted_source",
            "emission_source",
            "channel_source",
            "repeater_source",
            "width_source",
            "renewal_source",
            "edge_source",
            "note",
            "alias",
            "examples",
            "names",
            "words",
            "code",
            "sections",
            "whose",
            "why",
            "purpose",
            "restricted",
            "class_sections",
            "mixture_source",
            "elsewhere_source",
            "am_width_source",
            "calling",
            "duty_source",
            "coax_source",
            "usual_band",
            "emission",
            "counts_as",
            "regions",
            "rule_notes",
            "aboard");

    /** Each with files of its own. */
    private static final int WALKERS = 2;

    /** A number where it stands: how it is set, and what it was. */
    private record Spot(
            String file,
            int line,
            String key,
            String was,
            java.util.function.Consumer<JsonNode> set,
            JsonNode node,
            Optional<Row> row) {}

    @ParameterizedTest
    @ValueSource(strings = {"us", "uk", "au"})
    void aCaseNoticesEachNumberAndRow(String country) {
        List<KnownCase> cases = KnownCases.of(country);
        List<String> unnoticed = IntStream.range(0, WALKERS)
                .parallel()
                .mapToObj(part -> new Walk(
                                country,
                                cases,
                                Walk.FILES.stream()
                                        .filter(file -> Walk.FILES.indexOf(file) % WALKERS == part)
                                        .toList())
                        .unnoticed())
                .flatMap(List::stream)
                .toList();
        if (Boolean.getBoolean("wache.list")) {
            unnoticed.forEach(System.out::println);
        }
        assertThat(unnoticed)
                .as("%d values of %s that no case notices", unnoticed.size(), country)
                .isEmpty();
    }

    /** The walk itself notices what it should: without cases everything is named. */
    @Test
    void withoutCasesEverythingIsNamed() {
        assertThat(new Walk("au", List.of(), Walk.FILES).unnoticed()).hasSizeGreaterThan(500);
    }

    /** Over the files of one country. */
    private static final class Walk {
        private final String country;
        private final List<KnownCase> cases;
        private final List<String> some;
        private final RulebookFiles files;
        private final Map<KnownCase, String> before = new LinkedHashMap<>();
        private final ConcurrentLinkedQueue<String> unnoticed = new ConcurrentLinkedQueue<>();

        Walk(String country, List<KnownCase> cases, List<String> some) {
            this.country = country;
            this.some = some;
            this.cases = cases;
            this.files = RulebookReader.files(country, List.of());
            Rulebook rulebook = RulebookReader.rulebook(files);
            cases.forEach(each -> before.put(each, each.outcome(rulebook)));
        }

        List<String> unnoticed() {
            for (String file : some) {
                if (COMMON.contains(file) && !country.equals("us")) {
                    continue; // the same file for every country
                }
                Row row = COMMON.contains(file) ? files.common(file) : files.optional(file);
                if (row.node().isObject() && row.node().size() > 0) {
                    object(file, row, (ObjectNode) row.node(), Optional.empty());
                }
            }
            return unnoticed.stream().toList();
        }

        private static final List<String> COMMON = List.of("tones", "station", "region-sets");
        private static final List<String> FILES = List.of(
                "edition",
                "amateur",
                "gmrs",
                "frs",
                "murs",
                "cb",
                "land-mobile",
                "remote-control",
                "licence-free",
                "ship",
                "aircraft",
                "pmr446",
                "uhf-cb",
                "hf-cb",
                "allocations",
                "band-plan",
                "listening",
                "channel-names",
                "places",
                "exposure",
                "measurements",
                "tones",
                "station",
                "region-sets");

        private void object(String file, Row root, ObjectNode node, Optional<Row> row) {
            node.properties().stream()
                    .map(Map.Entry::getKey)
                    .toList()
                    .forEach(key -> value(file, root, node, key, row));
        }

        private void value(String file, Row root, ObjectNode node, String key, Optional<Row> row) {
            if (WORDS.contains(key)) {
                return;
            }
            JsonNode value = node.get(key);
            int line = root.marks().line(node, key);
            if (value instanceof ObjectNode inner) {
                object(
                        file,
                        root,
                        inner,
                        row.isPresent() ? row : Optional.of(new Row(file, inner, root.marks(), Optional.empty())));
            } else if (value instanceof ArrayNode array) {
                for (int i = 0; i < array.size(); i++) {
                    int at = i;
                    if (array.get(i) instanceof ObjectNode inner) {
                        Row own = new Row(file, inner, root.marks(), Optional.empty());
                        drop(file, array, i, own, root);
                        object(file, root, inner, Optional.of(own));
                    } else {
                        move(new Spot(
                                file,
                                line,
                                key,
                                array.get(i).asString(),
                                moved -> array.set(at, moved),
                                array.get(i),
                                row));
                    }
                }
            } else {
                move(new Spot(file, line, key, value.asString(), moved -> node.set(key, moved), value, row));
            }
        }

        private void drop(String file, ArrayNode array, int at, Row row, Row root) {
            JsonNode was = array.remove(at);
            try {
                if (!noticed(touched(file, Optional.of(row), List.of()))) {
                    int line = row.keys().isEmpty()
                            ? 0
                            : root.marks().line(was, row.keys().get(0));
                    unnoticed.add(country + "/" + file + ".yaml, line " + line + ": the row " + was);
                }
            } finally {
                array.insert(at, was);
            }
        }

        /** Each number in the text, one step of its last figure down and up, a day by a day: one of the two has to be noticed. */
        private void move(Spot spot) {
            if (spot.was().matches("\\d{4}-\\d{2}-\\d{2}")) {
                LocalDate day = LocalDate.parse(spot.was());
                hold(spot, List.of(day.minusDays(1).toString(), day.plusDays(1).toString()), spot.was());
                return;
            }
            Matcher number = NUMBER.matcher(spot.was().replaceAll("(?<=\\d)-(?=\\d)", " "));
            while (number.find()) {
                BigDecimal value = new BigDecimal(number.group());
                BigDecimal step = BigDecimal.ONE.movePointLeft(value.scale());
                String before = spot.was().substring(0, number.start());
                String behind = spot.was().substring(number.end());
                hold(
                        spot,
                        Stream.of(value.subtract(step), value.add(step))
                                .map(moved -> before + moved.toPlainString() + behind)
                                .toList(),
                        number.group());
            }
        }

        private void hold(Spot spot, List<String> moved, String number) {
            for (String text : moved) {
                spot.set().accept(StringNode.valueOf(text));
                try {
                    if (noticed(touched(spot.file(), spot.row(), List.of(spot.was(), text)))) {
                        return;
                    }
                } finally {
                    spot.set().accept(spot.node());
                }
            }
            unnoticed.add(country + "/" + spot.file() + ".yaml, line " + spot.line() + ": " + spot.key() + ", " + number
                    + " of “" + spot.was() + "”");
        }

        /** The cases that the row may matter to: those near its frequencies, and those that say they are about its file. */
        private List<KnownCase> touched(String file, Optional<Row> row, List<String> texts) {
            List<Span> spans = new ArrayList<>();
            Stream.concat(
                            row.stream().flatMap(each -> Stream.of(
                                            "mhz", "outputs_mhz", "reaches_mhz", "pair_mhz", "offsets_mhz")
                                    .filter(each.node()::has)
                                    .map(key -> each.node().get(key).asString(""))),
                            texts.stream())
                    .forEach(text -> span(text).ifPresent(spans::add));
            return cases.stream()
                    .filter(each -> each.file().map(file::equals).orElse(true)
                            && (each.hertz().isEmpty() || spans.isEmpty()
                                    ? each.file().isPresent()
                                    : each.near(spans)))
                    .toList();
        }

        private static Optional<Span> span(String text) {
            try {
                return Optional.of(Span.ofMegahertz(text));
            } catch (IllegalArgumentException e) {
                return Optional.empty();
            }
        }

        private boolean noticed(List<KnownCase> some) {
            Rulebook changed;
            try {
                changed = RulebookReader.rulebook(files);
                changed.on(LocalDate.of(2026, 11, 25));
            } catch (RuntimeException e) {
                return true; // it cannot even be read
            }
            for (KnownCase each : some) {
                String now;
                try {
                    now = each.outcome(changed);
                } catch (RuntimeException e) {
                    return true;
                }
                if (!now.equals(before.get(each))) {
                    return true;
                }
            }
            return false;
        }
    }
}
