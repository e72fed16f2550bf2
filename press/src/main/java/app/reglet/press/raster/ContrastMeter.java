package app.reglet.press.raster;

import app.reglet.core.check.Contrast;
import app.reglet.core.check.Seen;
import app.reglet.core.design.LinearLight;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Measures how words stand out, by drawing the cover and comparing at every pixel of a letter its
 * colour with what was there before. What lies in layers that are laid over later counts as it is.
 */
public final class ContrastMeter extends RasterPainter {
  private static final double MM_PER_INCH = 25.4;

  private static final double MOST_PIXELS = 2.5e6;

  /** A pixel belongs to a letter when so much of it does. */
  private static final int COVERED = 100;

  /** So much of the ink, and of what lies behind, may be worse. */
  private static final double LEFT_OUT = 1 / 50.0;

  /** Of the piece that is being drawn, and those it is in. */
  private final Deque<Mark.Group> groups = new ArrayDeque<>();

  private final Map<String, Ink> inks = new LinkedHashMap<>();

  /** What was measured of one piece. */
  private static final class Ink {
    private final List<double[]> pixels = new ArrayList<>(); // ratio, luminance behind
    private double red;
    private double green;
    private double blue;

    Seen seen(String piece) {
      int n = pixels.size();
      double[] ratios = sorted(0);
      double[] behind = sorted(1);
      int edge = (int) (n * LEFT_OUT);
      return new Seen(
          piece,
          ratios[edge],
          ratios[n / 2],
          behind[edge],
          behind[n - 1 - edge],
          (int) Math.round(red / n) << 16
              | (int) Math.round(green / n) << 8
              | (int) Math.round(blue / n));
    }

    private double[] sorted(int which) {
      double[] all = pixels.stream().mapToDouble(p -> p[which]).toArray();
      Arrays.sort(all);
      return all;
    }
  }

  private ContrastMeter(
      BufferedImage image, Graphics2D g, Function<Pixels.Stored, BufferedImage> pictures) {
    super(image, g, c -> new Color(c.onScreen()), (Typeface) null, pictures);
  }

  /**
   * Measures all words of a cover that have ink.
   *
   * @param most pixels per inch at which it is drawn; a large sheet with fewer
   * @param pictures the pixels of stored pictures, treated, as they are stored or upright
   */
  public static List<Seen> measure(
      Artwork artwork, int most, Function<Pixels.Stored, BufferedImage> pictures) {
    double across = artwork.wrap().sheet().width().toMm() / MM_PER_INCH;
    double down = artwork.wrap().sheet().height().toMm() / MM_PER_INCH;
    int ppi = (int) Math.min(most, Math.sqrt(MOST_PIXELS / (across * down)));
    BufferedImage image =
        new BufferedImage(
            (int) artwork.wrap().sheet().width().toPixels(ppi),
            (int) artwork.wrap().sheet().height().toPixels(ppi),
            BufferedImage.TYPE_INT_RGB);
    Graphics2D g = ArtworkRaster.graphics(image);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    ContrastMeter meter = new ContrastMeter(image, g, pictures);
    meter.paint(artwork.marks());
    g.dispose();
    List<Seen> seen = new ArrayList<>();
    meter.inks.forEach((piece, ink) -> seen.add(ink.seen(piece)));
    return seen;
  }

  @Override
  public void begin(Mark.Group group) {
    groups.push(group);
    super.begin(group);
  }

  @Override
  public void end(Mark.Group group) {
    super.end(group);
    groups.pop();
  }

  private String piece() {
    return groups.stream().map(Mark.Group::name).filter(n -> !n.isEmpty()).findFirst().orElse("");
  }

  private double opacity() {
    return groups.stream().mapToDouble(m -> m.effects().opacity()).reduce(1, (a, b) -> a * b);
  }

  @Override
  public void glyphs(Mark.Glyphs run) {
    if (run.fill() != null) {
      measure(run);
    }
    super.glyphs(run);
  }

  private void measure(Mark.Glyphs run) {
    Path2D letters = new Path2D.Double();
    for (int i = 0; i < run.glyphs().length; i++) {
      AffineTransform at = new AffineTransform(run.place());
      at.concatenate(run.glyph(i));
      letters.append(at.createTransformedShape(run.face().outline(run.glyphs()[i])), false);
    }
    AffineTransform toPixels = g().getTransform();
    Shape seen = toPixels.createTransformedShape(letters);
    Rectangle area =
        seen.getBounds().intersection(new Rectangle(0, 0, layer().getWidth(), layer().getHeight()));
    Shape clip = g().getClip();
    if (clip != null) {
      area = area.intersection(toPixels.createTransformedShape(clip).getBounds());
    }
    if (area.isEmpty()) {
      return;
    }
    BufferedImage mask = new BufferedImage(area.width, area.height, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D m = ArtworkRaster.graphics(mask);
    m.translate(-area.x, -area.y);
    if (clip != null) {
      m.setClip(new Area(toPixels.createTransformedShape(clip)));
    }
    m.setColor(Color.WHITE);
    m.fill(seen);
    m.dispose();
    BufferedImage colour = new BufferedImage(area.width, area.height, BufferedImage.TYPE_INT_RGB);
    Graphics2D c = colour.createGraphics();
    c.translate(-area.x, -area.y);
    c.transform(toPixels);
    c.setPaint(paint(run.fill()));
    Rectangle2D all = letters.getBounds2D();
    c.fill(
        new Rectangle2D.Double(
            all.getX() - 1, all.getY() - 1, all.getWidth() + 2, all.getHeight() + 2));
    c.dispose();
    Ink ink = inks.computeIfAbsent(piece(), p -> new Ink());
    double opacity = opacity();
    for (int y = 0; y < area.height; y++) {
      for (int x = 0; x < area.width; x++) {
        if (mask.getRaster().getSample(x, y, 0) >= COVERED) {
          add(ink, colour.getRGB(x, y), behind(area.x + x, area.y + y), opacity);
        }
      }
    }
    if (ink.pixels.isEmpty()) {
      inks.remove(piece());
    }
  }

  private static void add(Ink ink, int own, int behind, double opacity) {
    int seen = LinearLight.mixed(behind, own, opacity);
    double l = LinearLight.luminance(behind);
    ink.pixels.add(new double[] {Contrast.ofLuminances(LinearLight.luminance(seen), l), l});
    ink.red += own >> 16 & 0xff;
    ink.green += own >> 8 & 0xff;
    ink.blue += own & 0xff;
  }
}
