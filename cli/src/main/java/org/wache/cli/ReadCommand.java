package org.wache.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.wache.arrival.ArrivalProblem;
import org.wache.arrival.Read;
import org.wache.arrival.ReadReport;
import org.wache.exchange.CsvLists;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.table.TableProblem;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes a list of a table or of lines as people write them, without server or database. */
@Command(
        name = "wache read",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Makes a list of any table, or of lines as people write them. Exit status: 0 all read without a "
                + "doubt, 1 with doubts or rows aside, 2 nothing read.")
final class ReadCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", arity = "0..1", description = "A table: CSV, text, XLSX, XLS or ODS.")
    private Path file;

    @Option(
            names = "--line",
            paramLabel = "TEXT",
            arity = "1..*",
            description = "Entries as one would write them, such as “146.94 - 100”.")
    private List<String> lines = new ArrayList<>();

    @Option(names = "--rulebook", paramLabel = "ID", description = "The rulebook; the first that ships when absent.")
    private String rulebook;

    @Option(names = "--json", description = "Write a list as JSON, with what is doubtful and what made no entry.")
    private boolean json;

    @Override
    public Integer call() {
        if (file == null == lines.isEmpty()) {
            throw new Unusable("give a FILE, or --line TEXT");
        }
        Edition edition = Input.edition(rulebook == null ? RulebookReader.ids().get(0) : rulebook, LocalDate.now());
        String name = file == null ? "Lines" : Input.name(file);
        Read read = file == null ? Read.lines(lines, edition) : Input.parsed(file, bytes -> of(bytes, name, edition));
        if (read.entries().isEmpty()) {
            throw new Unusable((file == null ? "" : file + ": ")
                    + "nothing in it is an entry"
                    + (read.aside().isEmpty() ? "" : ": " + read.aside().get(0).reason()));
        }
        PrintWriter out = spec.commandLine().getOut();
        out.print(json ? ReadReport.write(read, name) : CsvLists.write(read.list(name)));
        out.flush();
        if (!json) {
            tell(read);
        }
        return read.withoutDoubt() ? 0 : 1;
    }

    private Read of(byte[] bytes, String name, Edition edition) {
        try {
            return Read.file(bytes, name, edition);
        } catch (ArrivalProblem | TableProblem e) {
            throw new Unusable(file + ": " + e.getMessage());
        }
    }

    private void tell(Read read) {
        PrintWriter error = spec.commandLine().getErr();
        read.entries().forEach(entry -> entry.doubts()
                .forEach(doubt -> error.println(
                        entry.channel().number() + " " + entry.channel().name() + ": " + doubt)));
        read.aside()
                .forEach(aside -> error.println("row " + aside.row() + " “" + aside.text() + "”: " + aside.reason()));
        error.flush();
    }
}
