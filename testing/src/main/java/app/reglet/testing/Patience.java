package app.reglet.testing;

import java.time.Duration;
import java.util.concurrent.TimeUnit;

/**
 * How long a test waits at most for something that must come. It is the one figure of all tests,
 * and generous: a test that passes never waits so long, and a machine busy with other work must not
 * make one fail. What a test is about is never a time.
 */
public final class Patience {
  /** The longest that any single wait of a test may take. */
  public static final Duration LONGEST = Duration.ofMinutes(4);

  private Patience() {}

  /** {@link #LONGEST} in milliseconds, as Playwright counts. */
  public static double millis() {
    return LONGEST.toMillis();
  }

  /** {@link #LONGEST} in seconds, with {@link TimeUnit#SECONDS}. */
  public static long seconds() {
    return LONGEST.toSeconds();
  }

  /**
   * Looks again and again until something holds: for what can only be asked, not waited for.
   *
   * @param what is waited for, in words
   * @throws AssertionError when it does not come
   */
  public static void until(String what, Holds holds) {
    long end = System.nanoTime() + LONGEST.toNanos();
    try {
      while (!holds.now()) {
        if (System.nanoTime() > end) {
          throw new AssertionError("waited in vain for " + LONGEST + " until " + what);
        }
        pause();
      }
    } catch (Exception e) {
      throw new AssertionError("while it was waited until " + what, e);
    }
  }

  /** Leaves the processors to whoever does what is waited for. */
  private static void pause() throws InterruptedException {
    Thread.sleep(20);
  }

  /** A question with yes or no for an answer. */
  public interface Holds {
    boolean now() throws Exception;
  }
}
