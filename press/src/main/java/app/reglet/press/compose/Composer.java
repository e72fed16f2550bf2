package app.reglet.press.compose;

import app.reglet.core.book.Book;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.Typefaces;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Lays a design on a wrap: {@code Design + Wrap → Artwork}. */
public final class Composer {
  private final Typefaces typefaces;

  public Composer(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  /** The side of a cover that a page shows. */
  public Artwork compose(Design design, Wrap wrap, Book book, Pictures pictures) {
    return compose(design, PrintedSide.of(wrap), wrap, book, pictures);
  }

  /**
   * One printed side.
   *
   * @param wrap the page it lies on: the outside, or the inside as it looks when turned over
   */
  public Artwork compose(Design design, PrintedSide side, Wrap wrap, Book book, Pictures pictures) {
    return compose(design, side, wrap, book, pictures, Map.of());
  }

  /**
   * The side of a cover that is much like one composed before: the parts of pieces that are the
   * same are taken from it, as they are.
   */
  public Artwork compose(Design design, Wrap wrap, Book book, Pictures pictures, Artwork before) {
    boolean same =
        before.wrap().equals(wrap)
            && before.book().equals(book)
            && before.palette().equals(design.palette());
    Map<Piece, Artwork.Part> kept = new HashMap<>();
    if (same) {
      before.parts().stream().filter(p -> p.piece() != null).forEach(p -> kept.put(p.piece(), p));
    }
    return compose(design, PrintedSide.of(wrap), wrap, book, pictures, kept);
  }

  /**
   * The lines of a piece of words as a caret goes along them; none when it is not seen.
   *
   * @param id the piece's, loose or in a group
   */
  public List<CaretLine> carets(Design design, Wrap wrap, Book book, Pictures pictures, String id) {
    Composition side = design.side(PrintedSide.of(wrap));
    for (Piece piece : side.pieces()) {
      if (new Composition(side.ground(), List.of(piece)).all().anyMatch(p -> p.id().equals(id))) {
        Lay lay = new Lay(design, wrap, book, pictures, typefaces);
        lay.caretOf = id;
        lay.loose(piece);
        return List.copyOf(lay.carets);
      }
    }
    return List.of();
  }

  private Artwork compose(
      Design design,
      PrintedSide side,
      Wrap wrap,
      Book book,
      Pictures pictures,
      Map<Piece, Artwork.Part> kept) {
    Composition composition = design.side(side);
    List<Artwork.Part> parts = new ArrayList<>();
    Lay ground = new Lay(design, wrap, book, pictures, typefaces);
    ground.ground(composition);
    parts.add(ground.part(null));
    for (Piece piece : composition.pieces()) {
      Artwork.Part part = kept.get(piece);
      if (part == null) {
        Lay lay = new Lay(design, wrap, book, pictures, typefaces);
        lay.loose(piece);
        part = lay.part(piece);
      }
      parts.add(part);
    }
    return new Artwork(wrap, book, design.palette(), parts);
  }
}
