package app.reglet.press.pdf;

import app.reglet.press.type.Typeface;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The typefaces of a document, each embedded once and cut down to the glyphs that were used, unless
 * its maker forbids that.
 */
final class Fonts {
  private final PDDocument document;
  private final Map<String, PDType0Font> fonts = new LinkedHashMap<>();
  private final Map<String, Set<Integer>> used = new LinkedHashMap<>();

  Fonts(PDDocument document) {
    this.document = document;
  }

  PDType0Font of(Typeface face) throws IOException {
    PDType0Font font = fonts.get(face.id());
    if (font == null) {
      font = PDType0Font.load(document, new ByteArrayInputStream(face.file()), !face.isWhole());
      fonts.put(face.id(), font);
      used.put(face.id(), new LinkedHashSet<>());
    }
    return font;
  }

  void use(Typeface face, int glyph) {
    used.get(face.id()).add(glyph);
  }

  /** Cuts each font down. Call when all is written. */
  void finish() throws IOException {
    for (Map.Entry<String, PDType0Font> e : fonts.entrySet()) {
      if (e.getValue().willBeSubset()) {
        e.getValue().addGlyphsToSubset(used.get(e.getKey()));
        e.getValue().subset();
      }
    }
  }
}
