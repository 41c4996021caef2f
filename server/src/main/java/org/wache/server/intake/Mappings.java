package org.wache.server.intake;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wache.server.web.Refused;
import org.wache.signal.Watts;
import org.wache.table.Column;
import org.wache.table.Mapping;
import org.wache.table.Table;
import org.wache.typed.Sketch;
import org.wache.typed.Unit;
import org.wache.typed.WrittenPower;

/** How a table is read, between the API and the reader. */
final class Mappings {

    private Mappings() {}

    /** What a column is taken for, in words of the API. */
    record ColumnChoice(@NotNull Column.Kind kind, @Schema(nullable = true) Optional<String> unit) {}

    /**
     * How a table is read.
     *
     * @param heading position of the heading row among the rows that hold anything
     * @param columns for each column
     * @param unsaid what an entry does of which no transmit frequency is said
     * @param levels watts by the name of a power level
     */
    record TableMapping(
            @Schema(nullable = true) Optional<Integer> heading,
            @NotNull @Size(max = 200) List<@NotNull @Valid ColumnChoice> columns,
            @NotNull Sketch.Unsaid unsaid,
            @NotNull Map<String, String> levels) {}

    static TableMapping view(Mapping mapping) {
        Map<String, String> levels = new java.util.TreeMap<>();
        mapping.levels().forEach((level, watts) -> levels.put(word(level), watts));
        return new TableMapping(
                mapping.heading(),
                mapping.columns().stream()
                        .map(column ->
                                new ColumnChoice(column.kind(), column.unit().map(Unit::symbol)))
                        .toList(),
                mapping.unsaid(),
                levels);
    }

    static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * Reads it for a table.
     *
     * @throws Refused when it names what is not there
     */
    static Mapping of(TableMapping view, Table table) {
        if (view.heading().filter(row -> row < 0 || row >= table.rows().size()).isPresent()) {
            throw new Refused("The table has no row " + (view.heading().get() + 1) + " to take the headings from.");
        }
        if (view.columns().size() != table.width()) {
            throw new Refused("The table has " + table.width() + " columns, and "
                    + view.columns().size() + " are named.");
        }
        List<Column> columns = view.columns().stream()
                .map(each -> new Column(
                        each.kind(),
                        each.unit().filter(unit -> !unit.isEmpty()).map(unit -> Unit.of(unit.toLowerCase(Locale.ROOT))
                                .orElseThrow(() -> new Refused("A unit is Hz, kHz or MHz, not “" + unit + "”.")))))
                .toList();
        Map<WrittenPower.Level, String> levels = new EnumMap<>(WrittenPower.Level.class);
        view.levels().forEach((level, watts) -> {
            if (!watts.isBlank()) {
                levels.put(
                        value(WrittenPower.Level.class, level),
                        Watts.parse(watts.trim())
                                .map(read -> watts.trim())
                                .orElseThrow(() ->
                                        new Refused("“" + watts + "” is no power in watts: write it like 5 or 0.5.")));
            }
        });
        return new Mapping(view.heading(), columns, view.unsaid(), levels);
    }

    private static <E extends Enum<E>> E value(Class<E> type, String word) {
        for (E each : type.getEnumConstants()) {
            if (word(each).equals(word)) {
                return each;
            }
        }
        throw new Refused("“" + word + "” is none of "
                + String.join(
                        ", ",
                        java.util.Arrays.stream(type.getEnumConstants())
                                .map(Mappings::word)
                                .toList()) + ".");
    }
}
