package app.reglet.press.svg;

import app.reglet.press.art.Frame;
import app.reglet.press.drawing.Item;
import app.reglet.press.drawing.WrapDrawing;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Draws a technical drawing as SVG; user unit 1 mm. */
public final class DrawingSvg {
  /** The ink of guides and dimension lines. */
  static final String INK = "#262b2f";

  private static final String HALO = "#ffffff";

  private final boolean halo;
  private final Svg out = new Svg();
  private final Svg defs = new Svg();
  private final Set<String> patterns = new LinkedHashSet<>();

  private DrawingSvg(boolean halo) {
    this.halo = halo;
  }

  /**
   * The items inside one {@code g}, each layer a group in it.
   *
   * @param cls the group's class
   */
  public static String group(String cls, List<Item> items) {
    DrawingSvg svg = new DrawingSvg(true);
    svg.layers(items);
    return "<g class=\""
        + cls
        + "\" fill=\"none\" aria-hidden=\"true\"><defs>"
        + svg.defs
        + "</defs>"
        + svg.out
        + "</g>";
  }

  /** A dimensioned drawing as a whole SVG element. */
  public static String of(WrapDrawing drawing) {
    Frame v = drawing.view();
    String description =
        (drawing.wrap().page() == app.reglet.core.wrap.Wrap.Page.OUTSIDE
                ? "Measured sheet, "
                : drawing.wrap().page().title() + ", ")
            + drawing.wrap().sheet().print(drawing.unit())
            + ", spine "
            + drawing.wrap().spine().stated().print(drawing.unit());
    return new Svg()
        .open(
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
            Svg.number(v.x())
                + " "
                + Svg.number(v.y())
                + " "
                + Svg.number(v.width())
                + " "
                + Svg.number(v.height()),
            "data-share",
            Svg.number(v.width()))
        .empty(
            "rect",
            "class",
            "sheet",
            "x",
            0.0,
            "y",
            0.0,
            "width",
            drawing.wrap().sheet().width().toMm(),
            "height",
            drawing.wrap().sheet().height().toMm(),
            "fill",
            "#ffffff")
        .raw(group("guides", drawing.items()))
        .close("svg")
        .toString();
  }

