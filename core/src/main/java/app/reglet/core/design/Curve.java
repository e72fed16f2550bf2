package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import java.util.List;

/** The line that words stand on where it is not straight; they are set in one line then. */
public sealed interface Curve {
  <R> R accept(Visitor<R> visitor);

  /** One method for each kind. */
  interface Visitor<R> {
    R arc(Arc arc);

    R along(Along along);
  }

  /**
   * A part of a circle; letters stand upright at its topmost, or undermost, point, which lies on
   * that edge of the box.
   *
   * @param edge of the circle
   * @param side of the circle's line that letters stand on
   * @param by how the circle is measured
   * @param measure its radius, or its sag: how far the circle's line falls from the middle of the
   *     box's width to its sides; without effect where the box measures it
   */
  record Arc(Edge edge, Side side, By by, Length measure) implements Curve {
    /** An arc over the circle that the box holds. */
    public static final Arc USUAL = new Arc(Edge.UPPER, Side.INSIDE, By.BOX, Length.mm("20"));

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.arc(this);
    }
  }

  /** Which edge of a circle. */
  enum Edge {
    UPPER,
    LOWER
  }

  /** Which side of a circle's line. */
  enum Side {
    INSIDE,
    OUTSIDE
  }

  /** What measures a circle. */
  enum By {
    /** The largest circle in the box. */
    BOX,
    RADIUS,
    SAG
  }

  /**
   * A smooth line through points.
   *
   * @param points two or more, of the box, in the order in which the words run
   */
  record Along(List<Figure.Free.Corner> points) implements Curve {
    public Along {
      points = List.copyOf(points);
      if (points.size() < 2 || points.size() > Figure.Free.MOST) {
        throw new Refusal(
            "A line for words goes through 2 to "
                + Figure.Free.MOST
                + " points; this one would have "
                + points.size()
                + ".");
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.along(this);
    }
  }
}
