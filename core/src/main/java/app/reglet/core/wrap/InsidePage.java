package app.reglet.core.wrap;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;

/** The size of a page of the book block. Formulas: common practice, no single source. */
public final class InsidePage {
  private InsidePage() {}

  /**
   * A page with bleed: on the outer edges only, none at the spine, so W + b × H + 2b. 7.5 × 9.25 in
   * and 0.125 in give 7.625 × 9.5 in.
   */
  public static Size withBleed(Size trim, Length bleed) {
    return new Size(trim.width().plus(bleed), trim.height().plus(bleed.times(2)));
  }
}
