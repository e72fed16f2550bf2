package app.reglet.testing;

import java.util.ArrayList;
import java.util.List;

/**
 * How much of a long test runs. {@code ./reglet test --long} runs all of it, {@code ./reglet test}
 * a spread: the same checks on fewer cases, taken evenly over all of them.
 */
public final class Extent {
  /** The TestNG group of tests that run in {@code ./reglet test --long} alone. */
  public static final String LONG = "long";

  private static final boolean WHOLE = Boolean.getBoolean("reglet.test.long");

  private Extent() {}

  /** Whether the run is asked for everything ({@code ./reglet test --long}). */
  public static boolean whole() {
    return WHOLE;
  }

  /** How many rounds a test makes: so many in all, or few of them. */
  public static int rounds(int few, int all) {
    return WHOLE ? all : few;
  }

  /** All cases, or about so many of them, evenly spread, the first and the last among them. */
  public static <T> List<T> of(int few, List<T> all) {
    if (WHOLE || few >= all.size()) {
      return all;
    }
    List<T> spread = new ArrayList<>();
    for (int i = 0; i < few; i++) {
      spread.add(all.get(few == 1 ? 0 : (int) ((long) i * (all.size() - 1) / (few - 1))));
    }
    return spread;
  }

  /** The same for the rows of a data provider. */
  public static Object[][] of(int few, Object[][] all) {
    return of(few, List.of(all)).toArray(Object[][]::new);
  }
}
