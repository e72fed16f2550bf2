package app.reglet.press.type;

import java.awt.geom.Rectangle2D;
import java.util.Arrays;

/**
 * A shaped line of type, in ems, origin at the start of the baseline, y down. Glyphs stand from
 * left to right as they are seen, whichever way the line reads.
 *
 * @param text what it says, in the order it is read
 * @param glyphs the font file's glyph ids
 * @param x where each glyph starts
 * @param y how far each glyph stands below the baseline: marks stand over and under their letters
 * @param chars index in the text of the first character each glyph stands for
 * @param advance the line's width
 * @param ink what the glyphs cover
 */
public record ShapedLine(
    String text,
    int[] glyphs,
    double[] x,
    double[] y,
    int[] chars,
    double advance,
    Rectangle2D ink) {

  /** Where each glyph starts at a size. */
  public double[] x(double size) {
    return Arrays.stream(x).map(v -> v * size).toArray();
  }

  /** How far each glyph stands below the baseline at a size. */
  public double[] y(double size) {
    return Arrays.stream(y).map(v -> v * size).toArray();
  }
}
