package app.reglet.press.vector;

import app.reglet.press.ornament.Tint;
import com.github.weisj.jsvg.paint.impl.RGBColor;
import com.github.weisj.jsvg.renderer.output.impl.GraphicsUtil;
import java.awt.Paint;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.List;

/** Paints as the library hands them over, and gradients as Reglet has them. */
final class Paints {
  private Paints() {}

  /** The paint itself, without what the library puts round it. */
  static Paint unwrapped(Paint paint) {
    Paint inner = paint;
    while (inner instanceof GraphicsUtil.WrappingPaint w) {
      inner = w.paint();
    }
    return inner instanceof RGBColor c ? c.toColor() : inner;
  }

  /**
   * A linear gradient seen through a transform. What has one colour is a line across the axis; the
   * axis of the picture stands across the pictures of those lines, so a skewed one is exact too.
   */
  static Tint linear(
      Point2D from, Point2D to, AffineTransform t, List<Tint.Stop> stops, double opacity) {
    double dx = to.getX() - from.getX();
    double dy = to.getY() - from.getY();
    Point2D a = t.transform(from, null);
    Point2D b = t.transform(to, null);
    Point2D same = t.deltaTransform(new Point2D.Double(-dy, dx), null);
    double nx = same.getY();
    double ny = -same.getX();
    double length = nx * nx + ny * ny;
    if (length == 0) {
      return new Tint.Flat(stops.get(stops.size() - 1).ink(), opacity);
    }
    double along = ((b.getX() - a.getX()) * nx + (b.getY() - a.getY()) * ny) / length;
    return new Tint.Linear(
        a.getX(), a.getY(), a.getX() + along * nx, a.getY() + along * ny, stops, opacity);
  }
}
