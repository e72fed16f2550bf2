package app.reglet.web.demo;

import app.reglet.core.book.Book;
import app.reglet.core.design.Design;
import app.reglet.core.edit.Addition;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.Optional;

/** Covers of the demo that are composed piece by piece. */
final class DemoCovers {
  private DemoCovers() {}

  private static double[] box(double x, double y, double w, double h) {
    return new double[] {x, y, w, h};
  }

  /** A handwriting workbook: a pattern tone on tone, a ruled panel with copy lines, a badge. */
  static Design workbook(Wrap wrap, Book book) {
    Composing c = new Composing(wrap, book);
    String deep = "#1f4f5b";
    String coral = "#bf4829";
    String paper = "#fdf9ee";
    c.does(
        "ground",
        "colour",
        deep,
        "pattern",
        "on",
        "ornament",
        "scale",
        "ink.0.colour",
        "#2a606d",
        "tileWidth",
        "15 mm",
        "tileAcross",
        "0 mm",
        "tileDown",
        "0 mm",
        "stagger",
        "BRICK");
    c.words("title:", "front", box(14, 20, 124.4, 26), "playfair-display-bold", 66, paper);
    c.words("subtitle:", "front", box(24, 47, 104.4, 9), "josefin-sans", 15, "#f2c98f");
    c.put("shape:rectangle", "front", 17, 66, 118.4, 112);
    c.set("colour", paper, "radius", "7 mm", "edge", "plain", "edgeWidth", "1.8 mm");
    c.set("edgeColour", coral, "edgeSide", "INSIDE");
    String[] lines = {"salt   salt   salt", "shore   shore", "a wren, a wren"};
    for (int i = 0; i < lines.length; i++) {
      double y = 76 + i * 32;
      for (int k = 0; k < 3; k++) {
        c.put("shape:level", "front", 25, y + 4 + k * 9 - 2, 102.4, 4);
        c.set("edge", "plain", "edgeWidth", k == 1 ? "0.25 mm" : "0.35 mm");
        c.set("edgeColour", k == 2 ? coral : "#b9cdd0", "edgeDashes", k == 1 ? "2 1.4" : "");
      }
      c.words(
          "own:" + lines[i],
          "front",
          box(27, y + 6.4, 98.4, 22),
          "cormorant-garamond-italic",
          46,
          i == 0 ? "#23343a" : "#6f7d82");
      c.set("align", "LEFT", "vertical", "TOP", "fit", "SIZE");
    }
    c.words("author:", "front", box(24, 200, 70, 12), "josefin-sans-semibold", 17, paper);
    c.set("align", "LEFT");
    c.put("shape:star", "front", 100, 172, 40, 40);
    String star = c.last();
    c.set("corners", "28", "notch", "9", "colour", coral);
    c.put("shape:ellipse", "front", 105, 177, 30, 30);
    String ring = c.last();
    c.set("fill", "none", "edge", "plain", "edgeWidth", "0.6 mm", "edgeColour", paper);
    c.words("own:100", "front", box(107, 186.5, 26, 12), "playfair-display-bold", 32, paper);
    String hundred = c.last();
    String over = onRing(c, "PAGES TO FILL", "upper", paper);
    String under = onRing(c, "ONE LINE A DAY", "lower", paper);
    c.does("group", "piece", String.join(",", star, ring, hundred, over, under));
    c.does("turn", "piece", c.last(), "angle", "-9");
    c.does("rename", "piece", c.last(), "name", "Badge");
    c.words("blurb:", "back", box(20, 30, 112.4, 70), "josefin-sans", 13.5, paper);
    c.set("fit", "SIZE", "align", "LEFT", "vertical", "TOP", "leading", "1.45");
    c.put("ornament:sedge", "back", 62, 120, 28, 28);
    c.set("ink.0.colour", "#f2c98f");
    c.words("imprint:", "back", box(20, 190, 60, 8), "josefin-sans-semibold", 11, "#f2c98f");
    c.set("align", "LEFT");
    return c.does(new Addition.AddBarcode()).design();
  }

