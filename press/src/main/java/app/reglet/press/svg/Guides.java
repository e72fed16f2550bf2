package app.reglet.press.svg;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Fold;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Frame;

/**
 * Draws the guides of a wrap as a technical drawing does: line types carry the meaning, in one ink
 * tone, each line twice (a light halo, then the dark line) so that it reads on any art.
 *
 * <p>Trim: thin continuous with corner ticks. Fold: long dash and dot. Safe line: fine dots. Panel
 * centre: thin chain, drawn in a group of its own. Bleed: sparse 45° hatching. Turn-in: hatched the
 * other way. Hinge: close upright lines. Barcode area: a box with a corner mark and its size.
 */
public final class Guides {
  static final String INK = "#262b2f";
  private static final String HALO = "#ffffff";

  private final Wrap wrap;
  private final Unit unit;
  private final double px;
  private final Svg out = new Svg();

  private Guides(Wrap wrap, Unit unit, double px) {
    this.wrap = wrap;
    this.unit = unit;
    this.px = px;
  }

  /**
   * The guides as one {@code g} for an {@code svg} whose user unit is 1 mm.
   *
   * @param unit for the barcode area's size
   * @param px how many mm one pixel of the screen stands for, about
   */
  public static String group(Wrap wrap, Unit unit, double px) {
    return new Guides(wrap, unit, px).draw();
  }

  private String draw() {
    out.open("g", "class", "guides", "fill", "none", "aria-hidden", "true");
    patterns();
    margin();
    hinges();
    safe();
    barcode();
    folds();
    trim();
    centres();
    return out.close("g").toString();
  }

  private void patterns() {
    out.open("defs");
    hatch("hatch-bleed", 7 * px, 45);
    hatch("hatch-turn-in", 6 * px, -45);
    hatch("hatch-hinge", 3 * px, 0);
    out.close("defs");
  }

  private void hatch(String id, double step, int angle) {
    out.open(
            "pattern",
            "id",
            id,
            "width",
            step,
            "height",
            step,
            "patternUnits",
            "userSpaceOnUse",
            "patternTransform",
            "rotate(" + angle + ")")
        .empty(
            "line",
            "x1",
            0.0,
            "y1",
            0.0,
            "x2",
            0.0,
            "y2",
            step,
            "stroke",
            HALO,
            "stroke-width",
            2.2 * px,
            "stroke-opacity",
            ".55")
        .empty(
            "line",
            "x1",
            0.0,
            "y1",
            0.0,
            "x2",
            0.0,
            "y2",
            step,
            "stroke",
            INK,
            "stroke-width",
            0.8 * px,
            "stroke-opacity",
            ".7")
        .close("pattern");
  }

  private void margin() {
    Frame s = Frame.of(wrap.sheetBox());
    Frame t = Frame.of(wrap.trimmed());
    if (s.equals(t)) {
      return;
    }
    out.empty(
        "path",
        "class",
        wrap.turnIn() ? "guide-turn-in" : "guide-bleed",
        "fill",
        "url(#" + (wrap.turnIn() ? "hatch-turn-in" : "hatch-bleed") + ")",
        "fill-rule",
        "evenodd",
        "d",
        rectangle(s) + rectangle(t));
  }

  private static String rectangle(Frame f) {
    return "M"
        + Svg.number(f.x())
        + " "
        + Svg.number(f.y())
        + "H"
        + Svg.number(f.right())
        + "V"
        + Svg.number(f.bottom())
        + "H"
        + Svg.number(f.x())
        + "Z";
  }

  private void hinges() {
    for (Zone z : wrap.zones()) {
      if (z.kind() == Zone.Kind.HINGE) {
        Frame f = Frame.of(z.box());
        out.empty(
            "path",
            "class",
            "guide-hinge",
            "fill",
            "url(#hatch-hinge)",
            "fill-opacity",
            ".6",
            "d",
            rectangle(f));
      }
    }
  }

  private void safe() {
    for (Panel p : wrap.panels()) {
      if (!p.safe().isEmpty()) {
        line("guide-safe", rectangle(Frame.of(p.safe())), dashes(1.2, 3.2), 1);
      }
    }
  }

