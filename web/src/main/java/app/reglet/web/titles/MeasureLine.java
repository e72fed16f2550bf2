package app.reglet.web.titles;

import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;

/**
 * The numbers that decide everything, as always in sight.
 *
 * @param book pages and paper
 * @param spine its width as the house makes it
 * @param sheet the exact full sheet
 * @param stated the full sheet as the house states it, empty when that is the same
 * @param spineType the room for words across the spine, or that none are allowed
 * @param toMend findings to mend
 * @param toLook findings to look at
 */
public record MeasureLine(
    String book,
    String spine,
    String sheet,
    String stated,
    String spineType,
    long toMend,
    long toLook) {

  /** The line of a cover; null when its sheet can't be measured. */
  public static MeasureLine of(Cover cover) {
    return cover.wrap().map(w -> of(cover, w)).orElse(null);
  }

  private static MeasureLine of(Cover cover, Wrap wrap) {
    var unit = cover.unit();
    String stock = cover.house().stock(wrap.spec().stock()).name();
    String stated = wrap.stated().equals(wrap.sheet()) ? "" : wrap.stated().print(unit);
    long mend = cover.toMend();
    return new MeasureLine(
        wrap.spec().pages() + " pp, " + stock,
        wrap.spine().stated().print(unit),
        wrap.sheet().print(unit),
        stated,
        spineType(wrap, cover),
        mend,
        cover.findings().size() - mend);
  }

  private static String spineType(Wrap wrap, Cover cover) {
    boolean allowed = wrap.rules().spineType().allows(wrap.spec().pages(), wrap.spine().stated());
    Length band = wrap.panel(PanelKind.SPINE).map(p -> p.safe().width()).orElse(Length.ZERO);
    return allowed && band.isPositive()
        ? "≤ " + band.brief(cover.unit()) + " across"
        : "not allowed";
  }
}
