package org.wache.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.concurrent.Callable;
import org.wache.audit.rules.Register;
import org.wache.exchange.CsvLists;
import org.wache.exchange.DemandsReader;
import org.wache.exchange.JsonLists;
import org.wache.exchange.PlanReport;
import org.wache.planning.Plan;
import org.wache.planning.Planner;
import org.wache.rulebook.Edition;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Proposes a list from nothing, without server or database. */
@Command(
        name = "wache plan",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description =
                "Proposes a list with which those can talk who must: teams, who has to reach whom, calling, spare channels, what is "
                        + "listened to. Exit status: 0 there is one, 1 the demands contradict each other, 2 no demands.")
final class PlanCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "DEMANDS.json", description = "What the list has to do.")
    private Path file;

    @Mixin
    private final Circumstances circumstances = new Circumstances();

    @Option(names = "--json", description = "Write the list, or what contradicts, as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        DemandsReader.Asked asked = Input.parsed(file, DemandsReader::read);
        LocalDate day = circumstances.day(asked.context());
        Edition edition = circumstances.edition(asked.context());
        asked.demands().services().stream()
                .filter(each -> edition.service(each).isEmpty())
                .findFirst()
                .ifPresent(each -> {
                    throw new Unusable(file + ": services: there is no service “" + each + "”; there is "
                            + edition.services().stream()
                                    .map(service -> service.id())
                                    .toList());
                });
        Plan plan = planned(asked, edition, day);
        PrintWriter out = spec.commandLine().getOut();
        boolean proposed = plan instanceof Plan.Proposed;
        if (plan instanceof Plan.Proposed found) {
            out.print(json ? JsonLists.write(found.list()) : CsvLists.write(found.list()));
        } else if (plan instanceof Plan.Contradiction contradiction) {
            out.print(json ? PlanReport.json(contradiction) : PlanReport.text(contradiction));
        }
        out.flush();
        return proposed ? 0 : 1;
    }

    private static Plan planned(DemandsReader.Asked asked, Edition edition, LocalDate day) {
        try {
            return Planner.of(
                    Register.ALL,
                    asked.context().under(edition, day, asked.context().holders()),
                    asked.demands());
        } catch (IllegalArgumentException e) {
            throw new Unusable(e.getMessage());
        }
    }
}
