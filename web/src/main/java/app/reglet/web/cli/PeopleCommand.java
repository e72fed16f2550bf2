package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.web.Reglet;
import app.reglet.web.control.Control;
import app.reglet.web.control.Orders;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code reglet people}: who may sign in. Works while Reglet runs and while it doesn't. */
@Command(
    name = "people",
    description = "Says and changes who may sign in to the data of REGLET_DATA.",
    mixinStandardHelpOptions = true)
final class PeopleCommand {
  @Spec private CommandSpec spec;

  private int order(String... words) {
    return order(spec, List.of(words));
  }

  static int order(CommandSpec spec, List<String> words) {
    Orders.Told told = Control.order(Reglet.dataDirectory(), words);
    var line = spec.commandLine();
    (told.code() == 0 ? line.getOut() : line.getErr()).println(told.text());
    line.getOut().flush();
    return told.code();
  }

  @Command(name = "list", description = "Lists them.", mixinStandardHelpOptions = true)
  int list() {
    return order("people", "list");
  }

  @Command(
      name = "add",
      description = "Adds somebody; a password is made and printed unless one is given.",
      mixinStandardHelpOptions = true)
  int add(
      @Parameters(paramLabel = "NAME") String name,
      @Option(
              names = "--role",
              defaultValue = "designer",
              description = "owner, designer or reader; designer when not given")
          String role,
      @Option(names = "--password-stdin", description = "read a password from standard input")
          boolean given) {
    return order("people", "add", name, role, password(given));
  }

  @Command(
      name = "reset",
      description = "Gives somebody another password; they are signed out everywhere.",
      mixinStandardHelpOptions = true)
  int reset(
      @Parameters(paramLabel = "NAME") String name,
      @Option(names = "--password-stdin", description = "read a password from standard input")
          boolean given) {
    return order("people", "reset", name, password(given));
  }

  @Command(name = "role", description = "Gives another role.", mixinStandardHelpOptions = true)
  int role(
      @Parameters(paramLabel = "NAME") String name, @Parameters(paramLabel = "ROLE") String role) {
    return order("people", "role", name, role);
  }

  @Command(
      name = "sign-out",
      description = "Ends all their sessions.",
      mixinStandardHelpOptions = true)
  int signOut(@Parameters(paramLabel = "NAME") String name) {
    return order("people", "sign-out", name);
  }

  @Command(name = "remove", description = "Takes somebody off.", mixinStandardHelpOptions = true)
  int remove(@Parameters(paramLabel = "NAME") String name) {
    return order("people", "remove", name);
  }

  private static String password(boolean given) {
    if (!given) {
      return "";
    }
    try {
      String line =
          new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8)).readLine();
      if (line == null || line.isEmpty()) {
        throw new Refusal("No password came on standard input.");
      }
      return line;
    } catch (IOException e) {
      throw new Refusal("Standard input can't be read.");
    }
  }
}
