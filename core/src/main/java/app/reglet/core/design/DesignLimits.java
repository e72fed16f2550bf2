package app.reglet.core.design;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;

/** The smallest and largest that a design holds, for every piece and every way to change it. */
public final class DesignLimits {
  /** The narrowest a piece may be made by hand. */
  public static final Length LEAST_PIECE = Length.of(1, Unit.MM);

  /** The smallest type that may be asked for. */
  public static final Length LEAST_TYPE = Length.of(3, Unit.PT);

  /** The largest. */
  public static final Length MOST_TYPE = Length.of(800, Unit.PT);

  /** The smallest that fitting makes words; below it they no longer fit. */
  public static final Length LEAST_FITTED_TYPE = Length.of(4, Unit.PT);

  /** Most features of a font that are put to use at once. */
  public static final int MOST_FORMS = 6;

  /** Most characters of one piece of words. */
  public static final int LONGEST_TEXT = 20_000;

  private DesignLimits() {}
}
