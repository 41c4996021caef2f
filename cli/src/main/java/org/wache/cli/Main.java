package org.wache.cli;

import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import picocli.CommandLine;

/** The command line: {@code audit FILE …}, {@code read FILE …}, {@code paper LIST …}, {@code reach LIST …}, {@code plan DEMANDS.json}; what names no command is an audit. */
public final class Main {

    /** Exit status for wrong usage and unreadable files. */
    static final int UNUSABLE = 2;

    private Main() {}

    /** Runs a command and ends with its exit status. */
    public static void main(String[] arguments) {
        PrintWriter error = new PrintWriter(
                new OutputStreamWriter(new FileOutputStream(FileDescriptor.err), StandardCharsets.UTF_8), true);
        System.exit(run(new FileOutputStream(FileDescriptor.out), error, arguments));
    }

    /** Runs a command, with what it says going where it is told, in UTF-8 whatever the terminal is set to, and returns its exit status. */
    static int run(OutputStream to, PrintWriter error, String... arguments) {
        // the library for workbooks asks for a logger; nothing of it concerns who reads a table
        System.setProperty("log4j2.provider", "org.apache.logging.log4j.simple.internal.SimpleProvider");
        String named = arguments.length == 0 ? "" : arguments[0];
        Object command =
                switch (named) {
                    case "read" -> new ReadCommand();
                    case "paper" -> new PaperCommand();
                    case "reach" -> new ReachCommand();
                    case "plan" -> new PlanCommand();
                    default -> new AuditCommand(to);
                };
        int skip = command instanceof AuditCommand && !named.equals("audit") ? 0 : 1;
        PrintWriter out = new PrintWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
        int status = run(
                new CommandLine(command).setOut(out).setErr(error),
                Arrays.copyOfRange(arguments, skip, arguments.length));
        if (out.checkError()) { // a full disk: half a result must not pass for a whole one
            error.println("wache: what was to be said could not be written; what is there is cut off");
            return UNUSABLE;
        }
        return status;
    }

    private static int run(CommandLine line, String... arguments) {
        line.setParameterExceptionHandler((problem, given) -> {
            problem.getCommandLine().getErr().println(line.getCommandName() + ": " + problem.getMessage());
            return UNUSABLE;
        });
        line.setExecutionExceptionHandler((problem, command, parsed) -> {
            command.getErr()
                    .println(line.getCommandName() + ": "
                            + (problem instanceof Unusable ? problem.getMessage() : fault(problem)));
            return UNUSABLE;
        });
        try {
            return line.execute(arguments);
        } catch (StackOverflowError | OutOfMemoryError e) { // picocli hands on what is no exception
            line.getErr().println(line.getCommandName() + ": " + fault(e));
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
