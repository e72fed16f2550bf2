package app.reglet.core.measure;

/**
 * An upright rectangle on the sheet, origin top left of the sheet, x to the right, y down.
 *
 * @param x left edge
 * @param y top edge
 * @param width not negative
 * @param height not negative
 */
public record Box(Length x, Length y, Length width, Length height) {
  public Box {
    if (width.isNegative() || height.isNegative()) {
      throw new IllegalArgumentException(
          "A box can't have a negative side: " + width + " × " + height);
    }
  }

  /** The box between two edges across and two down. */
  public static Box between(Length left, Length top, Length right, Length bottom) {
    return new Box(left, top, right.minus(left), bottom.minus(top));
  }

  public Length left() {
    return x;
  }

  public Length top() {
    return y;
  }

  public Length right() {
    return x.plus(width);
  }

  public Length bottom() {
    return y.plus(height);
  }

  public Length centreX() {
    return x.plus(width.half());
  }

  public Length centreY() {
    return y.plus(height.half());
  }

  public Size size() {
    return new Size(width, height);
  }

  /**
   * The box made smaller by the edges; a side that would be negative becomes zero at its middle.
   */
  public Box inset(Edges e) {
    Length left = left().plus(e.left());
    Length right = right().minus(e.right());
    Length top = top().plus(e.top());
    Length bottom = bottom().minus(e.bottom());
    if (right.isLessThan(left)) {
      left = left.plus(right).half();
      right = left;
    }
    if (bottom.isLessThan(top)) {
      top = top.plus(bottom).half();
      bottom = top;
    }
    return between(left, top, right, bottom);
  }

  /** The box made larger by the edges. */
  public Box outset(Edges e) {
    return between(
        left().minus(e.left()),
        top().minus(e.top()),
        right().plus(e.right()),
        bottom().plus(e.bottom()));
  }

  public Box moved(Length dx, Length dy) {
    return new Box(x.plus(dx), y.plus(dy), width, height);
  }

  /** The box seen in a mirror standing on the middle of a sheet of this width. */
  public Box mirrored(Length sheetWidth) {
    return new Box(sheetWidth.minus(right()), y, width, height);
  }

  public boolean contains(Box o) {
    return contains(o, Length.ZERO);
  }

  /** Whether the other lies inside, give or take a tolerance on each side. */
  public boolean contains(Box o, Length tolerance) {
    return !o.left().plus(tolerance).isLessThan(left())
        && !o.top().plus(tolerance).isLessThan(top())
        && !o.right().minus(tolerance).isMoreThan(right())
        && !o.bottom().minus(tolerance).isMoreThan(bottom());
  }

  /** Whether the two share an area, not only an edge. */
  public boolean overlaps(Box o) {
    return !isEmpty()
        && !o.isEmpty()
        && left().isLessThan(o.right())
        && o.left().isLessThan(right())
        && top().isLessThan(o.bottom())
        && o.top().isLessThan(bottom());
  }

  public boolean isEmpty() {
    return width.isZero() || height.isZero();
  }
}
