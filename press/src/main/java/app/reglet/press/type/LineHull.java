package app.reglet.press.type;

import java.util.ArrayList;
import java.util.List;

/**
 * The convex hull of a line's ink. Most letters lie within what ascenders and descenders span: a
 * hull of each letter's four outermost points comes first, and only letters that reach out of it
 * give all of theirs.
 */
public final class LineHull {
  private LineHull() {}

  /**
   * Its corners in ems, x and y in turn: its bounds are the ink's, however the line is turned.
   *
   * @param size mm at which the line is set
   */
  public static double[] of(SetLine line, double size) {
    List<double[]> letters = new ArrayList<>();
    List<double[]> outermost = new ArrayList<>();
    for (SetLine.Part part : line.parts()) {
      ShapedLine run = part.line();
      for (int i = 0; i < run.glyphs().length; i++) {
        double[] glyph = part.face().hull(run.glyphs()[i], size * part.scale());
        for (int p = 0; p < glyph.length; p += 2) {
          glyph[p] = (glyph[p] + run.x()[i]) * part.scale() + part.x();
          glyph[p + 1] = (glyph[p + 1] + run.y()[i]) * part.scale();
        }
        if (glyph.length > 0) {
          letters.add(glyph);
          outermost(glyph, outermost);
        }
      }
    }
    double[] span = Hull.of(outermost);
    for (double[] letter : letters) {
      if (!holds(span, letter)) {
        for (int p = 0; p < letter.length; p += 2) {
          outermost.add(new double[] {letter[p], letter[p + 1]});
        }
      }
    }
    return Hull.of(outermost);
  }

  private static void outermost(double[] letter, List<double[]> into) {
    int left = 0;
    int right = 0;
    int top = 0;
    int bottom = 0;
    for (int p = 2; p < letter.length; p += 2) {
      left = letter[p] < letter[left] ? p : left;
      right = letter[p] > letter[right] ? p : right;
      top = letter[p + 1] < letter[top + 1] ? p : top;
      bottom = letter[p + 1] > letter[bottom + 1] ? p : bottom;
    }
    for (int p : new int[] {left, right, top, bottom}) {
      into.add(new double[] {letter[p], letter[p + 1]});
    }
  }

  /** Whether a convex polygon holds the box round a letter. */
  private static boolean holds(double[] span, double[] letter) {
    double left = Double.POSITIVE_INFINITY;
    double top = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = Double.NEGATIVE_INFINITY;
    for (int p = 0; p < letter.length; p += 2) {
      left = Math.min(left, letter[p]);
      right = Math.max(right, letter[p]);
      top = Math.min(top, letter[p + 1]);
      bottom = Math.max(bottom, letter[p + 1]);
    }
    return holds(span, left, top)
        && holds(span, right, top)
        && holds(span, right, bottom)
        && holds(span, left, bottom);
  }

  private static boolean holds(double[] span, double x, double y) {
    int n = span.length;
    for (int p = 0; p < n; p += 2) {
      double x2 = span[(p + 2) % n];
      double y2 = span[(p + 3) % n];
      if ((x2 - span[p]) * (y - span[p + 1]) - (y2 - span[p + 1]) * (x - span[p]) < 0) {
        return false;
      }
    }
    return n >= 6;
  }
}
