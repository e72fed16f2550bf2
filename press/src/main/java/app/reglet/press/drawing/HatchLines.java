package app.reglet.press.drawing;

import app.reglet.press.art.Rect;
import java.util.ArrayList;
import java.util.List;

/** The parallel lines of a hatched area, to be clipped to it. */
public final class HatchLines {
  private HatchLines() {}

  /**
   * Each line as x and y of its two ends, mm; they reach past the area.
   *
   * @param step from line to line
   * @param degrees of the lines: 0 upright, 90 level, turning clockwise
   */
  public static List<double[]> of(Rect f, double step, int degrees) {
    double angle = Math.toRadians(degrees);
    // the lines run along u; they are spaced along v, square to it, from the drawing's origin
    double ux = -Math.sin(angle);
    double uy = Math.cos(angle);
    double vx = Math.cos(angle);
    double vy = Math.sin(angle);
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    double from = Double.POSITIVE_INFINITY;
    double to = Double.NEGATIVE_INFINITY;
    for (double x : new double[] {f.x(), f.right()}) {
      for (double y : new double[] {f.y(), f.bottom()}) {
        least = Math.min(least, x * vx + y * vy);
        most = Math.max(most, x * vx + y * vy);
        from = Math.min(from, x * ux + y * uy);
        to = Math.max(to, x * ux + y * uy);
      }
    }
    List<double[]> lines = new ArrayList<>();
    for (double v = Math.ceil(least / step) * step; v <= most; v += step) {
      lines.add(
          new double[] {
            v * vx + from * ux, v * vy + from * uy, v * vx + to * ux, v * vy + to * uy
          });
    }
    return lines;
  }
}
