package app.reglet.core.edit;

import app.reglet.core.design.Design;
import app.reglet.core.design.Rewriting;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.function.UnaryOperator;

/**
 * A design for a cover so many times as large: what is measured in pixels has no size of its own,
 * so type and distances go with the cover, by the lesser of the two ratios of its sides.
 */
public final class Scaling {
  private Scaling() {}

  /** The design of a cover that had one size, on a cover of another. */
  public static Design of(Design design, Size from, Size to) {
    boolean byWidth =
        to.width().toMm() / from.width().toMm() <= to.height().toMm() / from.height().toMm();
    Length by = byWidth ? to.width() : to.height();
    Length over = byWidth ? from.width() : from.height();
    UnaryOperator<Length> scaled = l -> l.times(by, over);
    return new Design(
        design.palette(),
        Rewriting.sized(design.outside(), scaled),
        Rewriting.sized(design.inside(), scaled));
  }
}
