package app.reglet.core.house;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;

/**
 * How far words and faces must keep from each kind of edge.
 *
 * @param trim from a trimmed edge
 * @param fold from a fold, each side
 * @param hinge from a hinge's edge
 * @param drift how far the knife may really go, either way
 */
public record SafeDistances(Length trim, Length fold, Length hinge, Length drift) {
  /** {@code 0.125 in from trim, 0.0625 in from folds; the knife may drift 0.0625 in}. */
  public String print(Unit unit) {
    return trim.print(unit)
        + " from trim"
        + (fold.isPositive() ? ", " + fold.print(unit) + " from folds" : "")
        + (hinge.equals(fold) ? "" : ", " + hinge.print(unit) + " from hinges")
        + (drift.isPositive() ? "; the knife may drift " + drift.print(unit) : "");
  }
}
