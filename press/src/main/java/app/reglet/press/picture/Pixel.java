package app.reglet.press.picture;

import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Treatment.Toning;

/** A {@link Treating} made ready for many pixels. */
final class Pixel {
  private static final float RED = 0.2126f;
  private static final float GREEN = 0.7152f;
  private static final float BLUE = 0.0722f;

  /** Of the saturation's matrix, with three digits as it was published. */
  private static final float[] SATURATE = {0.213f, 0.715f, 0.072f};

  /** Of each value: levels, brightness and contrast. */
  private final float[] curve = new float[256];

  /** Whether levels, brightness and contrast are all there is. */
  private final boolean curveOnly;

  private final float saturation;
  private final Toning.Kind kind;
  private final int dark;
  private final int light;
  private final Shade shade;
  private final double[] away;

  Pixel(Treating treating) {
    Treatment t = treating.treatment();
    for (int v = 0; v < curve.length; v++) {
      curve[v] = (float) (255 * curved(v, t));
    }
    this.saturation = 1 + t.saturation() / 100f;
    this.kind = t.toning().kind();
    this.dark = treating.dark();
    this.light = treating.light();
    this.shade = t.shade();
    this.away = treating.away().stream().mapToDouble(d -> d).toArray();
    this.curveOnly = saturation == 1 && kind == Toning.Kind.OWN;
  }

  private static double curved(int value, Treatment t) {
    Levels l = t.levels();
    double v = within((value - l.black()) / (double) (l.white() - l.black()));
    v = l.gamma() == 1 ? v : Math.pow(v, 1 / l.gamma());
    if (t.brightness() == 0 && t.contrast() == 0) {
      return v;
    }
    double b = t.brightness() / 100.0;
    double slope = Math.tan((t.contrast() / 100.0 + 1) * Math.PI / 4);
    return within(v * slope + b + (1 - b) / 2 * (1 - slope));
  }

  private static double within(double v) {
    return Math.max(0, Math.min(1, v));
  }

  /** Treats a row of pixels, the y-th of so many. */
  void row(int[] argb, int y, int height) {
    double from = away[1] * (y + 0.5) / height + away[2];
    double step = away[0] / argb.length;
    for (int x = 0; x < argb.length; x++) {
      int p = argb[x];
      float r = curve[p >> 16 & 0xff];
      float g = curve[p >> 8 & 0xff];
      float b = curve[p & 0xff];
      if (!curveOnly) {
        if (saturation != 1) {
          float gray = (1 - saturation) * (SATURATE[0] * r + SATURATE[1] * g + SATURATE[2] * b);
          r = clamp(gray + saturation * r);
          g = clamp(gray + saturation * g);
          b = clamp(gray + saturation * b);
        }
        if (kind != Toning.Kind.OWN) {
          float y709 = RED * r + GREEN * g + BLUE * b;
          r = toned(y709, 16);
          g = toned(y709, 8);
          b = toned(y709, 0);
        }
      }
      if (shade.amount() != 0) {
        float share = share(from + step * (x + 0.5));
        float towards = shade.amount() < 0 ? 0 : 255;
        r += (towards - r) * share;
        g += (towards - g) * share;
        b += (towards - b) * share;
      }
      argb[x] = p & 0xff000000 | (int) (r + 0.5f) << 16 | (int) (g + 0.5f) << 8 | (int) (b + 0.5f);
    }
  }

  private float toned(float lightness, int shift) {
    if (kind == Toning.Kind.GRAY) {
      return lightness;
    }
    int from = dark >> shift & 0xff;
    int to = light >> shift & 0xff;
    return from + (to - from) * lightness / 255;
  }

  /** How much of the shade lies at a distance from its side. */
  private float share(double distance) {
    double t = within(distance * 100 / shade.reach());
    return (float) (Math.abs(shade.amount()) / 100.0 * (1 - t * t * (3 - 2 * t)));
  }

  private static float clamp(float v) {
    return Math.max(0, Math.min(255, v));
  }
}
