package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Mending;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Carries changes out: the one function from a design and an {@link Edit} to a design. */
public final class Editing {
  static final Length SMALLEST = Length.of(1, Unit.MM);
  private static final Length LARGEST_TYPE = Length.of(800, Unit.PT);
  private static final Length SMALLEST_TYPE = Length.of(3, Unit.PT);
  private static final int LONGEST_TEXT = 20_000;

  private final Wrap wrap;
  private final Book book;
  private final Design design;
  private final Placing placing;

  private Editing(Design design, Wrap wrap, Book book) {
    this.design = design;
    this.wrap = wrap;
    this.book = book;
    this.placing = new Placing(design, wrap);
  }

  /**
   * The design after a change.
   *
   * @param wrap the outside of the cover it lies on
   * @param book whose words it shows
   * @throws Refusal when it can't be done, with a sentence
   */
  public static Design apply(Edit edit, Design design, Wrap wrap, Book book) {
    return new Editing(design, wrap, book).apply(edit);
  }

  private Design apply(Edit edit) {
    if (!(edit instanceof Edit.Lock)) {
      edit.pieces().forEach(this::expectUnlocked);
    }
    if (edit instanceof Edit.OfPiece of) {
      return ofPiece(of, piece(of.piece()));
    }
    if (edit instanceof Edit.OfNone of) {
      return ofNone(of);
    }
    if (edit instanceof Edit.Move move) {
      Design moved = design;
      for (String id : move.pieces()) {
        Piece after = placing.moved(piece(id), move.right(), move.down());
        moved = moved.changed(id, p -> after);
      }
      return moved;
    }
    if (edit instanceof Edit.Group group) {
      return Grouping.group(design, wrap, group.pieces());
    }
    Edit.Remove remove = (Edit.Remove) edit;
    Design left = design;
    for (String id : remove.pieces()) {
      left = left.changed(left.sideOf(id), c -> c.without(List.of(id)));
    }
    return left;
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

  private Design ofPiece(Edit.OfPiece edit, Piece piece) {
    if (edit instanceof Edit.Reorder e) {
      return design.changed(design.sideOf(piece.id()), c -> c.reordered(piece.id(), e.by()));
    }
    if (edit instanceof Edit.Ungroup) {
      return Grouping.ungroup(design, wrap, piece);
    }
    Piece after = changed(edit, piece);
    return design.changed(piece.id(), p -> after);
  }

  private Piece changed(Edit.OfPiece edit, Piece piece) {
    if (edit instanceof Edit.Resize e) {
      return placing.resized(piece, e);
    } else if (edit instanceof Edit.Place e) {
      return placing.placed(piece, e);
    } else if (edit instanceof Edit.Turn e) {
      return piece.withPlacement(piece.placement().withAngle(e.angle()));
    } else if (edit instanceof Edit.Flip e) {
      expectNoBarcode(piece);
      return piece.withPlacement(
          piece
              .placement()
              .withFlip(
                  e.across()
                      ? piece.placement().flip().across()
                      : piece.placement().flip().down()));
    } else if (edit instanceof Edit.Hang e) {
      return placing.hung(piece, e);
    } else if (edit instanceof Edit.Set e) {
      return piece.withContent(checked(piece, e.content()));
    } else if (edit instanceof Edit.Appear e) {
      return piece.withAppearance(e.appearance());
    } else if (edit instanceof Edit.Rename e) {
      return piece.withName(name(e.name(), piece));
    } else if (edit instanceof Edit.Lock e) {
      return piece.locked(e.locked());
    }
    return piece.hidden(((Edit.Hide) edit).hidden());
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
      if (w.size().isLessThan(SMALLEST_TYPE) || w.size().isMoreThan(LARGEST_TYPE)) {
        throw new Refusal(
            "A type size of " + w.size().brief(Unit.PT) + " can't be set: from 3 to 800 pt.");
      }
      if (w.text().length() > LONGEST_TEXT) {
        throw new Refusal(
            "These are "
                + w.text().length()
                + " characters; a piece holds at most "
                + LONGEST_TEXT
                + ".");
      }
    }
    return content;
  }

  private Design ofNone(Edit.OfNone edit) {
    if (edit instanceof Edit.SetGround e) {
      return design.changed(e.side(), c -> c.withGround(e.ground()));
    } else if (edit instanceof Edit.SetSwatch e) {
      Map<String, Colour.Solid> palette = new LinkedHashMap<>(design.palette());
      palette.put(new Colour.Swatch(e.name().strip()).name(), e.colour());
      return design.withPalette(palette);
    } else if (edit instanceof Edit.RemoveSwatch e) {
      return withoutSwatch(e.name());
    } else if (edit instanceof Edit.Lay e) {
      return e.layout().on(wrap, book, design);
    } else if (edit instanceof Edit.Mend e) {
      return Mending.apply(e.remedy(), design, wrap);
    }
    return new Adding(design, wrap, book).added(edit);
  }

  /** Where a swatch was used, its colour stands directly. */
  private Design withoutSwatch(String name) {
    Colour.Solid colour = design.palette().get(name);
    if (colour == null) {
      return design;
    }
    UnaryOperator<Colour> rule = c -> c.equals(new Colour.Swatch(name)) ? colour : c;
    Map<String, Colour.Solid> palette = new LinkedHashMap<>(design.palette());
    palette.remove(name);
    return new Design(
        palette,
        Rewriting.coloured(design.outside(), rule),
        Rewriting.coloured(design.inside(), rule));
  }
}
