package app.reglet.web.carry;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;

/** Answers what is asked twice as it was answered first: who presses a button twice means once. */
final class Once {
  private static final int MOST_KEPT = 500;

  private final Map<String, CompletableFuture<Long>> answers =
      new LinkedHashMap<>(16, 0.75f, false) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, CompletableFuture<Long>> eldest) {
          return size() > MOST_KEPT;
        }
      };

  /**
   * The answer to a question.
   *
   * @param word of the question; what has none is asked for the first time
   */
  Long answer(String word, Supplier<Long> making) {
    if (word.isBlank()) {
      return making.get();
    }
    CompletableFuture<Long> mine = new CompletableFuture<>();
    CompletableFuture<Long> first;
    synchronized (answers) {
      first = answers.putIfAbsent(word, mine);
    }
    if (first != null) {
      Long made = first.join();
      return made != null ? made : making.get();
    }
    Long made = null;
    try {
      made = making.get();
      return made;
    } finally {
      if (made == null) {
        synchronized (answers) {
          answers.remove(word); // it failed: the next one tries again
        }
      }
      mine.complete(made);
    }
  }
}
