package app.reglet.press.raster;

import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Four inks as a JPEG (ITU-T T.81): each a component of its own, none coarser than the others. */
public final class InkJpeg {
  /** Bytes of a profile that one segment holds (ICC.1:2010, B.4). */
  private static final int MOST = 65_519;

  private static final int MARK = 0xff;
  private static final int APP2 = 0xe2;
  private static final int APP14 = 0xee;

  private InkJpeg() {}

  /**
   * Not inverted, as a PDF reads it without further marks (ISO 32000-1, 7.4.8).
   *
   * @param inks four bands, 0 none to 255 full
   * @param quality 0 to 1
   */
  public static byte[] write(Raster inks, float quality) throws IOException {
    ImageWriter writer = null;
    for (var i = ImageIO.getImageWritersByFormatName("jpeg"); i.hasNext(); ) {
      ImageWriter next = i.next();
      // the JDK's own takes bare rasters
      if (next.getClass().getName().startsWith("com.sun.")) {
        writer = next;
      }
    }
    if (writer == null) {
      throw new IOException("no writer of JPEGs in four inks");
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam param = writer.getDefaultWriteParam();
      param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      param.setCompressionQuality(quality);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(inks, null, null), param);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }

  /**
   * As a file of its own: inverted and marked so, as readers of such files expect it (the APP14
   * segment, ISO/IEC 10918-6:2013, 6.5.3), with its fineness and profile.
   */
  static void writeAlone(
      WritableRaster inks, float quality, double ppi, byte[] profile, OutputStream out)
      throws IOException {
    byte[] data = ((DataBufferByte) inks.getDataBuffer()).getData();
    WritableRaster inverted =
        Raster.createInterleavedRaster(
            DataBuffer.TYPE_BYTE, inks.getWidth(), inks.getHeight(), 4, null);
    byte[] light = ((DataBufferByte) inverted.getDataBuffer()).getData();
    for (int i = 0; i < data.length; i++) {
      light[i] = (byte) (255 - (data[i] & 0xff));
    }
    byte[] jpeg = write(inverted, quality);
    DataOutputStream to = new DataOutputStream(out);
    to.write(jpeg, 0, 2);
    segment(to, 0xe0, density(ppi));
    segment(to, APP14, transform());
    int parts = (profile.length + MOST - 1) / MOST;
    for (int i = 0; i < parts; i++) {
      ByteArrayOutputStream part = new ByteArrayOutputStream();
      part.write("ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII));
      part.write(i + 1);
      part.write(parts);
      part.write(Arrays.copyOfRange(profile, i * MOST, Math.min(profile.length, (i + 1) * MOST)));
      segment(to, APP2, part.toByteArray());
    }
    int from = 2;
    while ((jpeg[from + 1] & 0xf0) == 0xe0) { // the writer's own application segments
      from += 2 + ((jpeg[from + 2] & 0xff) << 8 | jpeg[from + 3] & 0xff);
    }
    to.write(jpeg, from, jpeg.length - from);
    to.flush();
  }

  private static void segment(DataOutputStream to, int kind, byte[] content) throws IOException {
    to.write(MARK);
    to.write(kind);
    to.writeShort(2 + content.length);
    to.write(content);
  }

  /** JFIF 1.02, dots per inch. */
  private static byte[] density(double ppi) {
    int n = (int) Math.round(ppi);
    return new byte[] {
      'J', 'F', 'I', 'F', 0, 1, 2, 1, (byte) (n >> 8), (byte) n, (byte) (n >> 8), (byte) n, 0, 0
    };
  }

  /** No transform of colours: four inks. */
  private static byte[] transform() {
    return new byte[] {'A', 'd', 'o', 'b', 'e', 0, 100, 0, 0, 0, 0, 0};
  }
}
