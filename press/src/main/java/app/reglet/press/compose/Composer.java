package app.reglet.press.compose;

import app.reglet.core.book.Book;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Design;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.Typefaces;

/** Lays a design on a wrap: {@code Design + Wrap → Artwork}. */
public final class Composer {
  private final Typefaces typefaces;

  public Composer(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  /** The outside of a cover. */
  public Artwork compose(Design design, Wrap wrap, Book book, Pictures pictures) {
    return compose(design, PrintedSide.OUTSIDE, wrap, book, pictures);
  }

  /**
   * One printed side.
   *
   * @param wrap the page it lies on: the outside, or the inside as it looks when turned over
   */
  public Artwork compose(Design design, PrintedSide side, Wrap wrap, Book book, Pictures pictures) {
    Lay lay = new Lay(design, wrap, book, pictures, typefaces);
    Composition composition = design.side(side);
    lay.ground(composition.ground());
    lay.pieces(composition.pieces());
    return lay.artwork();
  }
}
