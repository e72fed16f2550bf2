package app.reglet.core.design;

import app.reglet.core.measure.Length;

/**
 * An area behind words that grows with them.
 *
 * @param paint it is filled with
 * @param opacity 0 to 1
 * @param radius of its corners
 * @param across how far it stands out of the lines at their ends
 * @param down how far it stands out over the first line's ascenders and under the last one's
 *     descenders
 */
public record Panel(Paint paint, double opacity, Length radius, Length across, Length down) {
  /** A pale panel. */
  public static final Panel USUAL =
      new Panel(
          Paint.of(new Colour.Rgb(0xfbf8f1)), 1, Length.mm("0"), Length.mm("3"), Length.mm("2"));
}
