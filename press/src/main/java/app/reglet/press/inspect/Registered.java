package app.reglet.press.inspect;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import java.util.Optional;

/**
 * A file's page laid on the page it should be: where it says its trim, the trims' top left corners
 * lie on each other; else the pages' middles do. In mm from the expected sheet's top left.
 *
 * @param meant the page it should be
 * @param page where the file's media box lies on it
 * @param seen where what is drawn of it, its crop box, does
 */
public record Registered(Wrap meant, Rect page, Rect seen) implements OnSheet {
  /** Lays a page. */
  public static Registered of(Wrap meant, PdfFacts.Page page) {
    double w = page.media().width().toMm();
    double h = page.media().height().toMm();
    Optional<PdfFacts.NamedBox> trim = box(page, "TrimBox");
    double x =
        trim.map(b -> meant.trimmed().left().minus(b.left()).toMm())
            .orElse((meant.sheet().width().toMm() - w) / 2);
    // boxes are written from the bottom left
    double y =
        trim.map(
                b ->
                    meant.trimmed().top().toMm()
                        - (h - b.bottom().toMm() - b.size().height().toMm()))
            .orElse((meant.sheet().height().toMm() - h) / 2);
    Rect media = new Rect(x, y, w, h);
    Rect seen =
        box(page, "CropBox")
            .map(
                b ->
                    new Rect(
                        x + b.left().toMm(),
                        y + h - b.bottom().toMm() - b.size().height().toMm(),
                        b.size().width().toMm(),
                        b.size().height().toMm()))
            .orElse(media);
    return new Registered(meant, media, seen);
  }

  /** A box's place is as written, and told only of a page that is not turned. */
  private static Optional<PdfFacts.NamedBox> box(PdfFacts.Page page, String name) {
    return page.boxes().stream()
        .filter(b -> b.name().equals(name) && page.rotated() == 0)
        .findFirst();
  }

  /** A place on the file's page as one on the sheet. */
  public Box onSheet(Rect r) {
    return new Box(
        Length.nearMm(page.x() + r.x()),
        Length.nearMm(page.y() + r.y()),
        Length.nearMm(r.width()),
        Length.nearMm(r.height()));
  }

  /** A box of the sheet as a place on the file's page. */
  public Rect onPage(Box b) {
    return new Rect(
        b.x().toMm() - page.x(), b.y().toMm() - page.y(), b.width().toMm(), b.height().toMm());
  }

  @Override
  public Optional<Box> on(Rect onPage) {
    return Optional.of(onSheet(onPage));
  }

  @Override
  public double most() {
    return 1;
  }

  @Override
  public double least() {
    return 1;
  }

  @Override
  public double turned() {
    return 0;
  }
}
