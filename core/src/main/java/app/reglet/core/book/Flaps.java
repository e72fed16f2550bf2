package app.reglet.core.book;

import app.reglet.core.measure.Length;

/**
 * Widths of the flaps of a jacket or flapped cover, trim to fold.
 *
 * @param front the front flap, zero when there is none
 * @param back the back flap, zero when there is none
 */
public record Flaps(Length front, Length back) {
  public static final Flaps NONE = new Flaps(Length.ZERO, Length.ZERO);
}
