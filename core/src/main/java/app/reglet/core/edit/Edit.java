package app.reglet.core.edit;

import app.reglet.core.check.Remedy;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A change of a design, as a value. {@link Editing} carries it out; {@link EditSentence} tells it.
 * Lengths are on the sheet, right and down positive.
 */
public sealed interface Edit
    permits Edit.Move, Edit.Remove, Edit.Group, Edit.OfPiece, Edit.OfNone, Addition, Arrangement {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R move(Move edit);

    R resize(Resize edit);

    R place(Place edit);

    R turn(Turn edit);

    R flip(Flip edit);

    R hang(Hang edit);

    R fill(Fill edit);

    R set(Set edit);

    R appear(Appear edit);

    R rename(Rename edit);

    R lock(Lock edit);

    R hide(Hide edit);

    R remove(Remove edit);

    R reorder(Reorder edit);

    R group(Group edit);

    R ungroup(Ungroup edit);

    R setGround(SetGround edit);

    R setSwatch(SetSwatch edit);

    R removeSwatch(RemoveSwatch edit);

    R addSwatches(AddSwatches edit);

    R nameColour(NameColour edit);

    R lay(Starting.Lay edit);

    R wear(Starting.Wear edit);

    R mend(Mend edit);

    R addition(Addition edit);

    R arrangement(Arrangement edit);
  }

  /** The pieces it changes, none when it concerns others. */
  List<String> pieces();

  /** Moved by a distance. */
  record Move(List<String> pieces, Length right, Length down) implements Edit {
    public Move {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.move(this);
    }
  }

  /** Each edge of its box moved by a distance, along the piece's own axes. */
  record Resize(String piece, Length left, Length top, Length right, Length bottom)
      implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.resize(this);
    }
  }

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
      implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.place(this);
    }
  }

  /** Turned to an angle, degrees clockwise. */
  record Turn(String piece, double angle) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.turn(this);
    }
  }

  /**
   * Mirrored.
   *
   * @param across left and right, else top and bottom
   */
  record Flip(String piece, boolean across) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flip(this);
    }
  }

  /** Hung on lines of a region; on another panel, it goes there. */
  record Hang(String piece, Region region, Span.Hold across, Span.Hold down) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.hang(this);
    }
  }

  /**
   * Made to fill its panel as far as the bleed, upright, and to go on doing so on any other cover;
   * a piece that hangs on no panel fills the whole sheet.
   */
  record Fill(String piece) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.fill(this);
    }
  }

  /** Given other content; and another name, unless that is null. */
  record Set(String piece, Content content, String name) implements OfPiece {
    public Set(String piece, Content content) {
      this(piece, content, null);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.set(this);
    }
  }

  /** Laid otherwise over what is under it. */
  record Appear(String piece, Appearance appearance) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.appear(this);
    }
  }

  record Rename(String piece, String name) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.rename(this);
    }
  }

  record Lock(String piece, boolean locked) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.lock(this);
    }
  }

  record Hide(String piece, boolean hidden) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.hide(this);
    }
  }

  record Remove(List<String> pieces) implements Edit {
    public Remove {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.remove(this);
    }
  }

  /** Moved so many places to the front (+) or back (−). */
  record Reorder(String piece, int by) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.reorder(this);
    }
  }

  /** Made one piece. */
  record Group(List<String> pieces) implements Edit {
    public Group {
      pieces = List.copyOf(pieces);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.group(this);
    }
  }

  /** A group made its pieces again. */
  record Ungroup(String piece) implements OfPiece {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.ungroup(this);
    }
  }

  /**
   * Another ground.
   *
   * @param part whose, empty for the whole sheet
   * @param ground null for a part that has none of its own from then
   * @param what it is called in the history
   */
  record SetGround(PrintedSide side, Optional<PanelKind> part, Ground ground, String what)
      implements OfNone {
    /** Of the whole sheet. */
    public SetGround(PrintedSide side, Ground ground, String what) {
      this(side, Optional.empty(), ground, what);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.setGround(this);
    }
  }

  /** A colour of the palette named or changed. */
  record SetSwatch(String name, Colour.Solid colour) implements OfNone {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.setSwatch(this);
    }
  }

  /**
   * Several colours put into the palette, by their names; those that are there are changed.
   *
   * @param what as the history tells it
   */
  record AddSwatches(Map<String, Colour.Solid> colours, String what) implements OfNone {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.addSwatches(this);
    }
  }

  /** A colour of the cover put into the palette: wherever it stands directly it follows that. */
  record NameColour(String name, Colour.Solid colour) implements OfNone {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.nameColour(this);
    }
  }

  /** A colour taken out of the palette; where it was used it stands directly. */
  record RemoveSwatch(String name) implements OfNone {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.removeSwatch(this);
    }
  }

  /** A remedy of a finding carried out. */
  record Mend(Remedy.OfDesign remedy, String label) implements OfNone {
    @Override
    public List<String> pieces() {
      return remedy.changes().stream().toList();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.mend(this);
    }
  }

  /** A change of one piece. */
  sealed interface OfPiece extends Edit
      permits Resize,
          Place,
          Turn,
          Flip,
          Hang,
          Fill,
          Set,
          Appear,
          Rename,
          Lock,
          Hide,
          Reorder,
          Ungroup {
    String piece();

    @Override
    default List<String> pieces() {
      return List.of(piece());
    }
  }

  /** A change of no piece that is there yet. */
  sealed interface OfNone extends Edit
      permits SetGround, SetSwatch, RemoveSwatch, AddSwatches, NameColour, Starting, Mend {
    @Override
    default List<String> pieces() {
      return List.of();
    }
  }
}