  /**
   * A whole SVG document of the size of a sheet, each layer a group with the layer's name as id.
   *
   * @param width of the sheet, mm
   * @param height of the sheet, mm
   * @param title what it is
   * @param names what people call each layer; layers without a name are left out
   */
  public static String document(
      double width,
      double height,
      String title,
      List<Item> items,
      java.util.Map<String, String> names) {
    DrawingSvg svg = new DrawingSvg(false);
    Svg all = new Svg();
    List<Item> named = items.stream().filter(i -> names.containsKey(i.layer())).toList();
    for (String layer : layersOf(named)) {
      svg.out.open("g", "id", layer).text("title", names.get(layer));
      named.stream().filter(i -> i.layer().equals(layer)).forEach(svg::draw);
      svg.out.close("g");
    }
    return all.raw("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
        .open(
            "svg",
            "xmlns",
            "http://www.w3.org/2000/svg",
            "width",
            Svg.number(width) + "mm",
            "height",
            Svg.number(height) + "mm",
            "viewBox",
            "0 0 " + Svg.number(width) + " " + Svg.number(height),
            "fill",
            "none")
        .text("title", title)
        .raw("<defs>" + svg.defs + "</defs>")
        .raw(svg.out.toString())
        .close("svg")
        .toString();
  }

  private static Set<String> layersOf(List<Item> items) {
    Set<String> layers = new LinkedHashSet<>();
    items.forEach(i -> layers.add(i.layer()));
    return layers;
  }

  private void layers(List<Item> items) {
    for (String layer : layersOf(items)) {
      out.open("g", "class", "guide-" + layer);
      items.stream().filter(i -> i.layer().equals(layer)).forEach(this::draw);
      out.close("g");
    }
  }

  private void draw(Item item) {
    if (item instanceof Item.Path p) {
      path(p);
    } else if (item instanceof Item.Hatch h) {
      hatch(h);
    } else if (item instanceof Item.Label l) {
      label(l);
    }
  }

  private void path(Item.Path p) {
    String d = outline(p);
    if (p.filled()) {
      out.empty("path", "d", d, "fill", INK);
      return;
    }
    String dashes =
        p.dashes().isEmpty()
            ? null
            : String.join(" ", p.dashes().stream().map(Svg::number).toList());
    if (halo && p.halo()) {
      out.empty(
          "path",
          "class",
          "guide-" + p.layer() + " halo",
          "d",
          d,
          "stroke",
          HALO,
          "stroke-opacity",
          ".75",
          "stroke-width",
          p.weight() / 0.9 * 2.6,
          "stroke-dasharray",
          dashes);
    }
    out.empty(
        "path",
        "class",
        halo && p.halo() ? "guide-" + p.layer() : null,
        "d",
        d,
        "stroke",
        INK,
        "stroke-width",
        p.weight(),
        "stroke-dasharray",
        dashes);
  }

  private static String outline(Item.Path p) {
    StringBuilder d = new StringBuilder();
    for (double[] run : p.shapes()) {
      for (int i = 0; i < run.length; i += 2) {
        d.append(i == 0 ? 'M' : 'L')
            .append(Svg.number(run[i]))
            .append(' ')
            .append(Svg.number(run[i + 1]));
      }
      if (p.closed()) {
        d.append('Z');
      }
    }
    return d.toString();
  }

  private void hatch(Item.Hatch h) {
    // a name by what it looks like: several drawings on one page must not share a wrong one
    String id =
        String.format(
            Locale.ROOT, "hatch-%d-%d%s", h.angle(), Math.round(h.step() * 1e4), halo ? "" : "p");
    if (patterns.add(id)) {
      defs.open(
          "pattern",
          "id",
          id,
          "width",
          h.step(),
          "height",
          h.step(),
          "patternUnits",
          "userSpaceOnUse",
          "patternTransform",
          "rotate(" + h.angle() + ")");
      if (halo) {
        stroke(h, HALO, 2.2 / 0.8 * h.weight(), ".55");
      }
      stroke(h, INK, h.weight(), ".7");
      defs.close("pattern");
    }
    List<Frame> frames = new ArrayList<>(List.of(h.outer()));
    if (h.inner() != null) {
      frames.add(h.inner());
    }
    StringBuilder d = new StringBuilder();
    for (Frame f : frames) {
      d.append('M')
          .append(Svg.number(f.x()))
          .append(' ')
          .append(Svg.number(f.y()))
          .append('H')
          .append(Svg.number(f.right()))
          .append('V')
          .append(Svg.number(f.bottom()))
          .append('H')
          .append(Svg.number(f.x()))
          .append('Z');
    }
    out.empty("path", "d", d, "fill", "url(#" + id + ")", "fill-rule", "evenodd");
  }

  private void stroke(Item.Hatch h, String colour, double width, String opacity) {
    defs.empty(
        "line",
        "x1",
        0.0,
        "y1",
        0.0,
        "x2",
        0.0,
        "y2",
        h.step(),
        "stroke",
        colour,
        "stroke-width",
        width,
        "stroke-opacity",
        opacity);
  }

  private void label(Item.Label l) {
    String turn =
        l.turn() == 0
            ? null
            : "rotate(" + l.turn() + " " + Svg.number(l.x()) + " " + Svg.number(l.y()) + ")";
    boolean outlined = halo && l.halo();
    out.text(
        "text",
        l.text(),
        "class",
        l.kind(),
        "x",
        l.x(),
        "y",
        l.y(),
        "text-anchor",
        l.anchor().name().toLowerCase(Locale.ROOT),
        "font-family",
        halo ? null : "sans-serif",
        "font-size",
        l.size(),
        "fill",
        INK,
        "stroke",
        outlined ? HALO : "none",
        "stroke-width",
        outlined ? l.size() * 3 / 9.5 : null,
        "paint-order",
        outlined ? "stroke" : null,
        "stroke-linejoin",
        outlined ? "round" : null,
        "transform",
        turn);
  }
}
