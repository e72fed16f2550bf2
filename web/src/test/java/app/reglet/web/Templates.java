package app.reglet.web;

import app.reglet.testing.Scratch;
import java.io.File;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipFile;

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

  /** Copies the demo's data into a directory. */
  public static void demoInto(Path to) throws IOException {
    copy(made("demo", DEMO), to);
  }

  private static Path copy(String name, String... args) throws IOException {
    Path to = Scratch.directory("data");
    copy(made(name, args), to);
    return to;
  }

  private static void copy(Path from, Path to) throws IOException {
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
  }

  /**
   * Makes all of them, so that the tests find them; {@code ./reglet test} does so beside others.
   */
  public static void main(String[] args) throws IOException {
    made("demo", DEMO);
    made("empty");
  }

  private static synchronized Path made(String name, String... args) throws IOException {
    Path place = Files.createDirectories(Path.of("target", "templates").toAbsolutePath());
    Path template = place.resolve(name);
    Path of = place.resolve(name + ".of");
    // two test processes at once: the second waits for the first's
    try (RandomAccessFile file = new RandomAccessFile(place.resolve("lock").toFile(), "rw");
        FileLock lock = file.getChannel().lock()) {
      String now = Classes.fingerprint();
      if (!Files.exists(of) || !Files.readString(of).equals(now)) {
        Files.deleteIfExists(of);
        if (Files.exists(template)) {
          Scratch.delete(template);
        }
        new Own(template, args).close();
        Files.writeString(of, now);
      }
    }
    return template;
  }

  /** The classes and resources that a template depends on. */
  private static final class Classes {
    private static String fingerprint;

    /** The same for the same classes and resources, whether they lie in a directory or in a jar. */
    static String fingerprint() throws IOException {
      if (fingerprint == null) {
        Map<String, Long> all = new TreeMap<>();
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
          Path path = Path.of(entry);
          if (Files.isDirectory(path) && !path.endsWith("test-classes")) {
            directory(path, all);
          } else if (path.getFileName().toString().startsWith("reglet-")) {
            jar(path, all);
          }
        }
        fingerprint = Integer.toHexString(all.hashCode()) + " " + all.size();
      }
      return fingerprint;
    }

    private static void directory(Path directory, Map<String, Long> all) throws IOException {
      try (Stream<Path> files = Files.walk(directory)) {
        for (Path file : files.filter(Files::isRegularFile).toList()) {
          CRC32 crc = new CRC32();
          crc.update(Files.readAllBytes(file));
          put(directory.relativize(file).toString(), crc.getValue(), all);
        }
      }
    }

    private static void jar(Path jar, Map<String, Long> all) throws IOException {
      try (ZipFile zip = new ZipFile(jar.toFile())) {
        zip.stream().filter(e -> !e.isDirectory()).forEach(e -> put(e.getName(), e.getCrc(), all));
      }
    }

    private static void put(String name, long crc, Map<String, Long> all) {
      if (!name.startsWith("META-INF/")) {
        all.put(name, crc);
      }
    }
  }
}
