package app.reglet.core.house;

import app.reglet.core.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** What is wrong with a document, gathered while the rest of it is read on. */
final class Faults {
  private final List<Refusal> found = new ArrayList<>();

  /** Reads one part; what is wrong with it is noted, and the other value taken. */
  <T> T read(Supplier<T> reading, T otherwise) {
    try {
      return reading.get();
    } catch (Refusal r) {
      found.add(r);
      return otherwise;
    }
  }

  /** Does something that may find a fault. */
  void check(Runnable checking) {
    read(
        () -> {
          checking.run();
          return null;
        },
        null);
  }

  void add(Refusal fault) {
    found.add(fault);
  }

  int count() {
    return found.size();
  }

  List<Refusal> all() {
    return List.copyOf(found);
  }
}
