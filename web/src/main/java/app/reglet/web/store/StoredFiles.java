package app.reglet.web.store;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * Writes files so that they are there in whole or not at all, whatever happens: the bytes go into a
 * part, the part is forced to the disk, then takes its name, and the directory's entry is forced
 * too. Only then does {@link #write} return.
 */
public final class StoredFiles {
  private static final String PART = ".part";

  private StoredFiles() {}

  /** What a file holds. */
  @FunctionalInterface
  public interface Content {
    void to(OutputStream out) throws IOException;
  }

  /** Writes a file, over one that may be there. */
  public static void write(Path to, Content content) throws IOException {
    Path directory = directory(to);
    Path part = Files.createTempFile(directory, to.getFileName() + "-", PART);
    try {
      try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
        try (OutputStream out =
            new java.io.BufferedOutputStream(
                new Unclosed(Channels.newOutputStream(channel)), 1 << 16)) {
          content.to(out);
        }
        channel.force(true);
      }
      Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
      force(directory);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static Path directory(Path to) throws IOException {
    Path directory = to.toAbsolutePath().getParent();
    if (!Files.isDirectory(directory)) {
      Files.createDirectories(directory);
      force(directory.getParent());
    }
    return directory;
  }

  /** Forces a directory's entries to the disk. */
  public static void force(Path directory) throws IOException {
    try (FileChannel channel = FileChannel.open(directory, StandardOpenOption.READ)) {
      channel.force(true);
    }
  }

  /** Whether this is a file that never got its name. */
  public static boolean isPart(Path path) {
    return path.getFileName().toString().endsWith(PART);
  }

  /** Lets the writer close its stream while the channel stays open to be forced. */
  private static final class Unclosed extends java.io.FilterOutputStream {
    Unclosed(OutputStream out) {
      super(out);
    }

    @Override
    public void write(byte[] b, int off, int len) throws IOException {
      out.write(b, off, len);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }
}
