package app.reglet.press.svg;

import app.reglet.core.measure.Unit;
import app.reglet.press.art.Artwork;
import app.reglet.press.drawing.Guides;

/**
 * The sheet on the bench: artwork, guides over it, and an empty layer for what the browser draws
 * over both (what pieces are taken hold of by, marks of margin notes).
 */
public final class BenchSvg {
  private static final double SEEN_WIDTH = 900;
  private static final double EDGE = 16;

  private BenchSvg() {}

  /**
   * The sheet as a whole SVG element; user unit 1 mm.
   *
   * @param addresses where a screen finds pictures
   */
  public static String of(Artwork artwork, Unit unit, Addresses addresses) {
    double w = artwork.wrap().sheet().width().toMm();
    double h = artwork.wrap().sheet().height().toMm();
    double px = w / (SEEN_WIDTH - 2 * EDGE);
    double e = EDGE * px;
    return new Svg()
        .open(
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
            "application",
            "aria-label",
            "The sheet, " + artwork.wrap().sheet().print(unit))
        .empty(
            "rect", "class", "sheet", "x", 0.0, "y", 0.0, "width", w, "height", h, "fill",
            "#ffffff")
        .raw(ArtworkSvg.group(artwork, addresses))
        .raw(DrawingSvg.group("guides", Guides.of(artwork.wrap(), unit, px, true)))
        .open("g", "id", "overlay")
        .close("g")
        .close("svg")
        .toString();
  }
}
