package app.reglet.press.compose;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * What a polygon covers that is not convex, or goes over itself, as convex parts: cut into level
 * strips at every corner and crossing, in each of which its sides bound trapezes (the usual
 * decomposition of computational geometry; what is gone round twice is out).
 */
final class Trapezes {
  private Trapezes() {}

  private record Side(double x1, double y1, double x2, double y2) {
    double at(double y) {
      return x1 + (x2 - x1) * (y - y1) / (y2 - y1);
    }
  }

  static Outline of(Shape polygon, AffineTransform toSheet) {
    List<Side> sides = sides(polygon);
    TreeSet<Double> cuts = new TreeSet<>();
    for (int i = 0; i < sides.size(); i++) {
      Side a = sides.get(i);
      cuts.add(a.y1());
      cuts.add(a.y2());
      for (int j = 0; j < i; j++) {
        crossing(a, sides.get(j), cuts);
      }
    }
    List<List<Point>> parts = new ArrayList<>();
    Double top = null;
    for (Double bottom : cuts) {
      if (top != null && bottom - top > 1e-9) {
        strip(sides, top, bottom, toSheet, parts);
      }
      top = bottom;
    }
    return new Outline(parts);
  }

  private static void strip(
      List<Side> all, double top, double bottom, AffineTransform to, List<List<Point>> parts) {
    double middle = (top + bottom) / 2;
    List<Side> through =
        all.stream()
            .filter(s -> s.y1() < middle && s.y2() > middle)
            .sorted(Comparator.comparingDouble(s -> s.at(middle)))
            .toList();
    for (int i = 0; i + 1 < through.size(); i += 2) {
      Side a = through.get(i);
      Side b = through.get(i + 1);
      double[] c = {a.at(top), top, b.at(top), top, b.at(bottom), bottom, a.at(bottom), bottom};
      to.transform(c, 0, c, 0, 4);
      List<Point> part = new ArrayList<>();
      for (int k = 0; k < 8; k += 2) {
        part.add(new Point(Length.nearMm(c[k]), Length.nearMm(c[k + 1])));
      }
      parts.add(part);
    }
  }

  /** The height where two sides cross, if they do. */
  private static void crossing(Side a, Side b, TreeSet<Double> cuts) {
    double ax = a.x2() - a.x1();
    double ay = a.y2() - a.y1();
    double bx = b.x2() - b.x1();
    double by = b.y2() - b.y1();
    double d = ax * by - ay * bx;
    if (d == 0) {
      return;
    }
    double t = ((b.x1() - a.x1()) * by - (b.y1() - a.y1()) * bx) / d;
    double u = ((b.x1() - a.x1()) * ay - (b.y1() - a.y1()) * ax) / d;
    if (t > 0 && t < 1 && u > 0 && u < 1) {
      cuts.add(a.y1() + t * ay);
    }
  }

  /** The sides that are not level, each from its upper end. */
  private static List<Side> sides(Shape polygon) {
    List<Side> sides = new ArrayList<>();
    double[] c = new double[6];
    double[] first = {0, 0};
    double[] last = {0, 0};
    for (PathIterator p = polygon.getPathIterator(null, 0.02); !p.isDone(); p.next()) {
      int kind = p.currentSegment(c);
      double[] now = kind == PathIterator.SEG_CLOSE ? first : new double[] {c[0], c[1]};
      if (kind == PathIterator.SEG_MOVETO) {
        first = now;
      } else if (now[1] != last[1]) {
        boolean down = now[1] > last[1];
        double[] from = down ? last : now;
        double[] to = down ? now : last;
        sides.add(new Side(from[0], from[1], to[0], to[1]));
      }
      last = now;
    }
    return sides;
  }
}
