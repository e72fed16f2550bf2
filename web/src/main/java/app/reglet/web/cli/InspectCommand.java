package app.reglet.web.cli;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Isbn;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.inspect.FileCheck;
import app.reglet.press.inspect.FileFacts;
import app.reglet.press.inspect.FileReading;
import app.reglet.press.inspect.FileReport;
import app.reglet.press.inspect.page.PageLook;
import app.reglet.press.inspect.page.PlateFile;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.reading.Watch;
import app.reglet.web.Reglet;
import app.reglet.web.control.Control;
import app.reglet.web.control.Orders;
import app.reglet.web.store.DataDirectory;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.slf4j.LoggerFactory;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;

/** {@code reglet inspect}: says what files are, and whether they fit. */
@Command(
    name = "inspect",
    description =
        "Says what PDFs and pictures are, and what a house objects to in them. Exit code: 0 fits, 1 worth a look, 2 to be mended, 3 can't be read.",
    mixinStandardHelpOptions = true)
final class InspectCommand implements Callable<Integer> {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Parameters(paramLabel = "FILE", arity = "1..*")
  private List<Path> files;

  @ArgGroup(exclusive = false, heading = "The measured cover they should fit, by its facts:%n")
  private FactsOptions facts;

  @Option(
      names = "--edition",
      defaultValue = "0",
      paramLabel = "N",
      description = "the edition of REGLET_DATA they should fit, by the number in its address")
  private long edition;

  @Option(
      names = "--isbn",
      defaultValue = "",
      description = "the number that a barcode must say; not beside --edition, which has its own")
  private String isbn;

  @Option(names = "--json", description = "as JSON, an entry for each file")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    // what libraries say of a hostile file is told in one sentence
    for (String name : new String[] {"org.apache.pdfbox", "org.apache.fontbox"}) {
      if (LoggerFactory.getLogger(name) instanceof Logger logger) {
        logger.setLevel(Level.OFF);
      }
    }
    if (facts != null && edition != 0) {
      throw new Refusal("Give an edition, or a house and facts, not both.");
    }
    PrintWriter out = spec.commandLine().getOut();
    if (edition != 0) {
      List<String> words =
          new ArrayList<>(List.of("inspect", String.valueOf(edition), json ? "json" : "text"));
      files.forEach(f -> words.add(f.toAbsolutePath().normalize().toString()));
      Orders.Told told = Control.order(Reglet.dataDirectory(), words);
      out.print(told.text());
      out.flush();
      return told.code();
    }
    Optional<Wrap> wrap = Optional.ofNullable(facts).map(FactsOptions::measured);
    int worst = FileReport.FITS;
    ArrayNode all = JSON.createArrayNode();
    for (Path file : files) {
      try {
        FileReport report = read(file, wrap);
        worst = Math.max(worst, report.exit());
        all.add(report.json());
        text(out, file, report.text());
      } catch (Refusal r) {
        worst = FileReport.UNREADABLE;
        all.add(FileReport.unreadable(file.toString(), r.getMessage()));
        text(out, file, r.getMessage() + "\n");
      }
    }
    if (json) {
      out.println(JSON.writerWithDefaultPrettyPrinter().writeValueAsString(all));
    }
    out.flush();
    return worst;
  }

  private void text(PrintWriter out, Path file, String said) {
    if (!json) {
      out.print((files.size() > 1 ? file + ":\n" : "") + said);
    }
  }

  private FileReport read(Path file, Optional<Wrap> wrap) throws IOException {
    if (!Files.isRegularFile(file) || !Files.isReadable(file)) {
      throw new Refusal("“" + file + "” can't be read.");
    }
    Path aside = Files.createTempDirectory("reglet-inspect");
    try {
      FileFacts found = read(FileBytes.of(file), aside);
      return new FileReport(
          file.toString(),
          found,
          wrap.map(w -> FileCheck.of(found, wanted(w), n -> inks(aside, n))),
          wrap.map(w -> w.house().unit()).orElse(Unit.MM));
    } finally {
      DataDirectory.deleteAll(aside);
    }
  }

  private static Optional<InkPixels> inks(Path aside, int page) {
    Path at = PageLook.inks(aside, page);
    try {
      return Files.exists(at) ? Optional.of(PlateFile.read(at)) : Optional.empty();
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  private FileCheck.Wanted wanted(Wrap w) {
    Optional<Isbn> number = isbn.isEmpty() ? Optional.empty() : Optional.of(Isbn.parse(isbn));
    String id = w.house().files().press().condition();
    Optional<OutputCondition> condition =
        Arrays.stream(OutputCondition.values()).filter(c -> c.id().equals(id)).findFirst();
    return new FileCheck.Wanted(
        w,
        new Book("", "", "", "", "", number, ""),
        condition.map(c -> c.title().toLowerCase(Locale.ROOT)).orElse(id),
        condition.map(OutputCondition::registered).orElse(""),
        condition.map(c -> c.profile().sha()).orElse(""),
        font -> false);
  }

  /** Reads with an eye on the time: a file that hangs its reader is refused all the same. */
  private static FileFacts read(FileBytes file, Path aside) {
    CompletableFuture<FileFacts> done = new CompletableFuture<>();
    Thread reader =
        new Thread(
            () -> {
              Budget budget = Budget.forFile(file.length());
              try (Watch watch =
                  Watch.over(budget, () -> done.completeExceptionally(budget.tooLong()))) {
                done.complete(FileReading.read(file, aside, budget));
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
      throw e.getCause() instanceof Refusal r ? r : new Refusal("This file can't be read.");
    }
  }
}
