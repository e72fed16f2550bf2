package app.reglet.press.picture;

import app.reglet.core.design.CutOut;
import app.reglet.core.design.Figure.Free.Corner;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Outlines of what is above a half in a field, and back. The outline goes between the field's
 * values by marching squares (W. E. Lorensen, H. E. Cline, "Marching cubes", SIGGRAPH 1987, in two
 * dimensions), and loses points that lie within a tolerance of it (D. H. Douglas, T. K. Peucker,
 * 1973).
 */
public final class Contours {
  private static final double HALF = 0.5;

  private Contours() {}

  /**
   * The outlines of a field.
   *
   * @param field values from 0 to 1 at the middles of pixels, row by row
   * @param tolerance in pixels
   * @return in the unit square of the field, those with the most points first
   */
  static List<CutOut.Contour> of(float[] field, int width, int height, double tolerance) {
    List<List<Point2D.Double>> rings = rings(field, width, height);
    double finer = tolerance;
    List<CutOut.Contour> contours;
    do {
      double t = finer;
      contours =
          rings.stream()
              .map(r -> simplified(r, t))
              .filter(r -> r.size() >= 3)
              .sorted(Comparator.comparingInt((List<Point2D.Double> r) -> -r.size()))
              .map(r -> contour(r, width, height))
              .toList();
      finer *= 1.5;
    } while (points(contours) > CutOut.MOST_POINTS);
    return contours;
  }

  private static int points(List<CutOut.Contour> contours) {
    return contours.stream().mapToInt(c -> c.points().size()).sum();
  }

  private static CutOut.Contour contour(List<Point2D.Double> ring, int width, int height) {
    return new CutOut.Contour(
        ring.stream()
            .map(p -> new Corner(within((p.x + HALF) / width), within((p.y + HALF) / height)))
            .toList());
  }

  /** To a ten-thousandth, as documents keep it. */
  private static double within(double share) {
    return Math.round(Math.max(0, Math.min(1, share)) * 10_000) / 10_000.0;
  }

  /** All outlines as one path in the picture's unit square. */
  public static Path2D path(List<CutOut.Contour> contours) {
    Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
    for (CutOut.Contour c : contours) {
      boolean first = true;
      for (Corner p : c.points()) {
        if (first) {
          path.moveTo(p.x(), p.y());
        } else {
          path.lineTo(p.x(), p.y());
        }
        first = false;
      }
      path.closePath();
    }
    return path;
  }

  /** A frame of nothing round the field, so that every outline is closed. */
  private static float at(float[] field, int width, int height, int x, int y) {
    return x < 0 || y < 0 || x >= width || y >= height ? 0 : field[y * width + x];
  }

  private static List<List<Point2D.Double>> rings(float[] field, int width, int height) {
    // each edge of the lattice that the outline crosses is left once and entered once
    Map<Long, Long> next = new HashMap<>();
    Map<Long, Point2D.Double> places = new HashMap<>();
    for (int y = -1; y < height; y++) {
      for (int x = -1; x < width; x++) {
        float a = at(field, width, height, x, y);
        float b = at(field, width, height, x + 1, y);
        float c = at(field, width, height, x + 1, y + 1);
        float d = at(field, width, height, x, y + 1);
        int kind =
            (a > HALF ? 1 : 0) | (b > HALF ? 2 : 0) | (c > HALF ? 4 : 0) | (d > HALF ? 8 : 0);
        if (kind == 0 || kind == 15) {
          continue;
        }
        long top = edge(x, y, false);
        long left = edge(x, y, true);
        long bottom = edge(x, y + 1, false);
        long right = edge(x + 1, y, true);
        place(places, top, x + cross(a, b), y);
        place(places, bottom, x + cross(d, c), y + 1.0);
        place(places, left, x, y + cross(a, d));
        place(places, right, x + 1.0, y + cross(b, c));
        // the inside lies to the right of the way
        switch (kind) {
          case 1 -> next.put(left, top);
          case 2 -> next.put(top, right);
          case 3 -> next.put(left, right);
          case 4 -> next.put(right, bottom);
          case 6 -> next.put(top, bottom);
          case 7 -> next.put(left, bottom);
          case 8 -> next.put(bottom, left);
          case 9 -> next.put(bottom, top);
          case 11 -> next.put(bottom, right);
          case 12 -> next.put(right, left);
          case 13 -> next.put(right, top);
          case 14 -> next.put(top, left);
          case 5 -> {
            next.put(left, top);
            next.put(right, bottom);
          }
          default -> {
            next.put(top, right);
            next.put(bottom, left);
          }
        }
      }
    }
    List<List<Point2D.Double>> rings = new ArrayList<>();
    while (!next.isEmpty()) {
      List<Point2D.Double> ring = new ArrayList<>();
      Long at = next.keySet().iterator().next();
      while (at != null) {
        ring.add(places.get(at));
        at = next.remove(at);
      }
      ring.remove(ring.size() - 1); // the first again
      rings.add(ring);
    }
    return rings;
  }

  private static long edge(int x, int y, boolean down) {
    return ((long) (y + 1) << 32 | (x + 1)) * 2 + (down ? 1 : 0);
  }

  private static void place(Map<Long, Point2D.Double> places, long edge, double x, double y) {
    places.put(edge, new Point2D.Double(x, y));
  }

  /** Where a value between two is a half. */
  private static double cross(float from, float to) {
    return from == to ? HALF : Math.max(0, Math.min(1, (HALF - from) / (to - from)));
  }

  private static List<Point2D.Double> simplified(List<Point2D.Double> ring, double tolerance) {
    if (ring.size() < 4) {
      return ring;
    }
    // a ring is two lines: from any point to the one farthest from it, and back
    int far = 0;
    for (int i = 1; i < ring.size(); i++) {
      if (ring.get(i).distance(ring.get(0)) > ring.get(far).distance(ring.get(0))) {
        far = i;
      }
    }
    boolean[] kept = new boolean[ring.size() + 1];
    List<Point2D.Double> closed = new ArrayList<>(ring);
    closed.add(ring.get(0));
    kept[0] = true;
    kept[far] = true;
    keep(closed, 0, far, tolerance, kept);
    keep(closed, far, ring.size(), tolerance, kept);
    List<Point2D.Double> out = new ArrayList<>();
    for (int i = 0; i < ring.size(); i++) {
      if (kept[i]) {
        out.add(ring.get(i));
      }
    }
    return out;
  }

  private static void keep(
      List<Point2D.Double> line, int from, int to, double tolerance, boolean[] kept) {
    double most = tolerance;
    int farthest = -1;
    Point2D.Double a = line.get(from);
    Point2D.Double b = line.get(to);
    for (int i = from + 1; i < to; i++) {
      double away =
          java.awt.geom.Line2D.ptSegDist(a.x, a.y, b.x, b.y, line.get(i).x, line.get(i).y);
      if (away > most) {
        most = away;
        farthest = i;
      }
    }
    if (farthest >= 0) {
      kept[farthest] = true;
      keep(line, from, farthest, tolerance, kept);
      keep(line, farthest, to, tolerance, kept);
    }
  }
}
