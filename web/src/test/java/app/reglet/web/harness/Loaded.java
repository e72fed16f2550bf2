package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.Reglet;
import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.jar.JarEntry;
import java.util.jar.JarOutputStream;

/**
 * The class path of a Reglet in a process of its own, with an archive of its loaded classes as the
 * shipped one has (JEP 350): it is made once in a build, when a process starts its fourth Reglet,
 * and each start after it takes half the time. An archive wants jars, so directories of classes are
 * packed.
 */
final class Loaded {
  /** Starts without an archive: making one takes as long as it spares so many. */
  private static final int WITHOUT = 3;

  private static List<String> options;
  private static int asked;

  private Loaded() {}

  /** {@code -cp} and what goes with it; without an archive where none can be made. */
  static synchronized List<String> classes() throws IOException {
    if (++asked <= WITHOUT) {
      return List.of("-cp", System.getProperty("java.class.path"));
    }
    if (options == null) {
      options = made();
    }
    return options;
  }

  private static List<String> made() throws IOException {
    Path target = Path.of("target").toAbsolutePath();
    if (!Files.isDirectory(target)) {
      return List.of("-cp", System.getProperty("java.class.path"));
    }
    Path place = Files.createDirectories(target.resolve("subject"));
    // two test runs at once: the second waits for the first's
    try (RandomAccessFile file = new RandomAccessFile(place.resolve("lock").toFile(), "rw");
        FileLock lock = file.getChannel().lock()) {
      List<String> path = new ArrayList<>();
      long newest = 0;
      int n = 0;
      for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
        Path p = Path.of(entry);
        if (Files.isDirectory(p)) {
          newest = Math.max(newest, newest(p));
          path.add(place.resolve("classes-" + n++ + ".jar").toString());
        } else if (Files.exists(p)) {
          newest = Math.max(newest, Files.getLastModifiedTime(p).toMillis());
          path.add(entry);
        }
      }
      Path archive = place.resolve("classes.jsa");
      String joined = String.join(File.pathSeparator, path);
      if (!Files.exists(archive) || Files.getLastModifiedTime(archive).toMillis() < newest) {
        Files.deleteIfExists(archive);
        pack(path, place);
        archive(joined, archive, place);
      }
      return Files.exists(archive)
          ? List.of("-Xshare:auto", "-XX:SharedArchiveFile=" + archive, "-cp", joined)
          : List.of("-cp", System.getProperty("java.class.path"));
    }
  }

  private static long newest(Path directory) throws IOException {
    try (var all = Files.walk(directory)) {
      return all.mapToLong(p -> p.toFile().lastModified()).max().orElse(0);
    }
  }

  private static void pack(List<String> path, Path place) throws IOException {
    int n = 0;
    for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
      Path p = Path.of(entry);
      if (Files.isDirectory(p)) {
        pack(p, place.resolve("classes-" + n++ + ".jar"));
      }
    }
  }

  private static void pack(Path directory, Path jar) throws IOException {
    try (OutputStream out = Files.newOutputStream(jar);
        JarOutputStream zip = new JarOutputStream(out);
        var all = Files.walk(directory)) {
      zip.setLevel(1);
      for (Path p : all.sorted().toList()) {
        String name = directory.relativize(p).toString().replace(File.separatorChar, '/');
        if (Files.isDirectory(p) && !name.isEmpty()) {
          zip.putNextEntry(new JarEntry(name + "/")); // packages are found by them
          zip.closeEntry();
        } else if (Files.isRegularFile(p)) {
          zip.putNextEntry(new JarEntry(name));
          Files.copy(p, zip);
          zip.closeEntry();
        }
      }
    }
  }

  private static void archive(String path, Path archive, Path place) throws IOException {
    ProcessBuilder builder =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:ArchiveClassesAtExit=" + archive,
                "-Dspring.context.exit=onRefresh",
                "-cp",
                path,
                Reglet.class.getName(),
                "--server.port=0",
                "--reglet.reading.ahead=false")
            .redirectErrorStream(true)
            .redirectOutput(place.resolve("archive.log").toFile());
    builder.environment().put("REGLET_DATA", Scratch.directory("reglet-once").toString());
    try {
      builder.start().waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
