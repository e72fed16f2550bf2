package app.reglet.press.svg;

import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.List;

/** What a drawing names and uses: gradients, cuts, masks, the outlines of glyphs. */
final class SvgDefs {
  private final Addresses addresses;
  private final String stem;
  private final Svg out = new Svg();
  private int names;

  /**
   * @param stem begins every name, unique on its page
   */
  SvgDefs(Addresses addresses, String stem) {
    this.addresses = addresses;
    this.stem = stem;
  }

  private String name() {
    return stem + "-" + (++names);
  }

  /** A colour, or the address of a gradient that it defines. */
  String fill(Fill fill) {
    return fill.accept(
        new Fill.Visitor<>() {
          @Override
          public String flat(Fill.Flat flat) {
            return flat.colour().hex();
          }

          @Override
          public String linear(Fill.Linear l) {
            String name = name();
            out.open(
                "linearGradient",
                "id",
                name,
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
            out.close("linearGradient");
            return "url(#" + name + ")";
          }

          @Override
          public String radial(Fill.Radial r) {
            String name = name();
            out.open(
                "radialGradient",
                "id",
                name,
                "gradientUnits",
                "userSpaceOnUse",
                "cx",
                r.x(),
                "cy",
                r.y(),
                "r",
                r.radius());
            stops(r.stops());
            out.close("radialGradient");
            return "url(#" + name + ")";
          }
        });
  }

  private void stops(List<Fill.Stop> stops) {
    for (Fill.Stop s : stops) {
      out.empty("stop", "offset", s.at(), "stop-color", s.colour().hex());
    }
  }

  /**
   * The name of a cut along letters. A clipPath takes uses but no groups, so each has the transform
   * itself.
   */
  String clipOf(String letters, AffineTransform t) {
    String name = name();
    out.open("clipPath", "id", name)
        .empty("path", "transform", SvgPath.matrix(t), "d", letters)
        .close("clipPath");
    return name;
  }

  /** The name of a cut along a shape. */
  String clip(Shape shape) {
    String name = name();
    out.open("clipPath", "id", name)
        .empty("path", "d", SvgPath.of(shape), "clip-rule", SvgPath.rule(shape))
        .close("clipPath");
    return name;
  }

  /** The name of a pattern: one period of the lattice, with all that reaches into it. */
  String pattern(Mark.Tiled t) {
    String name = name();
    SvgPainter painter = new SvgPainter(addresses, name);
    for (AffineTransform place : t.period()) {
      painter.paint(List.of(new Mark.Group("", Effects.NONE.withTransform(place), t.motif())));
    }
    out.open(
            "pattern",
            "id",
            name,
            "patternUnits",
            "userSpaceOnUse",
            "width",
            t.lattice().periodX(),
            "height",
            t.lattice().periodY(),
            "patternTransform",
            SvgPath.matrix(t.lattice().toSheet()))
        .raw(painter.inside())
        .close("pattern");
    return name;
  }

  /** The name of a mask of marks. */
  String mask(List<Mark> marks) {
    String name = name();
    SvgPainter painter = new SvgPainter(addresses, name);
    painter.paint(marks);
    out.open(
            "mask",
            "id",
            name,
            "maskUnits",
            "userSpaceOnUse",
            "x",
            "-5000",
            "y",
            "-5000",
            "width",
            "10000",
            "height",
            "10000",
            "color-interpolation",
            "sRGB")
        .raw(painter.inside())
        .close("mask");
    return name;
  }

  @Override
  public String toString() {
    return out.toString();
  }
}
