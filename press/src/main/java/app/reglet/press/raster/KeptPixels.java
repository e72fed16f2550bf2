package app.reglet.press.raster;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** Decoded pictures that are drawn again and again: those drawn last are kept, so many pixels. */
final class KeptPixels<V> {
  private final long most;
  private final Map<String, Kept<V>> kept = new LinkedHashMap<>(16, 0.75f, true);

  private record Kept<V>(V value, long pixels) {}

  /**
   * @param most pixels that are kept together
   */
  KeptPixels(long most) {
    this.most = most;
  }

  /** One of them, made when it is not there; what gives way for it is let go of before. */
  synchronized V of(String key, long pixels, Supplier<V> making) {
    Kept<V> there = kept.get(key);
    if (there == null) {
      makeRoom(pixels);
      there = new Kept<>(making.get(), pixels);
      kept.put(key, there);
    }
    return there.value();
  }

  private void makeRoom(long wanted) {
    long there = kept.values().stream().mapToLong(Kept::pixels).sum();
    Iterator<Kept<V>> eldest = kept.values().iterator();
    while (there + wanted > most && eldest.hasNext()) {
      there -= eldest.next().pixels();
      eldest.remove();
    }
  }
}
