package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** Tables of characters and their glyphs (ISO/IEC 14496-22, 5.2.1.3). */
final class CharacterMap {
  private CharacterMap() {}

  /** Characters one after another whose glyphs are too. */
  private record Run(int first, int last, int glyph) {}

  private static List<Run> runs(SortedMap<Integer, Integer> characters) {
    List<Run> runs = new ArrayList<>();
    Run now = null;
    for (Map.Entry<Integer, Integer> e : characters.entrySet()) {
      int c = e.getKey();
      int glyph = e.getValue();
      if (now != null && c == now.last() + 1 && glyph == now.glyph() + c - now.first()) {
        now = new Run(now.first(), c, now.glyph());
        runs.set(runs.size() - 1, now);
      } else {
        now = new Run(c, c, glyph);
        runs.add(now);
      }
    }
    return runs;
  }

  /** Format 12. */
  static byte[] full(TreeMap<Integer, Integer> characters) {
    List<Run> runs = runs(characters);
    ByteBuffer out = ByteBuffer.allocate(16 + runs.size() * 12);
    out.putShort((short) 12).putShort((short) 0).putInt(out.capacity()).putInt(0);
    out.putInt(runs.size());
    runs.forEach(r -> out.putInt(r.first()).putInt(r.last()).putInt(r.glyph()));
    return out.array();
  }

  /** Format 4, as many segments as its length can say. */
  static byte[] basic(TreeMap<Integer, Integer> characters) {
    List<Run> runs = new ArrayList<>(runs(characters.headMap(0xffff)));
    if (runs.size() > 8000) {
      runs = runs.subList(0, 8000);
    }
    runs.add(new Run(0xffff, 0xffff, 0));
    int n = runs.size();
    int power = Integer.highestOneBit(n);
    ByteBuffer out = ByteBuffer.allocate(16 + n * 8);
    out.putShort((short) 4).putShort((short) out.capacity()).putShort((short) 0);
    out.putShort((short) (n * 2)).putShort((short) (power * 2));
    out.putShort((short) Integer.numberOfTrailingZeros(power));
    out.putShort((short) ((n - power) * 2));
    runs.forEach(r -> out.putShort((short) r.last()));
    out.putShort((short) 0);
    runs.forEach(r -> out.putShort((short) r.first()));
    runs.forEach(r -> out.putShort((short) (r.glyph() - r.first())));
    return out.array();
  }
}
