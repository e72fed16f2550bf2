package app.reglet.press.svg;

import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Tint;
import java.awt.geom.AffineTransform;
import java.util.List;

/**
 * A drawing as an SVG document of its own: paths, clips and gradients, nothing else. Small pictures
 * to choose an ornament by are such documents, and so is what is kept of a drawing that somebody
 * brought.
 */
public final class OrnamentSvg {
  private static final String[] INKS = {"#22272b", "#7d878d"};

  private final Ornament ornament;
  private final Svg svg = new Svg();
  private int ids;

  private OrnamentSvg(Ornament ornament) {
    this.ornament = ornament;
  }

  /** The whole document, in its own inks, in two tones when it has none. */
  public static String document(Ornament ornament) {
    return new OrnamentSvg(ornament).written();
  }

  private String written() {
    svg.open(
        "svg",
        "xmlns",
        "http://www.w3.org/2000/svg",
        "viewBox",
        "0 0 " + Svg.number(ornament.width()) + " " + Svg.number(ornament.height()));
    ornament.parts().forEach(this::part);
    return svg.close("svg").toString();
  }

  private void part(Ornament.Part part) {
    if (part instanceof Ornament.Faded f) {
      svg.open("g", "opacity", Svg.number(f.opacity()));
      f.parts().forEach(this::part);
      svg.close("g");
    } else {
      area((Ornament.Area) part);
    }
  }

  private void area(Ornament.Area part) {
    String clip = null;
    if (part.clip() != null) {
      clip = "c" + ++ids;
      svg.open("clipPath", "id", clip);
      svg.empty("path", "d", SvgPath.of(part.clip()), "clip-rule", SvgPath.rule(part.clip()));
      svg.close("clipPath");
      clip = "url(#" + clip + ")";
    }
    String fill = fill(part.tint());
    if (clip != null) {
      svg.open("g", "clip-path", clip);
    }
    double opacity = part.tint().opacity();
    svg.empty(
        "path",
        "d",
        SvgPath.of(part.shape()),
        "fill-rule",
        SvgPath.rule(part.shape()),
        "fill",
        fill,
        "fill-opacity",
        opacity < 1 ? Svg.number(opacity) : null);
    if (clip != null) {
      svg.close("g");
    }
  }

  private String fill(Tint tint) {
    if (tint instanceof Tint.Flat f) {
      return colour(f.ink());
    }
    String id = "g" + ++ids;
    if (tint instanceof Tint.Linear l) {
      svg.open(
          "linearGradient",
          "id",
          id,
          "gradientUnits",
          "userSpaceOnUse",
          "x1",
          l.x1(),
          "y1",
          l.y1(),
          "x2",
          l.x2(),
          "y2",
          l.y2());
      stops(l.stops());
      svg.close("linearGradient");
    } else if (tint instanceof Tint.Radial r) {
      AffineTransform t = r.circle();
      t.scale(0.001, 0.001); // a circle of 1000: the matrix keeps its digits
      svg.open(
          "radialGradient",
          "id",
          id,
          "gradientUnits",
          "userSpaceOnUse",
          "cx",
          0.0,
          "cy",
          0.0,
          "r",
          1000.0,
          "gradientTransform",
          SvgPath.matrix(t));
      stops(r.stops());
      svg.close("radialGradient");
    }
    return "url(#" + id + ")";
  }

  private void stops(List<Tint.Stop> stops) {
    for (Tint.Stop s : stops) {
      svg.empty("stop", "offset", Svg.number(s.at()), "stop-color", colour(s.ink()));
    }
  }

  private String colour(int ink) {
    return ornament.inks().isEmpty()
        ? INKS[Math.min(ink, INKS.length - 1)]
        : String.format("#%06x", ornament.inks().get(ink));
  }
}
