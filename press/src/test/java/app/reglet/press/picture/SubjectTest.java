package app.reglet.press.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Figure.Free.Corner;
import app.reglet.core.edit.CutMarks;
import app.reglet.core.edit.CutMarks.Mark;
import app.reglet.testing.Extent;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The proposal of a cut-out on drawn scenes whose outlines are known, and outlines by hand. */
public class SubjectTest {
  private static final int W = 1600;
  private static final int H = 1250;

  /** A scene: what is painted, and the outline of its subject. */
  private interface Scene {
    Shape paint(Graphics2D g, Random random);
  }

  private static Area ellipse(double x, double y, double rx, double ry) {
    return new Area(new Ellipse2D.Double(x - rx, y - ry, 2 * rx, 2 * ry));
  }

  private static Area union(Area... all) {
    Area u = new Area();
    for (Area a : all) {
      u.add(a);
    }
    return u;
  }

  private static Area line(double width, double... xy) {
    Path2D p = new Path2D.Double();
    p.moveTo(xy[0], xy[1]);
    for (int i = 2; i < xy.length; i += 2) {
      p.lineTo(xy[i], xy[i + 1]);
    }
    return new Area(
        new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
            .createStrokedShape(p));
  }

  private static void slope(Graphics2D g, int top, int bottom) {
    g.setPaint(new GradientPaint(0, 0, new Color(top), 200, H, new Color(bottom)));
    g.fillRect(0, 0, W, H);
  }

