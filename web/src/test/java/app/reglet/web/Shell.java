package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.TimeUnit;

/** Runs an independent tool; its absence fails the test rather than skipping it. */
final class Shell {
  private Shell() {}

  static String ok(String... command) {
    try {
      Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
      String out = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThat(p.exitValue()).as("%s: %s", String.join(" ", command), out).isZero();
      return out;
    } catch (IOException e) {
      throw new AssertionError(command[0] + " is not installed: ./reglet test installs it", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError(e);
    }
  }
}
