package app.reglet.press.type;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.geom.Rectangle2D;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/**
 * One TrueType face, shipped or brought. All figures are in ems: 1 is the type size. Shaping
 * (HarfBuzz inside AWT) gives glyph codes that are the font file's own glyph ids, so the screen and
 * the press file draw the same glyphs.
 */
public final class Typeface {
  /** AWT lays text out at this size, where no hinting or rounding is left to see. */
  static final float EM = 1000f;

  static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

  private final String id;
  private final String name;
  private final String style;
  private final int weight;
  private final boolean italic;
  private final boolean whole;
  private final Supplier<byte[]> file;
  private final GlyphShapes glyphs = new GlyphShapes(() -> loaded().spaced());
  private volatile FontFile loaded;

  /**
   * A face.
   *
   * @param whole whether files may only carry it whole
   * @param file reads its TrueType file, when it is first used
   */
  Typeface(
      String id,
      String name,
      String style,
      int weight,
      boolean italic,
      boolean whole,
      Supplier<byte[]> file) {
    this.id = id;
    this.name = name;
    this.style = style;
    this.weight = weight;
    this.italic = italic;
    this.whole = whole;
    this.file = file;
  }

  private FontFile loaded() {
    FontFile now = loaded;
    if (now == null) {
      synchronized (this) {
        now = loaded;
        if (now == null) {
          now = new FontFile(file.get());
          loaded = now;
        }
      }
    }
    return now;
  }

  /** Short name in documents, {@code spectral-bold}. */
  public String id() {
    return id;
  }

  /** The name people read, {@code Spectral Bold}. */
  public String name() {
    return name;
  }

  /** Its style within its family: {@code Regular}, {@code Bold Italic}. */
  public String style() {
    return style;
  }

  /** Whether it slants. */
  public boolean isItalic() {
    return italic;
  }

  /** How bold it is, from 1 to 1000, 400 for regular (CSS Fonts 4, 2.2.2). */
  public int weight() {
    return weight;
  }

  /** Whether its maker wants it whole in every file, not cut down to the glyphs that are used. */
  public boolean isWhole() {
    return whole;
  }

  /** The TrueType file. */
  public byte[] file() {
    return loaded().file().clone();
  }

  /** From the baseline to the top of ascending small letters, in ems. */
  public double ascent() {
    return Math.max(loaded().ascent(), loaded().capHeight());
  }

  /** From the baseline to the bottom of descending small letters, in ems, positive. */
  public double descent() {
    return loaded().descent();
  }

  /** From the baseline to the top of flat capitals, in ems. */
  public double capHeight() {
    return loaded().capHeight();
  }

  /** From the baseline up to the middle of flat capitals' ink, in ems. */
  public double capMiddle() {
    return loaded().capMiddle();
  }

  /** From the baseline up to the middle of flat small letters' ink, in ems. */
  public double smallMiddle() {
    return loaded().smallMiddle();
  }

  /**
   * Shapes one line that reads from left to right, as far as its letters do.
   *
   * @param text without line breaks
   * @param tracking as {@link #shape(String, double, boolean)} has it
   */
  public ShapedLine shape(String text, double tracking) {
    return shape(text, tracking, false);
  }

  /**
   * Shapes one line. Stretches that read one way each are put in the order in which they are seen
   * (Unicode Standard Annex #9, rules L1 to L4).
   *
   * @param text without line breaks
   * @param tracking space added after each glyph, in ems; ligatures are not made when it isn't
   *     zero, and letters that join their neighbours (Arabic) stay joined
   * @param rightToLeft whether its paragraph reads from right to left
   */
  public ShapedLine shape(String text, double tracking, boolean rightToLeft) {
    List<Style> styles = Collections.nCopies(text.length(), Style.plain(this));
    return Shaping.line(text, styles, tracking, rightToLeft).parts().stream()
        .findFirst()
        .map(SetLine.Part::line)
        .orElseGet(
            () ->
                new ShapedLine(
                    text,
                    new int[0],
                    new double[0],
                    new double[0],
                    new int[0],
                    0,
                    new Rectangle2D.Double()));
  }

  /** The font to shape with. */
  Font font(List<String> features, boolean joins) {
    return loaded().font(features, joins);
  }

  /** The OpenType features people can choose, tags with what they are called. */
  public Map<String, String> features() {
    return loaded().features();
  }

  Rectangle2D inkOf(int glyph) {
    return glyphs.ink(glyph);
  }

  /**
   * Whether a reader of the file finds a text by a glyph alone: it is the glyph's one character.
   */
  public boolean says(int glyph, String text) {
    return text.codePointCount(0, text.length()) == 1
        && loaded().characterOf(glyph) == text.codePointAt(0);
  }

  /** What a glyph takes along the line where nothing is next to it, in ems. */
  public double advance(int glyph) {
    return glyphs.advance(glyph);
  }

  /** A glyph's outline in ems, origin on the baseline, y down. Not to be changed. */
  public Shape outline(int glyph) {
    return glyphs.outline(glyph);
  }

  /**
   * The corners of the convex hull of a glyph's outline, x and y in turn, in ems.
   *
   * @param size mm at which it is set: curves are followed to a hundredth of a mm there
   */
  public double[] hull(int glyph, double size) {
    return glyphs.hull(glyph, size);
  }

  /** The characters of a text that this face has no glyph for, each once; empty when it has all. */
  public String missing(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .distinct()
        .filter(
            c ->
                !Character.isWhitespace(c)
                    && !Character.isISOControl(c)
                    && Character.getType(c) != Character.FORMAT
                    && !loaded().kerned().canDisplay(c))
        .limit(12)
        .forEach(out::appendCodePoint);
    return out.toString();
  }
}
