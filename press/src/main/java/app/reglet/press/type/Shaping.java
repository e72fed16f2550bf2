package app.reglet.press.type;

import java.awt.Font;
import java.awt.font.GlyphVector;
import java.awt.geom.Rectangle2D;
import java.lang.Character.UnicodeScript;
import java.text.Bidi;
import java.util.EnumSet;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** Shapes the stretches of a line, each in its own direction, and puts them side by side. */
final class Shaping {
  /** Scripts whose letters join: space between them would tear words apart. */
  private static final Set<UnicodeScript> JOINED =
      EnumSet.of(
          UnicodeScript.ARABIC, UnicodeScript.SYRIAC, UnicodeScript.MANDAIC, UnicodeScript.NKO);

  private final Font kerned;
  private final Font spaced;
  private final double tracking;
  private final IntStream.Builder glyphs = IntStream.builder();
  private final IntStream.Builder chars = IntStream.builder();
  private final DoubleStream.Builder x = DoubleStream.builder();
  private final DoubleStream.Builder y = DoubleStream.builder();
  private double pen;
  private double last;

  Shaping(Font kerned, Font spaced, double tracking) {
    this.kerned = kerned;
    this.spaced = spaced;
    this.tracking = tracking;
  }

  void add(String text, boolean rightToLeft) {
    char[] all = text.toCharArray();
    if (!rightToLeft && !Bidi.requiresBidi(all, 0, all.length)) {
      stretch(all, 0, all.length, false);
      return;
    }
    Bidi bidi =
        new Bidi(text, rightToLeft ? Bidi.DIRECTION_RIGHT_TO_LEFT : Bidi.DIRECTION_LEFT_TO_RIGHT);
    int n = bidi.getRunCount();
    byte[] levels = new byte[n];
    Integer[] runs = new Integer[n];
    for (int i = 0; i < n; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      runs[i] = i;
    }
    Bidi.reorderVisually(levels, 0, runs, 0, n);
    for (int run : runs) {
      boolean leftwards = (bidi.getRunLevel(run) & 1) == 1;
      stretch(all, bidi.getRunStart(run), bidi.getRunLimit(run), leftwards);
    }
  }

  private void stretch(char[] all, int from, int to, boolean leftwards) {
    boolean joined =
        IntStream.range(from, to).anyMatch(i -> JOINED.contains(UnicodeScript.of(all[i])));
    double space = joined ? 0 : tracking;
    GlyphVector v =
        (space == 0 ? kerned : spaced)
            .layoutGlyphVector(
                Typeface.EXACT,
                all,
                from,
                to,
                leftwards ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT);
    int n = v.getNumGlyphs();
    float[] places = v.getGlyphPositions(0, n + 1, null);
    int[] of = v.getGlyphCharIndices(0, n, null);
    for (int i = 0; i < n; i++) {
      glyphs.add(v.getGlyphCode(i));
      chars.add(from + of[i]);
      x.add(pen + places[2 * i] / Typeface.EM + i * space);
      y.add(places[2 * i + 1] / Typeface.EM);
    }
    if (n > 0) {
      pen += places[2 * n] / Typeface.EM + n * space;
      last = space;
    }
  }

  /** The whole line; no space is added after its last glyph. */
  ShapedLine line(String text, IntFunction<Rectangle2D> inkOf) {
    int[] ids = glyphs.build().toArray();
    double[] atX = x.build().toArray();
    double[] atY = y.build().toArray();
    Rectangle2D ink = null;
    for (int i = 0; i < ids.length; i++) {
      Rectangle2D glyph = inkOf.apply(ids[i]);
      if (!glyph.isEmpty()) {
        Rectangle2D placed =
            new Rectangle2D.Double(
                glyph.getX() + atX[i], glyph.getY() + atY[i], glyph.getWidth(), glyph.getHeight());
        ink = ink == null ? placed : ink.createUnion(placed);
      }
    }
    return new ShapedLine(
        text,
        ids,
        atX,
        atY,
        chars.build().toArray(),
        ids.length == 0 ? 0 : pen - last,
        ink == null ? new Rectangle2D.Double() : ink);
  }
}
