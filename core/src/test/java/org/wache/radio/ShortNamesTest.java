package org.wache.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names for displays. The short forms are common practice, no source. */
class ShortNamesTest {

    private static String one(String name, int length, ShortNames.Letters letters) {
        return ShortNames.of(List.of(name), length, letters).get(0).name();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Tern Ridge Rpt | 8 | TernRdgR",
                "Tern Ridge Rpt | 16 | Tern Ridge Rpt",
                "Weir Hill Rpt | 8 | WeirHlR",
                "Levee East | 8 | Levee E",
                "Tactical 1 | 6 | TAC 1",
                "Weather | 6 | WX",
                "Calling 2 m | 8 | Call 2 m",
                "Örchard Süd | 7 | OrchSud",
                "Sandbag yard | 8 | SndbgYrd",
                "Shelter net 12 | 7 | ShltN12",
                "X | 1 | X"
            })
    void namesAreShortenedByRule(String name, int length, String expected) {
        assertThat(one(name, length, ShortNames.Letters.ASCII)).isEqualTo(expected);
    }

    @Test
    void aDisplayOfCapitalsHasNoOthers() {
        assertThat(one("Tern–Ridge (é)", 20, ShortNames.Letters.CAPITALS)).isEqualTo("TERNRIDGEE");
        assertThat(one("Tern–Ridge", 20, ShortNames.Letters.CAPITALS_AND_MARKS)).isEqualTo("TERN-RIDGE");
    }

    @Test
    void whatWasDoneIsSaid() {
        assertThat(ShortNames.of(List.of("Tern Ridge Rpt"), 8, ShortNames.Letters.ASCII)
                        .get(0)
                        .how())
                .containsExactly("short forms", "no blanks", "R for repeater");
        assertThat(ShortNames.of(List.of("Levee"), 8, ShortNames.Letters.ASCII)
                        .get(0)
                        .how())
                .isEmpty();
    }

    @Test
    void twoNamesAreNeverTheSame() {
        assertThat(ShortNames.of(List.of("Levee", "Levee", "Levee"), 5, ShortNames.Letters.ASCII))
                .extracting(ShortNames.Named::name)
                .containsExactly("Levee", "Leve2", "Leve3");
    }

    @Test
    void aDisplayWithoutRoomIsRefused() {
        assertThatThrownBy(() -> one("x", 0, ShortNames.Letters.ASCII)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void alwaysShortEnoughUniqueAndInTheLetters() {
        Random random = new Random(4);
        String letters = "abcdefghij ABCDEF0123 äöü-./é💥rpt";
        for (int round = 0; round < 300; round++) {
            List<String> names = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                StringBuilder name = new StringBuilder();
                for (int n = random.nextInt(24); n > 0; n--) {
                    name.append(letters.charAt(random.nextInt(letters.length())));
                }
                names.add(name.toString());
            }
            int length = 3 + random.nextInt(10);
            List<ShortNames.Named> named = ShortNames.of(names, length, ShortNames.Letters.CAPITALS);
            assertThat(named)
                    .hasSize(60)
                    .allMatch(each ->
                            each.name().length() <= length && each.name().matches("[A-Z0-9]*"));
            assertThat(new HashSet<>(named.stream().map(ShortNames.Named::name).toList()))
                    .hasSize(60);
        }
    }

    /** What makes entries differ survives the cut; common practice, no source. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ferry Landing North; Ferry Landing South; Ferry Landing 12 | 6",
                "Ferry Landing North; Ferry Landing South | 7",
                "Ferry Landing North; Ferry Landing South | 8",
                "Ferry Landing North; Ferry Landing South | 10",
                "Ferry Landing North; Ferry Landing South | 16",
                "Tern Valley Command; Tern Valley Tactical | 6",
                "Tern Valley Repeater North; Tern Valley Repeater South | 7",
                "Levee walkers channel 1; Levee walkers channel 2; Levee walkers channel 13 | 6",
            })
    void whatMakesNamesDifferSurvivesTheCut(String names, int length) {
        List<String> given = List.of(names.split("; "));
        List<String> cut = ShortNames.of(given, length, ShortNames.Letters.ASCII).stream()
                .map(ShortNames.Named::name)
                .toList();
        assertThat(cut).doesNotHaveDuplicates().allMatch(name -> name.length() <= length);
        for (int i = 0; i < given.size(); i++) {
            String last = given.get(i).replaceFirst("^.* ", "");
            String told = last.matches("[0-9]+") ? last : last.substring(0, 1);
            assertThat(cut.get(i))
                    .as(given.get(i))
                    .contains(told)
                    .doesNotMatch(last.matches("[0-9]+") ? "$x" : ".*[0-9]$");
        }
    }
}
