package app.reglet.press.font;

import java.nio.ByteBuffer;

/**
 * How far glyphs go along the line and where they begin: {@code hmtx} (ISO/IEC 14496-22, 5.2.3).
 */
final class Advances {
  private final ByteBuffer hmtx;
  private final int full;

  /**
   * Of a font.
   *
   * @throws app.reglet.core.Refusal when it does not say
   */
  Advances(FontTables font) {
    hmtx = font.table("hmtx").orElseThrow(() -> Damaged.font("it has no widths."));
    ByteBuffer hhea =
        font.table("hhea").orElseThrow(() -> Damaged.font("it has no line measures."));
    if (hhea.capacity() < 36) {
      throw Damaged.font("its line measures end too early.");
    }
    full = Math.min(hhea.getShort(34) & 0xffff, hmtx.capacity() / 4);
    if (full == 0) {
      throw Damaged.font("it has no widths.");
    }
  }

  /** How many glyphs a font says it has. */
  static int glyphs(FontTables font) {
    ByteBuffer maxp = font.table("maxp").orElse(null);
    if (maxp == null || maxp.capacity() < 6 || maxp.getShort(4) == 0) {
      throw Damaged.font("it does not say how many glyphs it has.");
    }
    return maxp.getShort(4) & 0xffff;
  }

  double of(int glyph) {
    return hmtx.getShort(Math.min(glyph, full - 1) * 4) & 0xffff;
  }

  /** The left side bearing. */
  double bearing(int glyph) {
    if (glyph < full) {
      return hmtx.getShort(glyph * 4 + 2);
    }
    int at = full * 4 + (glyph - full) * 2;
    return at + 2 <= hmtx.capacity() ? hmtx.getShort(at) : 0;
  }
}
