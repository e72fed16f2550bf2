package app.reglet.press.picture;

/**
 * The guided filter (K. He, J. Sun, X. Tang, ECCV 2010): a field smoothed so that its edges lie
 * where those of a guide do.
 */
final class Guided {
  private Guided() {}

  /**
   * The field, filtered.
   *
   * @param radius of the windows, in pixels
   * @param epsilon below this variance the guide counts as flat
   */
  static float[] filtered(float[] guide, float[] field, int w, int h, int radius, float epsilon) {
    int n = w * h;
    float[] product = new float[n];
    float[] square = new float[n];
    for (int i = 0; i < n; i++) {
      product[i] = guide[i] * field[i];
      square[i] = guide[i] * guide[i];
    }
    float[] meanGuide = boxed(guide, w, h, radius);
    float[] meanField = boxed(field, w, h, radius);
    float[] meanProduct = boxed(product, w, h, radius);
    float[] meanSquare = boxed(square, w, h, radius);
    float[] a = new float[n];
    float[] b = new float[n];
    for (int i = 0; i < n; i++) {
      float variance = meanSquare[i] - meanGuide[i] * meanGuide[i];
      a[i] = (meanProduct[i] - meanGuide[i] * meanField[i]) / (variance + epsilon);
      b[i] = meanField[i] - a[i] * meanGuide[i];
    }
    float[] meanA = boxed(a, w, h, radius);
    float[] meanB = boxed(b, w, h, radius);
    float[] out = new float[n];
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0, Math.min(1, meanA[i] * guide[i] + meanB[i]));
    }
    return out;
  }

  /** Means over windows, which end at the field's edges. */
  private static float[] boxed(float[] field, int w, int h, int r) {
    float[] across = new float[field.length];
    for (int y = 0; y < h; y++) {
      double sum = 0;
      int n = 0;
      for (int x = -r; x < w; x++) {
        if (x + r < w) {
          sum += field[y * w + x + r];
          n++;
        }
        if (x - r - 1 >= 0) {
          sum -= field[y * w + x - r - 1];
          n--;
        }
        if (x >= 0) {
          across[y * w + x] = (float) (sum / n);
        }
      }
    }
    float[] out = new float[field.length];
    for (int x = 0; x < w; x++) {
      double sum = 0;
      int n = 0;
      for (int y = -r; y < h; y++) {
        if (y + r < h) {
          sum += across[(y + r) * w + x];
          n++;
        }
        if (y - r - 1 >= 0) {
          sum -= across[(y - r - 1) * w + x];
          n--;
        }
        if (y >= 0) {
          out[y * w + x] = (float) (sum / n);
        }
      }
    }
    return out;
  }
}
