package app.reglet.core.check;

import app.reglet.core.design.Colour;
import app.reglet.core.measure.Length;
import java.util.Optional;
import java.util.function.IntUnaryOperator;

/**
 * Contrast between two colours of a screen (WCAG 2.2, "contrast ratio" and "relative luminance"),
 * and what words need: 4.5, and 3 from 18 pt on (success criterion 1.4.3; that 14 pt bold is large
 * too is left out, since not every face says how bold it is).
 */
public final class Contrast {
  private static final double ORDINARY = 4.5;
  private static final double LARGE = 3;
  private static final Length LARGE_TYPE = Length.pt("18");
  private static final int STEPS = 100;

  private Contrast() {}

  /** The ratio of two colours, 0xRRGGBB each, from 1 to 21. */
  public static double ratio(int a, int b) {
    return ofLuminances(luminance(a), luminance(b));
  }

  /** The ratio of two luminances. */
  public static double ofLuminances(double a, double b) {
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  /** Relative luminance of an sRGB colour, 0 to 1. */
  public static double luminance(int rgb) {
    return 0.2126 * linear(rgb >> 16 & 0xff)
        + 0.7152 * linear(rgb >> 8 & 0xff)
        + 0.0722 * linear(rgb & 0xff);
  }

  private static double linear(int value) {
    double v = value / 255.0;
    return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
  }

  /** The least ratio that words of a size need. */
  public static double least(Length size) {
    return size.isLessThan(LARGE_TYPE) ? ORDINARY : LARGE;
  }

  /**
   * The nearest colour with enough contrast to what lies behind, by mixing white or black into it
   * in steps of a hundredth.
   *
   * @param ink 0xRRGGBB
   * @param darkest luminance behind
   * @param lightest luminance behind
   * @return empty where what lies behind is both too light and too dark for any one colour
   */
  public static Optional<Colour.Rgb> nearest(
      int ink, double darkest, double lightest, double least) {
    for (int step = 0; step <= STEPS; step++) {
      for (int towards : new int[] {0, 0xff}) {
        int mixed = mixed(ink, towards, step / (double) STEPS);
        double l = luminance(mixed);
        if (ofLuminances(l, darkest) >= least && ofLuminances(l, lightest) >= least) {
          return Optional.of(new Colour.Rgb(mixed));
        }
      }
    }
    return Optional.empty();
  }

  private static int mixed(int ink, int towards, double share) {
    IntUnaryOperator channel =
        shift -> {
          int from = ink >> shift & 0xff;
          return (int) Math.round(from + (towards - from) * share) << shift;
        };
    return channel.applyAsInt(16) | channel.applyAsInt(8) | channel.applyAsInt(0);
  }
}
