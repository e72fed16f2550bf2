package app.reglet.core.design;

import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;

/**
 * What covers the sheet to its edge, behind every piece.
 *
 * @param paint under everything
 * @param picture the SHA-256 of a picture over it, empty for none
 * @param focus what of the picture stays in sight when it is cropped
 * @param extent whether the picture covers the whole sheet or the front only
 */
public record Ground(Paint paint, String picture, Focus focus, Extent extent) {
  /** What a picture of the ground covers. */
  public enum Extent {
    SHEET,
    FRONT
  }

  public static Ground plain(Colour colour) {
    return new Ground(Paint.of(colour), "", Focus.MIDDLE, Extent.SHEET);
  }

  public boolean hasPicture() {
    return !picture.isEmpty();
  }

  public Ground withPaint(Paint p) {
    return new Ground(p, picture, focus, extent);
  }

  public Ground withPicture(String sha) {
    return new Ground(paint, sha, Focus.MIDDLE, extent);
  }

  public Ground withFocus(Focus f) {
    return new Ground(paint, picture, f, extent);
  }

  public Ground withExtent(Extent e) {
    return new Ground(paint, picture, focus, e);
  }

  /** The region the picture covers, to its bleed. */
  public Region region() {
    return extent == Extent.SHEET ? Region.SHEET : new Region(Region.Bounds.BLEED, PanelKind.FRONT);
  }
}
