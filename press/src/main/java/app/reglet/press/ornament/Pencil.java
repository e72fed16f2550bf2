package app.reglet.press.ornament;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/** Draws an ornament: areas and lines, turned and repeated; lines become areas. */
final class Pencil {
  private final List<Ornament.Part> parts = new ArrayList<>();
  private AffineTransform at = new AffineTransform();
  private int colour;

  /** What comes is drawn in this of its colours. */
  Pencil in(int which) {
    colour = which;
    return this;
  }

  /** What comes is drawn so. */
  Pencil at(AffineTransform transform) {
    at = transform;
    return this;
  }

  Pencil fill(Shape shape) {
    Area area = new Area(at.createTransformedShape(shape));
    parts.add(new Ornament.Area(new Path2D.Double(area), colour));
    return this;
  }

  /** A line with round ends. */
  Pencil line(double width, Shape path) {
    return fill(
        new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
            .createStrokedShape(path));
  }

  Pencil dot(double x, double y, double radius) {
    return fill(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
  }

  Pencil ring(double x, double y, double radius, double width) {
    return line(width, new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
  }

  /** So many times round a point, as drawn by another pencil that knows the turn. */
  Pencil round(int times, double x, double y, java.util.function.Consumer<Pencil> how) {
    for (int i = 0; i < times; i++) {
      at(AffineTransform.getRotateInstance(2 * Math.PI * i / times, x, y));
      how.accept(this);
    }
    return at(new AffineTransform());
  }

  Ornament done(String id, String name, String family, double width, double height) {
    return new Ornament(id, name, family, width, height, parts);
  }

  /** {@code M x y C x1 y1 x2 y2 x y Z}, absolute, as in SVG paths. */
  static Path2D path(String d) {
    Path2D path = new Path2D.Double();
    String[] t = d.strip().split("[\\s,]+");
    int i = 0;
    while (i < t.length) {
      switch (t[i]) {
        case "M" -> path.moveTo(n(t, i + 1), n(t, i + 2));
        case "L" -> path.lineTo(n(t, i + 1), n(t, i + 2));
        case "Q" -> path.quadTo(n(t, i + 1), n(t, i + 2), n(t, i + 3), n(t, i + 4));
        case "C" ->
            path.curveTo(
                n(t, i + 1), n(t, i + 2), n(t, i + 3), n(t, i + 4), n(t, i + 5), n(t, i + 6));
        case "Z" -> path.closePath();
        default -> throw new IllegalArgumentException("no path: " + d);
      }
      i +=
          switch (t[i]) {
            case "Z" -> 1;
            case "Q" -> 5;
            case "C" -> 7;
            default -> 3;
          };
    }
    return path;
  }

  private static double n(String[] t, int i) {
    return Double.parseDouble(t[i]);
  }

  /** A leaf from a stem's point, so long and wide, pointing up. */
  static Path2D leaf(double x, double y, double length, double width) {
    Path2D p = new Path2D.Double();
    p.moveTo(x, y);
    p.curveTo(
        x + width * 0.7, y - length * 0.25, x + width * 0.6, y - length * 0.75, x, y - length);
    p.curveTo(x - width * 0.6, y - length * 0.75, x - width * 0.7, y - length * 0.25, x, y);
    p.closePath();
    return p;
  }

  /** A star or polygon round a point, the first corner on top. */
  static Path2D star(int corners, double x, double y, double outer, double inner) {
    Path2D p = new Path2D.Double();
    for (int i = 0; i < 2 * corners; i++) {
      double r = i % 2 == 0 ? outer : inner;
      double a = Math.PI * i / corners;
      double px = x + r * Math.sin(a);
      double py = y - r * Math.cos(a);
      if (i == 0) {
        p.moveTo(px, py);
      } else {
        p.lineTo(px, py);
      }
    }
    p.closePath();
    return p;
  }
}
