package org.wache.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wache.signal.Frequency;
import org.wache.signal.Mode;

/**
 * Channels that people name though they only listen there: weather, marine.
 *
 * @param tables the tables in the order of the file
 */
public record Listening(List<Table> tables) {

    /**
     * The channels of one service.
     *
     * @param id identifier
     * @param title name for people
     * @param words what people call it, lower case
     * @param mode what is heard
     * @param source where the numbers come from
     * @param note what to mind about them
     * @param channels the channels in order
     */
    public record Table(
            String id,
            String title,
            List<String> words,
            Mode mode,
            String source,
            Optional<String> note,
            List<Heard> channels) {}

    /**
     * A channel.
     *
     * @param name its usual name
     * @param alias its other names
     * @param frequency where to listen
     * @param say what it is kept for
     */
    public record Heard(String name, List<String> alias, Frequency frequency, Optional<String> say) {}

    public Listening {
        tables = List.copyOf(tables);
    }

    static Listening read(Row file) {
        List<Table> tables = new ArrayList<>();
        for (Row row : file.rows("tables")) {
            List<Heard> channels = row.rows("channels").stream()
                    .map(each -> new Heard(
                            each.text("name"), each.texts("alias"), each.frequency("mhz"), each.optional("say")))
                    .toList();
            tables.add(new Table(
                    row.text("id"),
                    row.text("title"),
                    row.texts("words"),
                    Mode.parse(row.text("mode")).orElseThrow(() -> row.problem("mode", "a mode such as FM")),
                    row.text("source"),
                    row.optional("note"),
                    channels));
        }
        return new Listening(tables);
    }

    /** The table that people call by this word. */
    public Optional<Table> called(String word) {
        String wanted = word.toLowerCase(Locale.ROOT);
        return tables.stream().filter(table -> table.words().contains(wanted)).findFirst();
    }

    /** The channel of a table with this name, or with it as another name. */
    public static Optional<Heard> channel(Table table, String name) {
        String wanted = name.replaceFirst("^0+(?=.)", "");
        return table.channels().stream()
                .filter(each -> each.name().equalsIgnoreCase(wanted)
                        || each.alias().stream().anyMatch(wanted::equalsIgnoreCase))
                .findFirst();
    }
}
