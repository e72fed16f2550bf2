package app.reglet.press.raster;

import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.LinearLight;
import app.reglet.press.art.Effects;
import app.reglet.press.art.Fill;
import app.reglet.press.art.Labels;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Painter;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import app.reglet.press.picture.Orientation;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.LinearGradientPaint;
import java.awt.Paint;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Draws marks on pixels. */
class RasterPainter implements Painter {
  /** Most pixels that a placed page is drawn with. */
  private static final double MOST_PAGE_PIXELS = 40e6;

  /** Of a picture as it is decoded: more than any screen or shop shows. */
  private static final long MOST_PIXELS = 24_000_000;

  private final Function<Colour.Solid, Color> colours;
  private final Typeface labels;
  private final Function<Pixels.Stored, BufferedImage> pictures;
  private final UnaryOperator<BufferedImage> seen;
  private final Deque<Layer> layers = new ArrayDeque<>();

  /** Pixels being drawn on, and what the state was before the group that is drawn on them. */
  private record Layer(BufferedImage image, Graphics2D g, AffineTransform before, Shape clip) {}

  /**
   * @param g on the image, in mm
   * @param colours how colours look
   * @param labels the face of labels; null where there are none
   */
  RasterPainter(
      BufferedImage image, Graphics2D g, Function<Colour.Solid, Color> colours, Typeface labels) {
    this(image, g, colours, labels, RasterPainter::decoded);
  }

  /**
   * @param pictures the pixels of stored pictures, treated, as their files have them
   */
  RasterPainter(
      BufferedImage image,
      Graphics2D g,
      Function<Colour.Solid, Color> colours,
      Typeface labels,
      Function<Pixels.Stored, BufferedImage> pictures) {
    this(image, g, colours, labels, pictures, UnaryOperator.identity());
  }

  /**
   * @param pictures the pixels of stored pictures as they look
   * @param seen how other pixels in sRGB look
   */
  RasterPainter(
      BufferedImage image,
      Graphics2D g,
      Function<Colour.Solid, Color> colours,
      Typeface labels,
      Function<Pixels.Stored, BufferedImage> pictures,
      UnaryOperator<BufferedImage> seen) {
    this.seen = seen;
    this.pictures = pictures;
    this.colours = colours;
    this.labels = labels;
    layers.push(new Layer(image, g, g.getTransform(), g.getClip()));
  }

  static BufferedImage decoded(Pixels.Stored stored) {
    return stored
        .treating()
        .onto(PictureReader.pixels(stored.picture(), MOST_PIXELS), stored.picture().orientation());
  }

  final Graphics2D g() {
    return layers.peek().g();
  }

  /** The pixels that are drawn on now. */
  final BufferedImage layer() {
    return layers.peek().image();
  }

  /** What is seen at a pixel so far, through the layers that are not laid over yet. */
  final int behind(int x, int y) {
    int colour = 0xffffff;
    for (Layer layer : (Iterable<Layer>) layers::descendingIterator) {
      int p = layer.image().getRGB(x, y);
      colour = LinearLight.mixed(colour, p & 0xffffff, (p >>> 24) / 255.0);
    }
    return colour;
  }

  @Override
  public void path(Mark.Path p) {
    if (p.fill() != null) {
      g().setPaint(paint(p.fill()));
      g().fill(p.shape());
    }
    if (p.pen() != null) {
      g().setPaint(paint(p.pen().fill()));
      g().setStroke(p.pen().stroke());
      g().draw(p.shape());
    }
  }

  final Paint paint(Fill fill) {
    return fill.accept(
        new Fill.Visitor<>() {
          @Override
          public Paint flat(Fill.Flat flat) {
            return colours.apply(flat.colour());
          }

          @Override
          public Paint linear(Fill.Linear l) {
            return l.x1() == l.x2() && l.y1() == l.y2()
                ? colours.apply(l.stops().get(0).colour())
                : new LinearGradientPaint(
                    new Point2D.Double(l.x1(), l.y1()),
                    new Point2D.Double(l.x2(), l.y2()),
                    fractions(l.stops()),
                    colours(l.stops()));
          }

          @Override
          public Paint radial(Fill.Radial r) {
            return new RadialGradientPaint(
                new Point2D.Double(r.x(), r.y()),
                (float) Math.max(r.radius(), 1e-3),
                fractions(r.stops()),
                colours(r.stops()));
          }
        });
  }

