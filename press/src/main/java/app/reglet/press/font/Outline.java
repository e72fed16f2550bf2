package app.reglet.press.font;

/**
 * A glyph as TrueType draws it: closed contours of points, quadratic curves where they are off the
 * curve. In font units, y up.
 *
 * @param x of its points
 * @param y of its points
 * @param on whether a point is on the curve
 * @param ends the last point of each contour
 * @param advance to the next glyph
 */
record Outline(double[] x, double[] y, boolean[] on, int[] ends, double advance) {
  static Outline empty(double advance) {
    return new Outline(new double[0], new double[0], new boolean[0], new int[0], advance);
  }

  boolean isEmpty() {
    return x.length == 0;
  }

  Outline movedBy(double dx) {
    if (dx == 0) {
      return this;
    }
    double[] moved = x.clone();
    for (int i = 0; i < moved.length; i++) {
      moved[i] += dx;
    }
    return new Outline(moved, y, on, ends, advance);
  }
}
