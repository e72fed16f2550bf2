package app.reglet.core.design;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import java.util.Optional;

/**
 * How a piece is laid over what is under it.
 *
 * @param opacity 0 (not seen) to 1
 * @param blend how its colours meet those under it
 * @param shadow that it throws
 * @param mask what of it is seen
 */
public record Appearance(
    double opacity, Blend blend, Optional<Shadow> shadow, Optional<Mask> mask) {
  public static final Appearance PLAIN =
      new Appearance(1, Blend.NORMAL, Optional.empty(), Optional.empty());

  /** How colours meet (ISO 32000-1, 11.3.5). */
  public enum Blend {
    /** Its colour covers. */
    NORMAL,
    /** Its colour darkens, as ink does on ink. */
    MULTIPLY
  }

  /**
   * A shadow under the piece.
   *
   * @param right how far it lies to the right
   * @param down how far it lies down
   * @param blur the width over which its edge fades, 0 for a sharp one
   * @param colour its colour
   * @param opacity 0 to 1
   */
  public record Shadow(Length right, Length down, Length blur, Colour colour, double opacity) {
    /** Wider would be a fog. */
    public static final Length MOST_BLUR = Length.mm("50");

    public Shadow {
      share(opacity);
      if (blur.isNegative() || blur.isMoreThan(MOST_BLUR)) {
        throw new Refusal("A shadow fades over 0 to 50 mm; this would be " + blur + ".");
      }
    }
  }

  /**
   * A form that cuts the piece.
   *
   * @param figure in the piece's box
   * @param soft the width over which its edge fades, inwards; 0 for a sharp cut
   */
  public record Mask(Figure figure, Length soft) {
    public Mask {
      if (soft.isNegative() || soft.isMoreThan(Shadow.MOST_BLUR)) {
        throw new Refusal("An edge fades over 0 to 50 mm; this would be " + soft + ".");
      }
    }
  }

  public Appearance {
    share(opacity);
  }

  private static void share(double opacity) {
    if (!(opacity >= 0 && opacity <= 1)) {
      throw new Refusal("An opacity is from 0 to 100 %; this would be " + opacity * 100 + " %.");
    }
  }

  public Appearance withOpacity(double o) {
    return new Appearance(o, blend, shadow, mask);
  }

  public Appearance withBlend(Blend b) {
    return new Appearance(opacity, b, shadow, mask);
  }

  public Appearance withShadow(Shadow s) {
    return new Appearance(opacity, blend, Optional.ofNullable(s), mask);
  }

  public Appearance withMask(Mask m) {
    return new Appearance(opacity, blend, shadow, Optional.ofNullable(m));
  }
}
