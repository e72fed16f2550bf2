package app.reglet.core.design;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;

/**
 * What is printed with black alone, so that no plate can be out of place beside another: letters
 * and lines in neutral colours, and small letters in nearly black ones. All of it common practice,
 * no single source.
 */
public final class BlackAlone {
  /** Letters below this are small. */
  public static final Length SMALL = Length.pt("14");

  /** What is less wide or high is no ground, which a rich black is for. */
  private static final Length LEAST_GROUND = Length.mm("10");

  /** What counts as nearly black, in Oklab. */
  private static final double DARK = 0.37;

  private static final double PALE = 0.06;

  private BlackAlone() {}

  /** Whether a line, or letters of any size, are printed so. */
  public static boolean ofLine(Colour.Solid colour) {
    return colour instanceof Colour.Rgb c && isNeutral(c.rgb());
  }

  /** Whether letters are. */
  public static boolean ofLetters(Colour.Solid colour, Length size) {
    return ofLine(colour)
        || colour instanceof Colour.Rgb c && size.isLessThan(SMALL) && isNearlyBlack(c.rgb());
  }

  /** How many inks letters are printed with, none for white. */
  public static int inks(Colour.Solid colour, Length size) {
    return ofLetters(colour, size) ? Math.min(1, colour.inks()) : colour.inks();
  }

  /** Percent of black from which letters are black. */
  public static final int BLACK = 80;

  /** Whether a colour is black with other inks below it. */
  public static boolean isRich(Colour.Solid colour) {
    return colour instanceof Colour.Cmyk c
        && c.black() >= BLACK
        && c.cyan() + c.magenta() + c.yellow() > 0;
  }

  /** Whether an area is a ground, that is printed in rich black where it is black. */
  public static boolean isGround(Size size) {
    return !size.width().min(size.height()).isLessThan(LEAST_GROUND);
  }

  private static boolean isNeutral(int rgb) {
    return (rgb >> 16 & 0xff) == (rgb >> 8 & 0xff) && (rgb >> 8 & 0xff) == (rgb & 0xff);
  }

  private static boolean isNearlyBlack(int rgb) {
    Oklab c = Oklab.of(rgb);
    return c.lightness() < DARK && c.chroma() < PALE;
  }
}
