package app.reglet.press.raster;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** The application segments of a JPEG: what a file says of itself before its pixels. */
final class JpegSegments {
  /** Bytes of a profile that one segment holds (ICC.1:2010, B.4). */
  private static final int MOST = 65_519;

  private static final int MARK = 0xff;
  private static final int APP0 = 0xe0;
  private static final int APP1 = 0xe1;
  private static final int APP2 = 0xe2;
  private static final int APP14 = 0xee;

  private final ByteArrayOutputStream all = new ByteArrayOutputStream();

  private JpegSegments() {}

  static JpegSegments none() {
    return new JpegSegments();
  }

  /** Beginning with how fine the pixels are, dots per inch (JFIF 1.02, page 5). */
  static JpegSegments fine(double ppi) {
    int n = (int) Math.round(ppi);
    return new JpegSegments()
        .with(
            APP0,
            new byte[] {
              'J',
              'F',
              'I',
              'F',
              0,
              1,
              2,
              1,
              (byte) (n >> 8),
              (byte) n,
              (byte) (n >> 8),
              (byte) n,
              0,
              0
            });
  }

  /**
   * With the mark that four inks are written inverted and not transformed, as readers of such files
   * expect it (ISO/IEC 10918-6:2013, 6.5.3).
   */
  JpegSegments inverted() {
    return with(APP14, new byte[] {'A', 'd', 'o', 'b', 'e', 0, 100, 0, 0, 0, 0, 0});
  }

  /** With a profile. */
  JpegSegments profile(byte[] icc) {
    int parts = (icc.length + MOST - 1) / MOST;
    for (int i = 0; i < parts; i++) {
      ByteArrayOutputStream part = new ByteArrayOutputStream();
      part.writeBytes("ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII));
      part.write(i + 1);
      part.write(parts);
      part.writeBytes(Arrays.copyOfRange(icc, i * MOST, Math.min(icc.length, (i + 1) * MOST)));
      with(APP2, part.toByteArray());
    }
    return this;
  }

  /** With an XMP packet (ISO 16684-1; its place in a JPEG: ISO 16684-3, from memory). */
  JpegSegments xmp(byte[] packet) {
    ByteArrayOutputStream part = new ByteArrayOutputStream();
    part.writeBytes("http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.US_ASCII));
    part.writeBytes(packet);
    return with(APP1, part.toByteArray());
  }

  private JpegSegments with(int kind, byte[] content) {
    all.write(MARK);
    all.write(kind);
    all.write((2 + content.length) >> 8);
    all.write(2 + content.length);
    all.writeBytes(content);
    return this;
  }

  byte[] bytes() {
    return all.toByteArray();
  }

  /** A JPEG with them after its first segment, which says how fine it is. */
  byte[] in(byte[] jpeg) {
    int first = 4 + ((jpeg[4] & 0xff) << 8 | jpeg[5] & 0xff);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, first);
    out.writeBytes(bytes());
    out.write(jpeg, first, jpeg.length - first);
    return out.toByteArray();
  }
}
