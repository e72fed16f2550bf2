package app.reglet.web.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.util.FileSystemUtils;

/**
 * The directory that holds everything a person would miss: database, pictures, backups. One process
 * holds it at a time.
 */
public final class DataDirectory implements DisposableBean {
  private final Path root;
  private final FileChannel lock;

  private DataDirectory(Path root, FileChannel lock) {
    this.root = root;
    this.lock = lock;
  }

  /**
   * Takes hold of a directory, which is made when it isn't there.
   *
   * @throws StartTrouble when it can't be written, or another process holds it
   */
  public static DataDirectory claim(Path directory) {
    Path root = directory.toAbsolutePath().normalize();
    if (root.toString().contains(";")) {
      throw new StartTrouble(
          "The data directory "
              + root
              + " has a semicolon in its path, at which the database would cut it: name another with REGLET_DATA.");
    }
    try {
      Files.createDirectories(root);
      Path probe = Files.createTempFile(root, "probe", null); // root may write what others may not
      Files.delete(probe);
    } catch (IOException e) {
      throw new StartTrouble(
          "The data directory "
              + root
              + " can't be written ("
              + reason(e)
              + "): make it writable and make room, or name another with REGLET_DATA.");
    }
    Path file = root.resolve("reglet.lock");
    FileChannel channel = null;
    try {
      channel =
          FileChannel.open(
              file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
      FileLock held = channel.tryLock();
      if (held == null) {
        throw new OverlappingFileLockException();
      }
      channel.truncate(0);
      channel.write(
          ByteBuffer.wrap(
              String.valueOf(ProcessHandle.current().pid()).getBytes(StandardCharsets.US_ASCII)));
      DataDirectory data = new DataDirectory(root, channel);
      finishRestoring(data);
      return data;
    } catch (OverlappingFileLockException e) {
      close(channel);
      throw new StartTrouble(
          "Reglet is already running on the data directory "
              + root
              + holder(file)
              + ": use that one, end it first, or name another directory with REGLET_DATA.");
    } catch (IOException e) {
      close(channel);
      throw new StartTrouble("The data directory " + root + " can't be locked: " + reason(e) + ".");
    }
  }

  /** A backup that was being brought back when Reglet or its machine stopped. */
  private static void finishRestoring(DataDirectory data) {
    try {
      new Restoring(data).finish();
    } catch (IOException e) {
      data.destroy();
      throw new StartTrouble(
          "A backup is half brought back into "
              + data.root()
              + ", and the rest can't be ("
              + reason(e)
              + "): make room and see that the directory can be written; the next start goes on with it. Nothing is lost: what was there before is in the directory whose name begins with before-restore.");
    }
  }

  private static String holder(Path file) {
    try {
      String pid = Files.readString(file, StandardCharsets.US_ASCII).strip();
      return pid.matches("\\d{1,10}") ? " (process " + pid + ")" : "";
    } catch (IOException e) {
      return "";
    }
  }

  /** Why a file could not be used, in a few words. */
  static String reason(IOException e) {
    String message = e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    int colon = message.lastIndexOf(": ");
    String tail = colon < 0 ? message : message.substring(colon + 2);
    if (e instanceof java.nio.file.AccessDeniedException) {
      return "no right to do that";
    }
    return e instanceof java.nio.file.FileAlreadyExistsException ? "a file is in its place" : tail;
  }

  public Path root() {
    return root;
  }

  /** The database, without the ending that H2 gives it. */
  public Path database() {
    return root.resolve("reglet");
  }

  /** The database's file. */
  public Path databaseFile() {
    return root.resolve("reglet.mv.db");
  }

  public Path pictures() {
    return root.resolve("pictures");
  }

  /** Small pictures for the screen, made again when they are not there. */
  public Path previews() {
    return pictures().resolve("preview");
  }

  public Path backups() {
    return root.resolve("backups");
  }

  /** Files that were made of covers; made again when they are not there. */
  public Path made() {
    return root.resolve("made");
  }

  /** Files that were inspected of late, with what was found in them; no stop keeps them. */
  public Path inspected() {
    return root.resolve("inspected");
  }

  /** Files on their way in; nothing here outlives a stop. */
  public Path uploads() {
    return root.resolve("uploads");
  }

  /**
   * Empties what a stop or a kill in the middle of something left: uploads, and parts of files that
   * never got their name.
   */
  public void sweep() throws IOException {
    deleteAll(uploads());
    Files.createDirectories(uploads());
    deleteAll(inspected());
    deleteAll(pictures().resolve("screen")); // previews without transparency, up to version 0.1
    if (Files.isDirectory(made())) {
      try (var list = Files.list(made())) {
        for (Path part : list.filter(StoredFiles::isPart).toList()) {
          Files.deleteIfExists(part);
        }
      }
    }
    if (Files.isDirectory(pictures())) {
      try (var walk = Files.walk(pictures(), 2)) {
        for (Path part : walk.filter(StoredFiles::isPart).toList()) {
          Files.deleteIfExists(part);
        }
      }
    }
    if (Files.isDirectory(backups())) {
      try (var list = Files.list(backups())) {
        for (Path part : list.filter(StoredFiles::isPart).toList()) {
          deleteAll(part);
        }
      }
    }
    try (var list = Files.list(root)) {
      for (Path left :
          list.filter(p -> p.getFileName().toString().matches("probe\\d+\\.tmp")).toList()) {
        Files.deleteIfExists(left);
      }
    }
  }

  /** Deletes a directory with everything in it, or a file; nothing when it isn't there. */
  public static void deleteAll(Path path) throws IOException {
    FileSystemUtils.deleteRecursively(path);
  }

  /** Lets go of the directory. */
  @Override
  public void destroy() {
    close(lock);
  }

  private static void close(FileChannel channel) {
    try {
      if (channel != null) {
        channel.close();
      }
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
