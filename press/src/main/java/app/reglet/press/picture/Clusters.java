package app.reglet.press.picture;

import app.reglet.core.design.Oklab;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The colours that a picture is mostly of: means of clusters in Oklab (k-means, S. Lloyd 1982),
 * each begun at the pixel that is furthest from those before it, so that a small bright thing is
 * not lost and the same picture always has the same colours.
 */
public final class Clusters {
  private static final int MOST_PIXELS = 12_000;
  private static final int ROUNDS = 40;

  /** Distance in Oklab under which two colours of a picture are one. */
  private static final double ALIKE = 0.035;

  private Clusters() {}

  /**
   * A colour and how much of a picture it is.
   *
   * @param rgb 0xRRGGBB
   * @param share 0 to 1
   */
  public record Cluster(int rgb, double share) {}

  /**
   * So many colours, or as many as there are, the most frequent first.
   *
   * @param image RGB or ARGB; what is clear does not count
   */
  public static List<Cluster> of(BufferedImage image, int most) {
    List<double[]> points = points(image);
    if (points.isEmpty()) {
      return List.of();
    }
    List<double[]> centres = beginnings(points, most);
    int[] of = new int[points.size()];
    for (int round = 0; round < ROUNDS && assign(points, centres, of); round++) {
      move(points, centres, of);
    }
    double[] counts = new double[centres.size()];
    for (int c : of) {
      counts[c]++;
    }
    join(centres, counts);
    List<Cluster> all = new ArrayList<>();
    for (int c = 0; c < counts.length; c++) {
      if (counts[c] > 0) {
        all.add(new Cluster(rgb(centres.get(c)), counts[c] / points.size()));
      }
    }
    all.sort(Comparator.comparingDouble(Cluster::share).reversed());
    return all;
  }

  /** Colours that are hardly told apart are one. */
  private static void join(List<double[]> centres, double[] counts) {
    for (int a = 0; a < counts.length; a++) {
      for (int b = a + 1; b < counts.length; b++) {
        if (counts[a] > 0
            && counts[b] > 0
            && distance(centres.get(a), centres.get(b)) < ALIKE * ALIKE) {
          double share = counts[b] / (counts[a] + counts[b]);
          double[] both = new double[3];
          for (int i = 0; i < 3; i++) {
            both[i] = centres.get(a)[i] + (centres.get(b)[i] - centres.get(a)[i]) * share;
          }
          centres.set(a, both);
          counts[a] += counts[b];
          counts[b] = 0;
        }
      }
    }
  }

  private static List<double[]> points(BufferedImage image) {
    BufferedImage seen = Decoded.onScreen(image);
    int step =
        (int)
            Math.max(
                1, Math.ceil(Math.sqrt((double) seen.getWidth() * seen.getHeight() / MOST_PIXELS)));
    List<double[]> points = new ArrayList<>();
    for (int y = step / 2; y < seen.getHeight(); y += step) {
      for (int x = step / 2; x < seen.getWidth(); x += step) {
        int p = seen.getRGB(x, y);
        if (p >>> 24 > 127) {
          points.add(Oklab.lab(p & 0xffffff));
        }
      }
    }
    return points;
  }

  private static List<double[]> beginnings(List<double[]> points, int most) {
    double[] mean = new double[3];
    for (double[] p : points) {
      for (int i = 0; i < 3; i++) {
        mean[i] += p[i] / points.size();
      }
    }
    List<double[]> centres = new ArrayList<>();
    double[] away = new double[points.size()];
    java.util.Arrays.fill(away, Double.POSITIVE_INFINITY);
    double[] last = mean;
    while (centres.size() < most) {
      int furthest = 0;
      for (int i = 0; i < away.length; i++) {
        away[i] =
            centres.isEmpty()
                ? distance(points.get(i), mean)
                : Math.min(away[i], distance(points.get(i), last));
        furthest = away[i] > away[furthest] ? i : furthest;
      }
      if (!centres.isEmpty() && away[furthest] < 1e-6) {
        break; // there are no more colours
      }
      last = points.get(furthest).clone();
      if (centres.isEmpty()) {
        java.util.Arrays.fill(away, Double.POSITIVE_INFINITY);
      }
      centres.add(last);
    }
    return centres;
  }

  private static boolean assign(List<double[]> points, List<double[]> centres, int[] of) {
    boolean changed = false;
    for (int i = 0; i < of.length; i++) {
      int nearest = 0;
      for (int c = 1; c < centres.size(); c++) {
        if (distance(points.get(i), centres.get(c))
            < distance(points.get(i), centres.get(nearest))) {
          nearest = c;
        }
      }
      changed |= of[i] != nearest;
      of[i] = nearest;
    }
    return changed;
  }

  private static void move(List<double[]> points, List<double[]> centres, int[] of) {
    double[][] sums = new double[centres.size()][4];
    for (int i = 0; i < of.length; i++) {
      double[] sum = sums[of[i]];
      for (int k = 0; k < 3; k++) {
        sum[k] += points.get(i)[k];
      }
      sum[3]++;
    }
    for (int c = 0; c < sums.length; c++) {
      if (sums[c][3] > 0) {
        centres.set(
            c,
            new double[] {
              sums[c][0] / sums[c][3], sums[c][1] / sums[c][3], sums[c][2] / sums[c][3]
            });
      }
    }
  }

  private static double distance(double[] a, double[] b) {
    double x = a[0] - b[0];
    double y = a[1] - b[1];
    double z = a[2] - b[2];
    return x * x + y * y + z * z;
  }

  private static int rgb(double[] lab) {
    return new Oklab(lab[0], Math.hypot(lab[1], lab[2]), Math.toDegrees(Math.atan2(lab[2], lab[1])))
        .rgb();
  }
}
