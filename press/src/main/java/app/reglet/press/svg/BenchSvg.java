package app.reglet.press.svg;

import app.reglet.core.measure.Unit;
import app.reglet.press.art.Artwork;
import app.reglet.press.drawing.Guides;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The sheet on the bench: artwork, and over it guides and an empty layer for what the browser draws
 * (what pieces are taken hold of by, marks of margin notes). Both are drawings of their own with
 * one view, so that what moves over the art leaves the art as it is drawn.
 */
public final class BenchSvg {
  private static final double SEEN_WIDTH = 900;
  private static final double EDGE = 16;

  private BenchSvg() {}

  /**
   * The sheet as an element that holds both drawings; user unit 1 mm.
   *
   * @param addresses where a screen finds pictures
   */
  public static String of(Artwork artwork, Unit unit, Addresses addresses) {
    double w = artwork.wrap().sheet().width().toMm();
    double h = artwork.wrap().sheet().height().toMm();
    double px = w / (SEEN_WIDTH - 2 * EDGE);
    double e = EDGE * px;
    String seen =
        Stream.of(-e, -e, w + 2 * e, h + 2 * e).map(Svg::number).collect(Collectors.joining(" "));
    String xmlns = "http://www.w3.org/2000/svg";
    return new Svg()
        .open("div", "class", "sheet-stack")
        .open("svg", "xmlns", xmlns, "id", "art", "class", "art-view", "viewBox", seen)
        .empty(
            "rect", "class", "sheet", "x", 0.0, "y", 0.0, "width", w, "height", h, "fill",
            "#ffffff")
        .raw(ArtworkSvg.group(artwork, addresses))
        .close("svg")
        .open(
            "svg",
            "xmlns",
            xmlns,
            "id",
            "sheet",
            "class",
            "sheet-view",
            "data-px",
            px,
            "viewBox",
            seen,
            "role",
            "application",
            "aria-label",
            "The sheet, " + artwork.wrap().sheet().print(unit))
        .raw(DrawingSvg.group("guides", Guides.of(artwork.wrap(), unit, px, true)))
        .open("g", "id", "overlay")
        .close("g")
        .close("svg")
        .close("div")
        .toString();
  }
}
