package app.reglet.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** Runs an independent tool; its absence fails the test rather than skipping it. */
public final class Tool {
  private Tool() {}

  /**
   * What a tool left.
   *
   * @param exit its exit code
   * @param out what it printed, on either stream
   */
  public record Result(int exit, String out) {}

  /** Runs a program and returns what it printed, once it has ended. */
  public static Result run(String... command) {
    Path out = Scratch.file("tool", ".txt");
    try {
      Process p =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(out.toFile())
              .start();
      if (!p.waitFor(Patience.seconds(), TimeUnit.SECONDS)) {
        p.destroyForcibly();
        throw new AssertionError(
            "%s did not end in %s".formatted(List.of(command), Patience.LONGEST));
      }
      String text = new String(Files.readAllBytes(out), StandardCharsets.UTF_8);
      Files.delete(out);
      return new Result(p.exitValue(), text);
    } catch (IOException e) {
      throw new AssertionError(command[0] + " is not installed: ./reglet test installs it", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }

  /** The output of a tool that must end well. */
  public static String ok(String... command) {
    Result r = run(command);
    assertThat(r.exit()).as("%s: %s", String.join(" ", command), r.out()).isZero();
    return r.out();
  }

  /** A file of this name with this content. */
  public static Path file(String name, byte[] content) {
    return Scratch.holding(name, content);
  }
}