  /** Light and dark specks over all that is painted. */
  private static void grain(BufferedImage image, Random random, int amount) {
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        int n = random.nextInt(2 * amount + 1) - amount;
        int c = image.getRGB(x, y);
        int out = 0;
        for (int shift = 0; shift < 24; shift += 8) {
          out |= Math.max(0, Math.min(255, (c >> shift & 0xff) + n)) << shift;
        }
        image.setRGB(x, y, out);
      }
    }
  }

  private static Shape fill(Graphics2D g, Shape shape, int from, int to) {
    Rectangle2D b = shape.getBounds2D();
    g.setPaint(
        new GradientPaint(
            (float) b.getX(),
            (float) b.getY(),
            new Color(from),
            (float) b.getMaxX(),
            (float) b.getMaxY(),
            new Color(to)));
    g.fill(shape);
    return shape;
  }

  private static Area star(double x, double y, int points, double r, double inner) {
    Path2D p = new Path2D.Double();
    for (int i = 0; i < 2 * points; i++) {
      double a = Math.PI * i / points;
      double q = i % 2 == 0 ? r : inner;
      if (i == 0) {
        p.moveTo(x + q * Math.sin(a), y - q * Math.cos(a));
      } else {
        p.lineTo(x + q * Math.sin(a), y - q * Math.cos(a));
      }
    }
    p.closePath();
    return new Area(p);
  }

  @DataProvider
  Object[][] scenes() {
    Object[][] scenes = {
      {
        "a dark figure before a pale sky",
        6,
        (Scene)
            (g, r) -> {
              slope(g, 0xe8eef2, 0xb9c8cf);
              return fill(
                  g,
                  union(ellipse(800, 330, 120, 150), ellipse(800, 800, 260, 340)),
                  0x2a2330,
                  0x4a2f2a);
            }
      },
      {
        "a red fruit on gray",
        10,
        (Scene)
            (g, r) -> {
              slope(g, 0x9aa0a3, 0x7d8386);
              Area fruit = union(ellipse(760, 680, 300, 280), ellipse(930, 660, 260, 270));
              fill(g, fruit, 0xd8432f, 0x8e1f1c);
              Area leaf = ellipse(960, 340, 130, 55);
              fill(g, leaf, 0x4f8a3c, 0x2f5a26);
              Area stem = line(26, 850, 420, 880, 330);
              fill(g, stem, 0x5a4025, 0x3a2a18);
              return union(fruit, leaf, stem);
            }
      },
      {
        "a bird against the evening",
        5,
        (Scene)
            (g, r) -> {
              slope(g, 0x2c3f66, 0xe79a52);
              return fill(
                  g,
                  union(
                      ellipse(780, 640, 300, 140),
                      ellipse(1060, 540, 100, 90),
                      line(60, 600, 600, 380, 430)),
                  0x14161c,
                  0x262126);
            }
      },
      {
        "a bottle before boards",
        6,
        (Scene)
            (g, r) -> {
              for (int x = 0; x < W; x += 90) {
                g.setColor(new Color(0xb98d5a - 0x060504 * (x / 90 % 5)));
                g.fillRect(x, 0, 90, H);
              }
              return fill(
                  g,
                  union(
                      new Area(new Rectangle2D.Double(640, 420, 320, 640)),
                      new Area(new Rectangle2D.Double(740, 180, 120, 260))),
                  0x1f6a4d,
                  0x0f3a2c);
            }
      },
      {
        "a figure that stands on the lower edge",
        6,
        (Scene)
            (g, r) -> {
              slope(g, 0xd9d2c0, 0xc2b79f);
              Area all =
                  union(
                      ellipse(820, 420, 140, 170),
                      new Area(new Rectangle2D.Double(560, 600, 520, 650)));
              return fill(g, all, 0x27455e, 0x152736);
            }
      },
      {
        "a flower of many colours",
        4,
        (Scene)
            (g, r) -> {
              slope(g, 0x3c5a35, 0x28431f);
              Area petals = star(800, 620, 9, 420, 230);
              fill(g, petals, 0xf3c74b, 0xe2662f);
              Area heart = ellipse(800, 620, 150, 150);
              fill(g, heart, 0x7a3f6c, 0x4a2342);
              return union(petals, heart);
            }
      },
      {
        "a pale sail on a dark sea, with grain",
        14,
        (Scene)
            (g, r) -> {
              slope(g, 0x1d2a38, 0x0f1820);
              Path2D sail = new Path2D.Double();
              sail.moveTo(820, 160);
              sail.quadTo(1300, 640, 1180, 960);
              sail.lineTo(560, 960);
              sail.closePath();
              return fill(g, sail, 0xf2ead6, 0xcdbf9f);
            }
      },
      {
        "a ring with a hole",
        5,
        (Scene)
            (g, r) -> {
              slope(g, 0xcfd8dc, 0xeef1f2);
              Area ring = ellipse(800, 630, 380, 380);
              ring.subtract(ellipse(800, 630, 190, 190));
              return fill(g, ring, 0xc98f2b, 0x8a5a14);
            }
      },
      {
        "a gray stone on green, not far from it",
        5,
        (Scene)
            (g, r) -> {
              slope(g, 0x6f8a6a, 0x5d7759);
              return fill(
                  g,
                  union(ellipse(760, 700, 360, 260), ellipse(960, 620, 240, 220)),
                  0x8d8a86,
                  0x6c6966);
            }
      },
      {
        "a boat of three colours on sea and sky",
        4,
        (Scene)
            (g, r) -> {
              g.setColor(new Color(0xa9c6d8));
              g.fillRect(0, 0, W, 720);
              g.setColor(new Color(0x2f5d78));
              g.fillRect(0, 720, W, H - 720);
              Area hull = new Area(new Rectangle2D.Double(480, 760, 640, 170));
              fill(g, hull, 0x8c2f22, 0x5d1d15);
              Path2D sail = new Path2D.Double();
              sail.moveTo(780, 180);
              sail.lineTo(780, 740);
              sail.lineTo(480, 740);
              sail.closePath();
              fill(g, sail, 0xf6efe0, 0xe0d4ba);
              Area mast = new Area(new Rectangle2D.Double(780, 160, 28, 610));
              fill(g, mast, 0x3a2a1c, 0x3a2a1c);
              return union(hull, new Area(sail), mast);
            }
      },
      {
        "a lamp far to the left",
        5,
        (Scene)
            (g, r) -> {
              slope(g, 0x20242b, 0x31363d);
              return fill(
                  g,
                  union(
                      ellipse(470, 480, 230, 230),
                      new Area(new Rectangle2D.Double(420, 690, 100, 330))),
                  0xf5d873,
                  0xc98f2b);
            }
      },
      {
        "a wader on thin legs",
        4,
        (Scene)
            (g, r) -> {
              slope(g, 0xb7c9cf, 0x8fa6ab);
              Area bird =
                  union(
                      ellipse(800, 560, 300, 170),
                      ellipse(1060, 380, 90, 80),
                      line(70, 960, 480, 1040, 400),
                      line(20, 1120, 390, 1290, 430),
                      line(24, 740, 700, 720, 1040),
                      line(24, 880, 700, 900, 1040));
              return fill(g, bird, 0x6a4a33, 0x2f2119);
            }
      },
    };
    return Extent.of(4, scenes);
  }

  private static BufferedImage drawn(Scene scene, int noise, Shape[] outline) {
    BufferedImage image = new BufferedImage(W / 2, H / 2, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.scale(0.5, 0.5);
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    Random random = new Random(7);
    outline[0] = scene.paint(g, random);
    g.dispose();
    grain(image, random, noise);
    return image;
  }

  /** What both cover by what either does. */
  private static double overlap(List<CutOut.Contour> contours, Shape outline) {
    int w = W / 4;
    int h = H / 4;
    BufferedImage a = mask(Contours.path(contours), AffineTransform.getScaleInstance(w, h), w, h);
    BufferedImage b = mask(outline, AffineTransform.getScaleInstance(0.25, 0.25), w, h);
    int both = 0;
    int either = 0;
    for (int i = 0; i < w * h; i++) {
      boolean p = (a.getRGB(i % w, i / w) & 0xff) > 127;
      boolean q = (b.getRGB(i % w, i / w) & 0xff) > 127;
      both += p && q ? 1 : 0;
      either += p || q ? 1 : 0;
    }
    return both / (double) either;
  }

  private static BufferedImage mask(Shape shape, AffineTransform to, int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_BYTE_GRAY);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(Color.WHITE);
    g.fill(to.createTransformedShape(shape));
    g.dispose();
    return image;
  }

  /** Nobody says anything; the outline comes from colours and edges alone. */
  @Test(dataProvider = "scenes")
  public void theProposalCoversTheSubject(String name, int noise, Scene scene) {
    Shape[] outline = new Shape[1];
    BufferedImage image = drawn(scene, noise, outline);
    List<CutOut.Contour> found = Subject.proposed(image, CutMarks.NONE);
    assertThat(overlap(found, outline[0])).as(name).isGreaterThan(0.9);
  }

  private static Mark brush(boolean stays, double radius, double... xy) {
    List<Corner> points = new java.util.ArrayList<>();
    for (int i = 0; i < xy.length; i += 2) {
      points.add(new Corner(xy[i], xy[i + 1]));
    }
    return new Mark(stays, radius, points);
  }

  /** Of two things alike one is meant: a stroke over the other takes it out. */
  @Test
  public void aStrokeSaysWhichOfTwoIsMeant() {
    BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    slope(g, 0xdfe6ea, 0xc3ccd1);
    Area one = ellipse(500, 640, 230, 300);
    Area two = ellipse(1120, 640, 230, 300);
    fill(g, one, 0xb03a2e, 0x7c2018);
    fill(g, two, 0xb03a2e, 0x7c2018);
    g.dispose();
    CutMarks marks =
        new CutMarks(
            List.of(
                brush(true, 0.03, 0.3, 0.4, 0.32, 0.6), brush(false, 0.12, 0.7, 0.35, 0.7, 0.65)));
    List<CutOut.Contour> found = Subject.proposed(image, marks);
    assertThat(overlap(found, one)).isGreaterThan(0.9);
  }

  @Test
  public void anOutlineByHandIsKeptAsItWasDrawnAndPaintedInto() {
    Mark square = brush(true, 0, 0.2, 0.2, 0.8, 0.2, 0.8, 0.8, 0.2, 0.8);
    List<CutOut.Contour> drawn = Subject.painted(W, H, List.of(), new CutMarks(List.of(square)));
    assertThat(drawn).hasSize(1);
    assertThat(overlap(drawn, new Rectangle2D.Double(0.2 * W, 0.2 * H, 0.6 * W, 0.6 * H)))
        .isGreaterThan(0.99);
    List<CutOut.Contour> holed =
        Subject.painted(W, H, drawn, new CutMarks(List.of(brush(false, 0.1, 0.5, 0.5))));
    assertThat(holed).hasSize(2);
    Area left = new Area(new Rectangle2D.Double(0.2 * W, 0.2 * H, 0.6 * W, 0.6 * H));
    left.subtract(ellipse(0.5 * W, 0.5 * H, 0.1 * W, 0.1 * W));
    assertThat(overlap(holed, left)).isGreaterThan(0.99);
  }

  @Test
  public void whatTakesOutFirstLeavesTheRest() {
    List<CutOut.Contour> left =
        Subject.painted(W, H, List.of(), new CutMarks(List.of(brush(false, 0.1, 0.5, 0.5))));
    Area rest = new Area(new Rectangle2D.Double(0, 0, W, H));
    rest.subtract(ellipse(0.5 * W, 0.5 * H, 0.1 * W, 0.1 * W));
    assertThat(overlap(left, rest)).isGreaterThan(0.99);
  }

  @Test
  public void anOutlineOfNothingIsRefused() {
    Mark all = brush(false, 0.5, 0, 0.5, 1, 0.5);
    assertThatThrownBy(() -> Subject.painted(100, 100, List.of(), new CutMarks(List.of(all))))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("leave nothing");
  }

  @DataProvider
  Object[][] hopeless() {
    BufferedImage plain = new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB);
    BufferedImage wide = new BufferedImage(20_000, 10, BufferedImage.TYPE_INT_RGB);
    BufferedImage dot = new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB);
    return new Object[][] {{plain}, {wide}, {dot}};
  }

  @Test(dataProvider = "hopeless")
  public void aPictureOfOneColourIsToldAsSuch(BufferedImage image) {
    assertThatThrownBy(() -> Subject.proposed(image, CutMarks.NONE))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("one colour");
  }
}
