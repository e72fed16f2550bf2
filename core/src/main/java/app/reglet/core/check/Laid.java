package app.reglet.core.check;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;

/** A piece as it was laid on a wrap, measured by whoever set it. Sheet coordinates. */
public sealed interface Laid {
  String piece();

  String name();

  Box box();

  /**
   * Set words.
   *
   * @param box the box they were given
   * @param ink what their glyphs cover; empty of area when there are no glyphs
   * @param size the type size they came out at
   * @param overflowing whether they need more room than the box
   * @param missing characters the typeface has no glyph for
   * @param face the typeface's name
   * @param largest the largest size at which they would fit the width of the spine's safe band,
   *     zero unless they run along the spine
   */
  record Words(
      String piece,
      String name,
      Box box,
      Box ink,
      Length size,
      boolean overflowing,
      String missing,
      String face,
      Length largest)
      implements Laid {}

  /** A flat area of colour. */
  record Area(String piece, String name, Box box) implements Laid {}

  /** The barcode, with its quiet zones. */
  record Barcode(String piece, String name, Box box) implements Laid {}

  /**
   * A picture.
   *
   * @param box what of it shows
   * @param ppi its pixels per inch at printed size
   */
  record Picture(String piece, String name, Box box, double ppi) implements Laid {}
}
