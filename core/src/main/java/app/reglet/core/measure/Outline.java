package app.reglet.core.measure;

import java.util.List;

/**
 * What something covers on the sheet: convex parts, each a polygon. A turned box, a disc (as a
 * polygon of many sides), the letters of a line (by their convex hull, whose bounds are theirs).
 * Origin top left of the sheet, x right, y down.
 *
 * @param parts each with its corners in order, at least three
 */
public record Outline(List<List<Point>> parts) {
  public static final Outline NOTHING = new Outline(List.of());

  public Outline {
    parts = parts.stream().map(List::copyOf).toList();
    for (List<Point> part : parts) {
      if (part.size() < 3) {
        throw new IllegalArgumentException("a part of an outline needs three corners: " + part);
      }
    }
  }

  /** The outline of an upright box, exactly. */
  public static Outline of(Box b) {
    return new Outline(
        List.of(
            List.of(
                new Point(b.left(), b.top()),
                new Point(b.right(), b.top()),
                new Point(b.right(), b.bottom()),
                new Point(b.left(), b.bottom()))));
  }

  public boolean isEmpty() {
    return parts.isEmpty();
  }

  /**
   * The smallest upright box round it.
   *
   * @throws java.util.NoSuchElementException when it is empty
   */
  public Box bounds() {
    Point first = parts.stream().findFirst().orElseThrow().get(0);
    Length left = first.x();
    Length right = left;
    Length top = first.y();
    Length bottom = top;
    for (List<Point> part : parts) {
      for (Point p : part) {
        left = left.min(p.x());
        right = right.max(p.x());
        top = top.min(p.y());
        bottom = bottom.max(p.y());
      }
    }
    return Box.between(left, top, right, bottom);
  }

  /** Whether it shares an area with a box, deeper than a tolerance. */
  public boolean overlaps(Box box, Length tolerance) {
    return overlaps(of(box), tolerance);
  }

  /** Whether the two share an area, deeper than a tolerance. */
  public boolean overlaps(Outline other, Length tolerance) {
    for (List<Point> a : parts) {
      for (List<Point> b : other.parts) {
        if (!apart(a, b, tolerance) && !apart(b, a, tolerance)) {
          return true;
        }
      }
    }
    return false;
  }

  /**
   * Whether a line along one of the edges of a keeps the two apart (separating axis theorem for
   * convex polygons).
   */
  private static boolean apart(List<Point> a, List<Point> b, Length tolerance) {
    for (int i = 0; i < a.size(); i++) {
      Point from = a.get(i);
      Point to = a.get((i + 1) % a.size());
      double nx = to.y().toMm() - from.y().toMm();
      double ny = from.x().toMm() - to.x().toMm();
      double length = Math.hypot(nx, ny);
      if (length == 0) {
        continue;
      }
      double[] one = along(a, nx / length, ny / length);
      double[] two = along(b, nx / length, ny / length);
      if (Math.min(one[1], two[1]) - Math.max(one[0], two[0]) <= tolerance.toMm()) {
        return true;
      }
    }
    return false;
  }

  private static double[] along(List<Point> part, double nx, double ny) {
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (Point p : part) {
      double at = p.x().toMm() * nx + p.y().toMm() * ny;
      least = Math.min(least, at);
      most = Math.max(most, at);
    }
    return new double[] {least, most};
  }
}
