package app.reglet.web.shell;

import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import java.util.Locale;
import java.util.Optional;

/**
 * Who looks, and how they read: the one thing of a request that the services are told.
 *
 * @param unit the unit that this browser has chosen, empty when it has chosen none
 * @param locale of figures and dates
 * @param person the name that goes beside what they make; empty when Reglet is open to its machine
 */
public record Viewer(Optional<Unit> unit, Locale locale, String person) {
  /** The unit a sheet is read in: one that measures in pixels keeps to them. */
  public Unit unitFor(RuleSheet sheet) {
    return sheet.isInPixels() ? Unit.PX : unit.orElse(sheet.unit());
  }

  /** The unit chosen, or another. */
  public Unit unitOr(Unit otherwise) {
    return unit.orElse(otherwise);
  }
}
