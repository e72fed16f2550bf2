package app.reglet.press.svg;

import app.reglet.press.art.Artwork;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Painter;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Pixels;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javax.imageio.ImageIO;

/**
 * Draws marks as SVG in mm. Each glyph's outline stands once in the {@code defs} of its piece and
 * is used where the display list has it, so the screen shows the press file's own glyphs; and each
 * piece can be exchanged by itself.
 */
public final class SvgPainter implements Painter {
  private static final int GLYPH_UNITS = 1000;

  private final Addresses addresses;
  private final String stem;
  private final Svg body = new Svg();
  private final Svg defs = new Svg();
  private final Map<String, String> glyphs = new HashMap<>();
  private int names;

  /**
   * @param stem begins the name of everything that is named in here, unique on its page
   */
  SvgPainter(Addresses addresses, String stem) {
    this.addresses = addresses;
    this.stem = stem;
  }

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

  /**
   * A piece as one element, to be put in an {@code svg} whose user unit is 1 mm.
   *
   * @param addresses where a screen finds pictures
   */
  public static String piece(Mark.Group piece, Addresses addresses) {
    SvgPainter painter = new SvgPainter(addresses, "a-" + piece.name());
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

  /** What was drawn, its definitions first. */
  String inside() {
    String d = defs.toString();
    return (d.isEmpty() ? "" : "<defs>" + d + "</defs>") + body;
  }

  private String name() {
    return stem + "-" + (++names);
  }

  @Override
  public void path(Mark.Path p) {
    String fill = p.fill() == null ? "none" : fill(p.fill());
    Pen pen = p.pen();
    String rule = SvgPath.rule(p.shape());
    if (p.shape() instanceof Rectangle2D r && pen == null) {
      body.empty(
          "rect",
          "x",
          r.getX(),
          "y",
          r.getY(),
          "width",
          r.getWidth(),
          "height",
          r.getHeight(),
          "fill",
          fill);
      return;
    }
    body.empty(
        "path",
        "d",
        SvgPath.of(p.shape()),
        "fill",
        fill,
        "fill-rule",
        rule,
        "stroke",
        pen == null ? null : fill(pen.fill()),
        "stroke-width",
        pen == null ? null : (Object) pen.width(),
        "stroke-dasharray",
        pen == null || pen.dashes().isEmpty() ? null : dashes(pen),
        "stroke-miterlimit",
        pen == null ? null : "10");
  }

  private static String dashes(Pen pen) {
    return String.join(" ", pen.dashes().stream().map(Svg::number).toList());
  }

  /** A colour, or the address of a gradient that it defines. */
  private String fill(Fill fill) {
    return fill.accept(
        new Fill.Visitor<>() {
          @Override
          public String flat(Fill.Flat flat) {
            return flat.colour().hex();
          }

          @Override
          public String linear(Fill.Linear l) {
            String name = name();
            defs.open(
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
            defs.close("linearGradient");
            return "url(#" + name + ")";
          }

          @Override
          public String radial(Fill.Radial r) {
            String name = name();
            defs.open(
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
            defs.close("radialGradient");
            return "url(#" + name + ")";
          }
        });
  }

  private void stops(List<Fill.Stop> stops) {
    for (Fill.Stop s : stops) {
      defs.empty("stop", "offset", s.at(), "stop-color", s.colour().hex());
    }
  }

  @Override
  public void glyphs(Mark.Glyphs g) {
    AffineTransform t = new AffineTransform(g.place());
    double s = g.size() / GLYPH_UNITS;
    t.scale(s, s);
    boolean flat = g.fill() instanceof Fill.Flat;
    Consumer<Svg> letters =
        out -> {
          for (int i = 0; i < g.glyphs().length; i++) {
            String id = glyph(g, g.glyphs()[i]);
            if (!id.isEmpty()) {
              out.empty("use", "href", "#" + id, "x", g.x()[i] / s);
            }
          }
        };
    Pen pen = g.outline();
    body.open(
        "g",
        "transform",
        SvgPath.matrix(t),
        "fill",
        flat ? fill(g.fill()) : "none",
        "stroke",
        pen == null ? null : fill(pen.fill()),
        "stroke-width",
        pen == null ? null : (Object) (pen.width() / s),
        "data-text",
        g.text());
    letters.accept(body);
    body.close("g");
    if (!flat) {
      gradient(g, t, letters);
    }
  }

  /** Letters that a gradient runs through: the gradient, cut by them. */
  private void gradient(Mark.Glyphs g, AffineTransform t, Consumer<Svg> letters) {
    String clip = name();
    Svg cut = new Svg();
    letters.accept(cut);
    // a clipPath takes uses but no groups, so each has the transform itself
    defs.open("clipPath", "id", clip)
        .raw(cut.toString().replace("<use ", "<use transform=\"" + SvgPath.matrix(t) + "\" "))
        .close("clipPath");
    Rectangle2D all =
        t.createTransformedShape(
                new Rectangle2D.Double(
                    -GLYPH_UNITS,
                    -2 * GLYPH_UNITS,
                    3 * GLYPH_UNITS
                        + (g.x().length == 0 ? 0 : g.x()[g.x().length - 1])
                            / g.size()
                            * GLYPH_UNITS,
                    4 * GLYPH_UNITS))
            .getBounds2D();
    body.empty(
        "rect",
        "x",
        all.getX(),
        "y",
        all.getY(),
        "width",
        all.getWidth(),
        "height",
        all.getHeight(),
        "fill",
        fill(g.fill()),
        "clip-path",
        "url(#" + clip + ")");
  }

  private String glyph(Mark.Glyphs run, int id) {
    return glyphs.computeIfAbsent(
        run.face().id() + "-" + id,
        key -> {
          String path = SvgPath.glyph(run.face().outline(id), GLYPH_UNITS);
          if (path.isEmpty()) {
            return "";
          }
          defs.empty("path", "id", stem + "-" + key, "d", path);
          return stem + "-" + key;
        });
  }

  @Override
  public void label(Mark.Label l) {
    String turn =
        l.angle() == 0
            ? null
            : "rotate(" + l.angle() + " " + Svg.number(l.x()) + " " + Svg.number(l.y()) + ")";
    body.text(
        "text",
        l.text(),
        "class",
        l.kind(),
        "x",
        l.x(),
        "y",
        l.y(),
        "text-anchor",
        l.anchor().name().toLowerCase(Locale.ROOT),
        "font-family",
        "sans-serif",
        "font-size",
        l.size(),
        "fill",
        app.reglet.press.art.Labels.INK.hex(),
        "stroke",
        l.halo() ? "#ffffff" : "none",
        "stroke-width",
        l.halo() ? (Object) (l.size() * 3 / 9.5) : null,
        "paint-order",
        l.halo() ? "stroke" : null,
        "stroke-linejoin",
        l.halo() ? "round" : null,
        "transform",
        turn);
  }

  @Override
  public void image(Mark.Image i) {
    image(
        i.pixels()
            .accept(
                new Pixels.Visitor<>() {
                  @Override
                  public String stored(Pixels.Stored stored) {
                    return addresses.picture(stored.picture());
                  }

                  @Override
                  public String made(Pixels.Made made) {
                    return inline(made.image());
                  }
                }),
        i.place());
  }

  @Override
  public void page(Mark.Page p) {
    image(addresses.page(p.page()), p.place());
  }

  private void image(String address, AffineTransform place) {
    boolean level = place.getShearX() == 0 && place.getShearY() == 0;
    boolean upright = level && place.getScaleX() > 0 && place.getScaleY() > 0;
    body.empty(
        "image",
        "href",
        address,
        "x",
        upright ? place.getTranslateX() : 0.0,
        "y",
        upright ? place.getTranslateY() : 0.0,
        "width",
        upright ? place.getScaleX() : 1.0,
        "height",
        upright ? place.getScaleY() : 1.0,
        "transform",
        upright ? null : SvgPath.matrix(place),
        "preserveAspectRatio",
        "none");
  }

  private static String inline(BufferedImage image) {
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", png);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return "data:image/png;base64," + Base64.getEncoder().encodeToString(png.toByteArray());
  }

  @Override
  public void begin(Mark.Group group) {
    Effects e = group.effects();
    if (e.isNone()) {
      return;
    }
    boolean multiplied = e.blend() == app.reglet.core.design.Appearance.Blend.MULTIPLY;
    body.open(
        "g",
        "transform",
        e.transform().isIdentity() ? null : SvgPath.matrix(e.transform()),
        "opacity",
        e.opacity() < 1 ? (Object) e.opacity() : null,
        "class",
        multiplied ? "multiplied" : null,
        "clip-path",
        e.clip() == null ? null : "url(#" + clip(e.clip()) + ")",
        "mask",
        e.mask().isEmpty() ? null : "url(#" + mask(e.mask()) + ")");
  }

  private String clip(Shape shape) {
    String name = name();
    defs.open("clipPath", "id", name)
        .empty("path", "d", SvgPath.of(shape), "clip-rule", SvgPath.rule(shape))
        .close("clipPath");
    return name;
  }

  private String mask(List<Mark> marks) {
    String name = name();
    SvgPainter painter = new SvgPainter(addresses, name);
    painter.paint(marks);
    defs.open(
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
  public void end(Mark.Group group) {
    if (!group.effects().isNone()) {
      body.close("g");
    }
  }
}
