package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.house.FileRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import java.util.List;

/**
 * The page of a house that wants it in the size it states: what the rounding adds or takes lies in
 * the bleed (of a case in the turn-in), half on each side, and nothing is scaled. Common practice,
 * no single source.
 */
record StatedPage(RuleSheet house, boolean applies) {
  static StatedPage of(RuleSheet house, Binding binding) {
    return new StatedPage(
        house, house.files().pageSize() == FileRules.PageSize.STATED && !binding.isInPixels());
  }

  /**
   * The margin with what the rounding adds; both sums get it as a term.
   *
   * @throws Refusal when the rounding takes more than there is
   */
  Edges widened(Edges margin, List<Sum.Term> across, List<Sum.Term> down, String edge) {
    if (!applies) {
      return margin;
    }
    Length wide = term(across, edge);
    Length high = term(down, edge);
    Edges widened =
        new Edges(
            margin.top().plus(high.half()),
            margin.right().plus(wide.minus(wide.half())),
            margin.bottom().plus(high.minus(high.half())),
            margin.left().plus(wide.half()));
    for (Length side : List.of(widened.top(), widened.left())) {
      if (side.isNegative()) {
        throw new Refusal(
            "house",
            house.name()
                + " states the sheet smaller than the cover is: its rounding takes more than the "
                + edge
                + ". Its sheet must be mended.");
      }
    }
    return widened;
  }

  /** What the rounding adds to a sum, written into it. */
  Length term(List<Sum.Term> terms, String edge) {
    Length exact = Sum.of("", terms).result();
    Length more = house.files().sheetRounding().apply(exact).minus(exact);
    if (!more.isZero()) {
      terms.add(new Sum.Term(1, more, "rounding, in the " + edge));
    }
    return more;
  }
}
