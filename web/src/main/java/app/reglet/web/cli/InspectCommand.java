package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.PdfFacts;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code reglet inspect}: says what a PDF is. */
@Command(
    name = "inspect",
    description = "Says what a PDF is: pages, boxes, fonts.",
    mixinStandardHelpOptions = true)
final class InspectCommand implements Callable<Integer> {
  @Parameters(paramLabel = "FILE")
  private Path file;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    PdfFacts facts;
    try {
      facts = PdfFacts.read(Files.readAllBytes(file));
    } catch (IOException e) {
      throw new Refusal("“" + file + "” can't be read.");
    }
    PrintWriter out = spec.commandLine().getOut();
    out.println(
        facts.pages() + (facts.pages() == 1 ? " page" : " pages") + ", PDF " + facts.version());
    for (PdfFacts.NamedBox b : facts.first().boxes()) {
      out.printf("%-10s %s (%s)%n", b.name(), b.size().brief(Unit.IN), b.size().brief(Unit.MM));
    }
    for (PdfFacts.FontFact f : facts.fonts()) {
      out.printf(
          "%-10s %s, %s%s%n",
          "Font",
          f.name(),
          f.embedded() ? "embedded" : "not embedded",
          f.subset() ? ", subset" : "");
    }
    out.flush();
    return 0;
  }
}
