package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;

/**
 * How near counts as there, for every check: a hundredth of a millimetre. No knife, fold or press
 * holds it, and it is more than what figures lose when they are typed with three decimals or come
 * from outlines. Our own figure.
 */
public final class Tolerance {
  public static final Length OF_PLACE = Length.mm("0.01");

  private Tolerance() {}

  /** Whether a distance is one that counts. */
  static boolean exceededBy(Length distance) {
    return distance.isMoreThan(OF_PLACE);
  }

  /** Whether something stands in a box by more than counts. */
  static boolean overlaps(Outline outline, Box box) {
    return outline.overlaps(box, OF_PLACE);
  }

  /** Whether two things share more than counts. */
  static boolean overlap(Outline a, Outline b) {
    return a.overlaps(b, OF_PLACE);
  }
}
