package app.reglet.press;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** Runs an independent tool; its absence fails the test rather than skipping it. */
public final class Tool {
  private Tool() {}

  public record Result(int exit, String out) {}

  public static Result run(String... command) {
    try {
      Path out = Files.createTempFile("tool", ".txt");
      Process p =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(out.toFile())
              .start();
      assertThat(p.waitFor(120, TimeUnit.SECONDS)).as("%s ended in time", command[0]).isTrue();
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

  public static Path file(String name, byte[] content) {
    try {
      Path dir = Files.createTempDirectory("reglet-test");
      return Files.write(dir.resolve(name), content);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }
}
