package app.reglet.core.design;

/**
 * A colour by lightness, chroma and hue as eyes part them: Oklab in polar form (B. Ottosson, A
 * perceptual color space for image processing, 2020; figures from memory).
 *
 * @param lightness 0 black to 1 white
 * @param chroma 0 gray
 * @param hue degrees
 */
public record Oklab(double lightness, double chroma, double hue) {
  /** Of an sRGB colour, 0xRRGGBB. */
  public static Oklab of(int rgb) {
    double[] lab = lab(rgb);
    return new Oklab(
        lab[0],
        Math.hypot(lab[1], lab[2]),
        (Math.toDegrees(Math.atan2(lab[2], lab[1])) + 360) % 360);
  }

  /** Lightness and the two axes of an sRGB colour. */
  public static double[] lab(int rgb) {
    double r = LinearLight.of(rgb >> 16 & 0xff);
    double g = LinearLight.of(rgb >> 8 & 0xff);
    double b = LinearLight.of(rgb & 0xff);
    double l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
    double m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
    double s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
    return new double[] {
      0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
      1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
      0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s
    };
  }

  /** The sRGB colour, as colourful as a screen shows it, 0xRRGGBB. */
  public int rgb() {
    double least = 0;
    double most = chroma;
    if (inside(channels(chroma))) {
      return packed(channels(chroma));
    }
    for (int i = 0; i < 24; i++) { // the most chroma that is there
      double mid = (least + most) / 2;
      if (inside(channels(mid))) {
        least = mid;
      } else {
        most = mid;
      }
    }
    return packed(channels(least));
  }

  private double[] channels(double c) {
    double a = c * Math.cos(Math.toRadians(hue));
    double b = c * Math.sin(Math.toRadians(hue));
    double l = cube(lightness + 0.3963377774 * a + 0.2158037573 * b);
    double m = cube(lightness - 0.1055613458 * a - 0.0638541728 * b);
    double s = cube(lightness - 0.0894841775 * a - 1.2914855480 * b);
    return new double[] {
      4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
      -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
      -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s
    };
  }

  private static boolean inside(double[] linear) {
    for (double v : linear) {
      if (v < -1e-4 || v > 1 + 1e-4) {
        return false;
      }
    }
    return true;
  }

  private static int packed(double[] linear) {
    int rgb = 0;
    for (double light : linear) {
      rgb = rgb << 8 | LinearLight.value(light);
    }
    return rgb;
  }

  private static double cube(double v) {
    return v * v * v;
  }

  /** The same turned on the wheel of hues. */
  public Oklab turned(double degrees) {
    return new Oklab(lightness, chroma, (hue + degrees + 360) % 360);
  }

  public Oklab withLightness(double other) {
    return new Oklab(other, chroma, hue);
  }

  /** A plain name: {@code Dark blue}, {@code Pale orange}, {@code Gray}. */
  public String name() {
    String light =
        lightness < 0.36 ? "Dark " : lightness > 0.86 ? "Pale " : lightness > 0.72 ? "Light " : "";
    if (chroma < 0.025) {
      return lightness < 0.22
          ? "Black"
          : lightness > 0.95 ? "White" : capital((light + "gray").strip());
    }
    boolean warm = hue > 30 && hue < 110;
    if (warm && lightness < 0.66) {
      return lightness < 0.36 ? "Dark brown" : "Brown";
    }
    if (warm && lightness > 0.86 && chroma < 0.07) {
      return "Cream";
    }
    String[] hues = {
      "pink", "red", "orange", "yellow", "lime", "green", "green", "teal", "blue", "blue", "violet",
      "purple"
    };
    return capital((light + hues[(int) Math.round(hue / 30) % 12]).strip());
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