  /** Places of stops, each a hair after the last as AWT wants them. */
  private static float[] fractions(List<Fill.Stop> stops) {
    float[] out = new float[stops.size()];
    for (int i = 0; i < out.length; i++) {
      float least = i == 0 ? 0 : Math.nextUp(out[i - 1]);
      float most = 1 - (out.length - 1 - i) * 1e-6f;
      out[i] = Math.min(most, Math.max(least, (float) stops.get(i).at()));
    }
    return out;
  }

  private Color[] colours(List<Fill.Stop> stops) {
    return stops.stream().map(s -> colours.apply(s.colour())).toArray(Color[]::new);
  }

  @Override
  public void glyphs(Mark.Glyphs run) {
    if (run.fill() == null) {
      return;
    }
    for (int i = 0; i < run.glyphs().length; i++) {
      AffineTransform at = new AffineTransform(run.place());
      at.concatenate(run.glyph(i));
      Shape letter = at.createTransformedShape(run.face().outline(run.glyphs()[i]));
      g().setPaint(paint(run.fill()));
      g().fill(letter);
      if (run.outline() != null) {
        g().setPaint(paint(run.outline().fill()));
        g().setStroke(run.outline().stroke());
        g().draw(letter);
      }
    }
  }

  @Override
  public void label(Mark.Label label) {
    glyphs(Labels.glyphs(label, labels));
  }

