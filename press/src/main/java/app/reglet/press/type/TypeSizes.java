package app.reglet.press.type;

import app.reglet.core.design.DesignLimits;
import java.util.function.DoublePredicate;

/** Looks for the largest size of type that fits, in tenths of a point. */
public final class TypeSizes {
  private static final double MM_PER_POINT = 25.4 / 72;
  private static final double STEP = 0.1 * MM_PER_POINT;
  private static final int LEAST_STEP =
      (int) Math.ceil(DesignLimits.LEAST_FITTED_TYPE.toMm() / STEP);

  /** The largest size words are set in, mm. */
  public static final double LARGEST = DesignLimits.MOST_TYPE.toMm();

  private TypeSizes() {}

  /**
   * The largest size up to one that passes, in tenths of a point below it.
   *
   * @param most mm
   * @param fits passes for small sizes and fails for large ones
   */
  public static double largest(double most, DoublePredicate fits) {
    return fits.test(most)
        ? most
        : Math.min(last(LEAST_STEP, (int) Math.floor(most / STEP), fits) * STEP, most);
  }

  /** As that, where something quick tells that most sizes can't pass: few are really tried. */
  static double largest(double most, DoublePredicate can, DoublePredicate fits) {
    if (can.test(most) && fits.test(most)) {
      return most;
    }
    int high = last(LEAST_STEP, (int) Math.floor(most / STEP), can);
    int low = high;
    for (int less = 1; low > LEAST_STEP && !fits.test(low * STEP); less *= 2) {
      high = low - 1;
      low = Math.max(LEAST_STEP, low - less);
    }
    return Math.min(last(low, high, fits) * STEP, most);
  }

  /** The last step that passes of those up to one, or the first where none does. */
  private static int last(int first, int last, DoublePredicate fits) {
    int low = first;
    int high = last;
    while (low < high) {
      int mid = (low + high + 1) / 2;
      if (fits.test(mid * STEP)) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    return low;
  }
}
