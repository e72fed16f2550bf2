package app.reglet.web.bench;

import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The lines of a sheet that pieces are laid on, from the left and from the top.
 *
 * @param x upright lines
 * @param y level lines
 */
record SnapLines(List<Line> x, List<Line> y) {
  /**
   * A line.
   *
   * @param at mm from the left or the top
   * @param name in words
   * @param hang what a piece hangs on that is laid on it: region and hold, {@code
   *     front.safe:START}; empty for nothing
   */
  record Line(double at, String name, String hang) {}

  static SnapLines of(Wrap wrap) {
    SnapLines lines = new SnapLines(new ArrayList<>(), new ArrayList<>());
    lines.box(wrap.sheetBox(), "sheet’s edge", Region.SHEET);
    lines.box(wrap.trimmed(), "trimmed cover", Region.TRIMMED);
    wrap.box(Region.BARCODE).ifPresent(b -> lines.box(b, "barcode area", Region.BARCODE));
    for (Panel p : wrap.panels()) {
      if (p.kind().isHinge()) {
        continue;
      }
      String name = p.kind().title().toLowerCase(Locale.ROOT) + "’s ";
      lines.box(p.trim(), name + "trim", Region.trim(p.kind()));
      lines.x.add(
          new Line(
              mm(p.trim().centreX()),
              name + "middle",
              hang(Region.trim(p.kind()), Span.Hold.MIDDLE)));
      lines.y.add(
          new Line(
              mm(p.trim().centreY()),
              name + "middle",
              hang(Region.trim(p.kind()), Span.Hold.MIDDLE)));
      if (!p.safe().isEmpty()) {
        lines.box(p.safe(), name + "safe zone", Region.safe(p.kind()));
      }
    }
    for (Fold f : wrap.folds()) {
      lines.x.add(new Line(mm(f.x()), "fold", ""));
    }
    return lines;
  }

  private void box(Box b, String name, Region region) {
    x.add(new Line(mm(b.left()), name, hang(region, Span.Hold.START)));
    x.add(new Line(mm(b.right()), name, hang(region, Span.Hold.END)));
    y.add(new Line(mm(b.top()), name, hang(region, Span.Hold.START)));
    y.add(new Line(mm(b.bottom()), name, hang(region, Span.Hold.END)));
  }

  private static String hang(Region region, Span.Hold hold) {
    return region.id() + ":" + hold;
  }

  private static double mm(Length l) {
    return l.toMm();
  }
}
