package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** The names in a font (ISO/IEC 14496-22, 5.2.4), the English ones before others. */
public final class FontNames {
  static final int FAMILY = 1;
  static final int STYLE = 2;
  static final int FULL = 4;
  static final int FAMILY_OF_MANY = 16;
  static final int STYLE_OF_MANY = 17;

  private static final int RECORD = 12;
  private static final int WINDOWS = 3;
  private static final int ENGLISH = 0x409;

  private final Map<Integer, String> names = new HashMap<>();
  private final Map<Integer, Integer> ranks = new HashMap<>();

  private FontNames() {}

  /** The names of a font; none where it has no table of them. */
  public static FontNames of(FontTables font) {
    FontNames all = new FontNames();
    font.table("name").ifPresent(all::read);
    return all;
  }

  private void read(ByteBuffer table) {
    if (table.capacity() < 6) {
      return;
    }
    int count = table.getShort(2) & 0xffff;
    int strings = table.getShort(4) & 0xffff;
    for (int i = 0; i < count && 6 + (i + 1) * RECORD <= table.capacity(); i++) {
      int at = 6 + i * RECORD;
      int platform = table.getShort(at) & 0xffff;
      int language = table.getShort(at + 4) & 0xffff;
      int id = table.getShort(at + 6) & 0xffff;
      int length = table.getShort(at + 8) & 0xffff;
      int from = strings + (table.getShort(at + 10) & 0xffff);
      if (from + length > table.capacity()) {
        continue;
      }
      byte[] text = new byte[length];
      table.get(from, text);
      Charset set = platform == 1 ? StandardCharsets.ISO_8859_1 : StandardCharsets.UTF_16BE;
      int rank = platform == WINDOWS ? language == ENGLISH ? 3 : 1 : 2;
      String name = new String(text, set).replaceAll("\\p{Cntrl}", "").strip();
      if (!name.isEmpty() && rank > ranks.getOrDefault(id, 0)) {
        ranks.put(id, rank);
        names.put(id, name);
      }
    }
  }

  /** A name that is shown, cut where it is longer than names are. */
  public Optional<String> brief(int id) {
    return name(id).map(FontNames::brief);
  }

  static String brief(String name) {
    return name.length() > FontLimits.LONGEST_NAME
        ? name.substring(0, FontLimits.LONGEST_NAME)
        : name;
  }

  /** A name by its number. */
  public Optional<String> name(int id) {
    return Optional.ofNullable(names.get(id));
  }

  /** Every name there is, by its number. */
  Map<Integer, String> all() {
    return Map.copyOf(names);
  }
}
