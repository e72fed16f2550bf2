package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Placement;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Carries changes out: the one function from a design and an {@link Edit} to a design. */
public final class Editing implements Edit.Visitor<Design> {
  private final Wrap wrap;
  private final Book book;
  private final Design design;
  private final Placing placing;

  private Editing(Design design, Wrap wrap, Book book, Unit unit) {
    this.design = design;
    this.wrap = wrap;
    this.book = book;
    this.placing = new Placing(design, wrap, unit);
  }

  /**
   * The design after a change, where what can't be done is told in the house's unit.
   *
   * @param wrap the outside of the cover it lies on
   * @param book whose words it shows
   * @throws Refusal when it can't be done, with a sentence
   */
  public static Design apply(Edit edit, Design design, Wrap wrap, Book book) {
    return apply(edit, design, wrap, book, wrap.house().unit());
  }

  /**
   * The design after a change.
   *
   * @param wrap the outside of the cover it lies on
   * @param book whose words it shows
   * @param unit that what can't be done is told in
   * @throws Refusal when it can't be done, with a sentence
   */
  public static Design apply(Edit edit, Design design, Wrap wrap, Book book, Unit unit) {
    return new Editing(design, wrap, book, unit).apply(edit);
  }

  private Design apply(Edit edit) {
    boolean leaves =
        edit instanceof Edit.Lock
            || edit instanceof Arrangement.Copy
            || edit instanceof Edit.Mend m && m.remedy() instanceof Remedy.Unlock;
    edit.pieces().forEach(leaves ? this::piece : this::expectUnlocked);
    return edit.accept(this);
  }

  /** What is locked is left alone, and so is what is in it. */
  private void expectUnlocked(String id) {
    Piece loose = piece(design.side(design.sideOf(id)).looseOf(id));
    for (Piece p : List.of(piece(id), loose)) {
      if (p.locked()) {
        throw new Refusal("“" + p.name() + "” is locked: unlock it to change it.");
      }
    }
  }

  private Piece piece(String id) {
    return design
        .piece(id)
        .orElseThrow(
            () ->
                new Refusal(
                    "That piece is not on the cover any more: it was taken off. Undo brings it back."));
  }

  /** A part of a line stands where the others leave it, its words as the line runs. */
  private void expectNoPart(Piece piece) {
    if (design.side(design.sideOf(piece.id())).isInRow(piece.id())) {
      throw new Refusal(
          "“"
              + piece.name()
              + "” stands in a line of parts, which share its length: its place follows from theirs. Arrange it forward or back to change the order, or let the parts of the group lie as they hang.");
    }
  }

  /** The design with a piece changed as said. */
  private Design with(String id, UnaryOperator<Piece> how) {
    Piece after = how.apply(piece(id));
    return design.changed(id, p -> after);
  }

  @Override
  public Design move(Edit.Move e) {
    Design moved = design;
    for (String id : e.pieces()) {
      expectNoPart(piece(id));
      Piece after = placing.moved(piece(id), e.right(), e.down());
      moved = moved.changed(id, p -> after);
    }
    return moved;
  }

  @Override
  public Design resize(Edit.Resize e) {
    return with(e.piece(), p -> placing.resized(p, e));
  }

  @Override
  public Design place(Edit.Place e) {
    Piece piece = piece(e.piece());
    if (e.left().isPresent() || e.top().isPresent() || piece.content() instanceof Words) {
      expectNoPart(piece); // how large an ornament is in a line is its own affair
    }
    return with(e.piece(), p -> placing.placed(p, e));
  }

  @Override
  public Design turn(Edit.Turn e) {
    expectNoPart(piece(e.piece()));
    return with(e.piece(), p -> p.withPlacement(p.placement().withAngle(e.angle())));
  }

  @Override
  public Design flip(Edit.Flip e) {
    return with(
        e.piece(),
        p -> {
          expectNoBarcode(p);
          Placement.Flip flip = p.placement().flip();
          return p.withPlacement(p.placement().withFlip(e.across() ? flip.across() : flip.down()));
        });
  }

  @Override
  public Design hang(Edit.Hang e) {
    expectNoPart(piece(e.piece()));
    return with(e.piece(), p -> placing.hung(p, e));
  }

  @Override
  public Design fill(Edit.Fill e) {
    expectNoPart(piece(e.piece()));
    return with(
        e.piece(),
        p -> {
          expectNoBarcode(p);
          return placing.filling(p);
        });
  }

