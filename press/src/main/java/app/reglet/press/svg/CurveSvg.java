package app.reglet.press.svg;

import app.reglet.core.compare.PageCurve;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/**
 * Spine and sheet width over page counts as a small plot, the spine's figures on the left, the
 * sheet's on the right: a sheet grows by what its spine does, so one line is both. The line where
 * the house binds, dotted where it doesn't, upright lines where something changes, the present
 * count marked. User unit 1 px.
 */
public final class CurveSvg {
  private static final String INK = app.reglet.press.art.Labels.INK.hex();
  private static final double WIDTH = 900;
  private static final double HEIGHT = 236;
  private static final double LEFT = 62;
  private static final double RIGHT = 66;
  private static final double TOP = 26;
  private static final double FOOT = 44;
  private static final double DIGIT = 7.2;

  private final PageCurve curve;
  private final Unit unit;
  private final double highest;
  private final Svg out = new Svg();

  private CurveSvg(PageCurve curve, Unit unit) {
    this.curve = curve;
    this.unit = unit;
    this.highest =
        curve.points().stream()
            .map(PageCurve.Point::spine)
            .max(Length::compareTo)
            .orElse(Length.ZERO)
            .in(unit, 6)
            .doubleValue();
  }

  /**
   * The plot as a whole SVG element.
   *
   * @param shown the count whose marker is drawn, any within the curve
   */
  public static String of(PageCurve curve, Unit unit, int shown) {
    return new CurveSvg(curve, unit).draw(shown);
  }

  private double x(double pages) {
    return LEFT
        + (pages - curve.from()) / Math.max(1, curve.to() - curve.from()) * (WIDTH - LEFT - RIGHT);
  }

  private double y(double spine) {
    double top = highest <= 0 ? 1 : highest * 1.08;
    return HEIGHT - FOOT - spine / top * (HEIGHT - FOOT - TOP);
  }

  private double y(Length spine) {
    return y(spine.in(unit, 6).doubleValue());
  }

  private String draw(int shown) {
    out.open(
        "svg",
        "xmlns",
        "http://www.w3.org/2000/svg",
        "class",
        "curve",
        "viewBox",
        "0 0 " + Svg.number(WIDTH) + " " + Svg.number(HEIGHT),
        "role",
        "img",
        "aria-label",
        "Spine width over page counts from " + curve.from() + " to " + curve.to(),
        "data-from",
        curve.from(),
        "data-to",
        curve.to(),
        "data-left",
        LEFT,
        "data-right",
        WIDTH - RIGHT);
    axes();
    thresholds();
    line(true);
    line(false);
    marker(shown);
    return out.close("svg").toString();
  }

  private void axes() {
    out.open("g", "class", "axes", "stroke", INK, "fill", INK);
    stroke(LEFT, HEIGHT - FOOT, WIDTH - RIGHT, HEIGHT - FOOT, 1);
    stroke(LEFT, TOP - 6, LEFT, HEIGHT - FOOT, 1);
    for (double v : ticks(0, highest * 1.08, 5)) {
      stroke(LEFT - 5, y(v), LEFT, y(v), 1);
      figure(LEFT - 8, y(v) + 4, "end", plain(v));
    }
    sheetAxis();
    for (double n : ticks(curve.from(), curve.to(), 8)) {
      if (n >= curve.from()) {
        stroke(x(n), HEIGHT - FOOT, x(n), HEIGHT - FOOT + 5, 1);
        figure(x(n), HEIGHT - FOOT + 18, "middle", plain(n));
      }
    }
    figure(WIDTH - RIGHT, HEIGHT - 6, "end", "pages");
    figure(LEFT - 48, 14, "start", "spine, " + unit.symbol());
    out.close("g");
  }

  /** The sheet's width at the spine's ticks: the spine and what does not change. */
  private void sheetAxis() {
    if (curve.points().isEmpty()) {
      return;
    }
    PageCurve.Point any = curve.points().get(0);
    double rest = any.sheet().minus(any.spine()).in(unit, 6).doubleValue();
    double at = WIDTH - RIGHT;
    stroke(at, TOP - 6, at, HEIGHT - FOOT, 1);
    for (double v : ticks(0, highest * 1.08, 5)) {
      stroke(at, y(v), at + 5, y(v), 1);
      figure(at + 8, y(v) + 4, "start", plain(rest + v));
    }
    figure(WIDTH - 6, 14, "end", "sheet, " + unit.symbol());
  }

