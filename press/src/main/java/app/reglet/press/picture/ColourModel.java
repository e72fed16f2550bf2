package app.reglet.press.picture;

/**
 * How likely colours are in a part of a picture: a mixture of Gaussians in Oklab, one for each
 * cluster of its pixels (the model of C. Rother, V. Kolmogorov, A. Blake, "GrabCut", SIGGRAPH 2004,
 * whose clusters are by k-means here).
 */
final class ColourModel {
  private static final int CLUSTERS = 6;
  private static final int ROUNDS = 8;

  /** Pixels that a model is learnt from; of more, every so many. */
  private static final int ENOUGH = 12_000;

  /** Squared; so that flat colours, and the rounding of eight bits, have some width. */
  private static final double LEAST_VARIANCE = 0.00015;

  private final double[][] means;
  private final double[][] inverse;
  private final double[] weight;

  private ColourModel(double[][] means, double[][] inverse, double[] weight) {
    this.means = means;
    this.inverse = inverse;
    this.weight = weight;
  }

  /**
   * That of the pixels that count.
   *
   * @param lab three values a pixel
   * @param in which count
   */
  static ColourModel of(float[] lab, boolean[] in) {
    int all = 0;
    for (boolean b : in) {
      all += b ? 1 : 0;
    }
    int step = Math.max(1, all / ENOUGH);
    int n = (all + step - 1) / step;
    int[] pixels = new int[n];
    for (int i = 0, k = 0; i < in.length; i++) {
      if (in[i] && k++ % step == 0) {
        pixels[(k - 1) / step] = i;
      }
    }
    int clusters = Math.max(1, Math.min(CLUSTERS, n / 8));
    double[][] means = seeds(lab, pixels, clusters);
    int[] own = new int[n];
    for (int round = 0; round < ROUNDS; round++) {
      double[][] sum = new double[clusters][4];
      for (int p = 0; p < n; p++) {
        own[p] = nearest(means, lab, pixels[p]);
        for (int c = 0; c < 3; c++) {
          sum[own[p]][c] += lab[3 * pixels[p] + c];
        }
        sum[own[p]][3]++;
      }
      for (int k = 0; k < clusters; k++) {
        for (int c = 0; c < 3 && sum[k][3] > 0; c++) {
          means[k][c] = sum[k][c] / sum[k][3];
        }
      }
    }
    return of(lab, pixels, own, means);
  }

  /** The first seed is the first pixel, each further one the pixel farthest from all before. */
  private static double[][] seeds(float[] lab, int[] pixels, int clusters) {
    double[][] means = new double[clusters][3];
    double[] away = new double[pixels.length];
    java.util.Arrays.fill(away, Double.MAX_VALUE);
    int next = 0;
    for (int k = 0; k < clusters && pixels.length > 0; k++) {
      for (int c = 0; c < 3; c++) {
        means[k][c] = lab[3 * pixels[next] + c];
      }
      double most = -1;
      for (int p = 0; p < pixels.length; p++) {
        away[p] = Math.min(away[p], distance(means[k], lab, pixels[p]));
        if (away[p] > most) {
          most = away[p];
          next = p;
        }
      }
    }
    return means;
  }

  private static int nearest(double[][] means, float[] lab, int pixel) {
    int best = 0;
    for (int k = 1; k < means.length; k++) {
      if (distance(means[k], lab, pixel) < distance(means[best], lab, pixel)) {
        best = k;
      }
    }
    return best;
  }

  private static double distance(double[] mean, float[] lab, int pixel) {
    double d = 0;
    for (int c = 0; c < 3; c++) {
      double v = lab[3 * pixel + c] - mean[c];
      d += v * v;
    }
    return d;
  }

  private static ColourModel of(float[] lab, int[] pixels, int[] own, double[][] means) {
    int clusters = means.length;
    double[][] cov = new double[clusters][6];
    double[] count = new double[clusters];
    for (int p = 0; p < pixels.length; p++) {
      double[] s = cov[own[p]];
      double[] d = new double[3];
      for (int c = 0; c < 3; c++) {
        d[c] = lab[3 * pixels[p] + c] - means[own[p]][c];
      }
      s[0] += d[0] * d[0];
      s[1] += d[0] * d[1];
      s[2] += d[0] * d[2];
      s[3] += d[1] * d[1];
      s[4] += d[1] * d[2];
      s[5] += d[2] * d[2];
      count[own[p]]++;
    }
    double[][] inverse = new double[clusters][];
    double[] weight = new double[clusters];
    for (int k = 0; k < clusters; k++) {
      double n = Math.max(1, count[k]);
      double[] s = cov[k];
      for (int i = 0; i < 6; i++) {
        s[i] /= n;
      }
      s[0] += LEAST_VARIANCE;
      s[3] += LEAST_VARIANCE;
      s[5] += LEAST_VARIANCE;
      double a = s[3] * s[5] - s[4] * s[4];
      double b = s[2] * s[4] - s[1] * s[5];
      double c = s[1] * s[4] - s[2] * s[3];
      double det = s[0] * a + s[1] * b + s[2] * c;
      inverse[k] =
          new double[] {
            a / det,
            b / det,
            c / det,
            (s[0] * s[5] - s[2] * s[2]) / det,
            (s[1] * s[2] - s[0] * s[4]) / det,
            (s[0] * s[3] - s[1] * s[1]) / det
          };
      weight[k] = count[k] / Math.max(1, pixels.length) / Math.sqrt(det);
    }
    return new ColourModel(means, inverse, weight);
  }

  /** How likely the colour of a pixel is, but for a factor that is the same for all models. */
  double likely(float[] lab, int pixel) {
    double sum = 1e-9;
    for (int k = 0; k < means.length; k++) {
      double x = lab[3 * pixel] - means[k][0];
      double y = lab[3 * pixel + 1] - means[k][1];
      double z = lab[3 * pixel + 2] - means[k][2];
      double[] m = inverse[k];
      double q =
          m[0] * x * x
              + m[3] * y * y
              + m[5] * z * z
              + 2 * (m[1] * x * y + m[2] * x * z + m[4] * y * z);
      sum += weight[k] * Math.exp(-q / 2);
    }
    return sum;
  }
}
