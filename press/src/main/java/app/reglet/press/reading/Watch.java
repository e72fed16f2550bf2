package app.reglet.press.reading;

import com.sun.management.OperatingSystemMXBean;
import java.lang.management.ManagementFactory;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Watches over a reader that may not ask its {@link Budget}, in a process that does nothing else:
 * when the time is over, the reader's own or the whole process's with half as much again (what
 * fills the memory costs the collector's time, not the reader's), something is done about it, once.
 */
public final class Watch implements AutoCloseable {
  private static final Duration GRACE = Duration.ofMillis(400);
  private static final long EVERY_MS = 50;

  private final AtomicBoolean over = new AtomicBoolean();
  private volatile boolean late;

  private Watch() {}

  /**
   * Begins to watch; ends when it is closed.
   *
   * @param late what to do, from a thread of the watch's own
   */
  public static Watch over(Budget budget, Runnable late) {
    Watch watch = new Watch();
    OperatingSystemMXBean system = ManagementFactory.getPlatformMXBean(OperatingSystemMXBean.class);
    long before = system.getProcessCpuTime();
    Thread thread =
        new Thread(
            () -> {
              while (!watch.over.get()) {
                try {
                  if (isLate(budget, system.getProcessCpuTime() - before)
                      && watch.over.compareAndSet(false, true)) {
                    late.run();
                    return;
                  }
                  Thread.sleep(EVERY_MS);
                } catch (OutOfMemoryError e) {
                  // the reader filled it, and is told so itself
                } catch (InterruptedException e) {
                  return;
                }
              }
            },
            "watch");
    thread.setDaemon(true);
    thread.start();
    return watch;
  }

  private static boolean isLate(Budget budget, long processNanos) {
    long most = budget.time().toNanos() * 3 / 2 + GRACE.toNanos();
    return processNanos > most || budget.isOver(GRACE);
  }

  @Override
  public void close() {
    late |= !over.compareAndSet(false, true);
  }

  /** Once closed: whether it was too late, and what is done about that is under way. */
  public boolean wasLate() {
    return late;
  }
}
