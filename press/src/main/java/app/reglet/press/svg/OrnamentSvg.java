package app.reglet.press.svg;

import app.reglet.press.ornament.Ornament;

/** An ornament as a small picture to choose it by. */
public final class OrnamentSvg {
  private static final String[] INKS = {"#22272b", "#7d878d"};

  private OrnamentSvg() {}

  /** The whole document, in two tones. */
  public static String document(Ornament ornament) {
    Svg svg = new Svg();
    svg.open(
        "svg",
        "xmlns",
        "http://www.w3.org/2000/svg",
        "viewBox",
        "0 0 " + Svg.number(ornament.width()) + " " + Svg.number(ornament.height()));
    for (Ornament.Part part : ornament.parts()) {
      svg.empty(
          "path",
          "d",
          SvgPath.of(part.shape()),
          "fill-rule",
          SvgPath.rule(part.shape()),
          "fill",
          INKS[Math.min(part.colour(), INKS.length - 1)]);
    }
    return svg.close("svg").toString();
  }
}
