package app.reglet.core.compare;

import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.PageCounts;
import app.reglet.core.measure.Size;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * The inside of a book became another in one edition: what that comes to in another edition, at a
 * house with rules of its own.
 *
 * @param trimWas the trim there was; empty when it is still the same
 * @param trim the trim there is
 * @param pagesWas the count there was; empty when it is still the same
 * @param pages the count there is
 */
public record InsideChange(Optional<Size> trimWas, Size trim, OptionalInt pagesWas, int pages) {
  /**
   * What it comes to elsewhere.
   *
   * @param facts the other edition's, as they would be
   * @param shares whether it had the same inside before
   * @param trimOffered whether its house makes the new trim; where not, the trim stays
   */
  public record Elsewhere(Specification facts, boolean shares, boolean trimOffered) {}

  /**
   * What it comes to in another edition; empty when it is nothing to it. An edition that had the
   * same trim takes the new one; one that had the same count takes the new one, in the nearest that
   * its house binds; one that had another count, but follows, grows or shrinks by as much.
   *
   * @param follows whether its cover was carried from the same, and its count is not changed since
   */
  public Optional<Elsewhere> in(Specification other, BindingRules rules, boolean follows) {
    if (!other.binding().hasPages()) {
      return Optional.empty();
    }
    Specification facts = other;
    boolean shares = pagesWas.isEmpty() || other.pages() == pagesWas.getAsInt();
    boolean sameTrim = trimWas.filter(other.trim()::equals).isPresent();
    boolean offered = !sameTrim || rules.trims().offers(trim);
    if (sameTrim && offered) {
      facts = facts.withTrim(trim);
    }
    if (pagesWas.isPresent() && (shares || follows) && other.pages() != pages) {
      int wanted = shares ? pages : other.pages() + pages - pagesWas.getAsInt();
      if (wanted > 0) {
        facts = facts.withPages(PageCounts.of(facts, rules).nearest(wanted).orElse(wanted));
      }
    }
    return facts.equals(other) && offered
        ? Optional.empty()
        : Optional.of(new Elsewhere(facts, shares, offered));
  }
}
