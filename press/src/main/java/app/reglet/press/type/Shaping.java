package app.reglet.press.type;

import java.awt.Font;
import java.awt.font.GlyphVector;
import java.awt.geom.Rectangle2D;
import java.lang.Character.UnicodeScript;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Shapes the stretches of a line, each in its own direction and style, and puts them side by side
 * in the order in which they are seen (Unicode Standard Annex #9, rules L1 to L4).
 */
final class Shaping {
  /** Scripts whose letters join: space between them would tear words apart. */
  private static final Set<UnicodeScript> JOINED =
      EnumSet.of(
          UnicodeScript.ARABIC, UnicodeScript.SYRIAC, UnicodeScript.MANDAIC, UnicodeScript.NKO);

  /** Parts a word at the end of a line, where it is seen as a hyphen. */
  static final char SOFT_HYPHEN = '\u00ad';

  private final String text;
  private final List<Style> styles;
  private final double tracking;
  private final List<Run> runs = new ArrayList<>();
  private double pen;
  private double last;

  private Shaping(String text, List<Style> styles, double tracking) {
    this.text = text;
    this.styles = styles;
    this.tracking = tracking;
  }

  /**
   * Shapes one line.
   *
   * @param text without line breaks
   * @param styles of its characters
   * @param tracking space added after each glyph, in ems; ligatures are not made when it isn't
   *     zero, and letters that join their neighbours stay joined
   * @param rightToLeft whether its paragraph reads from right to left
   */
  static SetLine line(String text, List<Style> styles, double tracking, boolean rightToLeft) {
    Shaping shaping = new Shaping(text, styles, tracking);
    shaping.order(rightToLeft);
    return shaping.line();
  }

  private void order(boolean rightToLeft) {
    char[] all = text.toCharArray();
    if (!rightToLeft && !Bidi.requiresBidi(all, 0, all.length)) {
      stretches(0, all.length, false);
      return;
    }
    Bidi bidi =
        new Bidi(text, rightToLeft ? Bidi.DIRECTION_RIGHT_TO_LEFT : Bidi.DIRECTION_LEFT_TO_RIGHT);
    int n = bidi.getRunCount();
    byte[] levels = new byte[n];
    Integer[] order = new Integer[n];
    for (int i = 0; i < n; i++) {
      levels[i] = (byte) bidi.getRunLevel(i);
      order[i] = i;
    }
    Bidi.reorderVisually(levels, 0, order, 0, n);
    for (int run : order) {
      boolean leftwards = (bidi.getRunLevel(run) & 1) == 1;
      stretches(bidi.getRunStart(run), bidi.getRunLimit(run), leftwards);
    }
  }

  /** Stretches of one style each, of a run that reads one way. */
  private void stretches(int from, int to, boolean leftwards) {
    List<int[]> found = new ArrayList<>();
    for (int at = from, end; at < to; at = end) {
      end = at + 1;
      while (end < to && styles.get(end).equals(styles.get(at))) {
        end++;
      }
      found.add(leftwards ? 0 : found.size(), new int[] {at, end});
    }
    found.forEach(s -> stretch(s[0], s[1], leftwards));
  }

  private void stretch(int from, int to, boolean leftwards) {
    Style style = styles.get(from);
    boolean joined =
        IntStream.range(from, to).anyMatch(i -> JOINED.contains(UnicodeScript.of(text.charAt(i))));
    double space = joined ? 0 : tracking / style.scale();
    StringBuilder drawn = new StringBuilder();
    List<Integer> written = new ArrayList<>();
    for (int i = from; i < to; i += Character.charCount(text.codePointAt(i))) {
      String seen =
          text.charAt(i) == SOFT_HYPHEN && i == text.length() - 1
              ? "-"
              : style.drawn().of(text.codePointAt(i));
      for (int k = 0; k < seen.length(); k++) {
        drawn.append(seen.charAt(k));
        written.add(seen.length() == Character.charCount(text.codePointAt(i)) ? i + k : i);
      }
    }
    GlyphVector v =
        style
            .face()
            .font(style.features(), space == 0)
            .layoutGlyphVector(
                Typeface.EXACT,
                drawn.toString().toCharArray(),
                0,
                drawn.length(),
                leftwards ? Font.LAYOUT_RIGHT_TO_LEFT : Font.LAYOUT_LEFT_TO_RIGHT);
    Run run = run(style, from, to);
    int n = v.getNumGlyphs();
    float[] places = v.getGlyphPositions(0, n + 1, null);
    int[] of = v.getGlyphCharIndices(0, n, null);
    for (int i = 0; i < n; i++) {
      run.glyphs.add(v.getGlyphCode(i));
      run.chars.add(written.get(of[i]));
      run.x.add((pen - run.start) / style.scale() + places[2 * i] / Typeface.EM + i * space);
      run.y.add(places[2 * i + 1] / Typeface.EM);
    }
    if (n > 0) {
      pen += (places[2 * n] / Typeface.EM + n * space) * style.scale();
      last = space * style.scale();
      run.end = pen - last;
    }
  }

  /** The run that a stretch goes on with: the last, when it has its style and stands next to it. */
  private Run run(Style style, int from, int to) {
    Run open = runs.isEmpty() ? null : runs.get(runs.size() - 1);
    if (open != null && open.style.equals(style) && (open.to == from || open.from == to)) {
      open.from = Math.min(open.from, from);
      open.to = Math.max(open.to, to);
      return open;
    }
    Run next = new Run(style, from, to, pen);
    runs.add(next);
    return next;
  }

  private SetLine line() {
    List<SetLine.Part> parts = new ArrayList<>();
    Rectangle2D ink = null;
    for (Run run : runs) {
      SetLine.Part part = run.part(text);
      parts.add(part);
      ink = SetLine.union(ink, part.scale(), part.x(), part.line().ink());
    }
    return new SetLine(
        text, List.copyOf(parts), pen - last, ink == null ? new Rectangle2D.Double() : ink);
  }

  /** What glyphs cover, in ems of their face. */
  static Rectangle2D ink(Typeface face, int[] glyphs, double[] x, double[] y) {
    Rectangle2D ink = null;
    for (int i = 0; i < glyphs.length; i++) {
      Rectangle2D glyph = face.inkOf(glyphs[i]);
      if (!glyph.isEmpty()) {
        Rectangle2D placed =
            new Rectangle2D.Double(
                glyph.getX() + x[i], glyph.getY() + y[i], glyph.getWidth(), glyph.getHeight());
        ink = ink == null ? placed : ink.createUnion(placed);
      }
    }
    return ink == null ? new Rectangle2D.Double() : ink;
  }

  /** Glyphs of one style, side by side. */
  private static final class Run {
    private final Style style;
    private final double start;
    private final IntStream.Builder glyphs = IntStream.builder();
    private final IntStream.Builder chars = IntStream.builder();
    private final DoubleStream.Builder x = DoubleStream.builder();
    private final DoubleStream.Builder y = DoubleStream.builder();
    private int from;
    private int to;
    private double end;

    Run(Style style, int from, int to, double start) {
      this.style = style;
      this.from = from;
      this.to = to;
      this.start = start;
      this.end = start;
    }

    SetLine.Part part(String text) {
      int[] ids = glyphs.build().toArray();
      double[] atX = x.build().toArray();
      double[] atY = y.build().toArray();
      return new SetLine.Part(
          style.face(),
          from,
          style.scale(),
          start,
          new ShapedLine(
              text.substring(from, to),
              ids,
              atX,
              atY,
              chars.build().map(c -> c - from).toArray(),
              (end - start) / style.scale(),
              ink(style.face(), ids, atX, atY)));
    }
  }
}
