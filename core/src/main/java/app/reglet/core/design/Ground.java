package app.reglet.core.design;

import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What covers the sheet to its edge, behind every piece.
 *
 * @param paint under everything
 * @param picture over it, empty for none
 * @param pattern over paint and picture, empty for none
 * @param extent whether the picture covers the whole sheet or the front only
 */
public record Ground(
    Paint paint,
    Optional<Content.Picture> picture,
    Extent extent,
    Optional<Content.Pattern> pattern) {
  /** What a picture of the ground covers. */
  public enum Extent {
    SHEET,
    FRONT
  }

  /** A paint alone. */
  public static Ground of(Paint paint) {
    return new Ground(paint, Optional.empty(), Extent.SHEET, Optional.empty());
  }

  public static Ground plain(Colour colour) {
    return of(Paint.of(colour));
  }

  /** Every colour given in it. */
  public Stream<Colour> colours() {
    return Stream.concat(
        paint.colours(),
        Stream.concat(
            picture.stream().flatMap(Content.Picture::colours),
            pattern.stream().flatMap(p -> p.motif().colours())));
  }

  public boolean hasPicture() {
    return picture.isPresent();
  }

  public Ground withPaint(Paint p) {
    return new Ground(p, picture, extent, pattern);
  }

  /** With the picture of this SHA-256, as its file has it. */
  public Ground withPicture(String sha) {
    return withPicture(Content.Picture.of(sha));
  }

  /** Null for none. */
  public Ground withPicture(Content.Picture p) {
    return new Ground(paint, Optional.ofNullable(p), extent, pattern);
  }

  public Ground withExtent(Extent e) {
    return new Ground(paint, picture, e, pattern);
  }

  public Ground withPattern(Content.Pattern p) {
    return new Ground(paint, picture, extent, Optional.ofNullable(p));
  }

  /** The region the picture covers, to its bleed. */
  public Region region() {
    return extent == Extent.SHEET ? Region.SHEET : new Region(Region.Bounds.BLEED, PanelKind.FRONT);
  }
}
