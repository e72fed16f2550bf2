package app.reglet.core.check;

import app.reglet.core.measure.Length;

/**
 * How near counts as there, for every check: a hundredth of a millimetre. No knife, fold or press
 * holds it, and it is more than what figures lose when they are typed with three decimals or come
 * from outlines. Our own figure.
 */
final class Tolerance {
  static final Length OF_PLACE = Length.mm("0.01");

  private Tolerance() {}

  /** Whether a distance is one that counts. */
  static boolean exceededBy(Length distance) {
    return distance.isMoreThan(OF_PLACE);
  }
}
