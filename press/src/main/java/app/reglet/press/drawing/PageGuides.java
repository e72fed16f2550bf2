package app.reglet.press.drawing;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.BlockPage;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * The guides of a page of the book block, in the line types of {@link Guides}: trim, bleed, safe
 * lines, and the gutter as close upright lines.
 */
public final class PageGuides {
  private PageGuides() {}

  /**
   * The guides, from back to front.
   *
   * @param px how many mm one pixel of the screen stands for, about: line weights are in it
   */
  public static List<Mark.Group> of(BlockPage page, Unit unit, double px) {
    Layers layers = new Layers(false);
    Rect sheet = new Rect(0, 0, page.sheet().width().toMm(), page.sheet().height().toMm());
    Rect trim = Rect.of(page.trim());
    if (!sheet.equals(trim)) {
      layers.hatch("bleed", sheet, trim, 7 * px, 45, 0.8 * px);
    }
    layers.hatch("gutter", Rect.of(page.strip()), null, 3 * px, 0, 0.6 * px);
    line(layers, "safe", Rect.of(page.safe()), px, 1.2, 3.2);
    line(layers, "trim", trim, px);
    layers.label("names", name(page.title() + "  " + page.trim().size().brief(unit), page, px, 15));
    layers.label("names", name("gutter " + page.gutter().brief(unit), page, px, 29));
    return layers.groups();
  }

  private static Mark.Label name(String text, BlockPage page, double px, double down) {
    Rect safe = Rect.of(page.safe());
    return new Mark.Label(
        text,
        safe.x() + 5 * px,
        safe.y() + down * px,
        Mark.Label.Anchor.START,
        10 * px,
        0,
        false,
        "panel-name");
  }

  private static void line(Layers layers, String layer, Rect r, double px, double... dashes) {
    layers.line(
        layer,
        Layers.path(List.of(Guides.corners(r)), true),
        0.9 * px,
        DoubleStream.of(dashes).map(d -> d * px).boxed().toList(),
        true);
  }
}
