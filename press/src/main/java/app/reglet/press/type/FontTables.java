package app.reglet.press.type;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The tables of an OpenType file (ISO/IEC 14496-22, 4.3): big-endian, by their tags. */
final class FontTables {
  private static final int RECORD = 16;
  private static final int HEAD = 12;

  private final byte[] file;
  private final Map<String, ByteBuffer> tables = new LinkedHashMap<>();

  /**
   * Reads the directory.
   *
   * @throws IllegalArgumentException when a table does not lie in the file
   */
  FontTables(byte[] file) {
    this.file = file;
    ByteBuffer all = ByteBuffer.wrap(file);
    if (file.length < HEAD) {
      throw new IllegalArgumentException("The file ends before its list of tables.");
    }
    int count = all.getShort(4) & 0xffff;
    if (file.length < HEAD + count * RECORD) {
      throw new IllegalArgumentException("The file ends within its list of tables.");
    }
    for (int i = 0; i < count; i++) {
      int at = HEAD + i * RECORD;
      String tag = new String(file, at, 4, StandardCharsets.ISO_8859_1);
      long from = all.getInt(at + 8) & 0xffffffffL;
      long length = all.getInt(at + 12) & 0xffffffffL;
      if (from + length > file.length) {
        throw new IllegalArgumentException("Its table “" + tag + "” ends after the file does.");
      }
      tables.put(tag, all.slice((int) from, (int) length));
    }
  }

  Optional<ByteBuffer> table(String tag) {
    return Optional.ofNullable(tables.get(tag)).map(b -> b.duplicate().position(0));
  }

  Map<String, ByteBuffer> all() {
    return tables;
  }

  /** Where a table begins in the file. */
  int offset(String tag) {
    return tables.get(tag).arrayOffset();
  }

  byte[] file() {
    return file;
  }
}
