package app.reglet.press.font;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/** Fonts packed for web pages: WOFF File Format 1.0 (W3C Recommendation, 2012), sections 3 to 5. */
final class Woff {
  private static final int HEAD = 44;
  private static final int RECORD = 20;

  private Woff() {}

  static FontTables unpack(byte[] file) {
    ByteBuffer all = ByteBuffer.wrap(file);
    if (file.length < HEAD) {
      throw Damaged.font("it ends before its list of tables.");
    }
    int count = all.getShort(12) & 0xffff;
    Map<String, byte[]> tables = new LinkedHashMap<>();
    long whole = 0;
    for (int i = 0; i < count; i++) {
      int at = HEAD + i * RECORD;
      if (at + RECORD > file.length) {
        throw Damaged.font("it ends within its list of tables.");
      }
      String tag = new String(file, at, 4, StandardCharsets.ISO_8859_1);
      long from = all.getInt(at + 4) & 0xffffffffL;
      long packed = all.getInt(at + 8) & 0xffffffffL;
      long length = all.getInt(at + 12) & 0xffffffffL;
      whole += length;
      if (from + packed > file.length || packed > length || whole > FontLimits.MOST_UNPACKED) {
        throw Damaged.font("its packed tables do not lie in the file.");
      }
      tables.put(tag, table(file, (int) from, (int) packed, (int) length));
    }
    return new FontTables(tables);
  }

  private static byte[] table(byte[] file, int from, int packed, int length) {
    byte[] table = new byte[length];
    if (packed == length) {
      System.arraycopy(file, from, table, 0, length);
      return table;
    }
    Inflater inflater = new Inflater();
    try {
      inflater.setInput(file, from, packed);
      int got = 0;
      while (got < length) {
        int n = inflater.inflate(table, got, length - got);
        if (n == 0) {
          throw Damaged.font("a packed table of it ends too early.");
        }
        got += n;
      }
      return table;
    } catch (DataFormatException e) {
      throw Damaged.font("a packed table of it can't be unpacked.");
    } finally {
      inflater.end();
    }
  }
}
