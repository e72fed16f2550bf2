package app.reglet.press.svg;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Frame;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Paint;
import app.reglet.press.picture.Picture;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Draws {@link Artwork} as SVG in mm. Each glyph's outline stands once in {@code defs} and is used
 * where the display list has it, so the screen shows the press file's own glyphs.
 */
public final class ArtworkSvg {
  private static final int GLYPH_UNITS = 1000;

  private final Function<Picture, String> address;
  private final Svg body = new Svg();
  private final Svg defs = new Svg();
  private final Map<String, String> glyphs = new HashMap<>();
  private int clips;

  private ArtworkSvg(Function<Picture, String> address) {
    this.address = address;
  }

  /**
   * The marks as SVG elements inside one {@code g}, to be put in an {@code svg} whose user unit is
   * 1 mm.
   *
   * @param address where a screen finds a picture
   */
  public static String group(Artwork artwork, Function<Picture, String> address) {
    ArtworkSvg svg = new ArtworkSvg(address);
    String piece = null;
    for (Mark mark : artwork.marks()) {
      if (!mark.piece().equals(piece)) {
        if (piece != null) {
          svg.body.close("g");
        }
        piece = mark.piece();
        svg.body.open("g", "data-piece", piece);
      }
      svg.draw(mark);
    }
    if (piece != null) {
      svg.body.close("g");
    }
    return "<g class=\"artwork\"><defs>" + svg.defs + "</defs>" + svg.body + "</g>";
  }

  /** A whole SVG document of the sheet. */
  public static String document(Artwork artwork, Function<Picture, String> address) {
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
        .raw(group(artwork, address))
        .close("svg")
        .toString();
  }

  private void draw(Mark mark) {
    if (mark instanceof Mark.Area a) {
      Frame f = a.frame();
      body.empty(
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
          colour(a.paint()));
    } else if (mark instanceof Mark.Glyphs g) {
      glyphs(g);
    } else if (mark instanceof Mark.Image i) {
      image(i);
    }
  }

  private void glyphs(Mark.Glyphs g) {
    AffineTransform t = new AffineTransform(g.place());
    double s = g.size() / GLYPH_UNITS;
    t.scale(s, s);
    body.open("g", "transform", matrix(t), "fill", colour(g.paint()), "data-text", g.text());
    for (int i = 0; i < g.glyphs().length; i++) {
      String id = glyph(g, g.glyphs()[i]);
      if (!id.isEmpty()) {
        body.empty("use", "href", "#" + id, "x", g.x()[i] / s);
      }
    }
    body.close("g");
  }

  private String glyph(Mark.Glyphs run, int id) {
    return glyphs.computeIfAbsent(
        run.face().id() + "-" + id,
        key -> {
          String path = path(run.face().outline(id));
          if (path.isEmpty()) {
            return "";
          }
          defs.empty("path", "id", "glyph-" + key, "d", path);
          return "glyph-" + key;
        });
  }

  private void image(Mark.Image i) {
    String clip = "clip-" + (++clips);
    Frame c = i.clip();
    defs.open("clipPath", "id", clip)
        .empty("rect", "x", c.x(), "y", c.y(), "width", c.width(), "height", c.height())
        .close("clipPath");
    Frame w = i.whole();
    body.open("g", "clip-path", "url(#" + clip + ")")
        .empty(
            "image",
            "href",
            address.apply(i.picture()),
            "x",
            w.x(),
            "y",
            w.y(),
            "width",
            w.width(),
            "height",
            w.height(),
            "preserveAspectRatio",
            "none")
        .close("g");
  }

  private static String colour(Paint paint) {
    return paint instanceof Paint.Rgb rgb ? rgb.colour().hex() : "#000000";
  }

  private static String matrix(AffineTransform t) {
    StringBuilder out = new StringBuilder("matrix(");
    for (double d : List.of(t.getScaleX(), t.getShearY(), t.getShearX(), t.getScaleY())) {
      out.append(String.format(java.util.Locale.ROOT, "%.8f ", d));
    }
    return out.append(Svg.number(t.getTranslateX()))
        .append(' ')
        .append(Svg.number(t.getTranslateY()))
        .append(')')
        .toString();
  }

  /** A glyph's outline in thousandths of the type size. */
  private static String path(Shape outline) {
    StringBuilder out = new StringBuilder();
    double[] c = new double[6];
    for (PathIterator p =
            outline.getPathIterator(AffineTransform.getScaleInstance(GLYPH_UNITS, GLYPH_UNITS));
        !p.isDone();
        p.next()) {
      int n =
          switch (p.currentSegment(c)) {
            case PathIterator.SEG_MOVETO -> append(out, 'M', 2);
            case PathIterator.SEG_LINETO -> append(out, 'L', 2);
            case PathIterator.SEG_QUADTO -> append(out, 'Q', 4);
            case PathIterator.SEG_CUBICTO -> append(out, 'C', 6);
            default -> append(out, 'Z', 0);
          };
      for (int i = 0; i < n; i++) {
        out.append(i == 0 ? "" : " ").append(Math.round(c[i] * 10) / 10.0);
      }
    }
    return out.toString().replace(".0 ", " ").replaceAll("\\.0(?=[A-Z]|$)", "");
  }

  private static int append(StringBuilder out, char command, int numbers) {
    out.append(command);
    return numbers;
  }
}
