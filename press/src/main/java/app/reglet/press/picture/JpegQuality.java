package app.reglet.press.picture;

import app.reglet.press.reading.FileBytes;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;

/**
 * How much a JPEG lost when it was packed, told by the table its lightness was divided by (ITU-T
 * T.81, B.2.4.1). A quality of 50 divides by the table that T.81 gives in its annex K (table K.1);
 * others divide by multiples of it, as the Independent JPEG Group's library reckons them: {@code
 * 5000 / q} percent below 50, {@code 200 − 2q} percent above. Files of other makers have tables of
 * their own: the nearest quality is told.
 */
public final class JpegQuality {
  /** Table K.1, in the zigzag order of figure A.6. */
  private static final int[] LIGHTNESS = {
    16, 11, 12, 14, 12, 10, 16, 14, 13, 14, 18, 17, 16, 19, 24, 40,
    26, 24, 22, 22, 24, 49, 35, 37, 29, 40, 58, 51, 61, 60, 57, 51,
    56, 55, 64, 72, 92, 78, 64, 68, 87, 69, 55, 56, 80, 109, 81, 87,
    95, 98, 103, 104, 103, 62, 77, 113, 121, 112, 100, 120, 92, 101, 103, 99
  };

  private static final int TABLES = 0xdb;
  private static final int SCAN = 0xda;

  private JpegQuality() {}

  /** That of a stored picture, 1 to 100; 0 for what is no JPEG or says no table. */
  public static int of(Picture picture) {
    if (picture.format() != Picture.Format.JPEG) {
      return 0;
    }
    try {
      return of(picture.file());
    } catch (IOException e) {
      return 0;
    }
  }

  /**
   * That of a file, 1 to 100; 0 where it says no table before its pixels.
   *
   * @throws IOException when it can't be read
   */
  public static int of(FileBytes file) throws IOException {
    try (InputStream in = file.open()) {
      return of(in);
    }
  }

  /** That of what begins as a JPEG does. */
  public static int of(InputStream bytes) throws IOException {
    DataInputStream in = new DataInputStream(bytes);
    try {
      in.skipNBytes(2);
      for (int marker = JpegFile.marker(in); marker != SCAN; marker = JpegFile.marker(in)) {
        if (marker >= 0xd0 && marker <= 0xd9 || marker == 1) {
          continue;
        }
        byte[] segment = in.readNBytes(Math.max(0, in.readUnsignedShort() - 2));
        if (marker == TABLES) {
          int[] table = first(segment);
          if (table != null) {
            return nearest(table);
          }
        }
      }
    } catch (EOFException e) {
      return 0;
    }
    return 0;
  }

  /** The table numbered 0 of a segment, which may hold several; null when it is not there. */
  private static int[] first(byte[] segment) {
    int at = 0;
    while (at < segment.length) {
      int wide = (segment[at] & 0xf0) == 0 ? 1 : 2;
      boolean zero = (segment[at] & 0x0f) == 0;
      at++;
      if (at + 64 * wide > segment.length) {
        return null;
      }
      if (zero) {
        int[] table = new int[64];
        for (int i = 0; i < 64; i++) {
          int p = at + i * wide;
          table[i] =
              wide == 1 ? segment[p] & 0xff : (segment[p] & 0xff) << 8 | segment[p + 1] & 0xff;
        }
        return table;
      }
      at += 64 * wide;
    }
    return null;
  }

  private static int nearest(int[] table) {
    int best = 0;
    long least = Long.MAX_VALUE;
    for (int quality = 100; quality >= 1; quality--) {
      int percent = quality < 50 ? 5000 / quality : 200 - 2 * quality;
      long off = 0;
      for (int i = 0; i < 64; i++) {
        int divisor = Math.max(1, Math.min(255, (LIGHTNESS[i] * percent + 50) / 100));
        off += Math.abs(divisor - Math.min(255, table[i]));
      }
      if (off < least) {
        least = off;
        best = quality;
      }
    }
    return best;
  }
}
