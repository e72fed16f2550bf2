package app.reglet.web.reading;

import app.reglet.press.reading.ReadingDesk;
import app.reglet.web.store.DataDirectory;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;

/** One process at a {@link ReadingDesk}, with a directory for what it has to put aside. */
final class ReadingProcess {
  /** Its heap: a 100-megapixel picture's preview and a 200 MB PDF's structure fit it. */
  private static final String HEAP = "-Xmx256m";

  private static final Duration START = Duration.ofSeconds(20);
  private static final String ENDED = "";
  private static final String READY = "ready";

  private final Process process;
  private final Path aside;
  private final BlockingQueue<String> answers = new LinkedBlockingQueue<>();
  private boolean ready;

  private ReadingProcess(Process process, Path aside) {
    this.process = process;
    this.aside = aside;
  }

  static ReadingProcess start(Path aside) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(
        List.of(
            HEAP,
            "-Xss1m",
            "-XX:+UseSerialGC",
            "-Xshare:auto",
            "-XX:+ExitOnOutOfMemoryError",
            "-Djava.awt.headless=true",
            "-Djava.io.tmpdir=" + aside,
            "-Dorg.apache.commons.logging.Log=org.apache.commons.logging.impl.NoOpLog"));
    ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
        .filter(a -> a.startsWith("-XX:SharedArchiveFile="))
        .forEach(command::add);
    command.addAll(List.of("-cp", classPath(), ReadingDesk.class.getName()));
    ReadingProcess made =
        new ReadingProcess(
            new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .directory(aside.toFile())
                .start(),
            aside);
    Thread listening = new Thread(made::listen, "reading");
    listening.setDaemon(true);
    listening.start();
    return made;
  }

  /** This process's own, each place by its full path: the other stands in another directory. */
  private static String classPath() {
    return Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
        .map(p -> Path.of(p).toAbsolutePath().toString())
        .collect(Collectors.joining(File.pathSeparator));
  }

  private void listen() {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        if (line.startsWith("{") || line.equals(READY)) {
          answers.add(line); // the rest is the virtual machine's last words
        }
      }
    } catch (IOException e) {
      // it was ended
    }
    answers.add(ENDED);
  }

  boolean isAlive() {
    return process.isAlive();
  }

  /**
   * Gives an order and waits for its answer.
   *
   * @throws TimeoutException when none comes in time; the process is of no use then
   * @throws IOException when the process ended over it
   */
  String ask(String order, Duration time)
      throws IOException, TimeoutException, InterruptedException {
    if (!ready) {
      take(START);
      ready = true;
    }
    OutputStream out = process.getOutputStream();
    out.write((order + "\n").getBytes(StandardCharsets.UTF_8));
    out.flush();
    return take(time);
  }

  private String take(Duration time) throws IOException, TimeoutException, InterruptedException {
    String answer = answers.poll(time.toMillis(), TimeUnit.MILLISECONDS);
    if (answer == null) {
      throw new TimeoutException();
    }
    if (answer.equals(ENDED)) {
      throw new IOException("the process ended");
    }
    return answer;
  }

  /** Ends the process at once and clears away what it put aside. */
  void end() {
    process.destroyForcibly();
    try {
      process.waitFor(2, TimeUnit.SECONDS);
      DataDirectory.deleteAll(aside);
    } catch (IOException e) {
      // swept at the next start
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
