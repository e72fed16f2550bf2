package app.reglet.press.compose;

import app.reglet.core.design.Curve;
import app.reglet.core.design.Figure;
import app.reglet.press.art.Rect;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;

/**
 * A line that words stand on, followed by its length, mm, in the coordinates of their box, y down.
 */
interface Track {
  /** The length in which words have room. */
  double length();

  /** How far along the line its own length goes on before it ends or comes round. */
  double whole();

  /**
   * A place on the line.
   *
   * @param along how far along it, mm, from where the room for words begins
   * @return from coordinates with their origin there, x along the line, to those of the box
   */
  AffineTransform at(double along);

  /**
   * The line of some words.
   *
   * @param over what stands over the baseline, mm: letters with their ascenders
   * @param under what hangs under it, mm
   */
  static Track of(Curve curve, Rect box, double over, double under) {
    return curve.accept(
        new Curve.Visitor<>() {
          @Override
          public Track arc(Curve.Arc arc) {
            return new Circle(arc, box, over, under);
          }

          @Override
          public Track along(Curve.Along along) {
            return new Path(along.points(), box);
          }
        });
  }

  /**
   * A part of a circle. Over the upper edge words run clockwise, along the lower one the other way,
   * so that they are read from left to right both times.
   */
  final class Circle implements Track {
    private final boolean upper;
    private final double x;
    private final double y;
    private final double radius;
    private final double room;

    Circle(Curve.Arc arc, Rect box, double over, double under) {
      upper = arc.edge() == Curve.Edge.UPPER;
      boolean inside = arc.side() == Curve.Side.INSIDE;
      // what lies between the circle's line and the edge of the box that it is laid against
      double outside = inside ? 0 : over + under;
      double r =
          switch (arc.by()) {
            case BOX -> Math.min(box.width(), box.height()) / 2 - outside;
            case RADIUS -> arc.measure().toMm();
            case SAG -> {
              // the chord is the box's width: r = (w²/4 + s²) / 2s (Euclid III.35)
              double s = arc.measure().toMm();
              yield (box.width() * box.width() / 4 + s * s) / (2 * s);
            }
          };
      x = box.x() + box.width() / 2;
      y =
          arc.by() == Curve.By.BOX
              ? box.y() + box.height() / 2
              : upper ? box.y() + outside + r : box.bottom() - outside - r;
      double line = upper ? (inside ? r - over : r + under) : inside ? r - under : r + over;
      radius = Math.max(line, 1e-3);
      double half = box.width() / 2;
      room = radius * (half >= radius ? Math.PI : 2 * Math.asin(half / radius));
    }

    @Override
    public double length() {
      return room;
    }

    @Override
    public double whole() {
      return 2 * Math.PI * radius;
    }

    @Override
    public AffineTransform at(double along) {
      double turn = (along - room / 2) / radius;
      AffineTransform t = AffineTransform.getTranslateInstance(x, y);
      t.rotate(upper ? turn : -turn);
      t.translate(0, upper ? -radius : radius);
      return t;
    }
  }

  /** A smooth line through points: a spline after Catmull and Rom, as cubic Bézier curves. */
  final class Path implements Track {
    private static final double FLATNESS = 0.002;
    private final List<double[]> corners = new ArrayList<>();
    private double length;

    Path(List<Figure.Free.Corner> points, Rect box) {
      double[] c = new double[6];
      for (PathIterator i =
              new FlatteningPathIterator(line(points, box).getPathIterator(null), FLATNESS, 14);
          !i.isDone();
          i.next()) {
        i.currentSegment(c);
        if (!corners.isEmpty()) {
          double[] last = corners.get(corners.size() - 1);
          length += Math.hypot(c[0] - last[0], c[1] - last[1]);
        }
        corners.add(new double[] {c[0], c[1], length});
      }
    }

    static Shape line(List<Figure.Free.Corner> points, Rect box) {
      int n = points.size();
      double[][] p = new double[n][];
      for (int i = 0; i < n; i++) {
        p[i] =
            new double[] {
              box.x() + points.get(i).x() * box.width(), box.y() + points.get(i).y() * box.height()
            };
      }
      Path2D line = new Path2D.Double();
      line.moveTo(p[0][0], p[0][1]);
      for (int i = 0; i + 1 < n; i++) {
        double[] before = p[Math.max(0, i - 1)];
        double[] after = p[Math.min(n - 1, i + 2)];
        line.curveTo(
            p[i][0] + (p[i + 1][0] - before[0]) / 6,
            p[i][1] + (p[i + 1][1] - before[1]) / 6,
            p[i + 1][0] - (after[0] - p[i][0]) / 6,
            p[i + 1][1] - (after[1] - p[i][1]) / 6,
            p[i + 1][0],
            p[i + 1][1]);
      }
      return line;
    }

    @Override
    public double length() {
      return length;
    }

    @Override
    public double whole() {
      return length;
    }

    /** Beyond its ends the line goes on straight. */
    @Override
    public AffineTransform at(double along) {
      int i = 1;
      while (i < corners.size() - 1 && corners.get(i)[2] < along) {
        i++;
      }
      double[] a = corners.get(i - 1);
      double[] b = corners.get(i);
      double angle = Math.atan2(b[1] - a[1], b[0] - a[0]);
      double rest = along - a[2];
      AffineTransform t =
          AffineTransform.getTranslateInstance(
              a[0] + rest * Math.cos(angle), a[1] + rest * Math.sin(angle));
      t.rotate(angle);
      return t;
    }
  }
}
