package app.reglet.press.inspect;

import app.reglet.press.art.Rect;
import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/**
 * Where two pictures of the same sheet differ: squares of it whose pixels are far apart on average,
 * those that touch each other taken together.
 */
public final class Differences {
  /** Squares across the sheet. */
  private static final int ACROSS = 120;

  /** Far apart, of 255: what another reader makes of edges is less. */
  private static final double FAR = 14;

  private static final int MOST = 60;

  private Differences() {}

  /**
   * The places, the largest first.
   *
   * @param a a picture of the sheet
   * @param b another, as large
   * @param width of the sheet, mm
   * @return in mm from its top left
   */
  public static List<Rect> of(BufferedImage a, BufferedImage b, double width) {
    int w = Math.min(a.getWidth(), b.getWidth());
    int h = Math.min(a.getHeight(), b.getHeight());
    int side = Math.max(2, w / ACROSS);
    int columns = (w + side - 1) / side;
    int rows = (h + side - 1) / side;
    boolean[] far = new boolean[columns * rows];
    for (int r = 0; r < rows; r++) {
      for (int c = 0; c < columns; c++) {
        far[r * columns + c] =
            apart(
                    a,
                    b,
                    c * side,
                    r * side,
                    Math.min(w, (c + 1) * side),
                    Math.min(h, (r + 1) * side))
                > FAR;
      }
    }
    double mm = width / w * side;
    List<Rect> out = new ArrayList<>();
    for (int i = 0; i < far.length; i++) {
      if (far[i]) {
        out.add(together(far, i, columns, rows, mm));
      }
    }
    out.sort(Comparator.comparingDouble(r -> -r.width() * r.height()));
    return List.copyOf(out.subList(0, Math.min(MOST, out.size())));
  }

  /** Light and dark as seen: what a hair's shift of an edge does evens out within a square. */
  private static double apart(BufferedImage a, BufferedImage b, int x0, int y0, int x1, int y1) {
    double[] sums = new double[3];
    long all = 0;
    double each = 0;
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        int p = a.getRGB(x, y);
        int q = b.getRGB(x, y);
        for (int i = 0; i < 3; i++) {
          int d = (p >> 8 * i & 0xff) - (q >> 8 * i & 0xff);
          sums[i] += d;
          each += Math.abs(d);
        }
        all++;
      }
    }
    double mean = 0;
    for (double s : sums) {
      mean = Math.max(mean, Math.abs(s) / Math.max(1, all));
    }
    // other words have the same mean, but not the same pixels
    return Math.max(mean, each / 3 / Math.max(1, all) / 2);
  }

  private static Rect together(boolean[] far, int start, int columns, int rows, double mm) {
    int left = columns;
    int top = rows;
    int right = 0;
    int bottom = 0;
    Deque<Integer> open = new ArrayDeque<>(List.of(start));
    far[start] = false;
    while (!open.isEmpty()) {
      int at = open.pop();
      int c = at % columns;
      int r = at / columns;
      left = Math.min(left, c);
      right = Math.max(right, c + 1);
      top = Math.min(top, r);
      bottom = Math.max(bottom, r + 1);
      for (int dr = -1; dr <= 1; dr++) {
        for (int dc = -1; dc <= 1; dc++) {
          int nc = c + dc;
          int nr = r + dr;
          if (nc >= 0 && nr >= 0 && nc < columns && nr < rows && far[nr * columns + nc]) {
            far[nr * columns + nc] = false;
            open.push(nr * columns + nc);
          }
        }
      }
    }
    return new Rect(left * mm, top * mm, (right - left) * mm, (bottom - top) * mm);
  }
}
