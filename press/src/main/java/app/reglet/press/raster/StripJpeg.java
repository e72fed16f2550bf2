package app.reglet.press.raster;

import app.reglet.press.colour.PixelInks;
import app.reglet.press.picture.Rows;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/**
 * A JPEG of any size, in three colours or four inks, packed a strip at a time. Each strip is packed
 * as a picture of its own with the usual tables; their packed pixels are joined by restart markers,
 * at which a decoder begins anew as each strip did (ITU-T T.81, B.1.1.3, B.2.4.4 and F.1.1.5.1).
 */
public final class StripJpeg {
  private static final int STRIP_PIXELS = 2_000_000;

  /** Rows that units of every sampling divide. */
  private static final int UNIT = 16;

  /** Units between two restarts, 16 bits of them. */
  private static final int MOST_UNITS = 65_535;

  private static final int MARK = 0xff;
  private static final int SOI = 0xd8;
  private static final int EOI = 0xd9;
  private static final int SOF0 = 0xc0;
  private static final int SOS = 0xda;
  private static final int DRI = 0xdd;
  private static final int RST0 = 0xd0;

  /** The pixels of a picture, asked for from the top. */
  public interface Strips {
    /**
     * @param y its first row
     * @param rows how many
     */
    IIOImage of(int y, int rows) throws IOException;
  }

  private StripJpeg() {}

  /** Rows in three colours. */
  static Strips rgb(Rows rows) {
    return (y, n) -> {
      BufferedImage image = new BufferedImage(rows.width(), n, BufferedImage.TYPE_INT_RGB);
      image.setRGB(0, 0, rows.width(), n, argb(rows, n), 0, rows.width());
      return new IIOImage(image, null, null);
    };
  }

  /**
   * Rows in sRGB, in four inks.
   *
   * @param inverted as a file of its own has them, marked so; not as a PDF reads them without
   *     further marks (ISO 32000-1, 7.4.8)
   */
  public static Strips inks(Rows rows, PixelInks inks, boolean inverted) {
    return (y, n) -> {
      int[] argb = argb(rows, n);
      byte[] data = new byte[4 * argb.length];
      inks.convert(argb, data);
      if (inverted) {
        for (int i = 0; i < data.length; i++) {
          data[i] = (byte) ~data[i];
        }
      }
      return inks(data, rows.width());
    };
  }

  /**
   * Four inks.
   *
   * @param inks four bytes a pixel
   * @param wide pixels of a row
   */
  public static IIOImage inks(byte[] inks, int wide) {
    int[] offsets = {0, 1, 2, 3};
    return new IIOImage(
        Raster.createInterleavedRaster(
            new DataBufferByte(inks, inks.length),
            wide,
            inks.length / 4 / wide,
            4 * wide,
            4,
            offsets,
            null),
        null,
        null);
  }

  private static int[] argb(Rows rows, int n) throws IOException {
    int[] argb = new int[n * rows.width()];
    int[] row = new int[rows.width()];
    for (int i = 0; i < n; i++) {
      rows.next(row);
      System.arraycopy(row, 0, argb, i * row.length, row.length);
    }
    return argb;
  }

  /**
   * Writes one.
   *
   * @param quality 0 to 1
   * @param segments what the file says of itself
   * @param out where to; not closed
   */
  public static void write(
      int wide, int high, Strips strips, float quality, byte[] segments, OutputStream out)
      throws IOException {
    int units = (wide + 7) / 8 * 2; // of 8 × 8 pixels in 16 rows, the most there are
    int strip = UNIT * Math.max(1, Math.min(STRIP_PIXELS / wide / UNIT, MOST_UNITS / units));
    for (int y = 0; y < high; y += strip) {
      Packed packed = Packed.of(jpeg(strips.of(y, Math.min(strip, high - y)), quality));
      if (y == 0) {
        out.write(new byte[] {(byte) MARK, (byte) SOI});
        out.write(segments);
        packed.head(high, strip, out);
      } else {
        out.write(MARK);
        out.write(RST0 + (y / strip - 1) % 8);
      }
      packed.pixels(out);
    }
    out.write(new byte[] {(byte) MARK, (byte) EOI});
  }

  /** The JDK's own, which takes bare rasters. */
  private static ImageWriter writer() {
    for (var i = ImageIO.getImageWritersByFormatName("jpeg"); i.hasNext(); ) {
      ImageWriter next = i.next();
      if (next.getClass().getName().startsWith("com.sun.")) {
        return next;
      }
    }
    throw new IllegalStateException("no writer of JPEGs in four inks");
  }

  private static byte[] jpeg(IIOImage image, float quality) throws IOException {
    ImageWriter writer = writer();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(stream);
      writer.write(null, image, param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }

  /**
   * A packed strip.
   *
   * @param tables where they begin, after the writer's own application segments
   * @param frame where the segment with the size is
   * @param scan where the segment before the pixels is
   */
  private record Packed(byte[] file, int tables, int frame, int scan) {
    static Packed of(byte[] file) {
      int tables = 2;
      int frame = 0;
      int at = 2;
      while ((file[at + 1] & 0xff) != SOS) {
        int kind = file[at + 1] & 0xff;
        int next = at + 2 + two(file, at + 2);
        if ((kind & 0xf0) == 0xe0) {
          tables = next;
        }
        if (kind == SOF0) {
          frame = at;
        }
        at = next;
      }
      if (frame == 0) {
        throw new IllegalStateException("no baseline JPEG came from the writer");
      }
      return new Packed(file, tables, frame, at);
    }

    private static int two(byte[] file, int at) {
      return (file[at] & 0xff) << 8 | file[at + 1] & 0xff;
    }

    /** Tables, size of the whole, and how many units lie between restarts. */
    void head(int high, int strip, OutputStream out) throws IOException {
      byte[] head = Arrays.copyOfRange(file, tables, scan);
      head[frame - tables + 5] = (byte) (high >> 8);
      head[frame - tables + 6] = (byte) high;
      out.write(head);
      int units = units(strip);
      out.write(new byte[] {(byte) MARK, (byte) DRI, 0, 4, (byte) (units >> 8), (byte) units});
      out.write(file, scan, 2 + two(file, scan + 2));
    }

    /** Units of the strip, as large as the coarsest component asks (T.81, A.2.4). */
    private int units(int strip) {
      int wide = two(file, frame + 7);
      int most = 1;
      int mostHigh = 1;
      int parts = file[frame + 9];
      for (int i = 0; i < parts; i++) {
        int sampling = file[frame + 11 + 3 * i] & 0xff;
        most = Math.max(most, sampling >> 4);
        mostHigh = Math.max(mostHigh, sampling & 0xf);
      }
      return (wide + 8 * most - 1) / (8 * most) * (strip / (8 * mostHigh));
    }

    /** The packed pixels. */
    void pixels(OutputStream out) throws IOException {
      int from = scan + 2 + two(file, scan + 2);
      out.write(file, from, file.length - 2 - from);
    }
  }
}
