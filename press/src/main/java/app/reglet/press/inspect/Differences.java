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

  /** Far apart, of 255: what two ways of drawing make of the same is less. */
  private static final double FAR = 7;

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
    int[][] one = pixels(a, w, h);
    int[][] two = pixels(b, w, h);
    Near nearOne = Near.of(one);
    Near nearTwo = Near.of(two);
    for (int r = 0; r < rows; r++) {
      for (int c = 0; c < columns; c++) {
        int x1 = Math.min(w, (c + 1) * side);
        int y1 = Math.min(h, (r + 1) * side);
        far[r * columns + c] =
            Math.max(
                    apart(one, nearTwo, c * side, r * side, x1, y1),
                    apart(two, nearOne, c * side, r * side, x1, y1))
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

  /** How far pixels of a square are from every one that the other has near them, on average. */
  private static double apart(int[][] a, Near b, int x0, int y0, int x1, int y1) {
    double sum = 0;
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        sum += b.from(a[y][x], x, y);
      }
    }
    return sum / Math.max(1, (x1 - x0) * (y1 - y0));
  }

  /**
   * The darkest and lightest of each channel near a pixel: what another reader makes of an edge, or
   * a hair's shift of it, lies between them.
   */
  private record Near(int[][] least, int[][] most) {
    private static final int REACH = 2;

    static Near of(int[][] pixels) {
      int h = pixels.length;
      int w = pixels[0].length;
      int[][] least = new int[h][w];
      int[][] most = new int[h][w];
      for (int y = 0; y < h; y++) {
        for (int x = 0; x < w; x++) {
          int low = 0xffffff;
          int high = 0;
          for (int ny = Math.max(0, y - REACH); ny <= Math.min(h - 1, y + REACH); ny++) {
            for (int nx = Math.max(0, x - REACH); nx <= Math.min(w - 1, x + REACH); nx++) {
              low = each(low, pixels[ny][nx], true);
              high = each(high, pixels[ny][nx], false);
            }
          }
          least[y][x] = low;
          most[y][x] = high;
        }
      }
      return new Near(least, most);
    }

    private static int each(int a, int b, boolean lower) {
      int out = 0;
      for (int shift = 0; shift < 24; shift += 8) {
        int p = a >> shift & 0xff;
        int q = b >> shift & 0xff;
        out |= (lower ? Math.min(p, q) : Math.max(p, q)) << shift;
      }
      return out;
    }

    /** How far a pixel is from what is there, the channel that is farthest. */
    int from(int rgb, int x, int y) {
      int far = 0;
      for (int shift = 0; shift < 24; shift += 8) {
        int p = rgb >> shift & 0xff;
        int low = least[y][x] >> shift & 0xff;
        int high = most[y][x] >> shift & 0xff;
        far = Math.max(far, Math.max(low - p, p - high));
      }
      return far;
    }
  }

  /** The pixels, each the mean of nine: bars finer than that are one gray, however drawn. */
  private static int[][] pixels(BufferedImage image, int w, int h) {
    int[][] sharp = new int[h][w];
    for (int y = 0; y < h; y++) {
      image.getRGB(0, y, w, 1, sharp[y], 0, w);
    }
    int[][] out = new int[h][w];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int r = 0;
        int g = 0;
        int b = 0;
        for (int dy = -1; dy <= 1; dy++) {
          for (int dx = -1; dx <= 1; dx++) {
            int p =
                sharp[Math.min(h - 1, Math.max(0, y + dy))][Math.min(w - 1, Math.max(0, x + dx))];
            r += p >> 16 & 0xff;
            g += p >> 8 & 0xff;
            b += p & 0xff;
          }
        }
        out[y][x] = r / 9 << 16 | g / 9 << 8 | b / 9;
      }
    }
    return out;
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
