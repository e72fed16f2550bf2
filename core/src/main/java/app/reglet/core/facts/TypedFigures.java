package app.reglet.core.facts;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.FactLimits;
import java.math.BigInteger;

/** Reads the figures of an edition as typed, each refused with a sentence and a way out. */
final class TypedFigures {
  private TypedFigures() {}

  static Size trim(String typed, Unit unit) {
    Size size = Size.parse(typed, unit);
    if (!size.width().isPositive() || !size.height().isPositive()) {
      throw new Refusal(
          "trim",
          "“" + typed.strip() + "” has a side of zero or less: both sides must be above zero.");
    }
    return size;
  }

  static int spread(String typed, Integer count) {
    if (typed.isBlank()) {
      return 0;
    }
    String digits = typed.strip().replaceAll("^[±+]\\s*", "");
    if (digits.matches("\\p{Nd}{1,5}") && new BigInteger(digits).signum() == 0) {
      return 0;
    }
    int pages = PageCount.parse(digits);
    if (count != null && pages >= count) {
      throw new Refusal(
          "spread",
          "±"
              + pages
              + " is as much as the count itself, "
              + count
              + ": give how far it may really go, such as 16.");
    }
    return pages;
  }

  static Length flap(String typed, Unit unit) {
    if (typed.strip().equalsIgnoreCase("none")) {
      return Length.ZERO;
    }
    Length flap = Length.parse(typed, unit);
    if (flap.isNegative()) {
      throw new Refusal("flaps", "A flap can't be narrower than 0, which is none.");
    }
    if (flap.isMoreThan(FactLimits.LARGEST_TRIM)) {
      throw new Refusal(
          "flaps",
          "A flap of "
              + flap.print(unit)
              + " is wider than any cover: "
              + FactLimits.LARGEST_TRIM.brief(unit)
              + " at most.");
    }
    return flap;
  }

  static Length told(String typed, Unit unit) {
    Length spine = Length.parse(typed, unit);
    if (!spine.isPositive() || spine.isMoreThan(FactLimits.WIDEST_SPINE)) {
      throw new Refusal(
          "told",
          "A spine of "
              + spine.print(unit)
              + " can't be: above 0, at most "
              + FactLimits.WIDEST_SPINE.brief(unit)
              + ".");
    }
    return spine;
  }
}
