package app.reglet.press.art;

import app.reglet.core.book.Book;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Background;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.barcode.IsbnBarcode;
import app.reglet.press.picture.Picture;
import app.reglet.press.type.SetWords;
import app.reglet.press.type.Setter;
import app.reglet.press.type.ShapedLine;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lays a design on a wrap: {@code Design + Wrap → Artwork}. */
public final class Composer {
  private static final double MM_PER_INCH = 25.4;

  /** The face of a barcode's digits. */
  private static final String DIGITS = "work-sans";

  private final Typefaces typefaces;

  public Composer(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  public Artwork compose(Design design, Wrap wrap, Book book, Pictures pictures) {
    Lay lay = new Lay(wrap, book);
    lay.background(design.background(), pictures);
    design.pieces().forEach(lay::piece);
    return new Artwork(wrap, lay.marks, lay.laid, lay.absent);
  }

  /** One run of the composer. */
  private final class Lay {
    private final Wrap wrap;
    private final Book book;
    private final List<Mark> marks = new ArrayList<>();
    private final List<Laid> laid = new ArrayList<>();
    private final List<String> absent = new ArrayList<>();

    Lay(Wrap wrap, Book book) {
      this.wrap = wrap;
      this.book = book;
    }

    void background(Background b, Pictures pictures) {
      marks.add(new Mark.Area(Artwork.BACKGROUND, Frame.of(wrap.sheetBox()), Paint.of(b.colour())));
      laid.add(new Laid.Area(Artwork.BACKGROUND, "Background", wrap.sheetBox()));
      Optional<Picture> picture = b.hasPicture() ? pictures.find(b.picture()) : Optional.empty();
      if (picture.isEmpty()) {
        return;
      }
      Box box = wrap.box(b.region()).orElse(wrap.sheetBox());
      Frame clip = Frame.of(box);
      Picture p = picture.get();
      double scale = Math.max(clip.width() / p.width(), clip.height() / p.height());
      double w = p.width() * scale;
      double h = p.height() * scale;
      double x = clip.x() - (w - clip.width()) * b.focusX();
      double y = clip.y() - (h - clip.height()) * b.focusY();
      marks.add(new Mark.Image(Artwork.BACKGROUND, p, clip, new Frame(x, y, w, h), b.colour()));
      laid.add(
          new Laid.Picture(Artwork.BACKGROUND, "Background picture", box, MM_PER_INCH / scale));
    }

    void piece(Piece piece) {
      Optional<Box> box = piece.pins().on(wrap);
      if (box.isEmpty()) {
        absent.add(piece.name());
        return;
      }
      if (piece.content() instanceof Content.Words words) {
        words(piece, words, box.get());
      } else if (piece.content() instanceof Content.Band band) {
        marks.add(new Mark.Area(piece.id(), Frame.of(box.get()), Paint.of(band.colour())));
        laid.add(new Laid.Area(piece.id(), piece.name(), box.get()));
      } else if (piece.content() instanceof Content.Barcode) {
        barcode(piece, box.get());
      }
    }

    private void words(Piece piece, Content.Words words, Box box) {
      Typeface face = typefaces.get(words.face());
      String text = words.on(book);
      Frame frame = Frame.of(box);
      boolean level = words.turn() == Content.Turn.LEVEL;
      SetWords set =
          Setter.set(
              words,
              text,
              face,
              level ? frame.width() : frame.height(),
              level ? frame.height() : frame.width());
      AffineTransform turn = turn(words.turn(), frame);
      Rectangle2D ink = null;
      for (SetWords.PlacedLine placed : set.lines()) {
        AffineTransform place = new AffineTransform(turn);
        place.translate(placed.x(), placed.baseline());
        ShapedLine line = placed.line();
        double[] x = new double[line.x().length];
        for (int i = 0; i < x.length; i++) {
          x[i] = line.x()[i] * set.size();
        }
        marks.add(
            new Mark.Glyphs(
                piece.id(),
                face,
                set.size(),
                line.glyphs(),
                x,
                line.chars(),
                place,
                Paint.of(words.colour()),
                line.text()));
        AffineTransform toSheet = new AffineTransform(place);
        toSheet.scale(set.size(), set.size());
        Rectangle2D lineInk = toSheet.createTransformedShape(line.ink()).getBounds2D();
        if (!line.ink().isEmpty()) {
          ink = ink == null ? lineInk : ink.createUnion(lineInk);
        }
      }
      laid.add(
          new Laid.Words(
              piece.id(),
              piece.name(),
              box,
              ink == null ? new Box(box.x(), box.y(), Length.ZERO, Length.ZERO) : box(ink),
              Length.nearMm(set.size()),
              set.overflowing(),
              face.missing(text),
              face.name(),
              largestOnSpine(words, face)));
    }

    private Length largestOnSpine(Content.Words words, Typeface face) {
      if (words.turn() == Content.Turn.LEVEL) {
        return Length.ZERO;
      }
      return wrap.box(Region.safe(PanelKind.SPINE))
          .map(band -> Length.nearMm(Setter.largestIn(face, band.width().toMm())))
          .orElse(Length.ZERO);
    }

    private void barcode(Piece piece, Box box) {
      if (book.isbn().isEmpty()) {
        absent.add(piece.name() + " (the book has no ISBN)");
        return;
      }
      Frame area = Frame.of(box);
      double margin = 1.5;
      IsbnBarcode code =
          IsbnBarcode.within(
              book.isbn().get(), area.width() - 2 * margin, area.height() - 2 * margin);
      double x = area.x() + (area.width() - code.width()) / 2;
      double y = area.y() + (area.height() - code.height()) / 2;
      marks.add(
          new Mark.Area(
              piece.id(),
              new Frame(
                  x - margin, y - margin, code.width() + 2 * margin, code.height() + 2 * margin),
              Paint.PAPER));
      for (IsbnBarcode.Bar bar : code.bars()) {
        marks.add(
            new Mark.Area(
                piece.id(),
                new Frame(x + bar.x(), y, bar.width(), bar.height()),
                Paint.BLACK_ONLY));
      }
      Typeface face = typefaces.get(DIGITS);
      double size = code.digitHeight() / face.capHeight();
      for (IsbnBarcode.Digits group : code.digits()) {
        digits(piece, group, face, size, x, y + code.baseline());
      }
      laid.add(
          new Laid.Barcode(
              piece.id(),
              piece.name(),
              box(new Rectangle2D.Double(x, y, code.width(), code.height()))));
    }

    /** Digits spread evenly, each in the middle of its share of the width. */
    private void digits(
        Piece piece,
        IsbnBarcode.Digits group,
        Typeface face,
        double size,
        double left,
        double baseline) {
      ShapedLine line = face.shape(group.text(), 0);
      double share = group.width() / group.text().length();
      double[] x = new double[line.glyphs().length];
      for (int i = 0; i < x.length; i++) {
        double advance = face.shape(group.text().substring(i, i + 1), 0).advance() * size;
        x[i] = group.x() + i * share + (share - advance) / 2;
      }
      marks.add(
          new Mark.Glyphs(
              piece.id(),
              face,
              size,
              line.glyphs(),
              x,
              line.chars(),
              AffineTransform.getTranslateInstance(left, baseline),
              Paint.BLACK_ONLY,
              group.text()));
    }
  }

  /** From the words' own frame to the sheet. */
  private static AffineTransform turn(Content.Turn turn, Frame frame) {
    return switch (turn) {
      case LEVEL -> AffineTransform.getTranslateInstance(frame.x(), frame.y());
      case DOWN -> new AffineTransform(0, 1, -1, 0, frame.right(), frame.y());
      case UP -> new AffineTransform(0, -1, 1, 0, frame.x(), frame.bottom());
    };
  }

  private static Box box(Rectangle2D r) {
    return new Box(
        Length.nearMm(r.getX()),
        Length.nearMm(r.getY()),
        Length.nearMm(r.getWidth()),
        Length.nearMm(r.getHeight()));
  }
}