  private void barcode() {
    for (Zone z : wrap.zones()) {
      if (z.kind() == Zone.Kind.BARCODE) {
        Frame f = Frame.of(z.box());
        double m = Math.min(9 * px, f.height() / 3);
        line("guide-barcode", rectangle(f), null, 1);
        out.empty(
            "path",
            "class",
            "guide-barcode",
            "fill",
            INK,
            "d",
            "M"
                + Svg.number(f.x())
                + " "
                + Svg.number(f.y())
                + "h"
                + Svg.number(m)
                + "l"
                + Svg.number(-m)
                + " "
                + Svg.number(m)
                + "z");
        Frame panel = Frame.of(wrap.panel(z.panel()).orElseThrow().trim());
        boolean rightHalf = f.x() + f.width() / 2 > panel.x() + panel.width() / 2;
        label(
            rightHalf ? f.right() : f.x(),
            f.y() - 3 * px,
            rightHalf ? "end" : "start",
            "Barcode area " + z.box().size().brief(unit));
      }
    }
  }

  private void label(double x, double y, String anchor, String text) {
    out.text(
        "text",
        text,
        "class",
        "guide-label",
        "x",
        x,
        "y",
        y,
        "text-anchor",
        anchor,
        "font-size",
        9.5 * px,
        "fill",
        INK,
        "stroke",
        HALO,
        "stroke-width",
        3 * px,
        "paint-order",
        "stroke",
        "stroke-linejoin",
        "round");
  }

  private void folds() {
    double over = wrap.margin().top().toMm();
    double top = wrap.trimmed().top().toMm() - over;
    double bottom = wrap.trimmed().bottom().toMm() + over;
    for (Fold f : wrap.folds()) {
      String d =
          "M"
              + Svg.number(f.x().toMm())
              + " "
              + Svg.number(top - 7 * px)
              + "V"
              + Svg.number(bottom + 7 * px);
      line("guide-fold", d, dashes(13, 3, 1.5, 3), 1);
    }
  }

  private void trim() {
    Frame t = Frame.of(wrap.trimmed());
    line("guide-trim", rectangle(t), null, 1);
    Frame s = Frame.of(wrap.sheetBox());
    double out1 = 2 * px;
    double out2 = 9 * px;
    StringBuilder ticks = new StringBuilder();
    for (double x : new double[] {t.x(), t.right()}) {
      upright(ticks, x, s.y() - out2, s.y() - out1);
      upright(ticks, x, s.bottom() + out1, s.bottom() + out2);
    }
    for (double y : new double[] {t.y(), t.bottom()}) {
      level(ticks, y, s.x() - out2, s.x() - out1);
      level(ticks, y, s.right() + out1, s.right() + out2);
    }
    line("guide-trim", ticks.toString(), null, 1);
  }

  private static void upright(StringBuilder d, double x, double from, double to) {
    d.append('M')
        .append(Svg.number(x))
        .append(' ')
        .append(Svg.number(from))
        .append('V')
        .append(Svg.number(to));
  }

  private static void level(StringBuilder d, double y, double from, double to) {
    d.append('M')
        .append(Svg.number(from))
        .append(' ')
        .append(Svg.number(y))
        .append('H')
        .append(Svg.number(to));
  }

  private void centres() {
    StringBuilder d = new StringBuilder();
    for (Panel p : wrap.panels()) {
      if (!p.kind().isHinge()) {
        upright(d, p.trim().centreX().toMm(), p.trim().top().toMm(), p.trim().bottom().toMm());
      }
    }
    level(
        d,
        wrap.trimmed().centreY().toMm(),
        wrap.trimmed().left().toMm(),
        wrap.trimmed().right().toMm());
    out.open("g", "class", "guide-centres");
    line("guide-centre", d.toString(), dashes(9, 2.5, 2.5, 2.5), 0.7);
    out.close("g");
  }

  private String dashes(double... lengths) {
    StringBuilder text = new StringBuilder();
    for (double l : lengths) {
      text.append(text.isEmpty() ? "" : " ").append(Svg.number(l * px));
    }
    return text.toString();
  }

  private void line(String cls, String d, String dashes, double weight) {
    out.empty(
        "path",
        "class",
        cls + " halo",
        "d",
        d,
        "stroke",
        HALO,
        "stroke-opacity",
        ".75",
        "stroke-width",
        2.6 * weight * px,
        "stroke-dasharray",
        dashes);
    out.empty(
        "path",
        "class",
        cls,
        "d",
        d,
        "stroke",
        INK,
        "stroke-width",
        0.9 * weight * px,
        "stroke-dasharray",
        dashes);
  }
}
