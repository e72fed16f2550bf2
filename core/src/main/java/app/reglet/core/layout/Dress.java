package app.reglet.core.layout;

import java.util.Optional;

/**
 * What a layout is dressed in. What is left open is as the layout itself would have it.
 *
 * @param kept whether the ground and the palette that a cover has stay where the layout can do with
 *     them
 * @param scheme its colours
 * @param pair its typefaces
 * @param picture a picture; a layout that has a place for one draws something there where there is
 *     none
 */
public record Dress(
    boolean kept, Optional<Scheme> scheme, Optional<TypePair> pair, Optional<Shown> picture) {
  /**
   * A picture that a layout shows.
   *
   * @param sha the SHA-256 of its file
   * @param mean its mean colour, 0xRRGGBB
   * @param clear whether it is clear in places: a sign, or a figure without a ground
   */
  public record Shown(String sha, int mean, boolean clear) {}

  /** All as the layout has it. */
  public static final Dress OWN =
      new Dress(false, Optional.empty(), Optional.empty(), Optional.empty());

  /** On the ground the cover has. */
  public static final Dress KEPT =
      new Dress(true, Optional.empty(), Optional.empty(), Optional.empty());

  /** Null for what is left open. */
  public static Dress of(Scheme scheme, TypePair pair, Shown picture) {
    return new Dress(
        false,
        Optional.ofNullable(scheme),
        Optional.ofNullable(pair),
        Optional.ofNullable(picture));
  }
}
