package app.reglet.web.titles;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/** The values asked for latest, by name; what was not asked for longest is forgotten. */
public final class Latest<V> {
  private final Map<String, V> kept;

  /**
   * @param most how many are kept
   */
  public Latest(int most) {
    this.kept =
        new LinkedHashMap<>(16, 0.75f, true) {
          private static final long serialVersionUID = 1L;

          @Override
          protected boolean removeEldestEntry(Map.Entry<String, V> eldest) {
            return size() > most;
          }
        };
  }

  /** The value; null when it is not kept. */
  synchronized V get(String key) {
    return kept.get(key);
  }

  synchronized void put(String key, V value) {
    kept.put(key, value);
  }

  /** The value, made when it is not kept. */
  public V computeIfAbsent(String key, Function<String, V> making) {
    V value = get(key);
    if (value == null) {
      value = making.apply(key);
      put(key, value);
    }
    return value;
  }
}
