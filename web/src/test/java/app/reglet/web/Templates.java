package app.reglet.web;

import app.reglet.testing.Scratch;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.stream.Stream;

/**
 * Data directories to begin with. A database that has its tables, with or without the demo in it,
 * is made once for all test processes of a build, by starting Reglet and stopping it in order; each
 * test that asks for one gets a copy of its own. How a start makes a database of nothing is tested
 * by {@link app.reglet.web.store.MigrationsTest} and by starts on empty directories.
 */
public final class Templates {
  private static final String DEMO = "--reglet.demo=true";

  private Templates() {}

  /** A copy of the demo's data. */
  public static Path demo() throws IOException {
    return copy("demo", DEMO);
  }

  /** A copy of a data directory without titles. */
  public static Path empty() throws IOException {
    return copy("empty");
  }

  /** What a start with these arguments finds, were it not the first. */
  static Path forStart(String... args) throws IOException {
    return Arrays.asList(args).contains(DEMO) ? demo() : empty();
  }

  private static Path copy(String name, String... args) throws IOException {
    Path from = made(name, args);
    Path to = Scratch.directory("data");
    try (Stream<Path> all = Files.walk(from)) {
      for (Path p : all.toList()) {
        Path there = to.resolve(from.relativize(p).toString());
        if (Files.isDirectory(p)) {
          Files.createDirectories(there);
        } else {
          Files.copy(p, there, StandardCopyOption.COPY_ATTRIBUTES);
        }
      }
    }
    return to;
  }

  private static synchronized Path made(String name, String... args) throws IOException {
    Path place = Files.createDirectories(Path.of("target", "templates").toAbsolutePath());
    Path template = place.resolve(name);
    // two test processes at once: the second waits for the first's
    try (RandomAccessFile file = new RandomAccessFile(place.resolve("lock").toFile(), "rw");
        FileLock lock = file.getChannel().lock()) {
      Path done = place.resolve(name + ".done");
      if (!Files.exists(done) || Files.getLastModifiedTime(done).toMillis() < newest()) {
        if (Files.exists(template)) {
          Scratch.delete(template);
        }
        new Own(template, args).close();
        Files.deleteIfExists(done);
        Files.createFile(done);
      }
    }
    return template;
  }

  /** When anything that makes the data was changed last, milliseconds since 1970. */
  private static long newest() {
    return Stream.of(System.getProperty("java.class.path").split(java.io.File.pathSeparator))
        .map(Path::of)
        .filter(Files::exists)
        .mapToLong(Templates::newest)
        .max()
        .orElse(0);
  }

  private static long newest(Path entry) {
    try (Stream<Path> all = Files.walk(entry)) {
      return all.filter(Files::isRegularFile)
          .mapToLong(p -> p.toFile().lastModified())
          .max()
          .orElse(0);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
