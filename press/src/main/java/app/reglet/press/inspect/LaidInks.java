package app.reglet.press.inspect;

import app.reglet.core.check.Finding;
import app.reglet.core.check.Finding.Severity;
import app.reglet.core.check.OfFile;
import app.reglet.core.house.BarcodeRule;
import app.reglet.core.house.PressRules;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.raster.InkPixels;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the inks of a page tell that is laid on a cover, where it lies: the questions that Inspect
 * asks of a whole file.
 */
public final class LaidInks {
  private LaidInks() {}

  /**
   * Looks at a page where it lies. Beyond its own edges it is seen mirrored, as a finished file is
   * laid whose bleed is too narrow.
   *
   * @param page what is known of it
   * @param inks of all of it
   * @param wrap the sheet
   * @param toSheet from mm of the page, from its top left corner, to mm of the sheet
   * @param seen what is seen of it, mm of the sheet
   */
  public static List<Finding> of(
      PdfPage page, InkPixels inks, Wrap wrap, AffineTransform toSheet, Shape seen) {
    Rectangle2D bounds = seen.getBounds2D();
    boolean upright = toSheet.getShearX() == 0 && toSheet.getShearY() == 0;
    Shape in = upright ? bounds : seen; // whether a point is in a rectangle is soon known
    AffineTransform back;
    try {
      back = toSheet.createInverse();
    } catch (NoninvertibleTransformException e) {
      return List.of(); // it has no size
    }
    double mm = page.size().width().toMm() / inks.width();
    double scale = Math.sqrt(Math.abs(toSheet.getDeterminant()));
    PageOfInks.Field field =
        (x, y) -> {
          if (!in.contains(x, y)) {
            return PageOfInks.UNSEEN;
          }
          Point2D at = back.transform(new Point2D.Double(x, y), null);
          return inks.total(
              mirrored(at.getX() / mm, inks.width()), mirrored(at.getY() / mm, inks.height()));
        };
    Rect all = new Rect(bounds.getX(), bounds.getY(), bounds.getWidth(), bounds.getHeight());
    PageOfInks there = new PageOfInks(wrap, field, all, mm * scale);
    List<Finding> found = new ArrayList<>();
    PressRules press = wrap.house().files().press();
    if (press.isInks() && !wrap.spec().binding().isInPixels()) {
      lowered(page, press, there).ifPresent(found::add);
    }
    found.addAll(there.whiteEdges());
    if (wrap.page() != FilePage.INSIDE) {
      there.offSpine().ifPresent(found::add);
      wrap.rules()
          .barcode()
          .filter(r -> r.supplier() == BarcodeRule.Supplier.HOUSE)
          .flatMap(r -> there.darkBarcodeArea())
          .ifPresent(found::add);
    }
    return found;
  }

  /**
   * Colours of a screen are separated for this house, and no more than it allows; here they are
   * drawn with what coated paper takes, so that beside them only what is above that is told.
   */
  private static Optional<Finding> lowered(PdfPage page, PressRules press, PageOfInks there) {
    boolean screen = FileTold.isForScreen(page);
    int above = screen ? Math.max(press.mostInk(), PressRules.SCREEN.mostInk()) : press.mostInk();
    return there
        .heavy(above)
        .map(
            h ->
                new Finding(
                    new OfFile.InkLowered(h.found(), above, press.mostInk(), h.share()),
                    Severity.LOOK,
                    Optional.of(h.place()),
                    Optional.empty(),
                    List.of()));
  }

  /** The pixel at a place that may lie beyond the first or the last. */
  private static int mirrored(double at, int pixels) {
    int p = (int) Math.floor(at);
    int turned = p < 0 ? -1 - p : p >= pixels ? 2 * pixels - 1 - p : p;
    return Math.max(0, Math.min(pixels - 1, turned));
  }
}
