package app.reglet.press.type;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.SpineRoom;
import app.reglet.core.wrap.Wrap;

/**
 * The room for words across a spine: the band between its safe lines, and the largest size of a
 * face whose letters, ascender to descender, stand in it.
 *
 * @param offered whether the house prints words on this spine at all
 * @param band room across, zero where there is no spine
 * @param largest the largest size of the face
 * @param least the smallest size the house prints there
 * @param face its name
 */
public record SpineType(boolean offered, Length band, Length largest, Length least, String face) {

  /** The room on a wrap for a face, by the face's own metrics. */
  public static SpineType of(Wrap wrap, Typeface face) {
    SpineRoom room = SpineRoom.of(wrap);
    return new SpineType(
        room.printed(),
        room.band(),
        Length.nearMm(Setter.largestIn(face, room.band().toMm())),
        room.least(),
        face.name());
  }

  /** Whether words can stand there: the house prints them, and its smallest size fits. */
  public boolean allowed() {
    return offered && !largest.isLessThan(least);
  }

  /** {@code ≤ 0.655 in, 46.1 pt Spectral Bold}, or why there is no room. */
  public String print(Unit unit) {
    if (allowed()) {
      return "≤ " + band.brief(unit) + ", " + largest.figure(Unit.PT, 1) + " pt " + face;
    }
    return offered ? "too narrow for " + least.brief(Unit.PT) : "not allowed";
  }
}
