package app.reglet.core.design;

import app.reglet.core.Refusal;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * How a picture is seen other than its file has it. The file stays as it is; the steps are done in
 * this order, on sRGB values.
 *
 * @param levels which values become black and white
 * @param brightness −100 to 100
 * @param contrast −100 to 100
 * @param saturation −100, no colour, to 100, twice as much
 * @param toning in its own colours, in gray, or in two colours
 * @param shade darker or lighter towards a side
 */
public record Treatment(
    Levels levels, int brightness, int contrast, int saturation, Toning toning, Shade shade) {
  public static final int MOST = 100;

  public static final Treatment NONE = new Treatment(Levels.NONE, 0, 0, 0, Toning.NONE, Shade.NONE);

  public Treatment {
    within("brightness", brightness);
    within("contrast", contrast);
    within("saturation", saturation);
  }

  private static void within(String field, int value) {
    if (Math.abs(value) > MOST) {
      throw new Refusal(
          field,
          String.format(
              Locale.ROOT, "The %s runs from -%d to %d; this is %d.", field, MOST, MOST, value));
    }
  }

  /** The colours given in it. */
  public Stream<Colour> colours() {
    return toning.kind() == Toning.Kind.TWO_COLOURS
        ? Stream.of(toning.dark(), toning.light())
        : Stream.empty();
  }

  public boolean isNone() {
    return equals(NONE);
  }

  /** With other amounts. */
  Treatment toned(int newBrightness, int newContrast, int newSaturation) {
    return new Treatment(levels, newBrightness, newContrast, newSaturation, toning, shade);
  }

  public Treatment withToning(Toning other) {
    return new Treatment(levels, brightness, contrast, saturation, other, shade);
  }

  public Treatment withLevels(Levels other) {
    return new Treatment(other, brightness, contrast, saturation, toning, shade);
  }

  public Treatment withShade(Shade other) {
    return new Treatment(levels, brightness, contrast, saturation, toning, other);
  }

  /**
   * What becomes black, what becomes white, and how the middle lies between them.
   *
   * @param black this and darker becomes black, 0 to 254
   * @param white this and lighter becomes white, 1 to 255
   * @param gamma above 1 lightens the middle, below darkens it, 0.1 to 10
   */
  public record Levels(int black, int white, double gamma) {
    public static final int TOP = 255;
    public static final double LEAST_GAMMA = 0.1;
    public static final double MOST_GAMMA = 10;
    public static final Levels NONE = new Levels(0, TOP, 1);

    public Levels {
      if (black < 0 || white > TOP || black >= white) {
        throw new Refusal(
            "levelBlack",
            "Black must lie below white, both from 0 to 255; this would be "
                + black
                + " and "
                + white
                + ".");
      }
      if (!(gamma >= LEAST_GAMMA && gamma <= MOST_GAMMA)) {
        throw new Refusal("levelGamma", "The middle runs from 0.1 to 10; this is " + gamma + ".");
      }
    }
  }

  /**
   * The colours a picture is seen in.
   *
   * @param dark what its black becomes, in two colours
   * @param light what its white becomes, in two colours
   */
  public record Toning(Kind kind, Colour dark, Colour light) {
    /** What there is. */
    public enum Kind {
      OWN,
      GRAY,
      TWO_COLOURS
    }

    public static final Toning NONE = new Toning(Kind.OWN, Colour.BLACK, Colour.WHITE);
  }

  /**
   * Darker or lighter towards a side of what is seen of it.
   *
   * @param amount at that side, −100, black, to 100, white; 0 for none
   * @param reach how far in it is seen, in percent of the way across, 1 to 100
   */
  public record Shade(Side side, int amount, int reach) {
    /** Where it is strongest. */
    public enum Side {
      TOP,
      RIGHT,
      BOTTOM,
      LEFT
    }

    public static final Shade NONE = new Shade(Side.BOTTOM, 0, 60);

    public Shade {
      within("shade", amount);
      if (reach < 1 || reach > MOST) {
        throw new Refusal(
            "shadeReach", "It reaches 1 to 100 % of the way across; this is " + reach + ".");
      }
    }
  }
}
