package app.reglet.core.book;

import app.reglet.core.measure.Size;
import java.util.Optional;

/**
 * The facts of one edition that its cover is measured from.
 *
 * @param binding how it is bound
 * @param trim a finished page, width × height
 * @param pages sides of leaves, as the printer counts them
 * @param stock the id of the inside paper in the house's rule sheet; empty for an ebook
 * @param ink the id of the inside ink in the house's rule sheet; empty for an ebook
 * @param turn the direction in which pages turn
 * @param flaps flaps wished for; empty takes the house's usual ones where the binding has flaps
 * @param toldSpine the spine the house stated on the order, for a rule of the kind {@code told}
 * @param insidePrinted whether the inside of the cover is printed too
 */
public record Specification(
    Binding binding,
    Size trim,
    int pages,
    String stock,
    String ink,
    PageTurn turn,
    Optional<Flaps> flaps,
    Optional<ToldSpine> toldSpine,
    boolean insidePrinted) {

  /** A specification without flaps of its own, without a told spine, printed outside only. */
  public static Specification of(
      Binding binding, Size trim, int pages, String stock, String ink, PageTurn turn) {
    return new Specification(
        binding, trim, pages, stock, ink, turn, Optional.empty(), Optional.empty(), false);
  }

  public Specification withPages(int newPages) {
    return new Specification(
        binding, trim, newPages, stock, ink, turn, flaps, toldSpine, insidePrinted);
  }

  public Specification withBinding(Binding newBinding) {
    return new Specification(
        newBinding, trim, pages, stock, ink, turn, flaps, toldSpine, insidePrinted);
  }

  public Specification withTrim(Size newTrim) {
    return new Specification(
        binding, newTrim, pages, stock, ink, turn, flaps, toldSpine, insidePrinted);
  }

  public Specification withTurn(PageTurn newTurn) {
    return new Specification(
        binding, trim, pages, stock, ink, newTurn, flaps, toldSpine, insidePrinted);
  }

  public Specification withFlaps(Optional<Flaps> newFlaps) {
    return new Specification(
        binding, trim, pages, stock, ink, turn, newFlaps, toldSpine, insidePrinted);
  }

  public Specification withToldSpine(Optional<ToldSpine> told) {
    return new Specification(binding, trim, pages, stock, ink, turn, flaps, told, insidePrinted);
  }

  public Specification withInsidePrinted(boolean printed) {
    return new Specification(binding, trim, pages, stock, ink, turn, flaps, toldSpine, printed);
  }
}
