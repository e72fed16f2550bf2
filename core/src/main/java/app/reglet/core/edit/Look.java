package app.reglet.core.edit;

import app.reglet.core.book.Book;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.layout.TypePair;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * How a cover looks, without the book it was made for: layout, palette, typefaces, ornaments. On
 * another book words that follow facts say that book's; words that were typed for the first are
 * left out, and so are its pictures where there is no other to stand in for them. A front of
 * another size is the same at that size: distances and type go by the lesser of the two ratios.
 *
 * @param design the cover it was taken from
 * @param front the trimmed size of that cover's front
 */
public record Look(Design design, Size front) {
  /** That of a cover. */
  public static Look of(Design design, Wrap wrap) {
    return new Look(design, frontOf(wrap));
  }

  private static Size frontOf(Wrap wrap) {
    return wrap.panel(PanelKind.FRONT).orElseThrow().trim().size();
  }

  /**
   * What a look comes to on a book.
   *
   * @param design the design; its inside is that which was there where the look has none
   * @param leftOut the names of the pieces that are not on it
   */
  public record Worn(Design design, List<String> leftOut) {}

  /**
   * The look on a book.
   *
   * @param before what is there now
   * @param picture the SHA-256 of what stands in for the pictures of the first cover, empty to
   *     leave them out
   * @param faces whether there is a typeface; words in one that is not here are set in {@link
   *     TypePair#SPECTRAL}
   */
  public Worn on(
      Wrap wrap, Book book, Design before, Optional<String> picture, Predicate<String> faces) {
    Design sized = Scaling.of(design, front, frontOf(wrap));
    Fitting fitting = new Fitting(wrap, book, picture, faces);
    Composition outside = fitting.side(sized.outside());
    boolean inside = !design.isUntouched(PrintedSide.INSIDE) && wrap.spec().insidePrinted();
    Composition within = inside ? fitting.within(sized.inside()) : before.inside();
    Map<String, Colour.Solid> palette =
        new LinkedHashMap<>(inside ? sized.palette() : before.palette());
    palette.putAll(sized.palette());
    return new Worn(
        new Design(palette, outside.besides(within), within), List.copyOf(fitting.leftOut));
  }

  /** What of a cover is of its book, taken out or exchanged. */
  private static final class Fitting {
    private final Wrap wrap;
    private final Book book;
    private final Optional<String> picture;
    private final Predicate<String> faces;
    private final List<String> leftOut = new ArrayList<>();

    Fitting(Wrap wrap, Book book, Optional<String> picture, Predicate<String> faces) {
      this.faces = faces;
      this.wrap = wrap;
      this.book = book;
      this.picture = picture;
    }

    Composition side(Composition side) {
      return fitted(side, pieces -> pieces.stream().filter(this::hangs).toList());
    }

    /** The inside has its own page, with the same parts. */
    Composition within(Composition side) {
      return fitted(side, UnaryOperator.identity());
    }

    private Composition fitted(Composition side, UnaryOperator<List<Piece>> hanging) {
      Composition grounds = side.withGrounds(this::ground);
      return grounds.withPieces(pieces(hanging.apply(side.pieces())));
    }

    private boolean hangs(Piece piece) {
      boolean there = piece.anchors().on(wrap).isPresent();
      if (!there) {
        leftOut.add(piece.name());
      }
      return there;
    }

    private Ground ground(Ground g) {
      Ground bare =
          g.pattern().filter(p -> p.motif() instanceof Motif.Pictured).isPresent()
              ? g.withPattern(null)
              : g;
      return bare.withPicture(bare.picture().flatMap(this::other).orElse(null));
    }

    /** The picture that stands in for one, framed anew: its focus is its own. */
    private Optional<Content.Picture> other(Content.Picture was) {
      return picture.map(sha -> Content.Picture.of(sha).withTreatment(was.treatment()));
    }

    private List<Piece> pieces(List<Piece> all) {
      List<Piece> kept = new ArrayList<>();
      for (Piece p : all) {
        Optional<Content> content = content(p.content());
        if (content.isEmpty()) {
          leftOut.add(p.name());
        } else {
          kept.add(p.withContent(content.get()));
        }
      }
      return kept;
    }

    private Optional<Content> content(Content content) {
      if (content instanceof Words w) {
        boolean follows = w.fact() != null || w.text().contains("{");
        Content.Picture through = w.through() == null ? null : other(w.through()).orElse(null);
        Words here = faces.test(w.type().face()) ? w : w.in(TypePair.SPECTRAL.text());
        return follows ? Optional.of(here.through(through)) : Optional.empty();
      }
      if (content instanceof Content.Picture p) {
        return other(p).map(Content.class::cast);
      }
      if (content instanceof Content.Pattern p && p.motif() instanceof Motif.Pictured
          || content instanceof Content.Page
          || content instanceof Content.Cutting
          || content instanceof Content.Barcode && book.isbn().isEmpty()) {
        return Optional.empty();
      }
      if (content instanceof Content.Group g) {
        List<Piece> inside = pieces(g.pieces());
        return inside.isEmpty() ? Optional.empty() : Optional.of(g.withPieces(inside));
      }
      return Optional.of(content);
    }
  }
}
