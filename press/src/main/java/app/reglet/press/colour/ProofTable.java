package app.reglet.press.colour;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.stream.IntStream;

/**
 * From inks to how they look, on a screen in sRGB: the profile is asked once for a grid of 17 steps
 * of each ink, and what lies between is interpolated between its sixteen neighbours.
 */
public final class ProofTable {
  private static final int NODES = 17;
  private static final int CELLS = NODES - 1;
  private static final int HEADER = 128;

  /** Three a node, 0 to 255 times 256. */
  private final int[] nodes;

  private ProofTable(int[] nodes) {
    this.nodes = nodes;
  }

  /**
   * Makes a table.
   *
   * @param paper whether the paper's own colour is shown; else paper is the screen's white
   */
  public static ProofTable of(PressProfile profile, boolean paper) {
    int n = NODES * NODES * NODES * NODES;
    double[] inks = new double[4 * n];
    for (int i = 0; i < n; i++) {
      int rest = i;
      for (int ink = 3; ink >= 0; ink--) {
        inks[4 * i + ink] = rest % NODES / (double) CELLS;
        rest /= NODES;
      }
    }
    double[] xyz = profile.xyzOf(inks);
    double[] white = paper ? paper(profile) : Lab.WHITE;
    int[] nodes = new int[3 * n];
    for (int i = 0; i < n; i++) {
      double[] one = new double[3];
      for (int b = 0; b < 3; b++) {
        // absolute is relative in proportion to the paper's white (ICC.1:2010, 6.3.2)
        one[b] = xyz[3 * i + b] * white[b] / Lab.WHITE[b];
      }
      double[] rgb = Srgb.values(one);
      for (int b = 0; b < 3; b++) {
        nodes[3 * i + b] = (int) Math.round(rgb[b] * 255 * 256);
      }
    }
    return new ProofTable(nodes);
  }

  /** The media white point, XYZ (ICC.1:2010, 9.2.36); white where a profile says none. */
  private static double[] paper(PressProfile profile) {
    ByteBuffer b = ByteBuffer.wrap(profile.bytes());
    int tags = b.getInt(HEADER);
    for (int i = 0; i < tags && i < 200; i++) {
      int entry = HEADER + 4 + 12 * i;
      byte[] name = new byte[4];
      b.get(entry, name);
      if (new String(name, StandardCharsets.US_ASCII).equals("wtpt")) {
        int at = b.getInt(entry + 4) + 8;
        return new double[] {
          b.getInt(at) / 65536.0, b.getInt(at + 4) / 65536.0, b.getInt(at + 8) / 65536.0
        };
      }
    }
    return Lab.WHITE;
  }

  /**
   * How many pixels look.
   *
   * @param inks four bytes a pixel, 0 none to 255 full
   * @param rgb 0xRRGGBB each
   */
  public void convert(byte[] inks, int[] rgb) {
    int strip = 1 << 14;
    IntStream.range(0, (rgb.length + strip - 1) / strip)
        .parallel()
        .forEach(
            s -> {
              int last = 0;
              int seen = rgb(0, 0, 0, 0);
              for (int i = s * strip; i < Math.min(rgb.length, (s + 1) * strip); i++) {
                int c = inks[4 * i] & 0xff;
                int m = inks[4 * i + 1] & 0xff;
                int y = inks[4 * i + 2] & 0xff;
                int k = inks[4 * i + 3] & 0xff;
                int packed = c << 24 | m << 16 | y << 8 | k;
                if (packed != last) {
                  seen = rgb(c, m, y, k);
                  last = packed;
                }
                rgb[i] = seen;
              }
            });
  }

  /** How one colour looks, inks 0 to 255 each. */
  public int rgb(int c, int m, int y, int k) {
    int[] ink = {c, m, y, k};
    int base = 0;
    int[] step = new int[4];
    double[] share = new double[4];
    int size = 3;
    for (int i = 3; i >= 0; i--) {
      int at = ink[i] * CELLS;
      int cell = Math.min(CELLS - 1, at / 255);
      share[i] = (at - cell * 255) / 255.0;
      base += cell * size;
      step[i] = size;
      size *= NODES;
    }
    double r = 0;
    double g = 0;
    double b = 0;
    for (int corner = 0; corner < 16; corner++) {
      double weight = 1;
      int at = base;
      for (int i = 0; i < 4; i++) {
        boolean far = (corner >> i & 1) == 1;
        weight *= far ? share[i] : 1 - share[i];
        at += far ? step[i] : 0;
      }
      if (weight > 0) {
        r += weight * nodes[at];
        g += weight * nodes[at + 1];
        b += weight * nodes[at + 2];
      }
    }
    return value(r) << 16 | value(g) << 8 | value(b);
  }

  private static int value(double v) {
    return Math.max(0, Math.min(255, (int) Math.round(v / 256)));
  }
}
