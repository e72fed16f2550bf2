package app.reglet.web.demo;

import app.reglet.press.picture.ScreenPicture;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;

/** Pictures of the demo, drawn by code: the same numbers give the same picture. */
final class DemoArt {
  private DemoArt() {}

  /** Mudflats at dusk: a low sun, bands of water, reeds in the foreground. */
  static byte[] tideFlats(int w, int h) {
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    Random random = new Random(1719);
    double horizon = h * 0.36;
    g.setPaint(
        new GradientPaint(0, 0, new Color(0x1d3440), 0, (float) horizon, new Color(0xd9a06b)));
    g.fillRect(0, 0, w, (int) horizon + 1);
    g.setColor(new Color(0xf3dcae));
    double r = h * 0.075;
    g.fill(new Ellipse2D.Double(w * 0.73 - r, horizon - r * 1.25, 2 * r, 2 * r));
    g.setPaint(
        new GradientPaint(0, (float) horizon, new Color(0xc08e63), 0, h, new Color(0x16262d)));
    g.fillRect(0, (int) horizon, w, h);
    hills(g, w, horizon, h, random);
    for (int i = 0; i < 46; i++) {
      double t = i / 46.0;
      channel(g, w, horizon + (h - horizon) * t * t + h * 0.006, h * (0.002 + 0.02 * t), t, random);
    }
    for (int i = 0; i < 420; i++) {
      reed(
          g,
          random.nextDouble() * w,
          h * (1.02 - random.nextDouble() * 0.04),
          h * (0.06 + random.nextDouble() * 0.16),
          random);
    }
    g.dispose();
    try {
      return ScreenPicture.jpeg(image, 0.9f);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The mark of Sedge & Samphire: a ring with a stalk in it, clear between. */
  static byte[] mark(int size) {
    BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(0x2b2f25));
    float line = size * 0.035f;
    g.setStroke(new BasicStroke(line));
    g.draw(new Ellipse2D.Double(line, line, size - 2 * line, size - 2 * line));
    g.setStroke(new BasicStroke(size * 0.05f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    for (int i = -2; i <= 2; i++) {
      Path2D stalk = new Path2D.Double();
      stalk.moveTo(size * 0.5, size * 0.82);
      stalk.curveTo(
          size * 0.5,
          size * 0.55,
          size * (0.5 + i * 0.06),
          size * 0.45,
          size * (0.5 + i * 0.13),
          size * (0.2 + Math.abs(i) * 0.07));
      g.draw(stalk);
    }
    g.setColor(new Color(0x2b, 0x2f, 0x25, 90));
    g.fill(new Ellipse2D.Double(size * 0.24, size * 0.76, size * 0.52, size * 0.1));
    g.dispose();
    try {
      return ScreenPicture.png(image);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void hills(Graphics2D g, int w, double horizon, int h, Random random) {
    g.setColor(new Color(0x3a4a4e));
    Path2D land = new Path2D.Double();
    land.moveTo(0, horizon + 2);
    double y = h * 0.018;
    for (double x = 0; x <= w; x += w / 90.0) {
      y = Math.max(2, Math.min(h * 0.035, y + (random.nextDouble() - 0.5) * h * 0.01));
      land.lineTo(x, horizon - (x > w * 0.58 && x < w * 0.9 ? 2 : y));
    }
    land.lineTo(w, horizon + 2);
    land.closePath();
    g.fill(land);
  }

  private static void channel(
      Graphics2D g, int w, double y, double thick, double t, Random random) {
    int alpha = (int) (150 - 90 * t);
    g.setColor(new Color(0xf0, 0xcf, 0x9c, Math.max(25, alpha)));
    double from = random.nextDouble() * w * 0.8 - w * 0.1;
    double length = w * (0.12 + random.nextDouble() * 0.5);
    Path2D p = new Path2D.Double();
    p.moveTo(from, y);
    p.curveTo(
        from + length * 0.3, y - thick * 2, from + length * 0.6, y + thick * 2.4, from + length, y);
    p.curveTo(from + length * 0.6, y + thick * 3.4, from + length * 0.3, y + thick * 1.2, from, y);
    g.fill(p);
  }

  private static void reed(Graphics2D g, double x, double y, double tall, Random random) {
    int shade = 10 + random.nextInt(26);
    g.setColor(new Color(shade, shade + 12, shade + 14, 230));
    g.setStroke(
        new BasicStroke(
            (float) (tall * (0.008 + random.nextDouble() * 0.012)),
            BasicStroke.CAP_ROUND,
            BasicStroke.JOIN_ROUND));
    double lean = (random.nextDouble() - 0.35) * tall * 0.5;
    Path2D p = new Path2D.Double();
    p.moveTo(x, y);
    p.quadTo(x + lean * 0.2, y - tall * 0.6, x + lean, y - tall);
    g.draw(p);
    if (random.nextInt(5) == 0) {
      g.fill(
          new Ellipse2D.Double(
              x + lean - tall * 0.012, y - tall * 1.04, tall * 0.028, tall * 0.16));
    }
  }
}
