package app.reglet.web.titles;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.type.Setter;
import app.reglet.press.type.Typeface;

/**
 * The room for words across a spine: the band between its safe lines, and the largest size of a
 * face whose letters, ascender to descender, stand in it.
 *
 * @param allowed whether the house prints words on this spine
 * @param band room across, zero where there is no spine
 * @param largest the largest size of the face
 * @param face its name
 */
public record SpineType(boolean allowed, Length band, Length largest, String face) {

  /** The room on a wrap for a face, by the face's own metrics. */
  public static SpineType of(Wrap wrap, Typeface face) {
    Length band = wrap.panel(PanelKind.SPINE).map(p -> p.safe().width()).orElse(Length.ZERO);
    boolean allowed =
        band.isPositive()
            && wrap.rules().spineType().allows(wrap.spec().pages(), wrap.spine().stated());
    return new SpineType(
        allowed, band, Length.nearMm(Setter.largestIn(face, band.toMm())), face.name());
  }

  /** {@code ≤ 0.655 in across, 46.1 pt Spectral Bold}, or that none are allowed. */
  public String print(Unit unit) {
    return allowed ? "≤ " + band.brief(unit) + ", " + points() : "not allowed";
  }

  /** {@code 46.1 pt Spectral Bold}. */
  public String points() {
    return largest.figure(Unit.PT, 1) + " pt " + face;
  }
}
