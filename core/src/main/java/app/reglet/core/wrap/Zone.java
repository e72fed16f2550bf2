package app.reglet.core.wrap;

import app.reglet.core.measure.Box;

/**
 * An area of the wrap with a meaning.
 *
 * @param kind what it is for
 * @param panel the part it lies on
 * @param box where, in sheet coordinates
 */
public record Zone(Kind kind, PanelKind panel, Box box) {
  /** What a zone is for. */
  public enum Kind {
    /** Words and faces are safe here. */
    SAFE,
    /** Kept for the ISBN barcode. */
    BARCODE,
    /** The strip on the inside where the book block is glued in: it stays unprinted. */
    GLUE,
    /** The groove of a hardcover: it bends, so nothing to read. */
    HINGE
  }
}
