package app.reglet.press.picture;

import app.reglet.core.Refusal;
import app.reglet.core.design.Oklab;
import app.reglet.core.edit.CutMarks;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;

/**
 * A picture parted into its subject and its ground. As in GrabCut (C. Rother, V. Kolmogorov, A.
 * Blake, SIGGRAPH 2004) a model of colours of either is learnt, pixels are parted by the models and
 * by where neighbours differ, and both are done again. The parting itself is that of a random
 * walker with colour priors (L. Grady, CVPR 2005): the x from 0 to 1 that makes the sum of w (xi −
 * xj)² over neighbours and of g (p (1 − x)² + (1 − p) x²) least, found by successive
 * over-relaxation; w = exp(−b |ci − cj|²) with b as in GrabCut. At last the edge follows the
 * picture's own at finer pixels (the guided filter of K. He, J. Sun, X. Tang, ECCV 2010).
 *
 * <p>No library that is plain Java has one; the known ones bring some 90 MB of machine code.
 */
final class Parting {
  /** Longer side in which it is parted, and in which its edge is found. */
  private static final int COARSE = 300;

  private static final int FINE = 1000;

  private static final int ROUNDS = 5;
  private static final int SWEEPS = 60;
  private static final double RELAXED = 1.85;

  /** What colours count against neighbours. */
  private static final double PRIOR = 0.06;

  private static final double LEAST_LINK = 0.002;
  private static final float HALF = 0.5f;

  /** How much of the lower edge, to either side of its middle, may be the subject's. */
  private static final double LOW_ENDS = 0.35;

  /** This part of the ground is as rare there as the first guess at the subject is. */
  private static final double RARE = 0.01;

  /** Of the shorter side: where nobody said anything, this much at the edges is ground. */
  private static final double FRAME = 0.04;

  private final BufferedImage fine;
  private final int width;
  private final int height;
  private final float[] lab;
  private final byte[] said; // 1 stays, -1 is out, 0 nothing said
  private float[] subject;

  private Parting(BufferedImage fine, BufferedImage coarse, CutMarks marks) {
    this.fine = fine;
    this.width = coarse.getWidth();
    this.height = coarse.getHeight();
    this.lab = lab(coarse);
    this.said = said(marks);
    expectColours();
  }

  static Parting of(BufferedImage image, CutMarks marks) {
    BufferedImage fine = Decoded.onScreen(ScreenPicture.smaller(image, FINE));
    BufferedImage coarse = Decoded.onScreen(ScreenPicture.smaller(image, COARSE));
    Parting parting = new Parting(fine, coarse, marks);
    parting.part();
    return parting;
  }

  int fineWidth() {
    return fine.getWidth();
  }

  int fineHeight() {
    return fine.getHeight();
  }

  private static float[] lab(BufferedImage image) {
    int w = image.getWidth();
    float[] lab = new float[3 * w * image.getHeight()];
    for (int i = 0; i < lab.length / 3; i++) {
      double[] c = Oklab.lab(over(image.getRGB(i % w, i / w)));
      for (int k = 0; k < 3; k++) {
        lab[3 * i + k] = (float) c[k];
      }
    }
    return lab;
  }

  /** A colour on white: what is clear looks like paper. */
  private static int over(int argb) {
    int alpha = argb >>> 24;
    int out = 0;
    for (int shift = 0; shift < 24; shift += 8) {
      int v = argb >> shift & 0xff;
      out |= (v * alpha + 255 * (255 - alpha)) / 255 << shift;
    }
    return out;
  }

