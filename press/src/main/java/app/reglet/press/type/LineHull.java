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
    List<double[]> boxes = new ArrayList<>();
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
          boxes.add(outermost(glyph, outermost));
        }
      }
    }
    double[] span = Hull.of(outermost);
    int before = outermost.size();
    for (int i = 0; i < letters.size(); i++) {
      if (!holds(span, boxes.get(i))) {
        double[] letter = letters.get(i);
        for (int p = 0; p < letter.length; p += 2) {
          outermost.add(new double[] {letter[p], letter[p + 1]});
        }
      }
    }
    return outermost.size() == before ? span : Hull.of(outermost);
  }

  /** Adds a letter's outermost points; gives the box round it: left, top, right, bottom. */
  private static double[] outermost(double[] letter, List<double[]> into) {
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
    return new double[] {letter[left], letter[top + 1], letter[right], letter[bottom + 1]};
  }

  /** Whether a convex polygon holds a box: the corner furthest out of each side is within it. */
  private static boolean holds(double[] span, double[] box) {
    int n = span.length;
    for (int p = 0; p < n; p += 2) {
      double acrossX = span[(p + 2) % n] - span[p];
      double acrossY = span[(p + 3) % n] - span[p + 1];
      double x = box[acrossY > 0 ? 2 : 0];
      double y = box[acrossX > 0 ? 1 : 3];
      if (acrossX * (y - span[p + 1]) - acrossY * (x - span[p]) < 0) {
        return false;
      }
    }
    return n >= 6;
  }
}
