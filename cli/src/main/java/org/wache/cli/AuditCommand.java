package org.wache.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.Verdict;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.exchange.AuditReport;
import org.wache.exchange.ContextFile;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.ListFiles;
import org.wache.exchange.ReleaseCheck;
import org.wache.exchange.ReleaseFile;
import org.wache.exchange.ReleaseReport;
import org.wache.licence.Holder;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Audits a list file, without server or database. */
@Command(
        name = "wache audit",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Holds a channel list against the rules. Exit status: 0 no channel on hold, 1 at least one, "
                + "2 usage or a file that cannot be read.")
final class AuditCommand implements Callable<Integer> {

    private final OutputStream to;

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "The list, CSV or JSON.")
    private Path file;

    @Option(
            names = "--as",
            paramLabel = "LICENCES",
            description =
                    "Someone who carries the list: amateur:CLASS, gmrs or nobody, several with commas. May be repeated.")
    private List<String> as = new ArrayList<>();

    @Option(names = "--context", paramLabel = "FILE", description = "Holders, site and house rules as JSON.")
    private Path contextFile;

    @Option(names = "--on", paramLabel = "YYYY-MM-DD", description = "The day to audit for; today when absent.")
    private String on;

    @Option(names = "--rulebook", paramLabel = "ID", description = "The rulebook; the first that ships when absent.")
    private String rulebook;

    @Option(names = "--json", description = "Write the whole result as JSON.")
    private boolean json;

    @Option(
            names = "--verify",
            description =
                    "FILE is a release: says whether it is as it was released. Exit status: 0 it is, 1 it is not, "
                            + "2 no release.")
    private boolean verify;

    /** Writes results as JSON to a stream: of a long list most of the time would go into passing it on in letters. */
    AuditCommand(OutputStream to) {
        this.to = to;
    }

    @Override
    public Integer call() {
        if (verify) {
            return verified();
        }
        // The list is read while the rulebook is: each takes about as long.
        CompletableFuture<ChannelList> reading = CompletableFuture.supplyAsync(
                () -> Input.parsed(file, bytes -> ListFiles.read(bytes, Input.name(file))));
        ContextFile given = contextFile == null ? ContextFile.EMPTY : Input.parsed(contextFile, ContextFile::read);
        LocalDate day = on != null ? Input.day(on) : given.on().orElseGet(LocalDate::now);
        Edition edition = Input.edition(
                rulebook != null
                        ? rulebook
                        : given.rulebook().orElseGet(() -> RulebookReader.ids().get(0)),
                day);
        Audit audit = auditor(given, day, edition).audit(read(reading));
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            write(audit);
        } else {
            TextReport.write(audit, out);
        }
        out.flush();
        return audit.counts().get(Verdict.HOLD) > 0 ? 1 : 0;
    }

    private static ChannelList read(CompletableFuture<ChannelList> reading) {
        try {
            return reading.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException problem) {
                throw problem;
            }
            if (e.getCause() instanceof Error fault) {
                throw fault;
            }
            throw e;
        }
    }

    private void write(Audit audit) {
        try {
            AuditReport.write(audit, to);
        } catch (IOException e) {
            throw new Unusable("the result could not be written, and what is there is cut off: " + e.getMessage());
        }
    }

    private int verified() {
        ReleaseFile release = Input.parsed(file, ReleaseFile::read);
        ReleaseCheck check = Input.parsed(file, any -> ReleaseCheck.of(release));
        PrintWriter out = spec.commandLine().getOut();
        out.print(json ? ReleaseReport.json(release, check) : ReleaseReport.text(release, check));
        out.flush();
        return check.good() ? 0 : 1;
    }

    private Auditor auditor(ContextFile given, LocalDate day, Edition edition) {
        try {
            List<Holder> holders = new ArrayList<>(given.holders());
            as.forEach(words -> holders.add(HolderShorthand.holder(words, edition)));
            if (holders.isEmpty()) {
                holders.add(HolderShorthand.holder(HolderShorthand.NOBODY, edition));
            }
            return new Auditor(Register.ALL, given.under(edition, day, holders));
        } catch (IllegalArgumentException e) {
            throw new Unusable(e.getMessage());
        }
    }
}
