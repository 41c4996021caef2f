package org.wache.arrival;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wache.audit.context.HouseRules;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.channel.Field;
import org.wache.rulebook.Edition;
import org.wache.table.Guess;
import org.wache.table.TableReading;
import org.wache.typed.AddLine;
import org.wache.typed.Said;
import org.wache.typed.Understood;

/**
 * What a file or lines became without anybody being asked: each entry with what is doubtful in it, and what made none.
 *
 * @param extraColumns headings of columns that are kept as they are
 * @param entries what became entries, in order
 * @param aside what did not
 */
public record Read(List<String> extraColumns, List<Entry> entries, List<Aside> aside) {

    /**
     * An entry, and what should be looked at.
     *
     * @param doubts in words, each with its arithmetic and reason
     */
    public record Entry(Channel channel, List<String> doubts) {}

    /**
     * What made no entry.
     *
     * @param row its line in the sheet or text, from 1
     * @param text as it stood
     * @param reason why it is none
     */
    public record Aside(int row, String text, String reason) {}

    /**
     * Reads the largest table of a file, or the list that it is.
     *
     * @throws ArrivalProblem when there is nothing to read
     */
    public static Read file(byte[] bytes, String name, Edition edition) {
        Arrival arrival = Arrival.read(bytes, name, "");
        if (arrival.list().isPresent()) {
            ChannelList list = arrival.list().get();
            return new Read(
                    list.extraColumns(),
                    list.channels().stream()
                            .map(channel -> new Entry(channel, List.of()))
                            .toList(),
                    List.of());
        }
        Sheet largest = arrival.largest();
        TableReading reading =
                TableReading.of(largest.table(), Guess.of(largest.table(), edition), edition, HouseRules.NONE);
        List<Entry> entries = new ArrayList<>();
        List<Aside> aside = new ArrayList<>();
        for (TableReading.RowReading row : reading.rows()) {
            row.entry().ifPresent(channel -> entries.add(new Entry(channel, doubts(row.said()))));
            row.aside()
                    .ifPresent(reason -> aside.add(new Aside(
                            row.line(), String.join(" | ", row.cells()).strip(), reason)));
        }
        return new Read(reading.extraColumns(), entries, aside);
    }

    /** Reads lines as people write them; each may hold several entries. */
    public static Read lines(List<String> lines, Edition edition) {
        List<Entry> entries = new ArrayList<>();
        List<Aside> aside = new ArrayList<>();
        List<String> all = lines.stream()
                .flatMap(line -> AddLine.parts(line, edition).stream())
                .toList();
        for (int i = 0; i < all.size(); i++) {
            Understood understood =
                    AddLine.read(all.get(i), edition, HouseRules.NONE).best();
            Optional<Channel> channel = understood.channel();
            if (channel.isPresent()) {
                boolean numbered = !channel.get().number().isEmpty();
                String number = String.valueOf(entries.size() + 1);
                entries.add(new Entry(
                        numbered ? channel.get() : channel.get().with(java.util.Map.of(Field.NUMBER, number)),
                        doubts(understood.said())));
            } else {
                aside.add(new Aside(i + 1, all.get(i), understood.problem().orElse("")));
            }
        }
        return new Read(List.of(), entries, aside);
    }

    private static List<String> doubts(List<Said> said) {
        return said.stream().filter(Said::doubt).map(Said::line).toList();
    }

    /** The entries as a list. */
    public ChannelList list(String name) {
        return new ChannelList(
                name, extraColumns, entries.stream().map(Entry::channel).toList());
    }

    /** Whether everything became an entry of which nothing has to be looked at. */
    public boolean withoutDoubt() {
        return aside.isEmpty()
                && entries.stream().allMatch(entry -> entry.doubts().isEmpty());
    }
}
