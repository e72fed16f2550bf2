package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import java.util.List;

/**
 * A line drawn along an edge.
 *
 * @param paint what it is drawn with
 * @param width above zero
 * @param dashes lengths drawn and left out in turn; empty for a line without gaps
 * @param side of the edge on which it lies
 */
public record Stroke(Paint paint, Length width, List<Length> dashes, Side side) {
  /** Where the line lies. */
  public enum Side {
    INSIDE,
    CENTRED,
    OUTSIDE
  }

  public Stroke {
    dashes = List.copyOf(dashes);
    if (!width.isPositive()) {
      throw new Refusal("A line must be wider than 0; this one would be " + width + ".");
    }
    if (dashes.stream().anyMatch(Length::isNegative)
        || !dashes.isEmpty() && dashes.stream().allMatch(Length::isZero)) {
      throw new Refusal("Dashes and gaps of a line must be above 0.");
    }
  }

  public Stroke withPaint(Paint other) {
    return new Stroke(other, width, dashes, side);
  }

  public Stroke withWidth(Length other) {
    return new Stroke(paint, other, dashes, side);
  }

  public static Stroke plain(Colour colour, Length width) {
    return new Stroke(Paint.of(colour), width, List.of(), Side.CENTRED);
  }
}
