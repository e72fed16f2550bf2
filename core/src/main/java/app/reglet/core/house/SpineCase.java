package app.reglet.core.house;

import app.reglet.core.book.Specification;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Unit;
import java.util.Set;
import java.util.TreeSet;

/**
 * A spine rule with the papers and inks it holds for. A binding lists its cases; the first that
 * applies is taken.
 *
 * @param stocks ids of papers, empty for all
 * @param inks ids of inside inks, empty for all
 * @param rule how the width is computed
 * @param rounding how the house rounds it
 */
public record SpineCase(Set<String> stocks, Set<String> inks, SpineRule rule, Rounding rounding) {
  public SpineCase {
    stocks = Set.copyOf(stocks);
    inks = Set.copyOf(inks);
  }

  /** Whether this case is meant for the edition's paper and ink. */
  public boolean appliesTo(Specification spec) {
    return (stocks.isEmpty() || stocks.contains(spec.stock()))
        && (inks.isEmpty() || inks.contains(spec.ink()));
  }

  /** {@code pages × 0.002252 in for white, to the nearest 0.01 in}. */
  public String print(Unit unit) {
    return rule.print(unit)
        + (stocks.isEmpty() ? "" : " for " + String.join(", ", new TreeSet<>(stocks)))
        + (inks.isEmpty() ? "" : " in " + String.join(", ", new TreeSet<>(inks)))
        + (rounding.isNone() ? "" : ", " + rounding.print(unit));
  }
}
