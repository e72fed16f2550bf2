package app.reglet.web.cli;

import app.reglet.web.packages.PressedPackage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * {@code reglet press}: the files of a title's package. It works in a directory of its own; nothing
 * of REGLET_DATA is read or changed.
 */
@Command(
    name = "press",
    description =
        "Makes the press files and ebook covers of the editions in a title's package, and says what is to mend.",
    mixinStandardHelpOptions = true)
final class PressCommand implements Callable<Integer> {
  @Mixin private PackageOptions where;

  @Option(
      names = "--house",
      defaultValue = "",
      paramLabel = "ID",
      description = "only the editions at this house; all when not given")
  private String house;

  @Option(
      names = "--edition",
      defaultValue = "0",
      paramLabel = "N",
      description = "only this edition of the package, from 1")
  private int edition;

  @Option(
      names = "--standard",
      defaultValue = "",
      paramLabel = "x1a|x4|plain",
      description = "the standard of press files; the house's when not given")
  private String standard;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Path file = where.file();
    Path out = where.out();
    return Scratch.run(
        reglet -> {
          PressedPackage.Made made =
              reglet.getBean(PressedPackage.class).run(file, house, edition, standard, out);
          PrintWriter print = spec.commandLine().getOut();
          made.said().forEach(print::println);
          print.flush();
          return made.toMend() > 0 ? 1 : 0;
        });
  }
}
