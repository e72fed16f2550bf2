package app.reglet.web;

import app.reglet.testing.Scratch;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.testng.SkipException;

/** A small disk of its own, to be filled: a tmpfs, which only root can mount. */
public final class Tmpfs implements AutoCloseable {
  private final Path at;

  private Tmpfs(Path at) {
    this.at = at;
  }

  /** Mounts one of so many megabytes; skips the test where that isn't allowed. */
  public static Tmpfs of(int megabytes) throws Exception {
    Path at = Scratch.directory("reglet-disk");
    if (run("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m", "tmpfs", at.toString()) != 0) {
      throw new SkipException("no small disk can be mounted here: that takes root");
    }
    return new Tmpfs(at);
  }

  public Path path() {
    return at;
  }

  /** Fills it until so many bytes are left. */
  public void fill(long left) throws IOException {
    byte[] block = new byte[4096];
    try (OutputStream out =
        Files.newOutputStream(
            at.resolve("filler"), StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
      while (at.toFile().getUsableSpace() >= left + block.length) {
        out.write(block);
      }
    }
  }

  /** Makes room again. */
  public void empty() throws IOException {
    Files.delete(at.resolve("filler"));
  }

  /** From now on nothing can be written. */
  public void readOnly() throws Exception {
    if (run("mount", "-o", "remount,ro", at.toString()) != 0) {
      throw new SkipException("the small disk can't be made read-only here");
    }
  }

  private static int run(String... command) throws Exception {
    return new ProcessBuilder(command)
        .redirectErrorStream(true)
        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
        .start()
        .waitFor();
  }

  @Override
  public void close() throws Exception {
    run("umount", "-l", at.toString());
    Files.deleteIfExists(at);
  }
}
