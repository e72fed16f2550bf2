package app.reglet.core.design;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;

/**
 * What is centred is centred on the trimmed panel: its safe zone lies off that middle, since the
 * fold keeps another distance than the fore-edge.
 */
public final class Centred {
  private Centred() {}

  /** Stretched across a panel, as far as its safe zone goes on the side where it goes less far. */
  public static Span across(Panel panel, Length air) {
    Box trim = panel.trim();
    Box safe = panel.safe();
    Length in = safe.left().minus(trim.left()).max(trim.right().minus(safe.right())).plus(air);
    return Anchors.stretched(Region.trim(panel.kind()), in, Length.ZERO, in, Length.ZERO).across();
  }

  /** The same without more air. */
  public static Span across(Panel panel) {
    return across(panel, Length.ZERO);
  }

  /** Whether a box stands in the middle of a panel, within a tolerance. */
  static boolean isCentred(Box box, Panel panel, Length tolerance) {
    return !box.centreX().minus(panel.trim().centreX()).abs().isMoreThan(tolerance);
  }

  /** So wide round the middle of a panel, or as wide as its safe zone lets it be. */
  static Span around(Panel panel, Length width, Span.Hold hold, Wrap wrap) {
    Length middle = panel.trim().centreX();
    Length half =
        width.half().min(middle.minus(panel.safe().left())).min(panel.safe().right().minus(middle));
    return Span.hung(
        Region.trim(panel.kind()),
        true,
        hold,
        new Span.Range(middle.minus(half), middle.plus(half)),
        wrap);
  }
}
