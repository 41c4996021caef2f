package org.wache.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.exchange.ContextFile;
import org.wache.exchange.ListFiles;
import org.wache.exchange.PeopleReader;
import org.wache.exchange.ReachReport;
import org.wache.reach.Person;
import org.wache.reach.Reach;
import org.wache.reach.ReachStudy;
import org.wache.rulebook.Edition;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Says who can talk to whom, without server or database. */
@Command(
        name = "wache reach",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description =
                "Says who can talk to whom with one or several lists: what each may key with a radio of theirs, and what the "
                        + "radios of the others hear of it. Exit status: 0 nobody is alone, 1 somebody is, 2 no list or no context.")
final class ReachCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "LIST", arity = "1..*", description = "Lists as CSV or JSON.")
    private List<Path> files = new ArrayList<>();

    @Option(
            names = "--context",
            paramLabel = "FILE",
            required = true,
            description = "The people: holders with their licences and radios, and the radios.")
    private Path contextFile;

    @Mixin
    private final Circumstances circumstances = new Circumstances();

    @Option(names = "--json", description = "Write the result as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        ContextFile given = Input.parsed(contextFile, ContextFile::read);
        List<Person> people = Input.parsed(contextFile, PeopleReader::read);
        if (people.isEmpty()) {
            throw new Unusable(contextFile + ": holders should name the people who are to reach each other");
        }
        LocalDate day = circumstances.day(given);
        Edition edition = circumstances.edition(given);
        List<ChannelList> lists = files.stream()
                .map(file -> Input.parsed(file, bytes -> ListFiles.read(bytes, Input.name(file))))
                .toList();
        Reach reach = study(given, people, day, edition, lists);
        PrintWriter out = spec.commandLine().getOut();
        out.print(json ? ReachReport.json(reach) : ReachReport.text(reach));
        out.flush();
        return reach.alone().isEmpty() ? 0 : 1;
    }

    private static Reach study(
            ContextFile given, List<Person> people, LocalDate day, Edition edition, List<ChannelList> lists) {
        try {
            return ReachStudy.of(
                    Register.ALL, given.under(edition, day, given.holders()), people, lists, given.radios());
        } catch (IllegalArgumentException e) {
            throw new Unusable(e.getMessage());
        }
    }
}
