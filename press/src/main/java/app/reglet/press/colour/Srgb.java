package app.reglet.press.colour;

import java.util.stream.IntStream;

/**
 * sRGB (IEC 61966-2-1) in the connection space: its primaries adapted to D50 by Bradford's
 * transform, as an sRGB profile has them.
 */
final class Srgb {
  /** Columns are the XYZ of red, green and blue under D50. */
  private static final double[][] TO_XYZ = {
    {0.4360747, 0.3850649, 0.1430804},
    {0.2225045, 0.7168786, 0.0606169},
    {0.0139322, 0.0971045, 0.7141733}
  };

  private static final double[][] FROM_XYZ = inverse(TO_XYZ);

  /** The light of each 8-bit value. */
  private static final double[] LIGHT =
      IntStream.range(0, 256).mapToDouble(v -> light(v / 255.0)).toArray();

  private Srgb() {}

  /** The light of a value 0 to 1. */
  static double light(double value) {
    return value <= 0.04045 ? value / 12.92 : Math.pow((value + 0.055) / 1.055, 2.4);
  }

  /** The value of a light 0 to 1. */
  static double value(double light) {
    return light <= 0.0031308 ? 12.92 * light : 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
  }

  /** XYZ of values 0 to 1. */
  static double[] xyz(double red, double green, double blue) {
    return times(TO_XYZ, light(red), light(green), light(blue));
  }

  /** XYZ of 0xRRGGBB. */
  static double[] xyz(int rgb) {
    return times(TO_XYZ, LIGHT[rgb >> 16 & 0xff], LIGHT[rgb >> 8 & 0xff], LIGHT[rgb & 0xff]);
  }

  /** Values of XYZ, 0 to 1, each channel for itself within what a screen shows. */
  static double[] values(double[] xyz) {
    double[] linear = times(FROM_XYZ, xyz[0], xyz[1], xyz[2]);
    for (int i = 0; i < 3; i++) {
      linear[i] = value(Math.max(0, Math.min(1, linear[i])));
    }
    return linear;
  }

  /** The nearest 0xRRGGBB of XYZ: each channel for itself, within what a screen shows. */
  static int rgb(double[] xyz) {
    double[] linear = times(FROM_XYZ, xyz[0], xyz[1], xyz[2]);
    int rgb = 0;
    for (double light : linear) {
      double value = value(Math.max(0, Math.min(1, light)));
      rgb = rgb << 8 | (int) Math.round(255 * value);
    }
    return rgb;
  }

  private static double[] times(double[][] m, double a, double b, double c) {
    double[] out = new double[3];
    for (int i = 0; i < 3; i++) {
      out[i] = m[i][0] * a + m[i][1] * b + m[i][2] * c;
    }
    return out;
  }

  private static double[][] inverse(double[][] m) {
    double det = 0;
    double[][] out = new double[3][3];
    for (int i = 0; i < 3; i++) {
      det += m[0][i] * minor(m, 0, i);
    }
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        out[j][i] = minor(m, i, j) / det;
      }
    }
    return out;
  }

  /** With its sign. */
  private static double minor(double[][] m, int row, int column) {
    int r1 = (row + 1) % 3;
    int r2 = (row + 2) % 3;
    int c1 = (column + 1) % 3;
    int c2 = (column + 2) % 3;
    return m[r1][c1] * m[r2][c2] - m[r1][c2] * m[r2][c1];
  }
}
