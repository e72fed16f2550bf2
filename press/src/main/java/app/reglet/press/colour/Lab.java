package app.reglet.press.colour;

/**
 * A colour as a mean observer sees it: CIELAB under D50, the connection space of ICC profiles
 * (ICC.1:2010, 6.3.4; CIE 15).
 *
 * @param l lightness, 0 black to 100 paper or screen white
 * @param a green (−) to red (+)
 * @param b blue (−) to yellow (+)
 */
public record Lab(double l, double a, double b) {
  /** D50, the white of the connection space (ICC.1:2010, 7.2.16). */
  static final double[] WHITE = {0.9642, 1, 0.8249};

  private static final double DELTA = 6.0 / 29;

  /** Of XYZ whose white is {@link #WHITE}. */
  static Lab of(double x, double y, double z) {
    double fx = f(x / WHITE[0]);
    double fy = f(y / WHITE[1]);
    double fz = f(z / WHITE[2]);
    return new Lab(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz));
  }

  /** Of an sRGB colour, 0xRRGGBB. */
  public static Lab ofScreen(int rgb) {
    double[] xyz = Srgb.xyz(rgb);
    return of(xyz[0], xyz[1], xyz[2]);
  }

  /** XYZ whose white is {@link #WHITE}. */
  double[] xyz() {
    double fy = (l + 16) / 116;
    return new double[] {
      WHITE[0] * back(fy + a / 500), WHITE[1] * back(fy), WHITE[2] * back(fy - b / 200)
    };
  }

  private static double f(double t) {
    return t > DELTA * DELTA * DELTA ? Math.cbrt(t) : t / (3 * DELTA * DELTA) + 4.0 / 29;
  }

  private static double back(double t) {
    return t > DELTA ? t * t * t : 3 * DELTA * DELTA * (t - 4.0 / 29);
  }

  /**
   * How far two colours are apart as eyes part them: CIEDE2000 (CIE 142-2001; ISO/CIE 11664-6;
   * written as Sharma, Wu and Dalal give it, Color Research and Application 30, 2005), its three
   * factors 1. About 1 is just seen.
   */
  public double apart(Lab other) {
    double c1 = Math.hypot(a, b);
    double c2 = Math.hypot(other.a, other.b);
    double g = 0.5 * (1 - Math.sqrt(share((c1 + c2) / 2)));
    double a1 = (1 + g) * a;
    double a2 = (1 + g) * other.a;
    double d1 = Math.hypot(a1, b);
    double d2 = Math.hypot(a2, other.b);
    double h1 = hue(a1, b);
    double h2 = hue(a2, other.b);
    double dl = other.l - l;
    double dc = d2 - d1;
    double dh = h2 - h1;
    if (d1 * d2 == 0) {
      dh = 0;
    } else if (dh > 180) {
      dh -= 360;
    } else if (dh < -180) {
      dh += 360;
    }
    double dH = 2 * Math.sqrt(d1 * d2) * Math.sin(Math.toRadians(dh / 2));
    double lm = (l + other.l) / 2;
    double cm = (d1 + d2) / 2;
    double hm = h1 + h2;
    if (d1 * d2 != 0) {
      hm = Math.abs(h1 - h2) <= 180 ? hm / 2 : hm < 360 ? (hm + 360) / 2 : (hm - 360) / 2;
    }
    double t =
        1
            - 0.17 * Math.cos(Math.toRadians(hm - 30))
            + 0.24 * Math.cos(Math.toRadians(2 * hm))
            + 0.32 * Math.cos(Math.toRadians(3 * hm + 6))
            - 0.20 * Math.cos(Math.toRadians(4 * hm - 63));
    double turn = 30 * Math.exp(-Math.pow((hm - 275) / 25, 2));
    double rc = 2 * Math.sqrt(share(cm));
    double off = (lm - 50) * (lm - 50);
    double sl = 1 + 0.015 * off / Math.sqrt(20 + off);
    double sc = 1 + 0.045 * cm;
    double sh = 1 + 0.015 * cm * t;
    double rt = -Math.sin(Math.toRadians(2 * turn)) * rc;
    double x = dl / sl;
    double y = dc / sc;
    double z = dH / sh;
    return Math.sqrt(Math.max(0, x * x + y * y + z * z + rt * y * z));
  }

  private static double share(double chroma) {
    double c7 = Math.pow(chroma, 7);
    return c7 / (c7 + 6103515625.0); // 25 to the seventh
  }

  private static double hue(double a, double b) {
    if (a == 0 && b == 0) {
      return 0;
    }
    double h = Math.toDegrees(Math.atan2(b, a));
    return h < 0 ? h + 360 : h;
  }
}
