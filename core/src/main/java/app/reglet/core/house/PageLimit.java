package app.reglet.core.house;

import app.reglet.core.book.Specification;
import app.reglet.core.measure.Size;
import java.util.List;
import java.util.Set;

/**
 * The page counts a house binds, for some trims and papers. The first limit that applies is taken.
 *
 * @param trims trims it holds for, empty for all
 * @param stocks ids of papers, empty for all
 * @param least the smallest count
 * @param most the largest count
 * @param multiple counts must be a multiple of this
 */
public record PageLimit(List<Size> trims, Set<String> stocks, int least, int most, int multiple) {
  public PageLimit {
    trims = List.copyOf(trims);
    stocks = Set.copyOf(stocks);
  }

  public boolean appliesTo(Specification spec) {
    return (trims.isEmpty() || trims.stream().anyMatch(spec.trim()::isNear))
        && (stocks.isEmpty() || stocks.contains(spec.stock()));
  }

  public boolean allows(int pages) {
    return pages >= least && pages <= most && pages % multiple == 0;
  }

  /** {@code 24–842 pages, even}. */
  public String print() {
    return least
        + "–"
        + most
        + " pages"
        + (multiple == 1 ? "" : multiple == 2 ? ", even" : ", multiple of " + multiple);
  }
}