  /** Round values, 1, 2 or 5 times a power of ten apart. */
  private static List<Double> ticks(double from, double to, int wanted) {
    List<Double> ticks = new ArrayList<>();
    double raw = Math.max(1e-9, (to - from) / wanted);
    double power = Math.pow(10, Math.floor(Math.log10(raw)));
    double step = power;
    for (double m : new double[] {1, 2, 5, 10}) {
      if (raw <= m * power) {
        step = m * power;
        break;
      }
    }
    for (double v = Math.ceil(from / step) * step; v <= to + step * 1e-6; v += step) {
      ticks.add(v);
    }
    return ticks;
  }

  private static String plain(double v) {
    return BigDecimal.valueOf(v)
        .setScale(4, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }

  /** Steps have no line of their own: the curve shows them. */
  private void thresholds() {
    out.open("g", "class", "thresholds", "stroke", INK, "fill", INK);
    double busyUntil = Double.NEGATIVE_INFINITY;
    int row = 0;
    int before = -1;
    for (PageCurve.Threshold t : curve.thresholds()) {
      if (t.kind() == PageCurve.Kind.STEP) {
        continue;
      }
      double at = x(t.pages());
      String dashes = t.binding().isPresent() ? "2 4" : "9 3 2 3";
      out.empty(
          "line",
          "x1",
          at,
          "y1",
          TOP,
          "x2",
          at,
          "y2",
          HEIGHT - FOOT,
          "stroke-width",
          0.8,
          "stroke-dasharray",
          dashes);
      if (t.pages() == before) {
        continue;
      }
      before = t.pages();
      String text = String.valueOf(t.pages());
      double half = text.length() * DIGIT / 2 + 3;
      row = at - half < busyUntil ? row + 1 : 0;
      busyUntil = Math.max(busyUntil, at + half);
      figure(at + 4, TOP + 12 + 13 * row, "start", text);
    }
    out.close("g");
  }

  private void line(boolean bound) {
    StringBuilder d = new StringBuilder();
    PageCurve.Point before = null;
    for (PageCurve.Point p : curve.points()) {
      // a count between two bound ones that is only not a multiple belongs to the line
      boolean joins = before != null && p.pages() - before.pages() <= gap();
      if (within(p) == bound) {
        d.append(joins && within(before) == bound ? 'L' : 'M')
            .append(Svg.number(x(p.pages())))
            .append(' ')
            .append(Svg.number(y(p.spine())));
      }
      before = p;
    }
    out.empty(
        "path",
        "class",
        bound ? "bound" : "unbound",
        "d",
        d,
        "fill",
        "none",
        "stroke",
        INK,
        "stroke-width",
        bound ? 2.2 : 1,
        "stroke-dasharray",
        bound ? null : "1.5 4");
  }

  private int gap() {
    return Math.max(1, (curve.to() - curve.from()) / PageCurve.MOST_POINTS + 1);
  }

  private boolean within(PageCurve.Point p) {
    int least = limit(PageCurve.Kind.LEAST, curve.from());
    int most = limit(PageCurve.Kind.MOST, curve.to());
    return p.pages() >= least && p.pages() <= most;
  }

  private int limit(PageCurve.Kind kind, int otherwise) {
    return curve.thresholds().stream()
        .filter(t -> t.kind() == kind)
        .map(PageCurve.Threshold::pages)
        .findFirst()
        .orElse(otherwise);
  }

  private void marker(int shown) {
    double at = x(shown);
    PageCurve.Point near = null;
    for (PageCurve.Point p : curve.points()) {
      if (near == null || Math.abs(p.pages() - shown) < Math.abs(near.pages() - shown)) {
        near = p;
      }
    }
    out.open("g", "class", "marker", "id", "curve-marker");
    out.empty("line", "x1", at, "y1", TOP - 6, "x2", at, "y2", HEIGHT - FOOT + 24);
    if (near != null && Math.abs(near.pages() - shown) <= gap()) {
      double y = y(near.spine());
      out.empty("rect", "x", at - 4.5, "y", y - 4.5, "width", 9.0, "height", 9.0);
    }
    out.text(
        "text",
        String.valueOf(shown),
        "x",
        Math.max(LEFT, Math.min(WIDTH - RIGHT, at)),
        "y",
        HEIGHT - FOOT + 36,
        "text-anchor",
        at > WIDTH - 60 ? "end" : "middle",
        "class",
        "figure",
        "font-size",
        12.5);
    out.close("g");
  }

  private void stroke(double x1, double y1, double x2, double y2, double width) {
    out.empty("line", "x1", x1, "y1", y1, "x2", x2, "y2", y2, "stroke-width", width);
  }

  private void figure(double x, double y, String anchor, String text) {
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
        anchor,
        "font-size",
        11.5,
        "stroke",
        "none");
  }
}
