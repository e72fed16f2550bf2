package app.reglet.web;

import app.reglet.web.store.StartTrouble;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/**
 * Makes one sentence of whatever ended a start. The stack trace goes into a file of the data
 * directory, for whoever looks after Reglet; the console gets the sentence alone. As the first of
 * Spring Boot's exception reporters it also keeps Spring from printing the trace.
 */
@Order(Ordered.HIGHEST_PRECEDENCE)
public final class FailedStart implements SpringBootExceptionReporter {
  /** The file with the stack trace, in the data directory. */
  public static final String FILE = "start-failed.txt";

  /** Nothing is printed here: {@link Reglet} prints the sentence that {@link #trouble} makes. */
  @Override
  public boolean reportException(Throwable failure) {
    return true;
  }

  /**
   * The sentence for a start that failed.
   *
   * @param failure what ended it; a {@link StartTrouble} within it already says what to do
   * @param data the data directory, where the trace is written
   */
  static StartTrouble trouble(Throwable failure, Path data) {
    Throwable root = failure;
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof StartTrouble known) {
        return known;
      }
      root = t;
    }
    String message = root.getMessage() == null ? "" : root.getMessage().strip();
    String why = message.isEmpty() ? root.getClass().getSimpleName() : firstLine(message);
    return new StartTrouble(
        "Reglet could not start: "
            + why
            + (why.endsWith(".") ? " " : ". ")
            + kept(failure, data.resolve(FILE)),
        failure);
  }

  private static String firstLine(String message) {
    return message.lines().findFirst().orElse(message);
  }

  private static String kept(Throwable failure, Path file) {
    try (PrintWriter out = new PrintWriter(Files.newBufferedWriter(file))) {
      failure.printStackTrace(out);
      return "What led to it is told in full in " + file + ". Mend that and start again.";
    } catch (IOException e) {
      return "Mend that and start again.";
    }
  }
}