  /** Words along an edge of the badge's ring. */
  private static String onRing(Composing c, String text, String edge, String colour) {
    c.words(
        "own:" + text, "front", box(106.4, 178.4, 27.2, 27.2), "josefin-sans-semibold", 8, colour);
    c.set("curve", edge, "curveSide", "INSIDE", "tracking", "80");
    return c.last();
  }

  /** A magazine with one flap, and its inside: a sun over water made of forms. */
  static Design magazine(Wrap wrap, Book book) {
    Composing c = new Composing(wrap, book);
    String ink = "#14252e";
    String sand = "#f3e3c6";
    String red = "#e4572e";
    c.does(
        "ground",
        "fill",
        "linear",
        "fillAngle",
        "90",
        "stop.0.at",
        "0",
        "stop.0.colour",
        "#f4e7cd",
        "stop.1.at",
        "100",
        "stop.1.colour",
        "#e9b27a");
    c.put("shape:ellipse", "front", 45, 92, 120, 120);
    c.set("colour", red);
    c.put("shape:rectangle", "front", 0, 186, 210, 114);
    c.does("hang", "piece", c.last(), "region", "sheet", "across", "BOTH", "holdDown", "END");
    c.does(
        "place",
        "piece",
        c.last(),
        "from",
        "sheet",
        "left",
        "0 mm",
        "width",
        wrap.sheet().width().toMm() + " mm");
    c.set("colour", "#1d5163");
    for (int i = 0; i < 7; i++) {
      double w = 150 - i * 14 + (i % 2) * 18;
      c.put(
          "shape:rectangle",
          "front",
          105 - w / 2 + (i % 3 - 1) * 5,
          190 + i * 8.5,
          w,
          2.2 + i * 0.12);
      c.set("colour", i < 5 ? red : "#c9803f", "radius", "1.1 mm");
    }
    c.put("ornament:gull", "front", 122, 112, 26, 12);
    c.set("ink.0.colour", ink, "ink.1.colour", ink);
    c.put("ornament:gull", "front", 150, 128, 16, 8);
    c.set("ink.0.colour", ink, "ink.1.colour", ink);
    c.words("title:", "front", box(12, 12, 186, 46), "oswald-semibold", 150, ink);
    c.set("letters", "CAPITALS", "vertical", "MIDDLE");
    c.words("subtitle:", "front", box(13, 60, 120, 8), "work-sans", 15, ink);
    c.set("align", "LEFT");
    c.words(
        "own:No. 7\nSpring tides", "front", box(150, 60, 47, 16), "work-sans-semibold", 15, ink);
    c.set("align", "RIGHT", "vertical", "TOP", "fit", "SIZE");
    c.words(
        "own:The last ferryman of Ouse Hythe",
        "front",
        box(14, 262, 120, 9),
        "playfair-display-bold",
        20,
        sand);
    c.set("align", "LEFT");
    c.words(
        "own:Forty ways to read a mudflat · Bread from sea-beet · A map of lights",
        "front",
        box(14, 272, 182, 8),
        "work-sans",
        12.5,
        sand);
    c.set("align", "LEFT");
    c.words("title:", "spine", box(1.5, 14, 7, 150), "oswald-semibold", 17, ink);
    c.set("letters", "CAPITALS", "direction", "DOWN", "align", "LEFT", "vertical", "MIDDLE");
    c.words("blurb:", "back", box(24, 40, 150, 70), "playfair-display", 20, ink);
    c.set("fit", "SIZE", "align", "LEFT", "vertical", "TOP", "leading", "1.4");
    c.words("imprint:", "back", box(24, 264, 100, 9), "work-sans-semibold", 17, sand);
    c.set("align", "LEFT");
    c.put("ornament:lighthouse", "front-flap", 36, 40, 32, 46);
    c.set("ink.0.colour", ink, "ink.1.colour", red);
    c.words(
        "own:In this issue", "front-flap", box(12, 104, 80, 12), "playfair-display-bold", 24, ink);
    c.set("align", "LEFT");
    c.words(
        "own:4  Letters from the causeway\n\n12  A clock that keeps the tide\n\n26  Salt pans, drawn\n\n40  The bell under the sand\n\n58  Nothing but herring",
        "front-flap",
        box(12, 122, 84, 100),
        "work-sans",
        12.5,
        ink);
    c.set("fit", "SIZE", "align", "LEFT", "vertical", "TOP", "leading", "1.35");
    c.inside();
    c.does(
        "ground",
        "colour",
        "#1d5163",
        "pattern",
        "on",
        "ornament",
        "gull",
        "ink.0.colour",
        "#2b6478",
        "tileWidth",
        "34 mm",
        "tileAcross",
        "18 mm",
        "tileDown",
        "22 mm",
        "stagger",
        "BRICK");
    c.words(
        "own:“We print it when the water is high enough to float it over.”",
        "front-flap",
        box(12, 90, 80, 90),
        "playfair-display",
        24,
        sand);
    c.set("fit", "SIZE", "vertical", "MIDDLE", "leading", "1.35");
    c.words(
        "own:Slack water is the short quiet between two tides, when nothing is pulled either way.",
        "front",
        box(34, 120, 130, 60),
        "playfair-display",
        27,
        sand);
    c.set("fit", "SIZE", "vertical", "MIDDLE", "leading", "1.4");
    return c.design();
  }

