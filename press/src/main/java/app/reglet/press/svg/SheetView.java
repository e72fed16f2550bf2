package app.reglet.press.svg;

import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Frame;
import app.reglet.press.drawing.Guides;
import app.reglet.press.picture.Picture;
import java.util.List;
import java.util.function.Function;

/**
 * The sheet on the bench: artwork, guides over it, pieces to take hold of, numbered margin notes.
 */
public final class SheetView {
  private static final double SEEN_WIDTH = 900;
  private static final double EDGE = 16;

  private SheetView() {}

  /**
   * The sheet as a whole SVG element; user unit 1 mm.
   *
   * @param findings numbered from 1 in this order
   * @param chosen id of the chosen piece, empty for none
   * @param address where a screen finds a picture
   */
  public static String of(
      Artwork artwork,
      List<Finding> findings,
      String chosen,
      Unit unit,
      Function<Picture, String> address) {
    double w = artwork.wrap().sheet().width().toMm();
    double h = artwork.wrap().sheet().height().toMm();
    double px = w / (SEEN_WIDTH - 2 * EDGE);
    double e = EDGE * px;
    Svg out = new Svg();
    out.open(
        "svg",
        "xmlns",
        "http://www.w3.org/2000/svg",
        "id",
        "sheet",
        "class",
        "sheet-view",
        "data-px",
        px,
        "viewBox",
        Svg.number(-e)
            + " "
            + Svg.number(-e)
            + " "
            + Svg.number(w + 2 * e)
            + " "
            + Svg.number(h + 2 * e),
        "role",
        "group",
        "aria-label",
        "The sheet, " + artwork.wrap().sheet().print(unit));
    out.empty(
        "rect", "class", "sheet", "x", 0.0, "y", 0.0, "width", w, "height", h, "fill", "#ffffff");
    out.raw(ArtworkSvg.group(artwork, address));
    out.raw(DrawingSvg.group("guides", Guides.of(artwork.wrap(), unit, px)));
    out.open("g", "class", "holds");
    for (Laid laid : artwork.laid()) {
      if (!laid.piece().equals(Artwork.BACKGROUND)) {
        hold(out, laid, laid.piece().equals(chosen), px);
      }
    }
    out.close("g");
    notes(out, findings, px, w, h);
    return out.close("svg").toString();
  }

  private static void hold(Svg out, Laid laid, boolean chosen, double px) {
    Frame f = Frame.of(laid.box());
    out.open(
        "g",
        "class",
        chosen ? "hold chosen" : "hold",
        "data-piece",
        laid.piece(),
        "tabindex",
        "0",
        "role",
        "button",
        "aria-pressed",
        chosen ? "true" : "false",
        "aria-label",
        laid.name());
    out.empty(
        "rect",
        "x",
        f.x(),
        "y",
        f.y(),
        "width",
        f.width(),
        "height",
        f.height(),
        "fill",
        "#000",
        "fill-opacity",
        "0");
    if (chosen) {
      double s = 7 * px;
      for (double[] c : new double[][] {{f.right(), f.bottom()}}) {
        out.empty(
            "rect",
            "class",
            "grip",
            "x",
            c[0] - s / 2,
            "y",
            c[1] - s / 2,
            "width",
            s,
            "height",
            s,
            "fill",
            "#fff",
            "stroke",
            DrawingSvg.INK,
            "stroke-width",
            px);
      }
    }
    out.close("g");
  }

  private static void notes(Svg out, List<Finding> findings, double px, double w, double h) {
    out.open("g", "class", "notes");
    double r = 8.5 * px;
    for (int i = 0; i < findings.size(); i++) {
      Finding f = findings.get(i);
      if (f.place().isEmpty()) {
        continue;
      }
      Box place = f.place().get();
      double x = Math.max(r, Math.min(w - r, place.right().toMm()));
      double y = Math.max(r, Math.min(h - r, place.top().toMm()));
      out.open("g", "class", "note " + (f.mustMend() ? "mend" : "look"), "data-note", i + 1);
      Frame p = Frame.of(place);
      out.empty(
          "rect",
          "class",
          "note-place",
          "x",
          p.x(),
          "y",
          p.y(),
          "width",
          p.width(),
          "height",
          p.height(),
          "fill",
          "none");
      out.empty("circle", "cx", x, "cy", y, "r", r);
      out.text(
          "text",
          String.valueOf(i + 1),
          "x",
          x,
          "y",
          y + 3.8 * px,
          "text-anchor",
          "middle",
          "font-size",
          11 * px);
      out.close("g");
    }
    out.close("g");
  }
}
