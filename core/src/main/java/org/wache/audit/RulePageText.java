package org.wache.audit;

import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.wache.channel.Channel;
import org.wache.channel.Field;

/** Rule pages as Markdown, for docs/rules. */
public final class RulePageText {

    private RulePageText() {}

    /** The page of a rule; notes are what countries add to it, by their names. */
    public static String of(Rule rule, Map<String, String> notes) {
        RulePage page = rule.page();
        String told = notes.entrySet().stream()
                .map(each -> "\n\nIn " + each.getKey() + ": " + each.getValue())
                .collect(Collectors.joining());
        String context = page.context().isEmpty()
                ? ""
                : "\n\nThe examples are held against:\n\n```json\n" + page.context() + "\n```";
        return "# " + rule.slug() + "\n\n" + page.title() + ".\n\n" + page.meaning() + told + "\n\n**Cure.** "
                + page.cure() + context
                + "\n\nFound, carried by `" + page.bad().holder() + "`:\n\n" + table(page.bad())
                + "\nNot found, carried by `" + page.good().holder() + "`:\n\n" + table(page.good())
                + "\nThe values come from the rulebook; check against the current rules.\n";
    }

    private static String table(RulePage.Example example) {
        var fields = Arrays.stream(Field.values())
                .filter(field -> Arrays.stream(example.channels())
                        .anyMatch(channel -> !channel.text(field).isEmpty()))
                .toList();
        String head = fields.stream().map(Field::column).collect(Collectors.joining(" | ", "| ", " |\n"));
        String rule = fields.stream().map(field -> "---").collect(Collectors.joining("|", "|", "|\n"));
        StringBuilder rows = new StringBuilder();
        for (Channel channel : example.channels()) {
            rows.append(fields.stream().map(channel::text).collect(Collectors.joining(" | ", "| ", " |\n")));
        }
        return head + rule + rows;
    }

    /** The page that lists all. */
    public static String index(RuleSet rules) {
        StringBuilder text = new StringBuilder(
                "# Rules\n\nMade from the rule classes. In the order in which findings are"
                        + " told: first what concerns the entry itself, then entries without any route, then each route.\n\n");
        for (Rule rule : rules.all()) {
            text.append("- [")
                    .append(rule.slug())
                    .append("](")
                    .append(rule.slug())
                    .append(".md): ")
                    .append(rule.page().title())
                    .append('\n');
        }
        return text.toString();
    }
}
