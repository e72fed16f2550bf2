package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;

/** A closed form drawn in the box of its piece. */
public sealed interface Figure {
  /**
   * The box itself.
   *
   * @param radius of its corners; what the box has no room for is left off
   */
  record Rectangle(Length radius) implements Figure {
    public Rectangle {
      if (radius.isNegative()) {
        throw new Refusal("A corner's radius is 0 or more; this would be " + radius + ".");
      }
    }
  }

  /** The ellipse that touches the box on four sides. */
  record Ellipse() implements Figure {}

  Figure RECTANGLE = new Rectangle(Length.ZERO);
}
