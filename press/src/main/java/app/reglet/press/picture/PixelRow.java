package app.reglet.press.picture;

import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.SinglePixelPackedSampleModel;

/**
 * Rows of an image's pixels as 0xAARRGGBB, not premultiplied. Those of the usual kinds are read
 * where they lie: asking for each through its colour model takes ten times as long.
 */
public final class PixelRow {
  private static final int OPAQUE = 0xff000000;

  private final BufferedImage image;
  private final int width;
  private final int stride;
  private final int[] words;
  private final byte[] bytes;
  private final int step;
  private final int[] offsets;

  /** Of an image. */
  public PixelRow(BufferedImage image) {
    this.image = image;
    this.width = image.getWidth();
    boolean whole =
        image.getRaster().getParent() == null
            && image.getRaster().getSampleModelTranslateX() == 0
            && image.getRaster().getSampleModelTranslateY() == 0
            && image.getRaster().getDataBuffer().getOffset() == 0;
    int type = image.getType();
    if (whole && (type == BufferedImage.TYPE_INT_RGB || type == BufferedImage.TYPE_INT_ARGB)) {
      words = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
      stride = ((SinglePixelPackedSampleModel) image.getSampleModel()).getScanlineStride();
      bytes = null;
      step = 1;
      offsets = null;
    } else if (whole
        && isPlain(image.getColorModel())
        && image.getSampleModel() instanceof PixelInterleavedSampleModel model) {
      words = null;
      bytes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
      stride = model.getScanlineStride();
      step = model.getPixelStride();
      offsets = model.getBandOffsets();
    } else {
      words = null;
      bytes = null;
      stride = 0;
      step = 0;
      offsets = null;
    }
  }

  /** Red, green and blue of sRGB, and perhaps an opacity that is not multiplied in: a byte each. */
  private static boolean isPlain(ColorModel model) {
    return model instanceof ComponentColorModel
        && model.getColorSpace().isCS_sRGB()
        && model.getTransferType() == DataBuffer.TYPE_BYTE
        && model.getComponentSize(0) == 8
        && (model.getNumComponents() == 3
            || model.getNumComponents() == 4 && !model.isAlphaPremultiplied());
  }

  /**
   * All pixels of an image.
   *
   * @return 0xAARRGGBB, row after row from the top
   */
  public static int[] all(BufferedImage image) {
    int width = image.getWidth();
    int[] all = new int[width * image.getHeight()];
    PixelRow rows = new PixelRow(image);
    for (int y = 0; y < image.getHeight(); y++) {
      rows.read(y, all, y * width);
    }
    return all;
  }

  /** Reads the y-th row. */
  public void read(int y, int[] row) {
    read(y, row, 0);
  }

  private void read(int y, int[] out, int from) {
    if (words != null) {
      System.arraycopy(words, y * stride, out, from, width);
      if (image.getType() == BufferedImage.TYPE_INT_RGB) {
        for (int x = from; x < from + width; x++) {
          out[x] |= OPAQUE;
        }
      }
    } else if (bytes != null) {
      int r = y * stride + offsets[0];
      int g = y * stride + offsets[1];
      int b = y * stride + offsets[2];
      for (int x = from; x < from + width; x++, r += step, g += step, b += step) {
        out[x] = OPAQUE | (bytes[r] & 0xff) << 16 | (bytes[g] & 0xff) << 8 | bytes[b] & 0xff;
      }
      if (offsets.length == 4) {
        int a = y * stride + offsets[3];
        for (int x = from; x < from + width; x++, a += step) {
          out[x] &= ~OPAQUE | bytes[a] << 24;
        }
      }
    } else {
      image.getRGB(0, y, width, 1, out, from, width);
    }
  }

  /** Writes the y-th row. */
  public void write(int y, int[] row) {
    if (words != null) {
      System.arraycopy(row, 0, words, y * stride, width);
    } else if (bytes != null) {
      int at = y * stride;
      for (int x = 0; x < width; x++, at += step) {
        bytes[at + offsets[0]] = (byte) (row[x] >> 16);
        bytes[at + offsets[1]] = (byte) (row[x] >> 8);
        bytes[at + offsets[2]] = (byte) row[x];
        if (offsets.length == 4) {
          bytes[at + offsets[3]] = (byte) (row[x] >>> 24);
        }
      }
    } else {
      image.setRGB(0, y, width, 1, row, 0, width);
    }
  }
}
