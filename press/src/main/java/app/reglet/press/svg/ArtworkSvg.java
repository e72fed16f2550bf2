package app.reglet.press.svg;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;

/** {@link Artwork} as SVG, each piece an element that can be exchanged by itself. */
public final class ArtworkSvg {
  private ArtworkSvg() {}

  /**
   * A piece as one element, to be put in an {@code svg} whose user unit is 1 mm.
   *
   * @param addresses where a screen finds pictures
   */
  public static String piece(Mark.Group piece, Addresses addresses) {
    return piece(piece, addresses, KeptRuns.NONE);
  }

  /**
   * A piece for a page that shows another state of it: a line of letters that is drawn there alike
   * is an empty {@code g} with the number in {@code data-keep} that it has among the elements with
   * {@code data-text}, and its place. Where a picture is found stands in {@code data-href}: nothing
   * is fetched before the page asks for it.
   *
   * @param shown the piece as the page shows it
   */
  public static String piece(Mark.Group piece, Addresses addresses, Mark.Group shown) {
    return piece(piece, addresses, KeptRuns.of(shown));
  }

  private static String piece(Mark.Group piece, Addresses addresses, KeptRuns kept) {
    SvgPainter painter = new SvgPainter(addresses, "a-" + piece.name(), kept);
    painter.begin(piece);
    painter.paint(piece.marks());
    painter.end(piece);
    return new Svg()
        .open("g", "id", "art-" + piece.name(), "data-piece", piece.name())
        .raw(painter.inside())
        .close("g")
        .toString();
  }

  /** A cover's pieces inside one {@code g}. */
  public static String group(Artwork artwork, Addresses addresses) {
    Svg out = new Svg().open("g", "class", "artwork", "id", "artwork");
    artwork.marks().forEach(g -> out.raw(piece(g, addresses)));
    return out.close("g").toString();
  }

  /** A whole SVG document of the sheet. */
  public static String document(Artwork artwork, Addresses addresses) {
    double w = artwork.wrap().sheet().width().toMm();
    double h = artwork.wrap().sheet().height().toMm();
    return new Svg()
        .open(
            "svg",
            "xmlns",
            "http://www.w3.org/2000/svg",
            "width",
            Svg.number(w) + "mm",
            "height",
            Svg.number(h) + "mm",
            "viewBox",
            "0 0 " + Svg.number(w) + " " + Svg.number(h))
        .raw("<style>.multiplied{mix-blend-mode:multiply}</style>")
        .raw(group(artwork, addresses))
        .close("svg")
        .toString();
  }
}
