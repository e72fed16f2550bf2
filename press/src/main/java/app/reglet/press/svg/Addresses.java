package app.reglet.press.svg;

import app.reglet.press.art.PlacedPage;
import app.reglet.press.picture.Picture;

/** Where a screen finds what is kept as files. */
public interface Addresses {
  String picture(Picture picture);

  /** A picture of a page of a PDF. */
  String page(PlacedPage page);
}