  @Override
  public void image(Mark.Image i) {
    if (i.pixels() instanceof Pixels.Drawn drawn) {
      drawn(drawn, i.place());
      return;
    }
    AffineTransform t = i.place();
    BufferedImage pixels =
        i.pixels()
            .accept(
                new Pixels.Visitor<>() {
                  @Override
                  public BufferedImage stored(Pixels.Stored stored) {
                    t.concatenate(Orientation.upright(stored.picture().orientation()));
                    return pictures.apply(stored);
                  }

                  @Override
                  public BufferedImage made(Pixels.Made made) {
                    return seen.apply(made.image());
                  }

                  @Override
                  public BufferedImage drawn(Pixels.Drawn drawn) {
                    throw new IllegalStateException("it is drawn, not shown");
                  }
                });
    t.scale(1.0 / pixels.getWidth(), 1.0 / pixels.getHeight());
    AffineTransform there = g().getTransform();
    there.concatenate(t);
    // there is nothing finer in what the composer made
    Object how =
        i.pixels() instanceof Pixels.Made
            ? RenderingHints.VALUE_INTERPOLATION_BILINEAR
            : interpolation(Math.sqrt(Math.abs(there.getDeterminant())));
    g().setRenderingHint(RenderingHints.KEY_INTERPOLATION, how);
    g().drawImage(pixels, t, null);
    g().setRenderingHint(
            RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
  }

  /**
   * How pixels of a stored picture are drawn.
   *
   * @param larger pixels for one of its own
   */
  Object interpolation(double larger) {
    return RenderingHints.VALUE_INTERPOLATION_BICUBIC;
  }

  /** Draws the marks themselves, as fine as what they are drawn on. */
  private void drawn(Pixels.Drawn drawn, AffineTransform place) {
    AffineTransform before = g().getTransform();
    Shape clip = g().getClip();
    Rect box = drawn.box();
    g().transform(place);
    g().scale(1 / box.width(), 1 / box.height());
    g().translate(-box.x(), -box.y());
    g().clip(box.shape());
    paint(drawn.marks());
    g().setTransform(before);
    g().setClip(clip);
  }

  /** What draws a page of a PDF: as a screen shows it. */
  PDFRenderer pages(PDDocument document, PlacedPage page) throws IOException {
    PDFRenderer renderer = new PDFRenderer(document);
    renderer.setAnnotationsFilter(a -> false); // what lies on a page is not placed with it
    return renderer;
  }

  /** The pixels of a page of a PDF as they are laid. */
  BufferedImage paged(BufferedImage drawn) {
    return seen.apply(drawn);
  }

  @Override
  public void page(Mark.Page p) {
    // drawn by itself first: a page drawn straight onto the sheet clears what it lies on
    try (PDDocument document = Loader.loadPDF(p.page().file().all())) {
      AffineTransform there = g().getTransform();
      there.concatenate(p.place());
      PDPage page = document.getPage(p.page().page());
      boolean swap = page.getRotation() % 180 != 0;
      PDRectangle box = page.getCropBox();
      double width = swap ? box.getHeight() : box.getWidth();
      double height = swap ? box.getWidth() : box.getHeight();
      double scale =
          Math.max(
              Math.hypot(there.getScaleX(), there.getShearY()) / width,
              Math.hypot(there.getShearX(), there.getScaleY()) / height);
      double most = Math.sqrt(MOST_PAGE_PIXELS / (width * height));
      PDFRenderer renderer = pages(document, p.page());
      if (2 * scale > most) {
        part(renderer, p, width, height);
        return;
      }
      BufferedImage drawn =
          paged(renderer.renderImage(p.page().page(), (float) (2 * scale), ImageType.ARGB));
      AffineTransform before = g().getTransform();
      g().transform(p.place());
      g().scale(1.0 / drawn.getWidth(), 1.0 / drawn.getHeight());
      g().drawImage(drawn, null, null);
      g().setTransform(before);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** What of a large page lies on the pixels that are drawn on, and no more. */
  private void part(PDFRenderer renderer, Mark.Page p, double width, double height)
      throws IOException {
    BufferedImage own =
        new BufferedImage(layer().getWidth(), layer().getHeight(), BufferedImage.TYPE_INT_ARGB);
    Graphics2D on = ArtworkRaster.graphics(own);
    on.setBackground(new Color(0, true));
    on.setTransform(g().getTransform());
    on.transform(p.place());
    on.scale(1 / width, 1 / height);
    renderer.renderPageToGraphics(p.page().page(), on, 1);
    on.dispose();
    AffineTransform before = g().getTransform();
    g().setTransform(new AffineTransform());
    g().drawImage(paged(own), null, null);
    g().setTransform(before);
  }

  @Override
  public void tiled(Mark.Tiled t) {
    AffineTransform before = g().getTransform();
    Shape clip = g().getClip();
    g().clip(t.area());
    g().transform(t.lattice().toSheet());
    AffineTransform lattice = g().getTransform();
    for (AffineTransform place : t.places()) {
      g().setTransform(lattice);
      g().transform(place);
      paint(t.motif());
    }
    g().setTransform(before);
    g().setClip(clip);
  }

  @Override
  public void begin(Mark.Group group) {
    Effects e = group.effects();
    Layer under = layers.peek();
    AffineTransform before = g().getTransform();
    Shape clip = g().getClip();
    if (e.isApart()) {
      BufferedImage image =
          new BufferedImage(
              under.image().getWidth(), under.image().getHeight(), BufferedImage.TYPE_INT_ARGB);
      Graphics2D g = ArtworkRaster.graphics(image);
      g.setTransform(before);
      g.setClip(clip);
      layers.push(new Layer(image, g, before, clip));
    } else {
      layers.push(new Layer(under.image(), under.g(), before, clip));
    }
    g().transform(e.transform());
    if (e.clip() != null) {
      g().clip(e.clip());
    }
  }

  @Override
  public void end(Mark.Group group) {
    Effects e = group.effects();
    if (!e.isApart()) {
      Layer done = layers.pop();
      done.g().setTransform(done.before());
      done.g().setClip(done.clip());
      return;
    }
    BufferedImage mask = e.mask().isEmpty() ? null : mask(e.mask());
    Layer done = layers.pop();
    done.g().dispose();
    Layering.lay(
        done.image(),
        layers.peek().image(),
        mask,
        e.opacity(),
        e.blend() == Appearance.Blend.MULTIPLY);
  }

  private BufferedImage mask(List<Mark> marks) {
    BufferedImage under = layers.peek().image();
    BufferedImage image =
        new BufferedImage(under.getWidth(), under.getHeight(), BufferedImage.TYPE_INT_RGB);
    Graphics2D g = ArtworkRaster.graphics(image);
    g.setTransform(layers.peek().g().getTransform());
    new RasterPainter(image, g, c -> new Color(c.onScreen()), labels).paint(marks);
    g.dispose();
    return image;
  }
}
