package app.reglet.core.house;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.house.grammar.Grammar;
import java.util.List;
import java.util.Optional;

/**
 * The page counts that a house binds for a trim and a paper: its limit, and the rows of its spine
 * table where it has one.
 */
public final class PageCounts {
  private final Optional<PageLimit> limit;
  private final OddCount odd;
  private final List<SpineRule.Steps.Row> rows;

  private PageCounts(Optional<PageLimit> limit, OddCount odd, List<SpineRule.Steps.Row> rows) {
    this.limit = limit;
    this.odd = odd;
    this.rows = rows;
  }

  /** The counts for an edition; its own count doesn't matter. */
  public static PageCounts of(Specification spec, BindingRules rules) {
    List<SpineRule.Steps.Row> rows = List.of();
    try {
      if (rules.spineFor(spec).rule() instanceof SpineRule.Steps steps) {
        rows = steps.rows();
      }
    } catch (Refusal r) {
      // no spine rule for this paper and ink: said where the sheet is measured
    }
    return new PageCounts(rules.pagesFor(spec), rules.odd(), rows);
  }

  /** The limit that the sheet states, if it does. */
  public Optional<PageLimit> limit() {
    return limit;
  }

  /** What an odd count becomes. */
  public OddCount odd() {
    return odd;
  }

  public boolean allows(int pages) {
    int bound = odd.bound(pages);
    return !odd.refuses(pages)
        && (limit.isEmpty() || limit.get().allows(bound))
        && (rows.isEmpty() || rows.stream().anyMatch(r -> bound >= r.from() && bound <= r.to()));
  }

  /** The smallest count there is, empty when the sheet sets no lower end. */
  public Optional<Integer> least() {
    return bounded() ? above(1) : Optional.empty();
  }

  /** The largest count there is, empty when the sheet sets no upper end. */
  public Optional<Integer> most() {
    return bounded() ? below(Grammar.MOST_PAGES) : Optional.empty();
  }

  private boolean bounded() {
    return limit.isPresent() || !rows.isEmpty();
  }

  /** The nearest allowed count at or below this one. */
  public Optional<Integer> below(int pages) {
    for (int n = Math.min(pages, Grammar.MOST_PAGES); n >= 1; n--) {
      if (allows(n)) {
        return Optional.of(n);
      }
    }
    return Optional.empty();
  }

  /** The nearest allowed count at or above this one. */
  public Optional<Integer> above(int pages) {
    for (int n = Math.max(1, pages); n <= Grammar.MOST_PAGES; n++) {
      if (allows(n)) {
        return Optional.of(n);
      }
    }
    return Optional.empty();
  }

  /** The nearest allowed count on either side; the larger of two as near. */
  public Optional<Integer> nearest(int pages) {
    Optional<Integer> down = below(pages);
    Optional<Integer> up = above(pages);
    if (down.isEmpty() || up.isEmpty()) {
      return up.or(() -> down);
    }
    return up.get() - pages <= pages - down.get() ? up : down;
  }

  /** {@code Here from 24 to 842, even.}, to follow a sentence; empty when nothing is bound. */
  public String range() {
    return least()
        .map(
            least ->
                " Here from "
                    + least
                    + " to "
                    + most().orElse(least)
                    + limit()
                        .map(
                            l ->
                                l.multiple() == 2 && odd == OddCount.BLANK_SIDE
                                    ? ""
                                    : l.multiple() == 2
                                        ? ", even"
                                        : l.multiple() == 1 ? "" : ", in steps of " + l.multiple())
                        .orElse("")
                    + ".")
        .orElse("");
  }
}
