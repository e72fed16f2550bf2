package app.reglet.web.store;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

/**
 * What the database says, read once and kept in memory until it is changed. What was being read
 * while it changed is not kept: it may be from before the change.
 */
public final class Remembered<T> {
  private record Kept<T>(int change, T value) {}

  private final AtomicInteger changes = new AtomicInteger();
  private final Supplier<T> reading;
  private volatile Kept<T> kept;

  /**
   * @param reading of what is kept; it is asked again after each change
   */
  public Remembered(Supplier<T> reading) {
    this.reading = reading;
  }

  public T get() {
    Kept<T> now = kept;
    int change = changes.get();
    if (now == null || now.change() != change) {
      now = new Kept<>(change, reading.get());
      kept = now;
    }
    return now.value();
  }

  /** It is another from now on; told once the change is there for good. */
  public void changed() {
    changes.incrementAndGet();
  }
}
