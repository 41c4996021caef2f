package org.wache.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;

/** The command line: {@code audit FILE …}. */
public final class Main {

    /** Exit status for wrong usage and unreadable files. */
    static final int UNUSABLE = 2;

    private Main() {}

    /** Runs a command and ends with its exit status. */
    public static void main(String[] arguments) {
        Writer out = new OutputStreamWriter(
                new FileOutputStream(FileDescriptor.out), StandardCharsets.UTF_8); // whatever the terminal is set to
        System.exit(run(new CommandLine(new AuditCommand()).setOut(new PrintWriter(out)), arguments));
    }

    /** Runs a command, with what it says going where it is told, and returns its exit status. */
    static int run(PrintWriter out, PrintWriter error, String... arguments) {
        return run(new CommandLine(new AuditCommand()).setOut(out).setErr(error), arguments);
    }

    private static int run(CommandLine line, String... arguments) {
        line.setParameterExceptionHandler((problem, given) -> {
            problem.getCommandLine().getErr().println("wache audit: " + problem.getMessage());
            return UNUSABLE;
        });
        line.setExecutionExceptionHandler((problem, command, parsed) -> {
            command.getErr()
                    .println("wache audit: " + (problem instanceof Unusable ? problem.getMessage() : fault(problem)));
            return UNUSABLE;
        });
        try {
            return line.execute(arguments);
        } catch (StackOverflowError | OutOfMemoryError e) { // picocli hands on what is no exception
            line.getErr().println("wache audit: " + fault(e));
            return UNUSABLE;
        }
    }

    /** Status 1 says that a channel is on hold; a fault of the program says nothing of channels. */
    private static String fault(Throwable problem) {
        StackTraceElement[] where = problem.getStackTrace();
        return "a fault of the program (" + problem.getClass().getSimpleName()
                + (where.length == 0 ? "" : " at " + where[0].getFileName() + ":" + where[0].getLineNumber())
                + "); nothing was judged. Please report it with the files that were given";
    }
}
