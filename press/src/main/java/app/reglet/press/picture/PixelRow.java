package app.reglet.press.picture;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;

/**
 * Rows of an image's pixels as 0xAARRGGBB. Those of the usual kinds are read where they lie: asking
 * for each through its colour model takes ten times as long.
 */
public final class PixelRow {
  private final BufferedImage image;
  private final int width;
  private final int[] words;
  private final byte[] bytes;

  /** Of an image. */
  public PixelRow(BufferedImage image) {
    this.image = image;
    this.width = image.getWidth();
    boolean whole =
        image.getRaster().getParent() == null
            && image.getRaster().getSampleModelTranslateX() == 0
            && image.getRaster().getSampleModelTranslateY() == 0;
    int type = image.getType();
    boolean ints =
        whole
            && (type == BufferedImage.TYPE_INT_RGB || type == BufferedImage.TYPE_INT_ARGB)
            && ((DataBufferInt) image.getRaster().getDataBuffer()).getData().length
                == width * image.getHeight();
    boolean bgr =
        whole
            && type == BufferedImage.TYPE_3BYTE_BGR
            && ((DataBufferByte) image.getRaster().getDataBuffer()).getData().length
                == 3 * width * image.getHeight();
    this.words = ints ? ((DataBufferInt) image.getRaster().getDataBuffer()).getData() : null;
    this.bytes = bgr ? ((DataBufferByte) image.getRaster().getDataBuffer()).getData() : null;
  }

  /** Reads the y-th row. */
  public void read(int y, int[] row) {
    if (words != null) {
      System.arraycopy(words, y * width, row, 0, width);
      if (image.getType() == BufferedImage.TYPE_INT_RGB) {
        for (int x = 0; x < width; x++) {
          row[x] |= 0xff000000;
        }
      }
    } else if (bytes != null) {
      int at = 3 * y * width;
      for (int x = 0; x < width; x++, at += 3) {
        row[x] =
            0xff000000
                | (bytes[at + 2] & 0xff) << 16
                | (bytes[at + 1] & 0xff) << 8
                | bytes[at] & 0xff;
      }
    } else {
      image.getRGB(0, y, width, 1, row, 0, width);
    }
  }

  /** Writes the y-th row. */
  public void write(int y, int[] row) {
    if (words != null) {
      System.arraycopy(row, 0, words, y * width, width);
    } else if (bytes != null) {
      int at = 3 * y * width;
      for (int x = 0; x < width; x++, at += 3) {
        bytes[at] = (byte) row[x];
        bytes[at + 1] = (byte) (row[x] >> 8);
        bytes[at + 2] = (byte) (row[x] >> 16);
      }
    } else {
      image.setRGB(0, y, width, 1, row, 0, width);
    }
  }
}
