package org.wache.exchange;

import java.util.List;
import org.wache.keypad.ListPaper;
import org.wache.keypad.Step;
import org.wache.radio.RadioModel;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A keypad paper for scripts, {@code wache-paper/1}, and as text. */
public final class PaperReport {

    private PaperReport() {}

    /**
     * As JSON.
     *
     * @param settings how what belongs to no channel is set; empty without a profile
     */
    public static String json(ListPaper paper, List<Step> settings, RadioModel model, String list) {
        ObjectNode root = JsonText.MAPPER.createObjectNode().put("format", "wache-paper/1");
        root.put("list", list).put("model", model.name()).put("method", ListPaper.method(model));
        ArrayNode tables = root.putArray("tables");
        paper.tables().forEach(table -> {
            ArrayNode rows = tables.addObject().put("title", table.title()).putArray("rows");
            table.rows().forEach(rows::add);
        });
        steps(root.putArray("settings"), settings);
        steps(root.putArray("before"), paper.before());
        ArrayNode entries = root.putArray("entries");
        paper.entries().forEach(entry -> {
            ObjectNode one = entries.addObject()
                    .put("number", entry.channel().number())
                    .put("name", entry.channel().name())
                    .put("memory", entry.memory())
                    .put("possible", entry.impossible().isEmpty())
                    .put("reason", entry.impossible().orElse(""));
            steps(one.putArray("steps"), entry.steps());
            steps(one.putArray("atOnce"), entry.atOnce());
        });
        steps(root.putArray("after"), paper.after());
        return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
    }

    private static void steps(ArrayNode into, List<Step> steps) {
        steps.forEach(step -> {
            ObjectNode one = into.addObject().put("what", step.what());
            ArrayNode keys = one.putArray("keys");
            step.keys().forEach(keys::add);
            one.put("shows", step.see()).put("why", step.why());
        });
    }

    /** To read and to print. */
    public static String text(ListPaper paper, List<Step> settings, RadioModel model, String list) {
        StringBuilder text = new StringBuilder();
        text.append(list).append(" by hand into ").append(model.name()).append('\n');
        text.append(ListPaper.method(model)).append('\n');
        text.append("Never key without an antenna or a dummy load. Check against the current rules.\n");
        paper.tables().forEach(table -> text.append('\n')
                .append(table.title())
                .append(": ")
                .append(String.join(", ", table.rows()))
                .append('\n'));
        steps(text, "Settings of the radio", settings);
        steps(text, "Before the first entry", paper.before());
        paper.entries().forEach(entry -> {
            String title = entry.channel().number() + " " + entry.channel().name();
            if (entry.impossible().isPresent()) {
                text.append('\n')
                        .append(title)
                        .append("\n  not by hand: ")
                        .append(entry.impossible().get())
                        .append('\n');
            } else {
                steps(text, title + ", into memory " + entry.memory(), entry.steps());
                steps(text, title + ", without a memory", entry.atOnce());
            }
        });
        steps(text, "After the last entry", paper.after());
        return text.toString();
    }

    private static void steps(StringBuilder text, String title, List<Step> steps) {
        if (steps.isEmpty()) {
            return;
        }
        text.append('\n').append(title).append('\n');
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            text.append(String.format("%4d. %s%n", i + 1, step.what()));
            if (!step.keys().isEmpty()) {
                text.append("      press ")
                        .append(String.join("  ", step.keys()))
                        .append('\n');
            }
            if (!step.see().isEmpty()) {
                text.append("      shows ").append(step.see()).append('\n');
            }
            if (!step.why().isEmpty()) {
                text.append("      (").append(step.why()).append(")\n");
            }
        }
    }
}
