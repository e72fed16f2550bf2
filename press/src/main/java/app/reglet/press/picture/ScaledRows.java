package app.reglet.press.picture;

import java.io.IOException;
import java.util.stream.IntStream;

/**
 * Rows of a picture made coarser: each pixel a weighted mean of those it lies over and their
 * neighbours, by Lanczos' window of three lobes as wide as the new pixel (C. E. Duchon, Lanczos
 * Filtering in One and Two Dimensions, 1979; from memory). Never finer than it was. Only as many
 * rows are in memory as one new row needs.
 */
public final class ScaledRows implements Rows {
  private static final int LOBES = 3;
  private static final int BANDS = 4;

  /** Rows that are made narrower at once, on all processors. */
  private static final int BATCH = 32;

  private final Rows rows;
  private final int width;
  private final int height;
  private final Weights across;
  private final Weights down;
  private final int[][] read = new int[BATCH][];

  /** Rows made narrower, the y-th of the picture at y modulo their number. */
  private final float[][] ring;

  private int taken;
  private int y;

  /**
   * @param width new columns, at most as many as there are
   * @param height new rows, at most as many as there are
   */
  public ScaledRows(Rows rows, int width, int height) {
    if (width < 1 || height < 1 || width > rows.width() || height > rows.height()) {
      throw new IllegalArgumentException(
          rows.width() + " × " + rows.height() + " pixels can't become " + width + " × " + height);
    }
    this.rows = rows;
    this.width = width;
    this.height = height;
    this.across = new Weights(rows.width(), width);
    this.down = new Weights(rows.height(), height);
    this.ring = new float[down.most + BATCH][];
    for (int i = 0; i < BATCH; i++) {
      read[i] = new int[rows.width()];
    }
  }

  /** For each new pixel the first old one it is made of, and the weights from there. */
  private static final class Weights {
    private final int[] first;
    private final float[][] weights;
    private int most;

    Weights(int from, int to) {
      first = new int[to];
      weights = new float[to][];
      double ratio = (double) from / to;
      for (int i = 0; i < to; i++) {
        double middle = (i + 0.5) * ratio;
        int left = Math.max(0, (int) Math.floor(middle - LOBES * ratio));
        int right = Math.min(from - 1, (int) Math.ceil(middle + LOBES * ratio) - 1);
        float[] w = new float[right - left + 1];
        double sum = 0;
        for (int k = left; k <= right; k++) {
          w[k - left] = (float) lanczos((k + 0.5 - middle) / ratio);
          sum += w[k - left];
        }
        for (int k = 0; k < w.length; k++) {
          w[k] /= (float) sum;
        }
        first[i] = left;
        weights[i] = w;
        most = Math.max(most, w.length);
      }
    }

    private static double lanczos(double x) {
      if (Math.abs(x) < 1e-9) {
        return 1;
      }
      if (Math.abs(x) >= LOBES) {
        return 0;
      }
      double p = Math.PI * x;
      return LOBES * Math.sin(p) * Math.sin(p / LOBES) / (p * p);
    }
  }

  @Override
  public int width() {
    return width;
  }

  @Override
  public int height() {
    return height;
  }

  @Override
  public boolean mayBeClear() {
    return rows.mayBeClear();
  }

  @Override
  public boolean isInks() {
    return rows.isInks();
  }

  @Override
  public void next(int[] argb) throws IOException {
    float[] w = down.weights[y];
    int first = down.first[y];
    while (taken < first + w.length) {
      int here = Math.min(BATCH, rows.height() - taken);
      for (int i = 0; i < here; i++) {
        rows.next(read[i]);
      }
      IntStream.range(0, here)
          .parallel()
          .forEach(
              i -> {
                int slot = (taken + i) % ring.length;
                ring[slot] = narrowed(read[i], ring[slot]);
              });
      taken += here;
    }
    float[] sum = new float[BANDS * width];
    for (int k = 0; k < w.length; k++) {
      float[] row = ring[(first + k) % ring.length];
      float by = w[k];
      for (int i = 0; i < sum.length; i++) {
        sum[i] += by * row[i];
      }
    }
    for (int x = 0; x < width; x++) {
      argb[x] = isInks() ? inks(sum, BANDS * x) : pixel(sum, BANDS * x);
    }
    y++;
  }

  private float[] narrowed(int[] row, float[] into) {
    float[] out = into == null ? new float[BANDS * width] : into;
    boolean clear = mayBeClear();
    boolean inks = isInks();
    for (int x = 0; x < width; x++) {
      float a = 0;
      float r = 0;
      float g = 0;
      float b = 0;
      float[] w = across.weights[x];
      int at = across.first[x];
      for (float by : w) {
        int p = row[at++];
        float share = clear ? by * (p >>> 24) * (1 / 255f) : by;
        a += inks ? by * (p >>> 24) : share;
        r += share * (p >> 16 & 0xff);
        g += share * (p >> 8 & 0xff);
        b += share * (p & 0xff);
      }
      out[BANDS * x] = a;
      out[BANDS * x + 1] = r;
      out[BANDS * x + 2] = g;
      out[BANDS * x + 3] = b;
    }
    return out;
  }

  private static int pixel(float[] sum, int at) {
    float a = Math.max(0, Math.min(1, sum[at]));
    if (a <= 0) {
      return 0;
    }
    return Math.round(255 * a) << 24
        | value(sum[at + 1] / sum[at]) << 16
        | value(sum[at + 2] / sum[at]) << 8
        | value(sum[at + 3] / sum[at]);
  }

  private static int inks(float[] sum, int at) {
    return value(sum[at]) << 24
        | value(sum[at + 1]) << 16
        | value(sum[at + 2]) << 8
        | value(sum[at + 3]);
  }

  private static int value(float v) {
    return Math.max(0, Math.min(255, Math.round(v)));
  }

  @Override
  public void close() throws IOException {
    rows.close();
  }
}
