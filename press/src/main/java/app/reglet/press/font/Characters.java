package app.reglet.press.font;

import java.io.IOException;
import java.util.List;
import java.util.TreeMap;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** Which glyph a font has for each character. */
final class Characters {
  /** Where fonts of symbols have what keys give them. */
  private static final int SYMBOLS = 0xf000;

  private Characters() {}

  /** The glyphs by their characters. */
  static TreeMap<Integer, Integer> of(FontTables tables, int glyphs) {
    FontWriter few = new FontWriter();
    for (String tag : List.of("cmap", "head", "hhea", "maxp", "hmtx")) {
      few.table(tag, tables.bytes(tag).orElse(null));
    }
    few.table("glyf", new byte[4]).table("loca", new byte[(glyphs + 1) * 4]); // the parser asks
    TreeMap<Integer, Integer> all = new TreeMap<>();
    try (TrueTypeFont font = new TTFParser(true).parse(new RandomAccessReadBuffer(few.file()))) {
      CmapLookup cmap = font.getUnicodeCmapLookup(false);
      for (int glyph = 1; cmap != null && glyph < glyphs; glyph++) {
        List<Integer> codes = cmap.getCharCodes(glyph);
        if (codes != null) {
          for (int code : codes) {
            all.put(code, glyph);
          }
        }
      }
    } catch (IOException | RuntimeException e) {
      throw Damaged.font("which glyph stands for which character can't be read.");
    }
    if (!all.isEmpty() && all.firstKey() >= SYMBOLS && all.lastKey() < SYMBOLS + 0x100) {
      new TreeMap<>(all).forEach((code, glyph) -> all.put(code - SYMBOLS, glyph));
    }
    all.keySet().removeIf(c -> c < 32 || c > Character.MAX_CODE_POINT);
    return all;
  }
}
