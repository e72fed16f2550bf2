package app.reglet.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Files and directories of a test, and what runs for several tests (a browser, a server). All of it
 * lies in one directory of the test process and ends with the process: what runs is closed first,
 * then the directory goes. A process that is still there after that is ended and told on the error
 * stream, and {@code ./reglet test} fails for whatever is left in its own directory.
 */
public final class Scratch {
  private static final Deque<AutoCloseable> OPEN = new ArrayDeque<>();
  private static Path root;

  private Scratch() {}

  /** Makes a new, empty directory whose name begins with the prefix. */
  public static Path directory(String prefix) {
    try {
      return Files.createTempDirectory(root(), prefix);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Makes a new, empty file whose name begins with the prefix. */
  public static Path file(String prefix, String ending) {
    try {
      return Files.createTempFile(root(), prefix, ending);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A new file of this name with this content, in a directory of its own. */
  public static Path holding(String name, byte[] content) {
    try {
      return Files.write(directory("file").resolve(name), content);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Closes something when the test process ends; what was given last is closed first. */
  public static synchronized void atEnd(AutoCloseable open) {
    root();
    OPEN.push(open);
  }

  /** What was closed by itself needs no closing at the end. */
  public static synchronized void ended(AutoCloseable open) {
    OPEN.remove(open);
  }

  private static synchronized Path root() {
    if (root == null) {
      try {
        root = Files.createTempDirectory("reglet-test");
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      Runtime.getRuntime().addShutdownHook(new Thread(Scratch::end, "scratch"));
    }
    return root;
  }

  private static synchronized void end() {
    List<String> troubles = new ArrayList<>();
    while (!OPEN.isEmpty()) {
      try {
        OPEN.pop().close();
      } catch (Exception e) {
        troubles.add("could not be closed: " + e);
      }
    }
    ProcessHandle.current()
        .descendants()
        .filter(ProcessHandle::isAlive)
        .forEach(
            p -> {
              troubles.add("a process was left running: " + p.info().commandLine().orElse("?"));
              p.destroyForcibly();
            });
    try {
      delete(root);
    } catch (IOException e) {
      troubles.add("could not be deleted: " + e);
    }
    try {
      if (!troubles.isEmpty()) {
        // beside the deleted directory, where ./reglet test finds it and fails
        Files.write(root.resolveSibling(root.getFileName() + "-left.txt"), troubles);
      }
    } catch (IOException e) {
      troubles.add("could not be told: " + e);
    }
    troubles.forEach(t -> System.err.println("LEFT BEHIND: " + t));
  }

  /** Deletes a directory with everything in it. */
  public static void delete(Path directory) throws IOException {
    Files.walkFileTree(
        directory,
        new SimpleFileVisitor<>() {
          @Override
          public FileVisitResult visitFile(Path file, BasicFileAttributes a) throws IOException {
            Files.deleteIfExists(file);
            return FileVisitResult.CONTINUE;
          }

          @Override
          public FileVisitResult visitFileFailed(Path file, IOException e) {
            return FileVisitResult.CONTINUE; // gone meanwhile
          }

          @Override
          public FileVisitResult postVisitDirectory(Path dir, IOException e) throws IOException {
            Files.deleteIfExists(dir);
            return FileVisitResult.CONTINUE;
          }
        });
  }
}
