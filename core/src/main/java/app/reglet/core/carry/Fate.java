package app.reglet.core.carry;

import app.reglet.core.check.Finding;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What became of one piece of a cover.
 *
 * @param piece its id
 * @param name what people call it
 * @param changes in what it is another; just {@link Change#KEPT} where it is on its panel as it was
 * @param before where it was, empty when it was not there
 * @param after where it is, empty when it is not there
 * @param found what checks say of it now and did not before
 */
public record Fate(
    String piece,
    String name,
    Set<Change> changes,
    Optional<Place> before,
    Optional<Place> after,
    List<Finding> found) {
  /** In what a piece is another. */
  public enum Change {
    /** As it was on its panel. */
    KEPT,
    /** Elsewhere on its panel. */
    MOVED,
    /** In another size. */
    SCALED,
    /** Its type came out at another size. */
    RESET,
    /** Another part of its picture is seen. */
    RECROPPED,
    /** Its picture is seen in a mirror. */
    MIRRORED,
    /** Its lines run the other way, as spines are read there. */
    TURNED,
    /** It says other words. */
    REWORDED,
    /** On another panel. */
    NEW_PANEL,
    /** It was not there before. */
    ADDED,
    /** There is no place for it, and it is kept out of sight. */
    SET_ASIDE,
    /** It does not fit as it did: a check says why. */
    UNFIT
  }

  /**
   * Where a piece is.
   *
   * @param panel it lies on most, empty for none
   * @param box from the corner of that panel, trimmed
   * @param type the size its words came out at, empty for what is no words
   */
  public record Place(Optional<PanelKind> panel, Box box, Optional<Length> type) {}

  public Fate {
    changes = Set.copyOf(changes);
    found = List.copyOf(found);
  }

  public boolean is(Change change) {
    return changes.contains(change);
  }
}
