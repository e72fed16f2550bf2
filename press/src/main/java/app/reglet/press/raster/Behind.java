package app.reglet.press.raster;

import app.reglet.core.design.LinearLight;
import java.awt.Rectangle;

/** Colours of an area, each as the mean light of a square round it. */
final class Behind {
  private final int[] rgb;
  private final Rectangle wide;
  private final Rectangle area;
  private final int round;

  /** Sums of light above and left of a pixel, three for each; null where no mean is taken. */
  private final double[] sums;

  /**
   * @param rgb of all pixels of {@code wide}, row by row
   * @param wide the area with what lies round it, as far as there is any
   * @param area in the same coordinates
   * @param round pixels each way that a mean is taken of; 0 for each pixel's own colour
   */
  Behind(int[] rgb, Rectangle wide, Rectangle area, int round) {
    this.rgb = rgb;
    this.wide = wide;
    this.area = area;
    this.round = round;
    this.sums = round == 0 ? null : sums();
  }

  private double[] sums() {
    int across = wide.width + 1;
    double[] out = new double[3 * across * (wide.height + 1)];
    for (int y = 0; y < wide.height; y++) {
      for (int x = 0; x < wide.width; x++) {
        int at = 3 * ((y + 1) * across + x + 1);
        int pixel = rgb[y * wide.width + x];
        for (int c = 0; c < 3; c++) {
          out[at + c] =
              LinearLight.of(pixel >> (16 - 8 * c) & 0xff)
                  + out[at + c - 3]
                  + out[at + c - 3 * across]
                  - out[at + c - 3 * across - 3];
        }
      }
    }
    return out;
  }

  /** The colour of a pixel, 0xRRGGBB; from the area's own corner. */
  int at(int x, int y) {
    int cx = area.x - wide.x + x;
    int cy = area.y - wide.y + y;
    if (sums == null) {
      return rgb[cy * wide.width + cx] & 0xffffff;
    }
    int left = Math.max(0, cx - round);
    int top = Math.max(0, cy - round);
    int right = Math.min(wide.width, cx + round + 1);
    int bottom = Math.min(wide.height, cy + round + 1);
    int across = wide.width + 1;
    double n = (double) (right - left) * (bottom - top);
    int out = 0;
    for (int c = 0; c < 3; c++) {
      double light =
          sums[3 * (bottom * across + right) + c]
              - sums[3 * (top * across + right) + c]
              - sums[3 * (bottom * across + left) + c]
              + sums[3 * (top * across + left) + c];
      out = out << 8 | LinearLight.value(light / n);
    }
    return out;
  }
}
