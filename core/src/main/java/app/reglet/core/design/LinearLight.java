package app.reglet.core.design;

/** Values of sRGB and the light they stand for (IEC 61966-2-1). */
public final class LinearLight {
  private static final double[] LIGHT = new double[256];

  static {
    for (int i = 0; i < LIGHT.length; i++) {
      double v = i / 255.0;
      LIGHT[i] = v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }
  }

  private LinearLight() {}

  /** The light of a value of 0 to 255, 0 to 1. */
  public static double of(int value) {
    return LIGHT[value];
  }

  /** The value that stands for light; what is outside 0 to 1 is as near as there is. */
  public static int value(double light) {
    double v = Math.max(0, Math.min(1, light));
    double e = v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055;
    return (int) Math.round(255 * e);
  }

  /** Relative luminance of a colour, 0xRRGGBB: 0 black to 1 white. */
  public static double luminance(int rgb) {
    return 0.2126 * of(rgb >> 16 & 0xff) + 0.7152 * of(rgb >> 8 & 0xff) + 0.0722 * of(rgb & 0xff);
  }

  /**
   * A colour with a share of another mixed in, value by value, as a screen lays one over another.
   */
  public static int mixed(int rgb, int other, double share) {
    int out = 0;
    for (int shift = 0; shift < 24; shift += 8) {
      int from = rgb >> shift & 0xff;
      out |= (int) Math.round(from + ((other >> shift & 0xff) - from) * share) << shift;
    }
    return out;
  }
}
