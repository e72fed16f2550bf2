package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;

/** A closed form drawn in the box of its piece. */
public sealed interface Figure {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R rectangle(Rectangle figure);

    R ellipse(Ellipse figure);
  }

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

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.rectangle(this);
    }
  }

  /** The ellipse that touches the box on four sides. */
  record Ellipse() implements Figure {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.ellipse(this);
    }
  }

  Figure RECTANGLE = new Rectangle(Length.ZERO);
}
