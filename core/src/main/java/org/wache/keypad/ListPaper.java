package org.wache.keypad;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.wache.channel.Channel;
import org.wache.channel.ChannelList;
import org.wache.radio.Keypad;
import org.wache.radio.Memories;
import org.wache.radio.RadioModel;

/**
 * How a whole list is typed into a model by hand.
 *
 * @param tables the tables that the model is printed with, where it knows frequencies and tones by their numbers
 * @param before what comes before the first entry
 * @param entries the entries in the order of the list
 * @param after what comes after the last one
 */
public record ListPaper(List<Table> tables, List<Step> before, List<Entry> entries, List<Step> after) {

    /**
     * A printed table.
     *
     * @param title what is in it
     * @param rows its rows, by their numbers from 1
     */
    public record Table(String title, List<String> rows) {}

    /**
     * An entry.
     *
     * @param channel the entry
     * @param memory where it goes, from 1
     * @param goal what the memory is to hold; empty when the frequency cannot be read
     * @param impossible why it cannot be typed in; empty when it can
     * @param steps how it is typed in
     * @param atOnce how it is used without a memory; empty where that does not go
     */
    public record Entry(
            Channel channel,
            int memory,
            Optional<Goal> goal,
            Optional<String> impossible,
            List<Step> steps,
            List<Step> atOnce) {}

    /**
     * The paper.
     *
     * @param held for each entry why it must not, or cannot, go into the model; empty where nothing stands against it
     */
    public static ListPaper of(ChannelList list, RadioModel model, List<Optional<String>> held) {
        Memories memories = Memories.of(list, model.memory());
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < list.channels().size(); i++) {
            entries.add(entry(list.channels().get(i), memories.slots().get(i), model, held.get(i)));
        }
        return new ListPaper(tables(model), KeypadSteps.before(model), List.copyOf(entries), KeypadSteps.after(model));
    }

    private static Entry entry(Channel channel, Memories.Slot slot, RadioModel model, Optional<String> held) {
        Optional<Goal> goal = Goal.of(channel, slot.memory(), model);
        Optional<String> impossible = held.or(() -> slot.exists()
                        ? Optional.empty()
                        : Optional.of("There is no memory for it: " + slot.problem() + "."))
                .or(() -> goal.isEmpty()
                        ? Optional.of("Its frequency cannot be read.")
                        : Typeable.impossible(model, goal.get()));
        boolean can = impossible.isEmpty();
        return new Entry(
                channel,
                goal.map(Goal::memory).filter(memory -> memory > 0).orElse(slot.memory()),
                goal,
                impossible,
                can ? KeypadSteps.of(model, goal.orElseThrow()) : List.of(),
                can ? KeypadSteps.atOnce(model, goal.orElseThrow()) : List.of());
    }

    /** In few words, how the model takes entries. */
    public static String method(RadioModel model) {
        return model.keypad()
                .map(keypad -> switch (keypad.method()) {
                    case TWO_FREQUENCIES ->
                        "Two frequencies: where it hears is stored, then where it talks into the same memory. Shift and offset stay off.";
                    case SHIFT -> "One frequency: where it hears is typed, and the shift makes where it talks.";
                    case FIXED_CHANNELS ->
                        "Its channels are fixed: the one that fits is chosen, and what belongs to it is set.";
                    case BY_NUMBER -> "It knows frequencies and tones by their numbers in its tables.";
                })
                .orElse("This model takes no entries by keypad.");
    }

    private static List<Table> tables(RadioModel model) {
        boolean byNumber = model.keypad()
                .map(Keypad::method)
                .filter(method -> method == Keypad.Method.BY_NUMBER || method == Keypad.Method.FIXED_CHANNELS)
                .isPresent();
        if (!byNumber) {
            return List.of();
        }
        List<Table> all = new ArrayList<>();
        add(
                all,
                "Frequencies",
                model.tuning().table().stream().map(each -> each.megahertz()).toList());
        add(
                all,
                "Tones and codes",
                model.tones().table().stream().map(each -> each.text()).toList());
        return List.copyOf(all);
    }

    private static void add(List<Table> all, String title, List<String> rows) {
        if (!rows.isEmpty()) {
            all.add(new Table(
                    title,
                    IntStream.range(0, rows.size())
                            .mapToObj(i -> (i + 1) + " = " + rows.get(i))
                            .toList()));
        }
    }
}
