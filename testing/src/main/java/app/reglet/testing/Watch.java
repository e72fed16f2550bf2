package app.reglet.testing;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.testng.IInvokedMethod;
import org.testng.IInvokedMethodListener;
import org.testng.ITestResult;

/**
 * Ends the run when a test is stuck, and says where: a run that waits for ever tells nobody
 * anything. A test that passes never meets it.
 */
public final class Watch implements IInvokedMethodListener {
  /** Several times what the longest takes on a slow machine. */
  private static final Duration MOST = Duration.ofMinutes(5);

  private static final int FRAMES = 25;

  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "watch");
            thread.setDaemon(true);
            return thread;
          });
  private final Map<ITestResult, ScheduledFuture<?>> under = new ConcurrentHashMap<>();
  private volatile ScheduledFuture<?> last;

  @Override
  public void beforeInvocation(IInvokedMethod method, ITestResult result) {
    Thread test = Thread.currentThread();
    String name = result.getTestClass().getName() + "." + method.getTestMethod().getMethodName();
    under.put(result, clock.schedule(() -> stuck(name, test), MOST.toSeconds(), TimeUnit.SECONDS));
  }

  @Override
  public void afterInvocation(IInvokedMethod method, ITestResult result) {
    ScheduledFuture<?> over = under.remove(result);
    if (over != null) {
      over.cancel(false);
    }
    if (last != null) {
      last.cancel(false);
      last = null;
    }
  }

  /** Wakes the test, which fails then where it waited; what can't be woken ends with the run. */
  private void stuck(String name, Thread test) {
    StringBuilder out = new StringBuilder();
    Thread.getAllStackTraces()
        .forEach(
            (thread, stack) -> {
              if (Arrays.stream(stack).anyMatch(f -> f.getClassName().startsWith("app.reglet"))) {
                out.append("\n\"").append(thread.getName()).append("\" ").append(thread.getState());
                Arrays.stream(stack).limit(FRAMES).forEach(f -> out.append("\n    ").append(f));
              }
            });
    ProcessHandle.current()
        .descendants()
        .filter(p -> p.info().command().filter(c -> c.endsWith("java")).isPresent())
        .forEach(p -> out.append("\n\nits process ").append(p.pid()).append(threads(p.pid())));
    System.err.println(
        out + "\n\nSTUCK: " + name + " has been under way for " + MOST.toMinutes() + " minutes.");
    System.err.flush();
    test.interrupt();
    last = clock.schedule(() -> Runtime.getRuntime().halt(1), 1, TimeUnit.MINUTES);
  }

  /** The threads of another Reglet that are at work in it. */
  private static String threads(long process) {
    try {
      Process tool =
          new ProcessBuilder(
                  Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(),
                  String.valueOf(process),
                  "Thread.print")
              .redirectErrorStream(true)
              .start();
      try (InputStream in = tool.getInputStream()) {
        StringBuilder out = new StringBuilder();
        for (String thread : new String(in.readAllBytes()).split("\n\n")) {
          if (thread.contains("app.reglet")) {
            out.append("\n").append(thread.lines().limit(FRAMES).toList());
          }
        }
        return out.toString().replace(", \tat", "\n    at");
      }
    } catch (IOException e) {
      return ": " + e.getMessage();
    }
  }
}
