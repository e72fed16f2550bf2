package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.web.store.StartTrouble;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line: measuring without starting the web application. */
@Command(
    name = "reglet",
    description = "Book covers that follow their measurements.",
    mixinStandardHelpOptions = true,
    subcommands = {
      MeasureCommand.class,
      TemplateCommand.class,
      InspectCommand.class,
      CarryCommand.class,
      PressCommand.class,
      PeopleCommand.class,
      BackupCommand.class,
      RestoreCommand.class
    })
public final class RegletCommand {
  /** The exit code for input that can't be used. */
  static final int BAD_INPUT = 2;

  private RegletCommand() {}

  /** Runs a command line and gives its exit code: 0 done, 1 does not fit, 2 bad input. */
  public static int run(String... args) {
    CommandLine line = new CommandLine(new RegletCommand());
    line.setExecutionExceptionHandler(
        (e, command, parsed) -> {
          if (e instanceof Refusal || e instanceof StartTrouble) {
            command.getErr().println(e.getMessage());
            return BAD_INPUT;
          }
          throw e;
        });
    line.setParameterExceptionHandler(
        (e, given) -> {
          e.getCommandLine()
              .getErr()
              .println(
                  e.getMessage()
                      + ". See: reglet "
                      + e.getCommandLine().getCommandName()
                      + " --help");
          return BAD_INPUT;
        });
    return line.execute(args);
  }
}
