package app.reglet.press.type;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.font.TextAttribute;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * One shipped TrueType face. All figures are in ems: 1 is the type size. Shaping (HarfBuzz inside
 * AWT) gives glyph codes that are the font file's own glyph ids, so the screen and the press file
 * draw the same glyphs.
 */
public final class Typeface {
  /** AWT lays text out at this size, where no hinting or rounding is left to see. */
  static final float EM = 1000f;

  /** Letters with ascenders, and the ligatures that may stand higher than their letters do. */
  private static final String ASCENDING = "b d f h k l Th ff fi fl ffi fb fh fj fk";

  /** Letters with descenders; in faces of capitals alone they stand as high as any. */
  private static final String DESCENDING = "g j p q y gj gy fj";

  /** Curves are followed to so many ems: to a hundredth of a mm in letters 100 mm high. */
  private static final double FLATNESS = 0.0001;

  static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

  private final String id;
  private final String name;
  private final String style;
  private final String resource;
  private final Map<Integer, Rectangle2D> inks = new ConcurrentHashMap<>();
  private final Map<Integer, Double> advances = new ConcurrentHashMap<>();
  private final Map<Integer, double[]> hulls = new ConcurrentHashMap<>();
  private final Map<List<String>, Featured> featured = new ConcurrentHashMap<>();
  private volatile Loaded loaded;
  private CmapLookup characters;

  /** The file and what was measured of it. */
  private record Loaded(
      byte[] file,
      Font kerned,
      Font spaced,
      Map<String, String> features,
      double ascent,
      double descent,
      double capHeight,
      double capMiddle,
      double smallMiddle) {}

  /** The font with features put to use. */
  private record Featured(Font kerned, Font spaced) {}

  Typeface(String id, String name, String style, String resource) {
    this.id = id;
    this.name = name;
    this.style = style;
    this.resource = resource;
  }

  private Loaded loaded() {
    Loaded now = loaded;
    if (now == null) {
      synchronized (this) {
        now = loaded;
        if (now == null) {
          now = load(resource);
          loaded = now;
        }
      }
    }
    return now;
  }

  private static Loaded load(String resource) {
    try (InputStream in = Typeface.class.getResourceAsStream(resource)) {
      if (in == null) {
        throw new IllegalStateException("The typeface file " + resource + " is not in the jar");
      }
      byte[] file = in.readAllBytes();
      Font plain = plain(file);
      Font kerned = kerned(plain);
      return new Loaded(
          file,
          kerned,
          spaced(plain),
          Map.copyOf(Features.of(new FontTables(file))),
          -inkOf(kerned, ASCENDING + " " + DESCENDING).getMinY() / EM,
          inkOf(kerned, ASCENDING + " " + DESCENDING).getMaxY() / EM,
          -inkOf(kerned, "HEIX").getMinY() / EM,
          -inkOf(kerned, "HEI").getCenterY() / EM,
          -inkOf(kerned, "xz").getCenterY() / EM);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Font plain(byte[] file) {
    try {
      return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(file)).deriveFont(EM);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (FontFormatException e) {
      throw new IllegalStateException("This is no TrueType font", e);
    }
  }

  private static Font kerned(Font plain) {
    return plain.deriveFont(
        Map.of(
            TextAttribute.KERNING, TextAttribute.KERNING_ON,
            TextAttribute.LIGATURES, TextAttribute.LIGATURES_ON));
  }

  private static Font spaced(Font plain) {
    return plain.deriveFont(Map.of(TextAttribute.KERNING, TextAttribute.KERNING_ON));
  }

  /** Bounds of the shaped glyphs' outlines: measured as {@link #shape} measures its ink. */
  private static Rectangle2D inkOf(Font font, String text) {
    char[] chars = text.toCharArray();
    GlyphVector v =
        font.layoutGlyphVector(EXACT, chars, 0, chars.length, Font.LAYOUT_LEFT_TO_RIGHT);
    Rectangle2D ink = new Rectangle2D.Double();
    for (int i = 0; i < v.getNumGlyphs(); i++) {
      Rectangle2D glyph = v.getGlyphOutline(i).getBounds2D();
      if (!glyph.isEmpty()) {
        ink = ink.isEmpty() ? glyph : ink.createUnion(glyph);
      }
    }
    return ink;
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
    return style.contains("Italic") || style.contains("Oblique");
  }

  /** How bold it is, from 100 to 900, 400 for regular (CSS Fonts 4, 2.2.2), by its style's name. */
  public int weight() {
    String plain = style.replaceAll("\\s*(Italic|Oblique)", "").replace(" ", "");
    return switch (plain) {
      case "Thin" -> 100;
      case "ExtraLight" -> 200;
      case "Light" -> 300;
      case "Medium" -> 500;
      case "SemiBold" -> 600;
      case "Bold" -> 700;
      case "ExtraBold" -> 800;
      case "Black" -> 900;
      default -> 400;
    };
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
    if (features.isEmpty()) {
      return joins ? loaded().kerned() : loaded().spaced();
    }
    Featured with =
        featured.computeIfAbsent(
            features,
            f -> {
              Font plain = plain(Features.always(loaded().file(), f));
              return new Featured(kerned(plain), spaced(plain));
            });
    return joins ? with.kerned() : with.spaced();
  }

  /** The OpenType features people can choose, tags with what they are called. */
  public Map<String, String> features() {
    return loaded().features();
  }

  Rectangle2D inkOf(int glyph) {
    return inks.computeIfAbsent(glyph, g -> outline(g).getBounds2D());
  }

  /**
   * Whether a reader of the file finds a text by a glyph alone: it is the glyph's one character.
   */
  public boolean says(int glyph, String text) {
    List<Integer> characters = characters().getCharCodes(glyph);
    return text.codePointCount(0, text.length()) == 1
        && characters != null
        && characters.get(0) == text.codePointAt(0);
  }

  /** The file's own table of characters. */
  private synchronized CmapLookup characters() {
    if (characters == null) {
      try {
        characters =
            new TTFParser(true)
                .parse(new RandomAccessReadBuffer(loaded().file()))
                .getUnicodeCmapLookup(false);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return characters;
  }

  /** What a glyph takes along the line where nothing is next to it, in ems. */
  public double advance(int glyph) {
    return advances.computeIfAbsent(
        glyph,
        g ->
            loaded()
                    .spaced()
                    .createGlyphVector(EXACT, new int[] {g})
                    .getGlyphMetrics(0)
                    .getAdvanceX()
                / (double) EM);
  }

  /** A glyph's outline in ems, origin on the baseline, y down. */
  public Shape outline(int glyph) {
    GlyphVector v = loaded().spaced().createGlyphVector(EXACT, new int[] {glyph});
    return java.awt.geom.AffineTransform.getScaleInstance(1 / EM, 1 / EM)
        .createTransformedShape(v.getGlyphOutline(0));
  }

  /** The corners of the convex hull of a glyph's outline, x and y in turn, in ems. */
  public double[] hull(int glyph) {
    return hulls.computeIfAbsent(glyph, g -> Hull.of(outline(g), FLATNESS)).clone();
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
