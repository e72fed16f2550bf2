package app.reglet.core.wrap;

import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;

/**
 * The room for words on a spine: whether the house prints any there, and the band between the safe
 * lines. The one answer to whether words may stand on a spine.
 *
 * @param printed whether the house prints words on a spine so wide in a book of so many pages
 * @param band room across; zero where there is no spine
 * @param least the smallest type size the house prints there
 */
public record SpineRoom(boolean printed, Length band, Length least) {
  public static SpineRoom of(Wrap wrap) {
    SpineTypeRule rule = wrap.rules().spineType();
    Length band = wrap.panel(PanelKind.SPINE).map(p -> p.safe().width()).orElse(Length.ZERO);
    return new SpineRoom(band.isPositive() && wrap.printsOnSpine(), band, rule.leastSize());
  }

  /**
   * Whether words that the house prints have room: ascender to descender is about one em, so a band
   * narrower than the smallest size holds none.
   */
  public boolean takesWords() {
    return printed && !band.isLessThan(least);
  }
}