  /**
   * A pocket book with the press's mark, a picture that is clear where nothing is drawn.
   *
   * @param logo the SHA-256 of that picture
   */
  static Design pocket(Wrap wrap, Book book, String logo) {
    Composing c = new Composing(wrap, book);
    String ink = "#2b2f25";
    c.does("ground", "colour", "#d9c27a");
    c.put("pattern:reed", "front", 0, 84, 108, 67);
    c.does(
        "hang", "piece", c.last(), "region", "front.bleed", "across", "BOTH", "holdDown", "BOTH");
    c.set(
        "ink.0.colour",
        "#b59a4e",
        "tileWidth",
        "4.5 mm",
        "tileAcross",
        "0 mm",
        "tileDown",
        "0 mm",
        "stagger",
        "HALF_DROP");
    double[][] birds = {{12, 66, 46}, {56, 54, 34}, {72, 82, 22}};
    for (double[] b : birds) {
      c.put("ornament:gull", "front", b[0], b[1], b[2], b[2] * 0.5);
      c.set("ink.0.colour", ink, "ink.1.colour", ink);
    }
    c.words("title:", "front", box(9, 10, 87, 34), "alegreya-bold", 46, ink);
    c.set("align", "LEFT", "vertical", "TOP", "leading", "0.98");
    c.words("subtitle:", "front", box(9, 45, 87, 6), "alegreya-italic", 13, ink);
    c.set("align", "LEFT");
    c.words("author:", "front", box(9, 132, 60, 7), "alegreya", 13, ink);
    c.set("align", "LEFT", "letters", "SMALL_CAPITALS", "tracking", "40");
    c.does(
        new Addition.AddPicture(PanelKind.FRONT, logo, "Mark of the press", 1, Optional.empty()));
    c.does(
        "place",
        "piece",
        c.last(),
        "from",
        "front.trim",
        "left",
        "78 mm",
        "top",
        "124 mm",
        "width",
        "17 mm",
        "height",
        "17 mm");
    c.words("blurb:", "back", box(10, 14, 85, 70), "alegreya", 12.5, ink);
    c.set("fit", "SIZE", "align", "JUSTIFIED", "vertical", "TOP", "leading", "1.35");
    c.set("breaks", "EVEN", "hyphenated", "on", "hanging", "on", "indent", "1");
    return c.does(new Addition.AddBarcode()).design();
  }
}
