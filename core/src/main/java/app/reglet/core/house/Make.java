package app.reglet.core.house;

import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.Optional;

/** What a cover is made of beside its two panels and spine. Figures: common practice. */
public sealed interface Make {
  /** Hands itself to the method of its kind. */
  <R> R accept(Visitor<R> visitor);

  /** What can be done with each kind; a kind that is forgotten does not compile. */
  interface Visitor<R> {
    R plain(Plain make);

    R screen(Screen make);

    R flapped(Flapped make);

    R caseMade(Case make);

    R jacket(Jacket make);
  }

  /** The flaps it may have, empty when it has none. */
  default Optional<FlapRange> flaps() {
    return Optional.empty();
  }

  /** Panels and spine only: perfect bound or saddle stitched. */
  record Plain() implements Make {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.plain(this);
    }
  }

  /** What is special about it in figures, empty for a plain cover. */
  default String print(Unit unit) {
    return "";
  }

  /** The front alone, on a screen: no spine, no back, no bleed. */
  record Screen() implements Make {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.screen(this);
    }
  }

  /**
   * A paperback with flaps folded in.
   *
   * @param folded flap widths offered
   * @param foldAllowance what a panel gains so that the flap's fold clears the book block
   */
  record Flapped(FlapRange folded, Length foldAllowance) implements Make {
    @Override
    public Optional<FlapRange> flaps() {
      return Optional.of(folded);
    }

    @Override
    public String print(Unit unit) {
      return folded.print(unit) + ", fold allowance " + foldAllowance.print(unit);
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flapped(this);
    }
  }

  /**
   * A printed hardcover.
   *
   * @param turnIn what is folded round the board, on each side
   * @param squares how far a board stands out beyond the pages at head and tail and at the
   *     fore-edge; of the edges top, bottom and right are used
   * @param jointGain what a face gains at the joint
   * @param hinge the hinge's width
   * @param hingeAdded whether the hinge lies between face and spine, else inside the face
   */
  record Case(Length turnIn, Edges squares, Length jointGain, Length hinge, boolean hingeAdded)
      implements Make {
    @Override
    public String print(Unit unit) {
      return "turn-in "
          + turnIn.print(unit)
          + ", squares "
          + squares.top().figure(unit)
          + " head, "
          + squares.bottom().figure(unit)
          + " tail, "
          + squares.right().print(unit)
          + " fore-edge, hinge "
          + hinge.print(unit)
          + (hingeAdded ? " added between face and spine" : " inside the face")
          + (jointGain.isZero() ? "" : ", joint gain " + jointGain.print(unit));
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.caseMade(this);
    }
  }

  /**
   * A loose wrapper round a case.
   *
   * @param around the case it goes round
   * @param allowance what each panel gains for the board's thickness and the folds
   * @param folded flap widths offered
   */
  record Jacket(Case around, Length allowance, FlapRange folded) implements Make {
    @Override
    public Optional<FlapRange> flaps() {
      return Optional.of(folded);
    }

    @Override
    public String print(Unit unit) {
      return folded.print(unit)
          + ", round a case with "
          + around.print(unit)
          + "; "
          + allowance.print(unit)
          + " more a panel for board and folds";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.jacket(this);
    }
  }

  /**
   * Flap widths a house folds.
   *
   * @param usual the width taken when none is asked for
   */
  record FlapRange(Length least, Length usual, Length most) {
    String print(Unit unit) {
      return "flaps from "
          + least.figure(unit)
          + " to "
          + most.print(unit)
          + ", usually "
          + usual.print(unit);
    }

    /** The nearest width that is folded; no flap stays none. */
    public Length nearest(Length wished) {
      return wished.isZero() ? wished : wished.max(least).min(most);
    }
  }
}
