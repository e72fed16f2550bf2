package app.reglet.web.cli;

import app.reglet.web.Reglet;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationContext;

/** A Reglet with data of its own, for a command that works on a package and keeps nothing. */
final class Scratch {
  private Scratch() {}

  /** What is done with it. */
  @FunctionalInterface
  interface Work<R> {
    R with(ApplicationContext reglet) throws IOException;
  }

  /** Does something with one, which is gone afterwards. */
  static <R> R run(Work<R> work) throws IOException {
    Path data = Files.createTempDirectory("reglet-scratch");
    try (var reglet = Reglet.startWithoutPages(data)) {
      if (LoggerFactory.getLogger("app.reglet") instanceof Logger logger) {
        logger.setLevel(Level.WARN); // what was done is told by the command
      }
      return work.with(reglet);
    } finally {
      delete(data);
    }
  }

  private static void delete(Path directory) throws IOException {
    List<Path> all;
    try (var walk = Files.walk(directory)) {
      all = walk.sorted(Comparator.reverseOrder()).toList();
    }
    for (Path p : all) {
      Files.deleteIfExists(p);
    }
  }
}
