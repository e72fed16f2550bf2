package app.reglet.core.compare;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/**
 * What a page count that isn't final leaves open: the sheet at the smallest and at the largest
 * count it may become.
 *
 * @param least the sheet at the smallest count; empty when that can't be measured
 * @param likely the sheet at the count given
 * @param most the sheet at the largest count; empty when that can't be measured
 * @param plusMinus how far the count may go either way
 */
public record Spread(Optional<Wrap> least, Wrap likely, Optional<Wrap> most, int plusMinus) {

  /**
   * Measures the spread of a count.
   *
   * @param plusMinus pages either way, above zero
   */
  public static Spread of(Specification spec, int plusMinus, RuleSheet house) {
    return new Spread(
        measured(spec, spec.pages() - plusMinus, house),
        Measuring.measure(spec, house),
        measured(spec, spec.pages() + plusMinus, house),
        plusMinus);
  }

  private static Optional<Wrap> measured(Specification spec, int pages, RuleSheet house) {
    try {
      return Optional.of(Measuring.measure(spec.withPages(pages), house));
    } catch (Refusal r) {
      return Optional.empty();
    }
  }

  /** How much narrower the spine may get; empty when the smallest count can't be measured. */
  public Optional<Length> narrower() {
    return least.map(w -> likely.spine().stated().minus(w.spine().stated()));
  }

  /** How much wider the spine may get; empty when the largest count can't be measured. */
  public Optional<Length> wider() {
    return most.map(w -> w.spine().stated().minus(likely.spine().stated()));
  }

  /** {@code ±16 pages: spine ±0.036 in}, or both figures where they differ. */
  public String print(Unit unit) {
    String pages = "±" + plusMinus + (plusMinus == 1 ? " page" : " pages");
    if (narrower().isPresent() && narrower().equals(wider())) {
      return pages + ": spine ±" + narrower().get().brief(unit);
    }
    return pages
        + ": spine "
        + narrower().map(l -> "−" + l.brief(unit)).orElse("not measurable below")
        + ", "
        + wider().map(l -> "+" + l.brief(unit)).orElse("not measurable above");
  }
}
