package app.reglet.press.svg;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;

/** Where a screen finds what is kept as files. */
public interface Addresses {
  /**
   * A picture, small, as it is seen on a cover.
   *
   * @param treating how it is seen other than its file has it
   */
  String picture(Picture picture, Treating treating);

  /** A picture of a page of a PDF. */
  String page(PlacedPage page);
}
