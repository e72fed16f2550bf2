package app.reglet.core.edit;

import app.reglet.core.book.Fact;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.design.StartingLayout;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Optional;

/**
 * A change of a design, as a value. {@link Editing} carries it out; {@link EditSentence} tells it.
 * Lengths are on the sheet, right and down positive.
 */
public sealed interface Edit permits Edit.Move, Edit.Remove, Edit.Group, Edit.OfPiece, Edit.OfNone {
  /** The pieces it changes, none when it concerns others. */
  List<String> pieces();

  /** Moved by a distance. */
  record Move(List<String> pieces, Length right, Length down) implements Edit {
    public Move {
      pieces = List.copyOf(pieces);
    }
  }

  /** Each edge of its box moved by a distance, along the piece's own axes. */
  record Resize(String piece, Length left, Length top, Length right, Length bottom)
      implements OfPiece {}

  /**
   * Typed figures: only those that are given change.
   *
   * @param from the region whose top left corner left and top are measured from
   */
  record Place(
      String piece,
      Region from,
      Optional<Length> left,
      Optional<Length> top,
      Optional<Length> width,
      Optional<Length> height)
      implements OfPiece {}

  /** Turned to an angle, degrees clockwise. */
  record Turn(String piece, double angle) implements OfPiece {}

  /**
   * Mirrored.
   *
   * @param across left and right, else top and bottom
   */
  record Flip(String piece, boolean across) implements OfPiece {}

  /** Hung on lines of a region; on another panel, it goes there. */
  record Hang(String piece, Region region, Span.Hold across, Span.Hold down) implements OfPiece {}

  /** Given other content. */
  record Set(String piece, Content content) implements OfPiece {}

  /** Laid otherwise over what is under it. */
  record Appear(String piece, Appearance appearance) implements OfPiece {}

  record Rename(String piece, String name) implements OfPiece {}

  record Lock(String piece, boolean locked) implements OfPiece {}

  record Hide(String piece, boolean hidden) implements OfPiece {}

  /**
   * Words put on a panel.
   *
   * @param fact the fact they follow, null for words of their own
   */
  record AddWords(PanelKind panel, Fact fact) implements OfNone {}

  /** A band of colour put behind the other pieces, across a panel. */
  record AddBand(PanelKind panel) implements OfNone {}

  /** A picture put on a panel. */
  record AddPicture(PanelKind panel, String sha, String name) implements OfNone {}

  /** The barcode put in its area. */
  record AddBarcode() implements OfNone {}

  record Remove(List<String> pieces) implements Edit {
    public Remove {
      pieces = List.copyOf(pieces);
    }
  }

  /** Moved so many places to the front (+) or back (−). */
  record Reorder(String piece, int by) implements OfPiece {}

  /** Made one piece. */
  record Group(List<String> pieces) implements Edit {
    public Group {
      pieces = List.copyOf(pieces);
    }
  }

  /** A group made its pieces again. */
  record Ungroup(String piece) implements OfPiece {}

  record SetGround(PrintedSide side, Ground ground, String what) implements OfNone {}

  /** A colour of the palette named or changed. */
  record SetSwatch(String name, Colour.Solid colour) implements OfNone {}

  /** A colour taken out of the palette; where it was used it stands directly. */
  record RemoveSwatch(String name) implements OfNone {}

  record Lay(StartingLayout layout) implements OfNone {}

  /** A remedy of a finding carried out. */
  record Mend(Remedy remedy, String label) implements OfNone {
    @Override
    public List<String> pieces() {
      return remedy.changes().stream().toList();
    }
  }

  /** A change of one piece. */
  sealed interface OfPiece extends Edit
      permits Resize, Place, Turn, Flip, Hang, Set, Appear, Rename, Lock, Hide, Reorder, Ungroup {
    String piece();

    @Override
    default List<String> pieces() {
      return List.of(piece());
    }
  }

  /** A change of no piece that is there yet. */
  sealed interface OfNone extends Edit
      permits AddWords,
          AddBand,
          AddPicture,
          AddBarcode,
          SetGround,
          SetSwatch,
          RemoveSwatch,
          Lay,
          Mend {
    @Override
    default List<String> pieces() {
      return List.of();
    }
  }
}
