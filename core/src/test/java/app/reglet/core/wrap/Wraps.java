package app.reglet.core.wrap;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.Houses;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;

/** Wraps that many tests lay designs on. */
public final class Wraps {
  private Wraps() {}

  /** A paperback of 6 × 9 in on white paper, printed in black. */
  public static Wrap sixByNine(int pages) {
    return Measuring.measure(
        Specification.of(
            Binding.PERFECT_BOUND,
            Size.parse("6 x 9", Unit.IN),
            pages,
            "white",
            "black",
            PageTurn.LTR),
        Houses.GANNET);
  }
}
