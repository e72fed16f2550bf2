package app.reglet.press.compose;

import app.reglet.core.design.Stroke;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Lines along the edge of a figure, on either side of it: as marks, and as outlines for the checks.
 */
final class Strokes {
  /** Curves are followed by straight pieces to a fiftieth of a millimetre. */
  private static final double FLATNESS = 0.02;

  private final Shape path;
  private final boolean closed;
  private final Stroke stroke;

  /**
   * A stroke of a path.
   *
   * @param closed whether the path has an inside; a line on an open path lies on both sides of it
   */
  Strokes(Shape path, boolean closed, Stroke stroke) {
    this.path = path;
    this.closed = closed;
    this.stroke = stroke;
  }

  private Stroke.Side side() {
    return closed ? stroke.side() : Stroke.Side.CENTRED;
  }

  /** A line inside or outside an edge is a line of twice the width, cut along the edge. */
  List<Mark> marks(Fill fill, Rect box) {
    double width = stroke.width().toMm();
    List<Double> dashes = stroke.dashes().stream().map(Length::toMm).toList();
    if (side() == Stroke.Side.CENTRED) {
      return List.of(new Mark.Path(path, null, new Pen(fill, width, dashes)));
    }
    Mark line = new Mark.Path(path, null, new Pen(fill, 2 * width, dashes));
    Shape clip = path;
    if (side() == Stroke.Side.OUTSIDE) {
      // mitres reach up to ten widths out
      double w = 10 * width + 1;
      Path2D round = new Path2D.Double(Path2D.WIND_EVEN_ODD);
      round.append(
          new Rect(box.x() - w, box.y() - w, box.width() + 2 * w, box.height() + 2 * w).shape(),
          false);
      round.append(path, false);
      clip = round;
    }
    return List.of(Mark.Group.clipped(clip, line));
  }

  /**
   * What the line covers, gaps of its dashes too: of an upright rectangle four strips, exactly; of
   * other paths a strip along each straight piece.
   *
   * @param box of the figure, exactly
   */
  Outline outline(Box box, AffineTransform toSheet) {
    return path instanceof Rectangle2D ? round(box, toSheet) : along(toSheet);
  }

  private Length outwards() {
    return switch (side()) {
      case INSIDE -> Length.ZERO;
      case CENTRED -> stroke.width().half();
      case OUTSIDE -> stroke.width();
    };
  }

  private Outline round(Box box, AffineTransform toSheet) {
    Length out = outwards();
    Length in = stroke.width().minus(out);
    Length left = box.left().minus(out);
    Length top = box.top().minus(out);
    Length right = box.right().plus(out);
    Length bottom = box.bottom().plus(out);
    Length innerLeft = box.left().plus(in).min(right);
    Length innerTop = box.top().plus(in).min(bottom);
    Length innerRight = box.right().minus(in).max(innerLeft);
    Length innerBottom = box.bottom().minus(in).max(innerTop);
    List<List<Point>> parts = new ArrayList<>();
    for (Box strip :
        List.of(
            Box.between(left, top, right, innerTop),
            Box.between(left, innerBottom, right, bottom),
            Box.between(left, innerTop, innerLeft, innerBottom),
            Box.between(innerRight, innerTop, right, innerBottom))) {
      parts.addAll(Outlines.of(strip, toSheet).parts());
    }
    return new Outline(parts);
  }

  private Outline along(AffineTransform toSheet) {
    double width = stroke.width().toMm();
    double out = outwards().toMm();
    double in = width - out;
    double way = Math.signum(area());
    List<List<Point>> parts = new ArrayList<>();
    double[] last = null;
    for (double[] s : segments()) {
      double dx = s[2] - s[0];
      double dy = s[3] - s[1];
      double length = Math.hypot(dx, dy);
      if (length < 1e-9) {
        continue;
      }
      // to the inside: the right hand of who goes round clockwise, y pointing down
      double nx = -dy / length * (way == 0 ? 1 : way);
      double ny = dx / length * (way == 0 ? 1 : way);
      double[] strip = {
        s[0] - nx * out,
        s[1] - ny * out,
        s[2] - nx * out,
        s[3] - ny * out,
        s[2] + nx * in,
        s[3] + ny * in,
        s[0] + nx * in,
        s[1] + ny * in
      };
      parts.add(part(toSheet, strip));
      if (last != null && last[8] == s[0] && last[9] == s[1]) {
        // the wedges between this strip and the one before it
        parts.add(part(toSheet, s[0], s[1], last[2], last[3], strip[0], strip[1]));
        parts.add(part(toSheet, s[0], s[1], last[4], last[5], strip[6], strip[7]));
      }
      last = Arrays.copyOf(strip, 10);
      last[8] = s[2];
      last[9] = s[3];
    }
    return new Outline(parts);
  }

  private static List<Point> part(AffineTransform toSheet, double... corners) {
    double[] c = corners.clone();
    toSheet.transform(c, 0, c, 0, c.length / 2);
    List<Point> part = new ArrayList<>();
    for (int i = 0; i < c.length; i += 2) {
      part.add(new Point(Length.nearMm(c[i]), Length.nearMm(c[i + 1])));
    }
    return part;
  }

  /** Twice the area inside, above zero when the path goes round clockwise. */
  private double area() {
    return segments().stream().mapToDouble(s -> s[0] * s[3] - s[2] * s[1]).sum();
  }

  private List<double[]> segments() {
    List<double[]> all = new ArrayList<>();
    double[] c = new double[6];
    double startX = 0;
    double startY = 0;
    double x = 0;
    double y = 0;
    for (PathIterator p = path.getPathIterator(null, FLATNESS); !p.isDone(); p.next()) {
      switch (p.currentSegment(c)) {
        case PathIterator.SEG_MOVETO -> {
          startX = c[0];
          startY = c[1];
        }
        case PathIterator.SEG_LINETO -> all.add(new double[] {x, y, c[0], c[1]});
        default -> {
          all.add(new double[] {x, y, startX, startY});
          c[0] = startX;
          c[1] = startY;
        }
      }
      x = c[0];
      y = c[1];
    }
    return all;
  }
}
