package org.wache.cli;

import picocli.CommandLine;

/** The command line: {@code audit FILE …}. */
public final class Main {

  /** Exit status for wrong usage and unreadable files. */
  static final int UNUSABLE = 2;

  private Main() {}

  /** Runs a command and ends with its exit status. */
  public static void main(String[] arguments) {
    System.exit(run(arguments));
  }

  /** Runs a command and returns its exit status. */
  static int run(String... arguments) {
    CommandLine line = new CommandLine(new AuditCommand());
    line.setParameterExceptionHandler((problem, given) -> {
      problem.getCommandLine().getErr().println("wache audit: " + problem.getMessage());
      return UNUSABLE;
    });
    line.setExecutionExceptionHandler((problem, command, parsed) -> {
      command.getErr().println("wache audit: " + (problem instanceof Unusable ? problem.getMessage() : fault(problem)));
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
    return "a fault of the program (" + problem.getClass().getSimpleName() + (where.length == 0 ? "" : " at " + where[0].getFileName() + ":" + where[0].getLineNumber())
        + "); nothing was judged. Please report it with the files that were given";
  }
}
