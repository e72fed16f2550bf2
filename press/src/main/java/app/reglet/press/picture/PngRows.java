package app.reglet.press.picture;

import java.io.DataInputStream;
import java.io.IOException;
import java.util.zip.InflaterInputStream;

/**
 * The rows of a PNG one by one, in its own colours (ISO/IEC 15948: filtering 9, colour types 6.1,
 * transparency 11.3.2). Not for interlaced ones, whose rows are not whole before the last pass.
 */
final class PngRows implements Rows {
  private static final int BUFFER = 1 << 16;

  private final PngFile png;
  private final DataInputStream in;
  private final int bytesOfPixel;
  private byte[] row;
  private byte[] above;

  PngRows(PngFile png) throws IOException {
    if (png.interlaced()) {
      throw new IOException("an interlaced PNG has no rows before its last pass");
    }
    this.png = png;
    long bits = (long) png.channels() * png.depth();
    this.bytesOfPixel = (int) Math.max(1, bits / 8);
    int length = Math.toIntExact((png.width() * bits + 7) / 8);
    this.row = new byte[length];
    this.above = new byte[length];
    this.in =
        new DataInputStream(
            new java.io.BufferedInputStream(
                new InflaterInputStream(
                    new java.io.BufferedInputStream(png.data(), BUFFER),
                    new java.util.zip.Inflater(),
                    BUFFER),
                BUFFER));
  }

  @Override
  public int width() {
    return png.width();
  }

  @Override
  public int height() {
    return png.height();
  }

  @Override
  public boolean mayBeClear() {
    return png.mayBeTransparent();
  }

  @Override
  public void next(int[] argb) throws IOException {
    byte[] last = above;
    above = row;
    row = last;
    int filter = in.readUnsignedByte();
    in.readFully(row);
    unfilter(filter);
    if (png.depth() == 8 && png.colour() == 6) {
      for (int x = 0; x < png.width(); x++) {
        argb[x] = argb(row[4 * x], row[4 * x + 1], row[4 * x + 2], row[4 * x + 3]);
      }
      return;
    }
    for (int x = 0; x < png.width(); x++) {
      argb[x] = pixel(x);
    }
  }

  private static int argb(int r, int g, int b, int a) {
    return a << 24 | (r & 0xff) << 16 | (g & 0xff) << 8 | b & 0xff;
  }

  private void unfilter(int filter) throws IOException {
    int n = bytesOfPixel;
    switch (filter) {
      case 0 -> {
        // as it is
      }
      case 1 -> {
        for (int i = n; i < row.length; i++) {
          row[i] += row[i - n];
        }
      }
      case 2 -> {
        for (int i = 0; i < row.length; i++) {
          row[i] += above[i];
        }
      }
      case 3 -> {
        for (int i = 0; i < row.length; i++) {
          int left = i < n ? 0 : row[i - n] & 0xff;
          row[i] += (byte) ((left + (above[i] & 0xff)) / 2);
        }
      }
      case 4 -> {
        for (int i = 0; i < row.length; i++) {
          int left = i < n ? 0 : row[i - n] & 0xff;
          int up = above[i] & 0xff;
          int corner = i < n ? 0 : above[i - n] & 0xff;
          row[i] += (byte) paeth(left, up, corner);
        }
      }
      default -> throw new IOException("filter " + filter);
    }
  }

  /** The neighbour nearest to left + up − corner (9.4). */
  private static int paeth(int left, int up, int corner) {
    int p = left + up - corner;
    int pa = Math.abs(p - left);
    int pb = Math.abs(p - up);
    int pc = Math.abs(p - corner);
    return pa <= pb && pa <= pc ? left : pb <= pc ? up : corner;
  }

  private int pixel(int x) {
    int r;
    int g;
    int b;
    int alpha = 255;
    switch (png.colour()) {
      case 3 -> {
        int index = sample(x, 0);
        int at = Math.min(3 * index, Math.max(0, png.palette().length - 3));
        r = png.palette()[at] & 0xff;
        g = png.palette()[at + 1] & 0xff;
        b = png.palette()[at + 2] & 0xff;
        if (index < png.transparency().length) {
          alpha = png.transparency()[index] & 0xff;
        }
      }
      case 2, 6 -> {
        r = eight(sample(x, 0));
        g = eight(sample(x, 1));
        b = eight(sample(x, 2));
        if (png.colour() == 6) {
          alpha = eight(sample(x, 3));
        } else if (isKey(x, 3)) {
          alpha = 0;
        }
      }
      default -> {
        r = eight(sample(x, 0));
        g = r;
        b = r;
        if (png.colour() == 4) {
          alpha = eight(sample(x, 1));
        } else if (isKey(x, 1)) {
          alpha = 0;
        }
      }
    }
    return argb(r, g, b, alpha);
  }

  /** Whether this is the one colour that tRNS calls transparent. */
  private boolean isKey(int x, int channels) {
    byte[] key = png.transparency();
    if (key.length < 2 * channels) {
      return false;
    }
    for (int c = 0; c < channels; c++) {
      if (sample(x, c) != ((key[2 * c] & 0xff) << 8 | key[2 * c + 1] & 0xff)) {
        return false;
      }
    }
    return true;
  }

  private int sample(int x, int channel) {
    int i = x * png.channels() + channel;
    return switch (png.depth()) {
      case 16 -> (row[2 * i] & 0xff) << 8 | row[2 * i + 1] & 0xff;
      case 8 -> row[i] & 0xff;
      default -> {
        int perByte = 8 / png.depth();
        int shift = 8 - png.depth() * (i % perByte + 1);
        yield row[i / perByte] >> shift & (1 << png.depth()) - 1;
      }
    };
  }

  private int eight(int sample) {
    return switch (png.depth()) {
      case 16 -> (sample * 255 + 32895) >> 16; // rounded to the nearest
      case 8 -> sample;
      default -> sample * 255 / ((1 << png.depth()) - 1);
    };
  }

  @Override
  public void close() throws IOException {
    in.close();
  }
}
