package app.reglet.core.wrap;

import app.reglet.core.book.PageTurn;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.List;

/**
 * A page of the book block, measured for whoever sets the inside. Origin top left of the page with
 * its bleed, x right, y down.
 *
 * <p>Page 1 lies on the right in a book that is read from left to right, on the left in the other;
 * bleed is on the three outer sides, none at the spine (common practice, no single source). The
 * gutter is our own judgement: the safe distance, and a third of the book's thickness more where it
 * is glued, since a thick book opens less.
 *
 * @param right whether it is a right-hand page
 * @param first whether it is of the kind of page 1
 * @param sheet the page with its bleed
 * @param trim the page as it is cut, with its edge at the spine
 * @param bleed outside of the trim
 * @param safe where words are at no risk
 * @param gutter how far they keep from the spine
 */
public record BlockPage(
    boolean right, boolean first, Size sheet, Box trim, Edges bleed, Box safe, Length gutter) {
  /** The book's thickness that is lost in a glued gutter: one part of so many. */
  private static final int PART = 3;

  /** Both pages of a measured cover's inside, the left one first; none of what has no pages. */
  public static List<BlockPage> of(Wrap outside) {
    return outside.spec().binding().isInPixels()
        ? List.of()
        : List.of(of(outside, false), of(outside, true));
  }

  /**
   * Whether a page lies on the right of the open book, its spine at its left.
   *
   * @param number from 1
   */
  public static boolean isRight(int number, PageTurn turn) {
    return (number % 2 == 1) == (turn == PageTurn.LTR);
  }

  private static BlockPage of(Wrap outside, boolean right) {
    Size trim = outside.spec().trim();
    Length b = outside.rules().blockBleed();
    Length safe = outside.rules().safe().trim();
    Length gutter = safe.plus(outside.spine().stated().dividedBy(PART));
    Edges bleed = new Edges(b, right ? b : Length.ZERO, b, right ? Length.ZERO : b);
    Box cut = new Box(bleed.left(), b, trim.width(), trim.height());
    return new BlockPage(
        right,
        right == isRight(1, outside.spec().turn()),
        InsidePage.withBleed(trim, b),
        cut,
        bleed,
        cut.inset(new Edges(safe, right ? safe : gutter, safe, right ? gutter : safe)),
        gutter);
  }

  /** The name used in file names: {@code inside-left}. */
  public String id() {
    return right ? "inside-right" : "inside-left";
  }

  /** {@code Left page, even numbers}. */
  public String title() {
    return (right ? "Right page" : "Left page") + (first ? ", odd numbers" : ", even numbers");
  }

  /** The strip along the spine that is kept free of words. */
  public Box strip() {
    Length x = right ? trim.left() : trim.right().minus(gutter);
    return new Box(x, trim.top(), gutter, trim.height());
  }
}
