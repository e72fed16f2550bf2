package app.reglet.core.design;

import app.reglet.core.wrap.Region;

/**
 * What covers the sheet to its edge, behind every piece.
 *
 * @param colour under everything
 * @param picture the SHA-256 of a picture that covers the sheet, empty for none
 * @param focusX the point of the picture that stays in sight when it is cropped, 0 left to 1 right
 * @param focusY the same, 0 top to 1 bottom
 * @param extent whether the picture covers the whole sheet or the front only
 */
public record Background(
    Colour colour, String picture, double focusX, double focusY, Extent extent) {
  /** What a background picture covers. */
  public enum Extent {
    SHEET,
    FRONT
  }

  public Background {
    if (!(focusX >= 0 && focusX <= 1 && focusY >= 0 && focusY <= 1)) {
      throw new IllegalArgumentException("focus outside the picture: " + focusX + ", " + focusY);
    }
  }

  public static Background plain(Colour colour) {
    return new Background(colour, "", 0.5, 0.5, Extent.SHEET);
  }

  public boolean hasPicture() {
    return !picture.isEmpty();
  }

  public Background withColour(Colour c) {
    return new Background(c, picture, focusX, focusY, extent);
  }

  public Background withPicture(String sha) {
    return new Background(colour, sha, 0.5, 0.5, extent);
  }

  public Background withFocus(double x, double y) {
    return new Background(colour, picture, x, y, extent);
  }

  public Background withExtent(Extent e) {
    return new Background(colour, picture, focusX, focusY, e);
  }

  /** The region the picture covers, to its bleed. */
  public Region region() {
    return extent == Extent.SHEET
        ? Region.SHEET
        : new Region(Region.Frame.BLEED, app.reglet.core.wrap.PanelKind.FRONT);
  }
}
