package app.reglet.press.type;

import app.reglet.press.font.FontTables;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.GlyphVector;
import java.awt.font.TextAttribute;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** A TrueType file, the fonts to shape with that are made of it, and what was measured in ems. */
final class FontFile {
  /** Letters with ascenders, and the ligatures that may stand higher than their letters do. */
  private static final String ASCENDING = "b d f h k l Th ff fi fl ffi fb fh fj fk";

  /** Letters with descenders; in faces of capitals alone they stand as high as any. */
  private static final String DESCENDING = "g j p q y gj gy fj";

  private final byte[] file;
  private final Font kerned;
  private final Font spaced;
  private final Map<String, String> features;
  private final double ascent;
  private final double descent;
  private final double capHeight;
  private final double capMiddle;
  private final double smallMiddle;
  private final Map<List<String>, Featured> featured = new ConcurrentHashMap<>();
  private CmapLookup characters;

  /** The font with features put to use. */
  private record Featured(Font kerned, Font spaced) {}

  FontFile(byte[] file) {
    this.file = file;
    Font plain = plain(file);
    kerned = kerned(plain);
    spaced = spaced(plain);
    features = Map.copyOf(Features.of(new FontTables(file)));
    Rectangle2D letters = inkOf(kerned, ASCENDING + " " + DESCENDING);
    ascent = -letters.getMinY() / Typeface.EM;
    descent = letters.getMaxY() / Typeface.EM;
    capHeight = -inkOf(kerned, "HEIX").getMinY() / Typeface.EM;
    capMiddle = -inkOf(kerned, "HEI").getCenterY() / Typeface.EM;
    smallMiddle = -inkOf(kerned, "xz").getCenterY() / Typeface.EM;
  }

  private static Font plain(byte[] file) {
    try {
      return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(file))
          .deriveFont(Typeface.EM);
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

  /** Bounds of the shaped glyphs' outlines: measured as lines measure their ink. */
  private static Rectangle2D inkOf(Font font, String text) {
    char[] chars = text.toCharArray();
    GlyphVector v =
        font.layoutGlyphVector(Typeface.EXACT, chars, 0, chars.length, Font.LAYOUT_LEFT_TO_RIGHT);
    Rectangle2D ink = new Rectangle2D.Double();
    for (int i = 0; i < v.getNumGlyphs(); i++) {
      Rectangle2D glyph = v.getGlyphOutline(i).getBounds2D();
      if (!glyph.isEmpty()) {
        ink = ink.isEmpty() ? glyph : ink.createUnion(glyph);
      }
    }
    return ink;
  }

  byte[] file() {
    return file;
  }

  Font kerned() {
    return kerned;
  }

  Font spaced() {
    return spaced;
  }

  Map<String, String> features() {
    return features;
  }

  double ascent() {
    return ascent;
  }

  double descent() {
    return descent;
  }

  double capHeight() {
    return capHeight;
  }

  double capMiddle() {
    return capMiddle;
  }

  double smallMiddle() {
    return smallMiddle;
  }

  /** The font to shape with. */
  Font font(List<String> tags, boolean joins) {
    if (tags.isEmpty()) {
      return joins ? kerned : spaced;
    }
    Featured with =
        featured.computeIfAbsent(
            tags,
            f -> {
              Font plain = plain(Features.always(file, f));
              return new Featured(kerned(plain), spaced(plain));
            });
    return joins ? with.kerned() : with.spaced();
  }

  /** The character that the file's own table has for a glyph, the first of several; -1 for none. */
  synchronized int characterOf(int glyph) {
    if (characters == null) {
      try {
        characters =
            new TTFParser(true).parse(new RandomAccessReadBuffer(file)).getUnicodeCmapLookup(false);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    List<Integer> found = characters.getCharCodes(glyph);
    return found == null ? -1 : found.get(0);
  }
}
