package app.reglet.press;

import app.reglet.press.picture.Orientation;
import java.awt.geom.AffineTransform;
import java.awt.image.AffineTransformOp;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;

/**
 * JPEGs that a camera held in one of eight ways would write (CIPA DC-008: APP1, TIFF tag 0x0112).
 */
public final class ExifSpecimen {
  private ExifSpecimen() {}

  /** A JPEG whose stored rows are turned so that with this orientation it is seen upright. */
  public static byte[] jpeg(BufferedImage upright, int orientation) throws Exception {
    int w = upright.getWidth();
    int h = upright.getHeight();
    boolean swap = Orientation.swapsSides(orientation);
    int sw = swap ? h : w;
    int sh = swap ? w : h;
    // stored pixel → upright pixel, written out by hand from the standard's table, then inverted
    int[][] toUpright = {
      null,
      {1, 0, 0, 1, 0, 0},
      {-1, 0, 0, 1, w, 0},
      {-1, 0, 0, -1, w, h},
      {1, 0, 0, -1, 0, h},
      {0, 1, 1, 0, 0, 0},
      {0, 1, -1, 0, w, 0},
      {0, -1, -1, 0, w, h},
      {0, -1, 1, 0, 0, h}
    };
    int[] m = toUpright[orientation];
    AffineTransform stored =
        new AffineTransform(m[0], m[1], m[2], m[3], m[4], m[5]).createInverse();
    BufferedImage out = new BufferedImage(sw, sh, BufferedImage.TYPE_INT_RGB);
    new AffineTransformOp(stored, AffineTransformOp.TYPE_NEAREST_NEIGHBOR).filter(upright, out);
    byte[] plain = Specimen.encode(out, "jpg");
    ByteBuffer exif = ByteBuffer.allocate(36);
    exif.put((byte) 0xff).put((byte) 0xe1).putShort((short) 34);
    exif.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
    exif.put("MM\0*".getBytes(StandardCharsets.US_ASCII)).putInt(8);
    exif.putShort((short) 1)
        .putShort((short) 0x0112)
        .putShort((short) 3)
        .putInt(1)
        .putShort((short) orientation)
        .putShort((short) 0);
    exif.putInt(0);
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    file.write(plain, 0, 2);
    file.write(exif.array());
    file.write(plain, 2, plain.length - 2);
    return file.toByteArray();
  }
}
