package app.reglet.core.design;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Regions;
import app.reglet.core.wrap.Wrap;
import java.math.BigInteger;
import java.util.Optional;

/**
 * Where pieces lie: on a wrap, or in a group on one. A group's pieces hang on a box of its natural
 * size; here that box is stretched to the one the group has.
 *
 * @param regions what the pieces hang on
 * @param natural the size of the group they are in; null on the wrap itself
 * @param actual the group's box on the sheet, before it is turned; null on the wrap itself
 * @param turns of the groups they are in: how directions in here lie on the sheet
 */
public record Scope(Regions regions, Size natural, Box actual, Turns turns) {
  /** The wrap itself. */
  public static Scope of(Wrap wrap) {
    return new Scope(wrap, null, null, Turns.NONE);
  }

  /**
   * Where a piece lies, before it and the groups it is in are turned; empty when it hangs on
   * nothing.
   */
  public Optional<Box> place(Piece piece) {
    return piece.anchors().on(regions).map(this::toSheet);
  }

  /** The scope of a group's pieces. */
  public Scope inside(Piece group, Content.Group content, Box box) {
    Size size = content.natural();
    return new Scope(Regions.ofGroup(size), size, box, turns.then(group.placement()));
  }

  /** A piece as it is shown here: type, strokes, radii and effects go with the group's size. */
  public Piece sized(Piece piece) {
    return Rewriting.scaled(piece, scale());
  }

  /** By how much all is larger here than it was made; by the lesser of the ratios of the sides. */
  public double scale() {
    return natural == null
        ? 1
        : Math.min(
            actual.width().toMm() / natural.width().toMm(),
            actual.height().toMm() / natural.height().toMm());
  }

  private Box toSheet(Box box) {
    if (natural == null) {
      return box;
    }
    return Box.between(
        actual.left().plus(scaled(box.left(), actual.width(), natural.width())),
        actual.top().plus(scaled(box.top(), actual.height(), natural.height())),
        actual.left().plus(scaled(box.right(), actual.width(), natural.width())),
        actual.top().plus(scaled(box.bottom(), actual.height(), natural.height())));
  }

  /** The box in here that lies there on the sheet. */
  public Box fromSheet(Box box) {
    if (natural == null) {
      return box;
    }
    return Box.between(
        scaled(box.left().minus(actual.left()), natural.width(), actual.width()),
        scaled(box.top().minus(actual.top()), natural.height(), actual.height()),
        scaled(box.right().minus(actual.left()), natural.width(), actual.width()),
        scaled(box.bottom().minus(actual.top()), natural.height(), actual.height()));
  }

  /** length × by ÷ over, rounded once; the length itself when the two are the same. */
  private static Length scaled(Length length, Length by, Length over) {
    if (by.equals(over)) {
      return length;
    }
    if (!over.isPositive()) {
      return Length.ZERO;
    }
    BigInteger product =
        BigInteger.valueOf(length.quanta()).multiply(BigInteger.valueOf(by.quanta()));
    return new Length(product.divide(BigInteger.valueOf(over.quanta())).longValueExact());
  }
}
