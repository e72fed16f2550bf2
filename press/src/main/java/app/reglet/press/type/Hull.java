package app.reglet.press.type;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Convex hulls of shapes. */
public final class Hull {
  private Hull() {}

  /** The corners of a shape's convex hull, x and y in turn (Andrew's monotone chain). */
  public static double[] of(Shape shape, double flatness) {
    List<double[]> points = new ArrayList<>();
    double[] c = new double[6];
    for (PathIterator p = shape.getPathIterator(null, flatness); !p.isDone(); p.next()) {
      if (p.currentSegment(c) != PathIterator.SEG_CLOSE) {
        points.add(new double[] {c[0], c[1]});
      }
    }
    return of(points);
  }

  /** The corners of the convex hull of points, x and y in turn. */
  public static double[] of(List<double[]> all) {
    List<double[]> points = new ArrayList<>(all);
    points.sort(Comparator.<double[]>comparingDouble(q -> q[0]).thenComparingDouble(q -> q[1]));
    List<double[]> hull = new ArrayList<>();
    for (int pass = 0; pass < 2; pass++) {
      int start = hull.size();
      for (int i = 0; i < points.size(); i++) {
        double[] next = points.get(pass == 0 ? i : points.size() - 1 - i);
        while (hull.size() - start >= 2
            && cross(hull.get(hull.size() - 2), hull.get(hull.size() - 1), next) <= 0) {
          hull.remove(hull.size() - 1);
        }
        hull.add(next);
      }
      if (!hull.isEmpty()) {
        hull.remove(hull.size() - 1);
      }
    }
    double[] out = new double[2 * hull.size()];
    for (int i = 0; i < hull.size(); i++) {
      out[2 * i] = hull.get(i)[0];
      out[2 * i + 1] = hull.get(i)[1];
    }
    return out;
  }

  private static double cross(double[] a, double[] b, double[] c) {
    return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  }
}
