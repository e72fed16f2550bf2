package app.reglet.press.font;

import app.reglet.press.reading.Budget;
import java.awt.geom.GeneralPath;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.cff.CFFFont;
import org.apache.fontbox.cff.CFFParser;

/**
 * Glyphs of a font whose curves are cubic, in a table {@code CFF} (Adobe technical notes 5176 and
 * 5177, which ISO/IEC 14496-22, 5.4.2 refers to), as quadratic ones.
 */
final class CffOutlines implements Outlines {
  /** A quadratic curve is no farther than this from the cubic one, in ems. */
  private static final double NEAR = 0.0003;

  /** The library keeps every glyph it was asked for; after so many it is asked anew. */
  private static final int AT_ONCE = 4096;

  private final byte[] table;
  private CFFFont font;
  private int asked;
  private final int count;
  private final Advances advances;
  private final double tolerance;
  private final Budget budget;

  CffOutlines(FontTables tables, int unitsPerEm, Budget budget) {
    this.budget = budget;
    tolerance = NEAR * unitsPerEm;
    count = Advances.glyphs(tables);
    advances = new Advances(tables);
    table = tables.bytes("CFF ").orElseThrow();
    font = parsed();
  }

  private CFFFont parsed() {
    try {
      return new CFFParser().parse(table, () -> table).get(0);
    } catch (IOException | RuntimeException e) {
      throw Damaged.font("its outlines can't be read.");
    }
  }

  @Override
  public int count() {
    return count;
  }

  @Override
  public Outline glyph(int id) {
    budget.object();
    if (++asked % AT_ONCE == 0) {
      font = parsed();
    }
    try {
      Contours contours = new Contours();
      GeneralPath path = font.getType2CharString(id).getPath();
      double[] c = new double[6];
      for (PathIterator i = path.getPathIterator(null); !i.isDone(); i.next()) {
        switch (i.currentSegment(c)) {
          case PathIterator.SEG_MOVETO -> contours.move(c[0], c[1]);
          case PathIterator.SEG_LINETO -> contours.line(c[0], c[1]);
          case PathIterator.SEG_CUBICTO -> contours.cubic(c);
          default -> contours.close();
        }
      }
      return contours.outline(advances.of(id));
    } catch (IOException | RuntimeException e) {
      throw Damaged.font("its glyph %d can't be read.", id);
    }
  }

  private final class Contours {
    private final List<double[]> points = new ArrayList<>();
    private final List<Integer> ends = new ArrayList<>();
    private int first;
    private double x;
    private double y;

    void move(double toX, double toY) {
      close();
      line(toX, toY);
    }

    void line(double toX, double toY) {
      point(toX, toY, true);
    }

    private void point(double px, double py, boolean on) {
      points.add(new double[] {px, py, on ? 1 : 0});
      if (on) {
        x = px;
        y = py;
      }
    }

    /**
     * A cubic curve in n equal parts, each a quadratic whose control point is the mean of those
     * that the part's two ends ask for. The farthest such a quadratic is from its cubic is √3/36 of
     * |p3 − 3 p2 + 3 p1 − p0|, which falls with n³ (the difference is that vector times
     * t(2t−1)(t−1)/2).
     */
    void cubic(double[] c) {
      double fromX = x;
      double fromY = y;
      double away =
          Math.hypot(c[4] - 3 * c[2] + 3 * c[0] - fromX, c[5] - 3 * c[3] + 3 * c[1] - fromY)
              * Math.sqrt(3)
              / 36;
      int n = Math.max(1, (int) Math.ceil(Math.cbrt(away / tolerance)));
      for (int i = 0; i < n; i++) {
        double t0 = (double) i / n;
        double t1 = (i + 1.0) / n;
        double controlX = control(fromX, c[0], c[2], c[4], t0, t1);
        double controlY = control(fromY, c[1], c[3], c[5], t0, t1);
        point(controlX, controlY, false);
        point(
            i == n - 1 ? c[4] : at(fromX, c[0], c[2], c[4], t1),
            i == n - 1 ? c[5] : at(fromY, c[1], c[3], c[5], t1),
            true);
      }
    }

    private static double at(double p0, double p1, double p2, double p3, double t) {
      double s = 1 - t;
      return s * s * s * p0 + 3 * s * s * t * p1 + 3 * s * t * t * p2 + t * t * t * p3;
    }

    private static double slope(double p0, double p1, double p2, double p3, double t) {
      double s = 1 - t;
      return 3 * (s * s * (p1 - p0) + 2 * s * t * (p2 - p1) + t * t * (p3 - p2));
    }

    /** Of the part from t0 to t1: (3 c1 − p0 + 3 c2 − p3) / 4 with its own cubic's points. */
    private static double control(
        double p0, double p1, double p2, double p3, double t0, double t1) {
      double from = at(p0, p1, p2, p3, t0);
      double to = at(p0, p1, p2, p3, t1);
      double third = (t1 - t0) / 3;
      double c1 = from + third * slope(p0, p1, p2, p3, t0);
      double c2 = to - third * slope(p0, p1, p2, p3, t1);
      return (3 * c1 - from + 3 * c2 - to) / 4;
    }

    void close() {
      int last = points.size() - 1;
      if (last > first
          && points.get(last)[2] == 1
          && points.get(last)[0] == points.get(first)[0]
          && points.get(last)[1] == points.get(first)[1]) {
        points.remove(last); // contours close themselves
        last--;
      }
      if (last - first < 1) {
        while (points.size() > first) {
          points.remove(points.size() - 1); // a lone point draws nothing
        }
      } else {
        ends.add(last);
      }
      first = points.size();
    }

    Outline outline(double advance) {
      close();
      int n = points.size();
      double[] xs = new double[n];
      double[] ys = new double[n];
      boolean[] on = new boolean[n];
      for (int i = 0; i < n; i++) {
        xs[i] = points.get(i)[0];
        ys[i] = points.get(i)[1];
        on[i] = points.get(i)[2] == 1;
      }
      return new Outline(xs, ys, on, ends.stream().mapToInt(e -> e).toArray(), advance);
    }
  }
}
