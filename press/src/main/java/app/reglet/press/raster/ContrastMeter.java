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
import java.util.Set;
import java.util.function.Function;

/**
 * Measures how words stand out as a reader sees them, by drawing the cover and comparing at every
 * pixel of a letter its colour with what was there before. What lies in layers that are laid over
 * later counts as it is.
 *
 * <p>A thin line that runs behind a letter hides nothing of it: what lies behind is taken as the
 * mean of a small part of the type size round each pixel. Words with a shadow or a line round their
 * letters, their own or their group's, are measured along the edge of their letters, and each pixel
 * there by what serves it best: what would lie behind without shadow and line, or what is seen
 * right beside it with them. So their own shadow takes nothing from them, and a line of another
 * colour all round gives what it gives. (Our own judgement; WCAG 2.2 says how a ratio is counted,
 * not what lies behind a letter.)
 */
public final class ContrastMeter extends RasterPainter {
  private static final double MM_PER_INCH = 25.4;

  private static final double MOST_PIXELS = 2.5e6;

  /** A pixel belongs to a letter when so much of it does. */
  private static final int COVERED = 100;

  /** So much of the ink, and of what lies behind, may be worse. */
  private static final double LEFT_OUT = 1 / 50.0;

  /** What lies behind is the mean of so much of the type size each way. */
  private static final double ROUND = 0.12;

  /** Pieces with a shadow or a line round their letters. */
  private final Set<String> adorned;

  /** Whether what adorns them is left out of what is drawn, and they alone are measured. */
  private final boolean bare;

  /** Of the piece that is being drawn, and those it is in. */
  private final Deque<Mark.Group> groups = new ArrayDeque<>();

  private final Map<String, Ink> inks = new LinkedHashMap<>();

  /** What was measured of one piece. */
  private static final class Ink {
    /** Ratio, and luminance of what lies behind. */
    private final List<double[]> pixels = new ArrayList<>();

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

    void add(double[] ratio, int own) {
      pixels.add(ratio);
      red += own >> 16 & 0xff;
      green += own >> 8 & 0xff;
      blue += own & 0xff;
    }

    /** Each pixel as it is better told of: here, or in another measurement of the same letters. */
    void better(Ink other) {
      for (int i = 0; i < pixels.size(); i++) {
        if (other.pixels.get(i)[0] > pixels.get(i)[0]) {
          pixels.set(i, other.pixels.get(i));
        }
      }
    }

    private double[] sorted(int which) {
      double[] all = pixels.stream().mapToDouble(p -> p[which]).toArray();
      Arrays.sort(all);
      return all;
    }
  }

  private ContrastMeter(
      BufferedImage image,
      Graphics2D g,
      Function<Pixels.Stored, BufferedImage> pictures,
      Set<String> adorned,
      boolean bare) {
    super(image, g, c -> new Color(c.onScreen()), (Typeface) null, pictures);
    this.adorned = adorned;
    this.bare = bare;
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
    double ppi = Math.floor(Math.min(most, Math.sqrt(MOST_PIXELS / (across * down))));
    int w = (int) (across * ppi);
    int h = (int) (down * ppi);
    Adornment adornment = Adornment.of(artwork.marks());
    Map<String, Ink> inks = drawn(artwork.marks(), w, h, ppi, pictures, adornment.adorned(), false);
    if (!adornment.adorned().isEmpty()) {
      drawn(adornment.without(), w, h, ppi, pictures, adornment.adorned(), true)
          .forEach((piece, ink) -> inks.get(piece).better(ink));
    }
    List<Seen> seen = new ArrayList<>();
    inks.forEach((piece, ink) -> seen.add(ink.seen(piece)));
    return seen;
  }

  private static Map<String, Ink> drawn(
      List<? extends Mark> marks,
      int w,
      int h,
      double ppi,
      Function<Pixels.Stored, BufferedImage> pictures,
      Set<String> adorned,
      boolean bare) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = ArtworkRaster.graphics(image);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, w, h);
    g.scale(ppi / MM_PER_INCH, ppi / MM_PER_INCH);
    ContrastMeter meter = new ContrastMeter(image, g, pictures, adorned, bare);
    meter.paint(marks);
    g.dispose();
    return meter.inks;
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
    if (run.fill() != null && (!bare || adorned.contains(piece()))) {
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
    Rectangle area = seen.getBounds();
    area.grow(1, 1); // what is right beside the letters
    area = area.intersection(new Rectangle(0, 0, layer().getWidth(), layer().getHeight()));
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
    AffineTransform letter = new AffineTransform(toPixels);
    letter.concatenate(run.place());
    double em = run.size() * Math.sqrt(Math.abs(letter.getDeterminant()));
    Ink ink = inks.computeIfAbsent(piece(), p -> new Ink());
    if (adorned.contains(piece())) {
      alongEdges(ink, mask, colour, area, (int) (ROUND * em));
    } else {
      Behind behind = behind(area, (int) (ROUND * em));
      for (int y = 0; y < area.height; y++) {
        for (int x = 0; x < area.width; x++) {
          if (isLetter(mask, x, y)) {
            add(ink, colour.getRGB(x, y), behind.at(x, y), opacity());
          }
        }
      }
    }
    if (ink.pixels.isEmpty()) {
      inks.remove(piece());
    }
  }

  private static boolean isLetter(BufferedImage mask, int x, int y) {
    return mask.getRaster().getSample(x, y, 0) >= COVERED;
  }

  /** The pixels of letters that have another beside them that is of none. */
  private void alongEdges(
      Ink ink, BufferedImage mask, BufferedImage colour, Rectangle area, int round) {
    Behind behind = behind(area, bare ? round : 0);
    double opacity = opacity();
    for (int y = 0; y < area.height; y++) {
      for (int x = 0; x < area.width; x++) {
        if (isLetter(mask, x, y)) {
          double[] best = null;
          for (int ny = Math.max(0, y - 1); ny <= Math.min(area.height - 1, y + 1); ny++) {
            for (int nx = Math.max(0, x - 1); nx <= Math.min(area.width - 1, x + 1); nx++) {
              if (!isLetter(mask, nx, ny)) {
                int beside = bare ? behind.at(x, y) : behind.at(nx, ny);
                double[] ratio = ratio(colour.getRGB(x, y), beside, opacity);
                best = best == null || ratio[0] > best[0] ? ratio : best;
              }
            }
          }
          if (best != null) {
            ink.add(best, colour.getRGB(x, y));
          }
        }
      }
    }
  }

  /** What is seen so far in an area, each pixel as the mean of those round it. */
  private Behind behind(Rectangle area, int round) {
    Rectangle wide = new Rectangle(area);
    wide.grow(round, round);
    wide = wide.intersection(new Rectangle(0, 0, layer().getWidth(), layer().getHeight()));
    int[] rgb = new int[wide.width * wide.height];
    for (int y = 0; y < wide.height; y++) {
      for (int x = 0; x < wide.width; x++) {
        rgb[y * wide.width + x] = behind(wide.x + x, wide.y + y);
      }
    }
    return new Behind(rgb, wide, area, round);
  }

  private static double[] ratio(int own, int behind, double opacity) {
    int seen = LinearLight.mixed(behind, own, opacity);
    double l = LinearLight.luminance(behind);
    return new double[] {Contrast.ofLuminances(LinearLight.luminance(seen), l), l};
  }

  private static void add(Ink ink, int own, int behind, double opacity) {
    ink.add(ratio(own, behind, opacity), own);
  }
}