  private byte[] said(CutMarks marks) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    for (CutMarks.Mark m : marks.marks()) {
      g.setColor(m.stays() ? Color.GREEN : Color.RED);
      Subject.paint(g, m, width, height);
    }
    g.dispose();
    byte[] all = new byte[width * height];
    for (int i = 0; i < all.length; i++) {
      int rgb = image.getRGB(i % width, i / width) & 0xffffff;
      all[i] = (byte) (rgb == 0x00ff00 ? 1 : rgb == 0xff0000 ? -1 : 0);
    }
    return all;
  }

  private void expectColours() {
    float least = Float.MAX_VALUE;
    float most = -Float.MAX_VALUE;
    double spread = 0;
    for (int i = 0; i < lab.length; i += 3) {
      least = Math.min(least, lab[i]);
      most = Math.max(most, lab[i]);
      spread = Math.max(spread, Math.hypot(lab[i + 1] - lab[1], lab[i + 2] - lab[2]));
    }
    if (width < 3 || height < 3 || most - least < 0.004 && spread < 0.004) {
      throw new Refusal(
          "cutOut",
          "This picture is all one colour: nothing in it can be told apart. Outline what is to stay.");
    }
  }

  private void part() {
    boolean[] in = new boolean[width * height];
    boolean[] out = new boolean[width * height];
    begin(in, out);
    float[] links = links();
    subject = new float[width * height];
    for (int i = 0; i < subject.length; i++) {
      subject[i] = said[i] > 0 ? 1 : said[i] < 0 ? 0 : out[i] ? 0 : HALF;
    }
    for (int round = 0; round < ROUNDS; round++) {
      ColourModel inner = ColourModel.of(lab, in);
      ColourModel outer = ColourModel.of(lab, out);
      float[] prior = new float[subject.length];
      for (int i = 0; i < prior.length; i++) {
        double a = inner.likely(lab, i);
        double b = outer.likely(lab, i);
        prior[i] = (float) (a / (a + b));
      }
      walk(prior, links);
      for (int i = 0; i < in.length; i++) {
        in[i] = said[i] > 0 || said[i] == 0 && subject[i] > HALF;
        out[i] = !in[i];
      }
      if (none(in) || none(out)) {
        return;
      }
    }
    new Specks(subject, said, width).clear();
  }

  /** What the first models are learnt from: what was said, else the edges and the middle. */
  private void begin(boolean[] in, boolean[] out) {
    boolean saidIn = false;
    boolean saidOut = false;
    for (byte b : said) {
      saidIn |= b > 0;
      saidOut |= b < 0;
    }
    int frame = Math.max(1, (int) Math.round(FRAME * Math.min(width, height)));
    for (int i = 0; i < in.length; i++) {
      int x = i % width;
      int y = i / width;
      // a figure may stand on the lower edge: only the ends of that count
      boolean edge =
          x < frame
              || y < frame
              || x >= width - frame
              || y >= height - frame && Math.abs(x - width / 2) > LOW_ENDS * width;
      out[i] = saidOut ? said[i] < 0 || edge && said[i] == 0 : edge && said[i] == 0;
      in[i] = said[i] > 0;
    }
    if (!saidIn) {
      unlike(out, in);
    }
  }

  /**
   * What is unlike the ground is the first guess at a subject: rarer than nearly all of the ground.
   */
  private void unlike(boolean[] out, boolean[] in) {
    ColourModel ground = ColourModel.of(lab, out);
    double[] own = new double[out.length];
    int n = 0;
    for (int i = 0; i < out.length; i++) {
      if (out[i]) {
        own[n++] = ground.likely(lab, i);
      }
    }
    double[] sorted = java.util.Arrays.copyOf(own, n);
    java.util.Arrays.sort(sorted);
    double rare = n == 0 ? 0 : sorted[(int) (RARE * n)] / 4;
    boolean any = false;
    for (int i = 0; i < in.length; i++) {
      in[i] = said[i] == 0 && !out[i] && ground.likely(lab, i) < rare;
      any |= in[i];
    }
    for (int i = 0; i < in.length && !any; i++) {
      double dx = (i % width + HALF) / width - HALF;
      double dy = (i / width + HALF) / height - HALF;
      in[i] = said[i] == 0 && dx * dx + dy * dy < 0.05;
    }
  }

  private static boolean none(boolean[] all) {
    for (boolean b : all) {
      if (b) {
        return false;
      }
    }
    return true;
  }

  /** To the right neighbour and to the one below, of every pixel. */
  private float[] links() {
    double sum = 0;
    int n = 0;
    float[] apart = new float[2 * width * height];
    for (int i = 0; i < width * height; i++) {
      if (i % width + 1 < width) {
        apart[2 * i] = (float) difference(i, i + 1);
        sum += apart[2 * i];
        n++;
      }
      if (i + width < width * height) {
        apart[2 * i + 1] = (float) difference(i, i + width);
        sum += apart[2 * i + 1];
        n++;
      }
    }
    double b = 1 / (2 * Math.max(sum / n, 1e-7));
    for (int i = 0; i < apart.length; i++) {
      apart[i] = (float) (LEAST_LINK + Math.exp(-b * apart[i]));
    }
    return apart;
  }

  private double difference(int i, int k) {
    double d = 0;
    for (int c = 0; c < 3; c++) {
      double v = lab[3 * i + c] - lab[3 * k + c];
      d += v * v;
    }
    return d;
  }

  private void walk(float[] prior, float[] links) {
    for (int sweep = 0; sweep < SWEEPS; sweep++) {
      for (int i = 0; i < subject.length; i++) {
        if (said[i] != 0) {
          continue;
        }
        double sum = PRIOR * prior[i];
        double weight = PRIOR;
        int x = i % width;
        if (x + 1 < width) {
          sum += links[2 * i] * subject[i + 1];
          weight += links[2 * i];
        }
        if (x > 0) {
          sum += links[2 * (i - 1)] * subject[i - 1];
          weight += links[2 * (i - 1)];
        }
        if (i + width < subject.length) {
          sum += links[2 * i + 1] * subject[i + width];
          weight += links[2 * i + 1];
        }
        if (i >= width) {
          sum += links[2 * (i - width) + 1] * subject[i - width];
          weight += links[2 * (i - width) + 1];
        }
        subject[i] += (float) (RELAXED * (sum / weight - subject[i]));
      }
    }
    for (int i = 0; i < subject.length; i++) {
      subject[i] = Math.max(0, Math.min(1, subject[i]));
    }
  }

  /** The subject at finer pixels, its edge where the picture has one. */
  float[] refined() {
    int w = fine.getWidth();
    int h = fine.getHeight();
    float[] guide = new float[w * h];
    float[] rough = new float[w * h];
    int[] argb = fine.getRGB(0, 0, w, h, null, 0, w);
    int main = mainChannel();
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        guide[y * w + x] = (float) Oklab.lab(over(argb[y * w + x]))[main];
        rough[y * w + x] = sample((x + HALF) * width / w - HALF, (y + HALF) * height / h - HALF);
      }
    }
    int radius = Math.max(1, Math.round(1.6f * w / width));
    return Guided.filtered(guide, rough, w, h, radius, 2e-4f);
  }

  /**
   * The one of lightness, green to red and blue to yellow in which subject and ground differ most.
   */
  private int mainChannel() {
    int best = 0;
    double most = -1;
    for (int c = 0; c < 3; c++) {
      double[] mean = new double[2];
      double[] square = new double[2];
      int[] n = new int[2];
      for (int i = 0; i < subject.length; i++) {
        int side = subject[i] > HALF ? 1 : 0;
        mean[side] += lab[3 * i + c];
        square[side] += lab[3 * i + c] * (double) lab[3 * i + c];
        n[side]++;
      }
      double within = 1e-6;
      for (int side = 0; side < 2; side++) {
        mean[side] /= Math.max(1, n[side]);
        within += square[side] / Math.max(1, n[side]) - mean[side] * mean[side];
      }
      double apart = (mean[0] - mean[1]) * (mean[0] - mean[1]) / within;
      if (apart > most) {
        most = apart;
        best = c;
      }
    }
    return best;
  }

  private float sample(float x, float y) {
    int x0 = Math.max(0, Math.min(width - 1, (int) Math.floor(x)));
    int y0 = Math.max(0, Math.min(height - 1, (int) Math.floor(y)));
    int x1 = Math.min(width - 1, x0 + 1);
    int y1 = Math.min(height - 1, y0 + 1);
    float fx = Math.max(0, Math.min(1, x - x0));
    float fy = Math.max(0, Math.min(1, y - y0));
    float top = subject[y0 * width + x0] * (1 - fx) + subject[y0 * width + x1] * fx;
    float low = subject[y1 * width + x0] * (1 - fx) + subject[y1 * width + x1] * fx;
    return hard(top * (1 - fy) + low * fy);
  }

  /**
   * Certain where the walk was nearly so: the filter below finds the edge, not the walk's slope.
   */
  private static float hard(float v) {
    return Math.max(0, Math.min(1, (v - HALF) * 4 + HALF));
  }
}
