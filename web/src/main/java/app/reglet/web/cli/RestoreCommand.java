package app.reglet.web.cli;

import app.reglet.web.Reglet;
import app.reglet.web.backup.Restore;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code reglet restore}: brings a backup back, while Reglet does not run. */
@Command(
    name = "restore",
    description = "Brings a backup back into REGLET_DATA; what is there is put aside.",
    mixinStandardHelpOptions = true)
final class RestoreCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "a ZIP, or the directory of a nightly backup")
  private Path file;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    spec.commandLine().getOut().println(Restore.restore(file, Reglet.dataDirectory()));
    spec.commandLine().getOut().flush();
    return 0;
  }
}
