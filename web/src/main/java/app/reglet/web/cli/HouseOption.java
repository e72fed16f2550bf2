package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.web.houses.ShippedRuleSheets;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Finds a rule sheet named on the command line: a shipped one by its id, or a file. */
final class HouseOption {
  private static final int LARGEST_FILE = 20_000_000;

  private HouseOption() {}

  static RuleSheet read(String idOrFile) {
    Optional<String> shipped = ShippedRuleSheets.text(idOrFile);
    if (shipped.isPresent()) {
      return ExampleRun.readAndProve(shipped.get());
    }
    Path file = Path.of(idOrFile);
    if (!Files.isRegularFile(file)) {
      throw new Refusal(
          "“"
              + idOrFile
              + "” is neither a shipped rule sheet ("
              + String.join(", ", ShippedRuleSheets.ids())
              + ") nor a file.");
    }
    try {
      if (Files.size(file) > LARGEST_FILE) {
        throw new Refusal(
            "“"
                + idOrFile
                + "” has "
                + Files.size(file) / 1_000_000
                + " MB: that is no rule sheet.");
      }
      return ExampleRun.readAndProve(Files.readString(file, StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new Refusal("“" + idOrFile + "” can't be read as UTF-8 text.");
    }
  }
}
