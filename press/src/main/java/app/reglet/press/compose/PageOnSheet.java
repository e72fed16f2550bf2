package app.reglet.press.compose;

import app.reglet.core.book.Book;
import app.reglet.core.check.Finding;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.FileAsLaid;
import app.reglet.press.inspect.LaidInks;
import app.reglet.press.inspect.OnSheet;
import app.reglet.press.inspect.PdfPage;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A page of a PDF where a piece lays it.
 *
 * @param fromPage from mm of the page, from its top left, to the piece's box
 * @param seen what of the page is seen, in the box
 * @param toSheet from the box to the sheet
 */
record PageOnSheet(AffineTransform fromPage, Rectangle2D seen, AffineTransform toSheet)
    implements OnSheet {
  /** Where a cutting ends, of what less than this is seen nothing is told, mm. */
  private static final double UNSEEN = 0.3;

  /** Bars that are cut are no barcode. */
  private static final double WHOLE = 0.98;

  /**
   * A page in a box.
   *
   * @param place from the page's unit square to the box
   * @param seen what of the page is seen, in the box
   * @param toSheet from the box to the sheet
   */
  static PageOnSheet of(PdfPage page, AffineTransform place, Shape seen, AffineTransform toSheet) {
    AffineTransform fromPage = new AffineTransform(place);
    fromPage.scale(1 / page.size().width().toMm(), 1 / page.size().height().toMm());
    return new PageOnSheet(fromPage, seen.getBounds2D(), toSheet);
  }

  /**
   * What is drawn on the page, as it comes out on the sheet.
   *
   * @param naming what each thing is called, from what it is called on the page
   */
  FileAsLaid laid(PdfPage page, UnaryOperator<String> naming, Book book) {
    return FileAsLaid.of(
        page.content(),
        this,
        naming,
        book,
        font -> false,
        page.codes().stream().filter(c -> isWhole(c.place())).toList());
  }

  /** What its inks tell, pixel by pixel, as it comes out on the sheet; nothing when not known. */
  List<Finding> inks(PageOfFile page, Wrap wrap) {
    Shape there = toSheet.createTransformedShape(seen);
    return page.inks()
        .get()
        .map(i -> LaidInks.of(page.about(), i, wrap, whole(), there))
        .orElse(List.of());
  }

  private boolean isWhole(Rect onPage) {
    Rectangle2D all = inBox(onPage);
    Rectangle2D left = all.createIntersection(seen);
    return left.getWidth() > WHOLE * all.getWidth() && left.getHeight() > WHOLE * all.getHeight();
  }

  private Rectangle2D inBox(Rect onPage) {
    return fromPage
        .createTransformedShape(
            new Rectangle2D.Double(onPage.x(), onPage.y(), onPage.width(), onPage.height()))
        .getBounds2D();
  }

  @Override
  public Optional<Box> on(Rect onPage) {
    Rectangle2D all = inBox(onPage);
    Rectangle2D left = all.createIntersection(seen);
    if (left.getWidth() < Math.min(UNSEEN, all.getWidth())
        || left.getHeight() < Math.min(UNSEEN, all.getHeight())) {
      return Optional.empty();
    }
    Rectangle2D there = toSheet.createTransformedShape(left).getBounds2D();
    return Optional.of(
        new Box(
            Length.nearMm(there.getX()),
            Length.nearMm(there.getY()),
            Length.nearMm(there.getWidth()),
            Length.nearMm(there.getHeight())));
  }

  @Override
  public double most() {
    return Math.max(across(), down());
  }

  @Override
  public double least() {
    return Math.min(across(), down());
  }

  private double across() {
    AffineTransform t = whole();
    return Math.hypot(t.getScaleX(), t.getShearY());
  }

  private double down() {
    AffineTransform t = whole();
    return Math.hypot(t.getShearX(), t.getScaleY());
  }

  @Override
  public double turned() {
    AffineTransform t = whole();
    return Math.toDegrees(Math.atan2(t.getShearY(), t.getScaleX()));
  }

  private AffineTransform whole() {
    AffineTransform whole = new AffineTransform(toSheet);
    whole.concatenate(fromPage);
    return whole;
  }
}
