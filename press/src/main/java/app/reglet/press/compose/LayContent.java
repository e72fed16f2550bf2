package app.reglet.press.compose;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Scope;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.core.measure.Point;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.Rect;
import app.reglet.press.inspect.FileAsLaid;
import app.reglet.press.inspect.PdfPage;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** The content of one piece as marks in its box, and what the checks are told of it. */
final class LayContent implements Content.Visitor<List<Mark>> {
  /** The face of a barcode's digits. */
  private static final String DIGITS = "work-sans";

  private final Lay lay;
  private final Piece piece;
  private final Scope scope;
  private final Box box;
  private final Rect rect;
  private final AffineTransform toSheet;

  LayContent(Lay lay, Piece piece, Scope scope, Box box, AffineTransform toSheet) {
    this.lay = lay;
    this.piece = piece;
    this.scope = scope;
    this.box = box;
    this.rect = Rect.of(box);
    this.toSheet = toSheet;
  }

  @Override
  public List<Mark> words(Words words) {
    return new LayWords(lay, piece, box, toSheet).marks(words);
  }

  @Override
  public List<Mark> shape(Content.Shape shape) {
    Shape path = Figures.in(shape.figure(), rect);
    List<Mark> marks = new ArrayList<>();
    List<List<Point>> covered = new ArrayList<>();
    if (shape.fill() != null && shape.figure().isClosed()) {
      covered.addAll(outline(shape.figure(), path).parts());
      marks.add(new Mark.Path(path, lay.fills.of(shape.fill(), rect), null));
    }
    if (shape.stroke() != null) {
      Strokes line = new Strokes(path, shape.figure().isClosed(), shape.stroke());
      covered.addAll(line.outline(box, toSheet).parts());
      marks.addAll(line.marks(lay.fills.of(shape.stroke().paint(), rect), rect));
    }
    if (!covered.isEmpty()) {
      Length line = shape.stroke() == null ? Length.ZERO : shape.stroke().width();
      lay.laid.add(
          new Laid.Area(
              piece.id(),
              piece.name(),
              new Outline(covered),
              line,
              shape.fill() == null && shape.figure().isClosed()));
    }
    return marks;
  }

  private Outline outline(Figure figure, Shape path) {
    boolean hollow = figure instanceof Figure.Regular g && g.notch() > 0;
    return path instanceof Rectangle2D
        ? Outlines.of(box, toSheet)
        : hollow || figure instanceof Figure.Free
            ? Trapezes.of(path, toSheet)
            : Outlines.hull(path, toSheet);
  }

  @Override
  public List<Mark> picture(Content.Picture content) {
    Optional<Picture> found = lay.pictures.find(content.sha());
    if (found.isEmpty()) {
      lay.absent.add(piece.name() + " (its file is not here)");
      return List.of();
    }
    FramedPicture framed = new FramedPicture(found.get(), content, rect);
    lay.laid.add(framed.laid(piece.id(), piece.name(), toSheet));
    return List.of(framed.mark(lay.fills, null));
  }

  @Override
  public List<Mark> ornament(Content.Ornament content) {
    Optional<MotifMarks.Inked> inked =
        new MotifMarks(lay.fills, lay.pictures).ornament(content.drawn(), rect);
    if (inked.isEmpty()) {
      lay.absent.add(piece.name() + " (its ornament is not here)");
      return List.of();
    }
    List<List<Point>> covered = new ArrayList<>();
    for (Shape s : inked.get().shapes()) {
      covered.addAll(Outlines.hull(s, toSheet).parts());
    }
    lay.laid.add(new Laid.Area(piece.id(), piece.name(), new Outline(covered)));
    return inked.get().marks();
  }

  @Override
  public List<Mark> pattern(Content.Pattern content) {
    Optional<MotifMarks.Tiles> tiles =
        new MotifMarks(lay.fills, lay.pictures).pattern(content, rect.shape(), rect);
    if (tiles.isEmpty()) {
      lay.absent.add(piece.name() + " (its motif is not here)");
      return List.of();
    }
    Outline covered = Outlines.of(box, toSheet);
    lay.laid.add(
        tiles
            .get()
            .ppi()
            .<Laid>map(
                ppi ->
                    new Laid.Picture(
                        piece.id(),
                        piece.name(),
                        covered,
                        ppi,
                        tiles.get().sha(),
                        tiles.get().quality()))
            .orElse(new Laid.Area(piece.id(), piece.name(), covered)));
    return List.of(tiles.get().mark());
  }

