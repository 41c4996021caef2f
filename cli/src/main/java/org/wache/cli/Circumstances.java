package org.wache.cli;

import java.time.LocalDate;
import org.wache.exchange.ContextFile;
import org.wache.rulebook.Edition;
import picocli.CommandLine.Option;

/** The day and the rulebook of a command that is given a context: what its options say stands before what that says. */
final class Circumstances {

    @Option(names = "--on", paramLabel = "DAY", description = "The day; the context's, else today.")
    private String on;

    @Option(
            names = "--rulebook",
            paramLabel = "ID",
            description = "The rulebook; the context's, else the first that ships.")
    private String rulebook;

    /** @throws Unusable when the option names no day */
    LocalDate day(ContextFile context) {
        return Input.day(on, context);
    }

    /** @throws Unusable when there is no such rulebook, or none of that day */
    Edition edition(ContextFile context) {
        return Input.edition(rulebook, context, day(context));
    }
}
