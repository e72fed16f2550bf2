package app.reglet.press.colour;

import java.util.stream.IntStream;

/**
 * From sRGB to a press's inks: the profile is asked once for a grid of 33 × 33 × 33 colours, and
 * what lies between is interpolated in the tetrahedron it is in (Sakamoto; H. Kang, Color
 * Technology for Electronic Imaging Devices, 1997; from memory), on all processors.
 */
public final class InkTable {
  private static final int NODES = 33;
  private static final int CELLS = NODES - 1;

  /** A step of the grid in parts of an 8-bit value: 255 steps over 32 cells. */
  private static final int WHOLE = 255;

  /** Pixels that one processor takes at a time. */
  private static final int STRIP = 1 << 15;

  private final PressProfile profile;

  /** Four a node, 0 to 255 times 256. */
  private final int[] nodes;

  private InkTable(PressProfile profile, int[] nodes) {
    this.profile = profile;
    this.nodes = nodes;
  }

  /**
   * Makes a table.
   *
   * @param profile of the press
   * @param rendering how colours are brought into those it prints
   * @param most total ink, 0 to 4; more is made of black instead
   */
  public static InkTable of(PressProfile profile, Rendering rendering, double most) {
    double[] xyz = new double[NODES * NODES * NODES * 3];
    int at = 0;
    for (int r = 0; r < NODES; r++) {
      for (int g = 0; g < NODES; g++) {
        for (int b = 0; b < NODES; b++) {
          double[] c = Srgb.xyz(r / (double) CELLS, g / (double) CELLS, b / (double) CELLS);
          System.arraycopy(c, 0, xyz, at, 3);
          at += 3;
        }
      }
    }
    if (rendering.blackPoint()) {
      lift(xyz, profile.darkest(rendering.intent()));
    }
    double[] inks = profile.inksOf(xyz, rendering.intent());
    InkLimit.of(profile, most).keep(inks);
    int[] nodes = new int[inks.length];
    for (int i = 0; i < inks.length; i++) {
      nodes[i] = (int) Math.round(inks[i] * 255 * 256);
    }
    return new InkTable(profile, nodes);
  }

  /** Black becomes so light, white stays, in proportion of light (ISO 18619, 7). */
  static void lift(double[] xyz, double darkest) {
    double[] black = new Lab(darkest, 0, 0).xyz();
    for (int i = 0; i < xyz.length; i++) {
      double white = Lab.WHITE[i % 3];
      double floor = black[i % 3];
      xyz[i] = floor + xyz[i] * (white - floor) / white;
    }
  }

  /** The other way: the darkest becomes black. */
  static void sink(double[] xyz, double darkest) {
    double[] black = new Lab(darkest, 0, 0).xyz();
    for (int i = 0; i < xyz.length; i++) {
      double white = Lab.WHITE[i % 3];
      double floor = black[i % 3];
      xyz[i] = Math.max(0, (xyz[i] - floor) * white / (white - floor));
    }
  }

  /** The profile it is of. */
  public PressProfile profile() {
    return profile;
  }

  /**
   * Inks of many pixels.
   *
   * @param rgb 0xRRGGBB each; what is above is not looked at
   * @param inks four bytes a pixel, 0 none to 255 full: cyan, magenta, yellow, black
   */
  public void convert(int[] rgb, byte[] inks) {
    int strips = (rgb.length + STRIP - 1) / STRIP;
    IntStream range = IntStream.range(0, strips);
    (strips > 1 ? range.parallel() : range)
        .forEach(s -> convert(rgb, s * STRIP, Math.min(rgb.length, (s + 1) * STRIP), inks));
  }

  private void convert(int[] rgb, int from, int to, byte[] inks) {
    int last = -1;
    int kept = 0;
    for (int i = from; i < to; i++) {
      int c = rgb[i] & 0xffffff;
      if (c != last) {
        kept = packed(c);
        last = c;
      }
      inks[4 * i] = (byte) (kept >> 24);
      inks[4 * i + 1] = (byte) (kept >> 16);
      inks[4 * i + 2] = (byte) (kept >> 8);
      inks[4 * i + 3] = (byte) kept;
    }
  }

  /** Inks of one colour, 0 to 255 each, 0xCCMMYYKK. */
  public int packed(int rgb) {
    int r = (rgb >> 16 & 0xff) * CELLS;
    int g = (rgb >> 8 & 0xff) * CELLS;
    int b = (rgb & 0xff) * CELLS;
    int cr = Math.min(CELLS - 1, r / WHOLE);
    int cg = Math.min(CELLS - 1, g / WHOLE);
    int cb = Math.min(CELLS - 1, b / WHOLE);
    int fr = r - cr * WHOLE;
    int fg = g - cg * WHOLE;
    int fb = b - cb * WHOLE;
    int base = ((cr * NODES + cg) * NODES + cb) * 4;
    int stepR = NODES * NODES * 4;
    int stepG = NODES * 4;
    int stepB = 4;
    // the ways from the cell's corner, the longest first
    int one = stepR;
    int two = stepG;
    int three = stepB;
    int most = fr;
    int middle = fg;
    int least = fb;
    if (most < middle) {
      int step = one;
      one = two;
      two = step;
      int way = most;
      most = middle;
      middle = way;
    }
    if (middle < least) {
      int step = two;
      two = three;
      three = step;
      int way = middle;
      middle = least;
      least = way;
    }
    if (most < middle) {
      int step = one;
      one = two;
      two = step;
      int way = most;
      most = middle;
      middle = way;
    }
    two += one;
    three += two;
    int packed = 0;
    for (int ink = 0; ink < 4; ink++) {
      int at = base + ink;
      int value =
          nodes[at] * (WHOLE - most)
              + nodes[at + one] * (most - middle)
              + nodes[at + two] * (middle - least)
              + nodes[at + three] * least;
      packed = packed << 8 | (value + WHOLE * 128) / (WHOLE * 256);
    }
    return packed;
  }
}
