package app.reglet.press.compose;

import app.reglet.press.art.Rect;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.image.BufferedImage;
import java.awt.image.WritableRaster;

/**
 * Edges that fade, as pixels, so that every painter shows the same. Three box blurs in a row come
 * near a Gaussian one (central limit theorem).
 */
final class Softening {
  static final double MM_PER_INCH = 25.4;

  /** Of a fading edge: there is nothing finer in it to be seen. */
  private static final double PPI = 150;

  private static final double MOST_SIDE = 1200;

  private Softening() {}

  /** Pixels per mm for an area so large that fades so far. */
  static double perMm(double width, double height, double soft) {
    double wanted = Math.min(PPI / MM_PER_INCH, Math.max(1.5, 24 / Math.max(soft, 0.1)));
    return Math.min(wanted, MOST_SIDE / Math.max(width, height));
  }

  /** White where a figure is, black outside, fading inwards over a width. */
  static BufferedImage inside(Shape figure, Rect box, double soft) {
    double perMm = perMm(box.width(), box.height(), soft);
    int w = Math.max(1, (int) Math.ceil(box.width() * perMm));
    int h = Math.max(1, (int) Math.ceil(box.height() * perMm));
    BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.scale(w / box.width(), h / box.height());
    g.translate(-box.x(), -box.y());
    g.setColor(Color.WHITE);
    g.fill(figure);
    // drawn in by half the width, so that the blur ends at the edge
    g.setColor(Color.BLACK);
    g.setStroke(new BasicStroke((float) soft));
    g.draw(figure);
    g.dispose();
    // one channel is blurred and stands for all: a gray image of AWT's would be one of linear light
    blur(image.getRaster(), 0, soft * perMm);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        image.setRGB(x, y, 0x010101 * image.getRaster().getSample(x, y, 0));
      }
    }
    return image;
  }

  /** Blurs one channel; what lies outside counts as empty. */
  static void blur(WritableRaster raster, int band, double width) {
    int radius = (int) Math.round(width / 6);
    if (radius < 1) {
      return;
    }
    int w = raster.getWidth();
    int h = raster.getHeight();
    int[] line = new int[Math.max(w, h)];
    for (int pass = 0; pass < 3; pass++) {
      for (int y = 0; y < h; y++) {
        raster.getSamples(0, y, w, 1, band, line);
        raster.setSamples(0, y, w, 1, band, boxed(line, w, radius));
      }
      for (int x = 0; x < w; x++) {
        raster.getSamples(x, 0, 1, h, band, line);
        raster.setSamples(x, 0, 1, h, band, boxed(line, h, radius));
      }
    }
  }

  private static int[] boxed(int[] line, int n, int radius) {
    int[] out = new int[n];
    int span = 2 * radius + 1;
    int sum = 0;
    for (int i = 0; i < Math.min(radius, n); i++) {
      sum += line[i];
    }
    for (int i = 0; i < n; i++) {
      if (i + radius < n) {
        sum += line[i + radius];
      }
      if (i - radius - 1 >= 0) {
        sum -= line[i - radius - 1];
      }
      out[i] = (sum + span / 2) / span;
    }
    return out;
  }
}
