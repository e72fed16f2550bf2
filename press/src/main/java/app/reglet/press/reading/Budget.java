package app.reglet.press.reading;

import app.reglet.core.Refusal;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.Locale;

/**
 * What reading one file may cost: time, objects looked at, bytes read. Every reader of files that
 * people bring asks it as it goes on; a file that would cost more is refused with the figure.
 *
 * <p>Time is the processor's, spent by the thread that made the budget: a sound file is not refused
 * because others keep the machine busy.
 */
public final class Budget {
  /** What an ordinary file of a few megabytes may cost. */
  private static final Duration TIME = Duration.ofSeconds(4);

  private static final long MOST_OBJECTS = 500_000;
  private static final int MOST_READINGS = 40;

  /** A kept file whose rows are taken a few at a time is read from its start many times. */
  private static final int KEPT_READINGS = 400;

  private static final Duration NO_END = Duration.ofDays(365);

  /** Bytes that a picture may unpack to for each further millisecond. */
  private static final long UNPACKED_PER_MS = 150_000;

  /** Bytes after which the time is looked at again. */
  private static final long LOOK = 1 << 12;

  private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

  private final long thread = Thread.currentThread().getId();
  private final long start = System.nanoTime();
  private final long spentBefore = spent(thread);
  private volatile long nanos;
  private final long mostObjects;
  private final long mostBytes;
  private long objects;
  private long bytes;
  private long looked;

  /**
   * A budget.
   *
   * @param time from now on
   * @param mostObjects objects that may be looked at
   * @param mostBytes bytes that may be read, those read again counted again
   */
  public Budget(Duration time, long mostObjects, long mostBytes) {
    this.nanos = time.toNanos();
    this.mostObjects = mostObjects;
    this.mostBytes = mostBytes;
  }

  /** Time for a file: four seconds, and one more for every ten megabytes. */
  public static Duration timeFor(long length) {
    return TIME.plusMillis(length / 10_000);
  }

  /** A budget for a file of so many bytes, begun now. */
  public static Budget forFile(long length) {
    return new Budget(timeFor(length), MOST_OBJECTS, MOST_READINGS * (length + 1_000_000));
  }

  /**
   * A budget for a file that was taken in already: its bytes and objects are counted, its time is
   * not. That it is sound was seen when it came; now its rows are taken one by one by what makes a
   * file or a drawing of them, on the same thread, and that work is ended by whoever ordered it.
   */
  public static Budget forKept(long length) {
    return new Budget(NO_END, MOST_OBJECTS, KEPT_READINGS * (length + 1_000_000));
  }

  /**
   * Gives more time to a picture for its pixels, a second for every 150 megabytes of them.
   *
   * @param bytes that they unpack to, as its head says; the caller has seen that they are no more
   *     than may be
   */
  public void allowUnpacked(long bytes) {
    nanos += Duration.ofMillis(bytes / UNPACKED_PER_MS).toNanos();
  }

  /** Gives as much time as that many files of this one's size have. */
  public void allowParts(int parts) {
    nanos *= parts;
  }

  /**
   * Counts one more object.
   *
   * @throws Refusal when it is one too many, or the time is over
   */
  public void object() {
    if (++objects > mostObjects) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "The file has more than %,d objects, far more than a cover or a book block needs: make it anew and try again.",
              mostObjects));
    }
    expectTime();
  }

  /**
   * Counts bytes that were read.
   *
   * @throws Refusal when they are too many, or the time is over
   */
  public void bytes(long count) {
    bytes += Math.max(0, count);
    if (bytes > mostBytes) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "The file leads in circles: %,d bytes of it were read, and still it is not at its end. Make it anew and try again.",
              bytes));
    }
    if (count <= 0 || bytes - looked >= LOOK) {
      looked = bytes;
      expectTime();
    }
  }

  /**
   * Sees that there is time left.
   *
   * @throws Refusal when there is none, or the thread was asked to stop
   */
  public void expectTime() {
    if (isOver(Duration.ZERO) || Thread.currentThread().isInterrupted()) {
      throw tooLong();
    }
  }

  /** Whether the time and so much more is over; may be asked by any thread. */
  boolean isOver(Duration grace) {
    long most = nanos + grace.toNanos();
    return System.nanoTime() - start > most && spent(thread) - spentBefore > most;
  }

  /** How much time there is in all. */
  Duration time() {
    return Duration.ofNanos(nanos);
  }

  /** Nanoseconds of a processor that a thread has had; zero once it is gone. */
  private static long spent(long thread) {
    return Math.max(0, THREADS.getThreadCpuTime(thread));
  }

  /** What is said of a file that takes longer than this. */
  public Refusal tooLong() {
    return tooLong(time());
  }

  /** What is said of a file that takes longer than it may. */
  public static Refusal tooLong(Duration time) {
    return new Refusal(
        "file",
        String.format(
            Locale.ROOT,
            "The file takes more than %.0f seconds to read, longer than any sound file of its size: make it anew and try again.",
            time.toMillis() / 1000.0));
  }
}
