package org.wache.server.prints;

import java.util.List;
import java.util.stream.IntStream;

/** How the entries of a list are typed into a radio of one model, step by step. */
public record KeypadSheet(String title, String lead, List<Entry> entries) {

    /** An entry: its heading, why it is not typed in (empty when it is), and its steps. */
    public record Entry(String heading, String impossible, List<Step> steps) {}

    /** A step: what is done, which keys, what the radio shows then. */
    public record Step(String what, String keys, String see) {}

    private record ToldEntry(String heading, String impossible, boolean typed, List<ToldStep> steps) {}

    private record ToldStep(int number, String what, String keys, String see) {}

    private record Told(String title, String lead, List<ToldEntry> entries) {}

    /** The bytes of the PDF. */
    public byte[] write(PaperSize size, String foot) {
        return Paper.of(size, false, title, foot)
                .write(
                        "keypad",
                        new Told(
                                title,
                                lead,
                                entries.stream()
                                        .map(each -> new ToldEntry(
                                                each.heading(),
                                                each.impossible(),
                                                !each.steps().isEmpty(),
                                                numbered(each.steps())))
                                        .toList()));
    }

    private static List<ToldStep> numbered(List<Step> steps) {
        return IntStream.range(0, steps.size())
                .mapToObj(i -> new ToldStep(
                        i + 1,
                        steps.get(i).what(),
                        steps.get(i).keys(),
                        steps.get(i).see()))
                .toList();
    }
}
