package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The tables of an OpenType font (ISO/IEC 14496-22, 4.3): big-endian, by their tags. */
public final class FontTables {
  private static final int RECORD = 16;
  private static final int HEAD = 12;

  private final Map<String, ByteBuffer> tables = new LinkedHashMap<>();

  /**
   * Reads the directory of a file that is one font.
   *
   * @throws IllegalArgumentException when a table does not lie in the file
   */
  public FontTables(byte[] file) {
    this(file, 0);
  }

  /**
   * Reads a directory.
   *
   * @param directory where it begins in the file; offsets of tables count from the file's beginning
   * @throws IllegalArgumentException when a table does not lie in the file
   */
  FontTables(byte[] file, long directory) {
    ByteBuffer all = ByteBuffer.wrap(file);
    if (directory < 0 || directory + HEAD > file.length) {
      throw new IllegalArgumentException("The file ends before its list of tables.");
    }
    int head = (int) directory;
    int count = all.getShort(head + 4) & 0xffff;
    if (file.length < head + HEAD + (long) count * RECORD) {
      throw new IllegalArgumentException("The file ends within its list of tables.");
    }
    for (int i = 0; i < count; i++) {
      int at = head + HEAD + i * RECORD;
      String tag = new String(file, at, 4, StandardCharsets.ISO_8859_1);
      long from = all.getInt(at + 8) & 0xffffffffL;
      long length = all.getInt(at + 12) & 0xffffffffL;
      if (from + length > file.length) {
        throw new IllegalArgumentException(
            "Its table “" + tag.replaceAll("[^ -~]", "?") + "” ends after the file does.");
      }
      tables.put(tag, all.slice((int) from, (int) length));
    }
  }

  /** Tables that lie nowhere in one file. */
  FontTables(Map<String, byte[]> tables) {
    tables.forEach((tag, bytes) -> this.tables.put(tag, ByteBuffer.wrap(bytes)));
  }

  /** A table, big-endian, read from its beginning. */
  public Optional<ByteBuffer> table(String tag) {
    return Optional.ofNullable(tables.get(tag)).map(b -> b.duplicate().position(0));
  }

  boolean has(String tag) {
    return tables.containsKey(tag);
  }

  /** A copy of a table's bytes, to change them. */
  Optional<byte[]> bytes(String tag) {
    return table(tag)
        .map(
            t -> {
              byte[] copy = new byte[t.remaining()];
              t.get(copy);
              return copy;
            });
  }
}
