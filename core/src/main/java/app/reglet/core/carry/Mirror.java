package app.reglet.core.carry;

import app.reglet.core.book.Book;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Line;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Words;
import app.reglet.core.wrap.FilePages;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;

/**
 * A design for a book whose pages turn the other way: what lies left of a panel's middle lies right
 * of it. Words, pages and drawings stay as they are and readable, and so do pictures on one panel:
 * a face stays that face. A picture over several panels is mirrored, so that what the front showed
 * the front shows; forms are mirrored. Twice mirrored a design is what it was.
 *
 * @param book whose words say whether prose is ranged with them
 * @param from the outside it was designed on
 */
record Mirror(Book book, Wrap from) {
  Design of(Design design) {
    return new Design(
        design.palette(),
        side(design.outside(), Optional.of(from)),
        side(design.inside(), FilePages.inside(from)));
  }

  private Composition side(Composition side, Optional<Wrap> sheet) {
    return side.withGrounds(
            g ->
                g.withPaint(paint(g.paint()))
                    .withPicture(
                        g.picture()
                            .map(Mirror::picture)
                            .map(p -> g.extent() == Ground.Extent.SHEET ? flipped(p) : p)
                            .orElse(null)))
        .withPieces(
            side.pieces().stream()
                .map(
                    p ->
                        sheet.filter(s -> isOverPanels(p, s)).isPresent()
                            ? flipped(piece(p))
                            : piece(p))
                .toList());
  }

  private List<Piece> pieces(List<Piece> pieces) {
    return pieces.stream().map(this::piece).toList();
  }

  private Piece piece(Piece p) {
    Placement there =
        p.placement()
            .withAnchors(new Anchors(span(p.anchors().across()), p.anchors().down()))
            .withAngle(-p.placement().angle());
    Content content = p.content();
    if (content instanceof Content.Shape s) {
      return p.withPlacement(there).withContent(shape(s));
    }
    if (content instanceof Words w) {
      return p.withPlacement(there).withContent(words(w));
    }
    if (content instanceof Content.Picture picture) {
      return p.withPlacement(there).withContent(picture(picture));
    }
    if (content instanceof Content.Group g) {
      return p.withPlacement(there).withContent(g.withPieces(pieces(g.pieces())));
    }
    return p.withPlacement(there);
  }

  /** Where the panel's left is its right. */
  static Span span(Span span) {
    return span.accept(
        new Span.Visitor<>() {
          @Override
          public Span hung(Span.Hung h) {
            Span.Part part =
                switch (h.part()) {
                  case START -> Span.Part.END;
                  case MIDDLE -> Span.Part.MIDDLE;
                  case END -> Span.Part.START;
                };
            return new Span.Hung(line(h.line()), part, h.offset().negate(), h.size());
          }

          @Override
          public Span stretched(Span.Stretched t) {
            return new Span.Stretched(
                line(t.to()), t.toOffset().negate(), line(t.from()), t.fromOffset().negate());
          }
        });
  }

  private static Line line(Line l) {
    Line.Edge edge =
        switch (l.edge()) {
          case LEFT -> Line.Edge.RIGHT;
          case RIGHT -> Line.Edge.LEFT;
          default -> l.edge();
        };
    return new Line(l.region(), edge);
  }

  private static Content shape(Content.Shape s) {
    return new Content.Shape(
        figure(s.figure()),
        s.fill() == null ? null : paint(s.fill()),
        s.stroke() == null ? null : s.stroke().withPaint(paint(s.stroke().paint())));
  }

  private static Figure figure(Figure figure) {
    return figure.accept(
        new Figure.Visitor<>() {
          @Override
          public Figure rectangle(Figure.Rectangle r) {
            return new Figure.Rectangle(r.topRight(), r.topLeft(), r.bottomLeft(), r.bottomRight());
          }

          @Override
          public Figure ellipse(Figure.Ellipse e) {
            return e;
          }

          @Override
          public Figure regular(Figure.Regular g) {
            return g; // the first corner is at the top, the others are alike on both sides
          }

          @Override
          public Figure free(Figure.Free f) {
            return new Figure.Free(
                f.corners().stream()
                    .map(c -> new Figure.Free.Corner(Math.rint((1 - c.x()) * FINE) / FINE, c.y()))
                    .toList());
          }

          @Override
          public Figure line(Figure.Line l) {
            return switch (l.way()) {
              case FALLING -> new Figure.Line(Figure.Line.Way.RISING);
              case RISING -> new Figure.Line(Figure.Line.Way.FALLING);
              default -> l;
            };
          }
        });
  }

  private static Paint paint(Paint paint) {
    return paint instanceof Paint.Linear l ? l.mirrored() : paint;
  }

  /** Whether a piece lies over several panels of its sheet. */
  private static boolean isOverPanels(Piece p, Wrap wrap) {
    return p.anchors().on(wrap).filter(b -> Sheets.home(wrap, b).isEmpty()).isPresent();
  }

  private static Piece flipped(Piece p) {
    return p.content() instanceof Content.Picture seen ? p.withContent(flipped(seen)) : p;
  }

  private static Content.Picture flipped(Content.Picture p) {
    Framing f = p.framing();
    return p.withFraming(new Framing(f.focus(), f.zoom(), f.fit(), f.quarters(), !f.mirrored()));
  }

  /** What is darkened for words is darkened where they are now. */
  private static Content.Picture picture(Content.Picture p) {
    Treatment.Shade shade = p.treatment().shade();
    Treatment.Shade.Side side =
        switch (shade.side()) {
          case LEFT -> Treatment.Shade.Side.RIGHT;
          case RIGHT -> Treatment.Shade.Side.LEFT;
          default -> shade.side();
        };
    return p.withTreatment(
        p.treatment().withShade(new Treatment.Shade(side, shade.amount(), shade.reach())));
  }

  /**
   * Ranged to the other side, but for prose that is read from the left as before, and for what runs
   * up or down.
   */
  private Words words(Words w) {
    boolean prose = w.fact() == null ? w.text().length() > PROSE : w.fact().isProse();
    Setting s = w.setting();
    boolean upright = s.direction() != Setting.Direction.LEVEL;
    boolean stays = upright || prose && !isRightToLeft(w.on(book).text());
    Setting.Align align =
        switch (s.align()) {
          case LEFT -> stays ? Setting.Align.LEFT : Setting.Align.RIGHT;
          case RIGHT -> stays ? Setting.Align.RIGHT : Setting.Align.LEFT;
          default -> s.align();
        };
    return w.aligned(align, s.vertical()).withPaint(paint(w.paint()));
  }

  /** Words of their own that are longer are prose. */
  private static final int PROSE = 120;

  /** Steps of a box in which a mirrored corner falls, so that twice mirrored it is what it was. */
  private static final double FINE = 1e12;

  /** Whether the first letter with a direction runs right to left (UAX #9, rule P2). */
  private static boolean isRightToLeft(String text) {
    return text.codePoints()
            .map(c -> Character.getDirectionality(c))
            .filter(
                d ->
                    d == Character.DIRECTIONALITY_LEFT_TO_RIGHT
                        || d == Character.DIRECTIONALITY_RIGHT_TO_LEFT
                        || d == Character.DIRECTIONALITY_RIGHT_TO_LEFT_ARABIC)
            .findFirst()
            .orElse(Character.DIRECTIONALITY_LEFT_TO_RIGHT)
        != Character.DIRECTIONALITY_LEFT_TO_RIGHT;
  }
}
