package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import java.util.List;

/** A form drawn in the box of its piece. */
public sealed interface Figure {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R rectangle(Rectangle figure);

    R ellipse(Ellipse figure);

    R regular(Regular figure);

    R free(Free figure);

    R line(Line figure);
  }

  /** Whether it has an inside that can be filled. */
  default boolean isClosed() {
    return true;
  }

  /**
   * The box itself. Where two corners of a side have no room for their radii, all four are made
   * smaller by one factor (the construction of W3C CSS Backgrounds 3, 4.5).
   *
   * @param topLeft radius of this corner, 0 for a square one
   * @param topRight of this one
   * @param bottomRight of this one
   * @param bottomLeft of this one
   */
  record Rectangle(Length topLeft, Length topRight, Length bottomRight, Length bottomLeft)
      implements Figure {
    public Rectangle {
      for (Length radius : List.of(topLeft, topRight, bottomRight, bottomLeft)) {
        if (radius.isNegative()) {
          throw new Refusal("A corner's radius is 0 or more; this would be " + radius + ".");
        }
      }
    }

    /** All corners alike. */
    public Rectangle(Length radius) {
      this(radius, radius, radius, radius);
    }

    /** The radii, clockwise from the top left. */
    public List<Length> radii() {
      return List.of(topLeft, topRight, bottomRight, bottomLeft);
    }

    /** Whether all corners are alike. */
    public boolean isEven() {
      return radii().stream().distinct().count() == 1;
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

  /**
   * A regular polygon whose corners lie on the ellipse in the box, the first at its top; or a star.
   *
   * @param corners how many, 3 to 60
   * @param notch how far the middle of each side is drawn in towards the centre, as a share of the
   *     way from the ellipse: 0 for a polygon, up to 0.95 for a star
   */
  record Regular(int corners, double notch) implements Figure {
    public static final int FEWEST = 3;
    public static final int MOST = 60;
    public static final double DEEPEST = 0.95;

    public Regular {
      if (corners < FEWEST || corners > MOST) {
        throw new Refusal(
            "A polygon has "
                + FEWEST
                + " to "
                + MOST
                + " corners; this one would have "
                + corners
                + ".");
      }
      if (!(notch >= 0 && notch <= DEEPEST)) {
        throw new Refusal(
            "A star's notches are 0 to 95 % deep; these would be " + notch * 100 + " %.");
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.regular(this);
    }
  }

  /**
   * A polygon of any corners, closed from the last to the first; what it goes round twice is out of
   * it.
   *
   * @param corners at least three
   */
  record Free(List<Corner> corners) implements Figure {
    /** More would be a drawing: an ornament. */
    public static final int MOST = 400;

    /**
     * A corner.
     *
     * @param x share of the box's width from its left, 0 to 1
     * @param y share of its height from its top, 0 to 1
     */
    public record Corner(double x, double y) {
      public Corner {
        if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
          throw new Refusal(
              "A corner lies in the piece's box, from 0 to 100 % across and down; one would be at "
                  + x * 100
                  + " %, "
                  + y * 100
                  + " %.");
        }
      }
    }

    public Free {
      corners = List.copyOf(corners);
      if (corners.size() < 3 || corners.size() > MOST) {
        throw new Refusal(
            "A polygon has 3 to " + MOST + " corners; this one would have " + corners.size() + ".");
      }
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.free(this);
    }
  }

  /**
   * A straight line through the box.
   *
   * @param way how it runs
   */
  record Line(Way way) implements Figure {
    /** How a line runs. */
    public enum Way {
      /** Along the middle of the height. */
      LEVEL,
      /** Along the middle of the width. */
      UPRIGHT,
      /** From the top left to the bottom right. */
      FALLING,
      /** From the bottom left to the top right. */
      RISING
    }

    @Override
    public boolean isClosed() {
      return false;
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.line(this);
    }
  }

  Figure RECTANGLE = new Rectangle(Length.ZERO);
}
