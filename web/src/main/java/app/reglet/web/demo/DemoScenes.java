package app.reglet.web.demo;

import app.reglet.press.picture.ScreenPicture;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RadialGradientPaint;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;

/** More pictures of the demo, drawn by code. */
final class DemoScenes {
  private static final float QUALITY = 0.9f;

  private DemoScenes() {}

  private static Graphics2D graphics(BufferedImage image) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    return g;
  }

  private static byte[] jpeg(BufferedImage image) {
    try {
      return ScreenPicture.jpeg(image, QUALITY);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A plate from above: a smoked fish on samphire, a lemon, salt. */
  static byte[] plate(int side) {
    BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = graphics(image);
    Random random = new Random(90);
    g.scale(side / 1000.0, side / 1000.0);
    boards(g, random);
    g.setColor(new Color(0, 0, 0, 60));
    g.fill(new Ellipse2D.Double(72, 86, 880, 880));
    disc(g, 500, 500, 440, 0xf3ede0, 0xd8cdb8);
    disc(g, 500, 500, 330, 0xe9e0cd, 0xf6f1e6);
    for (int i = 0; i < 170; i++) {
      double a = random.nextDouble() * 2 * Math.PI;
      double r = 150 + random.nextGaussian() * 45;
      stalk(
          g,
          500 + Math.cos(a) * r * 1.35,
          500 + Math.sin(a) * r * 0.95,
          random.nextDouble() * 2 * Math.PI,
          60 + random.nextDouble() * 70,
          random);
    }
    fish(g, random);
    lemon(g, 300, 690, 0.4);
    lemon(g, 380, 735, -0.3);
    g.setColor(new Color(255, 255, 255, 220));
    for (int i = 0; i < 160; i++) {
      double x = 500 + random.nextGaussian() * 210;
      double y = 500 + random.nextGaussian() * 180;
      double s = 2 + random.nextDouble() * 5;
      g.fill(new java.awt.geom.Rectangle2D.Double(x, y, s, s));
    }
    g.dispose();
    return jpeg(image);
  }

  private static void boards(Graphics2D g, Random random) {
    for (int i = 0; i < 7; i++) {
      int v = random.nextInt(14);
      g.setColor(new Color(0x3a + v, 0x4b + v, 0x4f + v));
      g.fillRect(0, i * 145, 1000, 145);
      g.setColor(new Color(0, 0, 0, 80));
      g.fillRect(0, i * 145, 1000, 4);
      for (int k = 0; k < 30; k++) {
        g.setColor(new Color(255, 255, 255, 8 + random.nextInt(10)));
        int y = i * 145 + random.nextInt(140);
        g.fillRect(random.nextInt(800), y, 100 + random.nextInt(400), 2);
      }
    }
  }

  private static void disc(Graphics2D g, double x, double y, double r, int inner, int outer) {
    g.setPaint(
        new RadialGradientPaint(
            (float) x,
            (float) y,
            (float) r,
            new float[] {0.4f, 1},
            new Color[] {new Color(inner), new Color(outer)}));
    g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
  }

  private static void stalk(
      Graphics2D g, double x, double y, double angle, double length, Random random) {
    int v = random.nextInt(50);
    g.setColor(new Color(0x3f + v, 0x6f + v, 0x34 + v / 2));
    g.setStroke(new BasicStroke(9, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    Path2D p = new Path2D.Double();
    p.moveTo(x, y);
    double bend = (random.nextDouble() - 0.5) * 40;
    double tx = x + Math.cos(angle) * length;
    double ty = y + Math.sin(angle) * length;
    p.quadTo((x + tx) / 2 - Math.sin(angle) * bend, (y + ty) / 2 + Math.cos(angle) * bend, tx, ty);
    g.draw(p);
    g.setStroke(new BasicStroke(6, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    double side = random.nextBoolean() ? 0.7 : -0.7;
    double mx = (x + tx) / 2;
    double my = (y + ty) / 2;
    g.draw(
        new java.awt.geom.Line2D.Double(
            mx,
            my,
            mx + Math.cos(angle + side) * length * 0.35,
            my + Math.sin(angle + side) * length * 0.35));
  }

  private static void fish(Graphics2D g, Random random) {
    AffineTransform before = g.getTransform();
    g.rotate(-0.38, 500, 500);
    Path2D body = new Path2D.Double();
    body.moveTo(215, 505);
    body.curveTo(300, 385, 560, 380, 700, 478);
    body.lineTo(800, 410);
    body.curveTo(780, 470, 780, 540, 805, 600);
    body.lineTo(700, 530);
    body.curveTo(560, 630, 300, 625, 215, 505);
    body.closePath();
    g.setColor(new Color(0, 0, 0, 70));
    g.fill(AffineTransform.getTranslateInstance(6, 14).createTransformedShape(body));
    g.setPaint(new GradientPaint(0, 390, new Color(0x8a5a22), 0, 620, new Color(0xe0b560)));
    g.fill(body);
    g.setClip(body);
    for (int row = 0; row < 9; row++) {
      for (int i = 0; i < 24; i++) {
        double x = 330 + i * 18 + row % 2 * 9;
        double y = 400 + row * 24;
        g.setColor(new Color(0x5a, 0x36, 0x10, 46 + random.nextInt(30)));
        g.setStroke(new BasicStroke(2.4f));
        g.draw(new java.awt.geom.Arc2D.Double(x, y, 24, 24, 100, 160, 0));
      }
    }
    g.setClip(null);
    g.setColor(new Color(0x5a3610));
    g.setStroke(new BasicStroke(5));
    g.draw(new java.awt.geom.Arc2D.Double(270, 430, 70, 150, 290, 140, 0));
    g.setColor(new Color(0xf4e6c4));
    g.fill(new Ellipse2D.Double(252, 470, 26, 26));
    g.setColor(new Color(0x1c140a));
    g.fill(new Ellipse2D.Double(258, 476, 14, 14));
    g.setTransform(before);
  }

  private static void lemon(Graphics2D g, double x, double y, double angle) {
    AffineTransform before = g.getTransform();
    g.rotate(angle, x, y);
    disc(g, x, y, 70, 0xf6d64a, 0xe8b92c);
    disc(g, x, y, 60, 0xfbf0b4, 0xf8e48a);
    g.setColor(new Color(0xfdf8dc));
    g.setStroke(new BasicStroke(5));
    for (int i = 0; i < 5; i++) {
      double a = Math.PI * i / 5;
      g.draw(
          new java.awt.geom.Line2D.Double(
              x - Math.cos(a) * 56,
              y - Math.sin(a) * 56,
              x + Math.cos(a) * 56,
              y + Math.sin(a) * 56));
    }
    g.setTransform(before);
  }

  /** Waders on a wet shore in the morning, far and near, each over its own likeness. */
  static byte[] waders(int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = graphics(image);
    Random random = new Random(41);
    g.setPaint(new GradientPaint(0, 0, new Color(0x2f4d63), 0, h * 0.45f, new Color(0xf2b98a)));
    g.fillRect(0, 0, w, h);
    g.setPaint(new GradientPaint(0, h * 0.45f, new Color(0xe6ab80), 0, h, new Color(0x2d4a5c)));
    g.fillRect(0, (int) (h * 0.45), w, h);
    for (int i = 0; i < 90; i++) {
      double t = random.nextDouble();
      double y = h * (0.46 + 0.52 * t * t);
      double length = w * (0.04 + random.nextDouble() * 0.2);
      g.setColor(new Color(255, 250, 238, 26 + random.nextInt(40)));
      g.fill(
          new Ellipse2D.Double(
              random.nextDouble() * w - length / 2, y, length, h * 0.004 * (1 + 3 * t)));
    }
    double[][] birds = {
      {0.05, 0.52, 0.05, 1},
      {0.13, 0.53, 0.055, -1},
      {0.2, 0.515, 0.045, 1},
      {0.33, 0.55, 0.07, 1},
      {0.41, 0.535, 0.06, -1},
      {0.53, 0.56, 0.075, 1},
      {0.9, 0.54, 0.06, -1},
      {0.97, 0.525, 0.05, 1},
      {0.28, 0.68, 0.15, -1},
      {0.62, 0.66, 0.13, 1},
      {0.1, 0.74, 0.18, 1},
      {0.77, 0.82, 0.3, -1}
    };
    for (double[] b : birds) {
      double tall = b[2] * h;
      int depth = (int) Math.max(0, 150 - tall / h * 700);
      Color colour = new Color(0x23 + depth, 0x2f + depth * 9 / 10, 0x38 + depth * 8 / 10);
      wader(
          g,
          b[0] * w,
          b[1] * h,
          tall,
          b[3],
          -0.55,
          new Color(colour.getRed(), colour.getGreen(), colour.getBlue(), 70));
      wader(g, b[0] * w, b[1] * h, tall, b[3], 1, colour);
    }
    g.dispose();
    return jpeg(image);
  }

  /**
   * A wader that stands at a point.
   *
   * @param tall from its feet to its back
   * @param way it looks, 1 to the right
   * @param up 1, or less than 0 for its likeness in the water
   */
  private static void wader(
      Graphics2D g, double x, double y, double tall, double way, double up, Color colour) {
    AffineTransform before = g.getTransform();
    g.translate(x, y);
    g.scale(way * tall / 100, up * tall / 100);
    g.setColor(colour);
    g.setStroke(new BasicStroke(2.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    Path2D legs = new Path2D.Double();
    legs.moveTo(-6, -52);
    legs.lineTo(-2, -26);
    legs.lineTo(-8, 0);
    legs.moveTo(8, -52);
    legs.lineTo(14, -28);
    legs.lineTo(10, 0);
    g.draw(legs);
    Path2D body = new Path2D.Double();
    body.moveTo(-52, -62);
    body.curveTo(-30, -96, 20, -98, 34, -84);
    body.curveTo(40, -98, 40, -112, 52, -118);
    body.curveTo(64, -122, 72, -112, 68, -106);
    body.curveTo(90, -100, 104, -90, 112, -82);
    body.curveTo(98, -88, 80, -94, 66, -98);
    body.curveTo(56, -92, 56, -74, 40, -58);
    body.curveTo(20, -42, -20, -46, -52, -62);
    body.closePath();
    g.fill(body);
    g.setTransform(before);
  }
}
