package app.reglet.press.compose;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.type.Hull;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/** What shapes cover, as outlines for the checks. */
final class Outlines {
  /** Curves are followed to a micrometre. */
  private static final double FLATNESS = 0.001;

  private Outlines() {}

  /** A box as it is turned; exact when it isn't. */
  static Outline of(Box box, AffineTransform toSheet) {
    if (toSheet.isIdentity()) {
      return Outline.of(box);
    }
    double[] c = corners(box, toSheet);
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 8; i += 2) {
      points.add(new Point(Length.nearMm(c[i]), Length.nearMm(c[i + 1])));
    }
    return new Outline(List.of(points));
  }

  /** The corners of a box on the sheet: top left, top right, bottom right, bottom left. */
  static double[] corners(Box box, AffineTransform toSheet) {
    double l = box.left().toMm();
    double t = box.top().toMm();
    double r = box.right().toMm();
    double b = box.bottom().toMm();
    double[] c = {l, t, r, t, r, b, l, b};
    toSheet.transform(c, 0, c, 0, 4);
    return c;
  }

  /** The convex hull of a shape; nothing when it has no area. */
  static Outline hull(Shape shape, AffineTransform toSheet) {
    List<Point> hull = new ArrayList<>();
    double[] points = Hull.of(shape, FLATNESS);
    if (points.length < 6) {
      return Outline.NOTHING;
    }
    double[] there = new double[points.length];
    toSheet.transform(points, 0, there, 0, points.length / 2);
    for (int i = 0; i < there.length; i += 2) {
      hull.add(new Point(Length.nearMm(there[i]), Length.nearMm(there[i + 1])));
    }
    return new Outline(List.of(hull));
  }
}
