package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.util.Map;

/** How bold a font is and whether it slants, by OS/2 and head (ISO/IEC 14496-22, 5.2). */
final class FontStyle {
  private static final int ITALIC_OR_OBLIQUE = 0x201;

  private FontStyle() {}

  /** From 1 to 1000. */
  static int weight(FontTables font, Map<String, Double> place) {
    Double wght = place.get("wght");
    int weight =
        wght != null
            ? (int) Math.round(wght)
            : font.table("OS/2")
                .filter(t -> t.capacity() > 6)
                .map(t -> t.getShort(4))
                .orElse((short) 400);
    if (weight > 0 && weight < 10) {
      weight *= 100; // classes of old, 1 to 9
    }
    return weight <= 0 ? 400 : Math.min(1000, weight);
  }

  static boolean isItalic(FontTables font, Map<String, Double> place) {
    if (place.getOrDefault("ital", 0.0) >= 0.5 || place.getOrDefault("slnt", 0.0) != 0) {
      return true;
    }
    ByteBuffer os2 = font.table("OS/2").orElse(null);
    boolean said =
        os2 != null && os2.capacity() >= 64 && (os2.getShort(62) & ITALIC_OR_OBLIQUE) != 0;
    return said || (font.table("head").orElseThrow().getShort(44) & 2) != 0;
  }
}
