package app.reglet.press.type;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.GlyphVector;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** The shapes of a font's glyphs in ems, origin on the baseline, y down; each is made once. */
final class GlyphShapes {
  /** Curves are followed to so many ems: to a hundredth of a mm in letters 100 mm high. */
  private static final double FLATNESS = 0.0001;

  /** Type below this size, mm, is followed by ten times as many. */
  private static final double SMALL = 10;

  private final Supplier<Font> font;
  private final Map<Integer, Rectangle2D> inks = new ConcurrentHashMap<>();
  private final Map<Integer, Double> advances = new ConcurrentHashMap<>();
  private final Map<Integer, Shape> outlines = new ConcurrentHashMap<>();
  private final Map<Integer, double[]> hulls = new ConcurrentHashMap<>();

  GlyphShapes(Supplier<Font> font) {
    this.font = font;
  }

  private GlyphVector vector(int glyph) {
    return font.get().createGlyphVector(Typeface.EXACT, new int[] {glyph});
  }

  double advance(int glyph) {
    return advances.computeIfAbsent(
        glyph, g -> vector(g).getGlyphMetrics(0).getAdvanceX() / (double) Typeface.EM);
  }

  Shape outline(int glyph) {
    return outlines.computeIfAbsent(
        glyph,
        g ->
            AffineTransform.getScaleInstance(1 / Typeface.EM, 1 / Typeface.EM)
                .createTransformedShape(vector(g).getGlyphOutline(0)));
  }

  Rectangle2D ink(int glyph) {
    return inks.computeIfAbsent(glyph, g -> outline(g).getBounds2D());
  }

  double[] hull(int glyph, double size) {
    boolean small = size < SMALL;
    return hulls
        .computeIfAbsent(
            small ? -1 - glyph : glyph,
            k -> Hull.of(outline(glyph), small ? 10 * FLATNESS : FLATNESS))
        .clone();
  }
}
