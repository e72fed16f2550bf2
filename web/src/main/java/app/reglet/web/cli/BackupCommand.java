package app.reglet.web.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code reglet backup}: a copy of everything, while Reglet runs or not. */
@Command(
    name = "backup",
    description = "Writes a consistent copy of the data of REGLET_DATA into a ZIP.",
    mixinStandardHelpOptions = true)
final class BackupCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE")
  private Path file;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    return PeopleCommand.order(
        spec, List.of("backup", file.toAbsolutePath().normalize().toString()));
  }
}
