package app.reglet.web.titles;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;

/**
 * The values asked for latest, by name, each made once though it is asked for twice at a time; what
 * was not asked for longest is forgotten.
 */
public final class Latest<V> {
  private final Map<String, CompletableFuture<V>> kept;

  /**
   * @param most how many are kept
   */
  public Latest(int most) {
    this.kept =
        new LinkedHashMap<>(16, 0.75f, true) {
          private static final long serialVersionUID = 1L;

          @Override
          protected boolean removeEldestEntry(Map.Entry<String, CompletableFuture<V>> eldest) {
            return size() > most;
          }
        };
  }

  /** The value; null when it is not there. */
  public synchronized V get(String key) {
    CompletableFuture<V> value = kept.get(key);
    return value == null || value.isCompletedExceptionally() ? null : value.getNow(null);
  }

  synchronized void put(String key, V value) {
    kept.put(key, CompletableFuture.completedFuture(value));
  }

  /** The value, made when it is not kept; what the making throws is thrown, and nothing kept. */
  public V computeIfAbsent(String key, Function<String, V> making) {
    CompletableFuture<V> own = new CompletableFuture<>();
    CompletableFuture<V> value;
    synchronized (this) {
      value = kept.get(key);
      if (value == null) {
        kept.put(key, own);
      }
    }
    return value == null ? made(key, making, own) : awaited(value);
  }

  private V made(String key, Function<String, V> making, CompletableFuture<V> own) {
    try {
      own.complete(making.apply(key));
      return own.join();
    } catch (RuntimeException | Error e) {
      synchronized (this) {
        kept.remove(key, own);
      }
      own.completeExceptionally(e);
      throw e;
    }
  }

  private static <V> V awaited(CompletableFuture<V> value) {
    try {
      return value.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof RuntimeException r) {
        throw r;
      }
      throw e;
    }
  }
}
