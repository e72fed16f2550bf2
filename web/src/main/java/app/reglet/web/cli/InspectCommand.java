package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.reading.Watch;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.slf4j.LoggerFactory;
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
    // what libraries say of a hostile file is told in one sentence
    for (String name : new String[] {"org.apache.pdfbox", "org.apache.fontbox"}) {
      if (LoggerFactory.getLogger(name) instanceof Logger logger) {
        logger.setLevel(Level.OFF);
      }
    }
    if (!Files.isRegularFile(file) || !Files.isReadable(file)) {
      throw new Refusal("“" + file + "” can't be read.");
    }
    PdfFacts facts = read(FileBytes.of(file));
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

  /** Reads with an eye on the time: a file that hangs its reader is refused all the same. */
  private static PdfFacts read(FileBytes file) {
    CompletableFuture<PdfFacts> done = new CompletableFuture<>();
    Thread reader =
        new Thread(
            () -> {
              Budget budget = Budget.forFile(file.length());
              try (Watch watch =
                  Watch.over(budget, () -> done.completeExceptionally(budget.tooLong()))) {
                done.complete(PdfFacts.read(file, budget));
              } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
                done.completeExceptionally(e);
              }
            },
            "inspect");
    reader.setDaemon(true);
    reader.start();
    try {
      return done.join();
    } catch (CompletionException e) {
      throw e.getCause() instanceof Refusal r ? r : new Refusal("This PDF can't be read.");
    }
  }
}
