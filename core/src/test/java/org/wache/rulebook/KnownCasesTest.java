package org.wache.rulebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is known of each country's rules, from memory of the rules themselves, against what its rulebook says. */
class KnownCasesTest {

    @ParameterizedTest
    @ValueSource(strings = {"us", "uk", "au"})
    void theRulebookSaysWhatIsKnown(String country) {
        Rulebook book = RulebookReader.shipped(country);
        List<KnownCase> cases = KnownCases.of(country);
        assertThat(cases).hasSizeGreaterThan(300);
        List<String> wrong = cases.stream()
                .filter(each -> !each.right().test(each.outcome(book)))
                .map(each -> each + " → " + each.outcome(book))
                .toList();
        assertThat(wrong).isEmpty();
    }
}
