package app.reglet.core.wrap;

import app.reglet.core.book.Specification;
import app.reglet.core.house.SpineCase;
import app.reglet.core.house.SpineRule;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;

/**
 * The width of a spine, as computed and as the house rounds it. The sheet is measured with the
 * stated width, since that is the spine the house makes.
 *
 * @param exact before the house's rounding
 * @param stated after it
 * @param by the rule it comes from
 * @param spec the facts it was computed for
 * @param bound the sides that are bound: the pages, and a blank one where the house adds it
 */
public record SpineWidth(Length exact, Length stated, SpineCase by, Specification spec, int bound) {
  static SpineWidth of(SpineCase by, Specification spec, int bound) {
    Length exact = by.rule().exact(spec.withPages(bound));
    return new SpineWidth(exact, by.rounding().apply(exact), by, spec, bound);
  }

  /** {@code 100 × 0.002252 = 0.2252 in}, with the rounding where the house rounds. */
  public String print(Unit unit) {
    if (by.rule() instanceof SpineRule.None) {
      return "none";
    }
    String sum =
        (bound == spec.pages()
                ? ""
                : spec.pages() + " pages + " + (bound - spec.pages()) + " blank = " + bound + "; ")
            + by.rule().working(spec.withPages(bound), unit)
            + (exact.isExactIn(unit, 6) ? " = " : " ≈ ")
            + exact.print(unit);
    return by.rounding().isNone() || exact.equals(stated)
        ? sum
        : sum + ", " + by.rounding().print(unit) + ": " + stated.print(unit);
  }
}
