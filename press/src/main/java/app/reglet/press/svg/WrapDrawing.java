package app.reglet.press.svg;

import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Dimension;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;

/**
 * The measured sheet as a dimensioned drawing: guides, panel names, dimension lines with figures.
 */
public final class WrapDrawing {
  private static final double TEXT = 11.5;
  private static final double ROW = 27;
  private static final double LEFT = 66;
  private static final double RIGHT = 20;
  private static final double ABOVE = 34;
  private static final double BELOW = 92;

  /** The drawing is made to be seen about this wide, in pixels. */
  private static final double SEEN_WIDTH = 900;

  private static final double SEEN_HEIGHT = 560;

  private final Wrap wrap;
  private final Unit unit;
  private final double w;
  private final double h;
  private final double px;
  private final Svg out = new Svg();

  private WrapDrawing(Wrap wrap, Unit unit) {
    this.wrap = wrap;
    this.unit = unit;
    this.w = wrap.sheet().width().toMm();
    this.h = wrap.sheet().height().toMm();
    this.px = Math.max(w / (SEEN_WIDTH - LEFT - RIGHT), h / (SEEN_HEIGHT - ABOVE - BELOW));
  }

  /**
   * The drawing as a whole SVG element.
   *
   * @param unit of the figures
   */
  public static String of(Wrap wrap, Unit unit) {
    return new WrapDrawing(wrap, unit).draw();
  }

  private String draw() {
    double left = -LEFT * px;
    double top = -ABOVE * px;
    double width = w + (LEFT + RIGHT) * px;
    double height = h + (ABOVE + BELOW) * px;
    String description =
        "Measured sheet, "
            + wrap.sheet().print(unit)
            + ", spine "
            + wrap.spine().stated().print(unit);
    out.open(
        "svg",
        "xmlns",
        "http://www.w3.org/2000/svg",
        "class",
        "wrap-drawing",
        "role",
        "img",
        "aria-label",
        description,
        "viewBox",
        Svg.number(left)
            + " "
            + Svg.number(top)
            + " "
            + Svg.number(width)
            + " "
            + Svg.number(height));
    out.empty(
        "rect", "class", "sheet", "x", 0.0, "y", 0.0, "width", w, "height", h, "fill", "#ffffff");
    out.raw(Guides.group(wrap, unit, px));
    out.open(
        "g",
        "class",
        "dimensions",
        "stroke",
        Guides.INK,
        "stroke-width",
        0.8 * px,
        "fill",
        Guides.INK);
    names();
    for (Dimension d : wrap.dimensions()) {
      if (d.axis() == Dimension.Axis.ACROSS) {
        across(d);
      } else {
        down(d);
      }
    }
    out.close("g");
    String note = "all figures in " + (unit == Unit.IN ? "inches" : "millimetres");
    out.text(
        "text",
        note,
        "class",
        "figure",
        "x",
        w,
        "y",
        h + (BELOW - 8) * px,
        "text-anchor",
        "end",
        "font-size",
        10 * px,
        "fill",
        Guides.INK);
    return out.close("svg").toString();
  }

  private void names() {
    for (Panel p : wrap.panels()) {
      double width = p.trim().width().toMm() / px;
      String name = p.kind().title();
      if (width > name.length() * 6.5 || p.kind().name().equals("SPINE")) {
        out.text(
            "text",
            name,
            "class",
            "panel-name",
            "x",
            p.trim().centreX().toMm(),
            "y",
            -15 * px,
            "text-anchor",
            "middle",
            "font-size",
            TEXT * px,
            "stroke",
            "none");
      }
    }
  }

  private void across(Dimension d) {
    double y = h + (20 + d.row() * ROW + (d.row() > 0 ? 16 : 0)) * px;
    double a = d.from().toMm();
    double b = d.to().toMm();
    extension(a, h + 3 * px, a, y + 4 * px);
    extension(b, h + 3 * px, b, y + 4 * px);
    String figure = d.length().figure(unit, unit.decimals());
    boolean narrow = narrow(figure, (b - a) / px);
    arrows(a, y, b, y, narrow);
    if (narrow) {
      figure((a + b) / 2, y + 17 * px, figure, 0);
    } else {
      figure((a + b) / 2, y - 4 * px, figure, 0);
    }
  }

  private void down(Dimension d) {
    double x = -(18 + d.row() * ROW) * px;
    double a = d.from().toMm();
    double b = d.to().toMm();
    extension(-3 * px, a, x - 4 * px, a);
    extension(-3 * px, b, x - 4 * px, b);
    String figure = d.length().figure(unit, unit.decimals());
    boolean narrow = narrow(figure, (b - a) / px);
    arrows(x, a, x, b, narrow);
    if (narrow) {
      out.text(
          "text",
          figure,
          "class",
          "figure",
          "x",
          x + 2 * px,
          "y",
          -19 * px,
          "text-anchor",
          "middle",
          "font-size",
          TEXT * px,
          "stroke",
          "none");
    } else {
      figure(x - 4 * px, (a + b) / 2, figure, -90);
    }
  }

  private static boolean narrow(String figure, double pixels) {
    return pixels < figure.length() * 7.2 + 22;
  }

  private void extension(double x1, double y1, double x2, double y2) {
    out.empty("line", "x1", x1, "y1", y1, "x2", x2, "y2", y2, "stroke-width", 0.5 * px);
  }

  private void figure(double x, double y, String text, int turn) {
    String rotate =
        turn == 0 ? null : "rotate(" + turn + " " + Svg.number(x) + " " + Svg.number(y) + ")";
    out.text(
        "text",
        text,
        "class",
        "figure",
        "x",
        x,
        "y",
        y,
        "text-anchor",
        "middle",
        "font-size",
        TEXT * px,
        "stroke",
        "none",
        "transform",
        rotate);
  }

  /** A line with an arrowhead at each end; outside, pointing in, where there is no room. */
  private void arrows(double x1, double y1, double x2, double y2, boolean outside) {
    boolean level = y1 == y2;
    double tail = outside ? 13 * px : 0;
    out.empty(
        "line",
        "x1",
        level ? x1 - tail : x1,
        "y1",
        level ? y1 : y1 - tail,
        "x2",
        level ? x2 + tail : x2,
        "y2",
        level ? y2 : y2 + tail);
    head(x1, y1, level, outside ? -1 : 1);
    head(x2, y2, level, outside ? 1 : -1);
  }

  /** An arrowhead with its point here and its body to the side the sign says. */
  private void head(double x, double y, boolean level, int side) {
    double l = 7 * px * side;
    double s = 2.1 * px;
    String d =
        level
            ? "M"
                + Svg.number(x)
                + " "
                + Svg.number(y)
                + "l"
                + Svg.number(l)
                + " "
                + Svg.number(-s)
                + "v"
                + Svg.number(2 * s)
                + "z"
            : "M"
                + Svg.number(x)
                + " "
                + Svg.number(y)
                + "l"
                + Svg.number(-s)
                + " "
                + Svg.number(l)
                + "h"
                + Svg.number(2 * s)
                + "z";
    out.empty("path", "d", d, "stroke", "none");
  }
}