  @Override
  public List<Mark> page(Content.Page content) {
    Optional<PageOfFile> found = lay.pictures.page(content.sha(), content.number());
    if (found.isEmpty()) {
      lay.absent.add(piece.name() + " (its page is not here)");
      return List.of();
    }
    PdfPage about = found.get().about();
    double width = about.size().width().toMm();
    double height = about.size().height().toMm();
    double scale = Math.min(rect.width() / width, rect.height() / height);
    AffineTransform place =
        AffineTransform.getTranslateInstance(
            rect.x() + (rect.width() - width * scale) / 2,
            rect.y() + (rect.height() - height * scale) / 2);
    place.scale(width * scale, height * scale);
    Shape covered = place.createTransformedShape(new Rectangle2D.Double(0, 0, 1, 1));
    PageOnSheet on = PageOnSheet.of(about, place, covered, toSheet);
    laid(found.get(), on, Outlines.hull(covered, toSheet), content.sha());
    return List.of(new Mark.Page(found.get().page(), place));
  }

  @Override
  public List<Mark> cutting(Content.Cutting c) {
    Optional<Function<AffineTransform, Mark>> whole = c.page() == 0 ? pictured(c) : paged(c);
    if (whole.isEmpty()) {
      lay.absent.add(piece.name() + " (its file is not here)");
      return List.of();
    }
    return List.of(
        Mark.Group.clipped(
            rect.shape(), Cuttings.places(c, rect).stream().map(whole.get()).toArray(Mark[]::new)));
  }

  private Optional<Function<AffineTransform, Mark>> pictured(Content.Cutting c) {
    Optional<Picture> found = lay.pictures.find(c.sha());
    found.ifPresent(
        p ->
            lay.laid.add(
                new Laid.Picture(
                    piece.id(),
                    piece.name(),
                    Outlines.of(box, toSheet),
                    Cuttings.ppi(c, rect, p),
                    p.sha(),
                    JpegQuality.of(p))));
    return found.map(p -> at -> new Mark.Image(new Pixels.Stored(p, null, Treating.NONE), at));
  }

  private void laid(PageOfFile page, PageOnSheet on, Outline outline, String sha) {
    FileAsLaid drawn = on.laid(page.about(), n -> piece.name() + ": " + n, lay.book);
    lay.laid.add(
        new Laid.Page(
            piece.id(),
            piece.name(),
            outline,
            sha,
            page.about().missing(),
            drawn.laid(),
            drawn.seen(),
            covers(page.about()),
            on.inks(page, lay.wrap)));
  }

  private Optional<Function<AffineTransform, Mark>> paged(Content.Cutting c) {
    Optional<PageOfFile> found = lay.pictures.page(c.sha(), c.page());
    found.ifPresent(
        f ->
            laid(
                f,
                PageOnSheet.of(f.about(), Cuttings.whole(c, rect), rect.shape(), toSheet),
                Outlines.of(box, toSheet),
                c.sha()));
    return found.map(f -> at -> new Mark.Page(f.page().seen(seen(at)), at));
  }

  /** Whether a page hides what lies below it: it, and the piece that it is on. */
  private boolean covers(PdfPage page) {
    boolean level = toSheet.getShearX() == 0 && toSheet.getShearY() == 0;
    return page.isOpaque()
        && level
        && piece.appearance().opacity() >= 1
        && piece.appearance().blend() == Appearance.Blend.NORMAL
        && piece.appearance().mask().isEmpty();
  }

  /** What of the unit square is seen in the box. */
  private Rectangle2D seen(AffineTransform at) {
    try {
      return at.createInverse().createTransformedShape(rect.shape()).getBounds2D();
    } catch (NoninvertibleTransformException e) {
      throw new IllegalStateException(e); // a box has a size
    }
  }

  @Override
  public List<Mark> barcode(Content.Barcode barcode) {
    if (lay.wrap.rules().printsBarcode()) {
      lay.absent.add(piece.name() + " (" + lay.wrap.house().name() + " prints its own)");
      return List.of();
    }
    if (lay.book.isbn().isEmpty()) {
      lay.absent.add(piece.name() + " (the book has no sound ISBN)");
      lay.laid.add(new Laid.Unbarred(piece.id(), piece.name(), Outlines.of(box, toSheet)));
      return List.of();
    }
    Colour.Solid panel = lay.fills.solid(barcode.panel());
    Barcodes drawn =
        Barcodes.in(
            rect, lay.book.isbn().get(), barcode, Fill.of(panel), lay.typefaces.get(DIGITS));
    Rect s = drawn.symbol();
    Box symbol =
        new Box(
            Length.nearMm(s.x()),
            Length.nearMm(s.y()),
            Length.nearMm(s.width()),
            Length.nearMm(s.height()));
    lay.laid.add(
        new Laid.Barcode(
            piece.id(),
            piece.name(),
            Outlines.of(symbol, toSheet),
            drawn.magnification(),
            panel.redLight()));
    return drawn.marks();
  }

  @Override
  public List<Mark> group(Content.Group group) {
    List<Mark> marks = new ArrayList<>();
    Content.Group placed = PartsInLine.of(group, box, lay, scope.scale());
    marks.addAll(
        lay.pieces(placed.pieces(), scope.inside(piece, placed, box), toSheet, piece.id()));
    return marks;
  }
}
