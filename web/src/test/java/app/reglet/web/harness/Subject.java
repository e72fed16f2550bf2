package app.reglet.web.harness;

import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import app.reglet.web.Reglet;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** Reglet as a process of its own, with the heap that ships, to be killed, filled and hurried. */
public final class Subject implements AutoCloseable {
  /** What {@code ./reglet} gives it. */
  static final List<String> SHIPPED = List.of("-Xmx512m", "-XX:+UseSerialGC");

  private final Path data;
  private final Path log;
  private final Path own;
  private final Map<String, String> environment;
  private List<String> options = List.of();
  private Process process;
  private int port;

  public Subject(Path data, Map<String, String> environment) throws IOException {
    this.data = data;
    this.environment = environment;
    this.log = Scratch.file("reglet-subject", ".log");
    this.own = Scratch.directory("subject");
    Scratch.atEnd(this::end);
  }

  public Subject(Path data) throws IOException {
    this(data, Map.of());
  }

  /** Compiles little and starts sooner: for what is about neither speed nor memory. */
  public Subject quick() {
    options = List.of("-XX:TieredStopAtLevel=1");
    return this;
  }

  /** Starts it and returns when it answers. */
  public Subject start(String... args) throws IOException, InterruptedException {
    launch(args);
    Web web = web();
    try {
      Patience.until("Reglet answers or has ended", () -> !process.isAlive() || web.answers());
    } catch (AssertionError e) {
      throw new AssertionError(e.getMessage() + ": " + log(), e);
    }
    if (!process.isAlive()) {
      throw new IOException("Reglet ended at its start: " + log());
    }
    return this;
  }

  private void launch(String... args) throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(SHIPPED);
    command.addAll(options);
    command.add("-Djava.io.tmpdir=" + own);
    command.addAll(Loaded.classes());
    command.add(Reglet.class.getName());
    command.addAll(List.of(args));
    ProcessBuilder builder =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()));
    builder.environment().put("REGLET_DATA", data.toString());
    builder.environment().put("REGLET_PORT", String.valueOf(port));
    builder.environment().putAll(environment);
    process = builder.start();
  }

  /**
   * Starts it when it is expected to end by itself; gives its exit code. Its server may answer for
   * a moment before what stops it is met, so its end is waited for and nothing else.
   */
  public int startInVain(String... args) throws IOException, InterruptedException {
    launch(args);
    if (!process.waitFor(Patience.seconds(), TimeUnit.SECONDS)) {
      kill();
      throw new AssertionError("Reglet started, but should not have: " + log());
    }
    return process.exitValue();
  }

  public String address() {
    return "http://127.0.0.1:" + port;
  }

  public int port() {
    return port;
  }

  public Web web() {
    return new Web(address());
  }

  /** {@code kill -9}. */
  public void kill() throws InterruptedException {
    process.destroyForcibly();
    process.waitFor();
  }

  /** A stop in order. */
  public void stop() throws InterruptedException {
    process.destroy();
    if (!process.waitFor(Patience.seconds(), TimeUnit.SECONDS)) {
      kill();
      throw new AssertionError("Reglet did not stop within " + Patience.LONGEST);
    }
  }

  /** Ends it with the test process, should a test have left it running. */
  private void end() {
    if (process != null) {
      process.destroyForcibly();
    }
  }

  public boolean isAlive() {
    return process.isAlive();
  }

  /** Everything it has printed since it was made. */
  public String log() throws IOException {
    return Files.readString(log);
  }

  /** Resident memory in MB, as the kernel says; zero where it doesn't. */
  public long megabytes() throws IOException {
    Path status = Path.of("/proc", String.valueOf(process.pid()), "status");
    if (!Files.exists(status)) {
      return 0;
    }
    return Files.readAllLines(status).stream()
        .filter(l -> l.startsWith("VmHWM:"))
        .map(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
        .findFirst()
        .orElse(0L);
  }

  @Override
  public void close() throws IOException, InterruptedException {
    if (process != null && process.isAlive()) {
      stop();
    }
    Files.deleteIfExists(log);
  }
}
