package app.reglet.core.check;

import app.reglet.core.design.Colour;
import app.reglet.core.design.LinearLight;
import app.reglet.core.measure.Length;
import java.util.Optional;

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
    return ofLuminances(LinearLight.luminance(a), LinearLight.luminance(b));
  }

  /** The ratio of two luminances. */
  public static double ofLuminances(double a, double b) {
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
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
      for (int towards : new int[] {0, 0xffffff}) {
        int mixed = LinearLight.mixed(ink, towards, step / (double) STEPS);
        double l = LinearLight.luminance(mixed);
        if (ofLuminances(l, darkest) >= least && ofLuminances(l, lightest) >= least) {
          return Optional.of(new Colour.Rgb(mixed));
        }
      }
    }
    return Optional.empty();
  }
}
