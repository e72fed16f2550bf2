package app.reglet.press.colour;

/**
 * From the colours of a screen, or another three channels, to a press's inks: the profile is asked
 * once for a grid of colours, 33 each way for RGB, and what lies between is interpolated in the
 * tetrahedron it is in (Sakamoto; H. Kang, Color Technology for Electronic Imaging Devices, 1997;
 * from memory), on all processors.
 */
public final class InkTable implements PixelInks {
  private static final int NODES = 33;

  /** What the steps of a channel come to: so many parts has the way through a cell. */
  private static final int WHOLE = 255;

  private final PressProfile profile;

  /** Four a node, 0 to 255 times 256. */
  private final int[] nodes;

  /** Steps of the grid. */
  private final int cells;

  private InkTable(PressProfile profile, int[] nodes, int cells) {
    this.profile = profile;
    this.nodes = nodes;
    this.cells = cells;
  }

  /**
   * Makes a table for sRGB.
   *
   * @param profile of the press
   * @param rendering how colours are brought into those it prints
   * @param most total ink, 0 to 4; more is made of black instead
   */
  public static InkTable of(PressProfile profile, Rendering rendering, double most) {
    double[] rgb = grid();
    double[] xyz = new double[rgb.length];
    for (int i = 0; i < rgb.length; i += 3) {
      System.arraycopy(Srgb.xyz(rgb[i], rgb[i + 1], rgb[i + 2]), 0, xyz, i, 3);
    }
    return of(profile, lifted(xyz, profile, rendering), NODES, rendering.intent(), most);
  }

  /**
   * Makes a table for the RGB of a profile.
   *
   * @param from whose RGB comes in
   */
  static InkTable of(
      ConnectionSpace.Source from, PressProfile profile, Rendering rendering, double most) {
    return of(
        profile, lifted(from.xyzOf(grid()), profile, rendering), NODES, rendering.intent(), most);
  }

  /** Every colour of the grid, three channels each, 0 to 1. */
  private static double[] grid() {
    double[] rgb = new double[NODES * NODES * NODES * 3];
    int at = 0;
    for (int r = 0; r < NODES; r++) {
      for (int g = 0; g < NODES; g++) {
        for (int b = 0; b < NODES; b++) {
          rgb[at++] = r / (NODES - 1.0);
          rgb[at++] = g / (NODES - 1.0);
          rgb[at++] = b / (NODES - 1.0);
        }
      }
    }
    return rgb;
  }

  private static double[] lifted(double[] xyz, PressProfile profile, Rendering rendering) {
    if (rendering.blackPoint()) {
      lift(xyz, profile.darkest(rendering.intent()));
    }
    return xyz;
  }

  /**
   * Makes a table of what a grid's colours look like.
   *
   * @param xyz of each, the last channel running fastest
   * @param nodes of the grid, each way
   */
  static InkTable of(
      PressProfile profile, double[] xyz, int nodes, Rendering.Intent intent, double most) {
    double[] inks = profile.inksOf(xyz, intent);
    InkLimit.of(profile, most).keep(inks);
    int[] out = new int[inks.length];
    for (int i = 0; i < inks.length; i++) {
      out[i] = (int) Math.round(inks[i] * 255 * 256);
    }
    return new InkTable(profile, out, nodes - 1);
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

  @Override
  public int packed(int rgb) {
    int r = (rgb >> 16 & 0xff) * cells;
    int g = (rgb >> 8 & 0xff) * cells;
    int b = (rgb & 0xff) * cells;
    int cr = Math.min(cells - 1, r / WHOLE);
    int cg = Math.min(cells - 1, g / WHOLE);
    int cb = Math.min(cells - 1, b / WHOLE);
    int fr = r - cr * WHOLE;
    int fg = g - cg * WHOLE;
    int fb = b - cb * WHOLE;
    int stepB = 4;
    int stepG = (cells + 1) * stepB;
    int stepR = (cells + 1) * stepG;
    int base = cr * stepR + cg * stepG + cb * stepB;
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