  @Override
  public Design set(Edit.Set e) {
    return with(
        e.piece(),
        p ->
            p.withContent(checked(p, e.content()))
                .withName(e.name() == null ? p.name() : e.name()));
  }

  @Override
  public Design appear(Edit.Appear e) {
    return with(e.piece(), p -> p.withAppearance(e.appearance()));
  }

  @Override
  public Design rename(Edit.Rename e) {
    return with(e.piece(), p -> p.withName(name(e.name(), p)));
  }

  @Override
  public Design lock(Edit.Lock e) {
    return with(e.piece(), p -> p.locked(e.locked()));
  }

  @Override
  public Design hide(Edit.Hide e) {
    return with(e.piece(), p -> p.hidden(e.hidden()));
  }

  @Override
  public Design reorder(Edit.Reorder e) {
    return design.changed(design.sideOf(e.piece()), c -> c.reordered(e.piece(), e.by()));
  }

  @Override
  public Design group(Edit.Group e) {
    return Grouping.group(design, wrap, e.pieces());
  }

  @Override
  public Design ungroup(Edit.Ungroup e) {
    return Grouping.ungroup(design, wrap, piece(e.piece()));
  }

  @Override
  public Design remove(Edit.Remove e) {
    Design left = design;
    for (String id : e.pieces()) {
      left = left.changed(left.sideOf(id), c -> c.without(List.of(id)));
    }
    return left;
  }

  @Override
  public Design addition(Addition e) {
    return e.add(new Adding(design, wrap, book));
  }

  @Override
  public Design arrangement(Arrangement e) {
    return e.arrange(new Arranging(design, wrap));
  }

  @Override
  public Design setGround(Edit.SetGround e) {
    return design.changed(e.side(), c -> c.withGround(e.part(), e.ground()));
  }

  @Override
  public Design setSwatch(Edit.SetSwatch e) {
    return PaletteEditing.with(design, Map.of(e.name().strip(), e.colour()));
  }

  @Override
  public Design addSwatches(Edit.AddSwatches e) {
    return PaletteEditing.with(design, e.colours());
  }

  @Override
  public Design nameColour(Edit.NameColour e) {
    return PaletteEditing.named(design, e.name(), e.colour());
  }

  @Override
  public Design lay(Starting.Lay e) {
    expectOutside();
    return e.layout().on(wrap, book, design, e.dress());
  }

  @Override
  public Design wear(Starting.Wear e) {
    expectOutside();
    return e.worn().design();
  }

  private void expectOutside() {
    if (PrintedSide.of(wrap) == PrintedSide.INSIDE) {
      throw new Refusal("The layouts are of the outside: turn the cover over first.");
    }
  }

  @Override
  public Design mend(Edit.Mend e) {
    return Mending.apply(e.remedy(), design, wrap);
  }

  /** Scanners read no mirrored barcode. */
  private static void expectNoBarcode(Piece piece) {
    boolean code =
        new Composition(Composition.EMPTY.ground(), List.of(piece))
            .all()
            .anyMatch(p -> p.content() instanceof Content.Barcode);
    if (code) {
      throw new Refusal("A barcode can't be mirrored: no scanner would read it.");
    }
  }

  private static String name(String typed, Piece piece) {
    String name = typed.strip();
    return name.isEmpty()
        ? piece.name()
        : name.length() > Piece.LONGEST_NAME ? name.substring(0, Piece.LONGEST_NAME) : name;
  }

  private static Content checked(Piece piece, Content content) {
    if (!content.getClass().equals(piece.content().getClass())) {
      throw new Refusal("“" + piece.name() + "” is a piece of another kind.");
    }
    if (content instanceof Words w) {
      if (w.type().size().isLessThan(DesignLimits.LEAST_TYPE)
          || w.type().size().isMoreThan(DesignLimits.MOST_TYPE)) {
        throw new Refusal(
            "A type size of "
                + w.type().size().brief(Unit.PT)
                + " can't be set: from "
                + DesignLimits.LEAST_TYPE.figure(Unit.PT)
                + " to "
                + DesignLimits.MOST_TYPE.brief(Unit.PT)
                + ".");
      }
      if (w.text().length() > DesignLimits.LONGEST_TEXT) {
        throw new Refusal(
            String.format(
                Locale.ROOT,
                "These are %,d characters; a piece holds at most %,d: what you typed is still here, and what is on the cover stays until it is shorter.",
                w.text().length(),
                DesignLimits.LONGEST_TEXT));
      }
    }
    return content;
  }

  @Override
  public Design removeSwatch(Edit.RemoveSwatch e) {
    return PaletteEditing.without(design, e.name());
  }
}
