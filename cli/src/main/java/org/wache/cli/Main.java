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
      if (problem instanceof Unusable) {
        command.getErr().println("wache audit: " + problem.getMessage());
        return UNUSABLE;
      }
      throw problem;
    });
    return line.execute(arguments);
  }
}
