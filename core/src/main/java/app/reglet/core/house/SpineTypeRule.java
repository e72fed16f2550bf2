package app.reglet.core.house;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;
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
  /** A house that prints no words on spines. */
  public static final SpineTypeRule NONE =
      new SpineTypeRule(Integer.MAX_VALUE, Length.ZERO, Length.ZERO, Direction.TOP_TO_BOTTOM);

  /** The way spine words run: top to bottom is readable when the book lies face up. */
  public enum Direction {
    TOP_TO_BOTTOM,
    BOTTOM_TO_TOP;

    public String id() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** {@code top to bottom}. */
    public String words() {
      return id().replace('-', ' ');
    }

    /** The other one. */
    public Direction other() {
      return this == TOP_TO_BOTTOM ? BOTTOM_TO_TOP : TOP_TO_BOTTOM;
    }
  }

  /** Whether words may stand on a spine so wide in a book of so many pages. */
  public boolean allows(int pages, Length spine) {
    return pages >= leastPages && !spine.isLessThan(leastWidth) && spine.isPositive();
  }

  /** {@code from 80 pages, at least 7 pt, top to bottom}. */
  public String print(Unit unit) {
    List<String> said = new ArrayList<>();
    if (leastPages > 0) {
      said.add("from " + leastPages + " pages");
    }
    if (leastWidth.isPositive()) {
      said.add("from a spine of " + leastWidth.print(unit));
    }
    if (leastSize.isPositive()) {
      said.add("at least " + leastSize.brief(Unit.PT));
    }
    said.add(direction.words());
    return String.join(", ", said);
  }
}
