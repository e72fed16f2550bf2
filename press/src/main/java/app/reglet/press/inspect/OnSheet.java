package app.reglet.press.inspect;

import app.reglet.core.measure.Box;
import app.reglet.press.art.Rect;
import java.util.Optional;

/** Where what is drawn on a page of a file comes to lie on a sheet. */
public interface OnSheet {
  /**
   * A place of the page as one of the sheet, as far as it is seen there; empty when nothing is.
   *
   * @param onPage mm from the page's top left
   */
  Optional<Box> on(Rect onPage);

  /** How many times as large it is there as on the page, the way in which it grows most. */
  double most();

  /** The same the way in which it grows least. */
  double least();

  /** How far it is turned there, degrees clockwise. */
  double turned();
}
