package app.reglet.press.type;

import java.awt.geom.Rectangle2D;

/**
 * A shaped line of type, in ems, origin at the start of the baseline, y down.
 *
 * @param text what it says
 * @param glyphs the font file's glyph ids
 * @param x where each glyph starts
 * @param chars index in the text of the first character each glyph stands for
 * @param advance the line's width
 * @param ink what the glyphs cover
 */
public record ShapedLine(
    String text, int[] glyphs, double[] x, int[] chars, double advance, Rectangle2D ink) {}
