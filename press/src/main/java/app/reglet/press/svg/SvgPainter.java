package app.reglet.press.svg;

import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Painter;
import app.reglet.press.art.Pen;
import app.reglet.press.art.Pixels;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Base64;
import java.util.Locale;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;

/**
 * Draws marks as SVG in mm. A run of glyphs is the path of their outlines, named with the ids that
 * the press file has, so the screen shows its very glyphs; and each piece can be exchanged by
 * itself.
 */
final class SvgPainter implements Painter {
  private final Addresses addresses;
  private final Svg body = new Svg();
  private final SvgDefs defs;
  private final KeptRuns kept;

  /**
   * @param stem begins the name of everything that is named in here, unique on its page
   */
  SvgPainter(Addresses addresses, String stem) {
    this(addresses, stem, KeptRuns.NONE);
  }

  /**
   * @param kept runs of glyphs that are named by their numbers instead of drawn
   */
  SvgPainter(Addresses addresses, String stem, KeptRuns kept) {
    this.kept = kept;
    this.addresses = addresses;
    this.defs = new SvgDefs(addresses, stem);
  }

  /** What was drawn, its definitions first. */
  String inside() {
    String d = defs.toString();
    return (d.isEmpty() ? "" : "<defs>" + d + "</defs>") + body;
  }

  @Override
  public void path(Mark.Path p) {
    String fill = p.fill() == null ? "none" : defs.fill(p.fill());
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
        pen == null ? null : defs.fill(pen.fill()),
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

  @Override
  public void glyphs(Mark.Glyphs g) {
    AffineTransform t = new AffineTransform(g.place());
    int units = SvgPath.units(g.size());
    double s = g.size() / units;
    t.scale(s, s);
    int alike = kept.take(g);
    if (alike >= 0) {
      body.empty("g", "data-keep", alike, "transform", SvgPath.matrix(t));
      return;
    }
    boolean flat = g.fill() instanceof Fill.Flat;
    boolean unseen = g.fill() == null;
    String letters = unseen ? "" : SvgPath.run(g, units);
    Pen pen = g.outline();
    body.open(
        "g",
        "transform",
        SvgPath.matrix(t),
        "fill",
        flat ? defs.fill(g.fill()) : "none",
        "stroke",
        pen == null ? null : defs.fill(pen.fill()),
        "stroke-width",
        pen == null ? null : (Object) (pen.width() / s),
        "data-text",
        g.text(),
        "data-face",
        g.face().id(),
        "data-glyphs",
        Arrays.stream(g.glyphs()).mapToObj(String::valueOf).collect(Collectors.joining(" ")));
    if (!letters.isEmpty()) {
      body.empty("path", "d", letters);
    }
    body.close("g");
    if (!flat && !unseen && g.x().length > 0) {
      gradient(g, letters, t);
    }
  }

  /** Letters that a gradient runs through: the gradient, cut by them. */
  private void gradient(Mark.Glyphs g, String letters, AffineTransform t) {
    String clip = defs.clipOf(letters, t);
    Rectangle2D run = new Rectangle2D.Double(g.x()[0], g.y()[0], 0, 0);
    for (int i = 1; i < g.x().length; i++) {
      run.add(g.x()[i], g.y()[i]);
    }
    double round = 2 * g.size();
    Rectangle2D all =
        g.place()
            .createTransformedShape(
                new Rectangle2D.Double(
                    run.getX() - round,
                    run.getY() - round,
                    run.getWidth() + 2 * round,
                    run.getHeight() + 2 * round))
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
        defs.fill(g.fill()),
        "clip-path",
        "url(#" + clip + ")");
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
                    return addresses.picture(stored.picture(), stored.treating());
                  }

                  @Override
                  public String made(Pixels.Made made) {
                    return inline(made.image());
                  }

                  @Override
                  public String drawn(Pixels.Drawn drawn) {
                    throw new IllegalStateException("a screen draws marks themselves");
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
        // a page that shows the piece otherwise asks for what it needs of it when it is ready
        kept == KeptRuns.NONE ? "href" : "data-href",
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
  public void tiled(Mark.Tiled t) {
    body.empty(
        "path",
        "d",
        SvgPath.of(t.area()),
        "fill-rule",
        SvgPath.rule(t.area()),
        "fill",
        "url(#" + defs.pattern(t) + ")");
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
        e.clip() == null ? null : "url(#" + defs.clip(e.clip()) + ")",
        "mask",
        e.mask().isEmpty() ? null : "url(#" + defs.mask(e.mask()) + ")");
  }

  @Override
  public void end(Mark.Group group) {
    if (!group.effects().isNone()) {
      body.close("g");
    }
  }
}
