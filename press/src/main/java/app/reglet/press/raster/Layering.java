package app.reglet.press.raster;

import app.reglet.press.picture.PixelRow;
import java.awt.image.BufferedImage;
import java.util.stream.IntStream;

/** Lays pixels over pixels (ISO 32000-1, 11.3.3 and 11.3.5). */
final class Layering {
  /** Pixels that are worth all processors. */
  private static final int LEAST_SHARED = 1 << 15;

  private Layering() {}

  /**
   * Lays an image over another of the same size.
   *
   * @param over ARGB
   * @param mask its lightness says how much is seen; null for all
   * @param opacity 0 to 1
   * @param multiply whether colours are multiplied
   */
  static void lay(
      BufferedImage over,
      BufferedImage under,
      BufferedImage mask,
      double opacity,
      boolean multiply) {
    int w = over.getWidth();
    PixelRow tops = new PixelRow(over);
    PixelRow bottoms = new PixelRow(under);
    PixelRow lights = mask == null ? null : new PixelRow(mask);
    IntStream rows = IntStream.range(0, over.getHeight());
    (over.getHeight() * w > LEAST_SHARED ? rows.parallel() : rows)
        .forEach(
            y -> {
              int[] top = new int[w];
              int[] bottom = new int[w];
              int[] light = new int[w];
              tops.read(y, top);
              bottoms.read(y, bottom);
              if (mask != null) {
                lights.read(y, light);
              }
              for (int x = 0; x < w; x++) {
                double a = (top[x] >>> 24) / 255.0 * opacity;
                if (mask != null) {
                  a *= luminance(light[x]);
                }
                if (a > 0) {
                  bottom[x] = laid(top[x], bottom[x], a, multiply);
                }
              }
              bottoms.write(y, bottom);
            });
  }

  private static double luminance(int rgb) {
    return (0.3 * (rgb >> 16 & 0xff) + 0.59 * (rgb >> 8 & 0xff) + 0.11 * (rgb & 0xff)) / 255;
  }

  /** One channel of something laid on what hides all below it. */
  private static int mean(int top, int bottom, int shift, double a) {
    int under = bottom >> shift & 0xff;
    return (int) (under + a * ((top >> shift & 0xff) - under) + 0.5) << shift;
  }

  private static int laid(int top, int bottom, double a, boolean multiply) {
    if (bottom >>> 24 == 255 && !multiply) {
      return 0xff000000
          | mean(top, bottom, 16, a)
          | mean(top, bottom, 8, a)
          | mean(top, bottom, 0, a);
    }
    double ab = (bottom >>> 24) / 255.0;
    double ar = a + ab - a * ab;
    int out = (int) Math.round(ar * 255) << 24;
    for (int shift = 0; shift <= 16; shift += 8) {
      double cs = (top >> shift & 0xff) / 255.0;
      double cb = (bottom >> shift & 0xff) / 255.0;
      double mixed = multiply ? (1 - ab) * cs + ab * cs * cb : cs;
      double c = ar == 0 ? 0 : (1 - a / ar) * cb + a / ar * mixed;
      out |= (int) Math.round(Math.max(0, Math.min(1, c)) * 255) << shift;
    }
    return out;
  }
}
