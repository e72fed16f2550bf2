package app.reglet.press.compose;

import app.reglet.core.design.Figure;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;

/** Figures of a design as shapes in their box. */
final class Figures implements Figure.Visitor<Shape> {
  /**
   * How far a cubic's handles reach for a quarter of a circle of radius 1: the curve then meets the
   * circle at its middle, 4 (√2 − 1) / 3.
   */
  private static final double QUARTER = 4 * (Math.sqrt(2) - 1) / 3;

  private final Rect box;

  private Figures(Rect box) {
    this.box = box;
  }

  static Shape in(Figure figure, Rect box) {
    return figure.accept(new Figures(box));
  }

  @Override
  public Shape rectangle(Figure.Rectangle r) {
    double[] round = r.radii().stream().mapToDouble(Length::toMm).toArray();
    double room = 1;
    for (int i = 0; i < 4; i++) {
      double side = i % 2 == 0 ? box.width() : box.height();
      double both = round[i] + round[(i + 1) % 4];
      room = both > side ? Math.min(room, side / both) : room;
    }
    double a = round[0] * room;
    double b = round[1] * room;
    double c = round[2] * room;
    double d = round[3] * room;
    if (Math.max(Math.max(a, b), Math.max(c, d)) == 0) {
      return box.shape();
    }
    double k = 1 - QUARTER;
    double x = box.x();
    double y = box.y();
    Path2D path = new Path2D.Double();
    path.moveTo(x + a, y);
    path.lineTo(box.right() - b, y);
    path.curveTo(box.right() - b * k, y, box.right(), y + b * k, box.right(), y + b);
    path.lineTo(box.right(), box.bottom() - c);
    path.curveTo(
        box.right(),
        box.bottom() - c * k,
        box.right() - c * k,
        box.bottom(),
        box.right() - c,
        box.bottom());
    path.lineTo(x + d, box.bottom());
    path.curveTo(x + d * k, box.bottom(), x, box.bottom() - d * k, x, box.bottom() - d);
    path.lineTo(x, y + a);
    path.curveTo(x, y + a * k, x + a * k, y, x + a, y);
    path.closePath();
    return path;
  }

  @Override
  public Shape ellipse(Figure.Ellipse e) {
    return new Ellipse2D.Double(box.x(), box.y(), box.width(), box.height());
  }

  @Override
  public Shape regular(Figure.Regular g) {
    Path2D path = new Path2D.Double();
    double half = Math.PI / g.corners();
    double in = Math.cos(half) * (1 - g.notch());
    for (int i = 0; i < g.corners(); i++) {
      point(path, i == 0, 2 * i * half, 1);
      if (g.notch() > 0) {
        point(path, false, (2 * i + 1) * half, in);
      }
    }
    path.closePath();
    return path;
  }

  /** A point so far round clockwise from the top, at a share of the ellipse. */
  private void point(Path2D path, boolean first, double angle, double share) {
    double x = box.x() + box.width() / 2 * (1 + Math.sin(angle) * share);
    double y = box.y() + box.height() / 2 * (1 - Math.cos(angle) * share);
    if (first) {
      path.moveTo(x, y);
    } else {
      path.lineTo(x, y);
    }
  }

  @Override
  public Shape free(Figure.Free g) {
    Path2D path = new Path2D.Double(Path2D.WIND_EVEN_ODD);
    for (int i = 0; i < g.corners().size(); i++) {
      double x = box.x() + g.corners().get(i).x() * box.width();
      double y = box.y() + g.corners().get(i).y() * box.height();
      if (i == 0) {
        path.moveTo(x, y);
      } else {
        path.lineTo(x, y);
      }
    }
    path.closePath();
    return path;
  }

  @Override
  public Shape line(Figure.Line g) {
    double cx = box.x() + box.width() / 2;
    double cy = box.y() + box.height() / 2;
    return switch (g.way()) {
      case LEVEL -> new Line2D.Double(box.x(), cy, box.right(), cy);
      case UPRIGHT -> new Line2D.Double(cx, box.y(), cx, box.bottom());
      case FALLING -> new Line2D.Double(box.x(), box.y(), box.right(), box.bottom());
      case RISING -> new Line2D.Double(box.x(), box.bottom(), box.right(), box.y());
    };
  }
}
