package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;

/**
 * A layout to start from. Positions and type sizes are shares of the front's safe box on the wrap
 * at hand (proportions: our own); the pieces it makes are anchored, so they follow the wrap
 * afterwards.
 */
public enum StartingLayout {
  /** Title at the head, author at the foot, ranged left. */
  LEDGER("Ledger", "Title at the head, author at the foot, ranged left"),
  /** Everything on the middle axis, title on the upper third. */
  AXIS("Axis", "On the middle axis, title on the upper third"),
  /** A band of colour across the whole sheet carries title and author. */
  TIDEMARK("Tidemark", "A band of colour round the whole cover carries the title");

  private final String title;
  private final String about;

  StartingLayout(String title, String about) {
    this.title = title;
    this.about = about;
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  public String title() {
    return title;
  }

  public String about() {
    return about;
  }

  /** Lays the book's words out on the outside of a wrap, in front of the ground of a design. */
  public Design on(Wrap wrap, Book book, Design design) {
    Composition side = design.outside();
    Ground ground = side.ground();
    LayoutDraft draft = new LayoutDraft(wrap, book, LayoutDraft.inkOn(design, ground));
    switch (this) {
      case LEDGER -> new LedgerLayout(draft).lay();
      case AXIS -> new AxisLayout(draft).lay();
      case TIDEMARK -> new TidemarkLayout(draft).lay();
    }
    return design.with(PrintedSide.OUTSIDE, side.withPieces(draft.pieces()));
  }
}
