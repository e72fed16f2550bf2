package app.reglet.press.golden;

import app.reglet.press.picture.PixelRow;
import java.awt.image.BufferedImage;

/**
 * How far two drawings of one thing are apart.
 *
 * <p>Renderers put an edge up to a pixel apart and shade it differently, so a pixel agrees when its
 * value lies within what the nine pixels round the same place in the other have, give or take a
 * tolerance; looked at both ways.
 *
 * @param share of the pixels that do not agree, 0 to 1
 * @param mean difference of all channels, in levels of 255
 * @param where the first that do not, for the message
 */
record Difference(double share, double mean, String where) {
  /** Levels of 255 beyond what is near. */
  private static final int TOLERANCE = 40;

  static Difference of(BufferedImage first, BufferedImage second) {
    int w = Math.min(first.getWidth(), second.getWidth());
    int h = Math.min(first.getHeight(), second.getHeight());
    int[] a = PixelRow.all(first.getSubimage(0, 0, w, h));
    int[] b = PixelRow.all(second.getSubimage(0, 0, w, h));
    long apart = 0;
    long sum = 0;
    StringBuilder where = new StringBuilder();
    for (int y = 1; y < h - 1; y++) {
      for (int x = 1; x < w - 1; x++) {
        int at = y * w + x;
        boolean far = false;
        for (int shift = 0; shift <= 16; shift += 8) {
          int va = a[at] >> shift & 0xff;
          int vb = b[at] >> shift & 0xff;
          sum += Math.abs(va - vb);
          if (Math.abs(va - vb) > TOLERANCE) {
            far |= isFar(va, b, at, w, shift) || isFar(vb, a, at, w, shift);
          }
        }
        if (far) {
          if (apart < 4) {
            where.append(
                String.format(" (%d, %d: %06x, %06x)", x, y, a[at] & 0xffffff, b[at] & 0xffffff));
          }
          apart++;
        }
      }
    }
    double pixels = (double) (w - 2) * (h - 2);
    return new Difference(apart / pixels, sum / pixels / 3, where.toString());
  }

  private static boolean isFar(int value, int[] other, int at, int w, int shift) {
    int least = 255;
    int most = 0;
    for (int dy = -w; dy <= w; dy += w) {
      for (int dx = -1; dx <= 1; dx++) {
        int v = other[at + dy + dx] >> shift & 0xff;
        least = Math.min(least, v);
        most = Math.max(most, v);
      }
    }
    return value < least - TOLERANCE || value > most + TOLERANCE;
  }
}
