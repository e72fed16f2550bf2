package app.reglet.press.svg;

import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Rect;
import app.reglet.press.drawing.WrapDrawing;
import java.util.List;
import java.util.Map;

/** Technical drawings as SVG; user unit 1 mm. */
public final class DrawingSvg {
  private DrawingSvg() {}

  /** Marks as SVG elements in a group of this class, for drawings. */
  static String group(String cls, List<Mark.Group> marks) {
    Svg out = new Svg().open("g", "class", cls, "fill", "none", "aria-hidden", "true");
    for (Mark.Group g : marks) {
      SvgPainter painter = new SvgPainter(null, cls + "-" + g.name());
      painter.paint(g.marks());
      out.open("g", "class", "guide-" + g.name()).raw(painter.inside()).close("g");
    }
    return out.close("g").toString();
  }

  /** A dimensioned drawing as a whole SVG element. */
  public static String of(WrapDrawing drawing) {
    Rect v = drawing.view();
    Wrap wrap = drawing.wrap();
    String description =
        (wrap.page() == FilePage.OUTSIDE ? "Measured sheet, " : wrap.page().title() + ", ")
            + wrap.sheet().print(drawing.unit())
            + ", spine "
            + wrap.spine().stated().print(drawing.unit());
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
            view(v),
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
            wrap.sheet().width().toMm(),
            "height",
            wrap.sheet().height().toMm(),
            "fill",
            "#ffffff")
        .raw(group("guides", drawing.marks()))
        .close("svg")
        .toString();
  }

  private static String view(Rect v) {
    return Svg.number(v.x())
        + " "
        + Svg.number(v.y())
        + " "
        + Svg.number(v.width())
        + " "
        + Svg.number(v.height());
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
      List<Mark.Group> marks,
      Map<String, String> names) {
    Svg all =
        new Svg()
            .raw("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
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
            .text("title", title);
    for (Mark.Group layer : marks) {
      if (names.containsKey(layer.name())) {
        SvgPainter painter = new SvgPainter(null, layer.name());
        painter.paint(layer.marks());
        all.open("g", "id", layer.name())
            .text("title", names.get(layer.name()))
            .raw(painter.inside())
            .close("g");
      }
    }
    return all.close("svg").toString();
  }
}
