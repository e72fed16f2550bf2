package app.reglet.press.font;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;

/** Writes a TrueType file (ISO/IEC 14496-22, 4.3 and 5): tables in the order of their tags. */
final class FontWriter {
  private static final int WHOLE = 0xB1B0AFBA;
  private static final int ROUND_XY_LEFT_AT_ZERO = 0x000b;

  private final TreeMap<String, byte[]> tables = new TreeMap<>();

  /** A table; null for none. */
  FontWriter table(String tag, byte[] bytes) {
    if (bytes == null) {
      tables.remove(tag);
    } else {
      tables.put(tag, bytes);
    }
    return this;
  }

  /** The glyphs and what is measured of them: glyf, loca, hmtx, hhea, maxp, head. */
  FontWriter glyphs(FontTables font, Outlines outlines, int unitsPerEm, boolean slants) {
    int count = outlines.count();
    ByteArrayOutputStream glyf = new ByteArrayOutputStream();
    ByteBuffer loca = ByteBuffer.allocate((count + 1) * 4);
    ByteBuffer hmtx = ByteBuffer.allocate(count * 4);
    GlyphBytes.Extent extent = new GlyphBytes.Extent();
    for (int i = 0; i < count; i++) {
      loca.putInt(glyf.size());
      Outline outline = outlines.glyph(i);
      GlyphBytes bytes = GlyphBytes.of(outline, i, extent);
      glyf.writeBytes(bytes.data());
      int advance = (int) Math.max(0, Math.min(65_535, Math.round(outline.advance())));
      hmtx.putShort((short) advance).putShort((short) bytes.left());
      extent.advance(advance, bytes.left(), bytes.right());
    }
    loca.putInt(glyf.size());
    tables.put("glyf", glyf.toByteArray());
    tables.put("loca", loca.array());
    tables.put("hmtx", hmtx.array());
    tables.put("maxp", maxp(count, extent));
    tables.put("head", head(font, extent, unitsPerEm, slants));
    tables.put("hhea", hhea(font, extent, count));
    return this;
  }

  private static byte[] maxp(int count, GlyphBytes.Extent e) {
    return ByteBuffer.allocate(32)
        .putInt(0x10000)
        .putShort((short) count)
        .putShort((short) e.points())
        .putShort((short) e.contours())
        .putShort(14, (short) 2)
        .array();
  }

  private static byte[] head(FontTables font, GlyphBytes.Extent e, int unitsPerEm, boolean slants) {
    ByteBuffer was = font.table("head").orElseThrow();
    return ByteBuffer.allocate(54)
        .putInt(0x10000)
        .putInt(was.getInt(4))
        .putInt(0)
        .putInt(0x5F0F3CF5)
        .putShort((short) ROUND_XY_LEFT_AT_ZERO)
        .putShort((short) unitsPerEm)
        .putLong(was.getLong(20))
        .putLong(was.getLong(28))
        .putShort((short) e.minX())
        .putShort((short) e.minY())
        .putShort((short) e.maxX())
        .putShort((short) e.maxY())
        .putShort((short) (was.getShort(44) & 1 | (slants ? 2 : 0)))
        .putShort((short) 8)
        .putShort((short) 2)
        .putShort((short) 1)
        .putShort((short) 0)
        .array();
  }

  private static byte[] hhea(FontTables font, GlyphBytes.Extent e, int count) {
    ByteBuffer was = font.table("hhea").orElseThrow();
    return ByteBuffer.allocate(36)
        .putInt(0x10000)
        .putShort(was.getShort(4))
        .putShort(was.getShort(6))
        .putShort(was.getShort(8))
        .putShort((short) e.widest())
        .putShort((short) e.leastLeft())
        .putShort((short) e.leastRight())
        .putShort((short) e.maxX())
        .putShort((short) 1)
        .putShort(34, (short) count)
        .array();
  }

  /**
   * Characters in segments of the full repertoire (5.2.1.3.8, format 12) and of the basic plane
   * (format 4), which some readers ask for.
   */
  FontWriter characters(TreeMap<Integer, Integer> characters) {
    byte[] full = CharacterMap.full(characters);
    byte[] basic = CharacterMap.basic(characters);
    ByteBuffer cmap = ByteBuffer.allocate(4 + 3 * 8 + basic.length + full.length);
    int first = 4 + 3 * 8;
    cmap.putShort((short) 0).putShort((short) 3);
    cmap.putShort((short) 0).putShort((short) 4).putInt(first + basic.length);
    cmap.putShort((short) 3).putShort((short) 1).putInt(first);
    cmap.putShort((short) 3).putShort((short) 10).putInt(first + basic.length);
    tables.put("cmap", cmap.put(basic).put(full).array());
    return this;
  }

  /** Names in Windows' English, in Unicode. */
  FontWriter names(Map<Integer, String> names) {
    ByteArrayOutputStream strings = new ByteArrayOutputStream();
    ByteBuffer records = ByteBuffer.allocate(names.size() * 12);
    new TreeMap<>(names)
        .forEach(
            (id, name) -> {
              byte[] text = name.getBytes(StandardCharsets.UTF_16BE);
              records.putShort((short) 3).putShort((short) 1).putShort((short) 0x409);
              records.putShort((short) (int) id).putShort((short) text.length);
              records.putShort((short) strings.size());
              strings.writeBytes(text);
            });
    int begin = 6 + records.capacity();
    tables.put(
        "name",
        ByteBuffer.allocate(begin + strings.size())
            .putShort((short) 0)
            .putShort((short) names.size())
            .putShort((short) begin)
            .put(records.array())
            .put(strings.toByteArray())
            .array());
    return this;
  }

  /** Without names of glyphs: format 3. */
  FontWriter post(FontTables font) {
    ByteBuffer post = ByteBuffer.allocate(32).putInt(0x30000);
    font.table("post")
        .filter(was -> was.capacity() >= 16)
        .ifPresent(was -> post.putInt(was.getInt(4)).putInt(was.getInt(8)).putInt(was.getInt(12)));
    tables.put("post", post.array());
    return this;
  }

  byte[] file() {
    Map<String, Integer> offsets = new LinkedHashMap<>();
    int at = 12 + tables.size() * 16;
    for (Map.Entry<String, byte[]> e : tables.entrySet()) {
      offsets.put(e.getKey(), at);
      at += (e.getValue().length + 3) / 4 * 4;
    }
    ByteBuffer out = ByteBuffer.allocate(at);
    int power = Integer.highestOneBit(tables.size());
    out.putInt(0x10000).putShort((short) tables.size()).putShort((short) (power * 16));
    out.putShort((short) Integer.numberOfTrailingZeros(power));
    out.putShort((short) ((tables.size() - power) * 16));
    tables.forEach(
        (tag, bytes) -> {
          out.put(tag.getBytes(StandardCharsets.ISO_8859_1));
          out.putInt(sum(bytes)).putInt(offsets.get(tag)).putInt(bytes.length);
        });
    tables.forEach((tag, bytes) -> out.position(offsets.get(tag)).put(bytes));
    out.putInt(offsets.get("head") + 8, WHOLE - sum(out.array()));
    return out.array();
  }

  private static int sum(byte[] bytes) {
    ByteBuffer b = ByteBuffer.wrap(bytes);
    int sum = 0;
    while (b.remaining() >= 4) {
      sum += b.getInt();
    }
    for (int shift = 24; b.hasRemaining(); shift -= 8) {
      sum += (b.get() & 0xff) << shift;
    }
    return sum;
  }
}
