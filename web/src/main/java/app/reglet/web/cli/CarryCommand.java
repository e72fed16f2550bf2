package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.web.packages.CarriedPackage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * {@code reglet carry}: a title's package carried to another house and binding. It works in a
 * directory of its own; nothing of REGLET_DATA is read or changed.
 */
@Command(
    name = "carry",
    description =
        "Carries the cover in a title's package to another edition: writes its files, a report and the package with the new edition.",
    mixinStandardHelpOptions = true)
final class CarryCommand implements Callable<Integer> {
  @Mixin private PackageOptions where;

  @Option(
      names = "--to",
      required = true,
      paramLabel = "HOUSE/BINDING[/TRIM]",
      description =
          "where to, such as dunlin-casebinders/dust-jacket or osier-row/perfect-bound/A5")
  private String to;

  @Option(
      names = "--sheet",
      paramLabel = "FILE",
      description = "the rule sheet of the house, when neither Reglet nor the package has it")
  private Path sheet;

  @Option(
      names = "--edition",
      defaultValue = "1",
      description = "which edition of the package, from 1")
  private int edition;

  @Option(
      names = "--turn",
      defaultValue = "",
      description = "ltr or rtl, how its pages turn; as they did when not given")
  private String turn;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Path file = where.file();
    Path out = where.out();
    CarriedPackage.Asked asked = asked();
    return Scratch.run(
        reglet -> {
          CarriedPackage.Made made = reglet.getBean(CarriedPackage.class).run(file, asked, out);
          PrintWriter print = spec.commandLine().getOut();
          made.said().forEach(print::println);
          print.flush();
          return made.toMend() > 0 ? 1 : 0;
        });
  }

  private CarriedPackage.Asked asked() throws IOException {
    String[] parts = to.split("/", 3);
    if (parts.length < 2 || parts[0].isBlank() || parts[1].isBlank()) {
      throw new Refusal("“" + to + "” names no house and binding: --to HOUSE/BINDING[/TRIM].");
    }
    Optional<String> document = Optional.empty();
    if (sheet != null) {
      RuleSheet read = HouseOption.read(sheet.toString());
      if (!read.id().equals(parts[0])) {
        throw new Refusal(
            "“" + sheet + "” is the sheet of “" + read.id() + "”, not of “" + parts[0] + "”.");
      }
      document = Optional.of(Files.readString(sheet, StandardCharsets.UTF_8));
    }
    return new CarriedPackage.Asked(
        edition, parts[0], document, parts[1], parts.length > 2 ? parts[2] : "", turn);
  }
}
