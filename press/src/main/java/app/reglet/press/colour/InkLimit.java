package app.reglet.press.colour;

/**
 * Total ink within what a house allows: what cyan, magenta and yellow have in common is printed in
 * black instead, just so much that the limit is kept, and each colour stays what it was as far as
 * black alone can make it (gray component replacement; common practice, no single source). Nothing
 * is clipped.
 */
final class InkLimit {
  private static final int STEPS = 12;
  private static final int ROUNDS = 4;

  /** A step in which a change of an ink is tried, 0 to 1. */
  private static final double TRIED = 0.02;

  private final PressProfile profile;
  private final double most;

  private InkLimit(PressProfile profile, double most) {
    this.profile = profile;
    this.most = most;
  }

  /**
   * A limit.
   *
   * @param most 0 to 4
   */
  static InkLimit of(PressProfile profile, double most) {
    return new InkLimit(profile, most);
  }

  /** Changes what has more, four inks a colour, 0 to 1. */
  void keep(double[] inks) {
    int n = inks.length / 4;
    int[] over =
        java.util.stream.IntStream.range(0, n).filter(i -> total(inks, i) > most).toArray();
    if (over.length == 0) {
      return;
    }
    double[] was = new double[over.length * 4];
    for (int i = 0; i < over.length; i++) {
      System.arraycopy(inks, over[i] * 4, was, i * 4, 4);
    }
    double[] target = labs(was);
    double[] least = new double[over.length];
    double[] largest = new double[over.length];
    java.util.Arrays.fill(largest, 1);
    double[] found = was.clone();
    // as little more black as keeps the limit
    for (int step = 0; step < STEPS; step++) {
      double[] tried = was.clone();
      for (int i = 0; i < over.length; i++) {
        double share = (least[i] + largest[i]) / 2;
        tried[4 * i + 3] = was[4 * i + 3] + share * (1 - was[4 * i + 3]);
      }
      match(tried, target);
      for (int i = 0; i < over.length; i++) {
        double share = (least[i] + largest[i]) / 2;
        if (total(tried, i) <= most) {
          largest[i] = share;
          System.arraycopy(tried, 4 * i, found, 4 * i, 4);
        } else {
          least[i] = share;
        }
      }
    }
    for (int i = 0; i < over.length; i++) {
      squeeze(found, i);
      System.arraycopy(found, 4 * i, inks, over[i] * 4, 4);
    }
  }

  /** Where even all black leaves too much, the colours give way in proportion. */
  private void squeeze(double[] inks, int i) {
    double over = total(inks, i) - most;
    double coloured = inks[4 * i] + inks[4 * i + 1] + inks[4 * i + 2];
    if (over > 0 && coloured > 0) {
      double by = Math.max(0, 1 - over / coloured);
      for (int ink = 0; ink < 3; ink++) {
        inks[4 * i + ink] *= by;
      }
    }
  }

  private static double total(double[] inks, int i) {
    return inks[4 * i] + inks[4 * i + 1] + inks[4 * i + 2] + inks[4 * i + 3];
  }

  private double[] labs(double[] inks) {
    double[] xyz = profile.xyzOf(inks);
    double[] labs = new double[xyz.length];
    for (int i = 0; i < xyz.length; i += 3) {
      Lab lab = Lab.of(xyz[i], xyz[i + 1], xyz[i + 2]);
      labs[i] = lab.l();
      labs[i + 1] = lab.a();
      labs[i + 2] = lab.b();
    }
    return labs;
  }

  /** Cyan, magenta and yellow that look so with the black there is: Newton's steps, each damped. */
  private void match(double[] inks, double[] target) {
    int n = inks.length / 4;
    for (int round = 0; round < ROUNDS; round++) {
      double[] now = labs(inks);
      double[][] slopes = new double[3][];
      for (int ink = 0; ink < 3; ink++) {
        double[] less = inks.clone();
        for (int i = 0; i < n; i++) {
          less[4 * i + ink] += less[4 * i + ink] > 0.5 ? -TRIED : TRIED;
        }
        slopes[ink] = labs(less);
      }
      for (int i = 0; i < n; i++) {
        double[][] m = new double[3][4];
        for (int row = 0; row < 3; row++) {
          for (int ink = 0; ink < 3; ink++) {
            double by = inks[4 * i + ink] > 0.5 ? -TRIED : TRIED;
            m[row][ink] = (slopes[ink][3 * i + row] - now[3 * i + row]) / by;
          }
          m[row][3] = target[3 * i + row] - now[3 * i + row];
        }
        double[] by = solved(m);
        for (int ink = 0; ink < 3; ink++) {
          double step = Math.max(-0.25, Math.min(0.25, by[ink]));
          inks[4 * i + ink] = Math.max(0, Math.min(1, inks[4 * i + ink] + step));
        }
      }
    }
  }

  /** Three equations, by least squares with a little weight on small steps. */
  private static double[] solved(double[][] m) {
    double[][] a = new double[3][4];
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        for (double[] row : m) {
          a[i][j] += row[i] * row[j];
        }
      }
      for (double[] row : m) {
        a[i][3] += row[i] * row[3];
      }
      a[i][i] += 4;
    }
    for (int p = 0; p < 3; p++) {
      for (int r = 0; r < 3; r++) {
        if (r != p) {
          double by = a[r][p] / a[p][p];
          for (int c = p; c < 4; c++) {
            a[r][c] -= by * a[p][c];
          }
        }
      }
    }
    return new double[] {a[0][3] / a[0][0], a[1][3] / a[1][1], a[2][3] / a[2][2]};
  }
}
