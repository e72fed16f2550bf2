package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;

/**
 * How a motif repeats. The lattice lies in the middle of what it fills, so that it stays there when
 * that grows.
 *
 * @param width of the motif; its height follows its proportion
 * @param across clear between two beside each other
 * @param down clear between two below each other
 * @param stagger how rows or columns are set off
 * @param angle of the whole, degrees clockwise
 */
public record Tiling(Length width, Length across, Length down, Stagger stagger, double angle) {
  /** How rows or columns are set off against their neighbours. */
  public enum Stagger {
    NONE,
    /** Every second row by half a step to the right. */
    BRICK,
    /** Every second column by half a step down. */
    HALF_DROP
  }

  /** The smallest motif: below it a sheet would have a hundred thousand. */
  public static final Length LEAST = Length.mm("2");

  /** The largest motif and the largest gap. */
  public static final Length MOST = Length.mm("500");

  public Tiling {
    if (width.isLessThan(LEAST) || width.isMoreThan(MOST)) {
      throw new Refusal(
          "A motif is "
              + LEAST.figure(Unit.MM)
              + " to "
              + MOST.print(Unit.MM)
              + " wide; this would be "
              + width.print(Unit.MM)
              + ".");
    }
    for (Length gap : new Length[] {across, down}) {
      if (gap.isNegative() || gap.isMoreThan(MOST)) {
        throw new Refusal(
            "Between motifs lie 0 to "
                + MOST.print(Unit.MM)
                + "; this would be "
                + gap.print(Unit.MM)
                + ".");
      }
    }
    angle = Placement.turned(angle);
  }
}
