package app.reglet.core.house;

import app.reglet.core.measure.Length;
import java.util.Locale;

/**
 * When a house prints words on a spine, and how small.
 *
 * @param leastPages fewest pages with words on the spine
 * @param leastWidth narrowest spine with words
 * @param leastSize smallest type size accepted
 * @param direction which way the words run
 */
public record SpineTypeRule(
    int leastPages, Length leastWidth, Length leastSize, Direction direction) {
  /** The way spine words run: top to bottom is readable when the book lies face up. */
  public enum Direction {
    TOP_TO_BOTTOM,
    BOTTOM_TO_TOP;

    public String id() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** Whether words may stand on a spine so wide in a book of so many pages. */
  public boolean allows(int pages, Length spine) {
    return pages >= leastPages && !spine.isLessThan(leastWidth) && spine.isPositive();
  }
}
