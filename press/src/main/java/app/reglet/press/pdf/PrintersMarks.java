package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Labels;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Rect;
import app.reglet.press.type.Typeface;
import java.awt.Shape;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Marks of the printer round a sheet, outside the bleed: only what was asked for. Lengths, weights
 * and distances are common practice, no single source.
 *
 * @param crop where it is trimmed
 * @param bleed where the bleed ends
 * @param fold where it is folded, dashed
 * @param bar a bar of colours
 * @param slug a line that says what it is; empty for none
 * @param face of that line; null where there is none
 */
public record PrintersMarks(
    boolean crop, boolean bleed, boolean fold, boolean bar, String slug, Typeface face) {
  public static final PrintersMarks NONE = new PrintersMarks(false, false, false, false, "", null);

  /** What the page grows by on every side, mm. */
  static final double AROUND = 12;

  private static final double FROM_BLEED = 1;
  private static final double LENGTH = 6;
  private static final double PATCH = 5;
  private static final double TYPE = 2.5;
  private static final List<Double> DASHES = List.of(1.0, 0.7);

  /** Every ink in full, so that a mark is on every plate. */
  private static final Fill ALL_INKS = Fill.of(new Colour.Cmyk(100, 100, 100, 100));

  /** The primaries, their overprints, black, and half tints: full ink, then half. */
  private static final double[][] PATCHES = {
    {100, 0, 0, 0},
    {0, 100, 0, 0},
    {0, 0, 100, 0},
    {0, 0, 0, 100},
    {100, 100, 0, 0},
    {100, 0, 100, 0},
    {0, 100, 100, 0},
    {50, 0, 0, 0},
    {0, 50, 0, 0},
    {0, 0, 50, 0},
    {0, 0, 0, 50},
    {50, 40, 40, 0}
  };

  /** Whether there are none. */
  public boolean isNone() {
    return !crop && !bleed && !fold && !bar && slug.isEmpty();
  }

  /** The marks, in mm from the sheet's top left; what is outside it is negative. */
  List<Mark> of(Wrap wrap) {
    Rect sheet = Rect.of(wrap.place());
    Box trim = wrap.trimmed();
    List<Mark> marks = new ArrayList<>();
    Rect t =
        new Rect(
            sheet.x() + trim.left().toMm(),
            sheet.y() + trim.top().toMm(),
            trim.width().toMm(),
            trim.height().toMm());
    if (crop) {
      marks.add(new Mark.Path(corners(sheet, t), null, Pen.plain(ALL_INKS, 0.09)));
    }
    if (bleed) {
      marks.add(
          new Mark.Path(corners(sheet, sheet), null, new Pen(ALL_INKS, 0.09, List.of(0.3, 0.5))));
    }
    if (fold) {
      Path2D lines = new Path2D.Double();
      for (Panel p : wrap.panels()) {
        double x = sheet.x() + p.trim().left().toMm();
        if (x > t.x() + 0.01) {
          lines.append(upDown(sheet, x), false);
        }
      }
      marks.add(new Mark.Path(lines, null, new Pen(ALL_INKS, 0.09, DASHES)));
    }
    if (bar) {
      double x = t.x() + 12;
      for (double[] p : PATCHES) {
        marks.add(
            new Mark.Path(
                new Rectangle2D.Double(x, sheet.bottom() + FROM_BLEED + 2, PATCH, PATCH),
                Fill.of(new Colour.Cmyk(p[0], p[1], p[2], p[3])),
                null));
        x += PATCH;
      }
    }
    if (!slug.isEmpty()) {
      marks.add(
          blackened(
              Labels.glyphs(
                  new Mark.Label(
                      slug,
                      t.x() + 12,
                      sheet.y() - FROM_BLEED - 3,
                      Mark.Label.Anchor.START,
                      TYPE,
                      0,
                      false,
                      "slug"),
                  face)));
    }
    return marks;
  }

  private static Mark.Glyphs blackened(Mark.Glyphs g) {
    return new Mark.Glyphs(
        g.face(),
        g.size(),
        g.glyphs(),
        g.x(),
        g.y(),
        g.turns(),
        g.chars(),
        g.place(),
        Fill.BLACK_INK,
        null,
        g.text());
  }

  /** At each corner two lines, that lead to it from outside the bleed. */
  private static Shape corners(Rect sheet, Rect at) {
    Path2D lines = new Path2D.Double();
    for (double x : new double[] {at.x(), at.right()}) {
      lines.append(upDown(sheet, x), false);
    }
    double left = sheet.x() - FROM_BLEED;
    double right = sheet.right() + FROM_BLEED;
    for (double y : new double[] {at.y(), at.bottom()}) {
      lines.append(new Line2D.Double(left - LENGTH, y, left, y), false);
      lines.append(new Line2D.Double(right, y, right + LENGTH, y), false);
    }
    return lines;
  }

  private static Shape upDown(Rect sheet, double x) {
    Path2D lines = new Path2D.Double();
    double top = sheet.y() - FROM_BLEED;
    double bottom = sheet.bottom() + FROM_BLEED;
    lines.append(new Line2D.Double(x, top - LENGTH, x, top), false);
    lines.append(new Line2D.Double(x, bottom, x, bottom + LENGTH), false);
    return lines;
  }
}
