package app.reglet.core.design;

import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What covers the sheet to its edge, behind every piece.
 *
 * @param paint under everything
 * @param picture the SHA-256 of a picture over it, empty for none
 * @param focus what of the picture stays in sight when it is cropped
 * @param pattern over paint and picture, empty for none
 * @param extent whether the picture covers the whole sheet or the front only
 */
public record Ground(
    Paint paint, String picture, Focus focus, Extent extent, Optional<Content.Pattern> pattern) {
  /** What a picture of the ground covers. */
  public enum Extent {
    SHEET,
    FRONT
  }

  /** Without a pattern. */
  public Ground(Paint paint, String picture, Focus focus, Extent extent) {
    this(paint, picture, focus, extent, Optional.empty());
  }

  /** A paint alone. */
  public static Ground of(Paint paint) {
    return new Ground(paint, "", Focus.MIDDLE, Extent.SHEET);
  }

  public static Ground plain(Colour colour) {
    return of(Paint.of(colour));
  }

  /** Every colour given in it. */
  public Stream<Colour> colours() {
    return Stream.concat(paint.colours(), pattern.stream().flatMap(p -> p.motif().colours()));
  }

  public boolean hasPicture() {
    return !picture.isEmpty();
  }

  public Ground withPaint(Paint p) {
    return new Ground(p, picture, focus, extent, pattern);
  }

  public Ground withPicture(String sha) {
    return new Ground(paint, sha, Focus.MIDDLE, extent, pattern);
  }

  public Ground withFocus(Focus f) {
    return new Ground(paint, picture, f, extent, pattern);
  }

  public Ground withExtent(Extent e) {
    return new Ground(paint, picture, focus, e, pattern);
  }

  public Ground withPattern(Content.Pattern p) {
    return new Ground(paint, picture, focus, extent, Optional.ofNullable(p));
  }

  /** The region the picture covers, to its bleed. */
  public Region region() {
    return extent == Extent.SHEET ? Region.SHEET : new Region(Region.Bounds.BLEED, PanelKind.FRONT);
  }
}
