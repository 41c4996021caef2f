package org.wache.audit.rules.entry;

import java.util.List;
import java.util.OptionalInt;
import org.wache.audit.Entry;
import org.wache.audit.EntryRule;
import org.wache.audit.RulePage;
import org.wache.audit.finding.Change;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.channel.Field;

/** Two entries with one number: a radio has one memory for both, and the later one wins. */
public final class DuplicateNumber implements EntryRule {

    @Override
    public Slug slug() {
        return Slug.DUPLICATE_NUMBER;
    }

    @Override
    public RulePage page() {
        return new RulePage(
                "Two entries with one number",
                "A radio keeps one entry under a number; of two, the one written last is all that is left.",
                "Give one of them a free number.",
                RulePage.entry("nobody", "number=1 rx_mhz=162.550 mode=NFM | number=1 rx_mhz=162.400 mode=NFM"),
                RulePage.entry("nobody", "number=1 rx_mhz=162.550 mode=NFM | number=2 rx_mhz=162.400 mode=NFM"));
    }

    @Override
    public List<Finding> on(Entry entry) {
        if (entry.channel().number().isEmpty()) {
            return List.of();
        }
        OptionalInt other = entry.sameNumber();
        if (other.isEmpty()) {
            return List.of();
        }
        String name = entry.list().channels().get(other.getAsInt()).name();
        return List.of(Finding.hold(Slug.DUPLICATE_NUMBER)
                .message(
                        "Number %s is given twice; the other is %s.",
                        entry.channel().number(),
                        name.isEmpty() ? "entry " + (other.getAsInt() + 1) + " of the list" : name)
                .source("list format")
                .cures(() -> List.of(free(entry))));
    }

    private static Change free(Entry entry) {
        String next = Long.toString(entry.listFacts().highestNumber() + 1);
        return Change.of("Number it " + next, Field.NUMBER, next);
    }
}
