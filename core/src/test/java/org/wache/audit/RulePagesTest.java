package org.wache.audit;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.exchange.ContextFile;
import org.wache.exchange.HolderShorthand;
import org.wache.licence.Holder;
import org.wache.rulebook.Country;
import org.wache.rulebook.RulebookReader;

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

    /** By what the page says, and by nothing else. */
    private static List<Slug> found(Rule rule, RulePage.Example example) {
        ContextFile context = rule.page().context().isEmpty()
                ? ContextFile.EMPTY
                : ContextFile.read(rule.page().context().getBytes(StandardCharsets.UTF_8));
        LocalDate day = context.on().orElse(Audits.DAY);
        var edition = Audits.edition(day);
        List<Holder> holders = context.holders().isEmpty()
                ? List.of(HolderShorthand.holder(example.holder(), edition))
                : context.holders();
        return new Auditor(Register.ALL, context.under(edition, day, holders))
                .audit(example.list()).findings(0).stream().map(Finding::slug).toList();
    }

    /** Run with -Dwache.write=true to write the pages anew. */
    @Test
    void thePagesAreCurrent() throws IOException {
        boolean write = Boolean.getBoolean("wache.write");
        for (Rule rule : Register.ALL.all()) {
            check(PAGES.resolve(rule.slug() + ".md"), RulePageText.of(rule, notes(rule)), write);
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

    private static Map<String, String> notes(Rule rule) {
        Map<String, String> notes = new java.util.LinkedHashMap<>();
        for (String id : List.of("us", "uk", "au")) {
            Country country = RulebookReader.shipped(id).country();
            Optional.ofNullable(country.ruleNotes().get(rule.slug().text()))
                    .ifPresent(note ->
                            notes.put((id.equals("us") || id.equals("uk") ? "the " : "") + country.title(), note));
        }
        return notes;
    }
}
