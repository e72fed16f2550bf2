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

  /** Starting one takes a second; on a machine with no memory left it may take for ever. */
  static final Duration START = Duration.ofMinutes(1);

  private static final String ENDED = "";
  private static final String READY = "ready";
  private static final String NESTED_LAUNCHER =
      "org.springframework.boot.loader.launch.PropertiesLauncher";

  private final Process process;
  private final Path aside;
  private final BlockingQueue<String> answers = new LinkedBlockingQueue<>();
  private volatile String said = "";

  private ReadingProcess(Process process, Path aside) {
    this.process = process;
    this.aside = aside;
  }

  /** A process that reads files could not be started: no file is to blame for it. */
  static final class NotStarted extends IOException {
    private static final long serialVersionUID = 1L;

    NotStarted(String why, Throwable cause) {
      super(why, cause);
    }
  }

  /** The virtual machine that runs this one. */
  static Path java() {
    return Path.of(System.getProperty("java.home"), "bin", "java");
  }

  /**
   * Starts one; it takes orders when it {@linkplain #expectReady is ready}.
   *
   * @param java the virtual machine
   * @param aside a directory of its own, which goes with it
   */
  static ReadingProcess begin(Path java, Path aside) throws IOException {
    try {
      return begun(java, aside);
    } catch (IOException e) {
      DataDirectory.deleteAll(aside);
      throw new NotStarted(e.getMessage(), e);
    }
  }

  /**
   * Waits until it takes orders; one that does not is ended.
   *
   * @throws NotStarted when it does not after {@code most}
   */
  void expectReady(Duration most) throws NotStarted, InterruptedException {
    String answer;
    try {
      answer = answers.poll(most.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      end();
      throw e;
    }
    if (!READY.equals(answer)) {
      end();
      throw new NotStarted(
          answer == null
              ? "it took no orders after " + most.toSeconds() + " s"
              : "it ended at once" + said,
          null);
    }
  }

  /** Keeps the first line that it says of itself, for the log; the rest is read and forgotten. */
  private void hear() {
    try (BufferedReader in =
        new BufferedReader(
            new InputStreamReader(process.getErrorStream(), StandardCharsets.UTF_8))) {
      for (String line = in.readLine(); line != null; line = in.readLine()) {
        said = said.isEmpty() ? ": " + line : said;
      }
    } catch (IOException e) {
      // the process was ended, and its stream with it
    }
  }

  private static ReadingProcess begun(Path java, Path aside) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(java.toString());
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
    command.addAll(desk(ReadingDesk.class.getResource("ReadingDesk.class").toString()));
    ReadingProcess made =
        new ReadingProcess(new ProcessBuilder(command).directory(aside.toFile()).start(), aside);
    for (Runnable ear : List.<Runnable>of(made::listen, made::hear)) {
      Thread listening = new Thread(ear, "reading");
      listening.setDaemon(true);
      listening.start();
    }
    return made;
  }

  /**
   * What runs the desk. In a jar that holds other jars the class path is that jar alone, and its
   * launcher finds the classes.
   *
   * @param from where the desk's class was found
   */
  static List<String> desk(String from) {
    return from.startsWith("jar:nested:")
        ? List.of(
            "-Dloader.main=" + ReadingDesk.class.getName(), "-cp", classPath(), NESTED_LAUNCHER)
        : List.of("-cp", classPath(), ReadingDesk.class.getName());
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
      // the process was ended, and its stream with it
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
